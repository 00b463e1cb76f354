/**
 * Work of more than a second: asked for, done by any node, told of as it goes, cancelled, and taken up again by another node when the one
 * that did it is gone.
 */
package sparen.app.work;
