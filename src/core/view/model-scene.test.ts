import { portal } from '../../../tests/portal';
import { splicedGirder } from '../../../tests/spliced-girder';
import { checksAt, evaluateWhole } from '../evaluate';
import { openPlan } from '../document/open';
import type { Plan } from '../document/schema';
import { modelScene } from './model-scene';

const at = (drawn: Plan, cursor: number) => {
  const opened = openPlan(drawn);
  if (!opened.ok) throw new Error('does not open');
  const { plan } = opened;
  const whole = evaluateWhole(plan, '2026-11-28');
  const step = whole.evaluation.replay.steps[cursor];
  return modelScene(plan, (step?.after ?? whole.evaluation.replay.before).structure, checksAt(whole, step?.move.id ?? null));
};
const moveAt = (plan: Plan, kind: string, n = 0) => plan.moves.flatMap((move, i) => (move.kind === kind ? [i] : []))[n]!;

describe('the structure in space', () => {
  const plan = portal();
  const body = (scene: ReturnType<typeof at>, id: string) => scene.bodies.find((one) => one.id === id)!;

  test('follows the moves: away, on the hook a little above its place, in place', () => {
    const hang = moveAt(plan, 'piece.hang', 2);
    expect(body(at(plan, hang - 1), 'b1').stands).toBe('away');
    expect(body(at(plan, hang), 'b1').stands).toBe('hanging');
    const set = body(at(plan, plan.moves.length - 1), 'b1');
    expect(set.stands).toBe('set');
    expect(body(at(plan, hang), 'b1').from.z - set.from.z).toBeCloseTo(0.35, 9);
  });

  test('a beam stands on its underside, a column round its axis; an I has three plates as deep and wide as its section', () => {
    const scene = at(plan, plan.moves.length - 1);
    const [beam, column] = [body(scene, 'b1'), body(scene, 'c1')];
    expect(beam.from.z).toBeCloseTo(3.7 + beam.depth / 2, 9);
    expect(column.from).toEqual({ x: 0, y: 0, z: 0 });
    expect(beam.plates).toHaveLength(3);
    const top = Math.max(...beam.plates.map(({ up, height }) => up + height / 2));
    expect(top).toBeCloseTo(beam.depth / 2, 9);
    expect(Math.max(...beam.plates.map(({ width }) => width))).toBe(beam.width);
  });

  test('ropes run down to the ground as steeply as is said, and are in once they are fixed', () => {
    const before = at(plan, -1).ties;
    const after = at(plan, plan.moves.length - 1).ties;
    expect(before.map((one) => one.in)).toEqual([false, false, false, false]);
    expect(after.map((one) => one.in)).toEqual([true, true, true, true]);
    const [first] = after;
    expect(first!.from).toEqual({ x: 0, y: 0, z: 3.5 });
    expect(first!.to.z).toBeCloseTo(0, 9);
    expect(first!.to.x).toBeCloseTo(3.5, 9);
    delete plan.structure.braces[0]!.slopeDeg;
    expect(at(plan, -1).ties[0]!.to.z).toBeCloseTo(3.5, 9);
  });

  test('a piece with a stop here is stopped here and not elsewhere; one that is not placed is not drawn', () => {
    const weak = portal();
    weak.structure.makes[1]!.made = { kind: 'section', section: 'W4x13' };
    weak.structure.loads[0]!.force = 60e3;
    expect(body(at(weak, weak.moves.length - 1), 'b1').stopped).toBe(true);
    expect(body(at(weak, 2), 'b1').stopped).toBe(false);
    Object.assign(weak.structure.pieces[3]!, { from: null, to: null });
    expect(at(weak, 0).bodies.map(({ id }) => id)).toEqual(['c1', 'c2', 'b1']);
  });

  test('what is struck is gone, and all of it lies within its bounds', () => {
    const girder = splicedGirder();
    const scene = at(girder, girder.moves.length - 1);
    expect(scene.feet.filter(({ struck }) => struck).map(({ id }) => id)).toEqual(['T']);
    for (const { from, to } of scene.bodies)
      for (const end of [from, to]) {
        expect(end.x).toBeGreaterThanOrEqual(scene.min.x);
        expect(end.x).toBeLessThanOrEqual(scene.max.x);
        expect(end.z).toBeLessThanOrEqual(scene.max.z);
      }
    expect(modelScene({ ...girder, structure: { ...girder.structure, pieces: [], supports: [], braces: [] } }, at0(), [])).toMatchObject({
      bodies: [],
      min: { x: 0 },
      max: { x: 1 },
    });
  });
});

const at0 = () => {
  const opened = openPlan(splicedGirder());
  if (!opened.ok) throw new Error('does not open');
  return evaluateWhole(opened.plan, null).evaluation.replay.before.structure;
};
