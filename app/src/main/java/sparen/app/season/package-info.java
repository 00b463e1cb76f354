/** Runs of a plan through a season or a year, studies of several runs, and what is shown of them. */
package sparen.app.season;
