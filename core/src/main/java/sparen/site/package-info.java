/**
 * What stands at a site: batteries, arrays, chargers, inverter and AC sources, converters, loads, tanks, cables, sense points.
 *
 * <p>Promise: immutable facts in SI units (Ah and Wh named as such, temperatures in °C), checked when made. Nothing here knows
 * how the site is programmed or simulated.
 */
package sparen.site;
