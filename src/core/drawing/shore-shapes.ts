import { add, angleOf, rectangle, scale, type Vec } from '../geometry/plane';
import { judge, type Verdict } from '../plan/check';
import type { StrikeAnswer } from '../plan/evaluate/shores/strike';
import { Missing } from '../plan/missing';
import type { Plan, ShoreRow, ShoreWall, Storey } from '../plan/schema';
import { shoredLine } from '../plan/shore-place';
import { needlePlaces, studPlaces } from '../plan/shoring';
import { formatQuantity } from '../units';
import type { Shape, Style } from './draw-list';

/** Shores as they stand after some steps of the strike: 0 before the first. */
export interface ShoreMoment {
  strike: StrikeAnswer | null;
  struck: number;
}

/** How one stud or needle stands now. */
function standingOf({ strike, struck }: ShoreMoment, shore: string, number: number): { verdict: Verdict; gone: boolean; load: number | null } {
  const i = strike?.units.findIndex((unit) => unit.shore === shore && unit.number === number) ?? -1;
  const unit = strike?.units[i];
  if (!strike || !unit) return { verdict: 'missing', gone: false, load: null };
  const load = struck === 0 ? unit.load : (strike.steps[struck - 1]?.loads[i] ?? 0);
  if (struck > 0 && Math.abs(load) < 1e-6) return { verdict: 'clear', gone: true, load: 0 };
  return { verdict: judge(load, Math.max(unit.capacity, 1e-9), 0.9).verdict, gone: false, load: load * unit.lever };
}

/** Colour and pattern say the same: solid timber holds, hatched is tight, red is a stop, dashed is not known or gone. */
const looks: Record<Verdict, Style> = {
  clear: { fill: 'timber', stroke: 'timberEdge', width: 1 },
  tight: { fill: 'tight', stroke: 'ink', width: 1, hatch: true },
  stop: { fill: 'stop', stroke: 'stop', width: 2 },
  missing: { fill: 'paper', stroke: 'timberEdge', width: 1, dash: 'dot' },
};
const gone: Style = { stroke: 'pencil', width: 1, dash: 'dot' };

const wallsOf = (plan: Plan, storey: Storey | undefined): ShoreWall[] => plan.shoring.walls.filter((wall) => wall.storey === storey?.id);
const rowsOf = (plan: Plan, storey: Storey | undefined): ShoreRow[] => plan.shoring.rows.filter((row) => row.storey === storey?.id);

/** Temporary walls, needles and props of the lowest storey, from above. */
export function shoresAbove(plan: Plan, moment: ShoreMoment): Shape[] {
  const line = shoredLine(plan);
  const [lowest] = plan.shoring.storeys;
  if (!line) return [];
  const { from, along, left, length } = line;
  const spot = (x: number, off: number) => add(add(from, scale(along, x)), scale(left, off));
  const walls = wallsOf(plan, lowest).flatMap((wall): Shape[] => {
    const of = { kind: 'shore' as const, id: wall.id };
    const off = wall.side === 'left' ? wall.setback : -wall.setback;
    const places = studPlaces(plan, wall);
    const band: Shape = {
      shape: 'polygon',
      points: rectangle(spot(length / 2, off), length, wall.plate.width, angleOf(along)),
      style: { fill: 'paper', stroke: 'timberEdge', width: 1 },
      of,
      solid: true,
    };
    const studs = (places instanceof Missing ? [] : places).map((x, i): Shape => {
      const now = standingOf(moment, wall.id, i + 1);
      const lost = wall.missing.includes(i + 1);
      return {
        shape: 'polygon',
        points: rectangle(spot(x, off), wall.stud.width, wall.stud.depth, angleOf(along)),
        style: lost ? { stroke: 'stop', width: 2, dash: 'dot' } : now.gone ? gone : looks[now.verdict],
        of,
      };
    });
    const label: Shape = {
      shape: 'label',
      at: spot(length, off),
      text: `${wall.name}, ${formatQuantity(wall.setback, 'length', plan.job.units)} back`,
      ink: 'timberEdge',
      sides: ['right', 'above', 'below'],
      of,
    };
    return [band, ...studs, label];
  });
  const rows = rowsOf(plan, lowest).flatMap((row): Shape[] => {
    const of = { kind: 'shore' as const, id: row.id };
    const needles = needlePlaces(row).flatMap((x, i): Shape[] => {
      const now = standingOf(moment, row.id, i + 1);
      const style = now.gone ? gone : looks[now.verdict];
      return [
        {
          shape: 'line',
          points: [spot(x, row.arms.left + 0.15), spot(x, -row.arms.right - 0.15)],
          style: { ...style, fill: undefined, stroke: now.gone ? 'pencil' : 'steelEdge', width: 3 },
          of,
        },
        ...[row.arms.left, -row.arms.right].map((off): Shape => ({ shape: 'polygon', points: rectangle(spot(x, off), 0.14, 0.14, angleOf(along)), style, of })),
      ];
    });
    return [...needles, { shape: 'label', at: spot(row.from, row.arms.left + 0.2), text: row.name, ink: 'timberEdge', sides: ['above', 'left', 'right'], of }];
  });
  return [...walls, ...rows];
}

