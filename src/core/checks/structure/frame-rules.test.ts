import { bare, moves, support } from '../../../../tests/spliced-girder';
import { guy, joint, portal } from '../../../../tests/portal';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import type { Plan, Support } from '../../document/schema';

const rowsOf = (plan: Plan) => {
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return evaluate(opened.plan, '2026-11-27').checks;
};
const verdicts = (plan: Plan, id: string): string[] =>
  rowsOf(plan)
    .filter((one) => one.id === id)
    .map(({ verdict, about, move }) =>
      `${verdict} ${about.id}${about.part ? ` ${about.part}` : ''} ${move === null ? '' : plan.moves.find((one) => one.id === move)!.kind}`.trim(),
    );
const edited = (edit: (plan: Plan) => unknown, make = portal): Plan => {
  const plan = make();
  edit(plan);
  return plan;
};

describe('what stands under a base plate until it is grouted', () => {
  const under = (what: NonNullable<Support['anchors']>['under']) => edited((p) => (p.structure.supports[0]!.anchors!.under = what));

  test('grouted: nothing is asked; not said: asked', () => {
    expect(verdicts(portal(), 'anchors.under')).toEqual([]);
    expect(verdicts(under(null), 'anchors.under')).toEqual(['missing f1 piece.letGo']);
    expect(
      verdicts(
        edited((p) => delete p.structure.supports[1]!.anchors!.under),
        'anchors.under',
      ),
    ).toEqual(['missing f2 piece.letGo']);
  });

  test('shims carry what comes down, at the move at which most does', () => {
    expect(verdicts(under({ kind: 'shims', carry: null }), 'anchors.under')).toEqual(['missing f1 piece.letGo']);
    expect(verdicts(under({ kind: 'shims', carry: 200e3 }), 'anchors.under')).toEqual(['clear f1 load.on']);
    // Half of the beam, a quarter of the joist, half of the deck and the column: some 8 kN.
    expect(verdicts(under({ kind: 'shims', carry: 5e3 }), 'anchors.under')).toEqual(['stop f1 load.on']);
  });

  test('rods are short struts, by hand: 4 of 20 mm, 60 mm free', () => {
    const rods = (changes: object = {}) => under({ kind: 'bareRods', rods: 4, diameter: 0.02, free: 0.06, yield: 248e6, ...changes });
    const row = rowsOf(rods()).find(({ id }) => id === 'anchors.under')!;
    // A 235.6 mm² each, r = √0.75·20/4 = 4.33 mm, KL/r = 1.2·60/4.33 = 16.6, Fe = π²·200e9/16.6² = 7,140 MPa, Fcr = 0.658^(248/7140)·248 = 244.4 MPa, /1.67.
    expect(row.verdict).toBe('clear');
    expect(row.capacity! / 4).toBeCloseTo((235.6e-6 * 244.4e6) / 1.67, -2);
    for (const unknown of ['yield', 'diameter', 'free']) expect(verdicts(rods({ [unknown]: null }), 'anchors.under')).toEqual(['missing f1 piece.letGo']);
    expect(verdicts(rods({ free: 1.2, diameter: 0.012 }), 'anchors.under')[0]).toMatch(/^stop f1/);
    // By the European rules a bar as stocky as that (λ̄ 0.19, under 0.2) yields whole: 0.75·π·20²/4 · 248.
    const row2 = rowsOf(
      edited(
        (p) => (p.job.ruleSet = 'eu-ls'),
        () => rods(),
      ),
    ).find(({ id }) => id === 'anchors.under')!;
    expect(row2.capacity! / 4).toBeCloseTo(235.62e-6 * 248e6, -1);
  });
});

