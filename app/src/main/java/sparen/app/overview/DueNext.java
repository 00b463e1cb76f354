package sparen.app.overview;

import java.time.LocalDate;

/**
 * What of the upkeep in the log is due next.
 *
 * @param what is done, in words
 */
record DueNext(String what, LocalDate on) {}
