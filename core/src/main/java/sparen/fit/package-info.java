/**
 * What recorded days teach about a site: how large and how stiff its battery is, and how well the model knows it.
 *
 * <p>Promise: every number comes with an interval in which it lies with 95 %, and where the data cannot tell that is said instead.
 */
package sparen.fit;
