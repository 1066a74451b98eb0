import fc from 'fast-check';
import { demoPlan, stiff } from '../../../tests/demo-plan';
import type { Plan } from '../document/schema';
import { surveyPlan } from './survey';
import { newPlan } from '../document/new-plan';
import type { Shape } from './draw-list';
import { coveredArea, placeLabels, type Box } from './labels';
import { fit, panned, snap, toScreen, toSite, zoomAbout, type View } from './view';

const view: View = { scale: 20, centre: { x: 3, y: -2 }, width: 800, height: 300 };
const point = fc.record({ x: fc.double({ min: -50, max: 50, noNaN: true }), y: fc.double({ min: -50, max: 50, noNaN: true }) });

describe('view', () => {
  test('screen and site are each other’s inverse, up is up', () => {
    fc.assert(
      fc.property(point, (p) => {
        const back = toSite(view, toScreen(view, p));
        expect(back.x).toBeCloseTo(p.x, 9);
        expect(back.y).toBeCloseTo(p.y, 9);
      }),
    );
    expect(toScreen(view, { x: 0, y: 1 }).y).toBeLessThan(toScreen(view, { x: 0, y: 0 }).y);
  });
  test('zooming keeps the point under the pointer', () => {
    fc.assert(
      fc.property(point, fc.double({ min: 0.5, max: 2, noNaN: true }), (p, factor) => {
        const at = toScreen(view, p);
        const moved = toScreen(zoomAbout(view, at, factor), p);
        expect(moved.x).toBeCloseTo(at.x, 6);
        expect(moved.y).toBeCloseTo(at.y, 6);
      }),
    );
  });
  test('a pan moves what is seen with the pointer', () => {
    const before = toScreen(view, { x: 1, y: 1 });
    const after = toScreen(panned(view, 30, -12), { x: 1, y: 1 });
    expect([after.x - before.x, after.y - before.y]).toEqual([expect.closeTo(30, 9), expect.closeTo(-12, 9)]);
  });
  test('a fitted extent lies inside the frame', () => {
    const extent = { min: { x: -7, y: 1 }, max: { x: 22, y: 9 } };
    const fitted = fit(extent, 640, 300);
    for (const corner of [extent.min, extent.max]) {
      const at = toScreen(fitted, corner);
      expect(at.x).toBeGreaterThanOrEqual(15.9);
      expect(at.x).toBeLessThanOrEqual(624.1);
      expect(at.y).toBeGreaterThanOrEqual(33.9);
      expect(at.y).toBeLessThanOrEqual(284.1);
    }
  });
  test('snapping leaves no dust', () => expect(snap(1.2300000001, 0.05)).toBe(1.25));
});

