import { demoPlan } from '../../../../tests/demo-plan';
import { gapBetween, rectangle, toOutline } from '../../geometry/plane';
import { describe as words } from '../../verdict/describe';
import { settle } from '../../settle/settle';
import type { Plan, Zone } from '../../document/schema';
import { wholeStandMap } from '../map/stand-map';
import { Missing } from '../../verdict/missing';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
/** The mats stand at the corners of the base: 7.4 by 6.3 m with mats of 1 m2, 8.4 by 7.3 m over all, front towards x. */
function hall(pit: Partial<Zone>, edit: (plan: Plan) => void = () => undefined): Plan {
  const plan = demoPlan();
  const [stand] = plan.stands;
  Object.assign(stand!, { at: { x: 0, y: 0 }, azimuthDeg: 0, padArea: 1, base: { length: 7.4, width: 6.3 } });
  plan.site.zones = [
    { id: 'pt', name: 'Culvert trench', kind: 'pit', at: { x: 0, y: -6.65 }, length: 30, width: 2, azimuthDeg: 0, closed: null, depth: 2, ...pit },
  ];
  edit(plan);
  return plan;
}
const rows = (plan: Plan) =>
  evaluate(plan, TODAY)
    .checks.filter((one) => one.id === 'stand.edge')
    .map((check) => ({ ...check, says: words(check, 'metric').replace(/\u00a0/g, ' ') }));

test('the trench is 2 m deep and 2 m from the mats, edge to edge: just far enough', () => {
  const [row] = rows(hall({}));
  expect(row).toMatchObject({ verdict: 'clear', demand: 2, about: { kind: 'stand', part: 'pt' } });
  expect(row!.capacity).toBeCloseTo(2, 9);
  expect(row!.ratio).toBeCloseTo(1, 9);
  expect(row!.says).toMatch(/is 2.00 m from the edge of Culvert trench, 2.00 m deep; 2.00 m are kept/);
});

test.each<[string, Partial<Zone>, RegExp]>([
  ['deeper by a tenth', { depth: 2.1 }, /^stop .*2.10 m are kept. Stand further off, or have somebody work out/],
  ['nearer by a hand', { at: { x: 0, y: -6.55 } }, /^stop .*is 1.90 m from the edge/],
  ['askew, one corner of it near', { at: { x: -14, y: -9 }, azimuthDeg: 20 }, /^stop /],
  ['under the outriggers', { at: { x: 3.5, y: 0 }, length: 1, width: 1 }, /^stop .* stands over Culvert trench/],
  ['of no depth', { depth: null }, /^missing How deep is Culvert trench/],
  ['held by nobody', { depth: 3, edge: { by: 'engineer', on: '2026-11-01' } }, /^stop .*The record that it holds names nobody/],
  ['held on no day', { depth: 3, edge: { by: 'M. Lindqvist', on: '' } }, /^stop .*The record that it holds has no date/],
  ['held by a person', { depth: 3, edge: { by: 'M. Lindqvist', on: '2026-11-01' } }, /^tight .*M. Lindqvist worked out on 1 Nov 2026 that the edge holds/],
  ['over it, whoever says that it holds', { at: { x: 0, y: 0 }, edge: { by: 'M. Lindqvist', on: '2026-11-01' } }, /^stop .* stands over/],
  ['far off', { at: { x: 0, y: -30 }, depth: 6 }, /^clear /],
])('%s', (_name, pit, sentence) =>
  expect(
    rows(hall(pit))
      .map(({ verdict, says }) => `${verdict} ${says}`)
      .join(),
  ).toMatch(sentence),
);

test('the slope is a figure of the rules, the mats widen what presses, and a stand nothing is lifted from is not asked', () => {
  expect(rows(hall({}, (plan) => (plan.job.thresholds.edgeRun = 1.5)))[0]).toMatchObject({ verdict: 'stop', demand: 3 });
  expect(rows(hall({}, (plan) => (plan.stands[0]!.padArea = 1.21)))[0]!.verdict).toBe('stop');
  expect(rows(hall({ depth: 9 }, (plan) => plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's9', name: 'Spare' })))).toHaveLength(1);
  const tracks = hall({}, (plan) => (plan.cranes[0]!.tracks = { length: 7.4, shoe: 1.1 } as never));
  expect(rows(tracks)[0]!.verdict).toBe('stop');
});

test('mats stand past the base all round, tracks at their sides alone; turned, the crane presses along its length', () => {
  const ahead = { at: { x: 6.7, y: 0 }, length: 2, width: 30 };
  expect(rows(hall(ahead))[0]).toMatchObject({ verdict: 'stop' });
  const [onTracks] = rows(hall(ahead, (plan) => (plan.cranes[0]!.tracks = { length: 7.4, shoe: 1.1 } as never)));
  expect(onTracks).toMatchObject({ verdict: 'clear' });
  expect(onTracks!.capacity).toBeCloseTo(2, 9);
  const [turned] = rows(hall({}, (plan) => (plan.stands[0]!.azimuthDeg = 90)));
  expect(turned!.capacity).toBeCloseTo(5.65 - 4.2, 9);
});

