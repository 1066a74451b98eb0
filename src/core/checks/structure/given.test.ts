import { evaluated } from '../../../../tests/evaluated';
import { passengerCanopy } from '../../../../tests/demo-plan';
import { portal } from '../../../../tests/portal';
import { bare, moves, splicedGirder, support } from '../../../../tests/spliced-girder';
import { rulesOf } from '../../rules/rule-sets';
import { beamBodies } from '../../settle/bodies';
import { describe as told } from '../../verdict/describe';
import { checksAt, evaluateWhole } from '../../evaluate';
import { openPlan } from '../../document/open';
import { pickContext } from '../lift/pick-context';
import { Missing } from '../../verdict/missing';
import { settle } from '../../settle/settle';
import type { Make, Plan } from '../../document/schema';

const TODAY = '2026-11-27';
const G = 9.80665;
const opened = (plan: Plan): Plan => {
  const done = openPlan(structuredClone(plan));
  if (!done.ok) throw new Error(done.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return done.plan;
};
const rowsOf = (plan: Plan) => evaluated(opened(plan), TODAY).checks;
const say = (one: Parameters<typeof told>[0]) => told(one, 'metric').replace(/\u00a0/g, ' ');
const bad = (plan: Plan) =>
  rowsOf(plan)
    .filter(({ id, verdict }) => (verdict === 'stop' || verdict === 'missing') && !id.startsWith('hold.'))
    .map((one) => `${one.verdict} ${one.id} ${say(one)}`);

type Plain = Extract<Make['made'], { kind: 'plain' }>;
const truss: Plain = {
  kind: 'plain',
  what: 'roof truss',
  depth: 1.5,
  width: 0.3,
  balance: 7,
  chords: 0.006,
  hangsBy: 'E. Quarrie',
  standsBy: 'E. Quarrie',
};
const made = (changes: Partial<Plain> = {}, mass: number | null = 2000): Make => ({
  id: 't',
  mark: 'T1',
  made: { ...truss, ...changes },
  length: 16,
  grade: '',
  yield: null,
  mass,
  allowance: 0,
  attachments: [],
});

/** A truss on two piers, hung by a crane somebody else has worked out. */
function onPiers(make = made(), edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = bare('us-asd');
  plan.structure = {
    makes: [make],
    pieces: [{ id: 'a', mark: 'T1', make: 't', weighed: null, from: { x: 0, y: 0, z: 5 }, to: { x: 16, y: 0, z: 5 } }],
    supports: [
      support('A', 'Pier 1', 'a', 0.5, { along: 'fixed', capacityBasis: 'allowable', twistHolds: 90e3 }),
      support('B', 'Pier 2', 'a', 15.5, { capacityBasis: 'allowable', twistHolds: 90e3 }),
    ],
    joints: [],
    braces: [],
    loads: [],
  };
  plan.moves = moves(
    { kind: 'support.ready', support: 'A' },
    { kind: 'support.ready', support: 'B' },
    { kind: 'piece.hang', beam: 'a', by: 'mobile crane, lift card 1', checkedBy: 'L. Marsh' },
    { kind: 'piece.letGo', beam: 'a', keeps: 0 },
  );
  edit(plan);
  return plan;
}

describe('what is no section, standing', () => {
  test('with its outline, weight, balance point and who has checked it, nothing is asked', () => expect(bad(onPiers())).toEqual([]));

  test('its supports share it by levers from its balance point', () => {
    const rows = rowsOf(onPiers());
    const load = (id: string) => rows.find((one) => one.id === 'support.load' && one.about.id === id)!.demand!;
    expect(load('A')).toBeCloseTo((2000 * G * (15.5 - 7)) / 15, 1);
    expect(load('B')).toBeCloseTo((2000 * G * (7 - 0.5)) / 15, 1);
    const by = rows.find(({ id }) => id === 'beam.checkedBy')!;
    expect([by.verdict, by.ratio]).toEqual(['tight', null]);
    expect(say(by)).toBe('T1 on its seats, joints and braces: its strength was checked by E. Quarrie, not here.');
  });

  test.each([
    ['how deep', { depth: null }, /missing make.size How deep and how wide is T1 \(roof truss\)/],
    ['how wide', { width: null }, /missing make.size How deep and how wide is T1 \(roof truss\)/],
    ['where it balances', { balance: null }, /missing make.balance Where does T1 \(roof truss\) balance/],
    ['a balance point past its end', { balance: 16.5 }, /missing make.balance T1 is 16.00 m long and is said to balance 16.50 m/],
    [
      'who has checked it as it stands',
      { standsBy: '' },
      /missing beam.checkedBy The strength of T1 on its seats, joints and braces is not worked out here. Who has checked it\?/,
    ],
    ['a name that is none', { standsBy: 'x' }, /missing beam.checkedBy/],
  ])('%s is asked', (_, changes, words) => expect(bad(onPiers(made(changes as Partial<Plain>))).join('\n')).toMatch(words));

  test('while nobody says where it balances, what its supports carry is not known', () => {
    const rows = rowsOf(onPiers(made({ balance: null })));
    expect(rows.filter(({ id }) => id === 'support.load').map(({ verdict }) => verdict)).toEqual(['missing', 'missing']);
    expect(say(rows.find(({ id }) => id === 'line.stands')!)).toMatch(/Where does T1 balance, from its first end\?/);
  });

  test.each([
    ['millimetres taken as metres', { depth: 150 }],
    ['a width in the wrong unit', { width: 0.0003 }],
    ['an area in mm² taken as m²', { chords: 6000 }],
  ])('%s is asked about', (_, changes) => expect(bad(onPiers(made(changes))).join('\n')).toMatch(/missing said\.size T1/));

  test('what it weighs is asked', () => expect(bad(onPiers(made({}, null))).join('\n')).toMatch(/missing beam.weight What does T1 weigh\?/));

  test('a third support, or a splice, is asked about', () => {
    const third = onPiers(made(), (p) => {
      p.structure.supports.push(support('C', 'Pier 3', 'a', 8, {}));
      p.moves.unshift(...moves({ kind: 'support.ready', support: 'C' }));
    });
    expect(bad(third).join('\n')).toMatch(/missing line.stands T1 is no section, and how stiff it is is not known/);
  });

  test('spliced to another piece it is asked about, on two supports too', () => {
    const plan = splicedGirder('us-asd');
    plan.structure.makes[0]! = { ...plan.structure.makes[0]!, made: truss, mass: 4000 };
    // At the end, the bent gone, the two lie on two piers.
    const end = checksAt(evaluateWhole(opened(plan), TODAY), plan.moves.at(-1)!.id).find(({ id }) => id === 'line.stands')!;
    expect([end.verdict, say(end)]).toEqual(['missing', expect.stringMatching(/G1a is no section, and how stiff it is is not known/)]);
  });

  test('where it ties no columns the area of its chords is not asked', () => {
    const plan = portal();
    plan.structure.makes[2]! = { ...plan.structure.makes[2]!, made: { ...truss, balance: 2.5, depth: 0.26, chords: null }, mass: 165 };
    expect(bad(plan)).toEqual([]);
  });

  test('stood up, who has checked it is asked and answers for its strength', () => {
    const upright = (standsBy: string) =>
      onPiers(made({ standsBy }), (p) => {
        Object.assign(p.structure.pieces[0]!, { to: { x: 0, y: 0, z: 21 } });
        p.structure.supports[0]!.seats[0]!.at = 0;
      });
    expect(bad(upright('')).join('\n')).toMatch(/missing beam.checkedBy/);
    expect(bad(upright('E. Quarrie')).join('\n')).not.toMatch(/beam.checkedBy/);
  });

  test('between columns the area of its chords is asked, and with it the frame is worked out', () => {
    const frame = (chords: number | null) => {
      const plan = portal();
      plan.structure.makes[1]! = { ...plan.structure.makes[1]!, made: { ...truss, balance: 3, depth: 0.3, chords }, mass: 360 };
      return plan;
    };
    expect(bad(frame(null)).join('\n')).toMatch(/missing frame.sway What area do the chords of B1 have together/);
    expect(bad(frame(0.005))).toEqual([]);
    // Soft chords let the frame lean further.
    const pulls = (chords: number) => rowsOf(frame(chords)).find(({ id, about }) => id === 'brace.sway' && about.id === 'y1')!.demand!;
    expect(pulls(1e-7)).toBeGreaterThan(pulls(0.005) * 1.5);
  });

  test('as a column of a frame it is asked about: how it sways is not worked out', () => {
    const plan = portal();
    plan.structure.makes[0]! = { ...plan.structure.makes[0]!, made: { ...truss, balance: 2, depth: 0.3 }, mass: 200 };
    expect(bad(plan).join('\n')).toMatch(/missing frame.sway What is C1 made of\?/);
  });

  test('what its braces are asked to hold is for whoever has checked it', () => {
    const braced = onPiers(made(), (p) => {
      const post = { id: 'y', name: 'Strut', kind: 'strut' as const, a: { piece: 'a', at: 8 }, b: null, anchoredTo: 'pier cap', towardsDeg: 90, slopeDeg: 0 };
      p.structure.braces.push({ ...post, anchor: null, stops: 'sideways', capacity: 1, stiffness: null } as never);
      p.moves.splice(3, 0, ...moves({ kind: 'brace.fix', brace: 'y' }));
    });
    expect(
      rowsOf(braced)
        .filter(({ id }) => id.startsWith('brace.') && id !== 'brace.weight')
        .map(({ id }) => id),
    ).not.toContain('brace.force');
    expect(rowsOf(braced).some(({ id }) => id === 'beam.checkedBy')).toBe(true);
  });

  test('takes up the room of its outline, and none while that is not known', () => {
    const room = (changes: Partial<Plain>) => beamBodies(onPiers(made(changes)), rulesOf('us-asd', {}));
    expect(room({})).toHaveLength(1);
    expect(room({})[0]!.to - room({})[0]!.from).toBeCloseTo(1.5, 6);
    expect(room({ depth: null })).toEqual([]);
    // Stood up too.
    const upright = onPiers(made(), (p) => Object.assign(p.structure.pieces[0]!, { to: { x: 0, y: 0, z: 21 } }));
    expect(beamBodies(upright, rulesOf('us-asd', {})).map(({ to, from }) => to - from)).toEqual([16]);
  });
});

describe('what is no section, on the hook', () => {
  /** The first beam of the canopy, as a plain thing of its length and more weight. */
  const lifted = (changes: Partial<Plain> = {}, mass: number | null = 900): Plan => {
    const plan = passengerCanopy();
    const beam = plan.structure.pieces.find(({ id }) => id === 'along-0-0-0')!;
    const old = plan.structure.makes.find(({ id }) => id === beam.make)!;
    plan.structure.makes.push({ ...made({ balance: 2.2, depth: 0.8, ...changes }, mass), id: 'lump', length: old.length });
    beam.make = 'lump';
    return plan;
  };
  const about = (plan: Plan) => {
    const pick = plan.picks.find((one) => one.piece === 'along-0-0-0')!.id;
    return rowsOf(plan).filter((one) => one.about.kind === 'pick' && one.about.id === pick);
  };
  const verdict = (plan: Plan, id: string) => about(plan).filter((one) => one.id === id);

  test('its slings, chart and wind go by its weight, balance point and outline', () => {
    const plan = settle(opened(lifted()));
    const context = pickContext(
      plan,
      plan.picks.find((one) => one.piece === 'along-0-0-0')!,
    );
    const { weight, hanging, gross } = context;
    if (weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging || gross instanceof Missing) throw new Error('not known');
    expect([weight.mass, weight.cg.x, weight.section.depth]).toEqual([900, 2.2, 0.8]);
    expect(gross.mass).toBeGreaterThan(900);
    // The balance point is nearer the left pick: the left end hangs low, and its leg carries more.
    expect(hanging.tiltDeg).toBeGreaterThan(0);
    expect(hanging.tension[0]!).toBeGreaterThan(hanging.tension[1]!);
    expect(verdict(lifted(), 'lift.chart')[0]!.verdict).not.toBe('missing');
    expect(verdict(lifted(), 'lift.wind')[0]!.verdict).not.toBe('missing');
  });

  test('its strength is for a named person, told how it hangs', () => {
    const [asked] = verdict(lifted({ hangsBy: '' }), 'pick.checkedBy');
    expect(asked!.verdict).toBe('missing');
    expect(say(asked!)).toMatch(
      /The strength of B-AB1 as it hangs from [\d.]+ m and [\d.]+ m off its ends, pressed between them with [\d.]+ kN is not worked out here/,
    );
    const [by] = verdict(lifted(), 'pick.checkedBy');
    expect(by!.verdict).toBe('tight');
    expect(say(by!)).toMatch(/its strength was checked by E. Quarrie, not here/);
    expect(verdict(lifted(), 'pick.bending')).toEqual([]);
    expect(verdict(lifted(), 'pick.hanging')).toEqual([]);
  });

  test('rolled upright, it is not bent about a weak axis that nobody knows', () => {
    const plan = lifted();
    plan.structure.pieces.find(({ id }) => id === 'along-0-0-0')!.lies!.onSide = true;
    plan.picks.find((one) => one.piece === 'along-0-0-0')!.roll = { by: 'A. Ferreira', holdBack: 'a lever hoist to a block', edgeCarries: 90e3 };
    expect(verdict(plan, 'turn.edge')).toHaveLength(1);
    expect(verdict(plan, 'turn.bending')).toEqual([]);
  });

  test.each([
    ['its outline', { depth: null }, 900],
    ['its balance point', { balance: null }, 900],
    ['its weight', {}, null],
  ])('without %s nothing of the lift is clear', (_, changes, mass) => {
    const plan = lifted(changes as Partial<Plain>, mass);
    for (const id of ['lift.chart', 'rigging.tension', 'lift.headRoom']) expect(verdict(plan, id).map((one) => one.verdict)).toEqual(['missing']);
    expect(
      about(plan)
        .filter((one) => one.verdict === 'clear' && /^(lift|rigging)\.(?!chartBase)/.test(one.id) && one.demand !== null)
        .map(({ id }) => id),
    ).toEqual([]);
  });
});
