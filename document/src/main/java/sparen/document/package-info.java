/**
 * Plans as JSON documents, by the published schema in {@code docs/schema}.
 *
 * <p>Promise: reading refuses unknown fields, missing fields and impossible values with the place of each as a JSON pointer; what is
 * written reads back equal.
 */
package sparen.document;
