/** Questions that take more than one run: years with other weather, an absence, two programs side by side; and how an event came about. */
package sparen.study;
