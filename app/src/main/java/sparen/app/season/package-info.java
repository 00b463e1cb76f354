/** Runs of a plan through a season, computed on request. */
package sparen.app.season;
