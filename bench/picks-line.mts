/**
 * bench:picks. Where a crane may stand for 50 lifts over 200 by 200 places and four set-ups, a way of 500 steps while it is dragged, and
 * 600 lifts; the last line is one JSON object.
 */
import { alongWay } from '../src/core/checks/map/along-way';
import { evaluate } from '../src/core/evaluate';
import { craneChecks } from '../src/core/checks/lift/crane';
import { standChecks } from '../src/core/checks/site/stand';
import { standZoneChecks } from '../src/core/checks/site/stand-zones';
import { zoneChecks } from '../src/core/checks/site/zones';
import type { LiftPath } from '../src/core/settle/lift-path';
import { Missing } from '../src/core/verdict/missing';
import { hooksOf, pickContext } from '../src/core/checks/lift/pick-context';
import { replay } from '../src/core/replay/replay';
import type { Plan } from '../src/core/document/schema';
import { settle } from '../src/core/settle/settle';
import { wholeStandMap, type StandMap } from '../src/core/checks/map/stand-map';
import { rulesOf } from '../src/core/rules/rule-sets';
import { passengerCanopy, quayFootbridge } from '../tests/demo-plan';
import { girderLines } from '../tests/girder-lines';
import { median, time, yardstick } from './timing.mts';

const TODAY = '2026-11-28';
const took = <T,>(work: () => T): [number, T] => {
  const start = performance.now();
  const made = work();
  return [performance.now() - start, made];
};

/** Fifty lifts of a canopy by one crane that has charts for four set-ups, on a site of 100 m by 100 m. */
function canopy(): Plan {
  const plan = passengerCanopy();
  const [crane] = plan.cranes;
  plan.stands = plan.stands.filter(({ crane: of }) => of === crane!.id);
  const [stand] = plan.stands;
  plan.picks = plan.picks.slice(0, 50).map((pick) => ({ ...pick, stand: stand!.id }));
  const kept = new Set(plan.picks.map(({ id }) => id));
  plan.moves = plan.moves
    .filter((move) => move.kind !== 'pick.trial' && (!('stand' in move) || move.stand === stand!.id))
    .map((move) => (move.kind === 'piece.hang' && !kept.has(move.pick ?? '') ? { ...move, pick: null } : move));
  plan.site.powerLines = [];
  // People beside it, whom nobody keeps away, and ground that not every place of the crane is good for.
  plan.site.zones = [{ id: 'z', name: 'Kiosk', kind: 'people', at: { x: 30, y: -16 }, length: 6, width: 4, azimuthDeg: 20, closed: null }];
  plan.stands.forEach((one) => (one.groundAllowable = 110e3));
  const { chart, chartSource, chartGust, chartBase } = crane!;
  plan.duties = [1.1, 0.9, 0.8].map((of, n) => ({
    id: `set-up ${n}`,
    crane: crane!.id,
    name: `Set-up ${n + 2}`,
    chart: { ...chart!, capacity: chart!.capacity.map((row) => row.map((one) => (one === null ? null : of * one))) },
    chartSource,
    chartGust,
    chartBase: chartBase ?? { length: crane!.baseLength, width: crane!.baseWidth },
    chartOver: { from: 0, to: 180 },
  }));
  // Two loads lie far out, so that the map is as large as maps get.
  const lying = plan.structure.pieces.filter(({ id }) => plan.picks.some(({ piece }) => piece === id));
  Object.assign(lying[0]!.lies!, { x: -10, y: -25 });
  Object.assign(lying[1]!.lies!, { x: 40, y: 25 });
  return plan;
}
const setUps = ['c1', 'set-up 0', 'set-up 1', 'set-up 2'];
const mapped = (plan: Plan): StandMap[] =>
  setUps.map((setUp) => {
    const map = wholeStandMap(settle(plan), plan.cranes[0]!.id, null, setUp);
    if (map instanceof Missing) throw new Error(map.questions.join(' '));
    return map;
  });

const unit = time(yardstick, 100);
const plan = canopy();
const [mapMs, maps] = took(() => mapped(plan));
const [first] = maps;
const cells = first!.wide * first!.deep;
const place = (cell: number) => ({ x: first!.at.x + (cell % first!.wide) * first!.step, y: first!.at.y + Math.floor(cell / first!.wide) * first!.step });
const [chartMs] = took(() => {
  for (const map of maps) for (let cell = 0; cell < cells; cell += 1) for (let lift = 0; lift < map.lifts; lift += 1) map.chart(lift, place(cell));
});

