import { asLine, lineIn } from '../../../../tests/of-plan';
import { editedHall } from '../../../../tests/said';
import { onNeedles } from '../../../../tests/shores';
import { rulesOf } from '../../rules/rule-sets';
import { findSection } from '../../steel/sections';
import { GRAVITY } from '../../units';
import { Missing } from '../../verdict/missing';
import { needleOf } from './needles';
import { ownLoad, standingOver, STANDS_OVER_WITHIN, under } from './standing';
import { unitsOf, type Unit } from './units';

const unit = (number: number, x: number, changes: Partial<Unit> = {}): Unit => ({
  shore: 'a',
  name: 'Wall',
  number,
  x,
  spring: 1e6,
  load: 1000,
  capacity: 9000,
  lever: 1,
  joist: null,
  above: null,
  side: 'left',
  ...changes,
});
const above = (number: number, x: number, storey: number, load: number, changes: Partial<Unit> = {}) =>
  unit(number, x, { name: `Storey ${storey}`, load, above: { storey, lays: load, passes: 0 }, ...changes });

describe('what stands on what', () => {
  test('a stud stands over the nearest below it on its own side, no further off than 0.7 m', () => {
    expect(STANDS_OVER_WITHIN).toBe(0.7);
    const units = [unit(1, 1), unit(2, 2.2), unit(3, 1.1, { side: 'right' }), above(1, 1.65, 1, 700), above(1, 2.95, 1, 700), above(1, 2.89, 1, 700)];
    expect(standingOver(units)).toEqual([[], [3, 5], [], [], [], []]);
  });
  test('a stud carries its own until it goes, less what stood on it and has gone', () => {
    const units = [unit(1, 1), above(1, 1, 1, 5000), above(1, 1.2, 2, 1800), above(2, 0.9, 2, 700)];
    const over = standingOver(units);
    expect(over).toEqual([[1], [2, 3], [], []]);
    expect(ownLoad(units, over, 1, new Set())).toBe(5000);
    expect(ownLoad(units, over, 1, new Set([2]))).toBe(3200);
    expect(ownLoad(units, over, 1, new Set([2, 3]))).toBe(2500);
    expect(ownLoad(units, over, 1, new Set([1]))).toBe(0);
    expect(ownLoad([unit(1, 1), above(1, 1, 1, 500), above(1, 1, 2, 900)], [[1], [2], []], 1, new Set([2]))).toBe(0);
  });
  test('a shore struck from under one that stands is named with it', () => {
    const units = [unit(1, 1), above(4, 1, 1, 5000)];
    expect(under(units, standingOver(units), [0], new Set([0]))).toEqual({ lower: 'Wall 1', upper: 'Storey 1 4' });
    expect(under(units, standingOver(units), [0], new Set([0, 1]))).toBeNull();
  });
});

describe('a needle’s own weight', () => {
  const rules = rulesOf('eu-ls', {});
  const answer = (changes: Parameters<typeof onNeedles>[1] = {}) => {
    const plan = editedHall((p) => onNeedles(p, changes));
    const found = needleOf(asLine(plan), lineIn(plan).rows[0]!, rules);
    const units = unitsOf(asLine(plan), rules);
    if (found instanceof Missing || units instanceof Missing) throw new Error('not known');
    return { ...found, unit: units[0]! };
  };
  const weight = (section: string) => findSection(section)!.massPerLength * 1.3 * GRAVITY * rules.value('loadFactor');
  test('goes down the two props with the wall', () => {
    const { leftProp, rightProp, load } = answer();
    expect(weight('UC 152x152x30')).toBeGreaterThan(300);
    expect(leftProp + rightProp).toBeCloseTo(load + weight('UC 152x152x30'), 6);
  });
  test('is on the prop already when the strike loads it: a heavier needle leaves less', () => {
    const heavy = { needle: { kind: 'steel' as const, section: 'UC 305x305x283', grade: 'S275' } };
    // The prop or its pad is what gives first: half the needle is on each of the two, by the lever of the longer arm.
    const less = ((weight('UC 305x305x283') - weight('UC 152x152x30')) / 2) * (1.3 / 0.7);
    expect(answer().unit.capacity - answer(heavy).unit.capacity).toBeCloseTo(less, 6);
  });
});
