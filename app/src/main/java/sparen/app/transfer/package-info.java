/** Plans into devices over a wire: looked at, written, saved, read back; sent on or rolled back when it was cut off. */
package sparen.app.transfer;
