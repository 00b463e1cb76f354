/** The demo data of a first start. */
package sparen.app.demo;
