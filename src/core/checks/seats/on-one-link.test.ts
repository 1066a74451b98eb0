import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, linkSpan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../../tests/demo-plan';
import { openPlan } from '../../document/open';
import type { Link, Plan } from '../../document/schema';
import { describe as say } from '../../verdict/describe';

const TODAY = '2026-11-30';

/** What is asked about links once this is changed. */
function asked(plan: Plan, edit: (plan: Plan) => unknown): string[] {
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return evaluated(opened.plan, TODAY)
    .checks.filter(({ id }) => id === 'path.unused' || id === 'path.apart')
    .map((check) => `${check.verdict} ${check.id} ${say(check, plan.job.units)}`);
}
const link = (plan: Plan, id: string): Link => plan.links.find((one) => one.id === id)!;
const support = (plan: Plan, id: string) => plan.structure.supports.find((one) => one.id === id)!;
const puts = (thing: { standsOn: { link: string; share: number }[] }, id: string) => (thing.standsOn = [{ link: id, share: 1 }]);

test.each([demoPlan, linkSpan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp].map((of) => [of.name, of] as const))(
  '%s: each link carries something, and what stands on one stands together',
  (_, of) => expect(asked(of(), () => {})).toEqual([]),
);

describe('a link nothing stands on', () => {
  test('is asked about, an end of the path too', () => {
    const told = asked(linkSpan(), (plan) => plan.links.push({ ...link(plan, 'p1'), id: 'p4', name: 'Pile cap 4' }));
    expect(told).toEqual([expect.stringMatching(/^missing path\.unused Nothing stands on Pile cap 4\. What comes down on it\?/)]);
  });
  test('shores alone are enough', () => {
    const without = asked(ticketHall(), (plan) => {
      for (const { walls, rows } of plan.shoring.lines) for (const shore of [...walls, ...rows]) shore.standsOn = [];
    });
    expect(without).toEqual([expect.stringMatching(/^missing path\.unused Nothing stands on Hall slab/)]);
  });
  test('so is another link, and rollers of a launch', () => {
    expect(asked(linkSpan(), (plan) => puts(link(plan, 'p1'), 'yard') && (link(plan, 'p1').ground = false))).toEqual([]);
    const rollers = asked(linkSpan(), (plan) => {
      for (const { rollers } of plan.launches!) for (const roller of rollers) puts(roller, 'p1');
    });
    expect(rollers.filter((one) => one.includes('unused'))).toEqual([expect.stringContaining('Nothing stands on Yard slab')]);
  });
});

describe('things far apart on one link', () => {
  test('a support put on the pile cap of another pier', () => {
    const told = asked(linkSpan(), (plan) => puts(support(plan, 'pier1-1'), 'p2'));
    expect(told).toHaveLength(1);
    expect(told[0]).toMatch(/^missing path\.apart .*Pier 1, line 1.* lie \d+\.\d+.m apart and are both said to stand on Pile cap 2/);
  });
  test('a roller in the yard said to stand on a pier', () => {
    const told = asked(linkSpan(), (plan) => puts(plan.launches![0]!.rollers[0]!, 'p1'));
    expect(told).toEqual([expect.stringMatching(/path\.apart .*both said to stand on Pile cap 1/)]);
  });
  test('a foot reaches as far as it is large: its diagonal, and half a metre', () => {
    const on = (length: number, width: number) =>
      asked(linkSpan(), (plan) => {
        link(plan, 'p3').foot = { length, width, allowable: 1e6, source: 'the ground report' };
      });
    // Supports of the two lines lie 3.2 m apart.
    expect(on(2.5, 1.2)).toEqual([]);
    expect(on(2.4, 1.1)).toEqual([expect.stringMatching(/path\.apart .* lie 3\.20.m apart and are both said to stand on Pile cap 3/)]);
  });
  test.each([
    ['post', true],
    ['blocking', true],
    ['pad', true],
    ['footing', false],
    ['wall', false],
    ['slab', false],
  ] as const)('with no foot: two lines on one %s', (kind, told) => {
    expect(asked(linkSpan(), (plan) => (link(plan, 'p3').kind = kind)).some((one) => one.includes('path.apart'))).toBe(told);
  });
  test('a slab has no end', () => {
    expect(asked(linkSpan(), (plan) => plan.structure.supports.forEach((one) => puts(one, 'yard'))).filter((one) => one.includes('apart'))).toEqual([]);
  });
});
