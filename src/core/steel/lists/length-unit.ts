import { findSection } from '../sections';
import { metresPer, type UnitSystem } from '../../units';
import { strangeLength } from './headings';
import type { Asked } from './rows';

/** No piece of steel on a list is longer, or shorter: a figure past these has lost its unit. */
export const LONGEST = 150;
export const SHORTEST = 0.02;
/** A bare list whose longest figure stays under this may be in millimetres, in centimetres or in inches. */
const SURELY_MILLIMETRES = 3000;
/** No list is of pieces shorter than this throughout. */
const SHORT = 0.3;

type LengthUnit = 'm' | 'mm' | 'cm' | 'ft' | 'in';
const american = new Set(['W', 'C', 'HSS']);

interface Question {
  heading: string;
  /** the unit its heading names */
  said: string | undefined;
  /** how the job reads bare numbers; null when there is no job */
  system: UnitSystem | null;
  chosen: string | undefined;
  /** the figures without a unit, taken as metres, and the section of each */
  bare: readonly { value: number; section: string }[];
}

/**
 * The unit of bare lengths. As the heading says; where it says nothing, as the job reads bare numbers, millimetres where metres would be
 * longer than any piece. Without a job the sections tell metres from feet. Otherwise it is asked.
 */
export function askedLength({ heading, said, system, chosen, bare }: Question): { unit: string; asked: Asked | null } {
  const strange = said ? null : strangeLength(heading);
  if (chosen) return { unit: chosen, asked: null };
  if (said) return { unit: said, asked: null };
  if (bare.length === 0) return { unit: system === 'us' ? 'ft' : 'm', asked: null };
  const most = bare.reduce((long, { value }) => Math.max(long, value), 0);
  const least = bare.reduce((short, { value }) => Math.min(short, value), Infinity);
  const fits = (unit: LengthUnit) => most * metresPer[unit] <= LONGEST && least * metresPer[unit] >= SHORTEST && most * metresPer[unit] >= SHORT;
  const families = new Set(bare.map(({ section }) => findSection(section)?.family).filter((one) => one !== undefined));
  const us = system === null ? families.size > 0 && [...families].every((one) => american.has(one)) : system === 'us';
  const eu = system === null ? families.size > 0 && ![...families].some((one) => american.has(one)) : system === 'metric';
  const could: LengthUnit[] = us ? ['ft', 'in'] : eu ? ['m', 'mm', 'cm'] : ['m', 'ft', 'mm', 'in'];
  const candidates = could.filter(fits);
  if (strange === null && system === 'us') return { unit: 'ft', asked: null };
  if (strange === null && system === 'metric') {
    const unit = least > LONGEST ? 'mm' : 'm';
    return unit === 'm' || most >= SURELY_MILLIMETRES || !candidates.includes('cm') ? { unit, asked: null } : open(candidates);
  }
  if (strange === null && (us || eu)) {
    if (us && candidates.includes('ft')) return { unit: 'ft', asked: null };
    if (eu && most <= LONGEST) return { unit: 'm', asked: null };
    if (eu && most >= SURELY_MILLIMETRES && least > LONGEST) return { unit: 'mm', asked: null };
  }
  return open(candidates);

  function open(from: readonly LengthUnit[]): { unit: string; asked: Asked } {
    const list = from.length > 0 ? from : (['m', 'mm', 'ft', 'in'] as const);
    return {
      unit: list[0] ?? 'm',
      asked: {
        about: 'length',
        question: `In which unit is ${heading === '' ? 'the length' : `“${heading}”`}${strange === null ? '' : `: “${strange}” is none known here`}?`,
        answers: list.map((unit) => ({
          label: `${unit}: ${bare
            .slice(0, 3)
            .map(({ value }) => `${value} is ${(value * metresPer[unit]).toFixed(3)} m`)
            .join(', ')}`,
          choice: { length: unit },
        })),
      },
    };
  }
}
