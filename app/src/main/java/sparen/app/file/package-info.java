/** How files that are brought are laid out: as found or as somebody says, and that is remembered. */
package sparen.app.file;
