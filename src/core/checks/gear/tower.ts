import { phrase, q } from '../../calc/work';
import { gapBetween, rectangle, toOutline } from '../../geometry/plane';
import { beamBodies } from '../../settle/bodies';
import type { Check } from '../../verdict/check';
import { beamAt } from '../../replay/moment';
import { cranesStanding } from '../../settle/cranes-standing';
import type { MastHold, Tower } from '../../document/things/tower';
import { dayFault, namesPerson, saysSomething } from '../../document/records';
import type { Crane, Stand } from '../../document/schema';
import { moveFor, type Context } from '../context';
import { flatStop, missingCheck, on, type Place, ratioCheck, said, sourced, told } from '../../verdict/build';

const TOWER_SOURCE =
  'Common practice, and 29 CFR 1926.1435, from memory: base and ties by an engineer for the maker’s reactions; out of service the jib is free to turn';

/** Of each tower crane that lifts: what it stands on, whether its jib may turn with the wind, and how it comes down again. */
export function towerChecks(context: Context): Check[] {
  const { plan } = context;
  const jibs = new Map<string, number[]>();
  const put = (stand: string, jib: number) => void jibs.set(stand, [...(jibs.get(stand) ?? []), jib]);
  for (const { stand, boom, second } of plan.picks) {
    put(stand, boom);
    if (second && second.boom !== null) put(second.stand, second.boom);
  }
  return plan.stands.flatMap((stand) => {
    const crane = plan.cranes.find(({ id }) => id === stand.crane)!;
    const { tower } = crane;
    const lengths = jibs.get(stand.id);
    if (!tower || !lengths) return [];
    const jib = Math.max(...lengths);
    const at = (id: string): Place => ({
      id,
      ...on('stand', stand, stand.name),
      station: 'gear',
      move: moveFor(plan, 'crane.set', stand.id),
      calc: 'record',
      source: TOWER_SOURCE,
    });
    const its = { crane, stand };
    return [
      ...jibCheck(its, lengths, at('stand.jib')),
      ...baseChecks(context, its, tower, at),
      ...roomCheck(context, its, at('stand.mastRoom')),
      freeHeight(its, tower, at('stand.mastFree')),
      ...(tower.heldAt ?? []).flatMap((hold) => heldChecks(context, its, hold, at('stand.mastHeld'))),
      freeCheck(context, { ...its, jib }, tower, at('stand.slewsFree')),
      downCheck(its, tower, at('stand.takenDown')),
    ];
  });
}

interface Its {
  crane: Crane;
  stand: Stand;
}

/** A mast stands no higher over its base, or over what holds it highest, than its maker lets it. */
function freeHeight({ crane, stand }: Its, { free = null, heldAt = [] }: Tower, place: Place): Check {
  if (free === null)
    return missingCheck(
      place,
      'length',
      `How high may the mast of ${crane.name} stand free over its base, or over the highest thing that holds it? Its maker says so.`,
    );
  // What is held at a level nobody knows holds nothing yet.
  const known = heldAt.flatMap(({ level, name }) => (level === null || level > crane.pivotHeight ? [] : [{ level, name }])).sort((a, b) => a.level - b.level);
  const steps = [{ level: 0, name: 'its base' }, ...known].map((one, i, all) => ({ ...one, high: (all[i + 1]?.level ?? crane.pivotHeight) - one.level }));
  const worst = steps.reduce((most, one) => (one.high > most.high ? one : most));
  return ratioCheck(
    place,
    { demand: worst.high, capacity: free, quantity: 'length', caution: null, inclusive: true },
    told(
      phrase`The mast of ${crane.name} at ${stand.name} stands ${q(worst.high, 'length')} over ${worst.name} with nothing to hold it; its maker lets it stand ${q(free, 'length')}.`,
    ),
    [],
  );
}

