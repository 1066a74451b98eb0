/**
 * Makes the decks and results that the line solver is held against: npx tsx scripts/calculix.ts (needs Debian's calculix-ccx).
 * Slender B32 beams, so thin that shear counts for nothing, with the stiffness put into the modulus; a joint with an angle is a kink
 * of the unstressed axis; a pin is two nodes of one height. Which supports touch is found here by CalculiX's own reactions and
 * heights, not by the solver under test.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { calculixCases, type CalculixCase } from '../tests/calculix-cases';

const DEEP = 0.03;
const GRAVITY = 9.80665;
const PARTS = 72;

interface Deck {
  text: string;
  /** node and unstressed height of each support and of each joint, by name */
  seats: Map<string, { node: number; axis: number; own: number }>;
  joints: { x: number; node: number; axis: number }[];
}

function deckOf({ pieces, supports, joints }: CalculixCase, touching: ReadonlySet<string>): Deck {
  const nodes: string[] = [];
  const cards: string[] = [];
  const sections: string[] = [];
  const equations: string[] = [];
  const boundary: string[] = [];
  const forces: string[] = [];
  const seats: Deck['seats'] = new Map();
  const told: Deck['joints'] = [];
  let axis = 0;
  let lean = 0;
  let last: number | null = null;
  let elements = 0;
  const node = (x: number, y: number): number => nodes.push(`${nodes.length + 1}, ${x.toFixed(9)}, ${y.toFixed(9)}, 0.`);
  for (const piece of pieces) {
    const joint = joints.find(({ x }) => Math.abs(x - piece.from) < 1e-9);
    if (joint) lean += joint.angle ?? 0;
    const start = axis;
    const heightAt = (x: number) => start + lean * (x - piece.from);
    const cuts = [
      ...supports.map(({ x }) => x),
      ...piece.loads.map(({ x }) => x),
      ...Array.from({ length: PARTS + 1 }, (_, i) => piece.from + ((piece.to - piece.from) * i) / PARTS),
    ]
      .filter((x) => x >= piece.from && x <= piece.to)
      .sort((a, b) => a - b)
      .filter((x, i, all) => i === 0 || x - all[i - 1]! > 1e-9);
    let at: number = joint && joint.angle !== null && last !== null ? last : node(piece.from, start);
    if (joint && joint.angle === null && last !== null) equations.push(`*EQUATION\n2\n${at}, 2, 1., ${last}, 2, -1.`);
    else boundary.push(`${at}, 4`);
    const byX = new Map([[piece.from, at]]);
    const own: string[] = [];
    for (const [i, x] of cuts.slice(1).entries()) {
      const from = cuts[i]!;
      const middle = node((from + x) / 2, heightAt((from + x) / 2));
      const to = node(x, heightAt(x));
      elements += 1;
      own.push(`${elements}, ${at}, ${middle}, ${to}`);
      byX.set(x, to);
      at = to;
    }
    const nodeAt = (x: number) => [...byX].find(([one]) => Math.abs(one - x) < 1e-9)?.[1];
    for (const { id, x } of supports) {
      const found = nodeAt(x);
      if (found === undefined) continue;
      // CalculiX tells the force of a node without the load put at that node: a sixth of each element beside it.
      const beside = cuts.findIndex((one) => Math.abs(one - x) < 1e-9);
      const reach = (cuts[beside + 1] ?? x) - (cuts[beside - 1] ?? x);
      seats.set(id, { node: found, axis: heightAt(x), own: (piece.stretches[0]!.load * reach) / 6 });
    }
    for (const { x, force } of piece.loads) forces.push(`${nodeAt(x)}, 2, ${-force}.`);
    const { stiffness, load } = piece.stretches[0]!;
    cards.push(`*ELEMENT, TYPE=B32, ELSET=E${piece.id}`, ...own);
    sections.push(
      `*MATERIAL, NAME=M${piece.id}\n*ELASTIC\n${((12 * stiffness) / DEEP ** 4).toExponential(9)}, 0.`,
      `*DENSITY\n${(load / (DEEP * DEEP * GRAVITY)).toExponential(9)}`,
      `*BEAM SECTION, ELSET=E${piece.id}, MATERIAL=M${piece.id}, SECTION=RECT\n${DEEP}, ${DEEP}\n0., 0., 1.`,
    );
    axis = heightAt(piece.to);
    if (pieces.some(({ from }) => Math.abs(from - piece.to) < 1e-9)) told.push({ x: piece.to, node: at, axis });
    last = at;
  }
  const text = [
    '*NODE, NSET=ALL',
    ...nodes,
    ...cards,
    ...sections,
    ...equations,
    '*BOUNDARY',
    ...nodes.map((_, i) => `${i + 1}, 3`),
    ...pieces.map((_, i) => (i === 0 ? '1, 1' : '')).filter(Boolean),
    ...equations.map((one) => `${one.split('\n')[2]!.split(',')[0]}, 1`),
    ...boundary,
    '*STEP',
    '*STATIC',
    '*BOUNDARY',
    ...supports.flatMap(({ id, level }) => (touching.has(id) ? [`${seats.get(id)!.node}, 2, 2, ${(level - seats.get(id)!.axis).toFixed(12)}`] : [])),
    '*DLOAD',
    ...pieces.map(({ id }) => `E${id}, GRAV, ${GRAVITY}, 0., -1., 0.`),
    ...(forces.length > 0 ? ['*CLOAD', ...forces] : []),
    '*NODE PRINT, NSET=ALL',
    'U',
    '*NODE PRINT, NSET=ALL',
    'RF',
    '*END STEP',
    '',
  ].join('\n');
  return { text, seats, joints: told };
}

