import { placeOf } from '../../document/place';
import type { Beam } from '../../document/schema';
import { inOnePlane, solveBent, type BentPiece } from './bent';

const [EI, LOAD] = [8e6, 1200];

/** Straight pieces from place to place, their load on each metre seen from above. */
function bent(
  corners: readonly (readonly [number, number])[],
  { seats, pins = [], columns, load = LOAD }: { seats: readonly number[]; pins?: readonly number[]; columns: readonly number[]; load?: number },
) {
  let along = 0;
  const pieces = corners.slice(1).map((end, n): BentPiece => {
    const start = corners[n]!;
    const place = placeOf({
      id: `p${n}`,
      mark: 'P',
      make: 'm',
      weighed: null,
      from: { x: start[0], y: 0, z: start[1] },
      to: { x: end[0], y: 0, z: end[1] },
    } as Beam)!;
    const from = along;
    along += place.length;
    return { place, from, to: along, flipped: false };
  });
  const line = pieces.map(({ place, from, to }, n) => ({
    id: `p${n}`,
    from,
    to,
    stretches: [{ to, stiffness: EI, load: (load * (place.to.x - place.from.x)) / place.length }],
    loads: [],
  }));
  const corner = (n: number) => (n === 0 ? 0 : pieces[n - 1]!.to);
  // Two pieces that meet over a seat stand on it a hair to either side.
  const on = seats.map((n) => ({ id: `s${n}`, x: n === 0 || n === pieces.length ? corner(n) : corner(n) - 1e-3, level: 0, spring: null, tie: false }));
  const joints = pieces.slice(1).map(({ from }, n) => ({ x: from, angle: pins.includes(n + 1) ? null : 0 }));
  return solveBent(pieces, line, on, joints, new Set(columns.map((n) => `s${n}`)));
}
const state = (done: ReturnType<typeof bent>) => {
  if ('asked' in done || !done.answer.stable || !done.bent) throw new Error(JSON.stringify(done));
  return { answer: done.answer, bent: done.bent };
};
const stands = (done: ReturnType<typeof bent>) => !('asked' in done) && done.answer.stable;

const GABLE = [
  [0, 4],
  [6, 6],
  [12, 4],
] as const;
const MANSARD = [
  [0, 4],
  [3, 7],
  [9, 7],
  [12, 4],
] as const;

describe('what holds a bent line up', () => {
  test('one seat, or none, does not', () => {
    expect(stands(bent(GABLE, { seats: [0], columns: [0] }))).toBe(false);
    expect(stands(bent(GABLE, { seats: [], columns: [] }))).toBe(false);
  });

  test('two pins fall on two seats, and are asked about where a third stands under them', () => {
    expect(bent(MANSARD, { seats: [0, 3], pins: [1, 2], columns: [0, 3] })).toEqual({ answer: { stable: false }, bent: null });
    expect(bent(MANSARD, { seats: [0, 1, 3], pins: [1, 2], columns: [0, 3] })).toEqual({ asked: 'seats' });
    expect(stands(bent(MANSARD, { seats: [0, 3], pins: [1], columns: [0, 3] }))).toBe(true);
  });

  test('a pin stands by what two columns hold, not by one column and a seat that lets it go', () => {
    expect(stands(bent(GABLE, { seats: [0, 2], pins: [1], columns: [0, 2] }))).toBe(true);
    expect(stands(bent(GABLE, { seats: [0, 2], pins: [1], columns: [0] }))).toBe(false);
    const let_go = bent(GABLE, { seats: [0, 2], columns: [0] });
    if ('asked' in let_go || !let_go.answer.stable) throw new Error('falls');
    expect(let_go.bent).toBeNull();
    expect(let_go.answer.hogging).toBeLessThan(1e-6);
  });

  test('a pin hardly over the line between its seats holds nothing up', () => {
    const low = (rise: number) =>
      [
        [0, 4],
        [6, 4 + rise],
        [12, 4],
      ] as const;
    expect(stands(bent(low(0.05), { seats: [0, 2], pins: [1], columns: [0, 2] }))).toBe(false);
    expect(stands(bent(low(0.5), { seats: [0, 2], pins: [1], columns: [0, 2] }))).toBe(true);
    expect(bent(low(0.05), { seats: [0, 1, 2], pins: [1], columns: [0, 2] })).toEqual({ asked: 'level' });
  });

  test('a column between two others is asked about, a prop there is not', () => {
    expect(bent(GABLE, { seats: [0, 1, 2], columns: [0, 1, 2] })).toEqual({ asked: 'seats' });
    expect(stands(bent(GABLE, { seats: [0, 1, 2], columns: [0, 2] }))).toBe(true);
  });

  test('seats of two heights are asked about where they press, not where one lets it go', () => {
    const uneven = [
      [0, 4],
      [6, 6],
      [12, 4.7],
    ] as const;
    expect(bent(uneven, { seats: [0, 2], columns: [0, 2] })).toEqual({ asked: 'level' });
    expect(stands(bent(uneven, { seats: [0, 2], columns: [0] }))).toBe(true);
    expect(
      stands(
        bent(
          [
            [0, 4],
            [6, 6],
            [12, 4.5],
          ],
          { seats: [0, 2], columns: [0, 2] },
        ),
      ),
    ).toBe(true);
  });
});

