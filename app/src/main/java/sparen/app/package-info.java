/**
 * The application: HTTP, accounts and storage around the core. One package a feature.
 *
 * <p>Promise: no rule of the job is decided here; every error leaves as problem details (RFC 9457).
 */
package sparen.app;
