/** Who did what, when and from where. Promise: the application adds to it and never changes it. */
package sparen.app.audit;
