/**
 * What is measured and done at a site after it was handed over, by hand: each with its numbers, what they say, and when it is due again.
 *
 * <p>Promise: every limit names its source, or says that it is common practice.
 */
package sparen.logbook;
