import { metresPer } from '../../units';
import { findSection } from '../sections';
import type { Asked, Choice, Per } from './rows';
import { weightUnits, weightWords, type WeightUnit } from './weight-words';

/** One figure of a column of weights, and what is known of the piece it is of. */
export interface WrittenWeight {
  mark: string;
  figure: number;
  section: string;
  length: number;
  count: number;
}

export interface WeightReading {
  unit: WeightUnit;
  per: Per;
}

/** A section and a length make so much: within this of it a reading is borne out, and plates and bolts may add this much more. */
const BORNE_OUT = 0.03;
const LEAST = 0.9;
const MOST = 1.6;
/** So many rows of a column must bear a reading out. */
const MOST_ROWS = 0.8;

export function massOf({ figure, length, count }: Pick<WrittenWeight, 'figure' | 'length' | 'count'>, { unit, per }: WeightReading): number {
  const mass = figure * weightUnits[unit];
  return per === 'row' ? mass / count : per === 'metre' ? mass * length : per === 'foot' ? (mass * length) / metresPer.ft : mass;
}

const madeOf = ({ section, length }: WrittenWeight): number | null => {
  const row = findSection(section);
  return row ? row.massPerLength * length : null;
};

/** What share of the rows whose section a table knows a reading fits, between two shares of what the section makes. */
function share(rows: readonly WrittenWeight[], reading: WeightReading, least: number, most: number): number {
  const known = rows.flatMap((row) => {
    const made = madeOf(row);
    return made === null ? [] : [massOf(row, reading) / made];
  });
  return known.length === 0 ? 0 : known.filter((one) => one >= least && one <= most).length / known.length;
}

const bornOut = (rows: readonly WrittenWeight[], reading: WeightReading): boolean => share(rows, reading, 1 - BORNE_OUT, 1 + BORNE_OUT) >= MOST_ROWS;
const couldBe = (rows: readonly WrittenWeight[], reading: WeightReading): boolean => share(rows, reading, LEAST, MOST) >= MOST_ROWS;

/** Readings that give every row the same weight are one. */
function different(rows: readonly WrittenWeight[], readings: readonly WeightReading[]): WeightReading[] {
  return readings.filter((one, i) => !readings.slice(0, i).some((other) => rows.every((row) => Math.abs(massOf(row, one) / massOf(row, other) - 1) < 1e-3)));
}

const perWords: Record<Per, string> = { one: 'of one piece', row: 'of all pieces of the row', metre: 'of a metre', foot: 'of a foot' };
export const readingWords = ({ unit, per }: WeightReading): string => `${unit} ${perWords[per]}`;

export interface WeightsRead {
  reading: WeightReading | null;
  asked: Asked | null;
  note: string | null;
}

/**
 * How a column of weights is to be read. Its heading says what it says; what it leaves open the listed sections settle, where most rows
 * bear one reading out and no other. Which ton and which hundredweight no figure settles. Anything else is asked.
 */
export function readWeights(heading: string, rows: readonly WrittenWeight[], chosen: Choice): WeightsRead {
  const said = weightWords(heading);
  const units: readonly WeightUnit[] = chosen.mass && chosen.mass in weightUnits ? [chosen.mass as WeightUnit] : (said.units ?? ['kg', 'lb', 't', 'kN', 'kip']);
  const per: readonly Per[] = chosen.per ? [chosen.per] : (said.per ?? ['one', 'row']);
  const readings = units.flatMap((unit) => per.map((of) => ({ unit, per: of })));
  const [only, second] = different(rows, readings);
  const name = heading === '' ? 'the weights' : `“${heading}”`;
  const take = (reading: WeightReading, note: string | null = null): WeightsRead => ({ reading, asked: null, note });
  if (!only) return { reading: null, asked: null, note: null };
  if (chosen.mass && chosen.per) return take(only);
  const more = (['metre', 'foot', 'one', 'row'] as const).flatMap((of) => (['kg', 'lb', 't', 'kN', 'kip'] as const).map((unit) => ({ unit, per: of })));
  const others = different(rows, [...readings, ...more]).slice(different(rows, readings).length);
  const open = said.strange !== null && !chosen.mass;
  if (!second && !open && !chosen.mass && !chosen.per && !couldBe(rows, only)) {
    const fits = others.filter((one) => bornOut(rows, one));
    if (fits.length > 0)
      return ask([only, ...fits], `${name} says ${readingWords(only)}, and the listed sections make something else of it. How is it to be read?`);
  }
  if (!second && !open) return take(only);
  const sameUnit = (list: readonly WeightReading[]) => new Set(list.map((one) => one.unit)).size === 1;
  if (!open && (said.units === null || said.units.length === 1 || chosen.mass)) {
    const free = said.per === null && !chosen.per ? [...readings, ...more.filter((one) => units.includes(one.unit))] : readings;
    const sure = different(rows, free).filter((one) => bornOut(rows, one));
    const [found] = sure;
    if (found && sure.length === 1) return take(found, `${name} is read as ${readingWords(found)}: so the listed sections make it.`);
    const likely = different(rows, readings).filter((one) => couldBe(rows, one));
    const [like] = likely;
    if (sure.length === 0 && like && likely.length === 1)
      return take(like, `${name} is read as ${readingWords(like)}: nothing else comes near what the listed sections make.`);
  }
  const list = different(rows, readings);
  if (open) return ask(list, `${name} is in “${said.strange}”, which is no unit of weight known here. In which unit is it, and of what?`);
  if (sameUnit(list)) return ask(list, `Is ${name} ${list.map((one) => perWords[one.per]).join(' or ')}?`);
  return ask(
    list,
    said.units ? `Is ${name} in ${units.join(' or in ')}${said.per || chosen.per ? '' : ', and of what'}?` : `In which unit is ${name}, and of what?`,
  );

  function ask(from: readonly WeightReading[], question: string): WeightsRead {
    const first = rows.slice(0, 3);
    const seen = (reading: WeightReading) => first.map((row) => `${row.mark} ${massOf(row, reading).toFixed(1)} kg`).join(', ');
    const made = first.flatMap((row) => {
      const mass = madeOf(row);
      return mass === null ? [] : [`${row.mark} ${mass.toFixed(1)} kg`];
    });
    return {
      reading: null,
      note: null,
      asked: {
        about: 'mass',
        question: made.length > 0 ? `${question} By section and length: ${made.join(', ')}.` : question,
        answers: from.map((one) => ({ label: `${readingWords(one)}: ${seen(one)}`, choice: { mass: one.unit, per: one.per } })),
      },
    };
  }
}
