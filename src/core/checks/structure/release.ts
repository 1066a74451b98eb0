import { phrase, q } from '../../calc/work';
import { baseAnchors } from '../../frame/base-anchors.calc';
import { stageLine } from '../../stage/line.calc';
import { releaseBolts } from '../../gates/release.calc';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { saysSomething } from '../../document/records';
import { hangsWith } from '../../document/joined';
import type { Joint, Move, Support } from '../../document/schema';
import type { StageChange } from './forces';
import type { SettledBeam } from '../../settle/model';
import { beamAt, isMade, standsAt, jointAt, type StructureMoment } from '../../replay/moment';
import type { Said } from './worst';
import type { Ground } from './ground';
import { LEAN } from '../../document/place';
import { about, place } from './places';

/** 300 lb [N] and 18 in [m], 29 CFR 1926.755(a)(2). */
const TOP_LOAD = 1334.47;

const TOP_ARM = 0.4572;

const LEAST_ANCHORS = 4;

/** Two statements of the depth of a column may differ by so much. */
const DEPTH_OFF = 0.05;

/** Of the holes of a splice in the air, filled and pinned; three quarters where traffic is on it. */
const FILLED = { usual: 0.5, traffic: 0.75, pinned: 0.25 } as const;

const SPLICE_SOURCE =
  'AASHTO LRFD Bridge Construction Specifications 6.5.2, 11.5 (from memory): half the holes filled, half of those pins; three quarters under traffic';

/** Before the hook lets go of a piece for good: what holds each of its ends, and the piece alone. */
export function releaseChecks(ground: Ground, id: string, { move, moment }: StageChange): void {
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
        // A column on a beam stands by the bolts of its foot as one on a column does by its splice.
        if (stands.upright && Math.abs(joint.a.at - (stands.from.z <= stands.to.z ? 0 : stands.length)) < END)
          columnSpliceCheck(ground, settled, joint, state.pins + state.bolts, move?.id ?? null);
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
function fillCheck(rows: Said, joint: Joint, pins: number, bolts: number, move: string | null, mark: string): void {
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
  rows: Said,
  settled: SettledBeam,
  seats: readonly { support: Support }[],
  moment: StructureMoment,
  move: string | null,
  caution: number,
): void {
  const { beam, light, section } = settled;
  for (const { support } of seats) {
    // A column cast into a pocket stands by it; on anything else it is anchored.
    if (!standsAt(moment, support.id) || support.kind === 'pocket') continue;
    const where = (id: string) => place(id, about('support', support, support.name), move, baseAnchors.id, '29 CFR 1926.755(a)');
    if (support.kind !== 'anchors') {
      rows.put(
        missingCheck(
          where('anchors.count'),
          'count',
          `${beam.mark} is a column and ${support.name} is no group of anchors. With how many anchors, at least ${LEAST_ANCHORS}, does it stand there?`,
        ),
      );
      continue;
    }
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
    if (
      columnDepth !== null &&
      !(section instanceof Missing) &&
      Math.abs(columnDepth / section.depth - 1) > DEPTH_OFF &&
      Math.abs(columnDepth / section.width - 1) > DEPTH_OFF
    )
      rows.put({
        ...missingCheck(where('anchors.depth'), 'dimension', ''),
        demand: columnDepth,
        finding: told(
          phrase`The column at ${support.name} is said to be ${q(columnDepth, 'dimension')} deep; ${beam.mark} is ${q(section.depth, 'dimension')}. Which is right?`,
        ),
      });
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

/** A hook that keeps as much as the piece weighs has let go of nothing. */
export function easedCheck(
  { beams, rows, context }: Ground,
  { beam: id, keeps, id: move }: Extract<Move, { kind: 'piece.letGo' }>,
  moment: StructureMoment,
): void {
  const { beam } = beams.get(id)!;
  const along = hangsWith(context.plan, id).filter((one) => beamAt(moment, one).with === id);
  let weighs = 0;
  for (const one of [id, ...along]) {
    const { light } = beams.get(one)!;
    if (light instanceof Missing) return;
    weighs += light.total;
  }
  if (keeps < weighs) return;
  const mark = [beam.mark, ...along.map((one) => beams.get(one)!.beam.mark)].join(' + ');
  rows.put({
    ...missingCheck(place('release.keeps', about('beam', beam, beam.mark), move, stageLine.id, stageLine.source.text), 'force', ''),
    demand: keeps,
    finding: told(
      phrase`The hook is to keep ${q(keeps, 'force')} of ${mark}, which weighs ${q(weighs, 'force')}: nothing of it comes on its seats. What is it to keep?`,
    ),
  });
}

/** What the plumbing of a piece found. */
export function plumbCheck({ beams, rows }: Ground, id: string, off: number | null, move: string): void {
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
