const SHORT = /\b(ac|dc|bms|mppt|pwm|agm|nmc|soc)\b/g;

/** A name of the document in lower-case words: soilingFactor is soiling factor. */
export function wordsOf(field: string): string {
  return (field.match(/[A-Z]?[a-z]+|[A-Z]+(?![a-z])|\d+/g) ?? [field])
    .join(' ')
    .toLowerCase()
    .replace(SHORT, (short) => short.toUpperCase());
}

/** A choice of the document as it is said: AC_FIRST is AC first. */
export function choiceOf(constant: string | number): string {
  return String(constant)
    .toLowerCase()
    .replaceAll('_', ' ')
    .replace(SHORT, (short) => short.toUpperCase());
}
