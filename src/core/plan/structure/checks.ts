import type { Check } from '../check';
import type { Context } from '../evaluate/context';
import { forcesOf, type LoadCase, type StageChange } from './forces';
import { holdsOf } from './held';
import { settleBeams, type SettledBeam } from './model';
import { beamAt } from './state';
import { WorstOf, type Fared } from './worst';
import { bracingChecks } from './bracing';
import { fixedTwiceCheck, putLoadCheck, sidewaysChecks, tippingCheck } from './tipping';
import { Unfinished } from './unfinished';
import { bundleChecks, joistChecks } from './joists';
import { deckingChecks } from './decking';
import { freeLengths, strengths, type Ground } from './ground';
import { lineChecks } from './line-checks';
import { supportChecks, webChecks } from './supports';
import { releaseChecks, easedCheck, plumbCheck } from './release';
import { stillChecks } from './still';
import { leftOutOf } from './left-out';

export interface StructureAnswer {
  checks: Check[];
  /** how each check that is asked at many moves fared over them */
  fared: ReadonlyMap<Check, Fared>;
  changes: StageChange[];
  beams: Map<string, SettledBeam>;
  /** the most each support brings onto its bent [N] */
  onBents: Map<string, number>;
}

/** What the structure is asked, at every move it concerns, on the state of that move; one row a key, its worst move. */
export function structureChecks(context: Context): StructureAnswer {
  const { plan, rules, replayed } = context;
  const beams = settleBeams(plan, rules);
  const onBents = new Map<string, number>();
  if (plan.structure.pieces.length === 0) return { checks: [], fared: new Map(), changes: [], beams, onBents };
  const by = holdsOf(plan);
  const ground: Ground = {
    context,
    beams,
    by,
    rows: new WorstOf(),
    caution: rules.value('strengthCaution'),
    latest: new Map(),
    freeOf: freeLengths(by),
    strengthOf: strengths(rules),
  };
  const { changes } = forcesOf(
    plan,
    beams,
    replayed.steps.map(({ after }) => after.structure),
    rules,
  );
  const carried = new Map<string, Record<LoadCase, number>>();
  for (const change of changes) {
    const { move } = change;
    for (const line of change.lines) for (const id of line.beams) ground.latest.set(id, line);
    for (const line of change.lines) {
      bracingChecks(ground, line, change.moment, move?.id ?? null);
      if (line.answers?.plain.stable) {
        tippingCheck(ground, line, change.moment, move?.id ?? null);
        fixedTwiceCheck(ground, line, change.moment, move?.id ?? null);
      }
      for (const key of line.carried.plain.keys())
        carried.set(key, { plain: line.carried.plain.get(key)!, factored: line.carried.factored.get(key) ?? 0, light: line.carried.light.get(key) ?? 0 });
      lineChecks(ground, line, change);
      supportChecks(ground, line, change, carried, onBents);
      webChecks(ground, line, change);
    }
    if (move?.kind === 'piece.letGo' && move.keeps > 0) easedCheck(ground, move.beam, move.keeps, move.id);
    if (move?.kind === 'load.on') putLoadCheck(ground, move.load, change);
    if (move?.kind === 'piece.letGo' && move.keeps === 0) {
      releaseChecks(ground, move.beam, change);
      sidewaysChecks(ground, move.beam, change.moment, move.id, false);
    }
  }
  // Moves that change no force still let go of a piece, or fix nothing.
  const seen = new Set(changes.map(({ at }) => at));
  const unfinished = new Unfinished(ground);
  const loads = new Map(plan.structure.loads.map((one) => [one.id, one]));
  replayed.steps.forEach(({ move, after }, at) => {
    unfinished.after(move, after.structure);
    if (move.kind === 'piece.letGo' && move.keeps === 0) {
      unfinished.check(move.id);
      joistChecks(ground, move.beam, after.structure, move.id);
    }
    if (move.kind === 'piece.hang') deckingChecks(ground, move.beam, after.structure, move.id);
    if (move.kind === 'load.on') bundleChecks(ground, loads.get(move.load)!, after.structure, move.id);
    if (move.kind === 'piece.letGo' && move.keeps === 0 && !seen.has(at)) releaseChecks(ground, move.beam, { move, at, moment: after.structure, lines: [] });
  });
  for (const move of plan.moves) if (move.kind === 'beam.plumb') plumbCheck(ground, move.beam, move.off, move.id);
  const end = replayed.steps.at(-1);
  if (end)
    for (const [id, { place: stands }] of beams)
      if (stands?.upright && beamAt(end.after.structure, id).where === 'set') sidewaysChecks(ground, id, end.after.structure, end.move.id, true);
  const { checks, fared } = ground.rows.all();
  return { checks: [...checks, ...stillChecks(ground), ...leftOutOf(ground)], fared, changes, beams, onBents };
}
