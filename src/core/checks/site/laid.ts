import { sequenceNeeds } from '../../gates/sequence.calc';
import { phrase, type Phrase } from '../../calc/work';
import { overlap } from '../../geometry/plane';
import type { Check } from '../../verdict/check';
import { cranesStanding } from '../../settle/cranes-standing';
import { clashWithin, laidInOne, laidOut, type Laid } from '../../settle/laid';
import type { Context } from '../context';
import { flatStop, missingCheck, on, told, type Place } from '../../verdict/build';

const SOURCE = 'Common practice: a piece lies where nothing else is until it is lifted';

const place = ({ plan }: Context, { body, hung }: Laid, part: string): Place => ({
  id: 'pick.laid',
  ...on('beam', { id: body.id }, body.name, part),
  station: 'steel',
  move: hung === null ? null : (plan.moves[hung]?.id ?? null),
  calc: sequenceNeeds.id,
  source: SOURCE,
});

/** Two pieces in one place of the yard at one time, or a piece where a crane stands. */
export function laidChecks(context: Context): Check[] {
  return [...besideEachOther(context), ...underCranes(context)];
}

function besideEachOther(context: Context): Check[] {
  const pairs = laidInOne(context.plan, context.rules);
  const stops = pairs
    .filter(({ clash }) => clash === 'always')
    .map(({ one, other }) =>
      flatStop(
        place(context, one, other.body.id),
        'count',
        told(phrase`${one.body.name} lies where ${other.body.name} lies until it is lifted. Lay one of them elsewhere, or bring it when it is wanted.`),
        [],
      ),
    );
  // One question for all that share a place with the same piece: it is one answer.
  const asked = new Map<string, { one: Laid; first: Laid; also: number }>();
  for (const { one, other, clash } of pairs) {
    if (clash !== 'maybe') continue;
    const said = asked.get(other.body.id);
    if (said) said.also += 1;
    else asked.set(other.body.id, { one, first: other, also: 0 });
  }
  const questions = [...asked.values()].map(({ one, first, also }) => {
    const open = one.comes === null ? one : first;
    return missingCheck(
      place(context, open, 'comes'),
      'count',
      `${one.body.name}${also > 0 ? ` and ${also} more are` : ' is'} to lie where ${first.body.name} lies. Does each come on its truck as it is lifted, or is it laid there before?`,
    );
  });
  return [...stops, ...questions];
}

/** The ground under a crane is its own from when it is set to when it leaves. */
function underCranes(context: Context): Check[] {
  const { plan, rules } = context;
  const laid = laidOut(plan, rules);
  if (laid.length === 0) return [];
  return cranesStanding(plan).flatMap(({ stand, crane, base, from, to }): Check[] => {
    const on = (one: Laid, clash: 'always' | 'maybe') => clashWithin(one, from, to) === clash && one.body.from < CARRIER && overlap(base, one.body.outline);
    const words = (one: Laid): Phrase => phrase`${one.body.name} is said to lie where ${crane.name} stands on ${stand.name}`;
    const stops = laid
      .filter((one) => on(one, 'always'))
      .map((one) => flatStop(place(context, one, stand.id), 'count', told([...words(one), '. Lay it elsewhere, or move the stand.']), []));
    const open = laid.filter((one) => on(one, 'maybe'));
    if (open.length === 0) return stops;
    const [first] = open;
    return [
      ...stops,
      {
        ...missingCheck(place(context, first!, `comes ${stand.id}`), 'count', ''),
        finding: told([
          ...words(first!),
          `${open.length > 1 ? `, and so are ${open.length - 1} more` : ''}. Does it come on its truck after the crane has left, or is it laid there before?`,
        ]),
      },
    ];
  });
}

/** So high above the ground a carrier reaches: what lies higher lies on something else [m]. */
const CARRIER = 3;
