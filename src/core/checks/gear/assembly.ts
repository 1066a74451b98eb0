import { phrase, q } from '../../calc/work';
import { add, direction, overlap, rectangle, scale, toOutline, type Vec } from '../../geometry/plane';
import { segmentDistance, type Vec3 } from '../../geometry/space';
import { oncePerThing, steelBefore, type Body } from '../../settle/bodies';
import { boomStrip, longestBooms } from '../../document/boom-laid';
import { cranesStanding, type Standing } from '../../settle/cranes-standing';
import type { Check } from '../../verdict/check';
import { laidOut, liesAt } from '../../settle/laid';
import { namesPerson, saysSomething } from '../../document/records';
import type { Crane } from '../../document/schema';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, type Place, ratioCheck, said, sourced, told } from '../../verdict/build';
import { linesAsking } from '../site/power-lines';

const SOURCE =
  '29 CFR 1926.1403–1407, from memory: a boom is put together and taken apart by the maker’s procedure, under one who knows it; no pin is out while what it holds hangs free; clear of power lines';
/** No boom that slides out of itself is longer (common practice) [m]. */
const LONGEST_IN_ONE = 60;
/** What lies this low a boom is packed over [m]. */
const KERB = 0.15;

/** Of each crane that is set: whether its boom comes whole, and where it is put together there is room to lay it, to raise it and to lay it down again. */
export function assemblyChecks(context: Context): Check[] {
  const { plan } = context;
  const booms = longestBooms(plan);
  return cranesStanding(plan).flatMap((one) => {
    const boom = booms.get(one.stand.id);
    return one.crane.tower || boom === undefined ? [] : standAssembly(context, one, boom);
  });
}

/** A crane on tracks, or one whose boom is longer than any that slides out of itself. */
const mayBeAssembled = ({ tracks }: Crane, boom: number): boolean => (tracks ?? null) !== null || boom > LONGEST_IN_ONE;

function standAssembly(context: Context, one: Standing, boom: number): Check[] {
  const { stand, crane } = one;
  const { plan } = context;
  const at = (id: string, part?: string): Place => ({
    id,
    ...on('stand', stand, stand.name, part),
    station: 'gear',
    move: moveFor(plan, 'crane.set', stand.id),
    calc: 'record',
    source: SOURCE,
  });
  const { assembled = null } = crane;
  if (assembled === null)
    return mayBeAssembled(crane, boom)
      ? [missingCheck(at('stand.assembled', crane.id), 'count', `Does ${crane.name} come with its boom whole, or is that put together at ${stand.name}?`)]
      : [];
  if (!assembled)
    return boom > LONGEST_IN_ONE
      ? [
          {
            ...missingCheck(at('stand.assembled', crane.id), 'length', ''),
            finding: told(
              phrase`The boom of ${crane.name} is said to come whole and to be ${q(boom, 'length')} long; none that slides out of itself is longer than ${q(LONGEST_IN_ONE, 'length')}. Which is right?`,
            ),
          },
        ]
      : [];
  const { towardsDeg = null, director = '', held = '' } = stand.assembly ?? {};
  const asked: Check[] = [];
  if (!namesPerson(director))
    asked.push(
      missingCheck(
        at('stand.director'),
        'count',
        `Who directs it when the boom of ${crane.name} is put together at ${stand.name}, and knows its maker’s procedure?`,
      ),
    );
  if (!saysSomething(held))
    asked.push(
      missingCheck(
        at('stand.boomHeld'),
        'count',
        `What holds the boom of ${crane.name} and its sections while pins are out: blocks under it, or an assist crane?`,
      ),
    );
  if (towardsDeg === null)
    return [
      ...asked,
      missingCheck(at('stand.boomRoom'), 'length', `Which way does the boom of ${crane.name} lie on the ground at ${stand.name} while it is put together?`),
    ];
  return [...asked, ...roomChecks(context, one, { boom, towardsDeg }, at), ...lineChecks(context, one, { boom, towardsDeg }, at)];
}

interface Laid {
  boom: number;
  towardsDeg: number;
}

