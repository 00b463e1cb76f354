/** What can be read off a plan for checks, workings and the gauge alike, and the changes that cures make. */
package sparen.examined;
