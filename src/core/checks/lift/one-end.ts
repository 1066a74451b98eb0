import { phrase, q } from '../../calc/work';
import { lineOver } from '../../cranes/boom-geometry';
import { oneEndLanded } from '../../cranes/one-end.calc';
import { pickMoments } from '../../rigging/pick-moments.calc';
import type { Check } from '../../verdict/check';
import { oneEndOf, type OneEnd } from '../../settle/lift-two';
import { Missing } from '../../verdict/missing';
import { craneAt } from '../../settle/duties';
import { standOf } from '../../document/lookups';
import type { PieceWeight } from '../../settle/piece-weight';
import { reckonedYield } from '../../document/reckoned-yield';
import { seatOf } from '../../settle/seat-geometry';
import { bendingCapacity } from '../../settle/section-strength';
import { liftMove, type Context, type PickContext } from '../context';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';

type At = (id: string, calc?: { id: string; source: { text: string } }, ...keys: Parameters<Context['rules']['value']>[0][]) => Place;

/** A support so far from where a piece is said to rest is not the one that is meant [m]. */
const THERE = 0.25;

/** A piece on two hooks whose ends do not land together: what the hook that still holds it, the seat and the piece feel. */
export function oneEndChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { drawn, piece, weight, hook, turned } = picked;
  if (!drawn.second || hook === 'second' || turned || weight instanceof Missing) return [];
  const move = liftMove(plan, drawn);
  const at: At = (id, calc = oneEndLanded, ...keys) => ({
    id,
    ...on('pick', drawn, piece.mark),
    station: 'picks',
    move,
    calc: calc.id,
    source: sourced(calc.source.text, rules, ...keys),
  });
  const lands = drawn.second.lands ?? null;
  if (lands === null) return [missingCheck(at('pick.lands'), 'count', `Do both ends of ${piece.mark} land at once, or which of them comes to rest first?`)];
  if (lands.first === 'together') return [];
  const [end, other] = lands.first === 'left' ? ['left', 'second'] : ['right', 'first'];
  if (lands.rest === null || lands.high === null)
    return [
      missingCheck(
        at('pick.lands'),
        'length',
        lands.rest === null
          ? `The ${end} end of ${piece.mark} lands first. How far from that end does it come to rest, and on what?`
          : `The ${end} end of ${piece.mark} lands first. How far above its place is the other end then?`,
      ),
    ];
  if (weight.pair)
    return [
      missingCheck(at('pick.lands'), 'count', `How ${piece.mark} stand side by side with one end of both down is not worked out here. Who has checked it?`),
    ];
  const landed = oneEndOf(piece, drawn, weight);
  if (!landed)
    return [
      flatStop(
        at('pick.lands'),
        'length',
        told(
          phrase`${piece.mark} cannot rest ${q(lands.rest, 'length')} from its ${end} end with the other ${q(lands.high, 'length')} high on the ${other} hook.`,
        ),
        [],
      ),
    ];
  const seats = seatsOf(context, picked, landed.end);
  const seat = seats.find((one) => Math.abs(one.at - landed.rest) < THERE);
  const checks: Check[] = seat
    ? []
    : [
        {
          ...missingCheck(at('pick.landsOn'), 'length', ''),
          demand: landed.rest,
          finding: told(
            phrase`${piece.mark} is said to rest first ${q(landed.rest, 'length')} from its ${end} end, and no support of it is there. On what does it rest?`,
          ),
        },
      ];
  const least = Math.min(...landed.carries);
  if (least <= 0)
    return [
      ...checks,
      flatStop(
        at('pick.oneEnd'),
        'force',
        told(
          phrase`Resting ${q(landed.rest, 'length')} from its ${end} end, past its balance point, ${piece.mark} tips over there: the ${other} hook would have to push.`,
        ),
        landed.traces,
      ),
    ];
  const most = Math.max(...landed.carries);
  const row = ratioCheck(
    at('pick.oneEnd'),
    { demand: most, capacity: most, quantity: 'force', caution: null, inclusive: true },
    told(
      phrase`With its ${end} end down and its hook slack, the ${other} hook carries up to ${q(most, 'force')} of ${piece.mark}; where it rests ${q(landed.seat, 'force')} come down.`,
    ),
    landed.traces,
  );
  checks.push({ ...row, capacity: null, ratio: null });
  if (seat?.capacity != null) {
    const demand = landed.seat * (seat.design ? rules.value('loadFactor') : 1);
    checks.push(
      ratioCheck(
        at('pick.oneEndSeat', oneEndLanded, ...(seat.design ? (['loadFactor'] as const) : []), 'strengthCaution'),
        { demand, capacity: seat.capacity, quantity: 'force', caution: rules.value('strengthCaution') },
        told(
          phrase`With the other end still on its hook, ${piece.mark} presses ${seat.name} with ${q(demand, 'force')}; it may carry ${q(seat.capacity, 'force')}.`,
        ),
        landed.traces,
      ),
    );
  }
  return [
    ...checks,
    ...lineCheck(context, picked, weight, landed, other, at),
    bendingCheck(context, picked, weight, landed, at('pick.oneEndBends', pickMoments, 'dynamicFactor', 'loadFactor', 'strengthCaution')),
  ];
}