/** What holds a mast higher up: it carries what its maker says comes there, and what it is fixed to stands from the first time the crane is set up until it leaves for good. */
function heldChecks(context: Context, { crane, stand }: Its, hold: MastHold, place: Place): Check[] {
  const { plan, rules, replayed } = context;
  const { level, brings, carries } = hold;
  const name = hold.name.trim() || 'what holds it higher up';
  const at = (part: string): Place => ({ ...place, ...on('stand', stand, `${stand.name}, ${name}`, `${hold.id} ${part}`) });
  const asked: Check[] = [];
  const ask = (part: string, quantity: 'length' | 'force' | 'count', question: string) => void asked.push(missingCheck(at(part), quantity, question));
  if (level === null) ask('level', 'length', `How high over the ground does ${name} hold the mast of ${crane.name}?`);
  else if (level <= 0 || level > crane.pivotHeight)
    ask('level', 'length', `${name} is to hold the mast of ${crane.name} at a height where there is none. How high is it?`);
  if (brings === null) ask('brings', 'force', `With how much does the mast of ${crane.name} push or pull at ${name} at the most? Its maker says so.`);
  if (carries === null) ask('carries', 'force', `What may be pushed and pulled at ${name}?`);
  if (!namesPerson(hold.by)) ask('by', 'count', `Who worked out that what ${name} is fixed to carries the mast of ${crane.name}?`);
  if (hold.pieces.length === 0) ask('pieces', 'count', `Which pieces of the structure is ${name} fixed to?`);
  const rows: Check[] = [...asked];
  if (brings !== null && carries !== null)
    rows.push(
      ratioCheck(
        { ...at('force'), source: sourced(TOWER_SOURCE, rules, 'strengthCaution') },
        { demand: brings, capacity: carries, quantity: 'force', caution: rules.value('strengthCaution') },
        told(phrase`The mast of ${crane.name} pushes or pulls with ${q(brings, 'force')} at ${name}; that may be ${q(carries, 'force')}.`),
        [],
      ),
    );
  const there = cranesStanding(plan).find((one) => one.stand.id === stand.id);
  if (!there) return rows;
  for (const id of hold.pieces) {
    const { mark } = plan.structure.pieces.find((one) => one.id === id)!;
    const gone = replayed.steps.slice(there.from, there.to).find(({ after }) => beamAt(after.structure, id).where !== 'set');
    if (!gone) continue;
    rows.push(
      flatStop(
        { ...at(id), move: gone.move.id },
        'count',
        told([
          gone.move.kind === 'crane.set'
            ? `${name} holds the mast of ${crane.name} at ${mark}, and ${mark} does not stand when the crane is set up. Set it first, or give the crane a lower mast until then.`
            : `${name} holds the mast of ${crane.name} at ${mark}, which stands no more while the crane does.`,
        ]),
        [],
      ),
    );
  }
  return rows;
}

/** Nothing that stands there already, and nothing that is built, goes through a mast. */
function roomCheck({ plan, rules }: Context, { crane, stand }: Its, place: Place): Check[] {
  const mast = rectangle(stand.at, crane.boomWidth, crane.boomWidth, stand.azimuthDeg);
  const through = [...standing(plan), ...beamBodies(plan, rules)].find(({ from, outline }) => from < crane.pivotHeight && gapBetween(mast, outline) <= 0);
  return through
    ? [flatStop(place, 'length', told([`${through.name} stands where the mast of ${crane.name} does, at ${stand.name}. Move one of them.`]), [])]
    : [];
}

const standing = ({ site }: Context['plan']) =>
  site.obstructions.map((one) => ({ name: one.name, from: 0, to: one.height, outline: rectangle(one.at, one.length, one.width, one.azimuthDeg) }));

/** A mast has one jib, whatever it lifts: of two lengths one is wrong. */
function jibCheck({ crane, stand }: Its, lengths: readonly number[], place: Place): Check[] {
  const [least, most] = [Math.min(...lengths), Math.max(...lengths)];
  if (most - least < SAME) return [];
  return [
    {
      ...missingCheck(place, 'length', ''),
      finding: told(phrase`Its picks at ${stand.name} say that the jib of ${crane.name} is ${q(least, 'length')} long, and ${q(most, 'length')}. Which is it?`),
    },
  ];
}
/** Lengths that differ by less are the same [m]. */
const SAME = 0.05;

