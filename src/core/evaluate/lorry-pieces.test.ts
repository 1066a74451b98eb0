import { wayIn } from '../../../tests/of-plan';
import { demoPlan, ticketHall } from '../../../tests/demo-plan';
import { rulesOf } from '../rules/rule-sets';
import type { LoadPiece } from '../steel/lists/loads';
import { lorryPieces } from './lorry-pieces';
import { memberWeight } from '../settle/member-weight';
import { Missing } from '../verdict/missing';
import type { Plan } from '../document/schema';

const rules = rulesOf('eu-ls', {});
const all = (plan: Plan): LoadPiece[] => lorryPieces(plan, rules).byTruck.flatMap((one) => one.pieces);

test('a member cut on the way in travels in its parts, and the parts weigh the member and its splices', () => {
  const plan = ticketHall();
  const pieces = all(plan);
  const parts = pieces.filter((one) => one.name.startsWith('TH1'));
  expect(parts.map((one) => one.name)).toEqual(['TH1/1', 'TH1/2', 'TH1/3']);
  const weight = memberWeight(plan.members[0]!, rules);
  if (weight instanceof Missing) throw new Error('missing');
  expect(parts.reduce((sum, one) => sum + one.mass, 0)).toBeCloseTo(weight.lifted + 2 * wayIn(plan).splice.mass, 6);
  expect(parts.reduce((sum, one) => sum + one.length, 0)).toBeCloseTo(plan.members[0]!.length, 9);
});
test('whole again, it travels whole; packed it is wider', () => {
  const plan = ticketHall();
  wayIn(plan).cuts = [];
  plan.transport.trucks[0]!.overhang = 1;
  const one = all(plan).find((piece) => piece.name === 'TH1')!;
  expect(one.length).toBe(plan.members[0]!.length);
  expect(one.width).toBeCloseTo(0.1339 + 0.076, 3);
});
test('what is there already does not travel; each of a count does; the order not given comes last', () => {
  const plan = ticketHall();
  plan.members[5]!.order = null;
  const pieces = all(plan);
  expect(pieces.some((one) => one.name.startsWith('TH2'))).toBe(false);
  expect(pieces.filter((one) => one.name.startsWith('TH5'))).toHaveLength(4);
  expect(pieces.find((one) => one.name === 'TH6 (1)')!.order).toBe(Math.max(...plan.members.map((one) => one.order ?? 0)) + 1);
});
test('a plain weight has no width, an unknown section no weight: both are told, not loaded', () => {
  const plan = ticketHall();
  plan.members[2]!.state = 'made';
  plan.members[5]!.make = { kind: 'section', section: 'ZZ 9' };
  expect(lorryPieces(plan, rules).lacking).toEqual(['TH3', 'TH6']);
  expect(all(plan).some((one) => /TH3|TH6/.test(one.name))).toBe(false);
});

describe('each on its truck', () => {
  test('the smallest that takes it, in whatever order they are listed; a chosen one goes before', () => {
    const plan = demoPlan();
    const on = () => lorryPieces(plan, rules).byTruck.map(({ truck, pieces }) => `${truck.name}: ${pieces.map((one) => one.name).join(', ')}`);
    expect(on()).toEqual(['Yard lorry: TB1', 'Extending trailer: EG1 (1), EG1 (2)']);
    plan.transport.trucks.reverse();
    expect(on()).toEqual(['Extending trailer: EG1 (1), EG1 (2)', 'Yard lorry: TB1']);
    plan.transport.trucks.reverse();
    plan.members[0]!.travel.truck = 'tr-ext';
    expect(on()).toEqual(['Extending trailer: TB1, EG1 (1), EG1 (2)']);
    plan.members[0]!.travel.truck = null;
    plan.transport.trucks[0]!.mass = 900;
    expect(on()[0]).toMatch(/^Extending trailer: TB1/);
  });
  test('what no truck takes, or the chosen one does not, is told and not loaded', () => {
    const plan = demoPlan();
    plan.members.find((one) => one.mark === 'EG1')!.travel.truck = 'tr-yard';
    expect(lorryPieces(plan, rules)).toMatchObject({ refused: ['EG1 (1)', 'EG1 (2)'], lacking: [] });
    plan.transport.trucks = [];
    expect(lorryPieces(plan, rules)).toMatchObject({ byTruck: [], refused: ['TB1', 'EG1 (1)', 'EG1 (2)'] });
  });
});
