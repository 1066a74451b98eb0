import { phrase, q } from '../../calc/work';
import { keepOne } from '../../document/keep';
import { laydownsOf } from '../../document/zones';
import type { Zone } from '../../document/schema';
import { overlap, toOutline, type Vec } from '../../geometry/plane';
import { contactPressure } from '../../path/contact-pressure.calc';
import { laidOut, type Laid } from '../../settle/laid';
import { settleBeams } from '../../settle/model';
import type { Check } from '../../verdict/check';
import { missingCheck, on, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import type { Context } from '../context';
import { outlineOf } from './zones';

const SOURCE = 'Statics: half of what lies there on either timber, all that lies on top of it too; what the ground may take is for whoever knows it';
/** A corner no further out of a laydown than this lies in it [m]. */
const EDGE = 0.05;

/** Where steel lies before it is lifted: in a laydown, where there is one, and no heavier than its ground takes. */
export function laydownChecks(context: Context): Check[] {
  const { plan, rules } = context;
  const all = laidOut(plan, rules);
  return keepOne('laydowns', [all, plan.site.zones, rules], () => {
    const laydowns = laydownsOf(plan).map((laydown) => ({ laydown, outline: outlineOf(laydown) }));
    if (laydowns.length === 0) return [];
    // What comes on its truck as it is lifted lies in no laydown.
    const laid = all.filter(({ comes }) => comes !== 'onTruck');
    return [...laid.flatMap((one) => outside(context, one, laydowns)), ...laydowns.map(({ laydown, outline }) => ground(context, laydown, laid, outline))];
  });
}

function outside({ plan }: Context, { body, hung }: Laid, laydowns: readonly { laydown: Zone; outline: Vec[] }[]): Check[] {
  const off = (corner: Vec) => Math.min(...laydowns.map(({ outline }) => toOutline(corner, outline)));
  const most = Math.max(...body.outline.map(off));
  if (most <= EDGE) return [];
  const names = laydowns.map(({ laydown }) => laydown.name).join(', ');
  const place: Place = {
    id: 'laydown.outside',
    ...on('beam', { id: body.id }, body.name),
    station: 'gear',
    move: hung === null ? null : (plan.moves[hung]?.id ?? null),
    calc: 'record',
    source: 'Common practice: steel lies where a place was made ready for it',
  };
  return [
    {
      ...missingCheck(place, 'length', ''),
      verdict: 'tight',
      finding: told(
        phrase`${body.name} is laid ${q(most, 'length')} out of ${names}, where steel is to lie. Lay it there, or make the laydown as large as what lies in it.`,
      ),
    },
  ];
}

/** The heaviest stack of a laydown on its timbers. */
function ground({ plan, rules }: Context, laydown: Zone, laid: readonly Laid[], outline: readonly Vec[]): Check {
  const place: Place = {
    id: 'laydown.ground',
    ...on('zone', laydown, laydown.name),
    station: 'gear',
    move: null,
    calc: contactPressure.id,
    source: sourced(SOURCE, rules, 'strengthCaution'),
  };
  const here = laid.filter(({ body }) => overlap(body.outline, outline));
  const beams = settleBeams(plan, rules);
  const { carries = null, timberLength = null, timberWidth = null } = laydown;
  if (here.length > 0 && (carries === null || timberLength === null || timberWidth === null)) {
    const lacks = [
      ...(carries === null
        ? [`What may the ground of ${laydown.name} take, where ${here[0]!.body.name}${here.length > 1 ? ` and ${here.length - 1} more are` : ' is'} laid?`]
        : []),
      ...(timberLength === null || timberWidth === null ? [`How long and how wide is the timber under either end of what lies in ${laydown.name}?`] : []),
    ];
    return missingCheck(place, 'pressure', lacks.join(' '));
  }
  const weights = new Map<string, number>();
  for (const { body } of here) {
    const { heavy } = beams.get(body.id)!;
    if (heavy instanceof Missing) return missingCheck(place, 'pressure', `What does ${body.name} weigh? It lies in ${laydown.name}.`);
    weights.set(body.id, heavy.total);
  }
  let worst = { load: 0, names: [] as string[] };
  for (const { body } of here) {
    const stack = here.filter((one) => one.body === body || (one.body.from > body.from && overlap(one.body.outline, body.outline)));
    const load = stack.reduce((sum, one) => sum + weights.get(one.body.id)!, 0) / 2;
    if (load > worst.load) worst = { load, names: stack.map((one) => one.body.name) };
  }
  const numbers = { capacity: carries ?? 0, quantity: 'pressure' as const, caution: rules.value('strengthCaution') };
  if (worst.load === 0)
    return ratioCheck(place, { demand: 0, ...numbers, capacity: carries ?? 1 }, told(phrase`Nothing is laid in ${laydown.name} before it is lifted.`), []);
  const input = { load: worst.load, length: timberLength!, width: timberWidth!, allowable: carries! };
  const demand = worst.load / (input.length * input.width);
  const [first, ...more] = worst.names;
  return ratioCheck(
    place,
    { demand, ...numbers },
    told([
      ...phrase`${first!}`,
      more.length > 0 ? ` with ${more.slice(0, 4).join(', ')}${more.length > 4 ? ` and ${more.length - 4} more` : ''} on top of it` : '',
      ...phrase` presses ${q(demand, 'pressure')} on the ground of ${laydown.name} under its timbers; that may take ${q(input.allowable, 'pressure')}.`,
    ]),
    traced(contactPressure, input).traces,
  );
}
