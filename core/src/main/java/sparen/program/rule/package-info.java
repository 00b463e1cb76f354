/** The kinds of rules an output can have, one record a file, and the list of them. */
package sparen.program.rule;