/** Two joists side by side on two walls, bridged to each other. */
function joists(span: number, rows: number[]): Plan {
  const plan = bare('us-asd');
  plan.structure = {
    makes: [
      {
        id: 'm',
        mark: 'J',
        made: { kind: 'section', section: 'W21x44' },
        length: span,
        grade: 'A992',
        yield: null,
        mass: null,
        allowance: null,
        attachments: [],
        joist: true,
      },
      {
        id: 'wl',
        mark: 'W',
        made: { kind: 'section', section: 'W21x44' },
        length: 4,
        grade: 'A992',
        yield: null,
        mass: null,
        allowance: null,
        attachments: [],
      },
    ],
    pieces: [
      { id: 'j1', mark: 'J1', make: 'm', weighed: null, from: { x: 0, y: 0, z: 5 }, to: { x: span, y: 0, z: 5 } },
      { id: 'j2', mark: 'J2', make: 'm', weighed: null, from: { x: 0, y: 2, z: 5 }, to: { x: span, y: 2, z: 5 } },
      { id: 'g1', mark: 'G1', make: 'wl', weighed: null, from: { x: 0, y: -1, z: 4.4 }, to: { x: 0, y: 3, z: 4.4 } },
      { id: 'g2', mark: 'G2', make: 'wl', weighed: null, from: { x: span, y: -1, z: 4.4 }, to: { x: span, y: 3, z: 4.4 } },
    ],
    supports: ['g1', 'g2'].flatMap((g) => [0.2, 3.8].map((at, n) => support(`${g}${n}`, `Wall ${g}${n}`, g, at, { along: n === 0 ? 'fixed' : 'free' }))),
    joints: ['j1', 'j2'].flatMap((j, n) => [
      joint({ id: `${j}a`, kind: 'onWeb', a: { piece: j, at: 0 }, b: { piece: 'g1', at: 1 + 2 * n } }),
      joint({ id: `${j}b`, kind: 'onWeb', a: { piece: j, at: span }, b: { piece: 'g2', at: 1 + 2 * n } }),
    ]),
    braces: rows.map((at, n) => ({
      ...guy(`r${n}`, 0),
      kind: 'bridging' as const,
      a: { piece: 'j1', at },
      b: { piece: 'j2', at },
      towardsDeg: null,
      stops: 'twist' as const,
    })),
    loads: [{ id: 'd', what: 'deck', piece: 'j1', at: span / 2, force: 4e3, bundle: { force: 12e3, joists: 3, edge: 0.2, by: 'R. Linden' } }],
  };
  const bolt = (id: string) => ({ kind: 'joint.make' as const, joint: id, pins: 0, bolts: 4, tight: true, fit: 'drawn' as const });
  plan.moves = moves(
    ...plan.structure.supports.map(({ id }) => ({ kind: 'support.ready' as const, support: id })),
    ...['g1', 'g2'].flatMap((beam) => [
      { kind: 'piece.hang' as const, beam, by: 'hands', checkedBy: 'R. Linden' },
      { kind: 'piece.letGo' as const, beam, keeps: 0 },
    ]),
    ...['j1', 'j2'].flatMap((beam) => [{ kind: 'piece.hang' as const, beam, by: 'two hooks', checkedBy: 'R. Linden' }, bolt(`${beam}a`), bolt(`${beam}b`)]),
    ...rows.map((_, n) => ({ kind: 'brace.fix' as const, brace: `r${n}` })),
    ...['j1', 'j2'].map((beam) => ({ kind: 'piece.letGo' as const, beam, keeps: 0 })),
    { kind: 'load.on', load: 'd' },
  );
  return plan;
}
const RULES = ['joist.ends', 'joist.bridging', 'joist.tandem'];
const joistRows = (plan: Plan) => RULES.flatMap((id) => verdicts(plan, id).map((one) => `${id} ${one.replace(' piece.letGo', '')}`));
const drop = (plan: Plan, gone: (move: Plan['moves'][number]) => boolean) => (plan.moves = plan.moves.filter((move) => !gone(move)));
const later = (plan: Plan, brace: string) => {
  const move = plan.moves.find((one) => one.kind === 'brace.fix' && one.brace === brace)!;
  drop(plan, (one) => one === move);
  plan.moves.push(move);
};

