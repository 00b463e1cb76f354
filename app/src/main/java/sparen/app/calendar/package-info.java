/** When what is due at sites, for people's own calendars: iCalendar under an address that is a secret. */
package sparen.app.calendar;
