import { evaluated } from '../../../../tests/evaluated';
import fc from 'fast-check';
import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import { describe as say } from '../../verdict/describe';
import { laidInOne, laidOut } from '../../settle/laid';
import type { Beam, Plan } from '../../document/schema';

const of = (plan: Plan, id: string) =>
  evaluated(plan, '2026-11-30')
    .checks.filter((one) => one.id === id && one.verdict !== 'clear')
    .map((check) => `${check.verdict} ${check.about.id}/${check.about.part}: ${say(check, 'metric').replace(/\u00a0/g, ' ')}`);
const beam = (plan: Plan, id: string): Beam => plan.structure.pieces.find((one) => one.id === id)!;
const lay = (plan: Plan, id: string, lies: Partial<NonNullable<Beam['lies']>>): void => void Object.assign(beam(plan, id).lies!, lies);
const ramp = (edit: (plan: Plan) => unknown): Plan => {
  const plan = vehicleRamp();
  edit(plan);
  return plan;
};

test('the demos lift each piece off its truck', () => {
  for (const plan of [vehicleRamp(), passengerCanopy(), quayFootbridge()]) expect(of(plan, 'pick.laid')).toEqual([]);
});

test('two laid in one place, or one laid where a truck comes first, is a stop at the later lift', () => {
  const both = ramp((p) => (lay(p, 'g2-1', { comes: 'before' }), lay(p, 'g3-1', { comes: 'before' })));
  expect(of(both, 'pick.laid')).toEqual([
    expect.stringMatching(/^stop g2-1\/g1-1: G2\.1 lies where G1\.1 lies until it is lifted/),
    expect.stringMatching(/^stop g3-1\//),
  ]);
  // The first to be lifted may have lain there: every truck comes after it.
  expect(
    of(
      ramp((p) => lay(p, 'g1-1', { comes: 'before' })),
      'pick.laid',
    ),
  ).toEqual([]);
  expect(
    of(
      ramp((p) => lay(p, 'g2-1', { comes: 'before' })),
      'pick.laid',
    ),
  ).toHaveLength(1);
});

test('nobody has said how they come: one question for all that share a place, answered by either', () => {
  const open = ramp((p) => p.structure.pieces.slice(0, 16).forEach(({ lies }) => lies!.y === -17 && delete lies!.comes));
  const asked = of(open, 'pick.laid');
  expect(asked[0]).toMatch(/^missing g2-1\/comes: G2\.1 and 2 more are to lie where G1\.1 lies\. Does each come on its truck/);
  // The last two groups lie end to end, and reach into each other.
  expect(asked).toHaveLength(3);
  expect(asked[2]).toMatch(/^missing g2-3\/comes: G2\.3 and 6 more/);
});

test('laid apart, one over the other, or far off, they are in nobody’s way', () => {
  for (const lies of [{ y: -19.2 }, { level: 4 }, { x: 60 }])
    expect(
      of(
        ramp((p) => (lay(p, 'g1-1', { comes: 'before' }), lay(p, 'g2-1', { comes: 'before', ...lies }))),
        'pick.laid',
      ),
    ).toEqual([]);
  // Across it they meet.
  expect(
    of(
      ramp((p) => (lay(p, 'g1-1', { comes: 'before' }), lay(p, 'g2-1', { comes: 'before', y: -22, azimuthDeg: 90 }))),
      'pick.laid',
    ),
  ).toHaveLength(1);
});

test('a piece on its side is as wide as it is deep', () => {
  const beside = (onSide: boolean) =>
    of(
      ramp((p) => (lay(p, 'g2-1', { comes: 'before', onSide }), lay(p, 'g3-1', { comes: 'before', onSide, y: -18 }))),
      'pick.laid',
    );
  // 457 mm of flange and 1,448 mm of depth, 1 m from middle to middle.
  expect(beside(true).some((row) => row.startsWith('stop g3-1/'))).toBe(true);
  expect(beside(false).some((row) => row.startsWith('stop g3-1/'))).toBe(false);
});

test('of two that may be in its place the one that is there for certain is told', () => {
  const plan = ramp((p) => (lay(p, 'g1-1', { comes: null }), lay(p, 'g2-1', { comes: 'before', y: -17.1 }), lay(p, 'g3-1', { comes: 'before', y: -17.3 })));
  const pair = laidInOne(plan, rulesOf('us-asd', {})).find(({ one }) => one.body.id === 'g3-1');
  expect(pair).toMatchObject({ clash: 'always' });
  // What is lifted as one is laid together, and rigging looks at how.
  const joined = ramp(
    (p) => (
      lay(p, 'g1-1', { comes: 'before' }),
      lay(p, 'g1-2', { ...beam(p, 'g1-1').lies, comes: 'before' }),
      (p.picks.find(({ piece }) => piece === 'g1-1')!.joined = ['g1-2'])
    ),
  );
  expect(laidInOne(joined, rulesOf('us-asd', {})).some(({ one, other }) => one.body.id === 'g1-2' && other.body.id === 'g1-1')).toBe(false);
});

test('where a crane stands nothing lies while it stands there', () => {
  const on = { x: 9.144, y: -7, comes: 'before' as const };
  expect(
    of(
      ramp((p) => lay(p, 'g4-4', on)),
      'pick.laid',
    ),
  ).toEqual([expect.stringMatching(/^stop g4-4\/s1: G4\.4 is said to lie where Gannet 120 stands on Stand 1/)]);
  expect(
    of(
      ramp((p) => lay(p, 'g4-4', { ...on, comes: 'onTruck' })),
      'pick.laid',
    ),
  ).toEqual([]);
  expect(
    of(
      ramp((p) => lay(p, 'g4-4', { ...on, comes: null })),
      'pick.laid',
    ),
  ).toEqual([expect.stringMatching(/^missing g4-4\/comes s1: .*after the crane has left/)]);
  expect(
    of(
      ramp((p) => lay(p, 'g4-4', { ...on, level: 3.2 })),
      'pick.laid',
    ),
  ).toEqual([]);
});

test('a tail swings past what lies there until it is lifted, not past what comes on its truck', () => {
  const near = { x: 9.144, y: -12, level: 0.6, azimuthDeg: 0 };
  const tail = (comes: 'onTruck' | 'before' | null) =>
    of(
      ramp((p) => lay(p, 'g4-1', { ...near, comes })),
      'stand.tail',
    );
  expect(tail('before').some((row) => /^stop s1\/k[1-3]: .*G4\.1, where it lies,/.test(row))).toBe(true);
  expect(tail(null).length).toBe(tail('before').length);
  expect(tail('onTruck')).toEqual([]);
  // The piece itself is on the hook when the tail comes round.
  expect(tail('before').some((row) => /^stop s1\/k4/.test(row))).toBe(false);
});

test('by bunches says the same as every pair by itself', () => {
  const rules = rulesOf('us-asd', {});
  const spots = [-17, -17.2, -19.5, -24];
  fc.assert(
    fc.property(
      fc.array(fc.record({ y: fc.integer({ min: 0, max: 3 }), comes: fc.constantFrom('onTruck', 'before', null), x: fc.constantFrom(9, 18, 40) }), {
        minLength: 16,
        maxLength: 16,
      }),
      (said) => {
        const plan = vehicleRamp();
        plan.structure.pieces = plan.structure.pieces.map((one, i) => ({
          ...one,
          lies: { ...one.lies!, x: said[i]!.x, y: spots[said[i]!.y]!, comes: said[i]!.comes },
        }));
        const laid = laidOut(plan, rules);
        const ways = (one: (typeof laid)[number]) => (one.comes === null ? (['onTruck', 'before'] as const) : [one.comes]);
        const span = (hung: number, comes: string) => [comes === 'before' ? -1 : hung, hung] as const;
        const worst = new Map<string, string>();
        for (const a of laid)
          for (const b of laid) {
            if (a.hung! <= b.hung! || a === b) continue;
            const [ax, bx] = [
              said[plan.structure.pieces.findIndex(({ id }) => id === a.body.id)]!,
              said[plan.structure.pieces.findIndex(({ id }) => id === b.body.id)]!,
            ];
            const wide = [a, b].map(({ body }) => Math.max(...body.outline.map(({ y }) => y)) - Math.min(...body.outline.map(({ y }) => y)));
            const long = [a, b].map(({ body }) => Math.max(...body.outline.map(({ x }) => x)) - Math.min(...body.outline.map(({ x }) => x)));
            if (Math.abs(ax.x - bx.x) >= (long[0]! + long[1]!) / 2 || Math.abs(spots[ax.y]! - spots[bx.y]!) >= (wide[0]! + wide[1]!) / 2) continue;
            const met = ways(a).flatMap((one) =>
              ways(b).map((other) => Math.max(span(a.hung!, one)[0], span(b.hung!, other)[0]) <= Math.min(a.hung!, b.hung!)),
            );
            const clash = met.every(Boolean) ? 'always' : met.some(Boolean) ? 'maybe' : null;
            if (clash && worst.get(a.body.id) !== 'always') worst.set(a.body.id, clash);
          }
        expect(Object.fromEntries(laidInOne(plan, rules).map(({ one, clash }) => [one.body.id, clash]))).toEqual(Object.fromEntries(worst));
      },
    ),
    { numRuns: 60 },
  );
});
