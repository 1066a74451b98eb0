/**
 * Makes the decks and results that the frame pushed sideways is held against: npx tsx scripts/calculix-frames.ts (needs Debian's
 * calculix-ccx). Columns are slender B32 beams, so thin that shear counts for nothing, with the stiffness put into the modulus; ties
 * and braces are springs along themselves, a brace so long that it keeps its slope. How far it goes is a step with large displacements,
 * at how many times its weights it sways by itself a buckling step with the weights alone.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { frameCases, RAIL_PARTS, type FrameCase } from '../tests/frame-cases';

const DEEP = 0.03;
const PARTS = 12;
/** So far off a brace is anchored that it turns by nothing [m]. */
const FAR = 1e4;

function deckOf(one: FrameCase): { statics: string; buckling: string; nodeAt: number[][] } {
  const nodes: string[] = [];
  const cards: string[] = [];
  const fixed: string[] = [];
  const node = (x: number, z: number): number => nodes.push(`${nodes.length + 1}, ${x.toFixed(9)}, 0., ${z.toFixed(9)}`);
  const nodeAt: number[][] = [];
  const columns: number[] = [];
  let element = 0;
  for (const { id, x, stiffness, canStand, nodes: at } of one.columns) {
    let last = node(x, 0);
    columns.push(last);
    fixed.push(`${last}, 1, 3`, canStand ? `${last}, 4, 6` : `${last}, 4`, `${last}, 6`);
    const own: string[] = [];
    const told: number[] = [];
    let from = 0;
    for (const { z } of at) {
      for (let i = 1; i <= PARTS; i += 1) {
        const [a, b] = [from + ((z - from) * (i - 1)) / PARTS, from + ((z - from) * i) / PARTS];
        const middle = node(x, (a + b) / 2);
        const to = node(x, b);
        columns.push(middle, to);
        element += 1;
        own.push(`${element}, ${last}, ${middle}, ${to}`);
        last = to;
      }
      told.push(last);
      from = z;
    }
    nodeAt.push(told);
    cards.push(`*ELEMENT, TYPE=B32, ELSET=E${id}`, ...own);
    cards.push(
      `*MATERIAL, NAME=M${id}\n*ELASTIC\n${((12 * stiffness) / DEEP ** 4).toExponential(9)}, 0.`,
      `*BEAM SECTION, ELSET=E${id}, MATERIAL=M${id}, SECTION=RECT\n${DEEP}, ${DEEP}\n1., 0., 0.`,
    );
  }
  const onRails: { node: number; force: number }[] = [];
  for (const { id, a, b, stiffness, load } of one.rails ?? []) {
    const [from, to] = [one.columns[a[0]]!, one.columns[b[0]]!];
    const z = from.nodes[a[1]]!.z;
    const long = to.x - from.x;
    const own: string[] = [];
    const along = [nodeAt[a[0]]![a[1]]!];
    for (let i = 1; i <= RAIL_PARTS; i += 1) {
      const last = along.at(-1)!;
      const middle = node(from.x + (long * (i - 0.5)) / RAIL_PARTS, z);
      const next = i === RAIL_PARTS ? nodeAt[b[0]]![b[1]]! : node(from.x + (long * i) / RAIL_PARTS, z);
      columns.push(middle, next);
      element += 1;
      own.push(`${element}, ${last}, ${middle}, ${next}`);
      along.push(next);
    }
    along.forEach((at, i) => onRails.push({ node: at, force: (load * long) / RAIL_PARTS / (i === 0 || i === RAIL_PARTS ? 2 : 1) }));
    cards.push(
      `*ELEMENT, TYPE=B32, ELSET=E${id}`,
      ...own,
      `*MATERIAL, NAME=M${id}\n*ELASTIC\n${((12 * stiffness) / DEEP ** 4).toExponential(9)}, 0.`,
      `*BEAM SECTION, ELSET=E${id}, MATERIAL=M${id}, SECTION=RECT\n${DEEP}, ${DEEP}\n0., 0., 1.`,
    );
  }
  for (const { id, a, b, bends, stiffness, load } of one.rafters ?? []) {
    const [from, to] = [one.columns[a[0]]!, one.columns[b[0]]!];
    const z = from.nodes[a[1]]!.z;
    const corners = [{ x: 0, z: 0 }, ...bends, { x: to.x - from.x, z: to.nodes[b[1]]!.z - z }];
    cards.push(`*ELEMENT, TYPE=B32, ELSET=E${id}`);
    let last = nodeAt[a[0]]![a[1]]!;
    corners.slice(1).forEach((end, n) => {
      const start = corners[n]!;
      const spot = (share: number) => [from.x + start.x + (end.x - start.x) * share, z + start.z + (end.z - start.z) * share] as const;
      const each = (load * (end.x - start.x)) / RAIL_PARTS;
      onRails.push({ node: last, force: each / 2 });
      for (let i = 1; i <= RAIL_PARTS; i += 1) {
        const middle = node(...spot((i - 0.5) / RAIL_PARTS));
        const next = i === RAIL_PARTS && n === corners.length - 2 ? nodeAt[b[0]]![b[1]]! : node(...spot(i / RAIL_PARTS));
        columns.push(middle, next);
        element += 1;
        cards.push(`${element}, ${last}, ${middle}, ${next}`);
        onRails.push({ node: next, force: i === RAIL_PARTS ? each / 2 : each });
        last = next;
      }
    });
    cards.push(
      `*MATERIAL, NAME=M${id}\n*ELASTIC\n${((12 * stiffness) / DEEP ** 4).toExponential(9)}, 0.`,
      `*BEAM SECTION, ELSET=E${id}, MATERIAL=M${id}, SECTION=RECT\n${DEEP}, ${DEEP}\n0., 1., 0.`,
    );
  }
  const spring = (id: string, a: number, b: number, stiffness: number) => {
    element += 1;
    cards.push(`*ELEMENT, TYPE=SPRINGA, ELSET=S${id}\n${element}, ${a}, ${b}`, `*SPRING, ELSET=S${id}\n\n${stiffness.toExponential(9)}`);
  };
  for (const { id, a, b, stiffness } of one.ties) spring(id, nodeAt[a[0]]![a[1]]!, nodeAt[b[0]]![b[1]]!, stiffness);
  for (const { id, a, slopeDeg, towards, stiffness } of one.braces) {
    const column = one.columns[a[0]]!;
    const slope = (slopeDeg * Math.PI) / 180;
    const anchor = node(column.x + towards * FAR * Math.cos(slope), column.nodes[a[1]]!.z + FAR * Math.sin(slope));
    fixed.push(`${anchor}, 1, 3`);
    spring(id, nodeAt[a[0]]![a[1]]!, anchor, stiffness);
  }
  const model = ['*NODE, NSET=ALL', ...nodes, ...cards, '*BOUNDARY', ...fixed, ...columns.map((n) => `${n}, 2`)];
  const loads = (pushed: boolean): string[] => {
    const all = new Map<string, number>();
    const put = (at: number, way: 1 | 3, force: number) => {
      if (force !== 0) all.set(`${at}, ${way}`, (all.get(`${at}, ${way}`) ?? 0) + force);
    };
    one.columns.forEach((column, c) =>
      column.nodes.forEach(({ down, push }, n) => {
        put(nodeAt[c]![n]!, 3, -down);
        if (pushed) put(nodeAt[c]![n]!, 1, push);
      }),
    );
    for (const { node: at, force } of onRails) put(at, 3, -force);
    return ['*CLOAD', ...[...all].map(([where, force]) => `${where}, ${force.toFixed(3)}`)];
  };
  const print = ['*NODE PRINT, NSET=ALL', 'U', '*END STEP', ''];
  return {
    statics: [...model, '*STEP, NLGEOM, INC=200', '*STATIC', '0.25, 1.', ...loads(true), ...print].join('\n'),
    buckling: [...model, '*STEP', '*BUCKLE', '1', ...loads(false), ...print].join('\n'),
    nodeAt,
  };
}

