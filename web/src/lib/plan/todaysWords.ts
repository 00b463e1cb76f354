/** What this browser kept while a mode was still called a wish, and a contact dead without power. */
export const inTodaysWords = (json: string): string =>
  json
    .replaceAll('"wish":"AUTOMATIC"', '"mode":"BY_RULE"')
    .replaceAll('"wish":', '"mode":')
    .replaceAll(/"dead":"(OPEN|CLOSED)"/g, '"withoutPower":"$1"');
