import { allShores, type LinePlan } from '../document/views';
import { add, angleOf, rectangle, scale, type Vec } from '../geometry/plane';
import { Missing } from '../verdict/missing';
import type { Plan, ShoreRow, ShoreWall, Storey } from '../document/schema';
import { shoredLine } from '../edit/shore-place';
import { needlePlaces, studPlaces } from '../settle/shore-layout';
import { studLayout } from '../settle/shore-layout';
import { formatQuantity } from '../units';
import type { Shape } from './draw-list';
import { lookOf, standingOf, standsAs, type ShoreMoment, type ShoresMoment, type Standing } from './shore-moment';

export const hasShores = (plan: Plan): boolean => allShores(plan).length > 0;

const wallsOf = (plan: LinePlan, storey: Storey | undefined): ShoreWall[] => plan.shoring.walls.filter((wall) => wall.storey === storey?.id);
const rowsOf = (plan: LinePlan, storey: Storey | undefined): ShoreRow[] => plan.shoring.rows.filter((row) => row.storey === storey?.id);

/** Temporary walls, needles and props of the lowest storey, from above. */
export const shoresAbove = ({ lines }: ShoresMoment): Shape[] => lines.flatMap(lineAbove);

function lineAbove(moment: ShoreMoment): Shape[] {
  const plan = moment.line;
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
    const layout = studLayout(plan, wall);
    const studs = (layout instanceof Missing ? [] : layout).map(({ x, number, together }): Shape => {
      const lost = wall.missing.includes(number);
      return {
        shape: 'polygon',
        points: rectangle(spot(x, off), wall.stud.width * together, wall.stud.depth, angleOf(along)),
        style: lost ? { stroke: 'stop', width: 2, dash: 'dot' } : lookOf(standingOf(moment, wall.id, number)),
        of,
      };
    });
    const headers = wall.gaps.flatMap(({ from, to }): Shape[] => {
      const [a, b] = places instanceof Missing ? [] : [places[from - 2], places[to]];
      return a === undefined || b === undefined
        ? []
        : [
            {
              shape: 'polygon',
              points: rectangle(spot((a + b) / 2, off), b - a, wall.stud.depth * 0.5, angleOf(along)),
              style: { fill: 'timber', stroke: 'timberEdge', width: 1.2 },
              of,
            },
          ];
    });
    // Its name on the far side from the line, where nothing else of the shores stands.
    const up = scale(left, off).y >= 0;
    const label: Shape = {
      shape: 'label',
      at: spot(length * 0.2, off + Math.sign(off) * 0.12),
      text: `${wall.name}, ${formatQuantity(wall.setback, 'length', plan.job.units)} back`,
      ink: 'timberEdge',
      sides: up ? ['above', 'right', 'left'] : ['below', 'right', 'left'],
      of,
    };
    return [band, ...headers, ...studs, label];
  });
  const rows = rowsOf(plan, lowest).flatMap((row): Shape[] => {
    const of = { kind: 'shore' as const, id: row.id };
    const needles = needlePlaces(row).flatMap((x, i): Shape[] => {
      const now = standingOf(moment, row.id, i + 1);
      const style = lookOf(now);
      return [
        {
          shape: 'line',
          points: [spot(x, row.arms.left + 0.15), spot(x, -row.arms.right - 0.15)],
          style: { ...style, fill: undefined, stroke: now.now === 'gone' ? 'pencil' : row.needle.kind === 'steel' ? 'steelEdge' : 'timberEdge', width: 3 },
          of,
        },
        ...[row.arms.left, -row.arms.right].map((off): Shape => ({ shape: 'polygon', points: rectangle(spot(x, off), 0.14, 0.14, angleOf(along)), style, of })),
      ];
    });
    return [...needles, { shape: 'label', at: spot(row.from, row.arms.left + 0.2), text: row.name, ink: 'timberEdge', sides: ['above', 'left', 'right'], of }];
  });
  const old: Shape[] = moment.state.open
    ? []
    : [
        {
          shape: 'polygon',
          points: rectangle(spot(length / 2, 0), length, 0.2, angleOf(along)),
          style: { fill: 'faint', stroke: 'pencil', width: 1, hatch: true },
        },
        { shape: 'label', at: spot(length * 0.7, 0), text: 'still carried by what is to go', ink: 'pencil', sides: ['below', 'above', 'right'] },
      ];
  return [...old, ...walls, ...rows];
}

