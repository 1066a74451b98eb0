import fc from 'fast-check';
import { calculixCases } from '../../../tests/calculix-cases';
import calculix from './reference/calculix.json' with { type: 'json' };
import { solveContinuous } from '../beams/continuous';
import { runCalc } from '../catalogue/run';
import { solveLine, type LinePiece, type LineStands, type LineSupport } from './line';
import { heldAsItStands } from './mechanism';

const piece = (id: string, from: number, to: number, load = 1000, stiffness = 1e8): LinePiece => ({
  id,
  from,
  to,
  stretches: [{ to, stiffness, load }],
  loads: [],
});
const seat = (id: string, x: number, more: Partial<LineSupport> = {}): LineSupport => ({ id, x, level: 0, spring: null, tie: false, ...more });
const stands = (answer: ReturnType<typeof solveLine>): LineStands => {
  if (!answer.stable) throw new Error('it does not stand');
  return answer;
};
const steps = (input: object) => {
  const outcome = runCalc('stage.line', input);
  if (!outcome.ok) throw new Error(`${outcome.path}: ${outcome.error}`);
  return (outcome.output as { steps: { stable: boolean; reactions?: Record<string, number>; sagging?: number; hogging?: number }[] }).steps;
};
const refusal = (input: object): string => {
  const outcome = runCalc('stage.line', input);
  return outcome.ok ? 'taken' : `${outcome.path}: ${outcome.error}`;
};

