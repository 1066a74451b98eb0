import type { Trace } from '../../calc/evidence';
import { phrase, q, type Phrase } from '../../calc/work';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { saysSomething } from '../../document/records';
import { leastOf, lowerOf, yardOf, type PulledLeg } from '../../document/yard';
import type { Context } from '../context';
import { flatStop, missingCheck, on, ratioCheck, sourced, told, type Place } from '../../verdict/build';

/** What is pulled along a leg, by what it takes and what is there to do it. */
interface Pulled {
  leg: PulledLeg;
  name: string;
  piece: { name: string; mass: number };
  /** to start it, and to keep it from running by itself [N] */
  pull: number;
  holdBack: number;
  where: Place;
  words: Phrase;
  traces: Trace[];
}

type Ground = Pick<Context, 'plan' | 'rules'>;

/** A line and what it is made fast to, or the people who push; and the skates or the ramp under it. */
export function pullChecks(ground: Ground, pulled: Pulled): Check[] {
  const { leg } = pulled;
  return [...(leg.pull?.kind === 'people' ? peopleChecks(ground, pulled, leg.pull.people) : lineChecks(ground, pulled)), ...carrierChecks(ground, pulled)];
}

const at = ({ leg, name, where }: Pulled, id: string, source: string): Place => ({ ...where, id, ...on('leg', leg, name), source });
const kN = (force: number): string => `${(force / 1000).toFixed(1)} kN`;

function lineChecks({ plan, rules }: Ground, pulled: Pulled): Check[] {
  const { leg, name, piece, pull, holdBack, where, words, traces } = pulled;
  const most = Math.max(pull, holdBack);
  const tag = leastOf(plan, leg.gear ?? [], 'winch');
  const line = lowerOf(leg.line, tag === null ? null : tag * GRAVITY);
  const caution = rules.value('contactCaution');
  const rated =
    line === null
      ? missingCheck(where, 'force', `What is the line on ${name} rated for? ${piece.name} needs ${kN(most)}${holdBack > 0 ? ' and a hold-back' : ''}.`, traces)
      : ratioCheck(where, { demand: most, capacity: line, quantity: 'force', caution }, told(words), traces);
  const anchor = at(
    pulled,
    'way.anchor',
    sourced('Statics: what pulls is held by what it is made fast to; whoever says what that may take', rules, 'contactCaution'),
  );
  if (!leg.pull)
    return [rated, missingCheck(anchor, 'force', `What pulls ${piece.name} on ${name}: people, or a line, and what is that made fast to?`, traces)];
  if (leg.pull.kind !== 'line') return [rated];
  const { anchoredTo, carries } = leg.pull;
  if (!saysSomething(anchoredTo)) return [rated, missingCheck(anchor, 'force', `What is the line on ${name} made fast to? It pulls ${kN(most)}.`, traces)];
  if (carries === null)
    return [
      rated,
      missingCheck(anchor, 'force', `What may ${anchoredTo.trim()} take, which the line on ${name} is made fast to? It pulls ${kN(most)}.`, traces),
    ];
  return [
    rated,
    ratioCheck(
      anchor,
      { demand: most, capacity: carries, quantity: 'force', caution },
      told(phrase`The line on ${name} pulls ${q(most, 'force')} at ${anchoredTo.trim()}, which may take ${q(carries, 'force')}.`),
      traces,
    ),
  ];
}

function peopleChecks({ rules }: Ground, pulled: Pulled, people: number | null): Check[] {
  const { name, piece, pull, holdBack, traces } = pulled;
  const place = at(pulled, 'way.push', sourced('HSE L23 guideline, from memory: what one person pushes or pulls to start a load', rules, 'personPush'));
  if (holdBack > 0)
    return [
      flatStop(
        place,
        'force',
        told(
          phrase`${piece.name} runs by itself on ${name}, with ${q(holdBack, 'force')}: people do not hold it. Hold it back with a line made fast above it.`,
        ),
        traces,
      ),
    ];
  if (people === null) return [missingCheck(place, 'count', `How many people push ${piece.name} on ${name}? It takes ${kN(pull)} to start it.`, traces)];
  const each = rules.value('personPush');
  return [
    ratioCheck(
      place,
      { demand: pull / people, capacity: each, quantity: 'force', caution: null, inclusive: true },
      told(
        phrase`It takes ${q(pull, 'force')} to start ${piece.name} on ${name}: ${q(pull / people, 'force')} for each of ${String(people)}; ${q(each, 'force')} is the guideline.`,
      ),
      traces,
    ),
  ];
}

/** Sets of skates carry what their tags say, the weakest as much as each of them, and so do the halves of a ramp. */
function carrierChecks({ plan, rules }: Ground, pulled: Pulled): Check[] {
  const { leg, name, piece } = pulled;
  const kind = leg.kind === 'ramp' ? 'ramp' : 'rollers';
  const [word, does] = kind === 'ramp' ? ['the ramp', 'goes over'] : ['the skates', 'rolls on'];
  const yard = yardOf(plan);
  const sets = (leg.gear ?? []).flatMap((id) => {
    const one = yard.get(id);
    return one?.kind === kind ? [one] : [];
  });
  if (sets.length === 0) return [];
  const place = at(
    pulled,
    'way.skates',
    sourced('Common practice: a rating that equals its load is a stop; sets share evenly by luck, so the weakest counts for each', rules, 'contactCaution'),
  );
  const unknown = sets.find(({ rating }) => rating === null);
  if (unknown) return [missingCheck(place, 'mass', `What does the tag of ${unknown.name.trim() || word} on ${name} say?`)];
  const capacity = sets.length * Math.min(...sets.map(({ rating }) => rating!));
  return [
    ratioCheck(
      place,
      { demand: piece.mass, capacity, quantity: 'mass', caution: rules.value('contactCaution') },
      told(
        phrase`${piece.name} ${does} ${sets.map(({ name: set }) => set.trim() || word).join(' and ')} at ${name}: ${q(piece.mass, 'mass')} of ${q(capacity, 'mass')}.`,
      ),
      [],
    ),
  ];
}
