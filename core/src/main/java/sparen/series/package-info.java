/**
 * Truncated power series in time: what every quantity is inside one step.
 *
 * <p>Promise: plain arrays of coefficients, nothing allocated. A series is its own dense output, so events are found on
 * polynomials and energies are integrals of polynomials.
 */
package sparen.series;
