import { cranePowerLine } from '../../cranes/power-line.calc';
import { powerLineEu } from '../../cranes/power-line-eu.calc';
import { phrase, q } from '../../calc/work';
import { add, direction, scale, type Vec } from '../../geometry/plane';
import { segmentDistance, type Vec3 } from '../../geometry/space';
import type { Check } from '../../verdict/check';
import { outlineAt, type LiftPath, type Station } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import { dayFault, namesPerson, saysSomething } from '../../document/records';
import type { Rules } from '../../rules/rule-sets';
import type { Body } from '../../settle/bodies';
import type { Crane, Pick as Lift, PowerLine } from '../../document/schema';
import { moveFor, type Context, type PickContext } from '../context';
import { missingCheck, on, type Place, ratioCheck, said, sourced, told, traced } from '../../verdict/build';
import { driftOf } from '../lift/wind-on-load';
import { travelHeight } from '../lift/travel';

export type PlacedLine = PowerLine & { from: Vec; to: Vec; height: number };
export const isPlaced = (line: PowerLine): line is PlacedLine => line.from !== null && line.to !== null && line.height !== null;

/** What is not known of a line: where it runs, or what it carries; null when both are. */
export const lineDoubt = (line: PowerLine): string | null =>
  isPlaced(line) ? voltageDoubt(line) : `Where does ${line.name} run, from where to where and how high? Draw it on the plan, or type its ends and its height.`;

/** Every overhead line on the site against one pick: its place, its voltage, the distance kept and the zone that asks for more. */
export function powerLineChecks(context: Context, picked: PickContext): Check[] {
  return context.plan.site.powerLines.flatMap((line) => lineChecks(context, picked, line));
}

/** Where no line is drawn, somebody has looked for one before a crane is set or a girder pushed out: an empty list says nothing. */
export function lookedForChecks({ plan, today, rules }: Context): Check[] {
  const { powerLines, walked } = plan.site;
  if (powerLines.length > 0 || plan.picks.length + (plan.launches ?? []).length === 0) return [];
  const table = rules.id === 'eu-ls' ? powerLineEu : cranePowerLine;
  const place: Place = {
    id: 'site.walked',
    ...on('job', { id: 'site' }, 'Power lines'),
    station: 'gear',
    move: null,
    calc: table.id,
    source: '29 CFR 1926.1408(a): whether the crane could come near a power line is found out before it works, from memory',
  };
  const who = 'Who went round the site, and when?';
  if (!walked) return [missingCheck(place, 'count', `No power line is drawn, and nobody has said that there is none near the work. ${who}`)];
  const fault = namesPerson(walked.by) ? dayFault(walked.on, today) : 'names nobody';
  if (fault !== null) return [missingCheck(place, 'count', `The record that no power line is near the work ${fault}. ${who}`)];
  return [said(place, [`${walked.by.trim()} went round the site on ${walked.on} and found no overhead line near the work.`])];
}