describe('scenes', () => {
  test('every moment of the demo draws, both ways round, with finite coordinates', () => {
    const plan = demoPlan();
    for (let cursor = -1; cursor < plan.moves.length; cursor += 1)
      for (const look of ['beam', 'boom'] as const) {
        const { above, side } = surveyPlan(plan, null, cursor, look);
        expect(JSON.stringify([above, side])).not.toContain('null');
        expect(above.shapes.length).toBeGreaterThan(12);
        expect(side.shapes.length).toBeGreaterThan(15);
      }
  });
  test('the piece is drawn as deep as it is, where the plan sets it', () => {
    const { side } = surveyPlan(demoPlan(), null, 8, 'beam');
    const piece = side.shapes.find((shape) => shape.shape === 'polygon' && shape.of?.kind === 'piece');
    const ys = piece?.shape === 'polygon' ? piece.points.map((p) => p.y) : [];
    expect(Math.min(...ys)).toBeCloseTo(3.6, 9);
    expect(Math.max(...ys)).toBeCloseTo(3.6 + 0.5331, 3);
  });
  test('the worst place of a way is marked where the hook was set, with the radius the load carries it to', () => {
    const words = (plan: Plan) =>
      surveyPlan(plan, null, 6, 'beam').above.shapes.flatMap((shape) => (shape.shape === 'label' && shape.text.startsWith('worst') ? [shape.text] : []));
    expect(words(demoPlan())).toEqual([expect.stringMatching(/^worst 10\.23.m, loaded 10\.52.m$/)]);
    expect(words(stiff(demoPlan()))).toEqual([expect.stringMatching(/^worst 10\.23.m$/)]);
  });
  test('a new plan with nothing known still draws', () => {
    const plan = newPlan({ name: 'N', place: '', units: 'metric', ruleSet: 'eu-ls' });
    plan.pieces[0]!.section = 'nothing';
    plan.pieces[0]!.seat.leftBearing = null;
    expect(() => surveyPlan(plan, null, 6, 'boom')).not.toThrow();
  });
  test('labels of the demo stay apart', () => {
    const { above } = surveyPlan(demoPlan(), null, 6, 'beam');
    const fitted = fit(above.extent, 785, 310);
    const placed = placeLabels(above.shapes, fitted, { height: 14, largeHeight: 17, gap: 8, widthOf: (text) => text.length * 6.2 });
    const overlaps = placed.flatMap((a, i) =>
      placed
        .slice(i + 1)
        .filter((b) => a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height)
        .map((b) => `${a.label.text} / ${b.label.text}`),
    );
    expect(overlaps).toEqual([]);
  });
});

describe('what a label covers', () => {
  const solid = (points: { x: number; y: number }[]) => {
    const xs = points.map((p) => p.x);
    const ys = points.map((p) => p.y);
    return { points, round: { x: Math.min(...xs), y: Math.min(...ys), width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys) } };
  };
  test('of a triangle half the box under its slope, and of its empty corner nothing', () => {
    const triangle = solid([
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 0, y: 100 },
    ]);
    expect(coveredArea({ x: 0, y: 0, width: 10, height: 10 }, triangle)).toBeCloseTo(100, 9);
    expect(coveredArea({ x: 45, y: 45, width: 10, height: 10 }, triangle)).toBeCloseTo(50, 9);
    expect(coveredArea({ x: 80, y: 80, width: 10, height: 10 }, triangle)).toBe(0);
    expect(coveredArea({ x: -20, y: -20, width: 200, height: 200 }, triangle)).toBeCloseTo(5000, 9);
  });
  test('a label beside an inclined bar stands in the empty corner, not on the bar', () => {
    const view = fit({ min: { x: 0, y: 0 }, max: { x: 100, y: 100 } }, 400, 400);
    const bar = {
      shape: 'polygon' as const,
      points: [
        { x: 0, y: 0 },
        { x: 6, y: 0 },
        { x: 100, y: 94 },
        { x: 100, y: 100 },
        { x: 94, y: 100 },
        { x: 0, y: 6 },
      ],
      style: { fill: 'steel' as const },
      solid: true,
    };
    const [placed] = placeLabels([bar, { shape: 'label', at: { x: 50, y: 50 }, text: 'boom', ink: 'ink', sides: ['right', 'left', 'above', 'below'] }], view, {
      height: 14,
      largeHeight: 17,
      gap: 14,
      widthOf: () => 40,
    });
    const screen = bar.points.map((p) => toScreen(view, p));
    expect(coveredArea(placed!, solid(screen))).toBeLessThan(0.15 * 40 * 14);
  });
});

