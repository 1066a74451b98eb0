/** Where a check of the Shores station stands. */
export const shorePlace = (id: string, subject: string, calc: { id: string; source: { text: string } }, source = calc.source.text) => ({
  id: `shore.${id}`,
  subject,
  station: 'shores' as const,
  move: null,
  calc: calc.id,
  source,
});
