/** The core in a browser: what a page asks, answered in a web worker as the server would. */
package sparen.browser;
