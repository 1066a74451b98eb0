import type { Trace } from '../../calc/evidence';
import { phrase, q, type Phrase } from '../../calc/work';
import { pickMoments } from '../../rigging/pick-moments.calc';
import type { Rules } from '../../rules/rule-sets';
import type { SectionRow } from '../../steel/section-row';
import { columnAisc } from '../../strength/column-aisc.calc';
import { columnEn } from '../../strength/column-en.calc';
import { combined } from '../../strength/combined.calc';
import { hanging as hangingCalc } from '../../strength/hanging.calc';
import { hangingStrength } from '../../strength/hanging-strength.calc';
import type { Check } from '../../verdict/check';
import type { Hanging } from '../../settle/hanging';
import type { Turned } from '../../settle/lift-turned';
import { Missing } from '../../verdict/missing';
import type { PieceWeight } from '../../settle/piece-weight';
import { reckonedYield } from '../../document/reckoned-yield';
import { heightIn } from '../../settle/joined-weight';
import { namesPerson } from '../../document/records';
import type { Joint, Piece } from '../../document/schema';
import { liftMove, type Context, type PickContext, type Spliced } from '../context';
import { missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { bendingCapacity, isGiven, isOpenI, ltbCurve, plasticMoment, pressed, weakCurve } from '../../settle/section-strength';

/** Where a piece that is turned upright is held while it lies, from its left and right end. */
const turnedPicks = ({ slung, tail, firstUp }: Turned, { length }: Piece): { left: number; right: number } =>
  firstUp ? { left: length - slung, right: tail } : { left: tail, right: length - slung };

/** Bending with the squeeze of the slings, and sideways buckling, of the piece between and beyond its picks. */
export function hangingChecks(context: Context, { pick, piece, turned, joined, lifted }: PickContext, weight: PieceWeight, hanging: Hanging): Check[] {
  const { plan, rules } = context;
  const lift = liftMove(plan, pick);
  const { section } = weight;
  const american = rules.id === 'us-asd';
  const factor = rules.value('dynamicFactor') * rules.value('loadFactor');
  const { left, right } = turned ? turnedPicks(turned, piece) : pick;
  const moments = traced(pickMoments, {
    length: piece.length,
    left,
    right,
    runs: weight.runs,
    lumps: weight.lumps,
    ...(joined ? { stretches: joined.members.map(({ from, to }) => ({ from, to })), cuts: joined.splices.map(({ at }) => at) } : {}),
  });
  const at = (id: string, calc: string, source: string): Place => ({ id, ...on('pick', pick, piece.mark), station: 'picks', move: lift, calc, source });
  if (isGiven(section)) {
    const make = lifted.kind === 'beam' ? lifted.make : null;
    const by = make?.made.kind === 'plain' ? (make.made.hangsBy ?? '') : '';
    const where: Place = { ...at('pick.checkedBy', 'record', BY_HAND), ...on('pick', pick, piece.mark, make?.id) };
    return [checkedByHand(where, by, hangsFrom(piece, pick, turned, hanging.squeeze * factor))];
  }
  const bendingAt = at('pick.bending', combined.id, sourced(combined.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'));
  const hangingAt = at('pick.hanging', hangingCalc.id, sourced(hangingCalc.source.text, rules, 'hangingSafety', 'dynamicFactor', 'loadFactor'));
  if (!moments.outcome.ok) return [missingCheck(bendingAt, 'moment', moments.outcome.error)];
  const moment = moments.outcome.output.governing * factor;
  if (turned) {
    // Between its sling and its tail it can buckle sideways as a beam on two supports.
    const lying = bendingCapacity(section, reckonedYield(piece), rules, { length: piece.length - left - right, factor: 1 });
    if (lying instanceof Missing) return [missingCheck(bendingAt, 'moment', lying.questions.join(' '), moments.traces)];
    return [
      ratioCheck(
        { ...bendingAt, calc: pickMoments.id, source: sourced(pickMoments.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution') },
        { demand: moment, capacity: lying.capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
        told(phrase`As it is turned up, ${piece.mark} bends ${q(moment, 'moment')} between sling and tail; it is good for ${q(lying.capacity, 'moment')}.`),
        [...moments.traces, ...lying.traces],
      ),
    ];
  }
  const checks: Check[] = [];
  // What the slings press together lies below a ridge: it bends what is bent by so much more, taken at the worst of it.
  const lever = joined && weight.bent ? joined.members.map((one) => leverOf(joined, one, weight.bent!.slung, left, right)) : [];
  const presses = lever.length > 0 ? hanging.squeeze : 0;
  const along = joined && weight.bent ? joined.members.reduce((sum, { make }) => sum + make.length, 0) / piece.length : 1;
  const { greatest, felt } = moments.outcome.output;
  // Each of the pieces that hang as one bends by what is in it; the squeeze and the length it buckles over are those of the whole.
  const bent = joined
    ? joined.members.map((member, n) => ({
        part: member.beam.id,
        mark: member.beam.mark,
        section: member.section,
        fy: member.fy,
        moment: (greatest![n]! + presses * (lever[n] ?? 0)) * factor,
      }))
    : [{ part: null, mark: piece.mark, section, fy: reckonedYield(piece), moment }];
  const squeeze = { force: hanging.squeeze * factor, over: (piece.length - left - right) * along };
  for (const one of bent) {
    const where: Place = one.part === null ? bendingAt : { ...bendingAt, ...on('pick', pick, one.mark, one.part) };
    checks.push(bendingCheck(where, one, squeeze, rules, moments.traces));
  }
  if (joined && felt)
    checks.push(
      ...joined.splices.flatMap(({ joint, at: x }, n) =>
        hangingSplice(
          joint,
          pressedToo(felt[n]!, presses, within(x, left, piece.length - right) ? Math.abs(heightIn(joined, x) - (weight.bent?.slung ?? 0)) : 0),
          factor,
          at('pick.splice', pickMoments.id, SPLICED),
          rules,
          moments.traces,
        ),
      ),
    );

  if (!isOpenI(section) || section.torsion === null || section.warping === null) {
    if (section.family !== 'HSS')
      checks.push(missingCheck(hangingAt, 'moment', `Sideways buckling of a hanging ${section.designation} is not worked out here. Who has checked it?`));
    return checks;
  }
  const critical = traced(hangingCalc, {
    modulus: rules.steel.modulus,
    shearModulus: rules.steel.shearModulus,
    iWeak: section.iWeak,
    torsion: section.torsion,
    warping: section.warping,
    length: piece.length * along,
    liftFromEnd: Math.min(left, right) * along,
  });
  if (!critical.outcome.ok) return [...checks, missingCheck(hangingAt, 'moment', critical.outcome.error)];
  const counts = plasticMoment(section, reckonedYield(piece), rules);
  if (counts instanceof Missing) return [...checks, missingCheck(hangingAt, 'moment', counts.questions.join(' '))];
  const usable = traced(hangingStrength, {
    critical: critical.outcome.output.critical,
    rule: american ? 'aisc' : 'en',
    safety: rules.value('hangingSafety'),
    plastic: counts.moment,
    curve: ltbCurve(section),
    gammaM1: rules.value('gammaM1'),
  });
  if (!usable.outcome.ok) return [...checks, missingCheck(hangingAt, 'moment', usable.outcome.error)];
  const capacity = usable.outcome.output.usable;
  const all = moment + presses * Math.max(0, ...lever) * factor;
  checks.push(
    ratioCheck(
      hangingAt,
      { demand: all, capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
      { code: 'pick.hanging', mark: piece.mark, moment: all, usable: capacity },
      [...moments.traces, ...critical.traces, ...counts.traces, ...usable.traces],
    ),
  );
  return checks;
}

const within = (x: number, from: number, to: number): boolean => x > from && x < to;

/** How far a piece of what hangs bent gets away from the height of its slings, between them. */
function leverOf(joined: Spliced, { from, to }: { from: number; to: number }, slung: number, left: number, right: number): number {
  const [a, b] = [Math.max(from, left), Math.min(to, joined.length - right)];
  return a < b ? Math.max(...[a, b].map((x) => Math.abs(heightIn(joined, x) - slung))) : 0;
}

/** A splice where the slings’ squeeze goes through it, so far from it. */
const pressedToo = ({ moment, shear }: { moment: number; shear: number }, squeeze: number, lever: number): { moment: number; shear: number } =>
  squeeze === 0 || lever === 0 ? { moment, shear } : { moment: Math.abs(moment) + squeeze * lever, shear: Math.hypot(shear, squeeze) };

export const BY_HAND = 'Common practice: what is no section is checked by an engineer, who says so';

/** How a thing hangs, for whoever checks it: where from, and what its slings press it with. */
function hangsFrom({ mark }: Piece, { left, right }: PickContext['pick'], turned: Turned | null, squeeze: number): Phrase {
  if (turned) return phrase`${mark} as it is turned up, from its sling and its tail`;
  const where = phrase`${mark} as it hangs from ${q(left, 'length')} and ${q(right, 'length')} off its ends`;
  return squeeze > 1 ? [...where, ...phrase`, pressed between them with ${q(squeeze, 'force')}`] : where;
}

/** What a named person has checked in place of what is not worked out here. */
export function checkedByHand(where: Place, by: string, what: Phrase): Check {
  if (!namesPerson(by))
    return {
      ...missingCheck(where, 'count', ''),
      finding: told([...phrase`The strength of `, ...what, ' is not worked out here. Who has checked it?']),
    };
  const row = ratioCheck(
    where,
    { demand: 0, capacity: 1, quantity: 'count', caution: null },
    told([...what, ...phrase`: its strength was checked by ${by.trim()}, not here.`]),
    [],
  );
  return { ...row, demand: null, capacity: null, ratio: null, verdict: 'tight' };
}

/** One piece that hangs, by what is in it. */
export interface Bent {
  mark: string;
  section: SectionRow;
  fy: number;
  moment: number;
}

/** Bending of a piece with what the legs press it with between its picks. */
export function bendingCheck(where: Place, one: Bent, squeeze: { force: number; over: number }, rules: Rules, traces: Trace[]): Check {
  const bending = bendingCapacity(one.section, one.fy, rules, null);
  if (bending instanceof Missing) return missingCheck(where, 'moment', bending.questions.join(' '), traces);
  const squeezed = squeezedOf(one.section, one.fy, squeeze.over, rules);
  if (squeezed instanceof Missing)
    return missingCheck(where, 'moment', `The squeeze on ${one.mark} between its picks cannot be worked out. ${squeezed.questions.join(' ')}`);
  const both = traced(combined, {
    moment: one.moment,
    momentCapacity: bending.capacity,
    axial: squeeze.force,
    axialCapacity: squeezed.capacity,
    rule: rules.id === 'us-asd' ? 'aisc' : 'en',
  });
  const ratio = both.outcome.ok ? both.outcome.output.ratio : NaN;
  const capacity = ratio > 0 ? one.moment / ratio : bending.capacity;
  return ratioCheck(
    where,
    { demand: one.moment, capacity, quantity: 'moment', caution: rules.value('strengthCaution'), ratio },
    { code: 'pick.bending', mark: one.mark, moment: one.moment, capacity, ratio },
    [...traces, ...bending.traces, ...squeezed.traces, ...both.traces],
  );
}

export const SPLICED = 'Statics of the pieces that hang as one; what the splice may carry, filled and tight, by the engineer';

/** What a splice made on the ground feels as what it joins hangs in the slings. */
export function hangingSplice(joint: Joint, feels: { moment: number; shear: number }, factor: number, place: Place, rules: Rules, traces: Trace[]): Check[] {
  return (['moment', 'shear'] as const).map((part) => {
    const where: Place = {
      ...place,
      ...on('joint', joint, joint.name, part),
      source: sourced(place.source, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'),
    };
    const quantity = part === 'moment' ? ('moment' as const) : ('force' as const);
    const [demand, capacity] = [Math.abs(feels[part]) * factor, joint[part]];
    if (capacity === null) return missingCheck(where, quantity, `What ${part} may ${joint.name} carry once it is filled? Ask the engineer.`, traces);
    return ratioCheck(
      where,
      { demand, capacity, quantity, caution: rules.value('strengthCaution') },
      told(
        phrase`${joint.name} ${part === 'moment' ? 'bends' : 'shears'} ${q(demand, quantity)} as what it joins hangs in the slings; filled and tight it is good for ${q(capacity, quantity)}.`,
      ),
      traces,
    );
  });
}

/** What a piece carries along itself between its slings before it buckles sideways, however it is held there. */
function squeezedOf(section: SectionRow, fy: number, between: number, rules: Rules): { capacity: number; traces: Trace[] } | Missing {
  const counts = pressed(section, fy, rules);
  if (counts instanceof Missing) return counts;
  const radius = section.rWeak ?? Math.sqrt(section.iWeak / section.area);
  const column = { yield: fy, modulus: rules.steel.modulus, area: counts.area, radius, effectiveLength: between };
  if (rules.id === 'us-asd') {
    const { outcome, traces } = traced(columnAisc, column);
    return outcome.ok ? { capacity: outcome.output.allowable, traces: [...traces, ...counts.traces] } : new Missing(outcome.error);
  }
  const { outcome, traces } = traced(columnEn, { ...column, curve: weakCurve(section) === 'd' ? 'd' : 'c', gammaM1: rules.value('gammaM1') });
  return outcome.ok ? { capacity: outcome.output.design, traces: [...traces, ...counts.traces] } : new Missing(outcome.error);
}
