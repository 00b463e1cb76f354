/** Programs tried on site level by level: what was expected, what was measured, what has to be put back, and who signed. */
package sparen.app.benchtest;
