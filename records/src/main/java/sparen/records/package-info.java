/**
 * Writes sources while another module is compiled: a table of its public records, and withers for those that ask for them.
 *
 * <p>Promise: what walks over records or changes them by name needs no reflection, at run time or anywhere.
 */
package sparen.records;
