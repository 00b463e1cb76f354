/** Imported consumption profiles. Promise: taken whole or refused whole; one that was taken never changes. */
package sparen.app.profile;
