/**
 * A site as one file that opens in another Sparen: plan, all revisions, profiles and weather, visits, tests, log and photos.
 *
 * <p>Promise: what was taken out and opened elsewhere gives the same file again, byte by byte; it opens whole or not at all,
 * and what cannot be read when somebody looks at it is not taken in.
 */
package sparen.app.bundle;