/** Storey by storey from the side: each stud with its verdict, the load of the most loaded written at its head. */
export function shoresBeside(plan: Plan, along: (p: Vec) => number, moment: ShoreMoment): Shape[] {
  const line = shoredLine(plan);
  if (!line) return [];
  const start = along(line.from);
  const sense = Math.sign(along(add(line.from, line.along)) - start) || 1;
  const shapes: Shape[] = [];
  let floor = 0;
  for (const storey of plan.shoring.storeys) {
    if (storey.height === null) break;
    const top = floor + storey.height;
    for (const wall of wallsOf(plan, storey)) shapes.push(...wallBeside(plan, wall, storey, { start, sense, floor, top }, moment));
    for (const row of rowsOf(plan, storey)) shapes.push(...rowBeside(plan, row, { start, sense, floor }, moment));
    floor = top + (storey.joists.depth ?? 0.2) + 0.02;
  }
  return shapes;
}

interface Frame {
  start: number;
  sense: number;
  floor: number;
}

const upright = (x: number, width: number, low: number, high: number): Vec[] => [
  { x: x - width / 2, y: low },
  { x: x + width / 2, y: low },
  { x: x + width / 2, y: high },
  { x: x - width / 2, y: high },
];

const heaviest = (units: { load: number | null }[]): number | null =>
  units.reduce<number | null>((most, one) => (one.load !== null && one.load > (most ?? 0) ? one.load : most), null);

function wallBeside(plan: Plan, wall: ShoreWall, storey: Storey, { start, sense, floor, top }: Frame & { top: number }, moment: ShoreMoment): Shape[] {
  const places = studPlaces(plan, wall);
  if (places instanceof Missing) return [];
  const of = { kind: 'shore' as const, id: wall.id };
  const lowest = plan.shoring.storeys[0]?.id === storey.id;
  // The two walls of a storey stand one behind the other: the far one is drawn a little to the side, thinner.
  const near = wall.side === 'left';
  const shift = near ? 0 : 0.1;
  const low = floor + wall.plate.thickness * Math.ceil(wall.plate.count / 2);
  const high = top - wall.plate.thickness * Math.floor(wall.plate.count / 2);
  const states = places.map((_, i) => (lowest ? standingOf(moment, wall.id, i + 1) : { verdict: 'clear' as const, gone: false, load: null }));
  const studs = places.map((x, i): Shape => {
    const now = states[i];
    const lost = wall.missing.includes(i + 1);
    return {
      shape: 'polygon',
      points: upright(start + sense * x + shift, near ? Math.max(0.05, wall.stud.width) : 0.03, low, high),
      style: lost ? { stroke: 'stop', width: 2, dash: 'dot' } : now?.gone ? gone : looks[now?.verdict ?? 'missing'],
      of,
    };
  });
  const ends = [places[0] ?? 0, places[places.length - 1] ?? 0].map((x) => start + sense * x + shift);
  const rails = near
    ? [low, high].map((y): Shape => ({ shape: 'line', points: ends.map((x) => ({ x, y })), style: { stroke: 'timberEdge', width: 3 }, of }))
    : [];
  const braces = Array.from({ length: near ? wall.braces : 0 }, (_, i): Shape => {
    const y = low + ((high - low) * (i + 1)) / (wall.braces + 1);
    return { shape: 'line', points: ends.map((x) => ({ x, y })), style: { stroke: 'timberEdge', width: 1.6, dash: 'dash' }, of };
  });
  const load = heaviest(states);
  const labels: Shape[] = [
    {
      shape: 'label',
      at: { x: Math.max(...ends), y: (low + high) / 2 + (near ? 0.25 : -0.25) },
      text: load === null ? wall.name : `${wall.name}: up to ${formatQuantity(load, 'force', plan.job.units)}`,
      ink: 'timberEdge',
      bold: lowest,
      sides: ['right', 'left'],
      of,
    },
  ];
  return [...studs, ...rails, ...braces, ...labels];
}

function rowBeside(plan: Plan, row: ShoreRow, { start, sense, floor }: Frame, moment: ShoreMoment): Shape[] {
  const of = { kind: 'shore' as const, id: row.id };
  const high = floor + (row.prop.length ?? row.prop.maxLength);
  const states = needlePlaces(row).map((_, i) => standingOf(moment, row.id, i + 1));
  const props = needlePlaces(row).map((x, i): Shape => {
    const now = states[i];
    return { shape: 'polygon', points: upright(start + sense * x, 0.07, floor, high), style: now?.gone ? gone : looks[now?.verdict ?? 'missing'], of };
  });
  const load = heaviest(states);
  return [
    ...props,
    {
      shape: 'label',
      at: { x: start + sense * row.from, y: high },
      text: load === null ? row.name : `${row.name}: up to ${formatQuantity(load, 'force', plan.job.units)}`,
      ink: 'timberEdge',
      bold: true,
      sides: ['above', 'left'],
      of,
    },
  ];
}
