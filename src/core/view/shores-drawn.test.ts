import { lineIn, wayIn } from '../../../tests/of-plan';
import { ticketHall } from '../../../tests/demo-plan';
import { deadShore, onNeedles, twoPostBent } from '../../../tests/shores';
import { evaluateWhole } from '../evaluate';
import type { Bent, Plan } from '../document/schema';
import { scenesAt, surveyPlan } from './survey';
import type { Drawing, Shape } from './draw-list';
import { lookWords, looksOf, nextLook } from './looks';
import { standsAs } from './shore-moment';

const words = (drawing: Drawing): string[] =>
  drawing.shapes.flatMap((shape) => (shape.shape === 'label' || shape.shape === 'dimension' ? [shape.text.replace(/\u00a0/g, ' ')] : []));
const of = (drawing: Drawing, id: string): Shape[] => drawing.shapes.filter((shape) => 'of' in shape && shape.of?.kind === 'shore' && shape.of.id === id);
const styles = (shapes: Shape[]) => shapes.flatMap((shape) => (shape.shape === 'polygon' ? [shape.style] : []));
const at = (plan: Plan, cursor: number, look: 'beam' | 'across' = 'across', about: 'shores' | 'runSheet' | 'wayIn' = 'shores') =>
  scenesAt(plan, evaluateWhole(plan, null), { cursor, look, about });

describe('the house cut across the line', () => {
  test('what comes down at each storey, and what each floor weighs', () => {
    const said = words(at(ticketHall(), 6).side);
    expect(said).toEqual(
      expect.arrayContaining([
        '4.76 kN/m onto the line',
        '12.52 kN/m onto the line',
        '3.60 m · 0.80 kPa dead, 0.60 kPa live',
        '3.20 m · 0.90 kPa dead, people at work',
      ]),
    );
  });
  test('shores with what a stud carries at the moment: nothing before the line is open, the load after, struck at the end', () => {
    expect(words(at(ticketHall(), 5).side)).toContain('Hall wall, left: tapped in, carries nothing yet');
    expect(words(at(ticketHall(), 6).side)).toContain('Hall wall, left: up to 5.93 kN a stud');
    expect(words(at(ticketHall(), 13).side)).toContain('Hall wall, left: struck');
    expect(words(at(ticketHall(), 1).side)).toContain('Office wall, left: not set yet');
  });
  test('the new piece is outlined until it is in, and drawn in its own shape then', () => {
    expect(words(at(ticketHall(), 6).side)).toContain('TH1, not in yet');
    const side = at(ticketHall(), 7).side;
    expect(words(side)).toContain('TH1');
    const beam = side.shapes.find((shape) => shape.shape === 'polygon' && shape.points.length === 12);
    expect(beam && 'style' in beam ? beam.style.fill : null).toBe('steel');
  });
  test('what is not known is written as not known, in red', () => {
    const plan = ticketHall();
    lineIn(plan).storeys[1]!.left.dead = null;
    lineIn(plan).storeys[1]!.bears = null;
    const { side } = at(plan, 6);
    expect(words(side)).toEqual(expect.arrayContaining(['3.60 m · load not known', 'stands a wall or post here?', 'Offices: what comes down is not known']));
    expect(side.shapes.some((shape) => shape.shape === 'label' && shape.ink === 'stop')).toBe(true);
  });
  test('needles are drawn through the wall on their two props', () => {
    const plan = onNeedles(ticketHall(), {
      arms: { left: 0.5, right: 0.8 },
      needle: { kind: 'timber', width: 0.2, depth: 0.3, grade: 'C24' },
      prop: deadShore(),
    });
    const xs = of(at(plan, -1).side, 'rw1').flatMap((shape) => (shape.shape === 'polygon' ? shape.points.map((p) => p.x) : []));
    expect(Math.min(...xs)).toBeCloseTo(-0.7, 6);
    expect(Math.max(...xs)).toBeCloseTo(1.0, 6);
  });
});

