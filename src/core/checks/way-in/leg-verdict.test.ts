import { wayIn } from '../../../../tests/of-plan';
import { ticketHall } from '../../../../tests/demo-plan';
import { evaluate } from '../../evaluate';
import { legChecksOf, legSubject, legVerdict } from './leg-verdict';
import type { Leg } from '../../document/schema';

const twoDoors = () => {
  const plan = ticketHall();
  const { legs } = wayIn(plan);
  const door = legs.find((one): one is Extract<Leg, { kind: 'opening' }> => one.kind === 'opening')!;
  const other = { ...door, id: 'again', name: ` ${door.name} `, at: { x: door.at.x + 1, y: door.at.y }, width: 0.3 };
  legs.push(other);
  return { plan, legs, door, other };
};

test('a leg goes by its name, or by its kind, and by its number where two share it', () => {
  const { legs, door, other } = twoDoors();
  expect(legSubject(legs[0]!, legs)).toBe(legs[0]!.name);
  expect(legSubject(door, legs)).toBe(`${door.name}, leg ${legs.indexOf(door) + 1}`);
  expect(legSubject(other, legs)).toBe(`${door.name}, leg ${legs.length}`);
  expect(legSubject({ ...door, name: ' ' }, [door])).toBe('opening');
});
test('of two doors of one name the narrow one alone bears the stop', () => {
  const { plan, legs, door, other } = twoDoors();
  const { checks } = evaluate(plan);
  expect(legVerdict(other, checks)).toBe('stop');
  expect(legVerdict(door, checks)).not.toBe('stop');
  expect(legChecksOf(other, checks).every((check) => check.subject.endsWith(`leg ${legs.length}`))).toBe(true);
});
test('a leg nothing is checked of has no verdict', () => {
  const { legs } = twoDoors();
  expect(legVerdict(legs[0]!, [])).toBeNull();
});
