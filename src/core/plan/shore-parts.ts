import { findSection } from '../steel/sections';
import { Missing } from './missing';
import { studLength } from './evaluate/shores/walls';
import type { Plan } from './schema';
import { studPlaces } from './shoring';

/** One line of the cut and pick list. */
export interface Part {
  what: 'stud' | 'plate' | 'prop' | 'needle' | 'pad';
  size: string;
  length: number | null;
  count: number;
  /** what one person would have to carry; null: not known */
  mass: number | null;
  for: string;
}

/** Softwood as it comes, kg/m³. */
const TIMBER_DENSITY = 500;

const millimetres = (value: number): string => String(Math.round(value * 1000));

/** Everything the shores are built from: studs and plates to cut, props, needles and pads to pick. */
export function shoreParts(plan: Plan): Part[] | Missing {
  const parts: Part[] = [];
  for (const wall of plan.shoring.walls) {
    const storey = plan.shoring.storeys.find((one) => one.id === wall.storey);
    const places = studPlaces(plan, wall);
    if (places instanceof Missing) return places;
    const length = storey ? studLength(wall, storey) : null;
    const cut = length === null ? null : length + wall.tightFit;
    const { width, depth, grade } = wall.stud;
    parts.push({
      what: 'stud',
      size: `${millimetres(width)}x${millimetres(depth)} ${grade}`,
      length: cut,
      count: places.length,
      mass: cut === null ? null : width * depth * cut * TIMBER_DENSITY,
      for: wall.name,
    });
    const run = (places[places.length - 1] ?? 0) - (places[0] ?? 0) + 2 * width;
    parts.push({
      what: 'plate',
      size: `${millimetres(wall.plate.thickness)}x${millimetres(wall.plate.width)}`,
      length: run,
      count: wall.plate.count,
      mass: wall.plate.thickness * wall.plate.width * run * TIMBER_DENSITY,
      for: wall.name,
    });
  }
  for (const row of plan.shoring.rows) {
    const section = findSection(row.needle.section);
    const length = row.arms.left + row.arms.right + 0.3;
    parts.push({ what: 'needle', size: row.needle.section, length, count: row.count, mass: section ? section.massPerLength * length : null, for: row.name });
    parts.push({ what: 'prop', size: row.prop.class, length: row.prop.length, count: 2 * row.count, mass: null, for: row.name });
    parts.push({
      what: 'pad',
      size: `${millimetres(row.pad.length)}x${millimetres(row.pad.width)}`,
      length: null,
      count: 2 * row.count,
      mass: null,
      for: row.name,
    });
  }
  return parts;
}

export interface Shortfall {
  part: Part;
  have: number;
}

/**
 * What the yard lacks. A length in stock may be cut down, never spliced; one stock piece makes one stud. Plates and pads are not
 * counted against the stock. The longest needed is served first from the shortest that is long enough.
 */
export function shortfalls(plan: Plan, parts: readonly Part[]): Shortfall[] {
  const left = plan.shoring.stock.map((line) => ({ ...line }));
  const wanted = parts
    .filter((part) => part.what === 'stud' || part.what === 'prop' || part.what === 'needle')
    .sort((a, b) => (b.length ?? Infinity) - (a.length ?? Infinity));
  return wanted.flatMap((part): Shortfall[] => {
    let need = part.count;
    const fits = left
      .filter(
        (line) =>
          line.what === part.what && line.size.trim().toLowerCase() === part.size.toLowerCase() && part.length !== null && line.length >= part.length - 1e-9,
      )
      .sort((a, b) => a.length - b.length);
    for (const line of fits) {
      const used = Math.min(need, line.count);
      line.count -= used;
      need -= used;
    }
    return need > 0 ? [{ part, have: part.count - need }] : [];
  });
}
