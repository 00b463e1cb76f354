/**
 * What the technician programs: charging setpoints and outputs with their rules, and the sentences that say them.
 *
 * <p>Promise: one record a rule, with one method that compiles it to {@code sparen.logic} and one that says it. Orders between
 * levels are not refused here; they are findings of {@code sparen.check}, so that a site can be recorded as it was found.
 */
package sparen.program;
