/** The origin of a number that was measured today, with what was read. */
export const measured = (read: string) => ({
  kind: 'MEASURED' as const,
  note: `${new Date().toISOString().slice(0, 10)}: ${read}`,
});
