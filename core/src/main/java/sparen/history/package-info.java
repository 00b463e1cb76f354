/**
 * What recorded days say of a site: day by day, by night, of its arrays, of its contacts, and what to do about it.
 *
 * <p>Promise: what was not recorded is left out, not taken for zero; what is reckoned rather than recorded says so.
 */
package sparen.history;
