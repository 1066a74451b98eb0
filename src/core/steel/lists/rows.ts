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

export interface SteelRows {
  rows: SteelRow[];
  faults: RowFault[];
  /** what was read otherwise than it is written, for a person to look at */
  notes?: RowFault[];
}
