import { allRows, lineViews, type LinePlan } from '../document/views';
import { findSection } from '../steel/sections';
import { Missing } from '../verdict/missing';
import type { partKinds, Bent, Plan, ShoreRow, ShoreWall } from '../document/schema';
import { studPlaces } from './shore-layout';
import { studLength } from './wall-studs';
import { studLayout } from './shore-layout';

/** One line of the cut and pick list. */
export interface Part {
  what: (typeof partKinds)[number];
  size: string;
  length: number | null;
  count: number;
  /** what one person would have to carry; null: not known */
  mass: number | null;
  for: string;
}

/** Softwood as it comes, kg/m³. */
const SOFTWOOD = 500;

const millimetres = (value: number): string => String(Math.round(value * 1000));
const timberSize = (width: number, depth: number, grade: string): string => `${millimetres(width)}x${millimetres(depth)} ${grade}`;
const softwood = (width: number, depth: number, length: number | null): number | null => (length === null ? null : width * depth * length * SOFTWOOD);

/** Of a needle, by the metre. */
export function needleMass({ needle: one, name }: ShoreRow): number | Missing {
  if (one.kind === 'timber') return one.width * one.depth * SOFTWOOD;
  const section = findSection(one.section);
  return section ? section.massPerLength : new Missing(`“${one.section}” is not in the section tables. What are the needles of ${name}?`);
}

/** A needle as it is written on a list. */
export const needleName = ({ needle: one }: ShoreRow): string => (one.kind === 'steel' ? one.section : timberSize(one.width, one.depth, one.grade));

function wallParts(plan: LinePlan, wall: ShoreWall): Part[] | Missing {
  const storey = plan.shoring.storeys.find((one) => one.id === wall.storey);
  const places = studPlaces(plan, wall);
  const studs = studLayout(plan, wall);
  if (places instanceof Missing) return places;
  if (studs instanceof Missing) return studs;
  const length = storey ? studLength(wall, storey) : null;
  const cut = length === null ? null : length + wall.tightFit;
  const { width, depth, grade } = wall.stud;
  const run = (places[places.length - 1] ?? 0) - (places[0] ?? 0) + 2 * width;
  const parts: Part[] = [
    {
      what: 'stud',
      size: timberSize(width, depth, grade),
      length: cut,
      count: studs.reduce((sum, one) => sum + one.together, 0),
      mass: softwood(width, depth, cut),
      for: wall.name,
    },
    {
      what: 'plate',
      size: `${millimetres(wall.plate.thickness)}x${millimetres(wall.plate.width)}`,
      length: run,
      count: wall.plate.count,
      mass: softwood(wall.plate.thickness, wall.plate.width, run),
      for: wall.name,
    },
  ];
  for (const { from, to, header } of wall.gaps) {
    const [first, last] = [places[from - 2], places[to]];
    const long = first === undefined || last === undefined ? null : last - first + 2 * width;
    parts.push({
      what: 'header',
      size: timberSize(header.width, header.depth, header.grade),
      length: long,
      count: header.plies,
      mass: softwood(header.width, header.depth, long),
      for: wall.name,
    });
  }
  if (wall.diagonals) {
    const { count, angleDeg, board, screws, diameter, length: screw } = wall.diagonals;
    // A board as wide as the plates, from plate to plate.
    const long = length === null ? null : length / Math.sin((angleDeg * Math.PI) / 180);
    parts.push(
      {
        what: 'board',
        size: `${millimetres(board)}x${millimetres(wall.plate.width)}`,
        length: long,
        count,
        mass: softwood(board, wall.plate.width, long),
        for: wall.name,
      },
      { what: 'screw', size: `${(diameter * 1000).toFixed(1)}x${millimetres(screw)}`, length: null, count: 2 * count * screws, mass: null, for: wall.name },
    );
  }
  return parts;
}

