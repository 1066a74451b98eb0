import { attempt } from '../calc/attempt';
import type { Rules } from '../rules/rule-sets';
import type { SectionRow } from '../steel/section-row';
import { steelWeight } from '../steel/weight.calc';
import { GRAVITY } from '../units';
import { isGiven, isOpenI, WELDED } from './section-strength';
import type { Joined, Part, Tie } from '../document/joined';
import { startOf } from '../document/lies';
import { Missing } from '../verdict/missing';
import { pieceWeight, type Lump, type Pair, type PieceWeight } from './piece-weight';
import type { Piece } from '../document/schema';
import { sectionOf, yieldOfMake } from './model';

/** What one of the pieces that hang as one is, by itself and in the whole. */
export interface Member extends Part {
  section: SectionRow;
  fy: number;
  weight: PieceWeight;
}

export interface JoinedLoad {
  piece: Piece;
  weight: PieceWeight;
  members: Member[];
}

/**
 * Pieces that hang as one, as one piece: as long and as broad as all of them, its weight where each has its own and each cross-frame its
 * own, its section the weakest of theirs.
 */
export function joinedLoad(
  joined: Joined,
  main: string,
  asPiece: (part: Part) => Piece,
  rules: Rules,
  slings: { left: number; right: number },
): JoinedLoad | Missing {
  const members: Member[] = [];
  for (const part of joined.parts) {
    const section = sectionOf(part.make);
    if (!(section instanceof Missing) && isGiven(section))
      return new Missing(`${part.beam.mark} is no section: how it hangs together with others is not worked out here. Who has checked it?`);
    const weight = section instanceof Missing ? section : pieceWeight(asPiece(part), rules, section);
    if (section instanceof Missing) return section;
    if (weight instanceof Missing) return weight;
    members.push({ ...part, section, fy: yieldOfMake(part.make), weight });
  }
  const of = members.find(({ beam }) => beam.id === main)!;
  const unweighed = joined.ties.filter(({ brace }) => !brace.mass);
  if (unweighed.length > 0) return new Missing(unweighed.map(({ brace }) => `What does ${brace.name} weigh? It hangs with what it ties.`).join(' '));
  const ties = joined.ties.map(({ brace, at }) => ({ mass: brace.mass!, at }));
  const slung = slungAt(joined, slings);
  if (slung instanceof Missing) return slung;
  const tied = ties.reduce((sum, { mass }) => sum + mass, 0);
  const own = asPiece(of);
  const mark = members.map(({ beam }) => beam.mark).join(' + ');
  const whole = (lumps: readonly Lump[]): { lump: Lump; input: Parameters<typeof steelWeight.compute>[0] } | Missing => {
    const items = [...members.map((member, n) => ({ mass: lumps[n]!.mass, at: inWhole(member, lumps[n]!.cg.x) })), ...ties];
    const input = { items, allowance: 0 };
    const outcome = attempt(steelWeight, input);
    if (!outcome.ok) return new Missing(outcome.error);
    const { mass, cg } = outcome.output;
    const z = lumps.reduce((sum, one, n) => sum + one.mass * (one.cg.z + heightIn(joined, inWhole(members[n]!, one.cg.x)) - slung), 0) / (mass - tied);
    const bareMass = lumps.reduce((sum, one) => sum + one.bareMass, 0);
    return { lump: { bareMass, mass, weight: mass * GRAVITY, cg: { x: cg, z } }, input };
  };
  const heavy = whole(members.map(({ weight }) => weight));
  const light = whole(members.map(({ weight }) => weight.light));
  if (heavy instanceof Missing) return heavy;
  if (light instanceof Missing) return light;
  const sum = (key: 'packingMass' | 'attachmentMass') => members.reduce((all, { weight }) => all + weight[key], 0);
  const most = (key: 'below' | 'above') => Math.max(...members.map(({ weight }) => weight[key]));
  const section = weakest(members.map((one) => one.section));
  const bare = heavy.lump.bareMass + sum('packingMass') + sum('attachmentMass') + tied;
  const said = new Set(members.map(({ weight }) => weight.by));
  const weight: PieceWeight = {
    section,
    statements: [],
    by: said.size === 1 ? of.weight.by : 'computed',
    ...heavy.lump,
    packingMass: sum('packingMass'),
    attachmentMass: sum('attachmentMass') + tied,
    allowance: heavy.lump.mass / bare - 1,
    light: light.lump,
    below: most('below') + slung,
    above: most('above') + joined.rise - slung,
    runs: members.flatMap((member) =>
      member.weight.runs.map(({ weightPerLength, from, to }) => {
        const [a, b] = [inWhole(member, from), inWhole(member, to)];
        return { weightPerLength: weightPerLength / member.flat, from: Math.min(a, b), to: Math.max(a, b) };
      }),
    ),
    lumps: [
      ...members.flatMap((member) => member.weight.lumps.map((one) => ({ weight: one.weight, at: inWhole(member, one.at) }))),
      ...ties.map(({ mass, at }) => ({ weight: mass * GRAVITY, at })),
    ],
    ...(joined.lines.length > 1 ? { pair: pairOf(members, joined) } : {}),
    ...(joined.rise > 0 ? { bent: { slung, rise: joined.rise, pieces: joined.parts.map(({ from, to, left, right }) => ({ from, to, left, right })) } } : {}),
    trace: { calc: steelWeight.id, input: heavy.input, output: { ...heavy.lump, cg: heavy.lump.cg.x } },
  };
  const start = startOf(of.beam) ?? own.start;
  const turn = (start.azimuthDeg * Math.PI) / 180;
  const toMiddle = joined.length / 2 - (of.from + of.to) / 2;
  // The hook is over the middle between two lines.
  const aside = middleOf(joined);
  const piece: Piece = {
    ...own,
    mark,
    section: section.designation,
    length: joined.length,
    yield: Math.min(...members.map(({ fy }) => fy)),
    allowance: null,
    attachments: members.flatMap((member) => asPiece(member).attachments.map((one) => ({ ...one, at: inWhole(member, one.at) }))),
    stated: { mass: null, weighed: null, length: null },
    start: {
      ...start,
      x: start.x + toMiddle * Math.cos(turn) - aside * Math.sin(turn),
      y: start.y + toMiddle * Math.sin(turn) + aside * Math.cos(turn),
    },
  };
  return { piece, weight, members };
}

