import { riggingHook } from '../../rigging/hook.calc';
import { pickMoments } from '../../rigging/pick-moments.calc';
import { slingRating } from '../../rigging/sling-rating.calc';
import { steelWeight } from '../../steel/weight.calc';
import { columnAisc } from '../../strength/column-aisc.calc';
import { columnEn } from '../../strength/column-en.calc';
import { combined } from '../../strength/combined.calc';
import { hanging as hangingCalc } from '../../strength/hanging.calc';
import { hangingStrength } from '../../strength/hanging-strength.calc';
import { GRAVITY } from '../../units';
import type { Trace } from '../../calc/evidence';
import type { Check } from '../check';
import { Missing } from '../missing';
import type { Hanging } from '../hanging';
import type { PieceWeight } from '../piece-weight';
import type { Piece } from '../schema';
import { reckonedYield } from '../reckoned-yield';
import { flatStop, missingCheck, liftMove, moveFor, ratioCheck, sourced, traced, type Context, type PickContext, on } from './context';
import { bendingCapacity, isOpenI, ltbCurve } from './section-strength';

export function weightCheck(context: Context, piece: Piece, weight: PieceWeight | Missing, move: string | null): Check {
  const place = {
    id: 'piece.weight',
    ...on('piece', piece, piece.mark),
    station: 'steel' as const,
    move,
    calc: steelWeight.id,
    source: sourced(steelWeight.source.text, context.rules, 'weightAllowance'),
  };
  if (weight instanceof Missing) return missingCheck(place, 'mass', weight.questions.join(' '));
  return {
    ...place,
    demand: weight.mass,
    capacity: null,
    quantity: 'mass',
    ratio: null,
    caution: null,
    verdict: 'clear',
    finding: { code: 'weight', mark: piece.mark, mass: weight.mass, allowance: weight.allowance, cg: weight.cg.x },
    traces: [weight.trace],
  };
}

/** Slings, tilt, and the piece's own strength and stability while it hangs. */
export function riggingChecks(context: Context, pickContext: PickContext): Check[] {
  const { plan, rules } = context;
  const { pick, piece, weight, hanging } = pickContext;
  const sling = moveFor(plan, 'piece.sling', pick.id);
  const place = (id: string, calc: string, source: string, move = sling) => ({
    id,
    ...on('pick', pick, piece.mark),
    station: 'picks' as const,
    move,
    calc,
    source,
  });
  const hook = riggingHook.source.text;
  if (hanging instanceof Missing)
    return [missingCheck(place('rigging.tension', riggingHook.id, hook), 'force', `The slings cannot be worked out. ${hanging.questions.join(' ')}`)];
  if ('impossible' in hanging)
    return [flatStop(place('rigging.closes', riggingHook.id, hook), 'length', { code: 'sling.impossible', reason: hanging.impossible }, [])];
  const checks: Check[] = [
    tensionCheck(
      context,
      pickContext,
      hanging,
      place('rigging.tension', slingRating.id, sourced(slingRating.source.text, rules, 'dynamicFactor', 'slingCaution')),
    ),
  ];
  const flattest = hanging.angleDeg[0] <= hanging.angleDeg[1] ? 0 : 1;
  const angleDeg = hanging.angleDeg[flattest];
  const leastDeg = rules.value('slingLeastAngle');
  checks.push(
    ratioCheck(
      place('rigging.angle', riggingHook.id, sourced(hook, rules, 'slingLeastAngle', 'slingCautionAngle')),
      { demand: leastDeg, capacity: angleDeg, quantity: 'angle', caution: leastDeg / rules.value('slingCautionAngle'), inclusive: true },
      { code: 'sling.angle', leg: flattest === 0 ? 'the left one' : 'the right one', angleDeg, leastDeg },
      [hanging.trace],
    ),
    ratioCheck(
      place('rigging.tilt', riggingHook.id, sourced(hook, rules, 'tiltMost', 'tiltCaution')),
      {
        demand: Math.abs(hanging.tiltDeg),
        capacity: rules.value('tiltMost'),
        quantity: 'angle',
        caution: rules.value('tiltCaution') / rules.value('tiltMost'),
        inclusive: true,
      },
      { code: 'sling.tilt', mark: piece.mark, lowEnd: hanging.tiltDeg > 0 ? 'left' : 'right', tiltDeg: hanging.tiltDeg, mostDeg: rules.value('tiltMost') },
      [hanging.trace],
    ),
  );
  if (!(weight instanceof Missing)) checks.push(...bodyChecks(context, pickContext, weight, hanging));
  return checks;
}

type Place = Parameters<typeof missingCheck>[0];

