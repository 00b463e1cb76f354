/** The sites that there are. */
package sparen.app.site;