/** Storey by storey from the side: each stud with its verdict, the load of the most loaded written at its head. */
export const shoresBeside = ({ lines }: ShoresMoment, along: (p: Vec) => number): Shape[] => lines.flatMap((moment) => lineBeside(moment, along));

function lineBeside(moment: ShoreMoment, along: (p: Vec) => number): Shape[] {
  const plan = moment.line;
  const line = shoredLine(plan);
  if (!line) return [];
  const start = along(line.from);
  // As much of its length as is seen from there: a line across the look is seen end on.
  const sense = along(add(line.from, line.along)) - start;
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

function wallBeside(plan: LinePlan, wall: ShoreWall, storey: Storey, { start, sense, floor, top }: Frame & { top: number }, moment: ShoreMoment): Shape[] {
  const places = studPlaces(plan, wall);
  const layout = studLayout(plan, wall);
  if (places instanceof Missing || layout instanceof Missing) return [];
  const of = { kind: 'shore' as const, id: wall.id };
  const lowest = plan.shoring.storeys[0]?.id === storey.id;
  // The two walls of a storey stand one behind the other: the far one is drawn a little to the side, thinner.
  const near = wall.side === 'left';
  const shift = near ? 0 : 0.1;
  const low = floor + wall.plate.thickness * Math.ceil(wall.plate.count / 2);
  const high = top - wall.plate.thickness * Math.floor(wall.plate.count / 2);
  const states = layout.map(({ number }): Standing => standingOf(moment, wall.id, number));
  const studs = layout.map(({ x, number, together }, i): Shape => ({
    shape: 'polygon',
    points: upright(start + sense * x + shift, near ? Math.max(0.05, wall.stud.width) * together : 0.03 * together, low, high),
    style: wall.missing.includes(number) ? { stroke: 'stop', width: 2, dash: 'dot' } : lookOf(states[i]!),
    of,
  }));
  const headers = wall.gaps.flatMap(({ from, to, header }): Shape[] => {
    const [a, b] = [places[from - 2], places[to]];
    if (a === undefined || b === undefined) return [];
    const middle = start + (sense * (a + b)) / 2 + shift;
    return [{ shape: 'polygon', points: upright(middle, b - a, high - header.depth, high), style: { fill: 'timber', stroke: 'timberEdge', width: 1.2 }, of }];
  });
  const ends = [places[0] ?? 0, places[places.length - 1] ?? 0].map((x) => start + sense * x + shift);
  const rails = near
    ? [low, high].map((y): Shape => ({ shape: 'line', points: ends.map((x) => ({ x, y })), style: { stroke: 'timberEdge', width: 3 }, of }))
    : [];
  const braces = Array.from({ length: near ? wall.braces : 0 }, (_, i): Shape => {
    const y = low + ((high - low) * (i + 1)) / (wall.braces + 1);
    return { shape: 'line', points: ends.map((x) => ({ x, y })), style: { stroke: 'timberEdge', width: 1.6, dash: 'dash' }, of };
  });
  const labels: Shape[] = [
    {
      shape: 'label',
      at: { x: Math.max(...ends), y: (low + high) / 2 + (near ? 0.25 : -0.25) },
      text: standsAs(wall.name, states, (load) => formatQuantity(load, 'force', plan.job.units)),
      ink: 'timberEdge',
      bold: lowest,
      sides: ['right', 'left'],
      of,
    },
  ];
  return [...studs, ...headers, ...rails, ...braces, ...labels];
}

function rowBeside(plan: LinePlan, row: ShoreRow, { start, sense, floor }: Frame, moment: ShoreMoment): Shape[] {
  const of = { kind: 'shore' as const, id: row.id };
  const high = floor + (row.prop.length ?? (row.prop.kind === 'steel' ? row.prop.maxLength : 2.4));
  const states = needlePlaces(row).map((_, i) => standingOf(moment, row.id, i + 1));
  const props = needlePlaces(row).map((x, i): Shape => {
    const now = states[i];
    return { shape: 'polygon', points: upright(start + sense * x, 0.07, floor, high), style: lookOf(now!), of };
  });
  return [
    ...props,
    {
      shape: 'label',
      at: { x: start + sense * row.from, y: high },
      text: standsAs(row.name, states, (load) => formatQuantity(load, 'force', plan.job.units)),
      ink: 'timberEdge',
      bold: true,
      sides: ['above', 'left'],
      of,
    },
  ];
}
