/**
 * The command line on the same core, for scripts.
 *
 * <p>Promise: results on standard output as JSON, trouble on standard error in one line; exit code 0 when done, 1 when an input
 * cannot be taken, 2 when the call is wrong.
 */
package sparen.cli;