describe('words on a crowded drawing', () => {
  const frame: View = { scale: 1, centre: { x: 400, y: 150 }, width: 800, height: 300 };
  const metrics = { height: 14, largeHeight: 17, gap: 8, widthOf: (text: string) => text.length * 6.2 };
  const spot = fc.record({ x: fc.integer({ min: -300, max: 1100 }), y: fc.integer({ min: -250, max: 550 }) });
  const overlap = (a: Box, b: Box) =>
    Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) * Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));
  const piece = (from: { x: number; y: number }, to: { x: number; y: number }): Shape => ({
    shape: 'line',
    points: [from, to],
    style: { stroke: 'steel' },
    solid: true,
  });
  const mark = (at: { x: number; y: number }, text: string): Shape => ({
    shape: 'label',
    at,
    text,
    ink: 'ink',
    near: true,
    sides: ['above', 'below', 'right', 'left'],
  });

  test('none of many is written across steel, a dot or another, wherever they lie, and none out of sight', () => {
    let written = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(spot, spot), { maxLength: 40 }),
        fc.array(spot, { maxLength: 20 }),
        fc.array(spot, { minLength: 1, maxLength: 60 }),
        (lines, dots, names) => {
          const shapes: Shape[] = [
            ...lines.map(([from, to]) => piece(from, to)),
            ...dots.map((centre): Shape => ({ shape: 'dot', centre, size: 4, style: { fill: 'ink' } })),
            ...names.map((at, n) => mark(at, `B${n}`)),
          ];
          const placed = placeLabels(shapes, frame, metrics);
          written += placed.length;
          placed.forEach((one, i) => {
            const area = one.width * one.height;
            expect(overlap(one, { x: 0, y: 0, width: 800, height: 300 })).toBeGreaterThan(0);
            for (const other of placed.slice(0, i)) expect(overlap(one, other)).toBeLessThanOrEqual(0.12 * area + 1e-9);
            for (const { x, y } of dots.map((at) => toScreen(frame, at))) {
              expect(overlap(one, { x: x - 6, y: y - 6, width: 12, height: 12 })).toBeLessThanOrEqual(0.12 * area + 1e-9);
            }
            for (const [a, b] of lines.map(([from, to]) => [toScreen(frame, from), toScreen(frame, to)] as const)) {
              const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
              const off = { x: ((b.y - a.y) / length) * 2.5, y: (-(b.x - a.x) / length) * 2.5 };
              const points = [
                { x: a.x + off.x, y: a.y + off.y },
                { x: b.x + off.x, y: b.y + off.y },
                { x: b.x - off.x, y: b.y - off.y },
                { x: a.x - off.x, y: a.y - off.y },
              ];
              const round = { x: Math.min(...points.map((p) => p.x)), y: Math.min(...points.map((p) => p.y)), width: 0, height: 0 };
              round.width = Math.max(...points.map((p) => p.x)) - round.x;
              round.height = Math.max(...points.map((p) => p.y)) - round.y;
              expect(coveredArea(one, { points, round })).toBeLessThanOrEqual(1.5 + 1e-9);
            }
          });
        },
      ),
      { numRuns: 160 },
    );
    expect(written).toBeGreaterThan(200);
  });

  test('a box is measured as any shape is, lying straight or not', () => {
    const square = [
      { x: 10, y: 10 },
      { x: 30, y: 10 },
      { x: 30, y: 20 },
      { x: 10, y: 20 },
    ];
    const round = { x: 10, y: 10, width: 20, height: 10 };
    const box = { x: 5, y: 15, width: 10, height: 20 };
    expect(coveredArea(box, { points: square, round, square: true })).toBe(coveredArea(box, { points: square, round }));
    // Of a bow tie with the corners of a box half is air.
    const tie = [square[0]!, square[2]!, square[1]!, square[3]!];
    const [word] = placeLabels(
      [{ shape: 'polygon', points: tie.map(({ x, y }) => ({ x: 20 * x, y: 10 * y })), style: {}, solid: true }, mark({ x: 400, y: 150 }, 'B1')],
      frame,
      metrics,
    );
    expect(word).toBeDefined();
  });

  test('of many pieces one behind the other the first is named, and the others not', () => {
    const names = Array.from({ length: 200 }, (_, n) => mark({ x: 400, y: 150 }, `G${100 + n}`));
    const placed = placeLabels([piece({ x: 300, y: 150 }, { x: 500, y: 150 }), ...names], frame, metrics);
    expect(placed.length).toBeGreaterThan(0);
    expect(placed.length).toBeLessThan(12);
    expect(placed[0]!.label.text).toBe('G100');
  });
});