function baseChecks({ rules, today }: Context, { crane, stand }: Its, tower: Tower, at: (id: string) => Place): Check[] {
  const place = { ...at('stand.mast'), source: sourced(TOWER_SOURCE, rules, 'strengthCaution') };
  const asked: Check[] = [];
  const ask = (part: string, quantity: 'count' | 'force', question: string) =>
    void asked.push(missingCheck({ ...place, ...on('stand', stand, stand.name, part) }, quantity, question));
  const { corner, carries, uplift, holds } = tower;
  if (!saysSomething(tower.standsOn)) ask('on', 'count', `What does ${crane.name} stand on at ${stand.name}: a base of its own, or the steel it climbs in?`);
  if (!namesPerson(tower.by)) ask('by', 'count', `Who worked out what ${crane.name} stands on, for all that its maker says comes down there?`);
  else {
    const date = dayFault(tower.on, today);
    if (date !== null) ask('by', 'count', `When was the base of ${crane.name} worked out? The record ${date}.`);
  }
  if (corner === null)
    ask('corner', 'force', `What comes down at one leg of the mast of ${crane.name} at the most, in service or out of it? Its maker says so.`);
  if (carries === null) ask('carries', 'force', `What may come down at one leg of the mast at ${stand.name}?`);
  if (uplift === null) ask('uplift', 'force', `What pulls up at one leg of the mast of ${crane.name} at the most? Its maker says so; nothing: 0.`);
  if (uplift !== null && uplift > 0 && holds === null) ask('holds', 'force', `What holds a leg of the mast down at ${stand.name}, and against how much?`);
  const rows: Check[] = [];
  if (corner !== null && carries !== null)
    rows.push(
      ratioCheck(
        place,
        { demand: corner, capacity: carries, quantity: 'force', caution: rules.value('strengthCaution') },
        told(
          phrase`One leg of the mast of ${crane.name} brings down ${q(corner, 'force')} at the most; ${tower.standsOn.trim() || 'what it stands on'} may take ${q(carries, 'force')} there.`,
        ),
        [],
      ),
    );
  if (uplift !== null && uplift > 0 && holds !== null)
    rows.push(
      ratioCheck(
        { ...place, id: 'stand.mastUplift' },
        { demand: uplift, capacity: holds, quantity: 'force', caution: rules.value('strengthCaution') },
        told(phrase`One leg of the mast of ${crane.name} pulls up ${q(uplift, 'force')} at the most; it is held against ${q(holds, 'force')}.`),
        [],
      ),
    );
  return [...asked, ...rows];
}

/** Out of service the jib turns with the wind: nothing that ever stands may be as high as it within its circle. */
function freeCheck({ plan, rules }: Context, { crane, stand, jib }: Its & { jib: number }, tower: Tower, place: Place): Check {
  if (tower.slewsFree === null) return missingCheck(place, 'count', `Does the jib of ${crane.name} turn with the wind when nobody works it?`);
  if (!tower.slewsFree)
    return namesPerson(tower.tied)
      ? said(place, [`The jib of ${crane.name} is held when nobody works it: ${tower.tied.trim()} says that it may be.`])
      : missingCheck(
          place,
          'count',
          `The jib of ${crane.name} does not turn with the wind when nobody works it. Who says that it may be held, for which wind?`,
        );
  const reach = Math.max(jib, crane.tailRadius);
  const least = rules.value('boomClearance');
  const under = crane.pivotHeight - crane.boomDepth / 2 - least;
  const things = [...standing(plan), ...beamBodies(plan, rules)];
  const high = things.filter(({ to, outline }) => to > under && toOutline(stand.at, outline) < reach).sort((a, b) => b.to - a.to);
  const [tallest] = high;
  if (tallest)
    return flatStop(
      place,
      'length',
      told(
        phrase`The jib of ${crane.name}, ${q(crane.pivotHeight, 'length')} up, turns with the wind over ${tallest.name}, which reaches up to ${q(tallest.to, 'length')}; ${q(least, 'length')} is kept between them. Raise its mast, or move it.`,
      ),
      [],
    );
  return said(place, [`The jib of ${crane.name} turns free with the wind: all that stands within its reach stays below it.`]);
}

const downCheck = ({ crane, stand }: Its, { down }: Tower, place: Place): Check =>
  saysSomething(down)
    ? said(place, [`${crane.name} is taken down from ${stand.name}: ${down.trim()}.`])
    : missingCheck(place, 'count', `How is ${crane.name} taken down once what it has built stands, and by what?`);
