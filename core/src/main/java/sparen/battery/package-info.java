/**
 * How a battery behaves at its terminals.
 *
 * <p>Promise: current is positive when charging; voltage is a smooth function of state inside one segment of the open-circuit
 * curve and one sign of the current; energy put in equals energy stored plus losses.
 */
package sparen.battery;
