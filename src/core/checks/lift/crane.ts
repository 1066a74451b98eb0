import { lineOver } from '../../cranes/boom-geometry';
import { craneBoom } from '../../cranes/boom.calc';
import { craneChart } from '../../cranes/chart.calc';
import { headRoom } from '../../cranes/head-room.calc';
import { craneWindLimit } from '../../cranes/wind-limit.calc';
import type { Check } from '../../verdict/check';
import type { LiftPath } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import type { Hanging } from '../../settle/hanging';
import type { PieceWeight } from '../../settle/piece-weight';
import { chartsOf, dutiesAt, readOnWay } from '../../settle/duties';
import { workedUnderLoad } from '../../settle/under-load';
import { chartAuditChecks } from '../gear/chart-audit';
import { dutyChecks, fallsCheck, reeving } from './duty';
import { phrase, q } from '../../calc/work';
import { liftMove, type Context, type PickContext, onHook } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, traced, told } from '../../verdict/build';
import { boomGaps, type Gap } from './boom-gaps';
import { asksGust, gustAt } from '../../settle/day-gusts';
import { travelHeight, type Travel } from './travel';
import { sailOf } from './wind-on-load';
import { liftDrift } from '../../lift/drift.calc';
import { tagChecks } from './tag-lines';
import type { Crane } from '../../document/schema';
import type { Trace } from '../../calc/evidence';

type Place = Parameters<typeof missingCheck>[0];

export function craneChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { pick, piece, crane, path, weight, hanging } = picked;
  const lift = liftMove(plan, pick);
  const at = (id: string, calc: { id: string; source: { text: string } }, ...keys: Parameters<typeof rules.value>[0][]): Place => ({
    id,
    ...onHook(picked, piece.mark),
    station: 'gear',
    move: lift,
    calc: calc.id,
    source: sourced(calc.source.text, rules, ...keys),
  });
  const chart = chartCheck(context, picked, at('lift.chart', craneChart, 'chartCaution', 'boomBend', 'craneLevel', 'padSettles'));
  // A boom that cannot get there is the reason; what the chart says of it would only repeat it.
  if (!(path instanceof Missing) && !path.stations.every((station) => lineOver(crane, pick.boom, station.radius) !== null)) {
    const short = flatStop(at('lift.boomReach', craneBoom), 'length', { code: 'lift.boomShort', boom: pick.boom, radius: path.most }, []);
    return [...(chart.verdict === 'missing' ? [chart, short] : [short]), ...dutyChecks(context, picked, at), ...chartAuditChecks(context, picked, at)];
  }
  const checks: Check[] = [
    chart,
    ...dutyChecks(context, picked, at),
    ...fallsCheck(context, picked, at('lift.falls', reeving)),
    ...chartAuditChecks(context, picked, at),
  ];
  if (path instanceof Missing || weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) {
    const why = path instanceof Missing ? path.questions.join(' ') : 'How the piece hangs is not known.';
    return [
      ...checks,
      missingCheck(at('lift.headRoom', headRoom), 'length', `Head room cannot be worked out. ${why}`),
      missingCheck(at('lift.boomGap', craneBoom), 'length', `The gap to the boom cannot be worked out. ${why}`),
    ];
  }
  const travel = travelHeight(plan, picked, path, weight, rules);
  checks.push(
    headRoomCheck(context, picked, path, hanging, travel, at('lift.headRoom', headRoom, 'headRoomReserve', 'loadClearance', 'clearanceCaution')),
    ...boomGapChecks(
      context,
      picked,
      boomGaps(plan, picked, path, weight, hanging, travel, rules),
      at('lift.boomGap', craneBoom, 'boomClearance', 'clearanceCaution'),
    ),
    ...overSeatsCheck(context, picked, at('lift.overSeats', headRoom, 'loadClearance')),
    windCheck(context, picked, weight, at('lift.wind', craneWindLimit, 'windDrag', 'windCaution')),
    ...tagChecks(context, picked, path, weight, at('lift.drift', liftDrift, 'windDrag')),
  );
  return checks;
}

function chartCheck({ plan, rules }: Context, { pick, drawn, stand, crane, path, gross }: PickContext, place: Place): Check {
  const duties = dutiesAt(plan, stand);
  if (chartsOf(plan, crane).every(({ chart }) => chart === null))
    return missingCheck(place, 'mass', `${crane.name} has no chart yet. Paste or import the maker’s chart for this set-up.`);
  if (gross instanceof Missing) return missingCheck(place, 'mass', gross.questions.join(' '));
  if (path instanceof Missing) return missingCheck(place, 'mass', `The radius is not known. ${path.questions.join(' ')}`);
  const read = readOnWay(plan, duties, stand, path, pick.boom);
  if (read === null || read.kind === 'none')
    return missingCheck(place, 'mass', `No chart of ${crane.name} is good for how it works at ${stand.name}: what it may lift is not known.`);
  const { outcome, traces } = traced(craneChart, { chart: read.chart.chart!, radius: read.radius, boom: pick.boom, rule: plan.job.chartRule });
  if (!outcome.ok) return missingCheck(place, 'mass', outcome.error);
  // At the far end of its way the chart is read where the hook comes to with the load on.
  const out = read.radius > path.most ? workedUnderLoad(duties.gives, pick.boom, path.most) : [];
  const set = out.length > 0 ? { set: path.most } : {};
  if (read.kind === 'off')
    return flatStop(
      { ...place, id: 'lift.offChart' },
      'mass',
      { code: 'lift.offChart', gross: gross.mass, radius: read.radius, ...set, boom: pick.boom, off: read.off },
      [gross.trace, ...out, ...traces],
      gross.mass,
    );
  const share = drawn.second ? rules.value('tandemShare') : 1;
  const capacity = read.capacity * share;
  return ratioCheck(
    drawn.second ? { ...place, source: sourced(place.source, rules, 'tandemShare', 'hookDifference') } : place,
    { demand: gross.mass, capacity, quantity: 'mass', caution: rules.value('chartCaution') },
    {
      code: 'lift.chart',
      gross: gross.mass,
      radius: read.radius,
      ...set,
      boom: pick.boom,
      capacity,
      ...(duties.usable.length + duties.refused.length > 1 ? { chart: read.chart.name, chartId: read.chart.id } : {}),
      ...(drawn.second ? { shared: { share, chart: read.capacity } } : {}),
    },
    [gross.trace, ...out, ...traces],
  );
}

