/**
 * A site as one file that opens in another Sparen: plan, all revisions, profiles and weather, visits, tests, log and photos.
 *
 * <p>Promise: what was taken out and opened elsewhere gives the same file again, byte by byte; it opens whole or not at all.
 */
package sparen.app.bundle;
