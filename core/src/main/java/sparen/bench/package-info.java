/** The bench: a plan's outputs under a supply turned by hand, or under the site itself in slow motion. */
package sparen.bench;
