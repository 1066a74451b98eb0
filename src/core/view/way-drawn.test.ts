import { wayIn } from '../../../tests/of-plan';
import { ticketHall } from '../../../tests/demo-plan';
import type { StationId } from '../verdict/check';
import type { Plan } from '../document/schema';
import { surveyPlan } from './survey';

const above = (plan: Plan, about: StationId) => surveyPlan(plan, null, -1, 'beam', about).above.shapes;
const words = (plan: Plan, about: StationId) => above(plan, about).flatMap((one) => (one.shape === 'label' ? [one.text] : []));
const dots = (plan: Plan, about: StationId) => above(plan, about).flatMap((one) => (one.shape === 'dot' && one.of?.kind === 'leg' ? [one] : []));

test('on the way in every leg has its name, and the shores keep their outline without words', () => {
  const plan = ticketHall();
  const said = words(plan, 'wayIn');
  wayIn(plan).legs.forEach((leg, i) => expect(said).toContain(`${i + 1} ${leg.name}`));
  expect(said.some((text) => text.startsWith('Hall wall'))).toBe(false);
  const outlines = (about: StationId) => above(plan, about).filter((one) => one.shape === 'polygon' && one.of?.kind === 'shore').length;
  expect(outlines('wayIn')).toBe(outlines('measure'));
  expect(outlines('wayIn')).toBeGreaterThan(0);
});
test('elsewhere a number is enough, and the shores are named', () => {
  const plan = ticketHall();
  const said = words(plan, 'measure');
  wayIn(plan).legs.forEach((leg, i) => {
    expect(said).toContain(`${i + 1}`);
    expect(said).not.toContain(`${i + 1} ${leg.name}`);
  });
  expect(said.some((text) => text.startsWith('Hall wall'))).toBe(true);
});
test('a leg that stops the piece bears its mark; cut as it is, none does; a leg not measured asks', () => {
  const whole = ticketHall();
  expect(dots(whole, 'wayIn').every((one) => one.verdict === 'clear' || one.verdict === 'tight')).toBe(true);
  wayIn(whole).cuts = [];
  const stopped = dots(whole, 'wayIn').filter((one) => one.verdict === 'stop');
  expect(stopped.map((one) => wayIn(whole).legs.find((leg) => leg.id === one.of?.id)!.kind)).toEqual(['opening', 'corner', 'props', 'carry']);
  const open = ticketHall();
  const door = wayIn(open).legs.find((leg) => leg.kind === 'opening')!;
  Object.assign(door, { height: null });
  expect(dots(open, 'wayIn').find((one) => one.of?.id === door.id)!.verdict).toBe('missing');
  expect(dots(whole, 'measure').every((one) => one.verdict === undefined)).toBe(true);
});
test('a check of the steel that happens to bear a leg’s name does not mark the leg', () => {
  const plan = ticketHall();
  const door = wayIn(plan).legs.find((leg) => leg.kind === 'opening')!;
  door.name = 'TH6';
  plan.members.find((one) => one.mark === 'TH6')!.travel.permit = null;
  const mine = surveyPlan(plan, null, -1, 'beam', 'wayIn').evaluation.checks.filter((one) => one.subject === 'TH6');
  expect(mine.some((one) => one.verdict === 'missing')).toBe(true);
  expect(dots(plan, 'wayIn').find((one) => one.of?.id === door.id)!.verdict).not.toBe('missing');
});
test('a plan with no way draws none of it and keeps every word', () => {
  const plan = ticketHall();
  wayIn(plan).legs = [];
  expect(dots(plan, 'wayIn')).toEqual([]);
  expect(words(plan, 'wayIn').some((text) => text.startsWith('Hall wall'))).toBe(true);
});
