import { slungAsUsual, sameForOthers } from '../../edit/alike';
import { applyCommand } from '../../edit/apply';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import { pickContext } from './pick-context';
import { isUnslung, liftsFrom, usualSlinging } from './plan-lifts';
import type { Pick, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { Missing } from '../../verdict/missing';
import { templates } from '../../edit/templates';

const job = { name: 'Shelter', place: '', units: 'metric', ruleSet: 'eu-ls' } as const;
const said = { bays: '2 x 6 m', rows: '5 m', levels: '4 m', column: 'HEB 200', beam: 'IPE 300', between: '1', betweenSection: 'IPE 240' };
const frame = (crane: 'one' | 'none'): Plan => structuredClone(templates.frame.build(job, { ...said, crane }));
const done = (plan: Plan, command: Parameters<typeof applyCommand>[1]): Plan => {
  const result = applyCommand(plan, command);
  if (!result.ok) throw new Error(result.faults[0]?.error);
  return result.plan;
};
const balanceOf = (plan: Plan) => (pick: Pick) => {
  const { weight } = pickContext(settle(plan), pick);
  return weight instanceof Missing ? null : weight.cg.x;
};
let n = 0;
const freshId = (prefix: string) => `${prefix}-${(n += 1)}`;

describe('the lifts of a structure planned from one stand', () => {
  test('a frame begun with a crane has a pick for each piece, in the order they are hung', () => {
    const plan = frame('one');
    expect(openPlan(plan).ok).toBe(true);
    const hung = plan.moves.flatMap((move) => (move.kind === 'piece.hang' ? [[move.beam, move.pick]] : []));
    expect(hung).toHaveLength(15);
    expect(plan.picks.map(({ piece, id }) => [piece, id])).toEqual(hung);
    const kinds = plan.moves.map(({ kind }) => kind);
    expect(kinds.indexOf('crane.set')).toBeLessThan(kinds.indexOf('pick.trial'));
    expect(kinds.indexOf('pick.trial')).toBeLessThan(kinds.indexOf('piece.hang'));
    expect(kinds.indexOf('crane.leave')).toBe(kinds.lastIndexOf('piece.letGo') + 1);
    expect(evaluate(plan).counts.stop).toBe(0);
    expect(evaluate(plan).checks.filter(({ id }) => /^(lift\.by|lift\.plan|moves\.(pick|trial))$/.test(id))).toEqual([]);
  });
  test('begun without one it has none, and is asked by what each piece is lifted', () => {
    const plan = frame('none');
    expect([plan.cranes, plan.stands, plan.picks]).toEqual([[], [], []]);
    expect(evaluate(plan).checks.filter(({ id }) => id === 'lift.by')).toHaveLength(15);
  });
  test('girders too', () => {
    const plan = templates.girders.build(job, {
      lines: '2',
      apart: '3 m',
      spans: '24 m',
      past: '0.3 m',
      level: '5 m',
      made: 'plate',
      webDepth: '900 mm',
      web: '14 mm',
      flange: '400 mm',
      flangeThick: '30 mm',
      splices: '14 m',
      bents: '12 m',
      crossFrames: '0 m; 12 m; 24 m',
      crane: 'one',
    });
    expect(plan.picks).toHaveLength(4);
    expect(evaluate(plan).counts.stop).toBe(0);
  });
  test('what has a pick, or is said to be lifted by others, is left alone; the stand that is there is not set twice', () => {
    const plan = frame('one');
    plan.picks.splice(3, Infinity);
    const kept = new Set(plan.picks.map(({ id }) => id));
    for (const move of plan.moves) if (move.kind === 'piece.hang' && !kept.has(move.pick ?? '')) move.pick = null;
    const other = plan.moves.findLast((move) => move.kind === 'piece.hang')!;
    if (other.kind === 'piece.hang') other.by = 'two mast lifts';
    const lifts = liftsFrom(plan, 's1', freshId)!;
    expect(lifts.picks).toHaveLength(11);
    expect(lifts.put).toEqual([]);
    const next = done(plan, { name: 'planLifts', args: lifts });
    expect(next.picks).toHaveLength(14);
    expect(liftsFrom(next, 's1', freshId)).toBeNull();
  });
  test('of a plan with nothing to lift there is nothing to plan', () => {
    expect(liftsFrom({ ...frame('none'), moves: [] }, 's1', freshId)).toBeNull();
  });
});

describe('slings as usual', () => {
  test('level: even about the balance point, legs at 60 degrees; upright: near its upper end', () => {
    const plan = frame('one');
    const pickOf = (piece: string) => plan.picks.find((one) => one.piece === piece)!;
    // 0.56 of 6 m between them: 1.68 m either side of the middle, legs of 1.68 / cos 60° = 3.36, to the next decimetre.
    expect(usualSlinging(plan, pickOf('along-0-0-0'), 3)).toEqual({ left: 1.32, right: 1.32, legs: { left: 3.4, right: 3.4 } });
    expect(usualSlinging(plan, pickOf('along-0-0-0'), 3.2)).toMatchObject({ left: 1.52, right: 1.12 });
    expect(usualSlinging(plan, pickOf('col-0-0'), 2)).toEqual({ turned: { top: 0.3, tail: 0.2, sling: 2 } });
    expect(usualSlinging(plan, pickOf('along-0-0-0'), 5)).toBeNull();
    expect(usualSlinging(plan, { ...pickOf('along-0-0-0'), second: { stand: 's1', boom: null, slingRating: null, riggingMass: null } }, 3)).toEqual({
      left: 0.6,
      right: 0.6,
      legs: { left: 3, right: 3 },
    });
  });
  test('of all that nobody has slung, and of no other', () => {
    const plan = frame('one');
    const first = plan.picks.findIndex(({ piece }) => piece === 'along-0-0-0');
    plan.picks[first] = { ...plan.picks[first]!, unsaid: ['boom'], left: 1, right: 1, legs: { left: 4, right: 4 } };
    const next = done(plan, { name: 'editEach', args: slungAsUsual(plan, balanceOf(plan))! });
    expect(next.picks[first]).toEqual(plan.picks[first]);
    expect(next.picks.every((pick) => !isUnslung(next, pick))).toBe(true);
    const asked = (one: Plan) => evaluate(one).checks.filter(({ id, about }) => id === 'said.figure' && ['left', 'right', 'legs'].includes(about.part ?? ''));
    expect(asked(plan).length).toBeGreaterThan(0);
    expect(asked(next)).toEqual([]);
    expect(slungAsUsual(next, balanceOf(next))).toBeNull();
  });
});

describe('said of other picks and pieces', () => {
  test('boom, reach and slings of picks from one stand, columns and beams apart; what is said stays', () => {
    const plan = frame('one');
    const beam = plan.picks.findIndex(({ piece }) => piece === 'along-0-0-0');
    const { unsaid: _, ...bare } = plan.picks[beam]!;
    plan.picks[beam] = { ...bare, unsaid: ['left', 'right', 'legs'], boom: 18, liftOver: 0.6, slingRating: 2000, riggingMass: 40 };
    const other = plan.picks.findIndex(({ piece }) => piece === 'along-0-0-1');
    plan.picks[other]!.slingRating = 3000;
    // One has its boom already, one is lifted from elsewhere.
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's2' });
    const own = plan.picks.findIndex(({ piece }) => piece === 'along-0-1-0');
    plan.picks[own] = { ...plan.picks[own]!, boom: 25, unsaid: ['left', 'right', 'legs', 'liftOver'] };
    const far = plan.picks.findIndex(({ piece }) => piece === 'along-0-1-1');
    plan.picks[far]!.stand = 's2';
    const next = done(plan, { name: 'editEach', args: sameForOthers(plan, 'picks', plan.picks[beam]!.id)! });
    expect(next.picks[other]).toMatchObject({ boom: 18, liftOver: 0.6, slingRating: 3000, riggingMass: 40, unsaid: ['left', 'right', 'legs'] });
    expect(next.picks[own]).toMatchObject({ boom: 25, liftOver: 0.6 });
    expect(next.picks[far]).toEqual(plan.picks[far]);
    const column = next.picks.find(({ piece }) => piece === 'col-0-0')!;
    expect(column).toMatchObject({ slingRating: null, riggingMass: null });
    expect(column.unsaid).toContain('boom');
    expect(next.picks.filter(({ slingRating }) => slingRating === 2000)).toHaveLength(7);
  });
  test('where a piece lies before it is lifted, field by field', () => {
    const plan = frame('one');
    plan.structure.pieces[0]!.lies = { x: 4, y: -8, azimuthDeg: null, level: 1.2 };
    plan.structure.pieces[1]!.lies = { x: 9, y: null, azimuthDeg: 90, level: null };
    const next = done(plan, { name: 'editEach', args: sameForOthers(plan, 'beams', plan.structure.pieces[0]!.id)! });
    expect(next.structure.pieces[1]!.lies).toEqual({ x: 9, y: -8, azimuthDeg: 90, level: 1.2 });
    expect(next.structure.pieces[2]!.lies).toEqual({ x: 4, y: -8, azimuthDeg: null, level: 1.2 });
  });
});
