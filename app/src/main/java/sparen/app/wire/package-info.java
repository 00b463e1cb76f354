/** Lines to devices: where they are, and reading and writing their registers. */
package sparen.app.wire;
