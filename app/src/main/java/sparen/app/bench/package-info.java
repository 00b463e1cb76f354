/**
 * The place Bench: does it act as it should when I turn the knob?
 *
 * <p>Promise: nothing of a bench lies on the server. A request carries the whole script, and any node plays it from its start.
 */
package sparen.app.bench;