describe('one stage of a line', () => {
  test('a beam on two seats: wL/2, wL²/8, and with ends over the seats', () => {
    const plain = stands(solveLine([piece('a', 0, 10)], [seat('A', 0), seat('B', 10)], []));
    expect(plain.reactions.get('A')).toBeCloseTo(5000, 6);
    expect(plain.sagging).toBeCloseTo(12500, 6);
    expect(plain.pieces.get('a')!.shear).toBeCloseTo(5000, 6);
    const over = stands(solveLine([piece('a', 0, 10)], [seat('A', 2), seat('B', 10)], []));
    expect(over.reactions.get('A')).toBeCloseTo(6250, 6);
    expect(over.hogging).toBeCloseTo(2000, 6);
    expect(over.sagging).toBeCloseTo(3750 ** 2 / 2000, 6);
  });

  test('the sag of a simple span is 5wL⁴/384EI, read at a joint put in its middle', () => {
    const halves = stands(solveLine([piece('a', 0, 5), piece('b', 5, 10)], [seat('A', 0), seat('B', 10)], [{ x: 5, angle: 0 }]));
    expect(halves.pieces.get('a')!.right.height).toBeCloseTo((-5 * 1000 * 10 ** 4) / (384 * 1e8), 9);
    expect(halves.pieces.get('b')!.left.height).toBe(halves.pieces.get('a')!.right.height);
    expect(halves.sagging).toBeCloseTo(12500, 5);
  });

  test('three seats by three moments, unequal spans', () => {
    const [l1, l2, w] = [6, 9, 2000];
    const over = (w * (l1 ** 3 + l2 ** 3)) / (8 * (l1 + l2));
    const { reactions, hogging } = stands(solveLine([piece('a', 0, 15, w)], [seat('A', 0), seat('B', 6), seat('C', 15)], []));
    expect(hogging).toBeCloseTo(over, 4);
    expect(reactions.get('B')).toBeCloseTo((w * (l1 + l2)) / 2 + over / l1 + over / l2, 4);
    expect(reactions.get('A')).toBeCloseTo((w * l1) / 2 - over / l1, 4);
  });

  test('a spring gives: two seats and a spring in the middle share as 5wL/8 · k·δ', () => {
    const k = 1e6;
    const delta = (5 * 1000 * 10 ** 4) / (384 * 1e8);
    const flexibility = 10 ** 3 / (48 * 1e8);
    const { reactions } = stands(solveLine([piece('a', 0, 10)], [seat('A', 0), seat('T', 5, { spring: k }), seat('B', 10)], []));
    expect(reactions.get('T')).toBeCloseTo(delta / (flexibility + 1 / k), 4);
  });

  test('a seat too low does not touch, a seat too high lifts the others off', () => {
    const low = stands(solveLine([piece('a', 0, 10)], [seat('A', 0), seat('T', 5, { level: -0.01 }), seat('B', 10)], []));
    expect([...low.reactions.values()].map((one) => Math.round(one))).toEqual([5000, 0, 5000]);
    // In the middle and 100 mm high: it balances on that seat and one of the others, which carries nothing.
    const high = solveLine([piece('a', 0, 10)], [seat('A', 0), seat('T', 4.5, { level: 0.1 }), seat('B', 10)], []);
    expect([...stands(high).reactions.entries()].map(([id, one]) => [id, Math.round(one)])).toEqual([
      ['A', 0],
      ['T', 9091],
      ['B', 909],
    ]);
  });

  test('a tie holds down, a seat does not', () => {
    const beam = [piece('a', 0, 10)];
    expect(solveLine(beam, [seat('A', 0), seat('B', 4)], []).stable).toBe(false);
    const tied = stands(solveLine(beam, [seat('A', 0, { tie: true }), seat('B', 4)], []));
    expect(tied.reactions.get('A')).toBeCloseTo(-2500, 5);
    expect(tied.reactions.get('B')).toBeCloseTo(12500, 5);
  });

  test('a piece tips onto a seat far below rather than fall', () => {
    const { reactions } = stands(solveLine([piece('a', 0, 10)], [seat('A', 0), seat('B', 4), seat('C', 9, { level: -0.5 })], []));
    expect([...reactions.entries()].map(([id, one]) => [id, Math.round(one)])).toEqual([
      ['A', 0],
      ['B', 8000],
      ['C', 2000],
    ]);
  });

  test('a pin carries a drop-in span, and a chain that can fold does not stand', () => {
    const pieces = [piece('a', 0, 12), piece('b', 12, 18), piece('c', 18, 30)];
    const all = [seat('A', 0), seat('B', 10), seat('C', 20), seat('D', 30)];
    const pins = [
      { x: 12, angle: null },
      { x: 18, angle: null },
    ];
    const { reactions, pieces: told, residual } = stands(solveLine(pieces, all, pins));
    // The span between the pins weighs 6 kN, 3 kN on each arm.
    expect(reactions.get('B')).toBeCloseTo((12 * 1000 * 6 + 3000 * 12) / 10, 4);
    expect(told.get('b')!.sagging).toBeCloseTo(4500, 4);
    expect(residual).toBeLessThan(1e-9);
    expect(
      solveLine(
        pieces,
        all.filter(({ id }) => id !== 'A'),
        pins,
      ).stable,
    ).toBe(false);
    expect(solveLine(pieces, [seat('A', 0), seat('B', 10), seat('D', 30)], pins).stable).toBe(false);
  });

  test('nothing under it falls; on one seat under its middle it does not stand', () => {
    expect(solveLine([piece('a', 0, 10)], [], []).stable).toBe(false);
    expect(solveLine([piece('a', 0, 10)], [seat('A', 5)], []).stable).toBe(false);
  });

  test('stiffness and load by stretches: the heavy half draws the balance to itself', () => {
    const uneven: LinePiece = {
      id: 'a',
      from: 0,
      to: 10,
      stretches: [
        { to: 4, stiffness: 1e8, load: 3000 },
        { to: 10, stiffness: 4e8, load: 1000 },
      ],
      loads: [{ x: 8, force: 2000 }],
    };
    const { reactions } = stands(solveLine([uneven], [seat('A', 0), seat('B', 10)], []));
    expect(reactions.get('B')).toBeCloseTo((12000 * 2 + 6000 * 7 + 2000 * 8) / 10, 5);
    expect(reactions.get('A')! + reactions.get('B')!).toBeCloseTo(20000, 5);
  });
});

