/** What is measured and done at sites by hand, daily figures of devices, and when what is due again. */
package sparen.app.logbook;
