import { phrase, q } from '../../calc/work';
import { liftTurn } from '../../lift/turn.calc';
import { pickMoments } from '../../rigging/pick-moments.calc';
import type { Check } from '../../verdict/check';
import type { PieceWeight } from '../../settle/piece-weight';
import { namesPerson, saysSomething } from '../../document/records';
import { reckonedYield } from '../../document/reckoned-yield';
import { isGiven } from '../../settle/section-strength';
import type { Context, PickContext } from '../context';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';

/** A section that is hardly deeper than wide lies as well one way as the other. */
const DEEPER = 1.05;
/** Between two places it is looked at on its way up [°]. */
const STEP = 5;

/** A piece that lies on its side is rolled upright on one edge before it is lifted. */
export function rollChecks(context: Context, { drawn, piece, turned, hook, lifted, joined }: PickContext, weight: PieceWeight, move: string | null): Check[] {
  const { rules } = context;
  const { depth, width } = weight.section;
  // What is bent rolls on its lower ends.
  const { slung, rise } = weight.bent ?? { slung: 0, rise: 0 };
  if (hook === 'second' || turned || depth + rise < DEEPER * width) return [];
  const at = (id: string, calc: string, source: string): Place => ({ id, ...on('pick', drawn, piece.mark), station: 'picks', move, calc, source });
  const onSide = lifted.kind === 'piece' ? piece.start.onSide : lifted.beam.lies?.onSide;
  const { text } = liftTurn.source;
  const flat = weight.pair ? joined!.members.find(({ beam }) => beam.id !== drawn.piece && beam.lies?.onSide === true) : undefined;
  if (weight.pair && (onSide === true || flat))
    return [
      missingCheck(
        at('pick.lies', liftTurn.id, text),
        'count',
        `${flat?.beam.mark ?? piece.mark} is said to lie on its side, and is tied to what stands beside it. Which is it?`,
      ),
    ];
  if (onSide === undefined || onSide === null)
    return [missingCheck(at('pick.lies', liftTurn.id, text), 'count', `Does ${piece.mark} lie on its side before the lift, or stand upright?`)];
  if (!onSide)
    return drawn.roll && namesPerson(drawn.roll.by)
      ? [
          missingCheck(
            at('pick.lies', liftTurn.id, text),
            'count',
            `${piece.mark} is said to stand upright before the lift, and ${drawn.roll.by.trim()} to lead rolling it. Which is it?`,
          ),
        ]
      : [];
  const roll = drawn.roll ?? null;
  if (!roll || !namesPerson(roll.by))
    return [missingCheck(at('turn.by', liftTurn.id, text), 'count', `${piece.mark} lies on its side. Who leads rolling it upright before it is lifted?`)];
  const overCentre = (Math.atan2(weight.cg.z + slung, width / 2) * 180) / Math.PI;
  const steps = Array.from({ length: Math.ceil(overCentre / STEP) }, (_, n) => n * STEP);
  // Lying on its side its depth is across; it rolls on the lower edge of its bottom flange, its sling in the middle of the top one.
  const { outcome, traces } = traced(liftTurn, {
    weight: weight.weight,
    pivot: { y: 0, z: 0 },
    cg: { y: weight.cg.z + slung, z: width / 2 },
    hook: { y: depth + slung, z: width / 2 },
    anglesDeg: [...steps, overCentre],
  });
  if (!outcome.ok) return [flatStop(at('turn.over', liftTurn.id, text), 'angle', { code: 'sling.impossible', reason: outcome.error }, [])];
  const { positions, overCentreDeg } = outcome.output;
  const edge = Math.max(...positions.map((one) => one.edge));
  const hooked = Math.max(...positions.map((one) => one.hook));
  const over = at('turn.over', liftTurn.id, text);
  const told90 = phrase`${piece.mark} is rolled up on its edge: the hook pulls up to ${q(hooked, 'force')}. Past ${q(overCentreDeg, 'angle')} it falls over onto its flange by itself`;
  const row = ratioCheck(
    over,
    { demand: 0, capacity: 1, quantity: 'count', caution: null },
    told([...told90, ...phrase`; ${roll.holdBack.trim()} holds it back.`]),
    traces,
  );
  const checks: Check[] = [
    saysSomething(roll.holdBack)
      ? { ...row, demand: null, capacity: null, ratio: null }
      : { ...missingCheck(over, 'angle', '', traces), finding: told([...told90, '. What holds it back from there on?']) },
  ];
  const timber = at('turn.edge', liftTurn.id, sourced(text, rules, 'dynamicFactor', 'strengthCaution'));
  checks.push(
    roll.edgeCarries === null
      ? missingCheck(timber, 'force', `What may the timber under the edge that ${piece.mark} rolls on take, all of it?`, traces)
      : ratioCheck(
          timber,
          { demand: edge * rules.value('dynamicFactor'), capacity: roll.edgeCarries, quantity: 'force', caution: rules.value('strengthCaution') },
          told(
            phrase`As it goes over centre the edge of ${piece.mark} presses its timber with ${q(edge * rules.value('dynamicFactor'), 'force')}, the dynamic factor counted; it may take ${q(roll.edgeCarries, 'force')}.`,
          ),
          traces,
        ),
  );
  return [...checks, ...flatwise(context, drawn, piece, weight, hooked / weight.weight, at)];
}

/** What hangs on the hook while it still lies flat bends it about its weak axis. */
function flatwise(
  { rules }: Context,
  pick: PickContext['drawn'],
  piece: PickContext['piece'],
  weight: PieceWeight,
  share: number,
  at: (id: string, calc: string, source: string) => Place,
): Check[] {
  // Whoever has checked it as it hangs has checked it on its side too.
  if (isGiven(weight.section)) return [];
  const place = at('turn.bending', pickMoments.id, sourced(pickMoments.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'));
  const { runs, lumps } = weight;
  const { outcome, traces } = traced(pickMoments, { length: piece.length, left: pick.left, right: pick.right, runs, lumps });
  if (!outcome.ok) return [missingCheck(place, 'moment', outcome.error)];
  const moment = outcome.output.governing * share * rules.value('dynamicFactor') * rules.value('loadFactor');
  const elastic = weight.section.iWeak / (weight.section.width / 2);
  const capacity = (elastic * reckonedYield(piece)) / (rules.id === 'us-asd' ? WEAK_SAFETY : 1);
  return [
    ratioCheck(
      place,
      { demand: moment, capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
      told(
        phrase`While it still lies flat the hook bends ${piece.mark} ${q(moment, 'moment')} about its weak axis; elastic, it is good for ${q(capacity, 'moment')}.`,
      ),
      traces,
    ),
  ];
}
/** AISC 360 F6, Ω, from memory; by the other school the elastic moment over γM0 = 1. */
const WEAK_SAFETY = 1.67;
