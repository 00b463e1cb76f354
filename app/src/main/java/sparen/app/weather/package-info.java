/** Weather files that were taken in for a site. */
package sparen.app.weather;
