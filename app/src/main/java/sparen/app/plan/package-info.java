/**
 * Plans as numbered revisions.
 *
 * <p>Promise: a revision is saved whole or not at all, never changes, and is refused when another has been saved on its parent.
 */
package sparen.app.plan;
