import { demoPlan, passengerCanopy, quayFootbridge, stiff } from '../../../tests/demo-plan';
import { posesAt } from '../view/moment-pose';
import { planScene } from '../view/plan-scene';
import { elevationScene } from '../view/elevation-scene';
import { shoresAt } from '../view/shore-moment';
import { angleOf, distance, sub } from '../geometry/plane';
import { applyCommand } from './apply';
import { evaluate } from '../evaluate';
import type { PickContext } from '../checks/context';
import { Missing } from '../verdict/missing';
import { pathGrip, pathTo } from './path-hands';
import { hookContext, pickContext } from '../checks/lift/pick-context';
import { replay } from '../replay/replay';
import type { Pick, Plan } from '../document/schema';
import { settle } from '../settle/settle';
import { walkAt, walkTo } from '../settle/walk-way';

const cm = (value: number) => Math.round(value * 100) / 100;
const of = (plan: Plan, n = 0): PickContext => pickContext(settle(plan), plan.picks[n]!);
const pathIn = ({ path }: PickContext) => {
  if (path instanceof Missing) throw new Error(path.questions.join());
  return path;
};
const swung = (changes: Partial<Pick> = {}): Plan => {
  const plan = stiff(demoPlan());
  Object.assign(plan.picks[0]!, { swing: 'short', swingRadius: null, ...changes });
  return plan;
};
/** What the plan says once the way is drawn to a place. */
const drawn = (plan: Plan, to: { x: number; y: number }): Plan => {
  const done = applyCommand(plan, { name: 'drawPath', args: { pick: plan.picks[0]!.id, to } });
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return done.plan;
};
const around = ({ stand }: PickContext, bearingDeg: number, radius: number) => ({
  x: stand.at.x + radius * Math.cos((bearingDeg * Math.PI) / 180),
  y: stand.at.y + radius * Math.sin((bearingDeg * Math.PI) / 180),
});

describe('the way of a pick, drawn by hand', () => {
  test('its grip lies on it, in the middle of the slew', () => {
    const context = of(swung());
    const grip = pathGrip(context)!;
    expect(pathIn(context).stations.some(({ hook, phase }) => phase === 'slew' && distance(hook, grip) < 1e-9)).toBe(true);
  });

  test('drawn further out, its radius is held there; back to where it goes straight, none is said', () => {
    const plan = swung();
    const context = of(plan);
    const grip = pathGrip(context)!;
    const bearing = angleOf(sub(grip, context.stand.at));
    const far = drawn(plan, around(context, bearing, distance(grip, context.stand.at) + 1.5));
    expect(far.picks[0]!.swing).toBe('short');
    expect(far.picks[0]!.swingRadius).toBeCloseTo(distance(grip, context.stand.at) + 1.5, 1);
    // The way then goes there: the grip is where it was drawn to.
    expect(distance(pathGrip(of(far))!, context.stand.at)).toBeCloseTo(far.picks[0]!.swingRadius!, 9);
    expect(drawn(far, grip).picks[0]!.swingRadius).toBeNull();
  });

  test('drawn to the other side of the crane it goes round the other way, and back', () => {
    const plan = swung();
    const context = of(plan);
    const path = pathIn(context);
    const grip = pathGrip(context)!;
    const opposite = angleOf(sub(grip, context.stand.at)) + 180;
    const other = drawn(plan, around(context, opposite, 9));
    expect(other.picks[0]!.swing).toBe(path.slewDeg > 0 ? 'right' : 'left');
    expect(other.picks[0]!.swingRadius).toBeCloseTo(9, 6);
    const back = drawn(other, grip);
    expect(back.picks[0]!.swing).toBe(path.slewDeg > 0 ? 'left' : 'right');
    expect(back.picks[0]!.swingRadius).toBeNull();
    expect(pathIn(of(back)).slewDeg).toBeCloseTo(path.slewDeg, 9);
  });

  test('two cranes carry it over the place it is drawn to; the second hook has no grip of its own', () => {
    const plan = quayFootbridge();
    Object.assign(plan.picks[0]!, { rig: null, second: { stand: 'w2', boom: 27, slingRating: 9000, riggingMass: 95 } });
    const context = of(plan);
    expect(pathGrip(context)).not.toBeNull();
    expect(pathTo(context, { x: 3.004, y: -4 }, cm)!.second).toMatchObject({ via: { x: 3, y: -4 }, stand: 'w2' });
    const second = hookContext(settle(plan), plan.picks[0]!, 'second');
    expect(pathGrip(second)).toBeNull();
    expect(pathTo(second, { x: 3, y: -4 }, cm)).toBeNull();
  });

  test('a column slews from where it stands up', () => {
    const plan = passengerCanopy();
    const n = plan.picks.findIndex((pick) => pick.turned);
    const context = of(plan, n);
    const grip = pathGrip(context)!;
    const far = pathTo(context, around(context, angleOf(sub(grip, context.stand.at)), distance(grip, context.stand.at)), (value) => value)!;
    expect(far.swingRadius ?? null).toBe(plan.picks[n]!.swingRadius ?? null);
  });

  test('where its way is not known there is nothing to take hold of', () => {
    const plan = quayFootbridge();
    plan.structure.pieces[0]!.lies = null;
    expect(pathGrip(of(plan))).toBeNull();
    expect(pathTo(of(plan), { x: 0, y: 0 }, cm)).toBeNull();
  });

  test('it is shown at Picks and nowhere else', () => {
    const plan = settle(swung());
    const { before } = replay(plan);
    const grips = (about: 'picks' | 'runSheet') =>
      planScene(plan, before, shoresAt(plan, before, evaluate(plan, '2026-11-29').strikes), about).shapes.filter(
        (one) => one.shape === 'dot' && one.of?.kind === 'path',
      );
    expect(grips('picks')).toHaveLength(1);
    expect(grips('runSheet')).toHaveLength(0);
  });
});

