import { sameForOtherMoves, sameForOthers } from './alike';
import { applyCommand } from './apply';
import { evaluate } from '../evaluate';
import type { Plan } from '../document/schema';
import { templates } from './templates';

const frame = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = templates.frame.build(
    { name: 'Shelter', place: '', units: 'metric', ruleSet: 'eu-ls' },
    { bays: '2 x 6 m', rows: '5 m', levels: '4 m', column: 'HEB 200', beam: 'IPE 300', between: '1', betweenSection: 'IPE 240', grade: 'S355' },
  );
  edit(plan);
  return plan;
};
const after = (plan: Plan, args: ReturnType<typeof sameForOthers>): Plan => {
  const done = applyCommand(plan, { name: 'editEach', args: args! });
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return done.plan;
};
const anchors = {
  count: 4,
  lever: 0.3,
  toe: 0.15,
  columnDepth: 0.2,
  tension: 60e3,
  repaired: true,
  repairedBy: 'M. Lindqvist',
  under: { kind: 'grouted' as const },
};

describe('what is said of one thing is said of the others', () => {
  test('of every other base, but not the survey, the test of the concrete or the repair', () => {
    const plan = frame(({ structure: { supports } }) =>
      Object.assign(supports[0]!, {
        capacity: 3e5,
        capacityBasis: 'allowable',
        anchors,
        measured: { level: 0, by: 'T. Hale', on: '2026-11-20' },
        footing: { kind: 'concrete', intended: 30e6, result: 28e6, by: 'K. Osei', on: '2026-11-18' },
      }),
    );
    const { supports } = after(plan, sameForOthers(plan, 'supports', 'base-0-0')).structure;
    expect(supports).toHaveLength(6);
    for (const one of supports.slice(1)) {
      const { repairedBy: _, ...sound } = anchors;
      expect(one).toMatchObject({ capacity: 3e5, capacityBasis: 'allowable', measured: null });
      expect(one.anchors).toEqual({ ...sound, repaired: false });
      expect(one.footing).toEqual({ kind: 'concrete', intended: 30e6, result: null, by: '', on: '' });
    }
    expect(supports[0]).toEqual(plan.structure.supports[0]);
  });
  test('what is said of another already stays, and with nothing to say there is nothing to press', () => {
    const plan = frame(({ structure: { joints } }) => {
      Object.assign(joints[0]!, { holes: 4, boltShear: 60e3 });
      Object.assign(joints[1]!, { holes: 6 });
    });
    const next = after(plan, sameForOthers(plan, 'joints', plan.structure.joints[0]!.id)).structure.joints;
    expect(next[1]).toMatchObject({ holes: 6, boltShear: 60e3 });
    expect(next.filter((one) => one.kind === 'onColumn').every((one) => one.holes !== null)).toBe(true);
    // A joint on a web is another kind: nobody has said anything of it.
    expect(next.filter((one) => one.kind === 'onWeb').map((one) => one.holes)).toEqual([null, null, null, null]);
    expect(sameForOthers(frame(), 'joints', plan.structure.joints[0]!.id)).toBeNull();
    expect(sameForOthers(plan, 'joints', 'nowhere')).toBeNull();
  });
  test('a capacity comes with what it is held against, or not at all', () => {
    const plan = frame(({ structure: { supports } }) => {
      Object.assign(supports[0]!, { capacity: 3e5, capacityBasis: 'allowable' });
      Object.assign(supports[1]!, { capacity: 2e5, capacityBasis: 'design' });
    });
    const { supports } = after(plan, sameForOthers(plan, 'supports', 'base-0-0')).structure;
    expect(supports[1]).toMatchObject({ capacity: 2e5, capacityBasis: 'design' });
    expect(supports[2]).toMatchObject({ capacity: 3e5, capacityBasis: 'allowable' });
  });
  test('a support that pushes only is not made to hold down, a simple joint not made to carry a moment', () => {
    const plan = frame(({ structure: { supports, joints } }) => {
      supports[0]!.holdsDown = 50e3;
      Object.assign(joints[0]!, { moment: 20e3, shear: 90e3 });
    });
    expect(sameForOthers(plan, 'supports', 'base-0-0')).toBeNull();
    expect(sameForOthers(plan, 'joints', plan.structure.joints[0]!.id)).toBeNull();
  });
  test('of splices, what the engineer gives one is offered for the others', () => {
    const plan = frame(({ structure: { joints } }) => {
      for (const one of joints.slice(0, 2)) one.kind = 'splice';
      Object.assign(joints[0]!, { moment: 20e3, shear: 90e3 });
    });
    expect(sameForOthers(plan, 'joints', plan.structure.joints[0]!.id)!.edits.map(({ changes }) => changes)).toEqual([{ moment: 20e3, shear: 90e3 }]);
  });
  test('a guy’s anchor is one for guys, not for a strut between two pieces', () => {
    const plan = frame(({ structure: { braces } }) => {
      Object.assign(braces[0]!, { capacity: 20e3, mass: 12, anchoredTo: 'block' });
      braces.push({ ...braces[0]!, id: 'strut', kind: 'strut', b: { piece: 'col-1-0', at: 3 }, capacity: null, mass: null, anchoredTo: '' });
    });
    const { braces } = after(plan, sameForOthers(plan, 'braces', 'guy-1')).structure;
    expect(braces.map(({ capacity, anchoredTo }) => [capacity, anchoredTo])).toEqual([...Array.from({ length: 4 }, () => [20e3, 'block']), [null, '']]);
    expect(braces.map(({ mass }) => mass ?? null)).toEqual([12, 12, 12, 12, null]);
  });
  test('bolts that hold are said of the joints of its kind when they are first made, not of those that fill', () => {
    const plan = frame();
    const joint = plan.structure.joints.find((one) => one.kind === 'onColumn')!.id;
    const [first, fills] = plan.moves.filter((move) => move.kind === 'joint.make' && move.joint === joint);
    Object.assign(first!, { bolts: 2, tight: true });
    const next = after(plan, sameForOtherMoves(plan, first!));
    const onColumns = new Set(plan.structure.joints.flatMap((one) => (one.kind === 'onColumn' ? [one.id] : [])));
    const made = next.moves.flatMap((move) => (move.kind === 'joint.make' && onColumns.has(move.joint) ? [move] : []));
    expect(made.filter((move) => move.bolts === 2 && move.tight === true)).toHaveLength(14);
    expect(made.filter((move) => move.bolts === null)).toHaveLength(14);
    expect(sameForOtherMoves(plan, fills!)).toBeNull();
  });
  test('what lifts one piece lifts those nobody has spoken of; a pick of the plan is one piece’s own', () => {
    const plan = frame();
    const hung = plan.moves.filter((move) => move.kind === 'piece.hang');
    Object.assign(hung[0]!, { by: 'mobile crane', checkedBy: 'L. Marsh' });
    Object.assign(hung[1]!, { by: 'a crew' });
    const next = after(plan, sameForOtherMoves(plan, hung[0]!)).moves.filter((move) => move.kind === 'piece.hang');
    expect(next.map(({ by }) => by)).toEqual(['mobile crane', 'a crew', ...Array.from({ length: 13 }, () => 'mobile crane')]);
    // Who worked a lift out answers for that lift alone.
    expect(next.map(({ checkedBy }) => checkedBy ?? '')).toEqual(['L. Marsh', ...Array.from({ length: 14 }, () => '')]);
    const picked = frame();
    const own = picked.moves.find((move) => move.kind === 'piece.hang')!;
    Object.assign(own, { by: 'mobile crane', pick: 'k1' });
    expect(sameForOtherMoves(picked, own)).toBeNull();
  });
  test('a frame with everything said of one of each, and the rest the same: what is left is each thing’s own', () => {
    let plan = frame(({ structure: { supports, joints, braces }, moves, site }) => {
      site.standingGust = 12;
      Object.assign(supports[0]!, { capacity: 3e5, seatLength: 0.4, seatWidth: 0.4, anchors: { ...anchors, repaired: false, repairedBy: undefined } });
      delete supports[0]!.anchors!.repairedBy;
      supports[0]!.footing = { kind: 'concrete', intended: 30e6, result: 28e6, by: 'K. Osei', on: '2026-11-18' };
      for (const kind of ['onColumn', 'onWeb'] as const)
        Object.assign(
          joints.find((one) => one.kind === kind)!,
          { holes: 4, boltShear: 60e3, ownBolts: true, bolt: { diameter: 0.024, grade: '8.8', planes: 1 } },
        );
      Object.assign(braces[0]!, { capacity: 20e3, stiffness: 2e6, slopeDeg: 45, anchoredTo: 'block', anchor: { kind: 'block', weight: 40e3, friction: 0.4 } });
      Object.assign(
        moves.find((move) => move.kind === 'piece.hang')!,
        { by: 'mobile crane', checkedBy: 'L. Marsh' },
      );
      for (const kind of ['onColumn', 'onWeb'] as const) {
        const joint = joints.find((one) => one.kind === kind)!.id;
        for (const move of moves) if (move.kind === 'joint.make' && move.joint === joint) Object.assign(move, { bolts: 2, tight: true });
      }
    });
    const { supports, joints, braces } = plan.structure;
    const say = (args: ReturnType<typeof sameForOthers>) => {
      if (args) plan = after(plan, args);
    };
    say(sameForOthers(plan, 'supports', supports[0]!.id));
    for (const kind of ['onColumn', 'onWeb']) say(sameForOthers(plan, 'joints', joints.find((one) => one.kind === kind)!.id));
    say(sameForOthers(plan, 'braces', braces[0]!.id));
    for (const move of plan.moves) say(sameForOtherMoves(plan, move));
    const open = evaluate(plan, '2026-11-28').checks.filter(
      (check) => (check.verdict === 'missing' || check.verdict === 'stop') && !check.id.startsWith('hold.'),
    );
    expect([...new Set(open.map((check) => `${check.verdict} ${check.id}`))].sort()).toEqual([
      'missing bearing.concrete',
      'missing lift.plan',
      'missing plumb.read',
      'missing support.measured',
    ]);
  });
});
