import { readFileSync } from 'node:fs';
import { frameCases, RAIL_PARTS, type FrameCase } from '../../../tests/frame-cases';
import { attempt } from '../calc/attempt';
import { frameSway } from './sway.calc';

/** What CalculiX says, made by scripts/calculix-frames.ts. */
const told = JSON.parse(readFileSync('src/core/frame/reference/calculix.json', 'utf8')) as {
  name: string;
  alpha: number;
  goes: number[][];
  ties: Record<string, number>;
  braces: Record<string, number>;
}[];

/** Half of what lies on a rail comes down at either end; held from turning it is hogged by P·a·b²/L² of each of its loads. */
const railOf = (columns: FrameCase['columns'], { a, b, load }: NonNullable<FrameCase['rails']>[number]) => {
  const long = columns[b[0]]!.x - columns[a[0]]!.x;
  const each = (load * long) / RAIL_PARTS;
  const hogs = Array.from({ length: RAIL_PARTS - 1 }, (_, i) => (i + 1) / RAIL_PARTS).reduce((sum, at) => sum + each * at * (1 - at) ** 2 * long, 0);
  return { long, hogs, half: (load * long) / 2 };
};
/** No shortening of a rail counts. */
const FIRM = 1e9;

/** Rafters with the loads of the deck: what they do while nothing holds their ends, summed in small steps. */
const raftersOf = (columns: FrameCase['columns'], { a, b, bends, load, stiffness }: NonNullable<FrameCase['rafters']>[number]) => {
  const [from, to] = [columns[a[0]]!, columns[b[0]]!];
  const long = to.x - from.x;
  const corners = [{ x: 0, z: 0 }, ...bends, { x: long, z: to.nodes[b[1]]!.z - from.nodes[a[1]]!.z }];
  const legs = corners.slice(1).map((end, n) => ({ from: corners[n]!.x, to: end.x, low: corners[n]!.z, high: end.z, stiffness }));
  const loads = legs.flatMap(({ from: start, to: end }) => {
    const each = (load * (end - start)) / RAIL_PARTS;
    return Array.from({ length: RAIL_PARTS + 1 }, (_, i) => ({ x: start + ((end - start) * i) / RAIL_PARTS, force: i % RAIL_PARTS === 0 ? each / 2 : each }));
  });
  const left = loads.reduce((sum, { x, force }) => sum + (force * (long - x)) / long, 0);
  const moment = (x: number) => left * x - loads.reduce((sum, one) => sum + one.force * Math.max(0, x - one.x), 0);
  const gives = { near: 0, a: 0, b: 0, atPin: 0 };
  for (const leg of legs) {
    const [wide, parts] = [leg.to - leg.from, 2000];
    for (let i = 0; i < parts; i += 1) {
      const x = leg.from + (wide * (i + 0.5)) / parts;
      const turns = (moment(x) * Math.hypot(wide, leg.high - leg.low)) / parts / stiffness;
      gives.near -= turns * (leg.low + ((leg.high - leg.low) * (x - leg.from)) / wide);
      gives.a -= turns * (1 - x / long);
      gives.b -= (turns * x) / long;
    }
  }
  const all = loads.reduce((sum, one) => sum + one.force, 0);
  return { legs, gives, ends: [left, all - left] as const };
};

const solved = ({ columns, ties, braces, rails = [], rafters = [] }: FrameCase) => {
  const bent = rafters.length > 0;
  const spot = ([column, node]: readonly [number, number]) => [{ column, node, share: 1 }];
  const outcome = attempt(frameSway, {
    columns: columns.map(({ id, x, stiffness, canStand, nodes }) => ({
      id,
      x,
      y: 0,
      stiffness,
      // CalculiX holds it in the plane: square to the rails it is stiff here.
      ways: rails.length > 0 || bent ? { x: stiffness, y: 100 * stiffness } : null,
      // What holds nothing up the other way is of no account here: the push is along x.
      canStand: canStand || braces.length > 0 || rails.length > 0 || bent,
      nodes: nodes.map(({ z, down, push }, n) => ({
        z,
        down:
          down +
          rails.reduce((sum, rail) => sum + ([rail.a, rail.b].some(([of, at]) => columns[of]!.id === id && at === n) ? railOf(columns, rail).half : 0), 0) +
          rafters.reduce(
            (sum, one) =>
              sum + [one.a, one.b].reduce((all, [of, at], end) => all + (columns[of]!.id === id && at === n ? raftersOf(columns, one).ends[end]! : 0), 0),
            0,
          ),
        pushX: push,
        pushY: 0,
      })),
    })),
    ties: [
      ...ties.map(({ id, a, b, stiffness }) => ({ id, a: spot(a), b: spot(b), stiffness })),
      ...rails.map(({ id, a, b }) => ({ id, a: spot(a), b: spot(b), stiffness: FIRM })),
    ],
    rails: rails.map((rail) => {
      const { hogs } = railOf(columns, rail);
      const end = ([column, node]: readonly [number, number]) => ({ column, node });
      return { id: rail.id, a: end(rail.a), b: end(rail.b), stiffness: rail.stiffness, keeps: { a: true, b: true }, ends: { a: hogs, b: hogs } };
    }),
    rafters: rafters.map((one) => {
      const { legs, gives } = raftersOf(columns, one);
      const end = ([column, node]: readonly [number, number]) => ({ column, node });
      return { id: one.id, a: end(one.a), b: end(one.b), keeps: { a: true, b: true }, legs, pin: null, gives };
    }),
    braces: braces.map(({ id, a, slopeDeg, towards, stiffness, pullsOnly }) => {
      const slope = (slopeDeg * Math.PI) / 180;
      return { id, a: spot(a), b: null, towards: { x: towards * Math.cos(slope), y: 0, z: Math.sin(slope) }, stiffness, pullsOnly };
    }),
  });
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output;
};

const within = (ratio: number, least: number, most: number): void => {
  expect(ratio).toBeGreaterThan(least);
  expect(ratio).toBeLessThan(most);
};

/** What weighs is taken by the straight line between two nodes of a column: how far it goes is right to 3 %, moments lie up to 5 % on the safe side, and it never stands more than it does. */
describe('a frame pushed sideways, against CalculiX with large displacements', () => {
  test.each(frameCases.map((one) => [one.name, one] as const))('%s', (name, one) => {
    const { goes, ties, braces } = told.find((of) => of.name === name)!;
    const found = solved(one);
    within(found.drift / Math.max(...goes.flat()), 0.97, 1.03);
    for (const { id, pull } of found.ties.filter(({ id: of }) => one.ties.some((tie) => tie.id === of))) within(pull / ties[id]!, 0.99, 1.01);
    for (const { id, pull } of found.braces) within(pull / braces[id]!, 0.99, 1.01);
    // The foot of what stands by itself turns what is pushed, and what weighs where it went.
    one.columns.forEach(({ canStand, nodes }, c) => {
      const turned = nodes.reduce((sum, { z, push, down }, n) => sum + push * z + down * goes[c]![n]!, 0);
      if (canStand) within(found.columns[c]!.footMoment / turned, 0.995, 1.05);
      else expect(found.columns[c]!.footMoment).toBeCloseTo(0, 6);
    });
  });
  // Of braced frames ours is the sway in any direction, and CalculiX was held in the plane.
  test.each(frameCases.filter(({ braces }) => braces.length === 0).map((one) => [one.name, one] as const))(
    'sways by itself at as many times its weights: %s',
    (name, one) => {
      within(solved(one).alpha! / told.find((of) => of.name === name)!.alpha, 0.85, 1.002);
    },
  );
});