function lineChecks(context: Context, picked: PickContext, line: PowerLine): Check[] {
  const { plan, rules } = context;
  const { stand, pick, path, weight, hook } = picked;
  const european = rules.id === 'eu-ls';
  const table = european ? powerLineEu : cranePowerLine;
  const place = (id: string): Place => ({
    id,
    ...on('powerLine', line, line.name, hook === 'main' ? pick.id : `${pick.id} ${stand.id}`),
    station: 'gear',
    move: moveFor(plan, 'crane.set', stand.id),
    calc: table.id,
    source: table.source.text,
  });
  const at = place('stand.powerLine');
  const doubt = lineDoubt(line);
  if (doubt !== null || !isPlaced(line)) return [missingCheck(at, 'length', doubt ?? '')];
  const volts = line.volts ?? 0;
  const zone = zoneCheck(context, picked, line, volts, place('stand.powerZone'));
  const required = askedBy(line, volts, rules);
  if (!required.outcome.ok) return [missingCheck(at, 'length', required.outcome.error), ...zone];
  const clearance = Math.max(required.outcome.output.clearance, line.ownerAsks ?? 0);
  if (path instanceof Missing || weight instanceof Missing) {
    const why = path instanceof Missing ? path.questions : weight instanceof Missing ? weight.questions : [];
    return [missingCheck(at, 'length', `How near ${line.name} the load comes is not known. ${why.join(' ')}`), ...zone];
  }
  const near = nearestTo(context, picked, path, weight, line);
  return [
    ratioCheck(
      at,
      { demand: clearance, capacity: near, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
      { code: 'line.clearance', line: line.name, distance: near, required: clearance },
      required.traces,
    ),
    ...zone,
  ];
}

export const askedBy = (line: PlacedLine, volts: number, rules: Rules) =>
  rules.id === 'eu-ls' ? traced(powerLineEu, { volts, owner: line.ownerAsks ?? null }) : traced(cranePowerLine, { volts });

/** The lines of a site with the distance each asks for, and the names of those that do not say where they run or what they carry. */
export function linesAsking({ site }: Pick<Context['plan'], 'site'>, rules: Rules): { known: { line: PlacedLine; clearance: number }[]; unknown: string[] } {
  const known: { line: PlacedLine; clearance: number }[] = [];
  const unknown: string[] = [];
  for (const line of site.powerLines) {
    const asked = isPlaced(line) && voltageDoubt(line) === null ? askedBy(line, line.volts ?? 0, rules).outcome : null;
    if (isPlaced(line) && asked?.ok) known.push({ line, clearance: Math.max(asked.output.clearance, line.ownerAsks ?? 0) });
    else unknown.push(line.name);
  }
  return { known, unknown };
}

/** How near a lift comes to a line on its way; what stands by then is found once for many places of the crane. */
export function nearestTo(
  { plan, rules }: Pick<Context, 'plan' | 'rules'>,
  picked: PickContext,
  path: LiftPath,
  weight: PieceWeight,
  line: PlacedLine,
  standing?: readonly Body[],
): number {
  const { underside } = travelHeight(plan, picked, path, weight, rules, standing);
  // Wind pushes load and fall towards the line.
  return nearest(picked, weight, underside, path, line, driftOf(plan, picked, path, weight, rules)?.drift ?? 0);
}

/** A voltage nobody said, one that no line beside a crane carries, or one that the line's own name contradicts; null when none of these. */
export function voltageDoubt({ name, volts }: { name: string; volts: number | null }): string | null {
  if (volts === null) return `What voltage does ${name} carry? Ask its owner.`;
  const said = [...name.matchAll(/(\d+(?:[.,\s]\d+)*)\s*(kV|V)(?!\p{L})/giu)].map(
    ([, figure = '', unit = '']) => Number(figure.replace(/\s/g, '').replace(',', '.')) * (unit.toLowerCase() === 'kv' ? 1000 : 1),
  );
  const agrees = said.some((one) => Math.abs(one - volts) <= 0.01 * volts);
  if (said.length > 0 && !agrees)
    return `${name} is given ${kilovolts(volts)}, and its name says ${said.map(kilovolts).join(', ')}. Which is right? Ask its owner.`;
  if (volts < 1000 && !agrees) return `${name} is given ${volts} V. Is it ${volts} V or ${volts} kV? Ask its owner, and write the voltage into its name.`;
  return null;
}

const kilovolts = (volts: number): string => (volts >= 1000 ? `${volts / 1000} kV` : `${volts} V`);

/** Above this voltage the wider warning zone holds, 29 CFR 1926.1409. */
const HIGH = 350e3;

/** What then has to be done, 29 CFR 1926.1408(b), and by practice elsewhere. */
const THEN =
  'Take it as live until its owner has shown it dead and earthed at the place. Hold a meeting on it with all who work there; tag lines that do not conduct; a line of flags or a barrier at the distance; and one of: a spotter with nothing else to do, a proximity alarm, a range limiter, or an insulating link.';

/** The largest radius the chart gives for a boom; the boom itself where nothing says. */
export function fullRadius(crane: Crane, pick: Lift): number {
  const { chart } = crane;
  if (!chart) return pick.boom;
  const rows = chart.radii.filter((_, i) => chart.capacity[i]?.some((one) => one !== null));
  return Math.min(rows[rows.length - 1] ?? pick.boom, pick.boom + Math.abs(crane.pivotBack));
}

/** Distance from a line to all that a crane can reach at a radius, whichever way it slews: a drum over the stand. */
function reachToLine(crane: Crane, at: Vec, pick: Lift, line: PlacedLine, radius: number): number {
  const flat = (p: Vec): Vec3 => ({ ...p, z: 0 });
  const beside = segmentDistance(flat(at), flat(at), flat(line.from), flat(line.to)) - (crane.tower ? Math.max(pick.boom, crane.tailRadius) : radius);
  const over = line.height - (crane.tower ? crane.pivotHeight + crane.boomDepth / 2 : crane.pivotHeight + pick.boom);
  return Math.hypot(Math.max(0, beside), Math.max(0, over));
}

function zoneCheck({ rules, today }: Context, { crane, stand, pick }: PickContext, line: PlacedLine, volts: number, place: Place): Check[] {
  const key = volts > HIGH ? 'lineWarningHigh' : 'lineWarning';
  const zone = rules.value(key);
  const near = reachToLine(crane, stand.at, pick, line, fullRadius(crane, pick));
  if (!(near < zone)) return [];
  const at = { ...place, source: sourced('At full radius in the work zone, whichever way it slews', rules, key) };
  const head = phrase`At full radius ${crane.name} on ${stand.name} could come within ${q(near, 'length')} of ${line.name}; inside ${q(zone, 'length')} more is required. `;
  const { guard } = line;
  if (!guard || !saysSomething(guard.means) || !namesPerson(guard.by) || dayFault(guard.on, today) !== null) {
    const date = guard ? dayFault(guard.on, today) : null;
    return [
      {
        ...missingCheck(at, 'length', ''),
        demand: near,
        finding: told([...head, THEN, ' Which is taken, and who answers for it?', ...(guard && date ? [` The record ${date}.`] : [])]),
      },
    ];
  }
  const check = ratioCheck(
    at,
    { demand: near, capacity: zone, quantity: 'length', caution: null, ratio: 0 },
    told([...head, `Taken: ${guard.means.trim()} (${guard.by.trim()}, ${guard.on}). Take the line as live.`]),
    [],
  );
  return [{ ...check, ratio: null }];
}

/** Boom, hoist line and load against a line, at every station, at the height the load travels. */
function nearest(picked: PickContext, weight: PieceWeight, underside: number, path: LiftPath, line: PlacedLine, drift: number): number {
  return path.stations.reduce((best, station) => Math.min(best, stationToLine(picked, weight, underside, station, line, drift, best)), Infinity);
}

/** The boom at a station, from its foot to its tip. */
function boomAt({ crane, pick, stand }: PickContext, station: Station): { foot: Vec3; tip: Vec3 } {
  const out = direction(station.bearingDeg);
  const high = (at: number): Vec3 => ({ ...add(stand.at, scale(out, at)), z: crane.pivotHeight });
  if (crane.tower) return { foot: high(-crane.tailRadius), tip: high(pick.boom) };
  const rise = Math.sqrt(Math.max(0, pick.boom ** 2 - (station.radius + crane.pivotBack) ** 2));
  return {
    foot: { ...add(stand.at, scale(out, -crane.pivotBack)), z: crane.pivotHeight },
    tip: { ...add(stand.at, scale(out, station.radius)), z: crane.pivotHeight + rise },
  };
}

const endsOf = ({ from, to, height }: PlacedLine): [Vec3, Vec3] => [
  { ...from, z: height },
  { ...to, z: height },
];

/** How near the boom alone comes to a line. */
export function boomToLine(picked: PickContext, station: Station, line: PlacedLine): number {
  const { foot, tip } = boomAt(picked, station);
  return segmentDistance(foot, tip, ...endsOf(line)) - picked.crane.boomDepth / 2;
}

/** At one station; where no corner of the load can come nearer than `best` they are not looked at. */
function stationToLine(picked: PickContext, weight: PieceWeight, underside: number, station: Station, line: PlacedLine, drift: number, best: number): number {
  const { piece, turned } = picked;
  const [a, b] = endsOf(line);
  const tip = picked.crane.tower ? { ...station.hook, z: picked.crane.pivotHeight } : boomAt(picked, station).tip;
  const hoist: Vec3 = { ...station.hook, z: underside };
  const top = underside + (turned ? piece.length : weight.section.depth);
  const fall = segmentDistance(hoist, tip, a, b) - drift;
  const least = Math.min(boomToLine(picked, station, line), fall);
  const { toMiddle, length } = station.seen;
  // No corner is further from the fall of the hook, which passes it at its own height, than this.
  const corner = Math.hypot(Math.abs(toMiddle) + length / 2, breadthOf(weight) / 2);
  if (top <= tip.z && fall - corner >= Math.min(least, best)) return least;
  const outline = outlineAt(station, breadthOf(weight));
  const edges = outline.map((p, i): [Vec3, Vec3] => {
    const next = outline[(i + 1) % outline.length]!;
    return [
      { ...p, z: top },
      { ...next, z: top },
    ];
  });
  return Math.min(least, ...edges.map(([p, n]) => segmentDistance(p, n, a, b) - drift));
}
