import { formatQuantity, parseQuantity, type QuantityKind, type UnitSystem } from '../../units';
import { NotSo } from './base';

/** What was typed into the fields of a new job, by their keys. */
export type Said = Readonly<Record<string, string>>;

const typed = (said: Said, key: string): string => (said[key] ?? '').trim();

function reads(text: string, label: string, kind: QuantityKind, system: UnitSystem): number {
  const parsed = parseQuantity(text, kind, system);
  if (!parsed.ok) throw new NotSo(`${label}: ${parsed.reason}`);
  return parsed.value;
}

/** A figure, or null where the field was left empty. */
export function figureIn(said: Said, key: string, label: string, kind: QuantityKind, system: UnitSystem): number | null {
  const text = typed(said, key);
  return text === '' ? null : reads(text, label, kind, system);
}

/** A figure that has to be there. */
export function neededIn(said: Said, key: string, label: string, kind: QuantityKind, system: UnitSystem): number {
  const value = figureIn(said, key, label, kind, system);
  if (value === null) throw new NotSo(`${label}: how much?`);
  return value;
}

/** Past this many of one kind somebody has typed a length where a count belongs. */
const MOST = 200;

/** Lengths one after the other, “6 m; 2 x 7.5 m”: parts between semicolons or plus signs, a count before an x. */
export function lengthsIn(said: Said, key: string, label: string, system: UnitSystem): number[] {
  const text = typed(said, key);
  if (text === '') return [];
  return text.split(/[;+\n]/).flatMap((part): number[] => {
    const words = part.trim();
    if (words === '') throw new NotSo(`${label}: there is nothing between two of the signs in “${text}”.`);
    const many = /^(\d{1,3})\s*[x×]\s*(.+)$/i.exec(words);
    const count = many ? Number(many[1]) : 1;
    if (count < 1 || count > MOST) throw new NotSo(`${label}: “${words}” is ${count} times a length: give 1 to ${MOST}.`);
    const value = reads(many?.[2] ?? words, label, 'length', system);
    return Array.from({ length: count }, () => value);
  });
}

export function countIn(said: Said, key: string, label: string, least: number, most: number): number {
  const text = typed(said, key);
  const value = Number(text);
  if (text === '' || !Number.isInteger(value) || value < least || value > most) throw new NotSo(`${label}: give a whole number from ${least} to ${most}.`);
  return value;
}

export function sectionIn(said: Said, key: string, label: string): string {
  const text = typed(said, key);
  if (text === '') throw new NotSo(`${label}: which section?`);
  return text;
}

/** Lengths that mean something: no bay is nothing, none a kilometre. */
export function within(values: readonly number[], label: string, least: number, most: number, system: UnitSystem): void {
  const out = values.find((value) => !(value >= least && value <= most));
  if (out !== undefined) {
    const show = (value: number) => formatQuantity(value, 'length', system);
    throw new NotSo(`${label}: ${show(out)} is not between ${show(least)} and ${show(most)}.`);
  }
}