function tensionCheck({ rules }: Context, { pick }: PickContext, hanging: Hanging, place: Place): Check {
  if (pick.slingRating === null) return missingCheck(place, 'force', 'What is one sling leg rated for? Read its tag.', [hanging.trace]);
  const dynamicFactor = rules.value('dynamicFactor');
  const { outcome, traces } = traced(slingRating, { tension: Math.max(...hanging.tension), dynamicFactor, rating: pick.slingRating });
  if (!outcome.ok) return missingCheck(place, 'force', outcome.error);
  const { demand, capacity } = outcome.output;
  return ratioCheck(
    place,
    { demand, capacity, quantity: 'force', caution: rules.value('slingCaution') },
    { code: 'sling.tension', tensions: [hanging.tension[0] * dynamicFactor, hanging.tension[1] * dynamicFactor], factor: dynamicFactor, rating: capacity },
    [hanging.trace, ...traces],
  );
}

/** Bending with the squeeze of the slings, and sideways buckling, of the piece between and beyond its picks. */
function bodyChecks(context: Context, { pick, piece }: PickContext, weight: PieceWeight, hanging: Hanging): Check[] {
  const { plan, rules } = context;
  const lift = liftMove(plan, pick);
  const { section } = weight;
  const american = rules.id === 'us-asd';
  const factor = rules.value('dynamicFactor') * rules.value('loadFactor');
  const newtons = (mass: number) => mass * (1 + weight.allowance) * GRAVITY;
  const moments = traced(pickMoments, {
    length: piece.length,
    left: pick.left,
    right: pick.right,
    runs: [
      { weightPerLength: newtons(weight.perLength), from: 0, to: piece.length },
      ...piece.packing.map((one) => ({ weightPerLength: newtons(one.massPerLength), from: one.from, to: one.to })),
    ],
    lumps: piece.attachments.map((one) => ({ weight: newtons(one.mass), at: one.at })),
  });
  const at = (id: string, calc: string, source: string): Place => ({ id, ...on('pick', pick, piece.mark), station: 'picks', move: lift, calc, source });
  const bendingAt = at('pick.bending', combined.id, sourced(combined.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'));
  const hangingAt = at('pick.hanging', hangingCalc.id, sourced(hangingCalc.source.text, rules, 'hangingSafety', 'dynamicFactor', 'loadFactor'));
  if (!moments.outcome.ok) return [missingCheck(bendingAt, 'moment', moments.outcome.error)];
  const moment = moments.outcome.output.governing * factor;
  const checks: Check[] = [];

  const bending = bendingCapacity(section, reckonedYield(piece), rules, null);
  const squeeze = hanging.tension[0] * Math.cos((hanging.angleDeg[0] * Math.PI) / 180) * factor;
  const between = piece.length - pick.left - pick.right;
  const radius = section.rWeak ?? Math.sqrt(section.iWeak / section.area);
  const column = { yield: reckonedYield(piece), modulus: rules.steel.modulus, area: section.area, radius, effectiveLength: between };
  const axial = american
    ? axialOf(traced(columnAisc, column), 'allowable')
    : axialOf(traced(columnEn, { ...column, curve: 'c', gammaM1: rules.value('gammaM1') }), 'design');
  if (bending instanceof Missing) checks.push(missingCheck(bendingAt, 'moment', bending.questions.join(' '), moments.traces));
  else if (axial === null) checks.push(missingCheck(bendingAt, 'moment', `The squeeze on ${piece.mark} between its picks cannot be worked out.`));
  else {
    const both = traced(combined, { moment, momentCapacity: bending.capacity, axial: squeeze, axialCapacity: axial.capacity, rule: american ? 'aisc' : 'en' });
    const ratio = both.outcome.ok ? both.outcome.output.ratio : NaN;
    const capacity = ratio > 0 ? moment / ratio : bending.capacity;
    checks.push(
      ratioCheck(
        bendingAt,
        { demand: moment, capacity, quantity: 'moment', caution: rules.value('strengthCaution'), ratio },
        { code: 'pick.bending', mark: piece.mark, moment, capacity, ratio },
        [...moments.traces, ...bending.traces, ...axial.traces, ...both.traces],
      ),
    );
  }

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
    length: piece.length,
    liftFromEnd: Math.min(pick.left, pick.right),
  });
  if (!critical.outcome.ok) return [...checks, missingCheck(hangingAt, 'moment', critical.outcome.error)];
  const usable = traced(hangingStrength, {
    critical: critical.outcome.output.critical,
    rule: american ? 'aisc' : 'en',
    safety: rules.value('hangingSafety'),
    plastic: reckonedYield(piece) * (section.zStrong ?? section.sStrong ?? 0),
    curve: ltbCurve(section),
    gammaM1: rules.value('gammaM1'),
  });
  if (!usable.outcome.ok) return [...checks, missingCheck(hangingAt, 'moment', usable.outcome.error)];
  const capacity = usable.outcome.output.usable;
  checks.push(
    ratioCheck(
      hangingAt,
      { demand: moment, capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
      { code: 'pick.hanging', mark: piece.mark, moment, usable: capacity },
      [...moments.traces, ...critical.traces, ...usable.traces],
    ),
  );
  return checks;
}

function axialOf<K extends string>(
  run: { outcome: { ok: true; output: Record<K, number> } | { ok: false }; traces: Trace[] },
  key: K,
): { capacity: number; traces: Trace[] } | null {
  return run.outcome.ok ? { capacity: run.outcome.output[key], traces: run.traces } : null;
}