/** The map against the checks themselves, at 10,000 lifts and places. */
const settled = settle({ ...plan, duties: [] });
const own = wholeStandMap(settled, 'c1', null, 'c1') as StandMap;
const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
const replayed = replay(settled);
let [mapDiffers, mapCompared, seed] = [0, 0, 1];
while (mapCompared < 10_000) {
  seed = (seed * 48_271) % 2_147_483_647;
  const [cell, lift] = [seed % cells, Math.floor(seed / cells) % own.lifts];
  if (Number.isNaN(own.worst[cell]!)) continue;
  const moved = { ...settled, stands: settled.stands.map((stand) => ({ ...stand, at: place(cell) })) };
  const pick = moved.picks.find(({ id }) => id === own.of[lift]!.pick)!;
  const context = { plan: moved, today: TODAY, rules, replayed };
  const picked = pickContext(moved, pick);
  const rows = [...craneChecks(context, picked), ...standChecks(context, picked), ...zoneChecks(context, picked), ...standZoneChecks(context)];
  const stops = rows.some(
    ({ id, verdict }) => /^(lift\.(headRoom|boomGap|over)|stand\.(ground|tips|over))$/.test(id) && (verdict === 'stop' || verdict === 'missing'),
  );
  const share = Math.max(...rows.filter(({ id }) => /^lift\.(chart|offChart|boomReach)$/.test(id)).map(({ ratio }) => ratio ?? Infinity));
  if (own.share(lift, place(cell)) < 1 !== (share < 1 && !stops)) mapDiffers += 1;
  mapCompared += 1;
}

/** A way in 500 steps, its crane a little further each time. */
const quay = settle(quayFootbridge());
const [hook] = hooksOf(quay, quay.picks[0]!);
const way = hook!.path as LiftPath;
const many = { ...hook!, path: { ...way, stations: Array.from({ length: 500 }, (_, i) => way.stations[Math.floor((i * way.stations.length) / 500)]!) } };
const wayMs = time(() => void alongWay(quay, many, rules), 60);

/** Girders of many lines, each with a lift of its own, by one crane. */
function lifted(): Plan {
  const girders = girderLines(20, 30);
  const { cranes, stands, picks } = quayFootbridge();
  girders.cranes = cranes;
  girders.stands = stands.slice(0, 1);
  girders.structure.pieces.forEach((piece, n) => {
    piece.lies = { ...quayFootbridge().structure.pieces[0]!.lies!, x: (n % 30) * 12, y: -6 - (n % 7) };
  });
  girders.picks = girders.structure.pieces.map(({ id }, n) => ({ ...picks[0]!, id: `k${n}`, piece: id, stand: girders.stands[0]!.id }));
  const pickOf = new Map(girders.picks.map(({ id, piece }) => [piece, id]));
  girders.moves = girders.moves.map((move) => (move.kind === 'piece.hang' ? { ...move, pick: pickOf.get(move.beam) ?? null } : move));
  return girders;
}
const many600 = lifted();
const [coldMs] = took(() => void evaluate(many600, TODAY));
let turn = 0;
const edits = Array.from({ length: 9 }, () => {
  turn += 1;
  const picks = many600.picks.map((pick, n) => (n === 300 ? { ...pick, riggingMass: 90 + turn } : pick));
  return took(() => void evaluate({ ...many600, picks }, TODAY))[0];
});
const round = (value: number): number => Number(value.toPrecision(4));
console.log(
  `${first!.wide} by ${first!.deep} places, ${first!.lifts} lifts, ${setUps.length} set-ups: chart ${(chartMs / unit).toFixed(0)} yardsticks, whole map ${(mapMs / unit).toFixed(0)}`,
);
console.log(
  JSON.stringify({
    cells,
    lifts: first!.lifts,
    chartMs: round(chartMs),
    mapMs: round(mapMs),
    mapCompared,
    mapDiffers,
    wayMs: round(wayMs),
    picks: many600.picks.length,
    coldMs: round(coldMs),
    editMs: round(median(edits)),
    yardstickMs: round(unit),
  }),
);
