export const sheetNames = ['pick-card', 'run-sheet', 'steel', 'shoring'] as const;
export type SheetName = (typeof sheetNames)[number];
