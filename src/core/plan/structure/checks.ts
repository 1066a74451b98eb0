import { phrase, q } from '../../calc/work';
import { baseAnchors } from '../../frame/base-anchors.calc';
import { stageLine } from '../../stage/line.calc';
import { releaseBolts } from '../../checks/release.calc';
import { sequenceNeeds } from '../../checks/sequence.calc';
import { windRollover } from '../../strength/wind-rollover.calc';
import type { AboutKind, Check, StationId } from '../check';
import { yieldOf } from '../../steel/grades';
import { flatStop, missingCheck, moveFor, on, ratioCheck, sourced, told, traced, type Context, type Place } from '../evaluate/context';
import { postCapacity, webCapacity } from '../evaluate/section-strength';
import { temporarySupports } from '../document/structure';
import { Missing } from '../missing';
import { dayFault, namesPerson, saysSomething } from '../records';
import { footingChecks } from '../evaluate/order';
import type { Joint, Support } from '../schema';
import { forcesOf, isStiff, MEET, type Line, type LoadCase, type StageChange } from './forces';
import { heldOf, holdsOf } from './held';
import { heightAt, pointAt, settleBeams, weightsSaid, type SettledBeam } from './model';
import { beamAt, isMade, standsAt, jointAt, type StructureMoment } from './state';
import { WorstOf, type Fared } from './worst';
import { bracingChecks } from './bracing';
import { fixedTwiceCheck, putLoadCheck, sidewaysChecks, tippingCheck, unfinishedCheck } from './tipping';
import { freeLengths, strengths, type Ground } from './ground';

