/** What was seen at one kind of device and holds for all of that kind. */
package sparen.app.profilenote;