describe('colour and pattern of a shore at the moment', () => {
  const stud = (cursor: number) => styles(of(at(ticketHall(), cursor, 'beam').side, 'sh1'));
  test('dashed before it is set, empty while it waits, filled when it carries, dotted when it is struck', () => {
    expect(stud(1).some((style) => style.dash === 'dash' && !style.fill)).toBe(true);
    expect(stud(5).some((style) => style.fill === 'paper')).toBe(true);
    expect(stud(6).some((style) => style.fill === 'timber')).toBe(true);
    expect(stud(9).some((style) => style.dash === 'dot')).toBe(true);
  });
  test('over its capacity it is red', () => {
    const plan = ticketHall();
    lineIn(plan).walls[0]!.braces = 0;
    expect(styles(of(at(plan, 6, 'beam').side, 'sh1')).some((style) => style.fill === 'stop')).toBe(true);
  });
  test('a header stands in the gap, and no stud', () => {
    const count = (gaps: boolean) => {
      const plan = ticketHall();
      if (!gaps) lineIn(plan).walls[3]!.gaps = [];
      return styles(of(at(plan, 6, 'beam').side, 'sh4')).length;
    };
    expect(count(false) - count(true)).toBe(1);
  });
  test('what to write beside it', () => {
    const force = (n: number) => `${n} N`;
    expect(standsAs('W', [{ now: 'carries', verdict: 'clear', load: 5 }], force)).toBe('W: up to 5 N');
    expect(standsAs('W', [{ now: 'carries', verdict: 'missing', load: null }], force)).toBe('W');
    expect(standsAs('W', [], force)).toBe('W');
  });
});

test('at the shores the drawing is close and the way in is left out; at the way in the piece is drawn along it', () => {
  const plan = ticketHall();
  const width = ({ extent }: Drawing) => extent.max.x - extent.min.x;
  const about = (station: 'shores' | 'runSheet' | 'wayIn') => at(plan, 6, 'beam', station).above;
  expect(width(about('shores'))).toBeLessThan(0.6 * width(about('runSheet')));
  expect(words(about('shores')).some((one) => one.includes('Gable door'))).toBe(false);
  expect(words(about('wayIn')).some((one) => one.includes('Gable door'))).toBe(true);
  const dashed = (drawing: Drawing) =>
    drawing.shapes.filter((shape) => shape.shape === 'polygon' && shape.style.stroke === 'steel' && shape.style.dash === 'dash').length;
  expect(dashed(about('wayIn')) - dashed(about('runSheet'))).toBe(wayIn(plan).legs.length);
});

describe('bents', () => {
  const bent = (changes: Partial<Bent> = {}) =>
    twoPostBent({
      id: 'bt',
      name: 'Bent',
      at: { x: 2, y: -3 },
      loads: [{ id: 'l', what: 'G1', at: 1, force: 50e3, bearing: 0.2, from: 1, to: null }],
      ...changes,
    });
  const drawn = (changes: Partial<Bent> = {}) => {
    const plan = ticketHall();
    plan.shoring.bents = [bent(changes)];
    return at(plan, -1, 'beam', 'shores');
  };
  test('from above and from the side, posts where they are told, the load over its place', () => {
    const { above, side } = drawn();
    const xs = of(above, 'bt').flatMap((shape) => (shape.shape === 'polygon' ? shape.points.map((p) => p.x) : []));
    expect(Math.min(...xs)).toBeCloseTo(0, 6);
    expect(Math.max(...xs)).toBeCloseTo(4, 6);
    expect(words(side)).toEqual(expect.arrayContaining(['Bent', 'G1 50.0 kN']));
  });
  test('with no place it is not drawn; guys are', () => {
    expect(of(drawn({ at: null }).above, 'bt')).toEqual([]);
    const lines = (changes: Partial<Bent>) => drawn(changes).above.shapes.filter((shape) => shape.shape === 'line' && shape.style.stroke === 'gear').length;
    expect(lines({ guys: [{ id: 'g', what: 'Guy', angleDeg: 45, capacity: null, count: 1 }] }) - lines({})).toBe(2);
  });
});

test('one turns through the ways of looking a job has', () => {
  const hall = ticketHall();
  expect(looksOf(hall)).toEqual(['beam', 'across']);
  expect(nextLook(hall, 'beam')).toBe('across');
  expect(nextLook(hall, 'across')).toBe('beam');
  expect(nextLook(hall, 'boom')).toBe('beam');
  expect(Object.keys(lookWords)).toEqual(['beam', 'boom', 'across']);
});
test('every moment and every look can be drawn, with numbers that are numbers', () => {
  const plan = ticketHall();
  for (let cursor = -1; cursor < plan.moves.length; cursor += 1)
    for (const look of ['beam', 'across'] as const) {
      const { above, side } = surveyPlan(plan, null, cursor, look, 'shores');
      for (const { shapes, extent } of [above, side]) {
        expect(Number.isFinite(extent.min.x + extent.max.y)).toBe(true);
        for (const shape of shapes)
          if (shape.shape === 'polygon' || shape.shape === 'line') for (const p of shape.points) expect(Number.isFinite(p.x + p.y)).toBe(true);
      }
    }
});
