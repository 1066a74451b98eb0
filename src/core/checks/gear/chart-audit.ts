import { auditChart, auditKey, type OddCell } from '../../cranes/chart-audit';
import { phrase, q, type Phrase } from '../../calc/work';
import type { Check } from '../../verdict/check';
import { dutiesAt, type ChartOf } from '../../settle/duties';
import { dayFault, namesPerson } from '../../document/records';
import type { Context, PickContext } from '../context';
import { flatStop, missingCheck, ratioCheck, told, type Place } from '../../verdict/build';

type At = (id: string, calc: { id: string; source: { text: string } }) => Place;
const audit = { id: 'crane.chart', source: { text: 'Common practice: a chart typed in is held against the maker’s, cell by cell' } };
const base = { id: 'crane.outriggers', source: { text: 'Common practice: a chart is good for the outrigger base it was made for' } };

/** Named in full, so that a person finds them; past this many the rest are counted. */
const NAMED = 6;
const cellWords = (cells: readonly OddCell[]): Phrase => [
  ...cells
    .slice(0, NAMED)
    .flatMap((one, i) => phrase`${i > 0 ? '; ' : ''}${q(one.capacity, 'mass')} at radius ${q(one.radius, 'length')}, boom ${q(one.boom, 'length')}`),
  ...(cells.length > NAMED ? [` and ${cells.length - NAMED} more`] : []),
];

/** Whether each chart that is read is what the maker printed, and whether the only one of a crane is the one for this outrigger base. */
export function chartAuditChecks({ plan, today }: Context, { crane, stand }: PickContext, at: At): Check[] {
  const { usable, refused } = dutiesAt(plan, stand);
  const several = usable.length + refused.length > 1;
  const audited = usable.flatMap(({ chart }): Check[] => {
    const place = at('lift.chartCells', audit);
    const { part } = place.about;
    const own = several ? { ...place, about: { ...place.about, part: part === undefined ? chart.id : `${part} ${chart.id}` } } : place;
    return cellChecks(chart, several ? `${crane.name}, “${chart.name}”,` : crane.name, today, own);
  });
  return several ? audited : [...audited, ...usable.flatMap(({ chart }) => (chart.chart ? baseCheck(crane, chart, at('lift.chartBase', base)) : []))];
}

function cellChecks({ chart, chartChecked }: ChartOf, name: string, today: string | null, place: Place): Check[] {
  if (!chart) return [];
  const found = auditChart(chart);
  const rising = found.cells.filter((one) => one.why === 'rises');
  const confirmed = chartChecked && namesPerson(chartChecked.by) && dayFault(chartChecked.on, today) === null && chartChecked.cells === auditKey(found);
  if (rising.length > 0)
    return [
      flatStop(
        place,
        'mass',
        told([
          ...phrase`The chart of ${name} gives more at a longer radius of the same boom, as no chart does: `,
          ...cellWords(rising),
          '. Type it again from the maker’s chart.',
        ]),
        [],
      ),
    ];
  if (found.cells.length + found.runs.length === 0 || confirmed) return [];
  const runs = found.runs.flatMap((one): Phrase =>
    one.of === 'radius'
      ? phrase` From radius ${q(one.at, 'length')} on all figures jump by ${one.factor.toFixed(2)}: another unit?`
      : phrase` Boom ${q(one.at, 'length')}: all its figures stand ${one.factor.toFixed(2)} times off their neighbours: another unit?`,
  );
  const cells = found.cells.length > 0 ? [' Out of line with the cells beside them: ', ...cellWords(found.cells), '.'] : [];
  return [
    {
      ...missingCheck(place, 'mass', ''),
      finding: told([`Is the chart of ${name} as the maker printed it?`, ...cells, ...runs, ' Hold them against the maker’s chart, and say who did.']),
    },
  ];
}

/** A base this much shorter than the chart’s is another set-up [m]. */
const SAME_BASE = 0.02;

function baseCheck(crane: PickContext['crane'], { chartBase }: ChartOf, place: Place): Check[] {
  if (crane.tower) return [];
  if (!chartBase)
    return [
      missingCheck(
        place,
        'length',
        `For what ${crane.tracks ? 'base of tracks' : 'outrigger base'}, front to rear and side to side, is the chart of ${crane.name} good? It stands in the chart.`,
      ),
    ];
  const short = (
    [
      ['front to rear', crane.baseLength, chartBase.length],
      ['side to side', crane.baseWidth, chartBase.width],
    ] as const
  ).find(([, has, needs]) => has < needs - SAME_BASE);
  if (short) {
    const [way, has, needs] = short;
    const words = phrase`${crane.name} stands ${q(has, 'length')} wide ${way}; the chart is for ${q(needs, 'length')}. Run the ${crane.tracks ? 'tracks' : 'outriggers'} out, or use the chart for this base.`;
    return [ratioCheck(place, { demand: needs, capacity: has, quantity: 'length', caution: null, inclusive: true }, told(words), [])];
  }
  const words = phrase`${crane.name} stands on the ${crane.tracks ? 'base of tracks' : 'outrigger base'} its chart is for, ${q(chartBase.length, 'length')} × ${q(chartBase.width, 'length')}.`;
  const check = ratioCheck(place, { demand: chartBase.width, capacity: crane.baseWidth, quantity: 'length', caution: null, ratio: 0 }, told(words), []);
  return [{ ...check, ratio: null }];
}
