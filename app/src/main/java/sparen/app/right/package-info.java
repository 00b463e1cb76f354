/** What a role is, and how an operation says which one it needs. */
package sparen.app.right;
