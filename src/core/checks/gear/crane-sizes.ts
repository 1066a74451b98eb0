import { MADE_UP_CHART } from '../../cranes/models';
import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import { saysSomething } from '../../document/records';
import { chartsOf } from '../../settle/duties';
import type { Crane, Plan } from '../../document/schema';
import type { Context } from '../context';
import { missingCheck, on, told } from '../../verdict/build';

/** Between these lies each size of any mobile crane: past them a unit or a digit was mistaken. Common practice. */
const BETWEEN: readonly { of: 'pivotHeight' | 'boomDepth' | 'boomWidth' | 'hookDrop'; what: string; least: number; most: number }[] = [
  { of: 'pivotHeight', what: 'the foot pin of its boom stands', least: 0.5, most: 6 },
  { of: 'boomDepth', what: 'its boom is deep', least: 0.15, most: 4 },
  { of: 'boomWidth', what: 'its boom is wide', least: 0.15, most: 3.5 },
  { of: 'hookDrop', what: 'the hook hangs below the tip at its highest', least: 0.2, most: 12 },
];
/** The same of a tower crane, and how far its counter-jib reaches. */
const TOWER: typeof BETWEEN = [
  { of: 'pivotHeight', what: 'its jib is above the ground', least: 8, most: 200 },
  { of: 'boomDepth', what: 'its jib is deep', least: 0.3, most: 4 },
  { of: 'boomWidth', what: 'its jib is wide', least: 0.3, most: 4 },
  { of: 'hookDrop', what: 'the hook hangs below the jib at its highest', least: 0.5, most: 12 },
];
const COUNTER_JIB = { least: 3, most: 40 } as const;
/** The tail against the longer side of the base it stands on. */
const TAIL = { least: 0.2, most: 1.5 } as const;

/**
 * What a mobile crane and its carrier weigh at the least, as shares of the most on its charts and of the whole: large ones weigh less for
 * what they lift. Common practice.
 */
const WEIGHS = { small: { upTo: 150e3, whole: 0.5, carrier: 0.25 }, large: { whole: 0.2, carrier: 0.08 } } as const;

/** Sizes of a crane that no crane has, and a chart nobody says the source of. */
export function craneSizeChecks({ plan }: Context): Check[] {
  const used = new Set(plan.stands.map((one) => one.crane));
  return plan.cranes.flatMap((crane) => (used.has(crane.id) ? [...sizesOf(crane), ...aheadOf(crane), ...weighsOf(plan, crane), ...sourceOf(plan, crane)] : []));
}

const place = (crane: Crane, id: string, part?: string) => ({
  id,
  ...on('crane', crane, crane.name, part),
  station: 'gear' as const,
  move: null,
  calc: 'crane.boom',
  source: 'Common practice: sizes of mobile cranes',
});

function sizesOf(crane: Crane): Check[] {
  const base = Math.max(crane.baseLength, crane.baseWidth);
  const odd = [
    ...(crane.tower ? TOWER : BETWEEN).map(({ of, ...rest }) => ({ of, value: crane[of], ...rest })),
    crane.tower
      ? { of: 'tailRadius', what: 'its counter-jib reaches', value: crane.tailRadius, ...COUNTER_JIB }
      : { of: 'tailRadius', what: `its tail swings, on a base of that size,`, value: crane.tailRadius, least: TAIL.least * base, most: TAIL.most * base },
  ].filter(({ value, least, most }) => value < least || value > most);
  return odd.map(({ of, what, value, least, most }) => ({
    ...missingCheck(place(crane, 'crane.size', of), 'length', ''),
    demand: value,
    finding: told(
      phrase`${crane.name}: ${what} ${q(value, 'length')}, it says. Of such cranes it is between ${q(least, 'length')} and ${q(most, 'length')}. Which unit was meant?`,
    ),
  }));
}

/** Counterweight is behind the slew centre: ahead of it a sign was mistaken. */
const aheadOf = (crane: Crane): Check[] =>
  crane.parts.flatMap((part, n) =>
    part.on === 'slewing' && part.counterweight && part.r !== null && part.r > 0
      ? [
          missingCheck(
            place(crane, 'crane.size', `part ${n}`),
            'length',
            `${part.what} of ${crane.name} is said to be ahead of the slew centre. How far behind it is it?`,
          ),
        ]
      : [],
  );

/** A carrier or a counterweight typed a digit short makes the ground under the outriggers seem to carry. */
function weighsOf(plan: Plan, crane: Crane): Check[] {
  const most = Math.max(0, ...chartsOf(plan, crane).flatMap(({ chart }) => chart?.capacity.flat().map((one) => one ?? 0) ?? []));
  // What weighs nothing is asked of the part.
  if (crane.tower || most === 0 || crane.parts.length === 0 || crane.parts.some(({ mass }) => mass === 0)) return [];
  const sum = (parts: typeof crane.parts) => parts.reduce((total, { mass }) => total + mass, 0);
  const whole = sum(crane.parts);
  const carrier = sum(crane.parts.filter((part) => part.on === 'chassis'));
  const least = most <= WEIGHS.small.upTo ? WEIGHS.small : WEIGHS.large;
  const light = (part: string, what: string, value: number, of: number, than: string): Check => ({
    ...missingCheck(place(crane, 'crane.weighs', part), 'mass', ''),
    demand: value,
    finding: told(
      phrase`${crane.name}: ${what} ${q(value, 'mass')}, it says. Of such cranes it is over ${q(of, 'mass')}, ${than}. Which part is left out, or which unit was meant?`,
    ),
  });
  return [
    ...(whole < least.whole * most
      ? [light('whole', 'all its parts together weigh', whole, least.whole * most, `${least.whole * 100} % of the most it lifts`)]
      : []),
    ...(carrier < least.carrier * whole
      ? [light('carrier', 'what stands still under its slewing ring weighs', carrier, least.carrier * whole, `${least.carrier * 100} % of the whole`)]
      : []),
  ];
}

const sourceOf = (plan: Plan, crane: Crane): Check[] =>
  chartsOf(plan, crane).flatMap(({ id, name, chart, chartSource }) => {
    const madeUp = chartSource === MADE_UP_CHART;
    if (!chart || (saysSomething(chartSource) && !madeUp)) return [];
    const which = id === crane.id ? 'Which chart is this' : `Which chart is “${name}”`;
    return [
      missingCheck(
        place(crane, 'crane.chartSource', id === crane.id ? undefined : id),
        'count',
        madeUp
          ? `The chart of ${crane.name} is made up, to try with. Paste the maker’s own in its place before anything is lifted by it.`
          : `${which} of ${crane.name}: whose, for which set-up, of what date?`,
      ),
    ];
  });
