/**
 * Open formats in and out, as plain records. Readers are handed text; they open nothing themselves.
 *
 * <p>Promise: a file is taken whole or refused whole, and every refused line is told with its number and the reason.
 */
package sparen.format;