function headRoomCheck({ rules }: Context, { pick, crane, loaded }: PickContext, path: LiftPath, hanging: Hanging, travel: Travel, place: Place): Check {
  // The tip is lowest where the radius is longest, with the load on.
  const radius = loaded(path.most);
  const line = lineOver(crane, pick.boom, radius);
  if (!line) return missingCheck(place, 'length', `The boom of ${crane.name} does not reach that far with the load on.`);
  const { outcome, traces } = traced(headRoom, {
    underside: travel.underside,
    loadDepth: hanging.loadDepth,
    hookAbovePick: hanging.hookAbovePick,
    tipHeight: line.tipHeight,
    hookDrop: crane.hookDrop,
    reserve: rules.value('headRoomReserve'),
  });
  if (!outcome.ok) return missingCheck(place, 'length', outcome.error);
  const { needed, available } = outcome.output;
  return ratioCheck(
    place,
    { demand: needed, capacity: available, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
    { code: 'lift.headRoom', needed, available, radius, over: travel.over },
    [...boomTraces(crane, { boom: pick.boom, radius }), ...traces],
  );
}

/** The working of a boom; a level jib has none. */
const boomTraces = ({ pivotBack, pivotHeight, tower }: Crane, at: { boom: number; radius: number; point?: { x: number; z: number } }): Trace[] =>
  tower ? [] : traced(craneBoom, { pivotBack, pivotHeight, ...at }).traces;

/** Over its seats it is carried as far clear as over anything else. */
function overSeatsCheck({ rules }: Context, { drawn, piece, hook }: PickContext, place: Place): Check[] {
  const least = rules.value('loadClearance');
  if (hook === 'second' || drawn.unsaid?.includes('liftOver') || drawn.liftOver >= least - 1e-9) return [];
  return [
    ratioCheck(
      { ...place, station: 'picks' },
      { demand: least, capacity: drawn.liftOver, quantity: 'length', caution: null, inclusive: true },
      told(
        phrase`${piece.mark} is carried only ${q(drawn.liftOver, 'length')} over its seats before it is lowered; ${q(least, 'length')} is kept from whatever it passes over.`,
      ),
      [],
    ),
  ];
}

/** The boom against the load at its travelling height, and against everything standing under the boom's sweep. */
function boomGapChecks({ rules }: Context, picked: PickContext, gaps: readonly Gap[], place: Place): Check[] {
  const { crane, pick } = picked;
  const least = rules.value('boomClearance');
  return gaps.map(({ id, what, height, nearest }) =>
    ratioCheck(
      { ...place, ...onHook(picked, what, id) },
      { demand: least, capacity: nearest.gap, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
      { code: 'lift.boomGap', what, gap: nearest.gap, least },
      boomTraces(crane, { boom: pick.boom, radius: nearest.radius, point: { x: nearest.x, z: height } }),
    ),
  );
}

/** Charts of cranes are good for gusts of 8 to 20 m/s (common practice); past this a unit was mistaken. */
const MOST_CHART_GUST = 25;

function windCheck({ plan, rules }: Context, picked: PickContext, weight: PieceWeight, place: Place): Check {
  const { stand, crane, gross } = picked;
  // Of the charts it may be read off, the one that bears the least wind.
  const { usable } = dutiesAt(plan, stand);
  const gusts = usable.length > 0 ? usable.map(({ chart }) => chart.chartGust) : [crane.chartGust];
  if (gusts.includes(null)) return missingCheck(place, 'speed', `Up to what gust is ${crane.name}’s chart good? Read it off the chart.`);
  const chartGust = Math.min(...gusts.map((one) => one!));
  if (chartGust > MOST_CHART_GUST)
    return {
      ...missingCheck(place, 'speed', ''),
      finding: told(
        phrase`${crane.name}’s chart is said to be good up to ${q(chartGust, 'speed')}. No maker gives more than ${q(MOST_CHART_GUST, 'speed')}: read it off the chart again.`,
      ),
    };
  const gust = gustAt(plan, place.move);
  if (gust === null) return missingCheck(place, 'speed', asksGust(plan, place.move, 'the lift'));
  if (gross instanceof Missing) return missingCheck(place, 'speed', gross.questions.join(' '));
  const { outcome, traces } = traced(craneWindLimit, {
    chartGust,
    // Its own weight holds the load against the wind: no more of it is counted than anybody is sure of.
    mass: gross.least,
    area: sailOf(picked, weight),
    drag: rules.value('windDrag'),
  });
  if (!outcome.ok) return missingCheck(place, 'speed', outcome.error);
  const { limit } = outcome.output;
  return ratioCheck(
    place,
    { demand: gust, capacity: limit, quantity: 'speed', caution: rules.value('windCaution') },
    { code: 'lift.wind', gust, limit },
    traces,
  );
}
