/**
 * The electrical balance of the main bus, the stages of a charger, the AC side, generators, hot water, and the arithmetic of planning.
 *
 * <p>Promises:
 *
 * <ol>
 *   <li>At every instant the currents into the bus sum to the battery current, to rounding.
 *   <li>A load of constant power that the battery and its cables cannot carry is told as a collapse, never as a NaN.
 *   <li>A charger gives what its source has, or its current limit, or what holds its regulation voltage, whichever is least.
 * </ol>
 */
package sparen.power;
