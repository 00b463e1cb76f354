/** Who may do what: accounts, sign-in, sessions. Promise: observers change nothing. */
package sparen.app.account;
