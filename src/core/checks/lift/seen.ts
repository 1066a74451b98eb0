import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { namesPerson, saysSomething } from '../../document/records';
import { blindParts, cabsOf, seenAlong, type Seen } from './sight';
import { liftMove, onHook, type Context, type PickContext } from '../context';
import { missingCheck, type Place, said } from '../../verdict/build';
import { travelHeight } from './travel';

const SOURCE = '29 CFR 1926.1419: a signal person where the operator does not see the load or its way; ASME B30.5 and BS 7121, from memory';

const whenWords = (part: readonly Seen[]): string => {
  const [lies, lands] = [part.some(({ when }) => when === 'lies'), part.some(({ when }) => when === 'lands')];
  if (lies && lands) return 'from where it lies to where it lands';
  return lies ? 'where it lies' : lands ? 'where it lands' : 'on its way';
};

const listed = (names: readonly string[]): string => (names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`);

/** The signal people who see the load over a blind stretch, in the order it is handed from one to the next; null where nobody sees all of it. */
export function watchOver(part: readonly Seen[]): string[] | null {
  const chain: string[] = [];
  for (let i = 0; i < part.length;) {
    // Whoever sees it longest from here on: so it is handed over least often.
    const reach = (id: string) => {
      const lost = part.findIndex(({ seenBy }, k) => k >= i && !seenBy.includes(id));
      return lost < 0 ? part.length : lost;
    };
    const best = [...part[i]!.seenBy].sort((a, b) => reach(b) - reach(a))[0];
    if (best === undefined) return null;
    chain.push(best);
    i = reach(best);
  }
  return chain;
}

/** Whether the operator sees the load on all of its way; where not, who signals, from where, and on which channel. */
export function sightChecks({ plan, rules }: Context, picked: PickContext): Check[] {
  const { path, weight, hanging, piece, crane, seat, hook, turned } = picked;
  if (plan.site.obstructions.length === 0 || path instanceof Missing || weight instanceof Missing || seat instanceof Missing) return [];
  if (hanging instanceof Missing || 'impossible' in hanging) return [];
  const travel = travelHeight(plan, picked, path, weight, rules).underside;
  const lands = turned && hook === 'second' ? piece.start.level : Math.min(seat.left.level, seat.right.level);
  const [middle, ...others] = cabsOf(crane);
  const blindFrom = (cab: NonNullable<typeof middle>) => blindParts(seenAlong(plan, cab, path, { lies: piece.start.level, travel, lands }, hanging));
  const blind = blindFrom(middle!);
  const place: Place = {
    id: 'lift.sight',
    ...onHook(picked, piece.mark),
    station: 'gear',
    move: liftMove(plan, picked.pick),
    calc: 'record',
    source: SOURCE,
  };
  const cabSaid = others.length === 0;
  const from = cabSaid ? 'the cab' : 'over the slew centre (nobody says where its cab is)';
  if (blind.length === 0) {
    if (cabSaid) return [said(place, [`${piece.mark} is seen from ${from} on all of its way.`])];
    const hidden = others.map(blindFrom).find((one) => one.length > 0);
    if (!hidden) return [said(place, [`${piece.mark} is seen on all of its way from wherever the cab of ${crane.name} is.`])];
    const things = listed([...new Set(hidden.flat().map(({ hiddenBy }) => hiddenBy!))]);
    return [
      missingCheck(
        { ...place, ...onHook(picked, piece.mark, 'cab') },
        'length',
        `Whether the operator of ${crane.name} sees ${piece.mark} ${listed([...new Set(hidden.map(whenWords))])} past ${things} depends on the cab. How high are the eyes, how far ahead of the slew centre and to the left of the boom?`,
      ),
    ];
  }
  const people = new Map((plan.site.signallers ?? []).map((one) => [one.id, one]));
  const behind = listed([...new Set(blind.flat().map(({ hiddenBy }) => hiddenBy!))]);
  const lost = `From ${from} ${piece.mark} is not seen ${listed([...new Set(blind.map(whenWords))])}: ${behind} ${behind.includes(' and ') ? 'are' : 'is'} in between.`;
  const unplaced = [...people.values()].filter((one) => one.eye === null || one.unsaid?.includes('at'));
  const chains = blind.map(watchOver);
  const open = blind.filter((_, n) => chains[n] === null);
  if (open.length > 0) {
    const ask =
      people.size === 0
        ? 'Who signals, and from where?'
        : unplaced.length > 0
          ? `Where does ${unplaced[0]!.name.trim() || 'the signal person'} stand, and how high are their eyes?`
          : `Nobody who signals sees it ${listed([...new Set(open.map(whenWords))])} either: who does, and from where?`;
    return [missingCheck(place, 'count', `${lost} ${ask}`)];
  }
  const asked = [...new Set(chains.flatMap((chain) => chain!))].map((id) => people.get(id)!);
  const nameless = asked.find(({ name }) => !namesPerson(name));
  if (nameless) return [missingCheck(place, 'count', `${lost} Who is the signal person called “${nameless.name.trim()}”?`)];
  // A channel may be a bare number.
  if (!/\d/.test(plan.people.radioChannel) && !saysSomething(plan.people.radioChannel))
    return [missingCheck(place, 'count', `${lost} On which radio channel, or by what voice, is it signalled?`)];
  const handed = chains.map((chain) => chain!.map((id) => people.get(id)!.name.trim()).join(', who hands it to '));
  return [said(place, [`${lost} It is signalled by ${listed([...new Set(handed)])}, on channel ${plan.people.radioChannel.trim()}.`], 'blind')];
}