/** The middle between the lines, to the left of the line of the piece the pick is named for. */
export const middleOf = ({ lines }: Joined): number => lines.reduce((sum, { aside }) => sum + aside, 0) / lines.length;

function pairOf(members: readonly Member[], joined: Joined): Pair {
  const edges = members.flatMap(({ aside, section }) => [aside - section.width / 2, aside + section.width / 2]);
  const lines = joined.lines.map(({ aside }) => aside);
  const total = members.reduce((sum, { weight }) => sum + weight.mass, 0);
  const balance = members.reduce((sum, { weight, aside }) => sum + weight.mass * aside, 0) / total;
  return {
    broad: Math.max(...edges) - Math.min(...edges),
    apart: Math.max(...lines) - Math.min(...lines),
    offCentre: Math.abs(balance - middleOf(joined)),
  };
}

/** A tie and the half of its weight each of the two lines carries. */
export const halfOf = ({ brace, at }: Tie): { weight: number; at: number } => ({ weight: ((brace.mass ?? 0) * GRAVITY) / 2, at });

/** A place along one of the pieces, from its own first end, along the whole. */
const inWhole = ({ from, to, flipped, flat }: Part, x: number): number => (flipped ? to - x * flat : from + x * flat);

/** How high a place of what hangs as one is over its lowest end, from its left end as seen from above [m]. */
export function heightIn({ parts }: Joined, x: number): number {
  const part = parts.find(({ to }) => x <= to) ?? parts.at(-1)!;
  return part.left + ((part.right - part.left) * (x - part.from)) / (part.to - part.from);
}

/** Two slings hold what is bent at one height, as far as this [m]. */
const EVEN = 0.1;
/** How high over its lowest end what hangs as one is slung; 0 where it is straight. */
function slungAt(joined: Joined, { left, right }: { left: number; right: number }): number | Missing {
  if (joined.rise === 0) return 0;
  const [a, b] = [heightIn(joined, left), heightIn(joined, joined.length - right)];
  return Math.abs(a - b) > EVEN
    ? new Missing(
        `${joined.parts.map(({ beam }) => beam.mark).join(' + ')} are bent and slung at two heights: how they hang then is not worked out here. Sling them at one, or who has?`,
      )
    : Math.min(a, b);
}

/** What the pieces have in common, to be on the safe side of each: as deep and wide as the largest, as strong and stiff as the weakest. */
function weakest(rows: readonly SectionRow[]): SectionRow {
  const [first] = rows;
  const figures = ({ designation: _, ...rest }: SectionRow) => JSON.stringify(rest);
  if (rows.every((one) => figures(one) === figures(first!))) return first!;
  const least = (key: 'area' | 'flange' | 'web' | 'iStrong' | 'iWeak') => Math.min(...rows.map((one) => one[key]));
  const leastKnown = (key: 'k' | 'sStrong' | 'zStrong' | 'rStrong' | 'rWeak' | 'torsion' | 'warping') =>
    rows.reduce<number | null>((all, one) => (all === null || one[key] === null ? null : Math.min(all, one[key])), Infinity);
  return {
    designation: [...new Set(rows.map((one) => one.designation))].join(' and '),
    family: (rows.find((one) => !isOpenI(one)) ?? rows.find((one) => one.family === WELDED) ?? first!).family,
    massPerLength: Math.max(...rows.map((one) => one.massPerLength)),
    area: least('area'),
    depth: Math.max(...rows.map((one) => one.depth)),
    width: Math.max(...rows.map((one) => one.width)),
    flange: least('flange'),
    web: least('web'),
    k: leastKnown('k'),
    iStrong: least('iStrong'),
    iWeak: least('iWeak'),
    sStrong: leastKnown('sStrong'),
    zStrong: leastKnown('zStrong'),
    rStrong: leastKnown('rStrong'),
    rWeak: leastKnown('rWeak'),
    torsion: leastKnown('torsion'),
    warping: leastKnown('warping'),
    basis: 'the weakest of its pieces',
  };
}
