import { phrase, q } from '../../calc/work';
import type { PieceForces } from '../../stage/line';
import { stageLine } from '../../stage/line.calc';
import type { SectionRow } from '../../steel/section-row';
import { windRollover } from '../../strength/wind-rollover.calc';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { BY_HAND, checkedByHand } from '../lift/hanging-piece';
import { isGiven, postCapacity } from '../../settle/section-strength';
import { Missing } from '../../verdict/missing';
import type { Check } from '../../verdict/check';
import type { Joint, Support } from '../../document/schema';
import { AIR_DENSITY, asksStandingGust, windSource } from '../../settle/wind';
import { isStiff, type Line, type StageChange } from './forces';
import { baseUnderCheck } from './base';
import { heldOf } from '../../replay/held';
import { flatOf, riseOf } from '../../settle/sloping';
import type { SettledBeam } from '../../settle/model';
import { beamAt, isMade, standsAt, jointAt, type StructureMoment } from '../../replay/moment';
import type { Ground } from './ground';
import { about, place } from './places';

/** A line as it stands after a move: whether it stands, what its pieces and joints feel, what holds it. */
export function lineChecks(ground: Ground, line: Line, { move, moment }: StageChange): void {
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
  if (first.place?.upright) {
    baseUnderCheck(ground, first, line, moveId);
    // On the web of a beam it hangs on the bolts; on its flange it stands.
    for (const { joint } of by.joints.get(first.beam.id) ?? [])
      if (joint.kind !== 'splice' && joint.a.piece === first.beam.id && isMade(jointAt(moment, joint.id))) hangCheck(ground, joint, line, moment, moveId);
    if (first.make.made.kind === 'plain') return rows.put(checkedStanding(first, at('beam.checkedBy', 'record', BY_HAND)));
    return columnStrength(ground, first, line, moveId);
  }
  const held = heldOf(line, moment, by);
  const factored = rules.id === 'us-asd' ? answers.plain : answers.factored;
  for (const settled of named) {
    const { beam, section } = settled;
    const forces = factored.stable ? factored.pieces.get(beam.id) : undefined;
    const free = held.get(beam.id);
    if (!forces || !free || section instanceof Missing) continue;
    const whole = line.bent ? line.spans.at(-1)!.to : settled.place!.length;
    rows.part(`bends ${beam.id}`, [settled, forces, free.free, whole], ground, () =>
      strengthChecks(ground, settled, section, forces, { free: free.free, whole }, moveId),
    );
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
        const feels = firstEnd !== span.flipped ? told_.left : told_.right;
        rows.part(`splice ${joint.id}`, [joint, jointAt(moment, joint.id), feels], ground, () => spliceCheck(ground, joint, feels, moment, moveId));
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
  if (stood && (!stood.twist || stood.seatsOnly)) rollCheck(ground, named, line, moment, moveId, mark, stood.twist);
}

/** Who has checked a thing that is no section as it stands. */
const checkedStanding = ({ beam, make: { id, made } }: SettledBeam, where: Place): Check =>
  checkedByHand(
    { ...where, about: { ...where.about, part: id } },
    made.kind === 'plain' ? (made.standsBy ?? '') : '',
    phrase`${beam.mark} on its seats, joints and braces`,
  );

/** A piece bent and sheared as it stands. */
function strengthChecks(
  ground: Ground,
  settled: SettledBeam,
  section: SectionRow,
  forces: PieceForces,
  { free, whole }: { free: number; whole: number },
  moveId: string | null,
): void {
  const { rows, context } = ground;
  const { rules } = context;
  const { beam, fy } = settled;
  const piece = (id: string, calc: string) =>
    place(
      id,
      about('beam', beam, beam.mark),
      moveId,
      calc,
      isGiven(section) ? BY_HAND : sourced('The stage as it stands, and the length it stands free', rules, 'strengthCaution'),
    );
  if (isGiven(section)) return rows.put(checkedStanding(settled, piece('beam.checkedBy', 'record')));
  if (!(fy > 0)) {
    rows.put(
      missingCheck(
        piece('beam.bending', 'member.flexureAisc'),
        'moment',
        `What yield has ${beam.mark}? Its grade, “${settled.make.grade}”, is not in the tables.`,
      ),
    );
    return;
  }
  const bends = Math.max(forces.sagging, forces.hogging);
  const strength = ground.strengthOf(settled, section, free);
  const [bending, shear] = [strength.bending(), strength.shear()];
  const calc = rules.id === 'us-asd' ? 'member.flexureAisc' : 'member.flexureEn';
  if (bending instanceof Missing) rows.put(missingCheck(piece('beam.bending', calc), 'moment', bending.questions.join(' ')));
  else {
    const numbers = { demand: bends, capacity: bending.capacity, quantity: 'moment' as const, caution: ground.caution };
    rows.ratio('beam.bending', 'beam', beam.id, undefined, moveId, numbers, () =>
      ratioCheck(
        piece('beam.bending', calc),
        numbers,
        told(phrase`${beam.mark} bends ${q(bends, 'moment')}, ${q(free, 'length')} of it unbraced; that is good for ${q(bending.capacity, 'moment')}.`),
        bending.traces,
      ),
    );
  }
  pressedCheck(ground, settled, section, { bends, bending, shear: forces.shear, axial: forces.axial, free, whole }, moveId);
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

/** Flatter than this what presses a piece along its own slope is nothing [rise over length]. */
const LEVEL = 0.05;

/** A piece that slopes is pressed along it by what comes down on it, besides being bent. */
function pressedCheck(
  { rows, context, caution }: Ground,
  { beam, place: stands, fy }: SettledBeam,
  section: SectionRow,
  {
    bends,
    bending,
    shear,
    axial: pressed,
    free,
    whole,
  }: { bends: number; bending: { capacity: number } | Missing; shear: number; axial: number | undefined; free: number; whole: number },
  move: string | null,
): void {
  if (!stands || stands.upright || bending instanceof Missing) return;
  const rise = Math.abs(riseOf(stands));
  if (rise < LEVEL && pressed === undefined) return;
  const { rules } = context;
  const where = place('beam.pressed', about('beam', beam, beam.mark), move, 'member.columnAisc', sourced(SLOPES, rules, 'strengthCaution'));
  const post = postCapacity(section, fy, { strong: whole, weak: free }, rules);
  if (post instanceof Missing) return rows.put(missingCheck(where, 'force', post.questions.join(' ')));
  const axial = pressed ?? (shear * rise) / flatOf(stands);
  const sways = (Math.PI ** 2 * rules.steel.modulus * section.iStrong) / whole ** 2;
  if (pressed !== undefined && axial > SMALL * sways)
    return rows.put(
      missingCheck(
        where,
        'force',
        `${beam.mark} is pressed along by more than ${(100 * SMALL).toFixed(0)} % of what buckles rafters of its length: how they bend further by that is not worked out here. Who has checked it?`,
      ),
    );
  const numbers = { demand: axial / post.capacity + bends / bending.capacity, capacity: 1, quantity: 'fraction' as const, caution };
  rows.ratio('beam.pressed', 'beam', beam.id, undefined, move, numbers, () =>
    ratioCheck(
      where,
      numbers,
      told(
        phrase`${beam.mark} slopes${pressed === undefined ? '' : ' and stands bent'}: it is pressed along by ${q(axial, 'force')} of ${q(post.capacity, 'force')} and bends ${q(bends, 'moment')} of ${q(bending.capacity, 'moment')}, together ${q(numbers.demand, 'fraction')}.`,
      ),
      post.traces,
    ),
  );
}
/** Pressed by no more than this of what buckles all of it, rafters bend no further by it that counts (EN 1993-1-1 5.2.1(4)B, from memory). */
const SMALL = 0.09;
const SLOPES = 'Statics: of what shears a piece that slopes, tan of its slope presses or pulls it along; both are added in a line';

/**
 * A piece in the wind that may come while it stands with nothing that keeps it from rolling over but its own weight on its seats, or
 * with the ties of those seats alone.
 */
function rollCheck(
  { context, rows, by, wind }: Ground,
  named: readonly SettledBeam[],
  line: Line,
  moment: StructureMoment,
  move: string | null,
  mark: string,
  tied: boolean,
): void {
  const { rules } = context;
  const where = place(
    tied ? 'line.tied' : 'line.roll',
    about('beam', named[0]!.beam, mark),
    move,
    windRollover.id,
    `${sourced(windRollover.source.text, rules, 'rollover', 'girderDrag')}${windSource(wind)}`,
  );
  const { gust } = wind;
  const hooked = line.beams.some((id) => beamAt(moment, id).kept > 0);
  if (hooked) return;
  if (gust === null) return rows.put(missingCheck(where, 'speed', asksStandingGust(mark)));
  const seats = line.beams.flatMap((id) => (by.seats.get(id) ?? []).filter(({ support }) => standsAt(moment, support.id)).map(({ support }) => support));
  const unknown = seats.find((one) => one.seatWidth === null);
  if (!tied && (unknown || seats.length === 0))
    return rows.put(
      missingCheck(where, 'dimension', `How wide is the seat of ${unknown?.name ?? mark}? ${mark} stands on it with nothing that keeps it from rolling over.`),
    );
  const sections = named.flatMap(({ section }) => (section instanceof Missing ? [] : [section]));
  const weight = named.reduce((sum, { light }) => sum + (light instanceof Missing ? 0 : light.total), 0);
  // On a seat of which nobody says how wide it is its weight holds nothing.
  const wide = Math.min(...seats.map((one) => one.seatWidth ?? THIN), ...sections.map((one) => one.width));
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
  if (tied) return rows.put(tiesCheck(where, mark, seats, { wanted, righting, gust }, traces));
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

/** The least width of a seat that is reckoned with [m]. */
const THIN = 1e-3;

/** What its weight does not hold against rolling over, the ties at its seats do, by what somebody says of each. */
function tiesCheck(
  where: Place,
  mark: string,
  seats: readonly Support[],
  { wanted, righting, gust }: { wanted: number; righting: number; gust: number },
  traces: Check['traces'],
): Check {
  const ties = seats.filter((one) => one.twist);
  const unknown = ties.find((one) => (one.twistHolds ?? null) === null);
  if (wanted > righting && unknown)
    return {
      ...missingCheck(where, 'moment', '', traces),
      finding: told(
        phrase`A gust of ${q(gust, 'speed')} asks ${q(wanted, 'moment')} of ${mark} while it stands alone, and its weight gives ${q(righting, 'moment')}. What do the ties at ${unknown.name} hold against rolling over, and who says so?`,
      ),
    };
  const holds = ties.reduce((sum, one) => sum + (one.twistHolds ?? 0), righting);
  return ratioCheck(
    where,
    { demand: wanted, capacity: holds, quantity: 'moment', caution: null, inclusive: true },
    told(
      phrase`While ${mark} stands alone a gust of ${q(gust, 'speed')} asks ${q(wanted, 'moment')}; its weight and the ties at its seats hold ${q(holds, 'moment')} against rolling over.`,
    ),
    traces,
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
  const bent = line.bent?.[rules.id === 'us-asd' ? 'plain' : 'factored'].thrust ?? null;
  const pressed = bent === null ? 0 : Math.max(-bent.least, bent.most);
  rows.put(
    ratioCheck(
      where,
      { demand: Math.hypot(brings, pressed), capacity, quantity: 'force', caution: rules.value('strengthCaution') },
      told(
        pressed > 0
          ? phrase`${joint.name} carries ${q(Math.abs(brings), 'force')} and is pressed outwards by up to ${q(pressed, 'force')}, on ${String(state.bolts + state.pins)} bolts and pins that are good for ${q(capacity, 'force')}.`
          : phrase`${joint.name} carries ${q(Math.abs(brings), 'force')} on ${String(state.bolts + state.pins)} bolts and pins that are good for ${q(capacity, 'force')}.`,
      ),
      [],
    ),
  );
}
