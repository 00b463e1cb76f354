/** What all features share at the edge: JSON, problem details, static files, the description of the API. */
package sparen.app.web;