test('mats or tracks of no size are asked for, and a signature of nobody does not move the map', () => {
  expect(rows(hall({}, (plan) => (plan.stands[0]!.padArea = null)))[0]).toMatchObject({ verdict: 'missing' });
  expect(rows(hall({}, (plan) => (plan.cranes[0]!.tracks = { length: 7.4, shoe: null } as never)))[0]).toMatchObject({ verdict: 'missing' });
  const blocked = (edge: Zone['edge']): number => {
    const plan = hall({ depth: 5, edge });
    const map = wholeStandMap(settle(plan), plan.cranes[0]!.id);
    return map instanceof Missing ? -1 : [...map.worst].filter(Number.isNaN).length;
  };
  const none = blocked(null);
  expect(blocked({ by: 'engineer', on: '2026-11-01' })).toBe(none);
  expect(blocked({ by: 'M. Lindqvist', on: '' })).toBe(none);
  expect(blocked({ by: 'M. Lindqvist', on: '2026-11-01' })).toBeLessThan(none);
});

test('far enough off it is clear, whoever says that the edge holds', () =>
  expect(rows(hall({ depth: 1, edge: { by: 'M. Lindqvist', on: '2026-11-01' } }))[0]!.verdict).toBe('clear'));

test('a pit is no zone a load may not pass over, and its depth is believable', () => {
  const plan = hall({ at: { x: 8, y: 2 }, length: 40, width: 40, depth: 2000 });
  const ids = evaluate(plan, TODAY)
    .checks.filter((one) => one.verdict !== 'clear')
    .map((one) => `${one.id} ${one.about.id}`);
  expect(ids.filter((one) => one.startsWith('lift.over'))).toEqual([]);
  expect(ids).toContain('said.size pt');
});

test('the map of stands keeps off a pit by its depth', () => {
  const blocked = (plan: Plan): number => {
    const map = wholeStandMap(settle(plan), plan.cranes[0]!.id);
    if (map instanceof Missing) throw new Error(map.questions.join(' '));
    return [...map.worst].filter(Number.isNaN).length;
  };
  const [none, shallow, deep] = [hall({}, (p) => (p.site.zones = [])), hall({ depth: 1 }), hall({ depth: 4 })].map(blocked);
  expect(shallow!).toBeGreaterThan(none!);
  expect(deep!).toBeGreaterThan(shallow!);
});

test('on the map no crane stands with a foot in a pit, however shallow, whichever way it is turned', () => {
  const plan = hall({ depth: 0.2 });
  const map = wholeStandMap(settle(plan), plan.cranes[0]!.id);
  if (map instanceof Missing) throw new Error(map.questions.join(' '));
  const [pit] = plan.site.zones!;
  const outline = rectangle(pit!.at, pit!.length, pit!.width, pit!.azimuthDeg);
  const near = [...map.worst.keys()].filter((cell) => {
    const gap = toOutline({ x: map.at.x + (cell % map.wide) * map.step, y: map.at.y + Math.floor(cell / map.wide) * map.step }, outline);
    // Half the diagonal of the base, its mats and the depth: 4.86 + 0.71 + 0.2 m.
    return gap > 5.2 && gap < 5.7;
  });
  expect(near.length).toBeGreaterThan(10);
  expect(near.every((cell) => Number.isNaN(map.worst[cell]!))).toBe(true);
});

test('between two outlines: edge to edge, corner to corner, none where they meet', () => {
  const box = rectangle({ x: 0, y: 0 }, 2, 2, 0);
  expect(gapBetween(box, rectangle({ x: 5, y: 0 }, 2, 2, 0))).toBeCloseTo(3, 9);
  expect(gapBetween(box, rectangle({ x: 4, y: 5 }, 2, 2, 0))).toBeCloseTo(Math.hypot(2, 3), 9);
  expect(gapBetween(box, rectangle({ x: 3, y: 0 }, 2, 2, 45))).toBeCloseTo(3 - Math.SQRT2 - 1, 9);
  expect(gapBetween(box, rectangle({ x: 1, y: 1 }, 2, 2, 30))).toBe(0);
  expect(gapBetween(rectangle({ x: 0, y: 0 }, 9, 9, 0), rectangle({ x: 1, y: 1 }, 1, 1, 0))).toBe(0);
  expect(toOutline({ x: 0.5, y: 0.5 }, box)).toBe(0);
  expect(toOutline({ x: 2, y: 2 }, box)).toBeCloseTo(Math.SQRT2, 9);
});