function run(deck: string): { u: Map<number, number>; rf: Map<number, number> } {
  const room = mkdtempSync(join(tmpdir(), 'calculix-'));
  writeFileSync(join(room, 'line.inp'), deck);
  const said = execFileSync('ccx', ['line'], { cwd: room, encoding: 'utf8' });
  if (/\*ERROR/.test(said)) throw new Error(said.slice(-600));
  const [u, rf] = [new Map<number, number>(), new Map<number, number>()];
  let into: Map<number, number> | null = null;
  for (const line of readFileSync(join(room, 'line.dat'), 'utf8').split('\n')) {
    if (line.includes('displacements')) into = u;
    else if (line.includes('forces')) into = rf;
    const figures = line.trim().split(/\s+/).map(Number);
    if (into && figures.length >= 4 && figures.every(Number.isFinite)) into.set(figures[0]!, figures[2]!);
  }
  return { u, rf };
}

const results: object[] = [];
for (const one of calculixCases) {
  const touching = new Set(one.supports.map(({ id }) => id));
  for (let round = 0; round < 30; round += 1) {
    const { text, seats, joints } = deckOf(one, touching);
    const { u, rf } = run(text);
    const wrong = one.supports.filter(({ id, level }) => {
      const { node, axis, own } = seats.get(id)!;
      return touching.has(id) ? (rf.get(node) ?? 0) + own < 0 : axis + (u.get(node) ?? 0) < level - 1e-9;
    });
    const [first] = wrong;
    if (first) {
      if (touching.has(first.id)) touching.delete(first.id);
      else touching.add(first.id);
      continue;
    }
    writeFileSync(`src/core/stage/reference/${one.name}.inp`, text);
    results.push({
      name: one.name,
      reactions: Object.fromEntries(one.supports.map(({ id }) => [id, touching.has(id) ? (rf.get(seats.get(id)!.node) ?? 0) + seats.get(id)!.own : 0])),
      heights: joints.map(({ x, node, axis }) => ({ x, height: axis + (u.get(node) ?? 0) })),
    });
    break;
  }
}
writeFileSync('src/core/stage/reference/calculix.json', `${JSON.stringify(results, null, 1)}\n`);
console.log(`${results.length} of ${calculixCases.length} cases`);
