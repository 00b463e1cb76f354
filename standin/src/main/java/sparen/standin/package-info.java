/**
 * A stand-in for the devices of a site, a process of its own: it has their registers, their memory and their faults, and runs what is
 * stored in them on a model of the site. It shares nothing of the wire with the application but the register map of the profiles, so
 * that a mistake in one shows at the other.
 */
package sparen.standin;
