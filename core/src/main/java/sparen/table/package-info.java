/**
 * Tables as files have them: how one is laid out, what its columns are and in which unit, found out from the file or said by a person,
 * and its lines read by that.
 *
 * <p>Promise: what is found out is only proposed, and can be said otherwise; every refused line is told with its number and the reason.
 * Nothing here opens a file or knows a site.
 */
package sparen.table;
