/**
 * All levels of a plan side by side: what the gauge shows.
 *
 * <p>Promise: every level of every device is on it once, with what is known of its error and of how it moves in the cold; the walls
 * are what battery, BMS and inverter do whatever is programmed.
 */
package sparen.gauge;
