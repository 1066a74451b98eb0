import { beside } from '../../../../tests/cranes-beside';
import { pair } from '../../../../tests/girder-pair';
import { evaluated } from '../../../../tests/evaluated';
import { lineOver } from '../../cranes/boom-geometry';
import type { Pick, Plan, Stand } from '../../document/schema';
import { evaluate } from '../../evaluate';
import { add, direction, distance, rectangle, scale, sub, toOutline } from '../../geometry/plane';
import { segmentDistance } from '../../geometry/space';
import { rulesOf } from '../../rules/rule-sets';
import { breadthOf } from '../../settle/piece-weight';
import { closeStations, outlineAt } from '../../settle/lift-path';
import { bodyOf, cranesStanding } from '../../settle/cranes-standing';
import { settle } from '../../settle/settle';
import { Missing } from '../../verdict/missing';
import type { Check } from '../../verdict/check';
import { describe as words } from '../../verdict/describe';
import { pickContext } from './pick-context';
import { travelHeight } from './travel';

const TODAY = '2026-11-30';
const IDS = ['crane.together', 'lift.otherBoom', 'lift.overCrane'];
const found = (plan: Plan, ...ids: string[]): Check[] => evaluated(plan, TODAY).checks.filter(({ id }) => ids.includes(id));
const say = (plan: Plan, ...ids: string[]): string[] =>
  found(plan, ...(ids.length > 0 ? ids : IDS)).map(
    (one) => `${one.verdict} ${one.about.id}/${one.about.part}: ${words(one, 'metric').replace(/\u00a0/g, ' ')}`,
  );
const WORD = { by: 'R. Adeyemi', how: 'by radio, the one that waits says so' };
const told = (plan: Plan, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  plan.site.together = WORD;
  edit(plan);
  return plan;
};
/** Behind the crane that sets the girders, out of the way of its loads. */
const BEHIND = { x: 2, y: -29 };
/** Further off. */
const OFF = { x: 2, y: -44 };
const waits = (bearingDeg: number | null, radius: number | null, boom: number | null = 24): Stand['waits'] => ({ bearingDeg, radius, boom });

