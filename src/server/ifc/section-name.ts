import { fitsMeasures, measuresWords, sectionByMeasures, type ProfileMeasures } from '@/core/steel/by-measures';
import type { SectionRow } from '@/core/steel/section-row';
import { findSection } from '@/core/steel/sections';
import type { Facts } from './facts';
import { textOf, type Line } from './model';
import type { Profile } from './profile';

/** The section by its name where a table has it, or by its measures; else as the model calls it. */
export function sectionOf(line: Line, said: Facts, drawn: Profile | null): { section: string; seen: string | null; asked?: string } {
  const names = [said.profile?.name, drawn?.name, textOf(line.ObjectType), said.typeName].filter((name): name is string => Boolean(name));
  const known = names.find((name) => findSection(name) !== undefined);
  const measures = said.profile?.measures ?? drawn?.measures ?? null;
  const size = said.profile?.size ?? drawn?.size ?? null;
  const row = measures && sectionByMeasures(measures);
  if (known !== undefined) {
    const asked = otherwise(known, size, measures, row);
    return asked === null ? { section: known, seen: null } : { section: known, seen: null, asked };
  }
  const called = said.profile?.name || drawn?.name || '';
  if (measures && row)
    return {
      section: row.designation,
      seen: `${called === '' ? 'The model names no section' : `The model calls the section “${called}”`}: by its measures it is ${row.designation}.`,
    };
  if (called !== '') return { section: called, seen: null };
  if (measures) return { section: measuresWords(measures), seen: null };
  if (size && names.length === 0)
    return { section: `shape ${mm(size.depth)} × ${mm(size.width)} mm`, seen: 'The model gives only the outline of its section: it is told by its size.' };
  return { section: names[0] ?? '', seen: null };
}

/** For a list, in whole millimetres. */
export const mm = (metres: number): string => (metres * 1000).toFixed(0);

/** A listed section that is drawn as something else: one of the two is wrong, and nobody here knows which. */
function otherwise(known: string, size: { depth: number; width: number } | null, measures: ProfileMeasures | null, drawn: SectionRow | null): string | null {
  const row = findSection(known);
  if (!row) return null;
  if (drawn && drawn.designation !== row.designation && !fitsMeasures(row, measures))
    return `The model names the section ${row.designation} and draws it as ${drawn.designation} is: which is right?`;
  const pair = (one: { depth: number; width: number }) => [Math.max(one.depth, one.width), Math.min(one.depth, one.width)] as const;
  if (!size) return null;
  const [[d, w], [deep, wide]] = [pair(row), pair(size)];
  const off = (listed: number, has: number) => Math.abs(listed - has) > Math.max(2e-3, 0.02 * listed);
  return off(d, deep) || off(w, wide)
    ? `The model names the section ${row.designation} and draws it ${mm(deep)} × ${mm(wide)} mm, where ${row.designation} is ${mm(d)} × ${mm(w)} mm: which is right?`
    : null;
}
