/** One listed section in SI. `null` where the table has no value. */
export interface SectionRow {
  designation: string;
  family: string;
  /** the table's nominal mass */
  massPerLength: number;
  area: number;
  depth: number;
  width: number;
  flange: number;
  web: number;
  /** outside of flange to toe of the web fillet (US kdes; EU tf + r) */
  k: number | null;
  iStrong: number;
  iWeak: number;
  sStrong: number | null;
  zStrong: number | null;
  rStrong: number | null;
  rWeak: number | null;
  torsion: number | null;
  warping: number | null;
  basis: string;
}