describe('cranes that stand there at one time', () => {
  test('one that reaches to where the other is: how that waits is asked, and who gives the word', () => {
    const how = 'Which way does the boom of Dunlin 50 on Stand 9 point, and how far out, while Gannet 120 lifts?';
    const who = 'Who gives the word to both, a person’s name, and how does one know that the other waits?';
    const [row, ...more] = say(beside(BEHIND), 'crane.together');
    expect(more).toEqual([]);
    expect(row).toMatch(/^missing s9\/s1: Gannet 120 on Stand 1 and Dunlin 50 on Stand 9 reach into each other’s circle: /);
    expect(row).toContain(`${how} ${who}`);
    for (const half of [waits(270, null), waits(null, 9)]) expect(say(beside(BEHIND, half), 'crane.together')[0]).toContain(how);
    const [known] = say(beside(BEHIND, waits(270, 9)), 'crane.together');
    expect(known).not.toContain(how);
    expect(known).toContain(who);
    for (const together of [
      { by: 'the crew', how: WORD.how },
      { by: WORD.by, how: ' ' },
      { by: WORD.by, how: 'x' },
      { by: WORD.by, how: '-' },
    ])
      expect(
        say(
          told(beside(BEHIND, waits(270, 9)), (plan) => (plan.site.together = together)),
          'crane.together',
        )[0],
      ).toContain(who);
    expect(say(told(beside(BEHIND, waits(270, 9))), 'crane.together')[0]).toMatch(/^clear .* R\. Adeyemi gives the word to both: by radio/);
  });

  test('how far they reach together: a lift with the load on, and as far out as the other waits', () => {
    const plan = told(beside(OFF, waits(270, 9)));
    const settled = settle(plan);
    const reach = Math.max(
      ...plan.picks
        .filter(({ stand }) => stand === 's1')
        .map((pick) => {
          const { path, loaded } = pickContext(settled, pick);
          // The load reaches out past the hook by its longer part.
          return path instanceof Missing ? NaN : loaded(path.most) + Math.max(...path.stations.map(({ seen }) => Math.abs(seen.toMiddle) + seen.length / 2));
        }),
    );
    const apart = distance({ x: 9.144, y: -7 }, OFF);
    const numbers = (by: number) => found(told(beside(OFF, waits(270, by))), 'crane.together').map(({ demand, capacity }) => [demand, capacity]);
    expect(reach).toBeGreaterThan(10);
    // A tail reaches further than a boom drawn in.
    expect(numbers(1)).toEqual([[reach + plan.cranes[1]!.tailRadius, apart]]);
    const free = numbers(apart - reach - 0.01);
    expect(free).toHaveLength(1);
    expect(free[0]![0]).toBeCloseTo(apart - 0.01, 9);
    expect(found(told(beside(OFF, waits(270, apart - reach - 0.01))), 'crane.together')[0]!.verdict).toBe('clear');
    expect(say(told(beside(OFF, waits(270, apart - reach + 0.01))), 'crane.together')[0]).toContain('reach into each other’s circle');
    // Until somebody says how it waits, as far as its longest boom.
    const longest = Math.max(...plan.cranes[1]!.chart!.booms);
    expect(found(beside({ x: 9.144, y: -7 - reach - longest - 0.1 }), 'crane.together')[0]!.verdict).toBe('clear');
    expect(found(beside({ x: 9.144, y: -7 - reach - longest + 0.1 }), 'crane.together')[0]!.verdict).toBe('missing');
  });

  test('a boom nobody gave the length of is asked about, and one that cannot be so far out', () => {
    expect(say(told(beside(BEHIND, waits(270, 9, null))), 'crane.together')[0]).toMatch(
      /How long is the boom of Dunlin 50 on Stand 9 then\? It lifts nothing there\.$/,
    );
    expect(say(told(beside(BEHIND, waits(270, 25, 24))), 'crane.together')[0]).toMatch(
      /The boom of Dunlin 50 on Stand 9, 24\.00 m long, cannot wait 25\.00 m out\. How far out is it\?$/,
    );
    expect(found(told(beside(BEHIND, waits(270, 25, 24))), 'lift.otherBoom')).toEqual([]);
    // Longer than any it has, or so near that metres were typed as something else.
    const asked = (radius: number, boom: number | null) => say(told(beside(BEHIND, waits(270, radius, boom))), 'crane.together')[0];
    expect(asked(9, 300)).toMatch(/^missing .*is said to wait with 300\.00 m of boom, and the longest of its charts is 32\.00 m\. How long is it then\?$/);
    expect(asked(9, 32)).toMatch(/^clear/);
    expect(asked(0.018, 30)).toMatch(/^missing .*with its boom 0\.02 m out, and no chart has it nearer than 3\.50 m\. How far out is it\?$/);
    expect(asked(0, 30)).toMatch(/^missing/);
    expect(asked(1.75, 30)).toMatch(/^clear/);
  });

  test('nothing is asked where one comes when the other has left, where neither lifts, or of one crane at two stands', () => {
    expect(say(beside(BEHIND, null, 'mv12', 'mv14'), 'crane.together').filter((row) => row.includes('s9/s1'))).toEqual([]);
    const idle = beside(BEHIND, null, 'mv12', 'mv14');
    // It stands there beside the second stand, whose lifts are asked about.
    expect(say(idle, 'crane.together')).toHaveLength(1);
    idle.moves = idle.moves.filter(({ id }) => id !== 'n1' && id !== 'n2');
    expect(say(idle, 'crane.together')).toEqual([]);
    const same = beside(BEHIND);
    same.stands.find(({ id }) => id === 's9')!.crane = same.cranes[0]!.id;
    expect(say(same)).toEqual([]);
  });

  test('where both lift, how each waits for the other is asked', () => {
    const plan = told(beside(BEHIND, waits(270, 9)), ({ picks }) => {
      picks.find(({ id }) => id === 'k2')!.stand = 's9';
    });
    expect(say(plan, 'crane.together')[0]).toMatch(
      /^missing s1\/s9: .*Which way does the boom of Gannet 120 on Stand 1 point, and how far out, while Dunlin 50 lifts\?$/,
    );
    plan.stands[0] = { ...plan.stands[0]!, waits: waits(90, 9, null) };
    expect(say({ ...plan, stands: [...plan.stands] }, 'crane.together')[0]).toMatch(/^clear s9\/s1/);
  });

  test('a lift both have a part in is one lift; a third beside it is asked about', () => {
    const onTwo = (edit: (plan: Plan, pick: Pick) => unknown = () => undefined): Plan =>
      pair((plan) => {
        plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Dunlin 50' });
        plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 'w3', name: 'W3', crane: 'c2', at: { x: 22, y: -9 } });
        plan.picks[0]!.second = { stand: 'w3', boom: 27, slingRating: 9000, riggingMass: 95, lands: { first: 'together', rest: null, high: null } };
        // The first lift alone is made by both.
        const at = plan.moves.findIndex((move) => move.kind === 'piece.hang');
        plan.moves.splice(at, 0, { id: 'n1', kind: 'crane.set', stand: 'w3' });
        plan.moves.splice(at + 2, 0, { id: 'n2', kind: 'crane.leave', stand: 'w3' });
        edit(plan, plan.picks[0]!);
      });
    expect(say(onTwo())).toEqual([]);
    const third = onTwo((plan) => {
      plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c3', name: 'Snipe 30' });
      plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 'w4', name: 'W4', crane: 'c3', at: { x: 14, y: -24 } });
      const at = plan.moves.findIndex((move) => move.kind === 'piece.hang');
      plan.moves.splice(at, 0, { id: 'n3', kind: 'crane.set', stand: 'w4' });
    });
    expect(say(third, 'crane.together').map((row) => row.slice(0, row.indexOf(':')))).toEqual(['missing w4/w1', 'missing w4/w2', 'missing w4/w3']);
  });

  test('one that lifts there too waits as far out as it works, a lift whose way nobody knows as far as its boom', () => {
    const both = (edit: (plan: Plan) => unknown = () => undefined): Plan =>
      told(beside(OFF), (plan) => {
        Object.assign(
          plan.picks.find(({ id }) => id === 'k2')!,
          { stand: 's9', boom: 60 },
        );
        edit(plan);
      });
    const reach = (plan: Plan, id: string): number => {
      const settled = settle(plan);
      const { path, loaded } = pickContext(
        settled,
        settled.picks.find((one) => one.id === id)!,
      );
      return path instanceof Missing ? NaN : loaded(path.most) + Math.max(...path.stations.map(({ seen }) => Math.abs(seen.toMiddle) + seen.length / 2));
    };
    const plan = both();
    const own = Math.max(...['k1', 'k3', 'k4'].map((id) => reach(plan, id)));
    expect(found(plan, 'crane.together')[0]!.demand).toBeCloseTo(own + reach(plan, 'k2'), 9);
    const unknown = both((one) => (one.structure.pieces.find(({ id }) => id === one.picks.find((pick) => pick.id === 'k2')!.piece)!.lies = null));
    expect(found(unknown, 'crane.together')[0]!.demand).toBeCloseTo(own + 60, 9);
  });
});