/** Where a piece has supports, from one of its ends. */
function seatsOf(
  { plan }: Context,
  { lifted, piece, joined }: PickContext,
  end: 'left' | 'right',
): { at: number; name: string; capacity: number | null; design: boolean }[] {
  const from = (x: number) => (end === 'left' ? x : piece.length - x);
  if (lifted.kind === 'piece') {
    const seat = seatOf(plan, lifted.piece);
    if (seat instanceof Missing) return [];
    return (['left', 'right'] as const).map((side) => ({ at: from(seat.contact[side]), name: seat[side].name, capacity: null, design: false }));
  }
  const parts = joined ? joined.members : [{ beam: lifted.beam, from: 0, to: piece.length, flipped: false }];
  return plan.structure.supports.flatMap(({ name, seats, capacity, capacityBasis }) =>
    seats.flatMap(({ piece: id, at }) => {
      const part = parts.find(({ beam }) => beam.id === id);
      return part ? [{ at: from(part.flipped ? part.to - at : part.from + at), name, capacity, design: capacityBasis === 'design' }] : [];
    }),
  );
}

/** How far the line of the hook that still holds it is out of plumb while the piece slopes. */
function lineCheck({ plan, rules }: Context, { drawn, piece, seat }: PickContext, weight: PieceWeight, landed: OneEnd, other: string, at: At): Check[] {
  const place = at('pick.linePlumb', oneEndLanded, 'linePlumb');
  const stand = standOf(plan, landed.hook === 'second' ? drawn.second!.stand : drawn.stand);
  const crane = craneAt(plan, stand);
  const boom = landed.hook === 'second' ? drawn.second!.boom : drawn.boom;
  if (boom === null || seat instanceof Missing)
    return [missingCheck(place, 'angle', `How long is the boom, and where is ${piece.mark} set? How far its line hangs is not known.`)];
  const span = piece.length - drawn.left - drawn.right;
  const along = landed.hook === 'second' ? drawn.left + span : drawn.left;
  const turn = (seat.azimuthDeg * Math.PI) / 180;
  const over = { x: seat.leftEnd.x + along * Math.cos(turn), y: seat.leftEnd.y + along * Math.sin(turn) };
  const line = lineOver(crane, boom, Math.hypot(over.x - stand.at.x, over.y - stand.at.y));
  const level = landed.hook === 'second' ? seat.right.level : seat.left.level;
  const fall = line === null ? 0 : line.tipHeight - (level + weight.section.depth + landed.high);
  const steep = fall > 0 ? oneEndOf(piece, drawn, weight, fall) : null;
  const worst = steep?.traces[0]?.output as { lineDeg?: number; off?: number } | undefined;
  // A boom too short to get there is told by the chart and the head room.
  if (!steep || worst?.lineDeg === undefined) return [];
  return [
    ratioCheck(
      place,
      { demand: worst.lineDeg, capacity: rules.value('linePlumb'), quantity: 'angle', caution: null, inclusive: true },
      told(
        phrase`As ${piece.mark} slopes, its pick is ${q(worst.off ?? 0, 'dimension')} off and the line of the ${other} hook ${q(worst.lineDeg, 'angle')} out of plumb; ${q(rules.value('linePlumb'), 'angle')} may be. Follow with the boom, or let the ends down by turns.`,
      ),
      steep.traces,
    ),
  ];
}

/** The piece between where it rests and the hook. */
function bendingCheck({ rules }: Context, { drawn, piece }: PickContext, weight: PieceWeight, landed: OneEnd, place: Place): Check {
  const [left, right] = landed.end === 'left' ? [landed.rest, drawn.right] : [drawn.left, landed.rest];
  const { outcome, traces } = traced(pickMoments, { length: piece.length, left, right, runs: weight.runs, lumps: weight.lumps });
  if (!outcome.ok) return missingCheck(place, 'moment', outcome.error);
  const moment = outcome.output.governing * rules.value('dynamicFactor') * rules.value('loadFactor');
  const bending = bendingCapacity(weight.section, reckonedYield(piece), rules, { length: piece.length - left - right, factor: 1 });
  if (bending instanceof Missing) return missingCheck(place, 'moment', bending.questions.join(' '), traces);
  return ratioCheck(
    place,
    { demand: moment, capacity: bending.capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
    told(
      phrase`Between where it rests and the hook ${piece.mark} bends ${q(moment, 'moment')}; free sideways over that length it is good for ${q(bending.capacity, 'moment')}.`,
    ),
    [...traces, ...bending.traces],
  );
}
