/**
 * Who may do what: accounts, sign-in, sessions, second factors, tokens for scripts.
 *
 * <p>Promise: an operation is refused unless it says whom it is for; what an account may is read anew with every request, so that
 * nobody keeps what was taken from them.
 */
package sparen.app.account;
