/** A look at a file before it is taken. */
package sparen.app.look;
