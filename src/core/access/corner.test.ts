import fc from 'fast-check';
import { runCalc } from '../catalogue/run';

/**
 * Brute force: slide the outer long side of the piece with its ends on the outer walls through every angle and look whether
 * the inner corner stays outside the piece.
 */
function passesTurning(a: number, b: number, width: number, length: number): boolean {
  for (let i = 1; i < 4000; i += 1) {
    const t = (i / 4000) * (Math.PI / 2);
    // Outer corner at the origin; ends of the long side at (L cos t, 0) and (0, L sin t); inner corner at (b, a).
    const distance = b * Math.sin(t) + a * Math.cos(t) - length * Math.sin(t) * Math.cos(t);
    if (distance < width) return false;
  }
  return true;
}

test('the corner formula agrees with turning the piece step by step', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 0.8, noNaN: true }),
      (a, b, share) => {
        const width = share * Math.min(a, b);
        const outcome = runCalc('access.corner', { corridorA: a, corridorB: b, width });
        if (!outcome.ok) throw new Error(outcome.error);
        const longest = outcome.output.longest as number;
        const sideways = longest === Math.max(a, b);
        expect(passesTurning(a, b, width, longest * 0.999) || sideways).toBe(true);
        expect(passesTurning(a, b, width, longest * 1.005)).toBe(false);
      },
    ),
    { numRuns: 60 },
  );
});
/**
 * Motion planning with no formula: the piece's place and turn are a grid of x, y and angle; a flood fill walks from the first
 * corridor to the second through every pose in which the whole rectangle lies inside the L.
 */
function walksRound(a: number, b: number, width: number, length: number): boolean {
  const STEP = 0.03;
  const TURNS = 60;
  // Outer corner at the origin. Corridor one: 0 ≤ y ≤ a, running to +x; corridor two: 0 ≤ x ≤ b, running to +y.
  const reach = length + Math.max(a, b);
  const cells = Math.ceil(reach / STEP);
  // The L is the quadrant without the open box x > b and y > a. A rectangle lies inside when its corners are in the quadrant and
  // it does not meet that box: no corner of one in the other, and no point of its middle line in the box (cut straight across).
  const samples = Math.ceil((2 * length) / width);
  const inside = (x: number, y: number, turn: number): boolean => {
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    for (const [u, v] of [
      [-length / 2, -width / 2],
      [length / 2, -width / 2],
      [length / 2, width / 2],
      [-length / 2, width / 2],
    ] as const) {
      const [px, py] = [x + u * c - v * s, y + u * s + v * c];
      if (px < -1e-9 || py < -1e-9) return false;
      if (px > b + 1e-9 && py > a + 1e-9) return false;
    }
    for (let n = 1; n < samples; n += 1) {
      const u = length * (n / samples - 0.5);
      if (x + u * c > b && y + u * s > a) return false;
    }
    const [dx, dy] = [b - x, a - y];
    const [u, v] = [dx * c + dy * s, -dx * s + dy * c];
    return !(Math.abs(u) < length / 2 - 1e-9 && Math.abs(v) < width / 2 - 1e-9);
  };
  // Turned from along corridor one (180°) down to along corridor two (90°): the piece swings its far end round the corner.
  const turnOf = (k: number) => Math.PI - (k / TURNS) * (Math.PI / 2);
  const seen = new Uint8Array(cells * cells * (TURNS + 1));
  const at = (i: number, j: number, k: number) => (k * cells + j) * cells + i;
  const stack: [number, number, number][] = [];
  const visit = (i: number, j: number, k: number) => {
    if (i < 0 || j < 0 || k < 0 || i >= cells || j >= cells || k > TURNS || seen[at(i, j, k)]) return;
    seen[at(i, j, k)] = 1;
    if (inside(i * STEP, j * STEP, turnOf(k))) stack.push([i, j, k]);
  };
  for (let j = 0; j < cells; j += 1) visit(Math.floor((reach - length / 2 - STEP) / STEP), j, 0);
  while (stack.length > 0) {
    const [i, j, k] = stack.pop()!;
    if (k === TURNS && j * STEP > a + length / 2 - STEP) return true;
    // Sideways steps, turns, and turns with a step: an end that slides along a wall moves as it turns.
    for (const dk of [-1, 0, 1]) for (const di of [-1, 0, 1]) for (const dj of [-1, 0, 1]) visit(i + di, j + dj, k + dk);
  }
  return false;
}
test.each([
  [1.35, 1.25, 0.26],
  [0.9, 1.5, 0.3],
  [1.8, 1.0, 0.15],
])('corridors %d and %d m, a piece %d m wide: a search through every pose agrees with the formula', (a, b, width) => {
  const outcome = runCalc('access.corner', { corridorA: a, corridorB: b, width });
  if (!outcome.ok) throw new Error(outcome.error);
  const longest = outcome.output.longest as number;
  // The grid is coarse: it may miss the last few centimetres, and it may never find more than there is.
  expect(walksRound(a, b, width, longest * 0.93)).toBe(true);
  expect(walksRound(a, b, width, longest * 1.03)).toBe(false);
});

test('too wide for a corridor is refused', () =>
  expect(runCalc('access.corner', { corridorA: 1, corridorB: 2, width: 1 })).toMatchObject({ ok: false, path: 'width' }));
