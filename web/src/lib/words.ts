/** A name of the document in lower-case words: soilingFactor is soiling factor. */
export function wordsOf(field: string): string {
  return (field.match(/[A-Z]?[a-z]+|[A-Z]+(?![a-z])|\d+/g) ?? [field]).join(' ').toLowerCase();
}