describe('what holds a line of rigid pieces', () => {
  const body = (before: 'apart' | 'pin' | 'join', from: number, to: number, ...holds: number[]) => ({ from, to, before, holds });
  const cases: [string, ReturnType<typeof body>[], boolean][] = [
    ['two holds', [body('apart', 0, 10, 0, 10)], true],
    ['one hold', [body('apart', 0, 10, 5)], false],
    ['two at one place', [body('apart', 0, 10, 5, 5)], false],
    ['joined over one hold each', [body('apart', 0, 10, 2), body('join', 10, 20, 18)], true],
    ['apart with one hold each', [body('apart', 0, 10, 2), body('apart', 10, 20, 18)], false],
    ['drop-in span', [body('apart', 0, 12, 0, 10), body('pin', 12, 18), body('pin', 18, 30, 20, 30)], true],
    ['hung at one end only', [body('apart', 0, 12, 0, 10), body('pin', 12, 18)], false],
    ['hung and held', [body('apart', 0, 12, 0, 10), body('pin', 12, 18, 17)], true],
    ['a lever led by the next', [body('apart', 0, 12, 3), body('pin', 12, 18, 14, 18)], true],
    ['three levers in a row', [body('apart', 0, 12, 3), body('pin', 12, 18, 14), body('pin', 18, 24, 20, 23)], true],
    ['a lever that turns about its own pin', [body('apart', 0, 12, 12), body('pin', 12, 18, 14, 18)], false],
    ['a lever led by a body that is not held', [body('apart', 0, 12, 3), body('pin', 12, 18), body('pin', 18, 24, 20, 23)], false],
    ['a lever with one hold at the end', [body('apart', 0, 12, 3), body('pin', 12, 18, 14)], false],
    ['held at the pin by what stands before', [body('apart', 0, 12, 0, 10), body('pin', 12, 18, 12)], false],
  ];
  test.each(cases)('%s', (_, pieces, held) => expect(heldAsItStands(pieces)).toBe(held));
});

