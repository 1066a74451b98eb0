import { findSection } from '../../steel/sections';
import type { NewPlan } from '../../document/new-plan';
import type { Beam, Brace, Plan } from '../../document/schema';
import { emptyPlan, newJoint, newMake, newSupport, NotSo, RunSheet } from './base';

/** Columns on a grid, beams between them at each level, and lighter beams from beam to beam. */
export interface FrameAsked {
  /** grade of the steel; empty: not said yet */
  grade: string;
  /** from column to column along the frame [m], one for each bay */
  bays: number[];
  /** from row to row of columns [m]; two rows at least */
  rows: number[];
  /** height of the top of the steel over the bases [m], lowest first */
  levels: number[];
  column: string;
  beam: string;
  /** in each bay, evenly, from one row to the next; their section may be another */
  between: number;
  betweenSection: string;
}

const letter = (i: number): string => (i < 26 ? String.fromCharCode(65 + i) : `${letter(Math.floor(i / 26) - 1)}${String.fromCharCode(65 + (i % 26))}`);
const running = (parts: readonly number[]): number[] => parts.reduce<number[]>((at, one) => [...at, at[at.length - 1]! + one], [0]);
const MOST = 1000;

/** A frame that stands in the order it goes up: the first bay, its guys, then bay by bay; all that nobody has said is left open. */
export function framePlan(job: NewPlan, asked: FrameAsked): Plan {
  const { bays, rows, levels, between, grade } = asked;
  if (bays.length === 0 || rows.length === 0) throw new NotSo('A frame has two rows of columns and one bay at least.');
  if (levels.length === 0) throw new NotSo('Give the height of one level at least.');
  if (levels.some((level, i) => i > 0 && level <= levels[i - 1]!)) throw new NotSo('Give the levels from the lowest to the highest.');
  sectionOf(asked.column, 'columns');
  const deep = { beam: sectionOf(asked.beam, 'beams').depth, between: between > 0 ? sectionOf(asked.betweenSection, 'beams between').depth : 0 };
  if (levels.some((level, i) => level - (levels[i - 1] ?? 0) <= Math.max(deep.beam, deep.between)))
    throw new NotSo('Two levels, or a level and the bases, are no further apart than the beams are deep.');
  const xs = running(bays);
  const ys = running(rows);
  const count = xs.length * ys.length + levels.length * (bays.length * ys.length + xs.length * rows.length + between * bays.length * rows.length);
  if (count > MOST) throw new NotSo(`That is ${count} pieces: begin with ${MOST} at most and add to it.`);

  const plan = emptyPlan(job);
  const { structure } = plan;
  const sheet = new RunSheet();
  const top = levels[levels.length - 1]!;
  const columnAt = (i: number, j: number) => `col-${i}-${j}`;
  const made = (section: string) => ({ kind: 'section' as const, section });
  const makeOf = (kind: string, mark: string, section: string, length: number): string => {
    const id = `make-${kind}-${Math.round(length * 1e4)}`;
    if (!structure.makes.some((one) => one.id === id)) {
      const alike = structure.makes.filter((one) => one.id.startsWith(`make-${kind}-`)).length;
      structure.makes.push(newMake(id, alike === 0 ? mark : `${mark}${alike + 1}`, made(section), length, grade));
    }
    return id;
  };

  for (const i of xs.keys())
    for (const j of ys.keys()) {
      const id = columnAt(i, j);
      const name = `${letter(i)}${j + 1}`;
      const at = { x: xs[i]!, y: ys[j]! };
      structure.pieces.push({
        id,
        mark: `C-${name}`,
        make: makeOf('column', 'C', asked.column, top),
        weighed: null,
        from: { ...at, z: 0 },
        to: { ...at, z: top },
      });
      structure.supports.push({ ...newSupport(`base-${i}-${j}`, `Base ${name}`, 'anchors', id, 0), along: 'fixed' });
    }

  /** joints of each beam, by its id */
  const joints = new Map<string, string[]>();
  const beam = (piece: Beam, ends: readonly [string, string], kind: 'onColumn' | 'onWeb', where: readonly [number, number]): void => {
    structure.pieces.push(piece);
    const long = structure.makes.find(({ id }) => id === piece.make)!.length;
    joints.set(
      piece.id,
      ends.map((other, n) => {
        const id = `${piece.id}-j${n + 1}`;
        structure.joints.push(
          newJoint(id, `${piece.mark}, ${n === 0 ? 'first' : 'second'} end`, kind, { piece: piece.id, at: n * long }, { piece: other, at: where[n]! }),
        );
        return id;
      }),
    );
  };
  for (const [k, level] of levels.entries()) {
    const tag = levels.length > 1 ? `${k + 1}` : '';
    const z = level - deep.beam;
    const onColumn = level - deep.beam / 2;
    for (const j of ys.keys())
      for (const [i, bay] of bays.entries()) {
        const id = `along-${k}-${i}-${j}`;
        beam(
          {
            id,
            mark: `B${tag}-${letter(i)}${letter(i + 1)}${j + 1}`,
            make: makeOf('beam', 'B', asked.beam, bay),
            weighed: null,
            from: { x: xs[i]!, y: ys[j]!, z },
            to: { x: xs[i + 1]!, y: ys[j]!, z },
          },
          [columnAt(i, j), columnAt(i + 1, j)],
          'onColumn',
          [onColumn, onColumn],
        );
      }
    for (const i of xs.keys())
      for (const [j, row] of rows.entries()) {
        const id = `across-${k}-${i}-${j}`;
        beam(
          {
            id,
            mark: `B${tag}-${letter(i)}${j + 1}${j + 2}`,
            make: makeOf('beam', 'B', asked.beam, row),
            weighed: null,
            from: { x: xs[i]!, y: ys[j]!, z },
            to: { x: xs[i]!, y: ys[j + 1]!, z },
          },
          [columnAt(i, j), columnAt(i, j + 1)],
          'onColumn',
          [onColumn, onColumn],
        );
      }
    for (const [i, bay] of bays.entries())
      for (const [j, row] of rows.entries())
        for (let n = 1; n <= between; n += 1) {
          const at = (bay * n) / (between + 1);
          const x = xs[i]! + at;
          const low = level - deep.between;
          beam(
            {
              id: `between-${k}-${i}-${j}-${n}`,
              mark: `J${tag}-${letter(i)}${j + 1}.${n}`,
              make: makeOf('between', 'J', asked.betweenSection, row),
              weighed: null,
              from: { x, y: ys[j]!, z: low },
              to: { x, y: ys[j + 1]!, z: low },
            },
            [`along-${k}-${i}-${j}`, `along-${k}-${i}-${j + 1}`],
            'onWeb',
            [at, at],
          );
        }
  }

  // The first four columns are guyed both ways before the frame goes on; its last row gets a guy of its own.
  const last = ys.length - 1;
  structure.braces.push(
    guy('guy-1', `Guy at A1, along`, columnAt(0, 0), onGuy(levels), 180),
    guy('guy-2', `Guy at A1, across`, columnAt(0, 0), onGuy(levels), 270),
    guy('guy-3', `Guy at A2, across`, columnAt(0, 1), onGuy(levels), 90),
    guy('guy-4', `Guy at B1, along`, columnAt(1, 0), onGuy(levels), 0),
    ...(last > 1 ? [guy('guy-5', `Guy at A${last + 1}, across`, columnAt(0, last), onGuy(levels), 90)] : []),
  );

  sheet.put(...structure.supports.map(({ id }) => ({ kind: 'support.ready' as const, support: id })));
  const begun: string[] = [];
  const standing = new Set<string>();
  const set = (id: string, ...needs: string[]): void => {
    if (standing.has(id) || !needs.every((one) => standing.has(one))) return;
    standing.add(id);
    const own = joints.get(id);
    sheet.set(id, own);
    begun.push(...(own ?? []));
  };
  /** Columns, and all beams that may then hang between what stands. */
  const raise = (is: readonly number[], js: readonly number[]): void => {
    for (const i of is) for (const j of js) set(columnAt(i, j));
    for (const k of levels.keys()) {
      for (const i of xs.keys()) {
        for (const j of rows.keys()) set(`across-${k}-${i}-${j}`, columnAt(i, j), columnAt(i, j + 1));
        if (i > 0) for (const j of ys.keys()) set(`along-${k}-${i - 1}-${j}`, columnAt(i - 1, j), columnAt(i, j));
      }
    }
  };
  const fix = (...ids: string[]) => sheet.put(...ids.map((brace) => ({ kind: 'brace.fix' as const, brace })));
  const infill = (): void => {
    for (const k of levels.keys())
      for (const i of bays.keys())
        for (const j of rows.keys())
          for (let n = 1; n <= between; n += 1) set(`between-${k}-${i}-${j}-${n}`, `along-${k}-${i}-${j}`, `along-${k}-${i}-${j + 1}`);
  };
  raise([0, 1], [0, 1]);
  fix('guy-1', 'guy-2', 'guy-3', 'guy-4');
  for (let j = 2; j <= last; j += 1) raise([0, 1], [j]);
  if (last > 1) fix('guy-5');
  infill();
  for (let i = 2; i < xs.length; i += 1) {
    raise([i], [...ys.keys()]);
    infill();
  }
  sheet.put(...structure.pieces.filter(({ id }) => id.startsWith('col-')).map(({ id }) => ({ kind: 'beam.plumb' as const, beam: id, off: null })));
  sheet.fill(begun);
  plan.moves = sheet.moves;
  return plan;
}

/** Guys are made fast under the lowest beams, where the column stands firm first. */
const onGuy = (levels: readonly number[]): number => levels[0]! * 0.85;

const guy = (id: string, name: string, piece: string, at: number, towardsDeg: number): Brace => ({
  id,
  name,
  kind: 'guy',
  a: { piece, at },
  b: null,
  anchoredTo: '',
  towardsDeg,
  stops: 'sideways',
  capacity: null,
  stiffness: null,
});

function sectionOf(designation: string, of: string): { depth: number } {
  const section = findSection(designation);
  if (!section) throw new NotSo(`“${designation}” is not in the section tables. Which section are the ${of}?`);
  return section;
}