describe('a lift past the boom of a crane that waits', () => {
  /** The least there is between what a lift sweeps and a boom, looked at every few centimetres. */
  function looked(plan: Plan, id: string, { bearingDeg, radius, boom }: NonNullable<Stand['waits']>): number {
    const settled = settle(plan);
    const picked = pickContext(
      settled,
      settled.picks.find((one) => one.id === id)!,
    );
    const { path, weight, hanging, crane, pick, stand, loaded } = picked;
    if (path instanceof Missing || weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) throw new Error('not known');
    const { underside } = travelHeight(settled, picked, path, weight, rulesOf(plan.job.ruleSet, plan.job.thresholds));
    const bar = (at: { x: number; y: number }, length: number, out: number, deg: number) => {
      const line = lineOver(crane, length, out)!;
      return [
        { ...add(at, scale(direction(deg), line.pivot.x)), z: line.pivot.z },
        { ...add(at, scale(direction(deg), out)), z: line.tipHeight },
      ] as const;
    };
    const [foot, tip] = bar(BEHIND, boom!, radius!, bearingDeg!);
    const half = Math.max(crane.boomDepth, crane.boomWidth) / 2;
    let least = Infinity;
    for (const station of closeStations(path, 0.1, 40)) {
      const low = station.phase === 'raise' || station.phase === 'lower' ? 0 : underside;
      const outline = outlineAt(station, breadthOf(weight));
      for (let t = 0; t <= 1; t += 0.004) {
        const z = foot.z + (tip.z - foot.z) * t;
        const point = { x: foot.x + (tip.x - foot.x) * t, y: foot.y + (tip.y - foot.y) * t };
        least = Math.min(least, Math.hypot(toOutline(point, outline), Math.max(0, low - z, z - underside - hanging.height)) - half);
      }
      for (const out of [station.radius, loaded(station.radius)]) {
        const [a, b] = bar(stand.at, pick.boom, out, station.bearingDeg);
        least = Math.min(least, segmentDistance(a, b, foot, tip) - 2 * half);
        least = Math.min(least, segmentDistance({ ...b, z: low }, b, foot, tip) - half);
      }
    }
    return least;
  }

  test.each([
    [270, 9, 24],
    [60, 14, 24],
    [75, 22, 30],
    [100, 22, 30],
    [45, 20, 36],
  ])('towards %d°, %d m out of %d m: as near as looked at every few centimetres, never further off', (bearingDeg, radius, boom) => {
    const plan = told(beside(BEHIND, waits(bearingDeg, radius, boom)));
    const rows = found(plan, 'lift.otherBoom');
    expect(rows.length).toBeGreaterThan(1);
    for (const { about, capacity } of rows) {
      const seen = looked(plan, about.id, waits(bearingDeg, radius, boom)!);
      expect(capacity!).toBeLessThanOrEqual(seen + 1e-9);
      expect(capacity!).toBeGreaterThan(seen - 0.3);
    }
  });

  test('in the way of boom, rope or load it is a stop, named by what meets it; out of the way it is clear', () => {
    const row = (bearingDeg: number, radius: number, boom: number) =>
      say(told(beside(BEHIND, waits(bearingDeg, radius, boom))), 'lift.otherBoom').find((one) => one.includes('k1/'));
    expect(row(270, 9, 24)).toMatch(/^clear k1\/s9: .* comes within \d+\.\d+ m of the boom of Dunlin 50 on Stand 9, which waits there; keep 0\.50 m\.$/);
    expect(row(60, 18, 30)).toMatch(
      /^stop k1\/s9: The boom of Gannet 120 runs into the boom of Dunlin 50 on Stand 9, which waits there; keep 0\.50 m from it\.$/,
    );
    expect(row(60, 25, 30)).toMatch(/^stop k1\/s9: The rope of Gannet 120 runs into the boom/);
    expect(row(80, 25, 30)).toMatch(/^stop k1\/s9: G1\.1 runs into the boom/);
    expect(row(70, 18, 30)).toMatch(/^stop k1\/s9: The boom of Gannet 120 comes within 0\.24 m of the boom/);
  });

  test('a load that is raised from under a low boom meets it, though it travels over it', () => {
    const plan = told(beside(BEHIND, waits(0, 9)));
    const { path } = pickContext(
      settle(plan),
      plan.picks.find(({ id }) => id === 'k1')!,
    );
    if (path instanceof Missing) throw new Error('its way is not known');
    const lies = sub(path.stations[0]!.hook, BEHIND);
    const away = Math.hypot(lies.x, lies.y);
    const { pivotBack } = plan.cranes[0]!;
    // Nearly level: its tip is little over its foot.
    const low = (radius: number) => waits((Math.atan2(lies.y, lies.x) * 180) / Math.PI, radius, Math.hypot(radius + pivotBack, 1));
    const row = (radius: number) => found(told(beside(BEHIND, low(radius))), 'lift.otherBoom').find(({ about }) => about.id === 'k1')!;
    expect(row(away).verdict).toBe('stop');
    expect(row(away).capacity!).toBeLessThanOrEqual(0);
    expect(row(away - 6).capacity!).toBeGreaterThan(0.5);
  });

  test('a change of how it waits is answered as in a plan seen for the first time', () => {
    const rows = (plan: Plan) => evaluate(plan, TODAY).checks.filter(({ id }) => IDS.includes(id));
    const plan = told(beside(BEHIND, waits(270, 9)));
    rows(plan);
    for (const to of [waits(72, 23, 30), waits(72, 23, 24), waits(72, 23, 40), null]) {
      const next = { ...plan, stands: plan.stands.map((one) => (one.id === 's9' ? { ...one, waits: to } : one)) };
      expect(rows(next)).toEqual(rows(structuredClone(next)));
    }
    // Its boom is as long as it lifts with there.
    const own = { ...plan, stands: plan.stands.map((one) => (one.id === 's9' ? { ...one, waits: waits(60, 18, null) } : one)) };
    for (const boom of [30, 24, 45]) {
      const next = { ...own, picks: own.picks.map((one) => (one.id === 'k2' ? { ...one, stand: 's9', boom } : one)) };
      expect(rows(next)).toEqual(rows(structuredClone(next)));
    }
  });
});