describe('a lift looked at on its way', () => {
  const path = pathIn(of(swung()));
  test('straight up from where it lies, over, and straight down: every station is reached', () => {
    expect(walkAt(path, 0)).toMatchObject({ index: 0, high: 0, lowering: false });
    expect(walkAt(path, 0.06)).toMatchObject({ index: 0, high: expect.closeTo(0.5, 9) });
    expect(walkAt(path, 1)).toMatchObject({ index: path.stations.length - 1, high: 0, lowering: true });
    expect(walkAt(path, 0.5).high).toBe(1);
    expect(walkAt(path, 7)).toEqual(walkAt(path, 1));
    expect(walkAt(path, -7)).toEqual(walkAt(path, 0));
    path.stations.forEach((_, index) => expect(walkAt(path, walkTo(path, index)).index).toBe(index));
  });

  const poseOf = (plan: Plan, at: number | null, n = 0) => {
    const settled = settle(plan);
    const { before } = replay(settled);
    return posesAt(settled, before, at === null ? null : { pick: plan.picks[n]!.id, at }).find(({ context }) => context.drawn.id === plan.picks[n]!.id)!;
  };

  test('the piece hangs under its hook there, as high as it travels', () => {
    const plan = swung();
    const half = poseOf(plan, 0.5);
    const { station } = walkAt(pathIn(half.context), 0.5);
    expect(half.hook!.station).toEqual(station);
    expect(half.piece!.azimuthDeg).toBeCloseTo(station.pieceDeg, 9);
    expect(half.piece!.underside).toBeCloseTo(half.travel!.underside, 9);
    const turn = (station.pieceDeg * Math.PI) / 180;
    const along = half.context.piece.length / 2 - station.seen.toMiddle;
    expect(half.piece!.leftEnd.x + along * Math.cos(turn)).toBeCloseTo(station.hook.x, 9);
    expect(half.piece!.leftEnd.y + along * Math.sin(turn)).toBeCloseTo(station.hook.y, 9);
    expect(poseOf(plan, 0).piece!.underside).toBeCloseTo(half.context.piece.start.level, 9);
    const { seat } = half.context;
    if (seat instanceof Missing) throw new Error('seat');
    expect(poseOf(plan, 1).piece!.underside).toBeCloseTo(Math.max(seat.left.level, seat.right.level), 9);
    // Nobody looks: as the move has it.
    expect(poseOf(plan, null).hook?.loaded ?? false).toBe(false);
  });

  test('the tail of a column is let go of where it lies, the second hook never lowers it to its foot', () => {
    const plan = passengerCanopy();
    const n = plan.picks.findIndex((pick) => pick.turned);
    plan.cranes.push({ ...plan.cranes[0]!, id: 'c9', name: 'Curlew 51' });
    plan.stands.push({ ...plan.stands.find(({ id }) => id === plan.picks[n]!.stand)!, id: 'tail', crane: 'c9' });
    Object.assign(plan.picks[n]!, { rig: null, second: { stand: 'tail', boom: 20, slingRating: 2000, riggingMass: 40 } });
    const settled = settle(plan);
    const poses = posesAt(settled, replay(settled).before, { pick: plan.picks[n]!.id, at: 0.95 }).filter(
      ({ context }) => context.drawn.id === plan.picks[n]!.id,
    );
    const tail = poses.find(({ context }) => context.hook === 'second')!;
    expect(tail.piece).toBeNull();
    expect(tail.hook!.station.phase).toBe('turn');
    expect(tail.hook!.height).toBeLessThan(plan.picks[n]!.turned!.tail! + tail.context.piece.start.level + 3);
  });

  test('a column stands up about its lower end, and travels upright', () => {
    const plan = passengerCanopy();
    const n = plan.picks.findIndex((pick) => pick.turned);
    const turning = poseOf(plan, 0.2, n).piece!;
    expect(turning.tiltDeg).toBeGreaterThan(5);
    expect(turning.tiltDeg).toBeLessThan(85);
    expect(turning.upright).toBeUndefined();
    const over = poseOf(plan, 0.8, n).piece!;
    expect(over.upright).toBe(true);
    expect(over.seen).toBeLessThan(1);
    const settled = settle(plan);
    const { before } = replay(settled);
    const side = elevationScene(settled, before, 'beam', shoresAt(settled, before, {}), 'picks', null, { pick: plan.picks[n]!.id, at: 0.8 });
    const length = poseOf(plan, 0.8, n).context.piece.length;
    const tall = side.shapes.filter((one) => one.shape === 'polygon' && one.of?.kind === 'piece' && one.of.id === plan.picks[n]!.piece);
    const heights = tall.flatMap((one) => (one.shape === 'polygon' ? one.points.map(({ y }) => y) : []));
    expect(Math.max(...heights) - Math.min(...heights)).toBeCloseTo(length, 6);
  });
});
