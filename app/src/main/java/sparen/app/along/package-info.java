/**
 * Sites that somebody took along to where there is no network.
 *
 * <p>Promise: what was taken along by an account that was withdrawn meanwhile is told so at first contact, and what was made on it and
 * never sent is kept for the administrator, and for nobody else.
 */
package sparen.app.along;