describe('a prop between', () => {
  test('under the ridge of stiff rafters: the thrust is told as without it, each half bends as it may on three seats', () => {
    const [propped, alone] = [state(bent(GABLE, { seats: [0, 1, 2], columns: [0, 2] })), state(bent(GABLE, { seats: [0, 2], columns: [0, 2] }))];
    expect(propped.bent.thrust).toEqual(alone.bent.thrust);
    expect(propped.bent.thrust.least).toBe(0);
    // Two spans of 6 m: wL²/8 over the prop; lifted off it by the thrust they are as they stand alone and held.
    expect(propped.answer.hogging / ((LOAD * 36) / 8)).toBeCloseTo(1, 2);
    expect(propped.answer.sagging / ((9 * LOAD * 36) / 128)).toBeCloseTo(1, 2);
    expect(propped.answer.sagging).toBeLessThan(alone.answer.sagging / 2);
  });

  test('off the ridge it carries less as the thrust grows: what the pieces bend in between is the worst of what was looked at', () => {
    const { answer } = state(bent(MANSARD, { seats: [0, 1, 3], columns: [0, 3] }));
    const [free, held] = [bent(MANSARD, { seats: [0, 1, 3], columns: [0] }), state(bent(MANSARD, { seats: [0, 3], columns: [0, 3] }))];
    if ('asked' in free || !free.answer.stable) throw new Error('falls');
    expect(answer.sagging).toBeGreaterThanOrEqual(free.answer.sagging - 1e-6);
    expect(answer.hogging).toBeGreaterThanOrEqual(free.answer.hogging - 1e-6);
    // On two columns alone they hog most at a bend while those do not move; the prop gives way to that.
    expect(answer.hogging).toBeGreaterThanOrEqual(0.9 * held.answer.hogging);
  });

  test('part of the way up one rafter, it leaves the ridge to hog as the thrust grows', () => {
    const roof = [
      [0, 4],
      [3, 5],
      [6, 6],
      [12, 4],
    ] as const;
    const { answer } = state(bent(roof, { seats: [0, 1, 3], columns: [0, 3] }));
    const free = bent(roof, { seats: [0, 1, 3], columns: [0] });
    if ('asked' in free || !free.answer.stable) throw new Error('falls');
    const over = (of: typeof answer) => of.pieces.get('p2')!.hogging;
    expect(over(free.answer)).toBeLessThan(0.6 * over(answer));
  });

  test('a pin over a prop is a pin: the thrust may be anything up to what it is without the prop', () => {
    const { answer, bent: of } = state(bent(GABLE, { seats: [0, 1, 2], pins: [1], columns: [0, 2] }));
    expect(of.thrust.least).toBe(0);
    expect(of.thrust.most / ((LOAD * 144) / 8 / 2)).toBeCloseTo(1, 3);
    expect(answer.sagging / ((LOAD * 36) / 8)).toBeCloseTo(1, 2);
  });
});

test('a line that is bent down between its columns pulls them together', () => {
  const { bent: of, answer } = state(
    bent(
      [
        [0, 6],
        [6, 4],
        [12, 6],
      ],
      { seats: [0, 2], columns: [0, 2] },
    ),
  );
  expect(of.thrust.most).toBe(0);
  expect(of.thrust.least).toBeCloseTo((-5 * LOAD * 144) / (32 * 2), 0);
  expect(answer.pieces.get('p0')!.right.shear).toBeCloseTo(-of.thrust.least, 1);
});

test('loads that differ by how steep they lie are two answers, though seen from above they are one', () => {
  const one = state(
    bent(
      [
        [0, 4],
        [6, 6],
        [12, 4],
      ],
      { seats: [0, 2], columns: [0, 2], load: 1000 },
    ),
  );
  const other = state(
    bent(
      [
        [0, 4],
        [6, 5],
        [12, 4],
      ],
      { seats: [0, 2], columns: [0, 2], load: 1000 },
    ),
  );
  expect(other.bent.thrust.most / one.bent.thrust.most).toBeCloseTo(2, 4);
  expect(other.answer.pieces.get('p0')!.shear).toBeGreaterThan(one.answer.pieces.get('p0')!.shear);
});

test('one plane is one way on, seen from above', () => {
  const piece = (deg: number, flipped = false): BentPiece => ({
    place: placeOf({
      id: 'p',
      mark: 'P',
      make: 'm',
      weighed: null,
      from: { x: 0, y: 0, z: 0 },
      to: { x: Math.cos((deg * Math.PI) / 180), y: Math.sin((deg * Math.PI) / 180), z: 0.2 },
    } as Beam)!,
    from: 0,
    to: 1,
    flipped,
  });
  expect(inOnePlane([piece(0), piece(1.5)])).toBe(true);
  expect(inOnePlane([piece(0), piece(2.5)])).toBe(false);
  expect(inOnePlane([piece(0), piece(180)])).toBe(false);
  expect(inOnePlane([piece(0), piece(180, true)])).toBe(true);
});