describe('step by step', () => {
  const two = {
    pieces: [
      { id: 'a', from: 0, to: 20, stiffness: 8e8, load: 7000 },
      { id: 'b', from: 20, to: 40, stiffness: 8e8, load: 7000 },
    ],
    supports: [
      { id: 'A', x: 0.5 },
      { id: 'T', x: 19 },
      { id: 'H', x: 21 },
      { id: 'B', x: 39.5 },
    ],
  };
  const up = [...['A', 'T', 'H', 'B'].map((id) => ({ do: 'support', id })), { do: 'set', id: 'a' }, { do: 'set', id: 'b' }];

  test('joined as it lies nothing moves; the bent struck, the whole sags as one, less what the angle keeps', () => {
    const done = steps({ ...two, steps: [...up, { do: 'join', x: 20, fit: 'asLies' }, { do: 'remove', id: 'T' }, { do: 'remove', id: 'H' }] });
    expect(done[6]!.reactions).toEqual(expect.objectContaining({ T: expect.closeTo(done[5]!.reactions!.T!, 3) }));
    const total = 7000 * 40;
    for (const step of done.slice(5)) expect(Object.values(step.reactions!).reduce((sum, one) => sum + one, 0)).toBeCloseTo(total, 3);
    expect(done[8]!.sagging).toBeCloseTo((7000 * 39 ** 2) / 8 - 7000 * 0.125, 0);
    const pinned = steps({ ...two, steps: [...up, { do: 'pin', x: 20 }, { do: 'remove', id: 'T' }, { do: 'remove', id: 'H' }] });
    expect(pinned[7]).toMatchObject({ stable: true });
    expect(pinned.at(-1)).toEqual({ stable: false });
  });

  test('drawn straight the ends are forced and the seats feel it', () => {
    const lies = steps({ ...two, steps: [...up, { do: 'join', x: 20, fit: 'asLies' }] }).at(-1)!;
    const drawn = steps({ ...two, steps: [...up, { do: 'join', x: 20, fit: 'drawn' }] }).at(-1)!;
    expect(drawn.hogging!).toBeGreaterThan(lies.hogging! * 3);
  });

  test('pin, then join keeps the angle the pin had; freed it is two pieces again', () => {
    const done = steps({ ...two, steps: [...up, { do: 'pin', x: 20 }, { do: 'join', x: 20, fit: 'asLies' }, { do: 'free', x: 20 }] });
    expect(done[7]!.reactions!.T).toBeCloseTo(done[6]!.reactions!.T!, 3);
    expect(done[8]).toEqual(expect.objectContaining({ hogging: expect.closeTo(done[5]!.hogging!, 6) }));
  });

  test('a support that sinks gives its load to the others, one that is raised takes it', () => {
    const three = {
      pieces: [{ id: 'a', from: 0, to: 20, stiffness: 8e8, load: 7000 }],
      supports: [
        { id: 'A', x: 0 },
        { id: 'T', x: 10 },
        { id: 'B', x: 20 },
      ],
    };
    const set = [...['A', 'T', 'B'].map((id) => ({ do: 'support', id })), { do: 'set', id: 'a' }];
    const t = (level: number) => steps({ ...three, steps: [...set, { do: 'level', id: 'T', level }] }).at(-1)!.reactions!.T!;
    const slope = (48 * 8e8) / 20 ** 3;
    expect(t(0)).toBeCloseTo((5 / 8) * 140000, 3);
    expect(t(-0.001)).toBeCloseTo((5 / 8) * 140000 - slope * 0.001, 2);
    expect(t(0.002)).toBeCloseTo((5 / 8) * 140000 + slope * 0.002, 2);
  });

  test('every refusal names its place', () => {
    const one = {
      pieces: [{ id: 'a', from: 0, to: 10, stiffness: 1e8, load: 1000 }],
      supports: [
        { id: 'A', x: 0 },
        { id: 'B', x: 10 },
      ],
    };
    const set = [
      { do: 'support', id: 'A' },
      { do: 'support', id: 'B' },
      { do: 'set', id: 'a' },
    ];
    const told: [object, string][] = [
      [{ ...two, supports: [{ id: 'A', x: 20 }], steps: [] }, 'supports[0].x'],
      [{ ...one, pieces: [one.pieces[0], { ...one.pieces[0], id: 'b', from: 8, to: 12 }], steps: [] }, 'overlap'],
      [{ ...one, pieces: [one.pieces[0], one.pieces[0]], steps: [] }, 'twice'],
      [
        {
          ...one,
          supports: [
            { id: 'A', x: 0 },
            { id: 'B', x: 0 },
          ],
          steps: [],
        },
        'both at',
      ],
      [
        {
          ...one,
          supports: [
            { id: 'A', x: 0 },
            { id: 'A', x: 3 },
          ],
          steps: [],
        },
        'twice',
      ],
      [{ ...one, pieces: [{ ...one.pieces[0], to: 0 }], steps: [] }, 'pieces[0].to'],
      [{ ...one, steps: [{ do: 'set', id: 'z' }] }, 'no piece z'],
      [{ ...one, steps: [{ do: 'support', id: 'z' }] }, 'no support z'],
      [{ ...one, steps: [{ do: 'remove', id: 'A' }] }, 'does not stand'],
      [{ ...one, steps: [...set, { do: 'set', id: 'a' }] }, 'set already'],
      [{ ...one, steps: [...set, { do: 'support', id: 'A' }] }, 'stands already'],
      [{ ...one, steps: [...set, { do: 'load', x: 11, force: 1 }] }, 'No set piece'],
      [{ ...one, steps: [...set, { do: 'pin', x: 10 }] }, 'No two pieces meet'],
      [{ ...one, steps: [...set, { do: 'free', x: 10 }] }, 'Nothing is pinned'],
      [
        {
          ...two,
          steps: [
            { do: 'support', id: 'A' },
            { do: 'support', id: 'T' },
            { do: 'set', id: 'a' },
            { do: 'pin', x: 20 },
          ],
        },
        'not set yet',
      ],
      [{ ...two, steps: [...up, { do: 'pin', x: 20 }, { do: 'pin', x: 20 }] }, 'joined already'],
      [{ ...two, steps: [...up, { do: 'load', x: 20, force: 5 }] }, 'not joined'],
      [{ ...two, steps: [...up, { do: 'pin', x: 20 }, { do: 'load', x: 20, force: 5 }, { do: 'free', x: 20 }] }, 'A load stands'],
    ];
    for (const [input, words] of told) expect(refusal(input)).toContain(words);
  });

  test('a load on joined ends counts once', () => {
    const done = steps({ ...two, steps: [...up, { do: 'pin', x: 20 }, { do: 'load', x: 20, force: 50000 }] });
    const sum = (n: number) => Object.values(done[n]!.reactions!).reduce((total, one) => total + one, 0);
    expect(sum(7) - sum(6)).toBeCloseTo(50000, 3);
  });
});

