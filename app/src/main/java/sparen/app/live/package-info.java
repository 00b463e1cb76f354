/** What devices on the wire hold and measure, asked by people and by itself, and kept. */
package sparen.app.live;
