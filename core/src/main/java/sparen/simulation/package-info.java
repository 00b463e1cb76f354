/**
 * A site and its program run through time. The stepping and the search for events live here and nowhere else.
 *
 * <p>Guarantees:
 *
 * <ol>
 *   <li>Every part is asked until when it holds still: inputs, timers, crossings of watched signals, limits of controllers, knees
 *       of the battery's curve. The step ends at the earliest.
 *   <li>Inside a step everything is smooth; a crossing and back within it is found too. Instants are good to a millisecond where
 *       the signal moves by a millivolt a second.
 *   <li>A switching moves the bus voltage and with it other conditions at the same instant. They settle in a stated order:
 *       chargers in the site's order, then batteries' BMS, converters, tanks, fuses, monitors and the AC side, then outputs in the
 *       program's order, the balance solved anew after each change.
 *   <li>Chatter is bounded: an output that has switched {@value sparen.output.OutputAtWork#CHATTER_SWITCHINGS} times within
 *       a second is reported, and from then on keeps each state for a second at least.
 *   <li>Time always moves on: no step is shorter than a microsecond, save to a due timer. A run that makes 20,000 steps within a
 *       second of its time is broken off with a report of what holds it.
 *   <li>Temperatures, reported states of charge and what a converter, inverter, brake or BMS sees are looked at when they may have
 *       changed; a device that moves the voltage it looks at rests for a stated moment.
 *   <li>Same inputs, same result, on any machine and any number of threads.
 * </ol>
 */
package sparen.simulation;