const AIR_DENSITY = 1.25;
/** 300 lb [N] and 18 in [m], 29 CFR 1926.755(a)(2). */
const TOP_LOAD = 1334.47;
const TOP_ARM = 0.4572;
const LEAST_ANCHORS = 4;
/** A design strength given to a job run in allowable stress is met with the strength-level dead load, ASCE 7 2.3.1: 1.4 D. */
const STRENGTH_DEAD_FACTOR = 1.4;
/** Of the holes of a splice in the air, filled and pinned; three quarters where traffic is on it. */
const FILLED = { usual: 0.5, traffic: 0.75, pinned: 0.25 } as const;
const SPLICE_SOURCE =
  'AASHTO LRFD Bridge Construction Specifications 6.5.2, 11.5 (from memory): half the holes filled, half of those pins; three quarters under traffic';

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
      unfinishedCheck(ground, change.moment, move.id);
    }
  }
  // Moves that change no force still let go of a piece, or fix nothing.
  const seen = new Set(changes.map(({ at }) => at));
  replayed.steps.forEach(({ move, after }, at) => {
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

const about = (kind: AboutKind, thing: { id: string }, name: string, part?: string) => on(kind, thing, name, part);
const place = (id: string, of: ReturnType<typeof about>, move: string | null, calc: string, source: string, station: StationId = 'runSheet'): Place => ({
  id,
  ...of,
  station,
  move,
  calc,
  source,
});

/** A line as it stands after a move: whether it stands, what its pieces and joints feel, what holds it. */
function lineChecks(ground: Ground, line: Line, { move, moment }: StageChange): void {
  const { beams, rows, by, context } = ground;
  const { rules } = context;
  const moveId = move?.id ?? null;
  const named = line.beams.map((id) => beams.get(id)!);
  const mark = named.map(({ beam }) => beam.mark).join(' + ');
  const first = named[0]!;
  const at = (id: string, calc: string, source: string) => place(id, about('beam', first.beam, mark), moveId, calc, source);
  if (line.asked !== null) return rows.put(missingCheck(at('line.stands', stageLine.id, stageLine.source.text), 'force', line.asked));
  const { answers } = line;
  if (!answers) return;
  const stands = answers.plain.stable && answers.factored.stable && answers.light.stable;
  if (!stands)
    return rows.put(
      flatStop(
        at('line.stands', stageLine.id, stageLine.source.text),
        'force',
        told(
          phrase`${mark} does not stand after this move: nothing under it or joined to it holds it up, or it tips. Set what carries it, or join it, before the hook lets go.`,
        ),
        [],
      ),
    );
  const upholds = { demand: 0, capacity: 1, quantity: 'count' as const, caution: null };
  rows.ratio('line.stands', 'beam', first.beam.id, undefined, moveId, upholds, () =>
    ratioCheck(at('line.stands', stageLine.id, stageLine.source.text), upholds, told(phrase`${mark} stands on what holds it.`), []),
  );
  if (first.place?.upright) return columnStrength(ground, first, line, moveId);
  const held = heldOf(line, moment, by);
  const factored = rules.id === 'us-asd' ? answers.plain : answers.factored;
  for (const settled of named) {
    const { beam, section, fy } = settled;
    const forces = factored.stable ? factored.pieces.get(beam.id) : undefined;
    const free = held.get(beam.id);
    if (!forces || !free || section instanceof Missing) continue;
    const piece = (id: string, calc: string) =>
      place(id, about('beam', beam, beam.mark), moveId, calc, sourced('The stage as it stands, and the length it stands free', rules, 'strengthCaution'));
    if (!(fy > 0)) {
      rows.put(
        missingCheck(
          piece('beam.bending', 'member.flexureAisc'),
          'moment',
          `What yield has ${beam.mark}? Its grade, “${settled.make.grade}”, is not in the tables.`,
        ),
      );
      continue;
    }
    const bends = Math.max(forces.sagging, forces.hogging);
    const { bending, shear } = ground.strengthOf(settled, section, free.free);
    const calc = rules.id === 'us-asd' ? 'member.flexureAisc' : 'member.flexureEn';
    if (bending instanceof Missing) rows.put(missingCheck(piece('beam.bending', calc), 'moment', bending.questions.join(' ')));
    else {
      const numbers = { demand: bends, capacity: bending.capacity, quantity: 'moment' as const, caution: ground.caution };
      rows.ratio('beam.bending', 'beam', beam.id, undefined, moveId, numbers, () =>
        ratioCheck(
          piece('beam.bending', calc),
          numbers,
          told(phrase`${beam.mark} bends ${q(bends, 'moment')}, ${q(free.free, 'length')} of it unbraced; that is good for ${q(bending.capacity, 'moment')}.`),
          bending.traces,
        ),
      );
    }
    if (shear instanceof Missing) rows.put(missingCheck(piece('beam.shear', 'member.shearAisc'), 'force', shear.questions.join(' ')));
    else {
      const numbers = { demand: forces.shear, capacity: shear.capacity, quantity: 'force' as const, caution: ground.caution };
      rows.ratio('beam.shear', 'beam', beam.id, undefined, moveId, numbers, () =>
        ratioCheck(
          piece('beam.shear', rules.id === 'us-asd' ? 'member.shearAisc' : 'member.shearEn'),
          numbers,
          told(phrase`${beam.mark} shears ${q(forces.shear, 'force')}; its web takes ${q(shear.capacity, 'force')}.`),
          shear.traces,
        ),
      );
    }
  }
  for (const id of line.beams)
    for (const { joint, at: spot } of by.joints.get(id) ?? []) {
      if (!isMade(jointAt(moment, joint.id))) continue;
      if (joint.kind === 'splice') {
        if (joint.a.piece !== id) continue;
        const told_ = factored.stable ? factored.pieces.get(id) : undefined;
        const span = line.spans.find((one) => one.id === id);
        if (!told_ || !span) continue;
        const firstEnd = spot < (span.to - span.from) / 2;
        spliceCheck(ground, joint, firstEnd !== span.flipped ? told_.left : told_.right, moment, moveId);
      } else if (joint.a.piece === id) hangCheck(ground, joint, line, moment, moveId);
    }
  const stood = held.get(first.beam.id);
  if (stood && !stood.along)
    rows.put(
      missingCheck(
        at('line.along', stageLine.id, 'Statics: every line is held along at every moment'),
        'force',
        `What holds ${mark} along its length? Say at which support it is fixed.`,
      ),
    );
  if (stood && stood.places.length < 2 && !line.beams.some((id) => beamAt(moment, id).kept > 0))
    rows.put(
      missingCheck(
        at('line.twist', stageLine.id, 'Statics: a beam buckles sideways as it is reckoned only where it is kept from rolling over at two places'),
        'count',
        `${mark} is kept from rolling over at ${stood.places.length === 0 ? 'no place' : 'one place'}. What ties it down, braces it or stiffens its ends, and where?`,
      ),
    );
  if (stood && !stood.twist) rollCheck(ground, named, line, moment, moveId, mark);
}

/** A piece that nothing keeps from rolling over, in the wind that may come while it stands so. */
function rollCheck({ context, rows, by }: Ground, named: readonly SettledBeam[], line: Line, moment: StructureMoment, move: string | null, mark: string): void {
  const { plan, rules } = context;
  const where = place(
    'line.roll',
    about('beam', named[0]!.beam, mark),
    move,
    windRollover.id,
    sourced(windRollover.source.text, rules, 'rollover', 'girderDrag'),
  );
  const gust = plan.site.forecastGust;
  const hooked = line.beams.some((id) => beamAt(moment, id).kept > 0);
  if (hooked) return;
  if (gust === null || gust === 0)
    return rows.put(missingCheck(where, 'speed', `What gust may come while ${mark} stands with nothing that keeps it from rolling over?`));
  const seats = line.beams.flatMap((id) => (by.seats.get(id) ?? []).filter(({ support }) => standsAt(moment, support.id)).map(({ support }) => support));
  const unknown = seats.find((one) => one.seatWidth === null);
  if (unknown || seats.length === 0)
    return rows.put(
      missingCheck(where, 'dimension', `How wide is the seat of ${unknown?.name ?? mark}? ${mark} stands on it with nothing that keeps it from rolling over.`),
    );
  const sections = named.flatMap(({ section }) => (section instanceof Missing ? [] : [section]));
  const weight = named.reduce((sum, { light }) => sum + (light instanceof Missing ? 0 : light.total), 0);
  const wide = Math.min(...seats.map((one) => one.seatWidth!), ...sections.map((one) => one.width));
  const { outcome, traces } = traced(windRollover, {
    weight,
    length: named.reduce((sum, one) => sum + (one.place?.length ?? 0), 0),
    depth: Math.max(...sections.map((one) => one.depth)),
    bearingWidth: wide,
    gust,
    drag: rules.value('girderDrag'),
    airDensity: AIR_DENSITY,
  });
  if (!outcome.ok) return rows.put(missingCheck(where, 'moment', outcome.error));
  const { overturning, righting } = outcome.output;
  const wanted = rules.value('rollover') * overturning;
  rows.put(
    ratioCheck(
      where,
      { demand: wanted, capacity: righting, quantity: 'moment', caution: null, inclusive: true },
      told(
        phrase`${mark} stands with nothing that keeps it from rolling over: a gust of ${q(gust, 'speed')} asks ${q(wanted, 'moment')}, its weight on ${q(wide, 'dimension')} gives ${q(righting, 'moment')}. Tie it down, guy it or brace it to its neighbour before the hook lets go.`,
      ),
      traces,
    ),
  );
}

function columnStrength({ context, rows }: Ground, settled: SettledBeam, line: Line, move: string | null): void {
  const { rules } = context;
  const { beam, section, fy, place: stands } = settled;
  const axial = [...(rules.id === 'us-asd' ? line.carried.plain : line.carried.factored).values()][0] ?? 0;
  const where = place(
    'column.strength',
    about('beam', beam, beam.mark),
    move,
    'member.columnAisc',
    sourced('Effective length 2.1 for a column that stands from its foot (AISC 360 App. 7)', rules, 'strengthCaution'),
  );
  if (section instanceof Missing || stands === null) return;
  if (!(fy > 0)) return rows.put(missingCheck(where, 'force', `What yield has ${beam.mark}? Its grade, “${settled.make.grade}”, is not in the tables.`));
  const effective = 2.1 * stands.length;
  const post = postCapacity(section, fy, { strong: effective, weak: effective }, rules);
  if (post instanceof Missing) return rows.put(missingCheck(where, 'force', post.questions.join(' ')));
  const { capacity } = post;
  rows.put(
    ratioCheck(
      where,
      { demand: axial, capacity, quantity: 'force', caution: rules.value('strengthCaution') },
      told(
        phrase`${beam.mark} carries ${q(axial, 'force')} and stands from its foot, ${q(effective, 'length')} of effective length; that is good for ${q(capacity, 'force')}.`,
      ),
      post.traces,
    ),
  );
}

/** What the bolts that are in carry of what a splice feels at this move. */
function spliceCheck(
  { context, rows, caution }: Ground,
  joint: Joint,
  feels: { moment: number; shear: number },
  moment: StructureMoment,
  move: string | null,
): void {
  const { rules } = context;
  const state = jointAt(moment, joint.id)!;
  const where = (part: string) =>
    place(
      'joint.strength',
      about('joint', joint, joint.name, part),
      move,
      'connection.splice',
      sourced('Capacity by the share of the holes that is filled; the engineer’s figure for the whole', rules, 'strengthCaution'),
    );
  if (state.bolts === null || joint.holes === null)
    return rows.put(missingCheck(where('moment'), 'count', `How many holes has ${joint.name}, and how many of them are filled?`));
  const share = Math.min(1, (state.pins + state.bolts) / joint.holes);
  const feel = (part: 'moment' | 'shear', whole: number | null) => {
    const demand = Math.abs(feels[part]);
    const kind = part === 'moment' ? ('moment' as const) : ('force' as const);
    if (whole === null) return rows.put(missingCheck(where(part), kind, `What ${part} may ${joint.name} carry once it is filled? Ask the engineer.`));
    const numbers = { demand, capacity: share * whole, quantity: kind, caution };
    rows.ratio('joint.strength', 'joint', joint.id, part, move, numbers, () =>
      ratioCheck(
        where(part),
        numbers,
        told(
          phrase`${joint.name} ${part === 'moment' ? 'bends' : 'shears'} ${q(demand, kind)}; ${q(share, 'fraction')} of its holes are filled, good for ${q(share * whole, kind)}.`,
        ),
        [],
      ),
    );
  };
  if (isStiff(joint, moment)) feel('moment', joint.moment);
  feel('shear', joint.shear);
}

/** What the bolts that are in carry of what a piece brings to the one it hangs on. */
function hangCheck({ context, rows }: Ground, joint: Joint, line: Line, moment: StructureMoment, move: string | null): void {
  const { rules } = context;
  const state = jointAt(moment, joint.id)!;
  const brings = (rules.id === 'us-asd' ? line.carried.plain : line.carried.factored).get(joint.id);
  if (brings === undefined || joint.kind === 'seat') return;
  const where = place(
    'joint.bolts',
    about('joint', joint, joint.name),
    move,
    'connection.boltGroup',
    sourced('What the bolts that are in and tight carry', rules, 'strengthCaution'),
  );
  if (state.bolts === null) return rows.put(missingCheck(where, 'count', `How many bolts are in ${joint.name}?`));
  if (joint.boltShear === null) return rows.put(missingCheck(where, 'force', `What may one bolt of ${joint.name} carry?`));
  const capacity = (state.bolts + state.pins) * joint.boltShear;
  rows.put(
    ratioCheck(
      where,
      { demand: Math.abs(brings), capacity, quantity: 'force', caution: rules.value('strengthCaution') },
      told(
        phrase`${joint.name} carries ${q(Math.abs(brings), 'force')} on ${String(state.bolts + state.pins)} bolts and pins that are good for ${q(capacity, 'force')}.`,
      ),
      [],
    ),
  );
}

/** Every support against the sum of all that rests on it at the move. */
function supportChecks(
  { context, rows, by, caution }: Ground,
  line: Line,
  { move, moment }: StageChange,
  carried: ReadonlyMap<string, Record<LoadCase, number>>,
  onBents: Map<string, number>,
): void {
  const { rules } = context;
  const touched = new Set(line.beams.flatMap((id) => (by.seats.get(id) ?? []).map(({ support }) => support)));
  for (const support of touched) {
    if (!standsAt(moment, support.id)) continue;
    const sum = (which: LoadCase, sign: 1 | -1) =>
      support.seats.reduce((total, _, n) => {
        const force = carried.get(`${support.id}/${n}`)?.[which] ?? 0;
        return total + Math.max(0, sign * force);
      }, 0);
    const plain = sum('plain', 1);
    const factored = support.capacityBasis === 'design';
    const demand = factored ? (rules.id === 'us-asd' ? STRENGTH_DEAD_FACTOR * plain : sum('factored', 1)) : plain;
    if (support.onBent !== null) onBents.set(support.id, Math.max(onBents.get(support.id) ?? 0, sum('factored', 1)));
    const where = (id: string) =>
      place(
        id,
        about('support', support, support.name),
        move?.id ?? null,
        stageLine.id,
        sourced(stageLine.source.text, rules, 'loadFactor', 'strengthCaution'),
      );
    const { capacity } = support;
    if (capacity === null) {
      if (plain > 0)
        rows.put(
          missingCheck(
            where('support.load'),
            'force',
            `What may ${support.name} carry? ${support.seats.length > 1 ? 'All that rests on it counts together.' : ''}`.trim(),
          ),
        );
    } else {
      const numbers = { demand, capacity, quantity: 'force' as const, caution };
      rows.ratio('support.load', 'support', support.id, undefined, move?.id ?? null, numbers, () =>
        ratioCheck(
          where('support.load'),
          numbers,
          told(phrase`${support.name} carries ${q(demand, 'force')}${factored ? ', factored' : ''}; it may carry ${q(capacity, 'force')}.`),
          [],
        ),
      );
    }
    const up = Math.max(sum('plain', -1), sum('factored', -1), sum('light', -1));
    if (up > 1 && support.holdsDown !== null)
      rows.put(
        ratioCheck(
          where('support.uplift'),
          { demand: up, capacity: support.holdsDown, quantity: 'force', caution: rules.value('strengthCaution') },
          told(phrase`${support.name} is pulled up with ${q(up, 'force')}; it holds down ${q(support.holdsDown, 'force')}.`),
          [],
        ),
      );
    if (plain < 1 && support.seats.some(({ piece }) => line.beams.includes(piece) && beamAt(moment, piece).where === 'set'))
      rows.put({
        ...ratioCheck(
          where('support.touch'),
          { demand: 0, capacity: 1, quantity: 'force', caution: null },
          told(phrase`${support.name} stands and carries nothing: what lies over it does not touch.`),
          [],
        ),
        verdict: 'tight',
      });
  }
}

/** A column may lean one in five hundred, AISC 303 7.13.1.1, from memory. */
const LEAN = 500;

/** What the plumbing of a piece found. */
function plumbCheck({ beams, rows }: Ground, id: string, off: number | null, move: string): void {
  const { beam, place: stands } = beams.get(id)!;
  const where = place('plumb.read', about('beam', beam, beam.mark), move, stageLine.id, 'AISC 303 7.13.1.1: 1/500, from memory');
  if (off === null) return rows.put(missingCheck(where, 'dimension', `How far is ${beam.mark} out of plumb or level, as read?`));
  if (!stands) return;
  const numbers = { demand: off, capacity: stands.length / LEAN, quantity: 'dimension' as const, caution: null, inclusive: true };
  rows.put(
    ratioCheck(
      where,
      numbers,
      told(phrase`${beam.mark} is ${q(off, 'dimension')} out over ${q(stands.length, 'length')}; ${q(stands.length / LEAN, 'dimension')} may be.`),
      [],
    ),
  );
}

/** A hook that keeps as much as the piece weighs has let go of nothing. */
function easedCheck({ beams, rows }: Ground, id: string, keeps: number, move: string): void {
  const { beam, light } = beams.get(id)!;
  if (light instanceof Missing || keeps < light.total) return;
  rows.put({
    ...missingCheck(place('release.keeps', about('beam', beam, beam.mark), move, stageLine.id, stageLine.source.text), 'force', ''),
    demand: keeps,
    finding: told(
      phrase`The hook is to keep ${q(keeps, 'force')} of ${beam.mark}, which weighs ${q(light.total, 'force')}: nothing of it comes on its seats. What is it to keep?`,
    ),
  });
}

/** The web of a piece over each support that pushes on it, where no stiffeners are. */
function webChecks({ context, beams, by, rows, caution }: Ground, line: Line, { move, moment }: StageChange): void {
  const { rules } = context;
  for (const id of line.beams) {
    const { beam, section, fy, place: stands } = beams.get(id)!;
    if (section instanceof Missing || !stands || stands.upright || !(fy > 0)) continue;
    for (const { support, at, key } of by.seats.get(id) ?? []) {
      const force = (rules.id === 'us-asd' ? line.carried.plain : line.carried.factored).get(key) ?? 0;
      if (force < 1 || !standsAt(moment, support.id) || support.stiffened === true) continue;
      const where = () =>
        place(
          'support.web',
          about('support', support, support.name, id),
          move?.id ?? null,
          'member.webAisc',
          sourced('AISC 360 J10.2, J10.3; EN 1993-1-5 section 6', rules, 'strengthCaution'),
        );
      if (support.stiffened === null) {
        rows.put(missingCheck(where(), 'force', `Has the web of ${beam.mark} stiffeners over ${support.name}?`));
        continue;
      }
      if (support.seatLength === null) {
        rows.put(missingCheck(where(), 'dimension', `How long is the seat of ${support.name}, along ${beam.mark}? Its web has no stiffeners there.`));
        continue;
      }
      const past = Math.max(0, Math.min(at, stands.length - at) - support.seatLength / 2);
      const web = webCapacity(section, fy, { length: support.seatLength, past, atEnd: past < section.depth }, rules);
      if (web instanceof Missing) {
        rows.put(missingCheck(where(), 'force', web.questions.join(' ')));
        continue;
      }
      const numbers = { demand: force, capacity: web.capacity, quantity: 'force' as const, caution };
      rows.ratio('support.web', 'support', support.id, id, move?.id ?? null, numbers, () =>
        ratioCheck(
          where(),
          numbers,
          told(phrase`${support.name} presses ${q(force, 'force')} into the web of ${beam.mark}, which takes ${q(web.capacity, 'force')} without stiffeners.`),
          web.traces,
        ),
      );
    }
  }
}

/** Before the hook lets go of a piece for good: what holds each of its ends, and the piece alone. */
function releaseChecks(ground: Ground, id: string, { move, moment }: StageChange): void {
  const { context, beams, by, rows } = ground;
  const { rules } = context;
  const settled = beams.get(id)!;
  const { beam, place: stands } = settled;
  const least = rules.value('boltsLeast');
  if (!stands) return;
  const where = (part: string) =>
    place('release.ends', about('beam', beam, beam.mark, part), move?.id ?? null, releaseBolts.id, sourced(releaseBolts.source.text, rules, 'boltsLeast'));
  for (const [name, edge] of [
    ['first', 0],
    ['second', stands.length],
  ] as const) {
    // A splice to a piece that has not come yet holds nothing and is not waited for: the piece is a cantilever until then.
    const joints = (by.joints.get(id) ?? []).filter(
      ({ at, joint, other }) => Math.abs(at - edge) < END && (joint.kind === 'splice' ? beamAt(moment, other).where !== 'away' : joint.a.piece === id),
    );
    const seats = (by.seats.get(id) ?? []).filter(({ at }) => Math.abs(at - edge) < SEAT_END);
    const made = joints.filter(({ joint }) => isMade(jointAt(moment, joint.id)));
    if (joints.length === 0 && seats.length === 0) continue;
    if (made.length === 0 && !seats.some(({ support }) => standsAt(moment, support.id))) {
      rows.put(
        flatStop(
          where(name),
          'count',
          told(
            phrase`The hook lets go of ${beam.mark} and nothing holds its ${name} end: ${[...joints.map(({ joint }) => joint.name), ...seats.map(({ support }) => support.name)].join(', ')} is not there yet.`,
          ),
          [],
        ),
      );
      continue;
    }
    for (const { joint } of made) {
      const state = jointAt(moment, joint.id)!;
      const bolted = (part: string) => ({ ...where(part), about: { kind: 'joint' as const, id: joint.id, part } });
      if (state.bolts === null) rows.put(missingCheck(bolted(name), 'count', `How many bolts are in ${joint.name} before the hook lets go of ${beam.mark}?`));
      else if (state.untold)
        rows.put(missingCheck(bolted(name), 'count', `Are the bolts of ${joint.name} of the drawn size and grade, and wrench-tight? Only such bolts count.`));
      else if (joint.kind !== 'splice') {
        const { traces } = traced(releaseBolts, { bolts: state.bolts, least });
        rows.put(
          ratioCheck(
            bolted(name),
            { demand: least, capacity: state.bolts, quantity: 'count', caution: null, inclusive: true },
            told(phrase`${joint.name} has ${String(state.bolts)} bolts tight when the hook lets go of ${beam.mark}; ${String(least)} are wanted.`),
            traces,
          ),
        );
      } else if (stands.upright) columnSpliceCheck(ground, settled, joint, state.pins + state.bolts, move?.id ?? null);
      else fillCheck(rows, joint, state.pins, state.bolts, move?.id ?? null, beam.mark);
    }
  }
  if (stands.upright) anchorChecks(rows, settled, by.seats.get(id) ?? [], moment, move?.id ?? null, rules.value('strengthCaution'));
}
/** How near an end a joint and a seat count as its own [m]. */
const END = 0.5;
const SEAT_END = 1.5;

/** A column on a column before the hook goes: 300 lb at 18 in from its face at its top, by the bolts that are in. */
function columnSpliceCheck({ rows, caution }: Ground, { beam, section }: SettledBeam, joint: Joint, filled: number, move: string | null): void {
  const where = place('column.splice', about('joint', joint, joint.name), move, baseAnchors.id, '29 CFR 1926.756(d)');
  if (joint.holes === null || joint.moment === null || section instanceof Missing)
    return rows.put(
      missingCheck(
        where,
        'moment',
        `How many holes has ${joint.name}, and what moment may it carry filled? It has to hold 300 lb at 18 in from the face of ${beam.mark}.`,
      ),
    );
  const numbers = {
    demand: TOP_LOAD * (TOP_ARM + section.depth / 2),
    capacity: Math.min(1, filled / joint.holes) * joint.moment,
    quantity: 'moment' as const,
    caution,
  };
  rows.put(
    ratioCheck(
      where,
      numbers,
      told(
        phrase`300 lb at 18 in from the face of ${beam.mark} bend ${joint.name} with ${q(numbers.demand, 'moment')}; what is filled takes ${q(numbers.capacity, 'moment')}.`,
      ),
      [],
    ),
  );
}

/** A splice in the air: the published least of holes filled and pinned, beside what it feels. */
function fillCheck(rows: WorstOf, joint: Joint, pins: number, bolts: number, move: string | null, mark: string): void {
  const where = (part: string) => place('joint.filled', about('joint', joint, joint.name, part), move, releaseBolts.id, SPLICE_SOURCE);
  if (joint.holes === null) return rows.put(missingCheck(where('holes'), 'count', `How many holes has ${joint.name}?`));
  const wanted = Math.ceil((joint.traffic ? FILLED.traffic : FILLED.usual) * joint.holes - 1e-9);
  rows.put(
    ratioCheck(
      where('holes'),
      { demand: wanted, capacity: pins + bolts, quantity: 'count', caution: null, inclusive: true },
      told(
        phrase`${joint.name} has ${String(pins + bolts)} of its ${String(joint.holes)} holes filled when the hook lets go of ${mark}; ${String(wanted)} are wanted.`,
      ),
      [],
    ),
  );
  const pinned = Math.ceil(FILLED.pinned * joint.holes - 1e-9);
  rows.put(
    ratioCheck(
      where('pins'),
      { demand: Math.min(pinned, joint.holes - bolts), capacity: pins, quantity: 'count', caution: null, inclusive: true },
      told(phrase`${joint.name} has ${String(pins)} pins in when the hook lets go of ${mark}; half of the holes to be filled, ${String(pinned)}, take pins.`),
      [],
    ),
  );
}

/** A column on its base before the hook goes: four anchors, and 300 lb at 18 in from its face at its top. */
function anchorChecks(
  rows: WorstOf,
  settled: SettledBeam,
  seats: readonly { support: Support }[],
  moment: StructureMoment,
  move: string | null,
  caution: number,
): void {
  const { beam, light } = settled;
  for (const { support } of seats) {
    if (!standsAt(moment, support.id) || support.kind !== 'anchors') continue;
    const where = (id: string) => place(id, about('support', support, support.name), move, baseAnchors.id, '29 CFR 1926.755(a)');
    const { anchors } = support;
    if (anchors === null) {
      rows.put(missingCheck(where('anchors.count'), 'count', `How many anchors has ${support.name}, and where do they stand?`));
      continue;
    }
    rows.put(
      ratioCheck(
        where('anchors.count'),
        { demand: LEAST_ANCHORS, capacity: anchors.count, quantity: 'count', caution: null, inclusive: true },
        told(phrase`${support.name} has ${String(anchors.count)} anchors; a column stands on at least ${String(LEAST_ANCHORS)} (29 CFR 1926.755(a)(1)).`),
        [],
      ),
    );
    if (anchors.repaired && !saysSomething(anchors.repairedBy ?? ''))
      rows.put(
        missingCheck(
          where('anchors.repaired'),
          'count',
          `An anchor of ${support.name} was repaired, replaced or modified: who of the engineers of record approved it (29 CFR 1926.755(b))?`,
        ),
      );
    const { lever, toe, columnDepth, tension } = anchors;
    if (lever === null || toe === null || columnDepth === null || tension === null || light instanceof Missing) {
      rows.put(
        missingCheck(
          where('anchors.hold'),
          'force',
          `Where do the anchors of ${support.name} stand, how deep is the column, and what may those in tension pull? It has to hold 300 lb at 18 in from the face of ${beam.mark}.`,
        ),
      );
      continue;
    }
    const moment_ = TOP_LOAD * (TOP_ARM + columnDepth / 2);
    const { outcome, traces } = traced(baseAnchors, { axial: light.total + TOP_LOAD, moment: moment_, lever, toe });
    rows.put(
      outcome.ok
        ? ratioCheck(
            where('anchors.hold'),
            { demand: outcome.output.tension, capacity: tension, quantity: 'force', caution },
            told(
              phrase`300 lb at 18 in from the face of ${beam.mark} pull its anchors at ${support.name} with ${q(outcome.output.tension, 'force')}; they hold ${q(tension, 'force')}.`,
            ),
            traces,
          )
        : missingCheck(where('anchors.hold'), 'force', outcome.error),
    );
  }
}

/** What is asked of the structure as it is drawn, before any move. */
function stillChecks({ context, beams, by }: Ground): Check[] {
  const { plan, rules } = context;
  const checks: Check[] = [];
  const before = (id: string, of: ReturnType<typeof about>, source: string) => place(id, of, null, stageLine.id, source, 'steel');
  for (const settled of beams.values()) {
    const { beam, make, place: stands, section } = settled;
    const of = about('beam', beam, beam.mark);
    if (make.made.kind !== 'plain' && section instanceof Missing)
      checks.push(missingCheck(before('beam.made', of, 'Section tables'), 'count', section.questions.join(' ')));
    if (!stands) {
      checks.push(
        missingCheck(
          before('beam.placed', of, 'Common practice: what is listed is placed'),
          'length',
          `${beam.mark} is listed and has no place. Where are its two ends to be?`,
        ),
      );
      continue;
    }
    if (Math.abs(stands.length - make.length) > rules.value('lengthDifference'))
      checks.push({
        ...missingCheck(before('beam.length', of, sourced('Two statements of one length', rules, 'lengthDifference')), 'length', ''),
        demand: stands.length,
        finding: told(phrase`${beam.mark} is ${q(make.length, 'length')} long and its ends are drawn ${q(stands.length, 'length')} apart. Which is right?`),
      });
    const said = weightsSaid(settled);
    const [most, fewest] = [Math.max(...said.map(({ mass }) => mass)), Math.min(...said.map(({ mass }) => mass))];
    if (said.length > 1 && most / fewest - 1 > rules.value('statementChoice'))
      checks.push({
        ...missingCheck(before('beam.weight', of, sourced('Two statements of one weight', rules, 'statementChoice')), 'mass', ''),
        demand: most,
        finding: told([
          ...phrase`${beam.mark} weighs `,
          ...said.flatMap(({ by: who, mass }, i) => [...(i ? [', '] : []), ...phrase`${q(mass, 'mass')} by ${who}`]),
          '. Which is right, who says so, and why?',
        ]),
      });
    if (said.length === 0) checks.push(missingCheck(before('beam.weight', of, 'Common practice'), 'mass', `What does ${beam.mark} weigh?`));
    if (!(by.seats.get(beam.id) || by.joints.get(beam.id)))
      checks.push(
        missingCheck(
          before('beam.carried', of, 'Common practice: what stands on nothing falls'),
          'count',
          `What carries ${beam.mark}? No support is under it and nothing is joined to it.`,
        ),
      );
  }
  for (const support of plan.structure.supports) {
    const of = about('support', support, support.name);
    if (support.footing !== null)
      checks.push(
        ...footingChecks(context, {
          id: support.id,
          name: support.name,
          footing: support.footing,
          kind: 'support',
          move: moveFor(plan, 'support.ready', support.id),
        }),
      );
    else if (support.onBent === null && support.standsOn.length === 0)
      checks.push(
        missingCheck(
          { ...before('support.footing', of, 'Common practice: a load path ends in the ground'), station: 'measure' },
          'count',
          `What does ${support.name} stand on?`,
        ),
      );
    const spots = support.seats.flatMap(({ piece, at }) => {
      const stands = beams.get(piece)?.place;
      return stands ? [pointAt(stands, at)] : [];
    });
    const spread = Math.max(0, ...spots.map((one) => Math.hypot(one.x - spots[0]!.x, one.y - spots[0]!.y)));
    if (spread > ONE_SUPPORT)
      checks.push({
        ...missingCheck({ ...before('support.seats', of, 'Geometry: the seats of one support lie together'), station: 'measure' }, 'length', ''),
        demand: spread,
        finding: told(phrase`The seats of ${support.name} lie ${q(spread, 'length')} apart. Is it one support?`),
      });
    const off = Math.max(0, ...spots.map((one) => (support.level === null ? 0 : Math.abs(one.z - support.level))));
    if (off > rules.value('surveyTolerance'))
      checks.push({
        ...missingCheck({ ...before('support.level', of, sourced('Two statements of one level', rules, 'surveyTolerance')), station: 'measure' }, 'length', ''),
        demand: off,
        finding: told(
          phrase`${support.name} is drawn at ${q(support.level ?? 0, 'length')} and what rests on it ${q(off, 'dimension')} from there. Which is right?`,
        ),
      });
    // Props, rollers and blocks are packed to what lies on them; all else has a level that somebody took.
    if (support.kind === 'prop' || support.kind === 'roller' || support.kind === 'block') continue;
    const { measured } = support;
    const fault = measured === null ? null : dayFault(measured.on, context.today);
    if (measured === null)
      checks.push(
        missingCheck(
          { ...before('support.measured', of, 'Common practice: levels are surveyed before steel'), station: 'measure' },
          'length',
          `${support.name} is as drawn. What level did the survey find, and who took it?`,
        ),
      );
    else if (!namesPerson(measured.by) || fault !== null)
      checks.push(
        missingCheck(
          { ...before('support.measured', of, 'Common practice: levels are surveyed before steel'), station: 'measure' },
          'length',
          `The level of ${support.name} ${fault ?? 'has no name'}. Who took it, and when?`,
        ),
      );
    else {
      const [seat] = support.seats;
      const drawn = support.level ?? (seat && beams.get(seat.piece)?.place ? heightAt(beams.get(seat.piece)!.place!, seat.at) : null);
      if (drawn === null) continue;
      const most = rules.value('surveyTolerance');
      checks.push(
        ratioCheck(
          { ...before('support.measured', of, sourced('Survey against drawing', rules, 'surveyTolerance')), station: 'measure' },
          { demand: Math.abs(measured.level - drawn), capacity: most, quantity: 'dimension', caution: null, inclusive: true },
          told(
            phrase`${support.name} is drawn at ${q(drawn, 'length')} and was found at ${q(measured.level, 'length')}; ${q(most, 'dimension')} may be. Shim it, or bring the seat to level.`,
          ),
          [],
        ),
      );
    }
  }
  for (const make of plan.structure.makes) {
    const of = about('make', make, make.mark);
    const known = yieldOf(make.grade);
    if (make.made.kind !== 'plain' && known === null && !saysSomething(make.grade))
      checks.push(missingCheck(before('make.grade', of, 'Common practice'), 'stress', `Of what grade is ${make.mark}?`));
    if (known !== null && make.yield !== null && Math.abs(make.yield / known - 1) > GRADE_OFF)
      checks.push({
        ...missingCheck(before('make.grade', of, 'Two statements of one strength'), 'stress', ''),
        demand: make.yield,
        finding: told(
          phrase`${make.mark} is ${make.grade}, which yields at ${q(known, 'stress')}, and is said to yield at ${q(make.yield, 'stress')}. Which is right?`,
        ),
      });
  }
  for (const brace of plan.structure.braces) {
    const of = about('brace', brace, brace.name);
    if (brace.b === null) {
      if (!saysSomething(brace.anchoredTo))
        checks.push(missingCheck(before('brace.tied', of, 'Statics: a brace ties to something'), 'count', `What is ${brace.name} tied to at its other end?`));
      continue;
    }
    const [from, to] = [beams.get(brace.a.piece)?.place, beams.get(brace.b.piece)?.place];
    if (!from || !to || from.upright || to.upright || brace.kind === 'knee' || brace.kind === 'guy') continue;
    const [a, b] = [pointAt(from, brace.a.at), pointAt(to, brace.b.at)];
    const along = Math.abs((b.x - a.x) * from.along.x + (b.y - a.y) * from.along.y);
    const across = Math.abs((b.y - a.y) * from.along.x - (b.x - a.x) * from.along.y);
    if (along > across)
      checks.push({
        ...missingCheck(before('brace.meets', of, 'Geometry: a brace goes across'), 'length', ''),
        demand: along,
        finding: told(
          phrase`${brace.name} runs ${q(along, 'length')} along the pieces and ${q(across, 'length')} across between them. Are both its places right?`,
        ),
      });
  }
  for (const joint of plan.structure.joints) {
    const [a, b] = [joint.a, joint.b].map(({ piece, at }) => {
      const spot = beams.get(piece)?.place;
      return spot ? pointAt(spot, at) : null;
    });
    if (!a || !b) continue;
    // A beam comes to the face of what carries it, and lies on top of it or within its depth: seen from above they meet.
    const gap = Math.hypot(a.x - b.x, a.y - b.y);
    const reach = joint.kind === 'splice' ? MEET : MEET + Math.max(0, ...[joint.a, joint.b].map(({ piece }) => widthOf(beams.get(piece)) / 2));
    const drop = joint.kind === 'splice' ? Math.abs(a.z - b.z) : 0;
    if (gap > reach || drop > MEET)
      checks.push({
        ...missingCheck(before('joint.meets', about('joint', joint, joint.name), 'Geometry: what is joined meets'), 'length', ''),
        demand: Math.hypot(gap, drop),
        finding: told(phrase`The two ends of ${joint.name} are drawn ${q(Math.hypot(gap, drop), 'length')} apart. Which of them is in the wrong place?`),
      });
    if (joint.kind === 'splice')
      for (const spot of [joint.a, joint.b]) {
        const length = beams.get(spot.piece)?.place?.length ?? 0;
        if (Math.min(spot.at, Math.abs(length - spot.at)) > MEET)
          checks.push(
            missingCheck(
              before('joint.end', about('joint', joint, joint.name, spot.piece), 'Geometry'),
              'length',
              `${joint.name} is a splice and is not at an end of ${beams.get(spot.piece)?.beam.mark}. Where is it?`,
            ),
          );
      }
  }
  return checks;
}

/** A yield this far from that of its grade is of another grade. */
const GRADE_OFF = 0.05;

/** The seats of one pier or bent lie within this of each other [m]. */
const ONE_SUPPORT = 3;

const widthOf = (settled: SettledBeam | undefined): number =>
  settled && !(settled.section instanceof Missing) ? Math.max(settled.section.width, settled.section.depth) : 0.3;

/** The same words for what holds a piece, whatever the number of the card. */
const sameGear = (a: string, b: string): boolean => {
  const bare = (text: string) => text.toLowerCase().replace(/[^\p{L}]/gu, '');
  return bare(a) === bare(b);
};

/** What the structure has and no move does. */
function leftOutOf({ context, beams }: Ground): Check[] {
  const { plan, replayed } = context;
  const { structure, moves } = plan;
  const checks: Check[] = [];
  const last = replayed.steps.at(-1)?.after.structure;
  const ask = (id: string, of: ReturnType<typeof about>, question: string) =>
    checks.push(missingCheck(place(id, of, null, sequenceNeeds.id, 'Common practice: what no move does is not done'), 'count', question));
  const done = new Set(
    moves.map(
      (move) =>
        `${move.kind} ${'beam' in move ? move.beam : 'support' in move ? move.support : 'joint' in move ? move.joint : 'brace' in move ? move.brace : 'load' in move ? move.load : ''}`,
    ),
  );
  for (const { beam, place: stands } of beams.values()) {
    const of = about('beam', beam, beam.mark);
    if (!stands) continue;
    if (!done.has(`piece.hang ${beam.id}`)) ask('moves.beam', of, `No move hangs ${beam.mark} in place. When and how is it set, or who sets it elsewhere?`);
    else if (stands.upright && !done.has(`beam.plumb ${beam.id}`))
      ask('moves.plumb', of, `No move plumbs ${beam.mark}. When is it plumbed, and what does it read?`);
    else if (last && beamAt(last, beam.id).where !== 'set') ask('moves.letGo', of, `No move lets go of ${beam.mark}. What holds it, and until when?`);
    else if (last && beamAt(last, beam.id).kept > 0) ask('moves.letGo', of, `The hook still pulls ${beam.mark} at the end. When does it let go?`);
  }
  replayed.steps.forEach(({ move, after }) => {
    if (move.kind !== 'piece.hang') return;
    const others = moves.filter(
      (one): one is typeof move =>
        one.kind === 'piece.hang' && one.beam !== move.beam && beamAt(after.structure, one.beam).where === 'hanging' && sameGear(one.by, move.by),
    );
    const [other] = others;
    if (!other) return;
    const [beam, hung] = [beams.get(move.beam)!.beam, beams.get(other.beam)!.beam];
    checks.push(
      missingCheck(
        place('lift.hooks', about('beam', beam, beam.mark, hung.id), move.id, sequenceNeeds.id, 'Common practice: one hook holds one load'),
        'count',
        `${hung.mark} still hangs when ${beam.mark} is hung, both by ${move.by.trim() || 'nothing named'}. Is it another hook, or does the first let go before?`,
      ),
    );
  });
  for (const move of moves)
    if (move.kind === 'piece.hang' && !saysSomething(move.by)) {
      const beam = beams.get(move.beam)!.beam;
      checks.push(
        missingCheck(
          place('lift.by', about('beam', beam, beam.mark), move.id, sequenceNeeds.id, 'Common practice'),
          'count',
          `What lifts ${beam.mark} and holds it in place: crane, hoist, lifts or hands, and who has checked that lift?`,
        ),
      );
    }
  for (const support of structure.supports) {
    const of = about('support', support, support.name);
    if (!done.has(`support.ready ${support.id}`)) ask('moves.support', of, `No move makes ${support.name} ready. When does it stand?`);
    else if (temporarySupports.includes(support.kind) && !done.has(`support.strike ${support.id}`))
      ask('moves.strike', of, `${support.name} stands for a time only and no move strikes it. When is it struck?`);
  }
  for (const joint of structure.joints) {
    const of = about('joint', joint, joint.name);
    const state = last && jointAt(last, joint.id);
    if (!done.has(`joint.make ${joint.id}`)) ask('moves.joint', of, `No move joins ${joint.name}. When is it made?`);
    else if (state?.untold) ask('moves.tight', of, `Are all bolts of ${joint.name} of the drawn size and grade, and wrench-tight at the end?`);
    else if (joint.holes !== null && state && state.bolts !== null && state.bolts > joint.holes)
      ask('joint.holes', of, `${joint.name} has ${joint.holes} holes and ends with ${state.bolts} bolts. Which of the two is wrong?`);
    else if (joint.holes !== null && state && state.bolts !== null && state.bolts < joint.holes)
      ask('moves.fill', of, `${joint.name} ends with ${state.bolts} bolts tight in ${joint.holes} holes. When are the others filled, and the pins driven out?`);
  }
  for (const load of structure.loads)
    if (!done.has(`load.on ${load.id}`))
      ask(
        'moves.load',
        about('beam', beams.get(load.piece)!.beam, load.what, load.id),
        `No move puts ${load.what} on. When does it come, or is it not for this job?`,
      );
  for (const brace of structure.braces)
    if (!done.has(`brace.fix ${brace.id}`)) ask('moves.brace', about('brace', brace, brace.name), `No move fixes ${brace.name}. When is it put in?`);
  return checks;
}
