import fc from 'fast-check';
import { demoPlan, stiff } from '../../../tests/demo-plan';
import type { Plan } from '../plan/schema';
import { surveyPlan } from '../plan/survey';
import { newPlan } from '../plan/new-plan';
import { coveredArea, placeLabels } from './labels';
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
