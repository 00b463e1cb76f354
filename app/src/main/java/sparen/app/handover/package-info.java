/** What stands in the devices of a site, as somebody has read it, beside what its newest revision wants there. */
package sparen.app.handover;
