/**
 * The sun and what an array makes of it.
 *
 * <p>Promise: weather is made from a seed and is the same on every machine (only IEEE arithmetic and {@link StrictMath}).
 */
package sparen.sun;
