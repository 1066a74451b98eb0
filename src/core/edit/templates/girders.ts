import { findSection } from '../../steel/sections';
import { formatQuantity } from '../../units';
import type { NewPlan } from '../../document/new-plan';
import type { Make, Plan } from '../../document/schema';
import { emptyPlan, newJoint, newMake, newSupport, NotSo, RunSheet } from './base';

/** Girder lines side by side over piers, in one piece each or spliced in the air beside bents. */
export interface GirdersAsked {
  /** grade of the steel; empty: not said yet */
  grade: string;
  /** girder lines side by side */
  lines: number;
  /** from line to line [m]; null where there is one */
  apart: number | null;
  /** from pier to pier [m] */
  spans: number[];
  /** how far the girder runs past its first and its last bearing [m] */
  past: number;
  /** level of the bearings over the ground the crane stands on [m] */
  level: number;
  made: Make['made'];
  /** splices, from the first bearing [m] */
  splices: number[];
  /** bents, from the first bearing [m] */
  bents: number[];
  /** cross-frames from line to line, from the first bearing [m] */
  crossFrames: number[];
}

const MOST = 600;

/** The girders in the order they go up: line by line, piece by piece, cross-frames as soon as the next line is there, splices filled, bents struck. */
export function girdersPlan(job: NewPlan, asked: GirdersAsked): Plan {
  const { lines, apart, spans, past, level, made, grade, splices, bents, crossFrames } = asked;
  if (lines < 1 || spans.length === 0) throw new NotSo('Give one girder line and one span at least.');
  if (lines > 1 && apart === null) throw new NotSo('How far apart are the girder lines?');
  const total = spans.reduce((sum, one) => sum + one, 0);
  const long = total + 2 * past;
  const show = (at: number) => formatQuantity(at, 'length', job.units);
  if (made.kind === 'section' && !findSection(made.section)) throw new NotSo(`“${made.section}” is not in the section tables. Which section are the girders?`);
  for (const [what, list] of [
    ['splice', splices],
    ['bent', bents],
    ['cross-frame', crossFrames],
  ] as const)
    for (const at of list)
      if (at < -past || at > total + past)
        throw new NotSo(`A ${what} at ${show(at)} is off the girder, which runs from ${show(-past)} to ${show(total + past)}.`);
  const piers = spans.reduce<number[]>((at, one) => [...at, at[at.length - 1]! + one], [0]);
  const cuts = [...splices].sort((a, b) => a - b).map((at) => at + past);
  const ends = [0, ...cuts, long];
  if (ends.some((end, i) => i > 0 && end - ends[i - 1]! < 0.5)) throw new NotSo('Two splices, or a splice and an end, are less than half a metre apart.');
  // Two at one place carry half each of what one was meant to.
  const near = (list: readonly number[]) => [...list].sort((a, b) => a - b).some((at, i, all) => i > 0 && at - all[i - 1]! < 0.1);
  if (near([...piers, ...bents])) throw new NotSo('Two bents, or a bent and a pier, are at one place.');
  if (near(crossFrames)) throw new NotSo('Two cross-frames are at one place.');
  if (lines * (ends.length - 1) > MOST) throw new NotSo(`That is ${lines * (ends.length - 1)} pieces: begin with ${MOST} at most and add to it.`);

  const plan = emptyPlan(job);
  const { structure } = plan;
  const sheet = new RunSheet();
  const parts = ends.slice(1).map((to, n) => ({ from: ends[n]!, to }));
  const makes = parts.map(({ from, to }, n) => {
    const id = `make-${n + 1}`;
    const twin = structure.makes.find((one) => Math.abs(one.length - (to - from)) < 1e-6);
    if (twin) return twin.id;
    structure.makes.push(newMake(id, parts.length === 1 ? 'G' : `G.${n + 1}`, structuredClone(made), to - from, grade));
    return id;
  });
  const pieceOf = (line: number, n: number) => `g${line + 1}-${n + 1}`;
  /** the piece a place along the girder is on, and how far along that piece */
  const spotAt = (line: number, along: number) => {
    const n = Math.max(
      0,
      parts.findIndex(({ to }) => along <= to + 1e-9),
    );
    return { piece: pieceOf(line, n), at: along - parts[n]!.from };
  };

  for (let line = 0; line < lines; line += 1) {
    const y = line * (apart ?? 0);
    const suffix = lines > 1 ? `, line ${line + 1}` : '';
    parts.forEach(({ from, to }, n) =>
      structure.pieces.push({
        id: pieceOf(line, n),
        mark: parts.length === 1 ? `G${line + 1}` : `G${line + 1}.${n + 1}`,
        make: makes[n]!,
        weighed: null,
        from: { x: from - past, y, z: level },
        to: { x: to - past, y, z: level },
      }),
    );
    for (const [n, pier] of piers.entries()) {
      const { piece, at } = spotAt(line, pier + past);
      structure.supports.push({
        ...newSupport(`pier${n + 1}-${line + 1}`, `Pier ${n + 1}${suffix}`, 'bearing', piece, at),
        along: n === 0 ? 'fixed' : 'free',
      });
    }
    for (const [n, bent] of bents.entries()) {
      const { piece, at } = spotAt(line, bent + past);
      structure.supports.push(newSupport(`bent${n + 1}-${line + 1}`, `Bent ${n + 1}${suffix}`, 'bent', piece, at));
    }
    for (const n of cuts.keys())
      structure.joints.push(
        newJoint(
          `splice${n + 1}-${line + 1}`,
          `Splice ${n + 1}${suffix}`,
          'splice',
          { piece: pieceOf(line, n), at: parts[n]!.to - parts[n]!.from },
          { piece: pieceOf(line, n + 1), at: 0 },
        ),
      );
    if (line > 0)
      for (const [n, at] of crossFrames.entries())
        structure.braces.push({
          id: `frame${n + 1}-${line}`,
          name: lines > 2 ? `Cross-frame ${n + 1}, lines ${line} and ${line + 1}` : `Cross-frame ${n + 1}`,
          kind: 'crossFrame',
          a: spotAt(line - 1, at + past),
          b: spotAt(line, at + past),
          anchoredTo: '',
          towardsDeg: null,
          stops: 'both',
          capacity: null,
          stiffness: null,
        });
  }

  sheet.put(...structure.supports.map(({ id }) => ({ kind: 'support.ready' as const, support: id })));
  for (let line = 0; line < lines; line += 1) {
    parts.forEach((_, n) => sheet.set(pieceOf(line, n), n === 0 ? [] : [`splice${n}-${line + 1}`]));
    if (line > 0) sheet.put(...crossFrames.map((_, n) => ({ kind: 'brace.fix' as const, brace: `frame${n + 1}-${line}` })));
  }
  sheet.fill(structure.joints.map(({ id }) => id));
  sheet.put(...structure.supports.filter(({ kind }) => kind === 'bent').map(({ id }) => ({ kind: 'support.strike' as const, support: id })));
  plan.moves = sheet.moves;
  return plan;
}