function run(deck: string, name: string): string {
  const room = mkdtempSync(join(tmpdir(), 'calculix-'));
  writeFileSync(join(room, `${name}.inp`), deck);
  const said = execFileSync('ccx', [name], { cwd: room, encoding: 'utf8' });
  if (/\*ERROR/.test(said)) throw new Error(said.slice(-800));
  return readFileSync(join(room, `${name}.dat`), 'utf8');
}

const results: object[] = [];
for (const one of frameCases) {
  const { statics, buckling, nodeAt } = deckOf(one);
  const told = run(statics, one.name);
  // The last increment: all of the load.
  const last = told.slice(told.lastIndexOf('displacements'));
  const u = new Map(
    last
      .split('\n')
      .map((line) => line.trim().split(/\s+/).map(Number))
      .filter((figures) => figures.length === 4 && figures.every(Number.isFinite))
      .map(([id, x, , z]): [number, { x: number; z: number }] => [id!, { x: x!, z: z! }]),
  );
  const factor = /^\s*1\s+([\d.E+-]+)\s*$/m.exec(run(buckling, one.name).split('B U C K L I N G')[1] ?? '')?.[1];
  const at = ([column, n]: readonly [number, number]) => u.get(nodeAt[column]![n]!)!;
  writeFileSync(`src/core/frame/reference/${one.name}.inp`, statics);
  results.push({
    name: one.name,
    alpha: Number(factor),
    goes: one.columns.map((column, c) => column.nodes.map((_, n) => at([c, n]).x)),
    ties: Object.fromEntries(one.ties.map(({ id, a, b, stiffness }) => [id, stiffness * (at(b).x - at(a).x)])),
    braces: Object.fromEntries(
      one.braces.map(({ id, a, slopeDeg, towards, stiffness }) => {
        const slope = (slopeDeg * Math.PI) / 180;
        return [id, -stiffness * (at(a).x * towards * Math.cos(slope) + at(a).z * Math.sin(slope))];
      }),
    ),
  });
}
writeFileSync('src/core/frame/reference/calculix.json', `${JSON.stringify(results, null, 1)}\n`);
console.log(JSON.stringify(results, null, 1));
