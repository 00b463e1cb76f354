/** What is done at a site step by step, by whom and when. */
package sparen.app.commissioning;
