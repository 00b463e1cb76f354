/**
 * What stands in the devices beside what the plan wants there.
 *
 * <p>Promise: what cannot be in a device is never taken as read; what differs is told with since when, and apart from what only the plan
 * has changed.
 */
package sparen.handover;
