/** What loggers recorded at sites: taken in, drawn, read day by day, replayed under a program, fitted to. */
package sparen.app.logger;
