export const sheetNames = ['pick-card', 'run-sheet', 'steel'] as const;
export type SheetName = (typeof sheetNames)[number];
