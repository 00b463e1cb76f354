/** An output at work: its contact, its lockout, and the log of what it did. */
package sparen.output;
