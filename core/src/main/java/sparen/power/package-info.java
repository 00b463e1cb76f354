/**
 * The electrical balance of the main bus, and the stages of a charge controller.
 *
 * <p>Promises:
 *
 * <ol>
 *   <li>At every instant the currents into the bus sum to the battery current, to rounding.
 *   <li>A load of constant power that the battery and its cables cannot carry is told as a collapse, never as a NaN.
 *   <li>A controller gives what it has, or its current limit, or what holds its regulation voltage, whichever is least.
 * </ol>
 */
package sparen.power;