/** What stands, lies and works there at a move. */
function thingsAt({ plan, rules }: Context, one: Standing, now: number): Body[] {
  return [
    ...plan.site.obstructions.map((thing) => ({
      id: thing.id,
      name: thing.name,
      outline: rectangle(thing.at, thing.length, thing.width, thing.azimuthDeg),
      from: 0,
      to: thing.height,
    })),
    ...plan.bearings.map((post) => ({
      id: post.id,
      name: post.name,
      outline: rectangle(post.at, post.seatLength, post.seatWidth, 0),
      from: 0,
      to: post.level,
    })),
    ...steelBefore(plan, rules, now),
    ...laidOut(plan, rules)
      .filter((laid) => liesAt(laid, now))
      .map(({ body }) => ({ ...body, name: `${body.name}, where it lies,` })),
    ...cranesStanding(plan)
      .filter((other) => other.stand.crane !== one.stand.crane && other.from < now && now < other.to)
      .map(({ stand, crane, base }) => ({ id: stand.id, name: `${crane.name} on ${stand.name}`, outline: base, from: 0, to: crane.pivotHeight })),
  ];
}

/** The strip of ground its boom lies on, and everything it is raised through, when it is set and when it leaves. */
function roomChecks(context: Context, one: Standing, { boom, towardsDeg }: Laid, at: (id: string, part?: string) => Place): Check[] {
  const { stand, crane, from, to } = one;
  const { plan } = context;
  const strip = boomStrip(stand, crane, boom, towardsDeg);
  // As it is raised its tip is over a thing at this height.
  const highest = (outline: readonly Vec[]) =>
    crane.pivotHeight + Math.sqrt(Math.max(0, boom ** 2 - Math.max(0, toOutline(stand.at, outline) + crane.pivotBack) ** 2));
  const inIt = (now: number) =>
    oncePerThing(thingsAt(context, one, now).filter((thing) => thing.to > KERB && overlap(strip, thing.outline) && thing.from < highest(thing.outline)));
  const stop = (thing: Body, move: string | null, does: string): Check =>
    flatStop(
      { ...at('stand.boomRoom', thing.id), move },
      'length',
      told(
        phrase`The boom of ${crane.name}, ${q(boom, 'length')}, ${does} over ${thing.name} at ${stand.name}. Lay it another way, or keep the ground and the air over it free.`,
      ),
      [],
    );
  const set = inIt(from).map((thing) => stop(thing, moveFor(plan, 'crane.set', stand.id), 'is laid out and raised'));
  const told_ = new Set(set.map(({ about }) => about.part));
  const left = to === Infinity ? [] : inIt(to).filter(({ id }) => !told_.has(id));
  const rows = [...set, ...left.map((thing) => stop(thing, moveFor(plan, 'crane.leave', stand.id), 'comes down'))];
  if (rows.length > 0) return rows;
  return [
    said(
      at('stand.boomRoom'),
      phrase`There is room for the boom of ${crane.name}, ${q(boom, 'length')}, to lie at ${stand.name}, to be raised${to === Infinity ? '' : ' and to come down again'}.`,
    ),
  ];
}

/** Its boom is looked at every degree as it is raised. */
const STEPS = 88;

/** A boom from lying to steep against each power line of the site. */
function lineChecks({ plan, rules }: Context, { stand, crane }: Standing, { boom, towardsDeg }: Laid, at: (id: string, part?: string) => Place): Check[] {
  const out = direction(towardsDeg);
  const spot = (along: number, z: number): Vec3 => ({ ...add(stand.at, scale(out, along)), z });
  const foot = spot(-crane.pivotBack, crane.pivotHeight);
  // Between two degrees no part of it is further from either than this.
  const between = (boom * Math.PI) / 360;
  return linesAsking(plan, rules).known.map(({ line, clearance }) => {
    const ends: [Vec3, Vec3] = [
      { ...line.from, z: line.height },
      { ...line.to, z: line.height },
    ];
    let nearest = Infinity;
    // It lies on the ground: its tip is lower than its foot.
    for (let degree = -10; degree <= STEPS; degree += 1) {
      const angle = (degree * Math.PI) / 180;
      const tip = spot(boom * Math.cos(angle) - crane.pivotBack, Math.max(0, crane.pivotHeight + boom * Math.sin(angle)));
      nearest = Math.min(nearest, segmentDistance(foot, tip, ...ends));
    }
    const near = nearest - between - crane.boomDepth / 2;
    return ratioCheck(
      { ...at('stand.boomLine', line.id), source: sourced(SOURCE, rules, 'clearanceCaution') },
      { demand: clearance, capacity: Math.max(0, near), quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
      told(
        phrase`As the boom of ${crane.name} is raised at ${stand.name} it comes within ${q(Math.max(0, near), 'length')} of ${line.name}; ${q(clearance, 'length')} is kept.`,
      ),
      [],
    );
  });
}
