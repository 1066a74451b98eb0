import { phrase, q, type Phrase } from '../../calc/work';
import { craneChart } from '../../cranes/chart.calc';
import type { Check } from '../../verdict/check';
import { dutiesAt, readOnWay, type Duties } from '../../settle/duties';
import { Missing } from '../../verdict/missing';
import type { Context, PickContext } from '../context';
import { flatStop, missingCheck, ratioCheck, told, type Place } from '../../verdict/build';

type At = (id: string, calc: { id: string; source: { text: string } }) => Place;
const right = {
  id: craneChart.id,
  source: { text: 'Common practice: a chart is good for one set-up and one side of the crane. 29 CFR 1926.1417, from memory: within its chart' },
};
export const reeving = {
  id: craneChart.id,
  source: { text: 'Common practice: a hook block carries no more than its parts of line. 29 CFR 1926.1417, from memory' },
};

const named = ({ chart }: { chart: { name: string } }): string => `“${chart.name}”`;

/** Whether the chart that is read is the one for how the crane stands and for the side it works over. */
export function dutyChecks({ plan }: Context, picked: PickContext, at: At): Check[] {
  const { stand, crane, pick, path } = picked;
  const duties = dutiesAt(plan, stand);
  const { usable, refused, asked } = duties;
  const partly = usable.some(({ over }) => over.from > 0 || over.to < 180);
  if (usable.length + refused.length <= 1 && refused.length === 0 && !partly && asked.length === 0) return [];
  const place = at('lift.duty', right);
  const questions = asked.map((question, i) => {
    const { part } = place.about;
    return missingCheck(i === 0 ? place : { ...place, about: { ...place.about, part: `${part ?? ''}#${i}` } }, 'mass', question);
  });
  if (usable.length === 0 && refused.length > 0)
    return [...questions, flatStop({ ...place, id: 'lift.wrongDuty' }, 'mass', told(noneFor(crane.name, stand.name, refused)), [])];
  if (path instanceof Missing || asked.length > 0) return questions;
  const read = readOnWay(plan, duties, stand, path, pick.boom);
  if (read?.kind === 'none')
    return [
      flatStop(
        { ...place, id: 'lift.wrongDuty' },
        'mass',
        told([
          ...phrase`At ${stand.name} the boom of ${crane.name} passes ${q(read.offDeg, 'angle')} off its front, and no chart for how it stands is good there: `,
          ...usable.flatMap(
            (one, i): Phrase => phrase`${i > 0 ? '; ' : ''}${named(one)} is good from ${q(one.over.from, 'angle')} to ${q(one.over.to, 'angle')} off the front`,
          ),
          '. Turn the carrier, move it, or give the chart for that side.',
        ]),
        [],
      ),
    ];
  const words = phrase`${crane.name} at ${stand.name} is read off ${usable.map(named).join(' and ')}, for how it stands and works there.`;
  const check = ratioCheck(place, { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 }, told(words), []);
  return [{ ...check, ratio: null, demand: null, capacity: null }];
}

const noneFor = (crane: string, stand: string, refused: Duties['refused']): Phrase => [
  `No chart of ${crane} is for how it stands at ${stand}: `,
  ...refused.flatMap((one, i): Phrase => [`${i > 0 ? '; ' : ''}${named(one)} `, ...one.why]),
  '. Set it up as a chart says, or give the maker’s chart for this set-up.',
];

/** What the parts of line carry that the hook block hangs in: asked where either of the two figures is said. */
export function fallsCheck(_: Context, { stand, crane, gross }: PickContext, place: Place): Check[] {
  const falls = stand.falls ?? null;
  const pull = crane.linePull ?? null;
  if (falls === null && pull === null) return [];
  if (falls === null) return [missingCheck(place, 'mass', `In how many parts of line does the hook block of ${crane.name} hang at ${stand.name}?`)];
  if (pull === null) return [missingCheck(place, 'mass', `What may one part of the hoist line of ${crane.name} carry? It stands in the chart.`)];
  if (gross instanceof Missing) return [missingCheck(place, 'mass', gross.questions.join(' '))];
  const words = phrase`${q(gross.mass, 'mass')} hangs in ${falls === 1 ? 'one part' : `${falls} parts`} of line at ${stand.name}, each good for ${q(pull, 'mass')}.`;
  return [ratioCheck(place, { demand: gross.mass, capacity: falls * pull, quantity: 'mass', caution: null, inclusive: true }, told(words), [gross.trace])];
}
