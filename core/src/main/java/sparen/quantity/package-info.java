/**
 * What every room shares: refusing numbers that cannot exist.
 *
 * <p>Promise: a value that passes is finite and inside its bound; a refusal names field, value, unit and bound.
 */
package sparen.quantity;
