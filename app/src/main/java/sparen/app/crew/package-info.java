/** Which sites are whose. Promise: a site of a crew is not there for anybody else. */
package sparen.app.crew;
