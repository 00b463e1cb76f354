/**
 * A program as the devices that carry it can hold it.
 *
 * <p>Promise: what is simulated and checked is what the devices hold, each number rounded as they round it; what a device cannot hold
 * is told, never dropped.
 */
package sparen.setting;