describe('whatever the line', () => {
  const lines = fc.record({
    lengths: fc.array(fc.double({ min: 3, max: 30, noNaN: true }), { minLength: 1, maxLength: 4 }),
    seats: fc.array(
      fc.record({
        at: fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        level: fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        spring: fc.option(fc.double({ min: 1e6, max: 1e9, noNaN: true }), { nil: null }),
      }),
      { minLength: 2, maxLength: 7 },
    ),
    joined: fc.constantFrom('join', 'pin', 'apart'),
    load: fc.double({ min: 500, max: 20000, noNaN: true }),
  });
  const build = ({
    lengths,
    seats,
    joined,
    load,
  }: {
    lengths: number[];
    seats: { at: number; level: number; spring: number | null }[];
    joined: string;
    load: number;
  }) => {
    const ends = lengths.reduce<number[]>((all, l) => [...all, all.at(-1)! + l], [0]);
    const whole = ends.at(-1)!;
    const pieces = lengths.map((_, i) => piece(`p${i}`, ends[i]!, ends[i + 1]!, load, 5e8));
    const supports = seats
      .map(({ at, level, spring }, i) => seat(`s${i}`, at * whole, { level, spring }))
      .filter(({ x }, i, all) => all.findIndex((one) => Math.abs(one.x - x) < 0.05) === i && ends.every((end) => Math.abs(end - x) > 0.01));
    const joints = joined === 'apart' ? [] : ends.slice(1, -1).map((x) => ({ x, angle: joined === 'pin' ? null : 0 }));
    return { pieces, supports, joints, whole, load };
  };

  test('what stands is in equilibrium, pushes only, and is the same from the other side', () => {
    let stood = 0;
    fc.assert(
      fc.property(lines, (made) => {
        const { pieces, supports, joints, whole, load } = build(made);
        const answer = solveLine(pieces, supports, joints);
        const mirrored = solveLine(
          pieces.map((one) => piece(one.id, whole - one.to, whole - one.from, load, 5e8)),
          supports.map((one) => ({ ...one, x: whole - one.x })),
          joints.map(({ x, angle }) => ({ x: whole - x, angle: angle === null ? null : -angle })),
        );
        expect(mirrored.stable).toBe(answer.stable);
        if (!answer.stable || !mirrored.stable) return;
        stood += 1;
        const total = load * whole;
        expect([...answer.reactions.values()].reduce((sum, one) => sum + one, 0) / total).toBeCloseTo(1, 6);
        const moment = supports.reduce((sum, { id, x }) => sum + (answer.reactions.get(id) ?? 0) * x, 0);
        expect(moment / ((total * whole) / 2)).toBeCloseTo(1, 5);
        for (const reaction of answer.reactions.values()) expect(reaction).toBeGreaterThanOrEqual(0);
        expect(answer.residual).toBeLessThan(1e-5);
        for (const { id } of supports) expect((mirrored.reactions.get(id) ?? 0) / total).toBeCloseTo((answer.reactions.get(id) ?? 0) / total, 5);
      }),
      { numRuns: 300 },
    );
    expect(stood).toBeGreaterThan(60);
  });

  test('joined straight it is the continuous beam that was solved before', () => {
    fc.assert(
      fc.property(lines, (made) => {
        const { pieces, supports, joints, whole, load } = build({ ...made, joined: 'join', seats: made.seats.map((one) => ({ ...one, level: 0 })) });
        const answer = solveLine(pieces, supports, joints);
        const ordered = [...supports].sort((a, b) => a.x - b.x);
        // Balanced within a millimetre it may be called either.
        fc.pre(ordered.every(({ x }) => Math.abs(x - whole / 2) > 0.001));
        const other = solveContinuous({
          length: whole,
          stiffness: 5e8,
          load,
          supports: ordered.map(({ x, spring }) => ({ x, ...(spring === null ? {} : { spring }) })),
          pointLoads: [],
          upliftFree: true,
        });
        expect(answer.stable).toBe(other.stable);
        if (!answer.stable || !other.stable) return;
        ordered.forEach(({ id }, i) => expect((answer.reactions.get(id)! - other.reactions[i]!) / (load * whole)).toBeCloseTo(0, 5));
        expect((answer.sagging - other.maxSagging) / (load * whole * whole)).toBeCloseTo(0, 5);
      }),
      { numRuns: 150 },
    );
  });
});

describe('against CalculiX 2.20 (decks beside the results)', () => {
  test.each(calculixCases.map((one) => [one.name, one] as const))(
    '%s: every reaction and every joint within 0.1 %% of the load and of the sag',
    (name, { pieces, supports, joints }) => {
      const result = calculix.find((one) => one.name === name)!;
      const answer = stands(solveLine(pieces, supports, joints));
      const total = [...answer.reactions.values()].reduce((sum, one) => sum + one, 0);
      for (const [id, reaction] of Object.entries(result.reactions))
        expect(Math.abs(answer.reactions.get(id)! - reaction)).toBeLessThan(0.001 * (reaction || total));
      expect(result.heights).toHaveLength(joints.length);
      for (const { x, height } of result.heights) expect(answer.pieces.get(pieces.find(({ to }) => to === x)!.id)!.right.height).toBeCloseTo(height, 4);
    },
  );
});