describe('a lift past the carrier of another crane', () => {
  test('its load over the cab is a stop, unless that crane has left', () => {
    // Between where the girders lie and where they are set.
    const under = { x: 20, y: 2 };
    const rows = say(told(beside(under, waits(0, 16, 18))), 'lift.overCrane');
    expect(rows[0]).toBe(
      'stop k1/s9: G1.1 is carried over Dunlin 50 on Stand 9, whose operator sits in the cab. Take it round the other way, or let Dunlin 50 leave first.',
    );
    expect(say(told(beside(under, waits(0, 16, 18), 'mv12', 'mv14')), 'lift.overCrane').filter((row) => row.includes('k1/'))).toEqual([]);
    expect(say(told(beside(BEHIND, waits(270, 9))), 'lift.overCrane')).toEqual([]);
  });

  test('its boom passes over the carrier by what is left between them', () => {
    const rows = found(told(beside({ x: 20, y: 2 }, waits(0, 16, 18))), 'lift.boomGap').filter(({ about }) => about.part === 's9');
    expect(rows.length).toBeGreaterThan(0);
    expect(rows.every(({ verdict }) => verdict === 'clear')).toBe(true);
  });

  test('of a crane a load meets its carrier, of a tower crane its mast up to its jib', () => {
    const plan = beside({ x: 20, y: 2 });
    const stood = cranesStanding(plan).find(({ stand }) => stand.id === 's9')!;
    expect(bodyOf(stood)).toMatchObject({ id: 's9', from: 0, to: 3, outline: stood.base });
    const { outline, to } = bodyOf({ ...stood, crane: { ...stood.crane, tower: {} as never, pivotHeight: 31 } });
    expect(to).toBe(31);
    expect(outline).toEqual(rectangle({ x: 20, y: 2 }, 2.5, 2.5, stood.stand.azimuthDeg));
    const slight = bodyOf({ ...stood, crane: { ...stood.crane, tower: {} as never, baseLength: 2, baseWidth: 1 } });
    expect(slight.outline).toEqual(rectangle({ x: 20, y: 2 }, 2, 1, stood.stand.azimuthDeg));
  });

  test('into the mast of a tower crane; how its jib points is asked alone, and it reaches as far as its longest jib', () => {
    const made = (at: { x: number; y: number }, to: Stand['waits']): Plan =>
      told(beside(at, to), (plan) => {
        Object.assign(
          plan.cranes.find(({ id }) => id === 'c9')!,
          {
            tower: {
              standsOn: 'Base block B1',
              corner: 600e3,
              carries: 900e3,
              uplift: 120e3,
              holds: 300e3,
              by: 'P. Novak',
              on: '2026-10-01',
              slewsFree: true,
              tied: '',
              down: 'a mobile crane',
            },
            pivotHeight: 30,
            pivotBack: 0,
            tailRadius: 12,
          },
        );
        plan.picks.push({ ...structuredClone(plan.picks[1]!), id: 'k90', stand: 's9', boom: 45 });
      });
    expect(say(made({ x: 20, y: 2 }, waits(0, null)), 'lift.overCrane')[0]).toBe(
      'stop k1/s9: G1.1 is carried into the mast of Dunlin 50 on Stand 9. Take it round the other way.',
    );
    expect(say(made({ x: 9, y: -60 }, null), 'crane.together')[0]).toMatch(/Which way does the jib of Dunlin 50 on Stand 9 point while Gannet 120 lifts\?$/);
    expect(say(made({ x: 9, y: -60 }, waits(270, null, null)), 'crane.together')[0]).toMatch(/^clear s9\/s1/);
    // Its jib is as long as it is, wherever its trolley stays, and as it lifts itself.
    expect(say(made({ x: 9, y: -60 }, waits(270, 3, null)), 'crane.together')[0]).toMatch(/^clear s9\/s1/);
    const lifting = made({ x: 9, y: -60 }, waits(270, null, null));
    for (const pick of lifting.picks) if (pick.stand === 's1') Object.assign(pick, { stand: 's9', boom: 120 });
    lifting.stands[0] = { ...lifting.stands[0]!, waits: waits(90, 9, 24) };
    lifting.stands = [...lifting.stands];
    expect(words(found(lifting, 'crane.together')[0]!, 'metric')).toContain(`${(120 + 9).toFixed(2)}`);
    // One that lifts nothing there has as long a jib as is said, or is asked.
    const idle = made({ x: 9, y: -60 }, waits(270, null, null));
    idle.picks.pop();
    expect(say(idle, 'crane.together')[0]).toMatch(/How long is the jib of Dunlin 50 on Stand 9 then\? It lifts nothing there\.$/);
    const short = made({ x: 9, y: -60 }, waits(270, null, 15));
    short.picks.pop();
    expect(say(short, 'crane.together')[0]).toMatch(/neither comes to where the other is\.$/);
  });
});
