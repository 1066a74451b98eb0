import { evaluated } from '../../../../tests/evaluated';
import { quayFootbridge, stiff } from '../../../../tests/demo-plan';
import type { Vec } from '../../geometry/plane';
import { posesAt } from '../../view/moment-pose';
import { describe as words } from '../../verdict/describe';
import { pickWays } from './ways-up';
import { rulesOf } from '../../rules/rule-sets';
import type { LiftPath } from '../../settle/lift-path';
import { openPlan } from '../../document/open';
import { hooksOf } from './pick-context';
import { replay } from '../../replay/replay';
import type { Move, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const TODAY = '2026-11-27';
type Edit = (plan: Plan) => unknown;
const rows = (plan: Plan, pick: string) => evaluated(plan, TODAY).checks.filter(({ about }) => about.id === pick || about.part?.startsWith(pick));
const bad = (plan: Plan): string[] =>
  evaluated(plan, TODAY)
    .checks.filter(({ verdict, id }) => (verdict === 'stop' || verdict === 'missing') && !id.startsWith('hold.'))
    .map((check) => `${check.verdict} ${check.id} ${check.about.id}: ${words(check, 'metric')}`);
const move = (plan: Plan, id: string): Move => plan.moves.find((one) => one.id === id)!;

describe('a piece turned upright under the hook', () => {
  /** The last girder of the footbridge as a post of 10 m: it lies along x about (21, −20.5) and is to stand at (24, 2.4). */
  const post = (edit: Edit = () => undefined): Plan => {
    const plan = quayFootbridge();
    Object.assign(plan.structure.pieces[3]!, { from: { x: 24, y: 2.4, z: 0 }, to: { x: 24, y: 2.4, z: 10 } });
    plan.picks[3]!.turned = { top: 0.5, tail: 0.2, sling: 2 };
    Object.assign(plan.picks[3]!.hitch!, { heldBy: 'a lug over the sling' });
    edit(plan);
    return plan;
  };
  const of = (plan: Plan, id: string) => rows(plan, 'k4').find((row) => row.id === id)!;
  const turned = (plan: Plan) => plan.picks[3]!.turned!;

  test('all of it hangs on the hook and on one sling', () => {
    // 0.0384 m² × 7850 × 10 m × 1.05 = 3165 kg; 95 kg of slings, 420 kg of block; the sling × 9.80665 × the dynamic factor 1.1.
    const mass = 0.0384 * 7850 * 10 * 1.05;
    expect(of(post(), 'lift.chart').demand).toBeCloseTo(mass + 515, 0);
    const sling = of(post(), 'rigging.tension');
    expect(sling.demand! / (mass * 9.80665)).toBeCloseTo(1.1, 3);
    expect(sling).toMatchObject({ verdict: 'clear', move: 'm16' });
    expect(rows(post(), 'k4').map(({ id }) => id)).not.toContain('rigging.angle');
  });

  test('the hook must reach over its whole length: its foot 1.3 m up as it lay, 9.5 m to the sling, 2 m of sling', () => {
    const high = of(
      post((plan) => ((plan.structure.pieces = plan.structure.pieces.filter(({ id }) => id === 'g2b')), tidy(plan))),
      'lift.headRoom',
    );
    expect(high.demand).toBeCloseTo(1.3 + 9.5 + 2, 6);
  });

  test('its radius is read where it is slung, where it lies and where it stands', () => {
    const plan = post();
    const [hook] = hooksOf(settle(plan), plan.picks[3]!);
    const { stations } = hook!.path as LiftPath;
    const at = (x: number, y: number) => stations.some(({ hook: one }) => Math.hypot(one.x - x, one.y - y) < 1e-6);
    expect(at(16 + 9.5, -20.5)).toBe(true);
    expect(at(16, -20.5)).toBe(true);
    expect(at(24, 2.4)).toBe(true);
    // The other end up: it lies the other way round, and is slung at the end that lies at 16.
    const other = post((p) => Object.assign(p.structure.pieces[3]!, { from: { x: 24, y: 2.4, z: 10 }, to: { x: 24, y: 2.4, z: 0 } }));
    const first = (hooksOf(settle(other), other.picks[3]!)[0]!.path as LiftPath).stations[0]!.hook;
    expect([first.x, first.y]).toEqual([expect.closeTo(16.5, 6), expect.closeTo(-20.5, 6)]);
  });

  test('between sling and tail it bends as a beam on two supports, lying', () => {
    // w = 0.0384 × 7850 × 1.05 × 9.80665 N/m over 10 m, held 0.2 m and 0.5 m from its ends; sagging where the shear is zero.
    const w = 0.0384 * 7850 * 1.05 * 9.80665;
    const low = (w * 10 * (9.5 - 5)) / 9.3;
    const sagging = low * (low / w - 0.2) - (w * (low / w) ** 2) / 2;
    const bends = of(post(), 'pick.bending');
    expect(bends.demand! / sagging).toBeCloseTo(1.1 * 1.35, 3);
    expect(words(bends, 'metric')).toMatch(/As it is turned up, G2b bends/);
  });

  const faults: [string, Edit, RegExp][] = [
    ['how it is turned is not said', (p) => delete p.picks[3]!.turned, /missing rigging.tension k4: .*How far from its upper end is it slung/],
    ['where it is slung is not said', (p) => (turned(p).top = null), /missing lift.chart k4: .*How far from its upper end/],
    ['where its tail rests is not said', (p) => (turned(p).tail = null), /missing lift.headRoom k4: .*tail of G2b rest/],
    ['the sling is not measured', (p) => (turned(p).sling = null), /missing rigging.tension k4: .*How long is the sling/],
    ['slung at its balance point', (p) => (turned(p).top = 5), /stop rigging.closes k4: .*turns over under the hook/],
    ['tail past its balance point', (p) => (turned(p).tail = 5.1), /stop rigging.closes k4: .*lower end would not stay down/],
    ['a sling good for a leg, not for all', (p) => (p.picks[3]!.slingRating = 3400), /stop rigging.tension k4: The sling of G2b carries/],
    [
      'a sling nobody has rated',
      (p) => (p.picks[3]!.slingRating = null),
      /missing rigging.tension k4: What is the sling of G2b rated for, as it is put round it/,
    ],
    ['a long sling under a short boom', (p) => (turned(p).sling = 14), /stop lift.headRoom k4/],
    ['a level piece whose pick turns it', (p) => (p.picks[0]!.turned = { top: 1, tail: 0, sling: 2 }), /missing pick.turned k1: G1a is set level/],
  ];
  test.each(faults)('%s', (_, edit, wanted) => {
    expect(bad(post(edit)).join('\n')).toMatch(wanted);
  });

  test('whichever end is up, the same piece the other way round bends alike', () => {
    const lump = (at: number, firstUp: boolean) =>
      of(
        post((p) => {
          p.structure.makes[1]!.attachments.push({ id: 'a', what: 'Cap plates', mass: 400, at });
          if (firstUp) Object.assign(p.structure.pieces[3]!, { from: { x: 24, y: 2.4, z: 10 }, to: { x: 24, y: 2.4, z: 0 } });
          Object.assign(turned(p), { top: 2.2, tail: 0.2 });
        }),
        'pick.bending',
      ).demand!;
    expect(lump(9, false)).toBeCloseTo(lump(1, true), 3);
    expect(lump(9, false)).not.toBeCloseTo(lump(1, false), 0);
  });

  test('the boom passes its head, the wind finds its broader side', () => {
    const gap = of(post(), 'lift.boomGap').traces[0]!.input as { point: { z: number } };
    // It passes 0.5 m over the girders, 5.96 m up.
    expect(gap.point.z).toBeCloseTo(5.96 + 0.5 + 10, 6);
    const broad = of(
      post((p) => {
        const made = p.structure.makes[1]!.made;
        if (made.kind === 'girder') Object.assign(made, { topFlange: { width: 1.2, thickness: 0.03 }, bottomFlange: { width: 1.2, thickness: 0.03 } });
      }),
      'lift.wind',
    );
    expect((broad.traces[0]!.input as { area: number }).area).toBeCloseTo(10 * 1.2, 6);
    expect((of(post(), 'lift.wind').traces[0]!.input as { area: number }).area).toBeCloseTo(10 * 0.96, 6);
  });

  test('said whole, its lift asks nothing', () => {
    const lift = bad(post()).filter((one) => / k4/.test(one));
    expect(lift).toEqual([]);
  });

  test('a post that is no bigger than it is drawn is not asked where two slings take it', () => {
    const asked = (edit: Edit) => bad(post(edit)).filter((one) => one.includes('said.figure k4'));
    expect(asked((p) => (p.picks[3]!.unsaid = ['left', 'right', 'legs']))).toEqual([]);
    expect(asked((p) => (p.picks[3]!.unsaid = ['boom'])).join()).toMatch(/length of the boom/);
  });

  test('a second crane holds the tail: its share as it leaves the ground, and nothing of it once it stands', () => {
    const plan = post(withSecond('k4', { x: 30, y: -9 }));
    const [main, tail] = hooksOf(settle(plan), plan.picks[3]!);
    const weight = 0.0384 * 7850 * 10 * 1.05 * 9.80665;
    // Slung 9.5 m and held 0.2 m from the lower end, the balance point at 5 m: 4.5/9.3 on the tail.
    expect(tail!.share!.most / weight).toBeCloseTo(4.5 / 9.3, 6);
    expect(main!.share).toBeNull();
    // The tail goes no higher than over where it lies.
    const room = rows(plan, 'k4').find(({ id, about }) => id === 'lift.headRoom' && about.part === 'w3')!;
    expect((room.traces.find(({ calc }) => calc === 'crane.headRoom')!.input as { underside: number }).underside).toBeCloseTo(2.3, 6);
    expect(bad(plan).filter((one) => / k4/.test(one))).toEqual([]);
  });
});

/** Takes out of a plan what hangs on pieces that are gone. */
function tidy(plan: Plan): void {
  const ids = new Set(plan.structure.pieces.map(({ id }) => id));
  const { structure } = plan;
  structure.supports = [];
  structure.joints = [];
  structure.braces = [];
  plan.picks = plan.picks.filter((pick) => ids.has(pick.piece));
  const picks = new Set(plan.picks.map(({ id }) => id));
  plan.moves = plan.moves.filter(
    (one) =>
      !/^(support|joint|brace)/.test(one.kind) &&
      (!('beam' in one) || ids.has(one.beam)) &&
      (!('pick' in one) || one.pick === null || picks.has(one.pick ?? '')),
  );
}

/** A second crane like the first that takes the right end. */
const withSecond =
  (pick: string, at: Vec): Edit =>
  (plan) => {
    const first = plan.cranes.find(({ id }) => id === 'c1')!;
    plan.cranes.push({ ...structuredClone(first), id: 'c2', name: 'Dunlin 50', operator: 'T. Varga' });
    plan.stands.push({ ...structuredClone(plan.stands[1]!), id: 'w3', name: 'W3', crane: 'c2', at });
    const one = plan.picks.find(({ id }) => id === pick)!;
    one.second = { stand: 'w3', boom: 27, slingRating: 5000, riggingMass: 95, lands: { first: 'together', rest: null, high: null } };
    one.signed = { by: 'K. Osei, lift leader', on: '2026-11-20' };
    one.second.via = { x: 29, y: -9 };
    plan.moves.splice(plan.moves.indexOf(move(plan, 'c2s')), 0, { id: 'c3s', kind: 'crane.set', stand: 'w3' });
    plan.moves.splice(plan.moves.indexOf(move(plan, 'm13')), 0, { id: 't4', kind: 'pick.trial', pick });
    plan.moves.push({ id: 'c3l', kind: 'crane.leave', stand: 'w3' });
  };

describe('two cranes on one piece', () => {
  const two = (edit: Edit = () => undefined): Plan => {
    const plan = stiff(quayFootbridge());
    withSecond('k3', { x: 38, y: -9 })(plan);
    pick(plan).boom = 17;
    edit(plan);
    return plan;
  };
  const second = (plan: Plan) => plan.picks.find(({ id }) => id === 'k3')!.second!;
  const pick = (plan: Plan) => plan.picks.find(({ id }) => id === 'k3')!;
  const weight = 0.0384 * 7850 * 10 * 1.05 * 9.80665;

  test('each takes its share of the piece, and three quarters of its chart', () => {
    const plan = two((p) => ((pick(p).left = 2), (second(p).via = { x: 31, y: -9 }), (p.stands[2]!.at.x = 39)));
    const [a, b] = hooksOf(settle(plan), pick(plan));
    // 2 m and 2.4 m from the ends of 10 m: hooks 5.6 m apart, the balance point 3 m from the first.
    expect(a!.share!.level / weight).toBeCloseTo(2.6 / 5.6, 6);
    expect(b!.share!.level / weight).toBeCloseTo(3 / 5.6, 6);
    // 0.48 m under the slings, 3 degrees: it walks 0.48 tan 3° towards the hook that is higher.
    const walk = (0.48 * Math.tan((3 * Math.PI) / 180)) / 5.6;
    expect(a!.share!.most / weight).toBeCloseTo(2.6 / 5.6 + walk, 6);
    expect(b!.share!.most / weight).toBeCloseTo(3 / 5.6 + walk, 6);
    const charts = rows(plan, 'k3').filter(({ id }) => id === 'lift.chart');
    expect(charts).toHaveLength(2);
    for (const [n, row] of charts.entries()) {
      const { share, chart } = (row.finding as { shared: { share: number; chart: number } }).shared;
      expect(share).toBe(0.75);
      expect(row.capacity).toBeCloseTo(0.75 * chart, 6);
      expect(row.demand! - 515).toBeCloseTo([a, b][n]!.share!.most / 9.80665, 3);
    }
  });

  test('each sling carries the share of its own hook', () => {
    const plan = two((p) => (pick(p).right = 1.4));
    const hooks = hooksOf(settle(plan), pick(plan));
    const slings = rows(plan, 'k3').filter(({ id }) => id === 'rigging.tension');
    expect(slings.map(({ demand }) => demand! / 1.1)).toEqual(hooks.map(({ share }) => expect.closeTo(share!.most, 3) as number));
    expect(hooks[0]!.share!.most).not.toBeCloseTo(hooks[1]!.share!.most, 0);
  });

  test('each finds the wind on its share of the piece', () => {
    const plan = two((p) => (pick(p).right = 1.4));
    const [a] = hooksOf(settle(plan), pick(plan));
    const wind = rows(plan, 'k3').find(({ id, about }) => id === 'lift.wind' && about.part === undefined)!;
    expect((wind.traces[0]!.input as { area: number }).area).toBeCloseTo((10 * 0.96 * a!.share!.level) / weight, 6);
  });

  test('shares sum to the load whatever the hooks and the slope', () => {
    for (const [left, right] of [
      [0.5, 3],
      [2, 2],
      [3.9, 0.2],
    ] as const) {
      const plan = two((p) => Object.assign(pick(p), { left, right }));
      const [a, b] = hooksOf(settle(plan), pick(plan));
      expect(a!.share!.level + b!.share!.level).toBeCloseTo(weight, 3);
      expect(a!.share!.most).toBeGreaterThan(a!.share!.level);
      expect(a!.share!.least).toBeLessThan(a!.share!.level);
    }
  });

  test('each hook goes plumb over its own end, from where it lies to where it is set', () => {
    const plan = two((p) => (pick(p).right = 1.4));
    const [a, b] = hooksOf(settle(plan), pick(plan));
    const ends = (hooked: typeof a) => {
      const { stations } = hooked!.path as LiftPath;
      return [stations[0]!.hook, stations.at(-1)!.hook].map(({ x, y }) => [x, y]);
    };
    expect(ends(a)).toEqual([
      [expect.closeTo(18.4, 6), expect.closeTo(-19, 6)],
      [expect.closeTo(16.4, 6), expect.closeTo(0, 6)],
    ]);
    expect(ends(b)).toEqual([
      [expect.closeTo(24.6, 6), expect.closeTo(-19, 6)],
      [expect.closeTo(22.6, 6), expect.closeTo(0, 6)],
    ]);
  });

  test('where the piece turns on its way no radius between two stations is past what is told, wherever the crane stands', () => {
    const drawn = two((p) => ((p.structure.pieces[1]!.lies!.azimuthDeg = 170), Object.assign(pick(p), { left: 0.1, right: 0.1 })));
    let nearest = Infinity;
    for (let turn = 0; turn < 360; turn += 5) {
      const plan = structuredClone(drawn);
      const rad = (turn * Math.PI) / 180;
      Object.assign(plan.stands[1]!, { at: { x: 21 + 7 * Math.cos(rad), y: -12 + 7 * Math.sin(rad) } });
      for (const hooked of hooksOf(settle(plan), pick(plan))) {
        const path = hooked.path as LiftPath;
        const { at } = hooked.stand;
        const toMiddle = hooked.hook === 'main' ? 4.9 : -4.9;
        path.stations.slice(1).forEach((to, i) => {
          const from = path.stations[i]!;
          const middle = ({ pieceDeg, hook }: typeof to) => {
            const r = (pieceDeg * Math.PI) / 180;
            return { x: hook.x + toMiddle * Math.cos(r), y: hook.y + toMiddle * Math.sin(r) };
          };
          const [m0, m1] = [middle(from), middle(to)];
          for (let t = 0; t <= 1; t += 0.125) {
            const r = ((from.pieceDeg + (to.pieceDeg - from.pieceDeg) * t) * Math.PI) / 180;
            const x = m0.x + (m1.x - m0.x) * t - toMiddle * Math.cos(r);
            const y = m0.y + (m1.y - m0.y) * t - toMiddle * Math.sin(r);
            const radius = Math.hypot(x - at.x, y - at.y);
            expect(radius).toBeLessThanOrEqual(path.most + 1e-9);
            expect(radius).toBeGreaterThanOrEqual(path.least - 1e-9);
            nearest = Math.min(nearest, path.most - radius);
          }
        });
      }
    }
    // The bound is no wider than the arc between two stations is high.
    expect(nearest).toBeLessThan(0.01);
  });

  test('said whole, the lift asks nothing more', () => {
    // The other crane is there for the next lift too, in which it has no part.
    const said = two((plan) => {
      Object.assign(
        plan.stands.find(({ id }) => id === 'w3')!,
        { waits: { boom: null, bearingDeg: 0, radius: 8 } },
      );
      plan.site.together = { by: 'R. Adeyemi', how: 'by radio' };
    });
    expect(bad(said)).toEqual([]);
    // As a way to lift it is judged by what it is, not by whether somebody has signed for it.
    const unsigned = settle(two((p) => delete pick(p).signed));
    const context = { plan: unsigned, today: TODAY, rules: rulesOf(unsigned.job.ruleSet, unsigned.job.thresholds), replayed: replay(unsigned) };
    expect(
      pickWays(
        context,
        unsigned.picks.find(({ id }) => id === 'k3')!,
      ).find(({ way }) => way.now)!.way.verdict,
    ).not.toBe('missing');
    const told = rows(two(), 'k3').find(({ id }) => id === 'pick.hooks')!;
    expect(words(told, 'metric')).toMatch(/Level, the second hook carries 15\.5.kN of G1b; with one hook lagging by 3\.0°, up to 15\.7.kN/);
  });

  const faults: [string, Edit, RegExp][] = [
    ['both hooks of one crane', (p) => (second(p).stand = 'w2'), /stop pick.hooks k3: Both hooks of G1b are of Curlew 50/],
    [
      'no plan of a lift by two cranes is signed',
      (p) => delete pick(p).signed,
      /missing pick.critical k3: The lift of G1b is complex: two cranes. Who signed its own plan/,
    ],
    ['its plan is signed tomorrow', (p) => (pick(p).signed!.on = '2026-12-24'), /missing pick.critical k3: .*record/],
    ['its plan is signed by a word', (p) => (pick(p).signed!.by = 'me'), /missing pick.critical/],
    ['the boom of the second is not said', (p) => (second(p).boom = null), /missing lift.chart k3: .*How long is the boom of the second crane/],
    ['the slings of the second are not weighed', (p) => (second(p).riggingMass = null), /missing lift.chart k3: What do slings and shackles weigh/],
    ['the sling of the second is weak', (p) => (second(p).slingRating = 1500), /stop rigging.tension k3: The sling of G1b on the second hook/],
    ['the sling of the second is not rated', (p) => (second(p).slingRating = null), /missing rigging.tension k3: What is the sling of G1b on the second hook/],
    ['the sling of the first is weak', (p) => (pick(p).slingRating = 1500), /stop rigging.tension k3: The sling of G1b carries/],
    ['the second has no chart', (p) => (p.cranes[1]!.chart = null), /missing lift.chart k3: Dunlin 50 has no chart/],
    ['the second stands too far off', (p) => (p.stands[2]!.at = { x: 48, y: -9 }), /stop lift.(offChart|boomReach|chart) k3/],
    ['the second stands on soft ground', (p) => (p.stands[2]!.groundAllowable = 30e3), /stop stand.ground w3/],
    ['the hooks cross over', (p) => Object.assign(pick(p), { left: 6, right: 5 }), /stop rigging.closes k3: The two hooks of G1b cross over/],
    [
      'both hooks on one side of the balance point',
      (p) => Object.assign(pick(p), { left: 0.2, right: 5.2 }),
      /stop rigging.closes k3: .*outside the two hooks/,
    ],
    [
      'one hook lags by more than the piece bears',
      (p) => ((p.job.thresholds.hookDifference = 15), Object.assign(pick(p), { right: 4.9 })),
      /stop rigging.closes k3/,
    ],
    ['the second never comes', (p) => (p.moves = p.moves.filter(({ id }) => id !== 'c3s' && id !== 'c3l')), /stop move.order m13: .*set at W3/],
    ['the second leaves with its end on the hook', (p) => p.moves.splice(p.moves.indexOf(move(p, 'm15')), 0, p.moves.pop()!), /stop move.order c3l/],
    ['the second has another piece on its hook', (p) => Object.assign(p.picks[3]!, { stand: 'w3' }) && to(p, 'm16', 'm14'), /stop move.order m16/],
    ['the gust it may be lifted in', (p) => (p.site.forecastGust = 9.9), /stop lift.wind k3/],
  ];
  test.each(faults)('%s', (_, edit, wanted) => {
    expect(bad(two(edit)).join('\n')).toMatch(wanted);
  });

  test('what may not be written down: a second stand the plan does not have', () => {
    const plan = two((p) => (second(p).stand = 'nowhere'));
    const opened = openPlan(plan);
    expect(opened.ok ? '' : opened.faults.map(({ error, path }) => `${path} ${error}`).join()).toMatch(/picks\[2\]\.second\.stand/);
  });

  test('both cranes are drawn, the piece once', () => {
    const plan = settle(two());
    const { steps } = replay(plan);
    const poses = posesAt(plan, steps.find((step) => step.move.id === 't4')!.after);
    const ours = poses.filter(({ context }) => context.drawn.id === 'k3');
    expect(ours.map(({ context, craneThere }) => [context.hook, context.stand.id, craneThere])).toEqual([
      ['main', 'w2', true],
      ['second', 'w3', true],
    ]);
    expect(ours.map(({ piece }) => piece !== null)).toEqual([true, false]);
  });
});

function to(plan: Plan, id: string, before: string): void {
  const one = move(plan, id);
  plan.moves = plan.moves.filter((m) => m !== one);
  plan.moves.splice(plan.moves.indexOf(move(plan, before)), 0, one);
}

test('a sling round what hangs upright is asked what stops it once, also where a second crane holds the tail', () => {
  const plan = quayFootbridge();
  Object.assign(plan.structure.pieces[3]!, { from: { x: 24, y: 2.4, z: 0 }, to: { x: 24, y: 2.4, z: 10 } });
  plan.picks[3]!.turned = { top: 0.5, tail: 0.2, sling: 2 };
  plan.picks[3]!.second = { stand: plan.stands[0]!.id, boom: 20, slingRating: 5000, riggingMass: 60 };
  expect(rows(plan, 'k4').filter(({ id }) => id === 'rigging.slides')).toHaveLength(1);
});
