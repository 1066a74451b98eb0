import type { PlacedModel } from '../../model/placed';

/** One row of steel from any file, before it becomes a member of the plan. SI. */
export interface SteelRow {
  /** where it stands: a line, a file in an archive, an element of a model */
  from: string;
  mark: string;
  section: string;
  length: number;
  grade: string;
  count: number;
  /** of one piece */
  mass: number | null;
  order: number | null;
  place: string;
}

export interface RowFault {
  from: string;
  error: string;
}

/** What a file does not settle by itself. Until a person has answered, what it is about is not taken. */
export interface Asked {
  /** the field of the rows, or what else of the file it is about */
  about: string;
  question: string;
  /** the marks it holds for; all of the file when left out */
  marks?: string[];
  answers?: { label: string; choice: Choice }[];
}

/** How a person says a table is to be read. */
export interface Choice {
  length?: string;
  mass?: string;
  /** what a weight is of */
  per?: Per;
  /** how decimals are written */
  mark?: 'comma' | 'point';
  /** column of the number of pieces; null when the file has none and each row is one piece */
  count?: number | null;
  /** column of the marks, and of the sections */
  marks?: number;
  sections?: number;
}

export type Per = 'one' | 'row' | 'metre' | 'foot';

export interface SteelRows {
  rows: SteelRow[];
  faults: RowFault[];
  /** what was read otherwise than it is written, for a person to look at */
  notes?: RowFault[];
  asked?: Asked[];
  /** of a model: where its pieces stand and what meets what */
  placed?: PlacedModel;
}
