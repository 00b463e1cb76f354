/** A plan from one revision to the next: how it begins, and what differs between two. */
package sparen.revision;
