/** Where a check of the Measure station stands. */
export const measurePlace = (id: string, subject: string, calc: { id: string; source: { text: string } }, source = calc.source.text) => ({
  id,
  subject,
  station: 'measure' as const,
  move: null,
  calc: calc.id,
  source,
});