function rowParts(row: ShoreRow): Part[] {
  const mass = needleMass(row);
  const length = row.arms.left + row.arms.right + 0.3;
  const { prop, pad, count } = row;
  return [
    { what: 'needle', size: needleName(row), length, count, mass: mass instanceof Missing ? null : mass * length, for: row.name },
    prop.kind === 'steel'
      ? { what: 'prop', size: prop.class, length: prop.length, count: 2 * count, mass: null, for: row.name }
      : {
          what: 'post',
          size: timberSize(prop.width, prop.depth, prop.grade),
          length: prop.length,
          count: 2 * count,
          mass: softwood(prop.width, prop.depth, prop.length),
          for: row.name,
        },
    { what: 'pad', size: `${millimetres(pad.length)}x${millimetres(pad.width)}`, length: null, count: 2 * count, mass: null, for: row.name },
  ];
}

function bentParts({ name, header, post, posts, pad, jack }: Bent): Part[] {
  const steel = (what: 'header' | 'post', designation: string, length: number, count: number): Part => {
    const section = findSection(designation);
    return { what, size: section?.designation ?? designation, length, count, mass: section ? section.massPerLength * length : null, for: name };
  };
  return [
    steel('header', header.section, header.length, 1),
    steel('post', post.section, post.height, posts.length),
    { what: 'pad', size: `${millimetres(pad.length)}x${millimetres(pad.width)}`, length: null, count: posts.length, mass: null, for: name },
    ...(jack ? [{ what: 'jack' as const, size: `${Math.round(jack.capacity / 1000)} kN`, length: null, count: posts.length, mass: null, for: name }] : []),
  ];
}

/** Everything the shores are built from: what is cut, and what is picked from the yard. */
export function shoreParts(plan: Plan): Part[] | Missing {
  const parts: Part[] = [];
  for (const line of lineViews(plan))
    for (const wall of line.shoring.walls) {
      const found = wallParts(line, wall);
      if (found instanceof Missing) return found;
      parts.push(...found);
    }
  return [...parts, ...allRows(plan).flatMap(rowParts), ...plan.shoring.bents.flatMap(bentParts)];
}

/** What of a list of parts is short, found again by what it is: the lists of two looks are not the same things. */
export const shortOf = (lacking: readonly Shortfall[], part: Part): Shortfall | undefined =>
  lacking.find((one) => one.part.for === part.for && one.part.what === part.what && one.part.size === part.size && one.part.length === part.length);

export interface Shortfall {
  part: Part;
  have: number;
}

/**
 * What the yard lacks. A length in stock may be cut down; only plates may be made up of shorter ones, by the metre. One stock piece
 * makes one part. The longest needed is served first from the shortest that is long enough.
 */
export function shortfalls(plan: Plan, parts: readonly Part[]): Shortfall[] {
  const left = plan.shoring.stock.map((line) => ({ ...line, metres: line.count * (line.length ?? 0) }));
  const wanted = [...parts].sort((a, b) => (b.length ?? Infinity) - (a.length ?? Infinity));
  const same = (part: Part) => left.filter((line) => line.what === part.what && line.size.trim().toLowerCase() === part.size.toLowerCase());
  return wanted.flatMap((part): Shortfall[] => {
    if (part.what === 'plate' && part.length !== null) {
      let need = part.length * part.count;
      for (const line of same(part)) {
        const used = Math.min(need, line.metres);
        line.metres -= used;
        need -= used;
      }
      return need > 1e-9 ? [{ part, have: Math.floor((part.length * part.count - need) / part.length) }] : [];
    }
    let need = part.count;
    const counted = part.what === 'pad' || part.what === 'jack' || part.what === 'screw';
    const fits = same(part)
      .filter((line) => counted || (part.length !== null && line.length !== null && line.length >= part.length - 1e-9))
      .sort((a, b) => (a.length ?? 0) - (b.length ?? 0));
    for (const line of fits) {
      const used = Math.min(need, line.count);
      line.count -= used;
      need -= used;
    }
    return need > 0 ? [{ part, have: part.count - need }] : [];
  });
}
