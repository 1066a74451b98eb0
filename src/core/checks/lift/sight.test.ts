import fc from 'fast-check';
import { demoPlan } from '../../../../tests/demo-plan';
import { mix, rectangle, type Vec } from '../../geometry/plane';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { watchOver } from './seen';
import type { LiftPath } from '../../settle/lift-path';
import { openPlan } from '../../document/open';
import { pickContext } from './pick-context';
import type { Crane, Obstruction, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { blindParts, cabsOf, eyeOf, seenAlong, type Seen } from './sight';

const TODAY = '2026-11-27';
const pathOf = (plan: Plan) => pickContext(settle(plan), settle(plan).picks[0]!).path as LiftPath;
const row = (plan: Plan, id = 'lift.sight') => evaluate(plan, TODAY).checks.find((one) => one.id === id)!;
const say = (plan: Plan) => words(row(plan), 'metric');

/** A wall half way between the crane and the place where the beam lies, square to the line of sight, so wide and so high. */
function walled(width: number, height: number, edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = demoPlan();
  const { stand, stations } = pathOf(plan);
  const [first] = stations;
  const at = mix(stand.at, first!.hook, 0.6);
  plan.site.obstructions = [{ id: 'wall', name: 'the gable', at, length: width, width: 0.3, azimuthDeg: first!.bearingDeg + 90, height }];
  edit(plan);
  return plan;
}
/** Somebody who signals from beside where the beam lies. */
const beside = (plan: Plan, changes: object = {}) =>
  (plan.site.signallers = [
    ...(plan.site.signallers ?? []),
    { id: 's1', name: 'T. Nakata', at: { x: plan.pieces[0]!.start.x + 2, y: plan.pieces[0]!.start.y - 4 }, eye: 1.7, ...changes },
  ]);

describe('what the operator sees', () => {
  test('nothing in between, nothing asked; a low wall is looked over', () => {
    expect(row(demoPlan()).verdict).toBe('clear');
    expect(row(walled(4, 0.4)).verdict).toBe('clear');
    const plan = demoPlan();
    plan.site.obstructions = [];
    expect(row(plan)).toBeUndefined();
  });

  test('a wall before the place where it lies is asked about, by its name', () => {
    const plan = walled(4, 8);
    expect(row(plan)).toMatchObject({ verdict: 'missing', station: 'gear', about: { kind: 'pick' } });
    expect(say(plan)).toMatch(/is not seen where it lies: the gable is in between\. Who signals, and from where\?/);
  });

  test('whoever sees it there, by name and channel, settles it', () => {
    expect(say(walled(4, 8, (plan) => beside(plan)))).toMatch(/signalled by T\. Nakata, on channel/);
    expect(row(walled(4, 8, (plan) => beside(plan))).verdict).toBe('clear');
  });

  test.each<[string, (plan: Plan) => unknown, RegExp]>([
    ['behind the same wall', (p) => beside(p, { at: { ...p.stands[0]!.at } }), /Nobody who signals sees it/],
    ['of no place', (p) => beside(p, { unsaid: ['at'] }), /Where does T\. Nakata stand/],
    ['of no height', (p) => beside(p, { eye: null }), /how high are their eyes/],
    ['of no name', (p) => beside(p, { name: 'the rigger' }), /Who is the signal person called/],
    ['on no channel', (p) => (beside(p), (p.people.radioChannel = ' ')), /radio channel/],
    ['on a channel still to be told', (p) => (beside(p), (p.people.radioChannel = 'tbc')), /radio channel/],
  ])('a signal person %s does not', (_, edit, says) => {
    const plan = walled(4, 8, edit);
    expect(row(plan).verdict).toBe('missing');
    expect(say(plan)).toMatch(says);
  });

  test('a channel that is told later, all else the same, is heard of', () => {
    const plan = walled(4, 8, (one) => beside(one));
    expect(row(plan).verdict).toBe('clear');
    expect(row({ ...plan, people: { ...plan.people, radioChannel: '' } }).verdict).toBe('missing');
  });

  test('eyes at 1700 m, a millimetre too many, are refused: they would look over everything', () => {
    const plan = walled(4, 8, (one) => beside(one, { eye: 1700 }));
    expect(JSON.stringify(openPlan(JSON.parse(JSON.stringify(plan))))).toContain('site.signallers[0].eye');
  });

  test('a second who sees it does where the first does not', () => {
    const plan = walled(4, 8, (one) => {
      beside(one, { id: 's0', name: 'A. Brandt', at: { ...one.stands[0]!.at } });
      beside(one);
    });
    expect(say(plan)).toMatch(/signalled by T\. Nakata/);
  });

  test('a cab that is higher looks over what a lower one does not', () => {
    const high = (height: number) => row(walled(4, 5, (plan) => (plan.cranes[0]!.cab = { ahead: 0, left: 0, height }))).verdict;
    expect(high(2)).toBe('missing');
    expect(high(40)).toBe('clear');
    expect(say(walled(4, 5, (plan) => (plan.cranes[0]!.cab = { ahead: 0, left: 0, height: 2 })))).toMatch(/^From the cab/);
  });

  test('the eyes go round with the boom', () => {
    const cab = { ahead: 2, left: 1, height: 3 };
    expect(eyeOf(cab, { x: 10, y: 5 }, 90)).toMatchObject({ x: expect.closeTo(9, 9) as number, y: expect.closeTo(7, 9) as number, z: 3 });
  });

  test('what nobody says of a cab is looked at from all that it may be', () => {
    const of = (cab: Crane['cab'], tower: Crane['tower'] = null) => cabsOf({ cab, pivotHeight: 2, tower } as Crane);
    expect(of({ ahead: 2, left: 1, height: 3 })).toEqual([{ ahead: 2, left: 1, height: 3 }]);
    expect(of({ ahead: 2, left: null, height: 3 })).toEqual([0, -2, 2].map((left) => ({ ahead: 2, left, height: 3 })));
    expect(of({ ahead: null, left: 1, height: 3 }).map(({ ahead }) => ahead)).toEqual([0, -2, 2]);
    expect(of({ ahead: 2, left: 1, height: null }).map(({ height }) => height)).toEqual([2, 1.2, 4]);
    expect(of(null)).toHaveLength(27);
    expect(of(null)[0]).toEqual({ ahead: 0, left: 0, height: 2 });
    expect(cabsOf({ cab: null, pivotHeight: 30, tower: {} } as Crane).map(({ height }) => height)).toEqual([
      ...Array<number>(9).fill(30),
      ...Array<number>(9).fill(26),
    ]);
    // A height of nothing is a height.
    expect(of({ ahead: 0, left: 0, height: 0 })).toHaveLength(1);
  });

  test('seen from over the slew centre, and not from where the cab may be: where it is, is asked; it does not matter where nothing hides', () => {
    const beside = (cab: Crane['cab'], high = 12) => {
      const plan = demoPlan();
      const { at } = plan.stands[0]!;
      const { x, y } = plan.pieces[0]!.start;
      const [dx, dy] = [x - at.x, y - at.y];
      const far = Math.hypot(dx, dy);
      // A thin pole so near, and so far to the right of the line to the load, that only eyes to the right look past it.
      const near = { x: at.x + (dx / far) * 4 + (dy / far) * 0.9, y: at.y + (dy / far) * 4 - (dx / far) * 0.9 };
      plan.site.obstructions = [{ id: 'o', name: 'the mast', at: near, length: 0.4, width: 0.4, azimuthDeg: 0, height: high }];
      plan.cranes[0]!.cab = cab;
      return row(plan);
    };
    const asked = beside(null);
    expect([asked.verdict, asked.about.part]).toEqual(['missing', 'cab']);
    expect(words(asked, 'metric')).toMatch(/^Whether the operator of Bittern 12 sees TB1 .* past the mast depends on the cab\. How high are the eyes/);
    expect(beside({ ahead: 0, left: 0, height: 2 }).verdict).toBe('clear');
    expect(words(beside({ ahead: 0, left: 0, height: 2 }), 'metric')).toMatch(/is seen from the cab on all of its way/);
    expect(beside({ ahead: 0, left: null, height: 2 }).about.part).toBe('cab');
    expect(words(beside(null, 0.3), 'metric')).toMatch(/is seen on all of its way from wherever the cab of Bittern 12 is/);
  });

  test('nobody named calls the crane: it is asked; where nothing is lifted by a crane it is not', () => {
    const called = (caller: string, edit: (plan: Plan) => unknown = () => undefined) => {
      const plan = demoPlan();
      plan.people.caller = caller;
      edit(plan);
      return row(plan, 'lift.caller');
    };
    expect(called('R. Adeyemi').verdict).toBe('clear');
    for (const nobody of ['', '  ', 'caller', 'tbc']) expect(called(nobody).verdict).toBe('missing');
    expect(called('', (plan) => ((plan.picks = []), (plan.moves = [])))).toBeUndefined();
  });
});

describe('a line of sight', () => {
  const seenFrom = (thing: Omit<Obstruction, 'id' | 'name'>, eye: number, load: { at: Vec; z: number }): boolean => {
    const plan = demoPlan();
    plan.site.obstructions = [{ id: 'o', name: 'thing', ...thing }];
    const station = { phase: 'raise' as const, hook: load.at, radius: 1, bearingDeg: 0, pieceDeg: 0, seen: { length: 1, toMiddle: 0 } };
    const path = { stand: { ...plan.stands[0]!, at: { x: 0, y: 0 } }, stations: [station], least: 1, most: 1, slewDeg: 0 };
    const [first] = seenAlong(plan, { ahead: 0, left: 0, height: eye }, path, { lies: load.z, travel: load.z, lands: load.z }, { loadDepth: 0 });
    return first!.hiddenBy === null;
  };
  const within = (p: Vec, outline: readonly Vec[]) => {
    let inside = false;
    for (let i = 0, j = outline.length - 1; i < outline.length; j = i, i += 1) {
      const [a, b] = [outline[i]!, outline[j]!];
      if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    }
    return inside;
  };
  const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

  test('is broken where walking along it meets the thing', () => {
    let [seen, hidden] = [0, 0];
    fc.assert(
      fc.property(
        figure(-9, 9),
        figure(4, 12),
        figure(0.5, 6),
        figure(0.5, 6),
        figure(0, 180),
        figure(0.5, 9),
        figure(0.5, 9),
        figure(0, 9),
        (x, y, length, width, azimuthDeg, height, eye, z) => {
          const at = { x: x / 2, y: y / 1.5 };
          const target = { x, y: y + 6 };
          const outline = rectangle(at, length, width, azimuthDeg);
          let meets = false;
          for (let i = 0; i <= 4000 && !meets; i += 1) {
            const t = i / 4000;
            meets = within({ x: target.x * t, y: target.y * t }, outline) && eye + (z - eye) * t < height - 1e-3;
          }
          const told = !seenFrom({ at, length, width, azimuthDeg, height }, eye, { at: target, z });
          if (meets) {
            hidden += 1;
            expect(told).toBe(true);
          } else seen += 1;
          // What only grazes a corner may be told of though no step along the line falls on it.
          if (told && !meets) {
            const wider = rectangle(at, length + 0.02, width + 0.02, azimuthDeg);
            let near = false;
            for (let i = 0; i <= 20000 && !near; i += 1) {
              const t = i / 20000;
              near = within({ x: target.x * t, y: target.y * t }, wider) && eye + (z - eye) * t < height + 1e-2;
            }
            expect(near).toBe(true);
          }
        },
      ),
      { numRuns: 300 },
    );
    expect(Math.min(seen, hidden)).toBeGreaterThan(30);
  });
});

describe('a blind stretch', () => {
  const one = (hidden: boolean, when: Seen['when'] = 'way', ...seenBy: string[]): Seen => ({
    when,
    at: { x: 0, y: 0, z: 0 },
    hiddenBy: hidden ? 'wall' : null,
    seenBy,
  });

  test('what passes behind a pole for an instant is not lost; what lies or lands behind it is', () => {
    expect(blindParts([one(false), one(true), one(false)])).toEqual([]);
    expect(blindParts([one(false), one(true), one(true), one(false)])).toHaveLength(1);
    expect(blindParts([one(true, 'lies'), one(false)])).toHaveLength(1);
    expect(blindParts([one(false), one(true, 'lands')])).toHaveLength(1);
    expect(blindParts([one(true), one(true), one(false), one(true), one(true)])).toHaveLength(2);
  });

  test('is handed from one to the next, as seldom as may be; a gap nobody sees is nobody’s', () => {
    const part = [one(true, 'way', 'a', 'b'), one(true, 'way', 'a', 'b'), one(true, 'way', 'b', 'c'), one(true, 'way', 'c')];
    expect(watchOver(part)).toEqual(['b', 'c']);
    expect(watchOver([one(true, 'way', 'a'), one(true), one(true, 'way', 'a')])).toBeNull();
    expect(watchOver([one(true, 'way', 'c'), one(true, 'way', 'c')])).toEqual(['c']);
  });
});
