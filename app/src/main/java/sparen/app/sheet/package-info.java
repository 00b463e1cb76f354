/** The settings sheets of devices on paper. */
package sparen.app.sheet;