describe('joists, by their span', () => {
  test('short ones are fixed at both ends; no bridging is asked for', () => {
    expect(joistRows(joists(9, []))).toEqual(['joist.ends clear j1', 'joist.ends clear j2']);
    expect(
      joistRows(
        edited(
          (p) => drop(p, (one) => one.kind === 'joint.make' && one.joint === 'j2b'),
          () => joists(9, []),
        ),
      ),
    ).toContain('joist.ends stop j2');
  });

  test('over 40 ft one row near the middle is in before the hook goes', () => {
    expect(joistRows(joists(15, [7.5]))).toEqual(['joist.ends clear j1', 'joist.ends clear j2', 'joist.bridging clear j1', 'joist.bridging clear j2']);
    expect(joistRows(joists(15, []))).toContain('joist.bridging missing j1');
    expect(joistRows(joists(15, [3]))).toContain('joist.bridging stop j2');
    expect(
      joistRows(
        edited(
          (p) => later(p, 'r0'),
          () => joists(15, [7.5]),
        ),
      ),
    ).toContain('joist.bridging stop j1');
    // 12.192 m is 40 ft: at it none, just over it one.
    expect(joistRows(joists(12.19, []))).toHaveLength(2);
    expect(joistRows(joists(12.2, []))).toContain('joist.bridging missing j1');
  });

  test('over 60 ft all rows are in, and they stand in tandem', () => {
    const long = () => joists(20, [5, 10, 15]);
    expect(joistRows(long())).toEqual(RULES.flatMap((id) => [`${id} clear j1`, `${id} clear j2`]));
    expect(joistRows(edited((p) => later(p, 'r2'), long))).toContain('joist.bridging stop j1');
    const alone = () => edited((p) => p.structure.braces.forEach((one) => Object.assign(one, { b: null, anchoredTo: 'wall' })), long);
    expect(joistRows(alone())).toContain('joist.tandem stop j1');
    expect(joistRows(edited((p) => (p.structure.makes[0]!.otherWayBy = 'R. Linden'), alone))).toContain('joist.tandem clear j1');
    expect(joistRows(edited((p) => (p.structure.makes[0]!.otherWayBy = '-'), alone))).toContain('joist.tandem stop j1');
  });

  const bundles: [string, (plan: Plan) => unknown, string][] = [
    ['nothing said of it', (p) => delete p.structure.loads[0]!.bundle, 'missing j1 d said load.on'],
    ['heavier than 4,000 lb', (p) => (p.structure.loads[0]!.bundle!.force = 18e3), 'stop j1 d weight load.on'],
    ['on two joists', (p) => (p.structure.loads[0]!.bundle!.joists = 2), 'stop j1 d joists load.on'],
    ['far from the bearing', (p) => (p.structure.loads[0]!.bundle!.edge = 0.4), 'stop j1 d edge load.on'],
    ['found by nobody', (p) => (p.structure.loads[0]!.bundle!.by = 'engineer'), 'missing j1 d by load.on'],
    ['no bridging is in', (p) => later(p, 'r0'), 'stop j1 d bridging load.on'],
    ['one end loose', (p) => drop(p, (one) => one.kind === 'joint.make' && one.joint === 'j1a'), 'stop j1 d ends load.on'],
  ];
  test('a bundle as the rule lists it comes on', () => {
    expect(verdicts(joists(15, [7.5]), 'joist.bundle').every((one) => one.startsWith('clear'))).toBe(true);
    expect(verdicts(joists(15, [7.5]), 'joist.bundle')).toHaveLength(5);
  });
  test.each(bundles)('a bundle: %s', (_, edit, wanted) => {
    expect(
      verdicts(
        edited(edit, () => joists(15, [7.5])),
        'joist.bundle',
      ),
    ).toContain(wanted);
  });
});

describe('decks and studs', () => {
  const high = (rise: number) =>
    edited((p) => {
      for (const make of p.structure.makes) if (make.id === 'col') make.length = 4 + rise;
      for (const one of p.structure.pieces) {
        if (one.make === 'col') one.to!.z += rise;
        else ((one.from!.z += rise), (one.to!.z += rise));
      }
      for (const one of p.structure.joints) if (one.kind === 'onColumn') one.b.at += rise;
    });

  test('studs that come with a beam are a stop', () => {
    expect(verdicts(portal(), 'studs.early')).toEqual([]);
    expect(
      verdicts(
        edited((p) => (p.structure.makes[1]!.studs = true)),
        'studs.early',
      ),
    ).toEqual(['stop b1 piece.hang']);
  });

  test('more than 30 ft over the ground what is decked is asked; a deck that is down within them answers it', () => {
    expect(verdicts(high(5.4), 'frame.decked')).toEqual([]);
    expect(verdicts(high(5.5), 'frame.decked')).toEqual(['missing b1 piece.hang']);
    const decked = (down: boolean) =>
      edited(
        (p) => {
          p.structure.braces.push({ ...guy('fl', 0), kind: 'deck', a: { piece: 'c1', at: 2 }, b: { piece: 'c2', at: 2 }, towardsDeg: null });
          const at = down ? p.moves.findIndex((one) => one.kind === 'piece.hang' && one.beam === 'b1') : p.moves.length;
          p.moves.splice(at, 0, { id: 'fl', kind: 'brace.fix', brace: 'fl' });
        },
        () => high(6),
      );
    expect(verdicts(decked(true), 'frame.decked')).toEqual([]);
    expect(verdicts(decked(false), 'frame.decked')).toEqual(['stop b1 piece.hang']);
  });
});
