export const sheetNames = ['lift-plan', 'pick-card', 'run-sheet', 'connections', 'steel', 'shoring'] as const;
export type SheetName = (typeof sheetNames)[number];
