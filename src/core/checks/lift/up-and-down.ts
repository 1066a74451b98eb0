import { phrase, q, type Phrase } from '../../calc/work';
import { add, direction, overlap, rectangle, scale, type Vec } from '../../geometry/plane';
import { oncePerThing, shrunk, slicesFor, standingAt, standingBefore, TOUCH, type Body } from '../../settle/bodies';
import type { Check } from '../../verdict/check';
import { lyingEnd, boxOf, meets } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import { namesPerson, saysSomething } from '../../document/records';
import type { Plan } from '../../document/schema';
import type { Target } from '../../settle/seat-geometry';
import { travelHeight } from './travel';
import { onHook, liftMove, type Context, type PickContext } from '../context';
import { flatStop, missingCheck, ratioCheck, told, type Place } from '../../verdict/build';

const SOURCE = 'Geometry: a load goes straight up from where it lies and straight down to where it is set';

/** What is over the place a load lies at, and what it would come down through on the way to its seats. */
export function upAndDownChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { path, weight, seat, hook, drawn, piece } = picked;
  if (hook === 'second' || path instanceof Missing || weight instanceof Missing || seat instanceof Missing) return [];
  const top = travelHeight(plan, picked, path, weight, rules).underside;
  const place = (id: string): Place => ({ id, ...onHook(picked, piece.mark), station: 'picks', move: liftMove(plan, drawn), calc: 'record', source: SOURCE });
  const lying = lyingBody(picked, weight, top);
  const setting = settingBodies(picked, seat, weight, top);
  return [
    ...through(
      [lying],
      place('lift.up'),
      [...things(plan), ...standingAt(plan, rules, drawn)],
      (one) =>
        phrase`${piece.mark} lies under or in ${one.name}, which reaches from ${q(one.from, 'length')} to ${q(one.to, 'length')} by then: it does not come straight up. Lay it elsewhere, or lift it before ${one.name} stands.`,
    ),
    ...through(
      setting,
      place('lift.down'),
      standingBefore(plan, rules, drawn),
      (one) =>
        phrase`${piece.mark} comes down through ${one.name}, which stands over its place from ${q(one.from, 'length')} to ${q(one.to, 'length')} by then. Set it before ${one.name}, or say how it is brought in past it.`,
    ).map((stop) => threaded(stop, picked)),
  ];
}

/** A way round what is over it, tilted or drawn in from the side, is a matter of its own that a named person worked out. */
function threaded(stop: Check, { drawn, piece }: PickContext): Check {
  const { threads } = drawn;
  if (!threads) return stop;
  if (!saysSomething(threads.how) || !namesPerson(threads.by))
    return missingCheck(stop, 'count', `How is ${piece.mark} brought to its place past what stands over it, and who worked that out?`);
  const row = ratioCheck(
    stop,
    { demand: 0, capacity: 1, quantity: 'count', caution: null },
    told(phrase`${piece.mark} is brought in past what stands over its place: ${threads.how.trim()} (worked out by ${threads.by.trim()}).`),
    [],
  );
  return { ...row, demand: null, capacity: null, ratio: null, verdict: 'tight' };
}

const things = (plan: Plan): Body[] =>
  plan.site.obstructions
    .filter((one) => one.height > 0)
    .map((one) => ({ id: one.id, name: one.name, outline: rectangle(one.at, one.length, one.width, one.azimuthDeg), from: 0, to: one.height }));

/** How deep a load is as it stands on its lowest ends. */
const standing = ({ section, bent }: PieceWeight): number => section.depth + (bent?.rise ?? 0);

/** The room a load takes as it goes straight up from where it lies. */
function lyingBody({ piece }: PickContext, weight: PieceWeight, top: number): Body {
  const { azimuthDeg, level, onSide } = piece.start;
  const middle = add(lyingEnd(piece), scale(direction(azimuthDeg), piece.length / 2));
  const depth = standing(weight);
  const width = breadthOf(weight);
  const across = onSide ? Math.max(depth, width) : width;
  return { id: piece.id, name: piece.mark, outline: shrunk(middle, piece.length, across, azimuthDeg), from: level, to: Math.max(top, level) + depth };
}

/** The room over the place of a load, as it comes down to it: what is in the place itself is told of elsewhere. */
function settingBodies({ piece, turned }: PickContext, seat: Target, weight: PieceWeight, top: number): Body[] {
  const { depth } = weight.section;
  const width = breadthOf(weight);
  const { id, mark: name } = piece;
  const body = (outline: Vec[], level: number, stands: number): Body => ({ id, name, outline, from: level + stands, to: Math.max(top, level) + stands });
  const { left, right, azimuthDeg } = seat;
  if (turned) return [body(shrunk(left.at, depth, width, azimuthDeg), Math.max(left.level, right.level), piece.length)];
  // Where it slopes the room over it begins lower at its lower end; of what is bent each piece slopes for itself.
  const slopes = weight.bent?.pieces ?? [{ from: 0, to: piece.length, left: 0, right: right.level - left.level }];
  return slopes.flatMap((one) => {
    const rise = one.right - one.left;
    const count = slicesFor(Math.abs(rise));
    const each = (one.to - one.from) / count;
    return Array.from({ length: count }, (_, n) => {
      const middle = add(seat.leftEnd, scale(direction(azimuthDeg), one.from + each * (n + 1 / 2)));
      return body(shrunk(middle, each, width, azimuthDeg), left.level + one.left + (rise * (n + (rise > 0 ? 1 : 0))) / count, depth);
    });
  });
}

const boxes = new WeakMap<Body, ReturnType<typeof boxOf>>();
function boxOfBody(body: Body): ReturnType<typeof boxOf> {
  let box = boxes.get(body);
  if (!box) boxes.set(body, (box = boxOf(body.outline)));
  return box;
}

/** Everything that reaches into the room a load takes on its way. */
function through(rooms: readonly Body[], place: Place, among: readonly Body[], words: (one: Body) => Phrase): Check[] {
  const isIn = (one: Body) =>
    rooms.some(
      (room) => one.from < room.to - TOUCH && one.to > room.from + TOUCH && meets(boxOfBody(room), boxOfBody(one)) && overlap(room.outline, one.outline),
    );
  return oncePerThing(among.filter(isIn)).map((one) => flatStop({ ...place, about: { ...place.about, part: one.id } }, 'length', told(words(one)), []));
}
