import { asLine, lineIn } from '../../../../tests/of-plan';
import fc from 'fast-check';
import { ticketHall } from '../../../../tests/demo-plan';
import { editedHall as edited, sentenceOf as sentence, shoreChecks as names, type Edit } from '../../../../tests/said';
import { needleRow, onNeedles as onTheirNeedles, steelProp } from '../../../../tests/shores';
import { rulesOf } from '../../rules/rule-sets';
import { Missing } from '../../verdict/missing';
import type { Plan, Watch, ShoreRow } from '../../document/schema';
import { factored, joistOf, lineLoads, rowLine } from '../../settle/shoring';
import { studPlaces } from '../../settle/shore-layout';
import { strikeOf } from './strike';
import { wallTotal } from './walls';

const shoring = lineIn;
const wall = (plan: Plan, id: string) => shoring(plan).walls.find((one) => one.id === id)!;
const storey = (plan: Plan, n: number) => shoring(plan).storeys[n]!;
const officesFirst = (plan: Plan) => lineIn(plan).strike.slice(0, 2);
/** The walls of the hall and no others. */
const hallAlone = (plan: Plan): void => {
  shoring(plan).walls = shoring(plan).walls.filter((one) => one.storey === 'sy0');
  shoring(plan).strike = shoring(plan).strike.slice(2);
};
const known = <T>(value: T | Missing): T => {
  if (value instanceof Missing) throw new Error(value.questions.join(' '));
  return value;
};
const rules = rulesOf('eu-ls', {});

/** The same line on needles and props instead of walls: masonry over, floors bearing on it. */
const row = needleRow;
const onNeedles = (changes: Partial<ShoreRow> = {}, edit: Edit = () => undefined): Plan =>
  edited((p) => {
    onTheirNeedles(p, changes);
    edit(p);
  });
test('the ticket hall on its shores: nothing stops it and nothing is missing', () => {
  expect(names(ticketHall(), 'stop')).toEqual([]);
  expect(names(ticketHall(), 'missing')).toEqual([]);
});
test('the same line on needles and props: nothing stops it either', () => {
  expect(names(onNeedles(), 'stop')).toEqual([]);
  expect(names(onNeedles(), 'missing')).toEqual([]);
});

describe('by hand', () => {
  test('the line: half of 3.6 and 3.2 m of floor and of roof, and the office wall', () => {
    const load = known(lineLoads(asLine(ticketHall()), rules).get('sy0')!);
    expect(load.dead).toBeCloseTo(3.4 * 900 + 1300 + 3.4 * 800, 6);
    expect(load.live).toBeCloseTo(3.4 * 1000 + 3.4 * 600, 6);
  });
  test('a stud of the hall: its floor by lever, half the office wall on the tip, the office stud straight through', () => {
    const plan = ticketHall();
    const office = ((0.8 * 1.35 + 0.6 * 1.5) * 1e3 * 0.4 * 3.6 ** 2) / 2 / 2.7;
    const hall = ((0.9 * 1.35 + 1 * 1.5) * 1e3 * 0.4 * 3.6 ** 2) / 2 / 2.7;
    const tip = (((1300 * 1.35 * 0.4) / 2) * 3.6) / 2.7;
    expect(known(joistOf(asLine(plan), wall(plan, 'sh3'), rules)).shore).toBeCloseTo(office, 6);
    expect(known(joistOf(asLine(plan), wall(plan, 'sh1'), rules)).shore).toBeCloseTo(office + hall + tip, 6);
  });
  test('ten studs 400 mm apart stand evenly in 3.908 m', () => {
    const places = known(studPlaces(asLine(ticketHall()), wall(ticketHall(), 'sh1')));
    expect(places).toHaveLength(10);
    expect(places[0]).toBeCloseTo((3.908 - 3.6) / 2, 9);
  });
  test('needles take the wall and all it carries; where walls hold the floors, the wall and what is above alone', () => {
    const plan = onNeedles();
    const all = known(rowLine(asLine(plan), lineIn(plan).rows[0]!, rules)).line;
    const load = known(lineLoads(asLine(plan), rules).get('sy0')!);
    expect(all).toBeCloseTo(factored(load, rules) + 5200 * 1.35, 6);
    lineIn(plan).walls = lineIn(ticketHall()).walls.filter((one) => one.storey === 'sy0');
    expect(known(rowLine(asLine(plan), lineIn(plan).rows[0]!, rules)).line).toBeCloseTo(factored(load.above, rules) + 5200 * 1.35, 6);
  });
});

/** One fault each: that stop and no other. */
const faults: [string, () => Plan, string, RegExp][] = [
  ['a bearing wall above that nothing holds', () => edited((p) => hallAlone(p)), 'shore.storey Offices', /would hang on the floor below/],
  [
    'joists broken over the line, one side bare',
    () =>
      edited((p) => {
        shoring(p).walls = shoring(p).walls.filter((one) => one.id !== 'sh2');
        shoring(p).strike = [
          ...officesFirst(p),
          { id: 'a', shore: 'sh1', units: [1, 2, 9, 10], together: false },
          { id: 'b', shore: 'sh1', units: [], together: false },
        ];
      }),
    'shore.side Ticket hall',
    /nothing holds the right side/,
  ],
  ['one stud taken out', () => edited((p) => (wall(p, 'sh1').missing = [5])), 'shore.everyJoist Hall wall, left', /no stud under joist 5 of 10/],
  ['a stud free to buckle sideways', () => edited((p) => (wall(p, 'sh1').braces = 0)), 'shore.stud Hall wall, left', /0 row\(s\) of bracing, takes 4.\d+ kN/],
  ['plates that crush', () => edited((p) => (wall(p, 'sh1').plate.width = 0.03)), 'shore.plate Hall wall, left', /across the grain/],
  ['a slab too weak under the sole plate', () => edited((p) => (wall(p, 'sh2').sole.allowable = 100e3)), 'shore.sole Hall wall, right', /presses hall slab/],
  ['no diagonals to speak of', () => edited((p) => (wall(p, 'sh3').bracing = 300)), 'shore.bracing Office wall, left', /hold 0.300 kN/],
  ['joists too slight to overhang', () => edited((p) => (storey(p, 1).joists.depth = 0.06)), 'shore.joist Office wall, left', /Office wall, left/],
  ['no room for the legs of the lifts', () => edited((p) => (shoring(p).room = 1.9)), 'shore.room Ticket hall', /needs 1.90 m/],
  [
    'more on the line than the beam was chosen for',
    () => edited((p) => (p.survey.openings[0]!.lineLoad = 12e3)),
    'shore.line Ticket hall',
    /was chosen for 12.00 kN\/m/,
  ],
  ['plates as high as the room', () => edited((p) => (storey(p, 1).height = 0.1)), 'shore.stud Office wall, left', /no room for a stud/],
  [
    'a slab that cannot hold the shores',
    () => edited((p) => (p.links.find((one) => one.id === 'hallSlab')!.capacity = 80e3)),
    'shorePath.link Hall slab',
    /may carry 80.0 kN/,
  ],
  [
    'struck from the middle outwards',
    () =>
      edited(
        (p) =>
          (shoring(p).strike = [
            ...officesFirst(p),
            ...[5, 4, 3, 2, 1].flatMap((k) => ['sh1', 'sh2'].map((shore) => ({ id: `${shore}${k}`, shore, units: [k, 11 - k], together: shore === 'sh2' }))),
          ]),
      ),
    'shore.strike step 4',
    /After step 4/,
  ],
  ['needles too far apart', () => onNeedles({ spacing: 1.25, count: 4, from: 0.1 }), 'shore.spacing Needles', /1.20 m is the most/],
  ['needles that stop short of the opening', () => onNeedles({ count: 3 }), 'shore.cover Needles', /reaches 1.92 m past the last needle/],
  ['no masonry to arch', () => onNeedles({ over: 0.5 }), 'shore.arch Needles', /there is 0.50 m/],
  ['a needle too slight', () => onNeedles({ needle: { kind: 'steel', section: 'IPE 80', grade: 'S235' } }), 'shore.needle Needles', /IPE 80 takes/],
  ['a prop run out past its end', () => onNeedles({ prop: steelProp({ length: 3.1, leanDeg: 0.5, off: 0.01 }) }), 'shore.prop Needles', /longer than the prop/],
  [
    'a prop of too low a class',
    () =>
      onNeedles({
        spacing: 1.15,
        count: 4,
        from: 0.2,
        prop: steelProp({ class: 'A', length: 3, leanDeg: 0.5, off: 0.01 }),
      }),
    'shore.prop Needles',
    /class A run out to 3.00 m/,
  ],
  ['a prop that leans', () => onNeedles({ prop: steelProp({ length: 2.5, leanDeg: 2, off: 0.01 }) }), 'shore.plumb Needles', /lean 2/],
  ['a load off the middle', () => onNeedles({ prop: steelProp({ length: 2.5, leanDeg: 0, off: 0.04 }) }), 'shore.plumb Needles', /40 mm off the middle/],
  ['a pad too small', () => onNeedles({ pad: { length: 0.2, width: 0.2, allowable: 200e3 } }), 'shore.pad Needles', /200 kPa is allowed/],
  [
    'struck before the dry pack has set',
    () => onNeedles({ packedOn: '2026-11-10', struckOn: '2026-11-12' }),
    'shore.dryPack Needles',
    /2 days after the dry pack; 7/,
  ],
  ['a prop that settled', () => edited((p) => (shoring(p).watch = [reading({ after: 0.107 })])), 'shore.watch Prop 4', /has moved 7 mm/],
  [
    'shares of a shore that go nowhere',
    () => edited((p) => (wall(p, 'sh1').standsOn = [{ link: 'hallSlab', share: 0.5 }])),
    'shorePath.shares Hall wall, left',
    /Only 50/,
  ],
];
function reading(changes: Partial<Watch> = {}) {
  return { id: 'w1', at: 'Prop 4', before: 0.1, after: 0.101, by: 'R. Adeyemi', on: '2026-11-02', ...changes };
}
test.each(faults)('%s: that stop and no other', (_, make, id, words) => {
  const plan = make();
  expect(names(plan, 'stop')).toEqual(id === 'shore.stud Office wall, left' ? [id, 'shore.stud Office wall, right'] : [id]);
  expect(sentence(plan, id)).toMatch(words);
});

/** What is not known is asked, never clear. */
const unknowns: [string, () => Plan, string][] = [
  ['what stands on the line above', () => edited((p) => (storey(p, 1).bears = null)), 'shore.storey Offices'],
  ['what the wall above weighs', () => edited((p) => (storey(p, 1).wall = null)), 'shore.line Ticket hall'],
  ['how far joists span', () => edited((p) => (storey(p, 0).left.span = null)), 'shore.load Hall wall, left'],
  ['what a floor weighs', () => edited((p) => (storey(p, 0).right.dead = null)), 'shore.load Hall wall, right'],
  ['how far apart the joists are', () => edited((p) => (storey(p, 1).joists.spacing = null)), 'shore.load Office wall, left'],
  ['what size the joists are', () => edited((p) => (storey(p, 0).joists.depth = null)), 'shore.joist Hall wall, left'],
  ['a grade of the other code', () => edited((p) => (wall(p, 'sh1').stud.grade = 'SPF No.2')), 'shore.stud Hall wall, left'],
  ['how high the storey is', () => edited((p) => (storey(p, 0).height = null)), 'shore.stud Hall wall, left'],
  ['what the bracing holds', () => edited((p) => Object.assign(wall(p, 'sh1'), { bracing: null, diagonals: null })), 'shore.bracing Hall wall, left'],
  ['what the slab takes', () => edited((p) => (wall(p, 'sh1').sole.allowable = null)), 'shore.sole Hall wall, left'],
  ['what the shores stand on', () => edited((p) => (wall(p, 'sh1').standsOn = [])), 'shorePath.gap Hall wall, left'],
  ['the order of the strike', () => edited((p) => (shoring(p).strike = [])), 'shore.strike Strike'],
  ['when the last come out', () => edited((p) => shoring(p).strike.splice(10)), 'shore.strike Strike'],
  ['the width of the lifts', () => edited((p) => (shoring(p).room = null)), 'shore.room Ticket hall'],
  ['which opening', () => edited((p) => (shoring(p).opening = null)), 'shore.line Ticket hall'],
  ['what the beam was chosen for', () => edited((p) => (p.survey.openings[0]!.lineLoad = null)), 'shore.line Ticket hall'],
  ['any shores at all', () => edited((p) => Object.assign(shoring(p), { walls: [], strike: [] })), 'shore.storey Ticket hall'],
  ['what lifts at the far bearing is held by', () => edited((p) => Object.assign(wall(p, 'sh3'), { setback: 2.2 })), 'shore.holdDown Office wall, left'],
  ['masonry over the needles', () => onNeedles({ over: null }), 'shore.arch Needles'],
  ['how far props are run out', () => onNeedles({ prop: steelProp({ length: null }) }), 'shore.prop Needles'],
  ['how plumb they are', () => onNeedles({ prop: steelProp({ leanDeg: null }) }), 'shore.plumb Needles'],
  ['what the floor takes under the pads', () => onNeedles({ pad: { ...row().pad, allowable: null } }), 'shore.pad Needles'],
  ['what the needles are', () => onNeedles({ needle: { kind: 'steel', section: 'ZZ', grade: 'S275' } }), 'shore.needle Needles'],
  ['what steel they are', () => onNeedles({ needle: { kind: 'steel', section: 'IPE 200', grade: '' } }), 'shore.needle Needles'],
  ['when the dry pack went in', () => onNeedles({ struckOn: '2026-11-12' }), 'shore.dryPack Needles'],
  ['who checked a wall', () => edited((p) => (wall(p, 'sh1').tag.checker = '')), 'shore.register Hall wall, left'],
  ['a second pair of eyes', () => edited((p) => (wall(p, 'sh1').tag.checker = wall(p, 'sh1').tag.designer.toUpperCase())), 'shore.register Hall wall, left'],
  ['how often it is inspected', () => edited((p) => (wall(p, 'sh4').tag.days = null)), 'shore.register Office wall, right'],
  ['a reading before', () => edited((p) => (shoring(p).watch = [reading({ before: null })])), 'shore.watch Prop 4'],
  ['a reading after', () => edited((p) => (shoring(p).watch = [reading({ after: null })])), 'shore.watch Prop 4'],
  ['who read it', () => edited((p) => (shoring(p).watch = [reading({ by: '' })])), 'shore.watch Prop 4'],
];
test.each(unknowns)('%s not known: asked, and nothing is a stop for it', (_, make, id) => {
  const plan = make();
  expect(names(plan, 'missing')).toContain(id);
  expect(names(plan, 'stop')).toEqual([]);
});

describe('joists that run through', () => {
  const through = (edit: Edit = () => undefined) =>
    edited((p) => {
      storey(p, 0).joists.over = 'through';
      shoring(p).strike = [{ id: 'a', shore: 'sh1', units: [], together: false }];
      if (shoring(p).walls.some((one) => one.id === 'sh2')) shoring(p).strike.push({ id: 'b', shore: 'sh2', units: [], together: true });
      edit(p);
    });
  const oneSided = () => through((p) => ((shoring(p).walls = shoring(p).walls.filter((one) => one.id !== 'sh2')), shoring(p).strike.splice(1)));
  test('one side is enough for them to stand, and it is solved', () => {
    expect(names(oneSided(), 'stop').filter((one) => one.startsWith('shore.side'))).toEqual([]);
    expect(sentence(oneSided(), 'shore.storey Ticket hall')).toMatch(/run through/);
  });
  test('by the three-moment theorem: two spans 2.7 and 4.1 m on one shore, R = wL/2 + M(1/l₁ + 1/l₂)', () => {
    const plan = oneSided();
    Object.assign(storey(plan, 1), { bears: 'nothing' });
    shoring(plan).walls = shoring(plan).walls.filter((one) => one.id === 'sh1');
    const w = (0.9 * 1.35 + 1 * 1.5) * 1e3 * 0.4;
    const [l1, l2] = [2.7, 4.1];
    const moment = (w * (l1 ** 3 + l2 ** 3)) / (8 * (l1 + l2));
    expect(known(joistOf(asLine(plan), wall(plan, 'sh1'), rules)).shore).toBeCloseTo((w * (l1 + l2)) / 2 + moment / l1 + moment / l2, 1);
  });
});

describe('sums', () => {
  test('shores and seats sum to what was there at every step, wedged on or not', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0.5, max: 1.5, noNaN: true }), (preload, setback) => {
        const plan = edited((p) => {
          shoring(p).preload = preload;
          wall(p, 'sh1').setback = setback;
          wall(p, 'sh3').setback = setback;
        });
        const answer = known(strikeOf(asLine(plan), rules));
        // The storey above stands on the hall’s shores: what it carries is in theirs already.
        const hall = answer.units.map((unit, i) => ({ unit, i })).filter(({ unit }) => unit.above === null);
        const total = hall.reduce((sum, { unit }) => sum + unit.load, 0);
        for (const step of answer.steps) expect(hall.reduce((sum, { i }) => sum + step.loads[i]!, 0) + step.left + step.right).toBeCloseTo(total, 2);
      }),
      { numRuns: 20 },
    ));
  test('wedged onto the beam first, every step is easier on the shores', () => {
    const worst = (preload: number) =>
      Math.max(...known(strikeOf(asLine(edited((p) => (shoring(p).preload = preload))), rules)).steps.flatMap((step) => step.loads));
    expect(worst(0.5)).toBeLessThan(0.6 * worst(0));
  });
  test('both walls of a storey and their far bearings carry its floors, nothing lost', () => {
    const plan = edited((p) => ((storey(p, 1).bears = 'nothing'), hallAlone(p)));
    for (const side of ['left', 'right'] as const) {
      const shore = shoring(plan).walls.find((one) => one.side === side)!;
      const joist = known(joistOf(asLine(plan), shore, rules));
      expect(joist.shore + joist.farBearing).toBeCloseTo((0.9 * 1.35 + 1 * 1.5) * 1e3 * 0.4 * storey(plan, 0)[side].span!, 6);
    }
    expect(known(wallTotal(asLine(plan), wall(plan, 'sh1'), rules)).load).toBeCloseTo(10 * known(joistOf(asLine(plan), wall(plan, 'sh1'), rules)).shore, 6);
  });
  test('further from the line, more on the shore and more bending: each distance costs', () => {
    let before = 0;
    for (const setback of [0.3, 0.6, 0.9, 1.2, 1.5]) {
      const plan = edited((p) => ((wall(p, 'sh1').setback = setback), (wall(p, 'sh3').setback = setback)));
      const now = known(joistOf(asLine(plan), wall(plan, 'sh1'), rules)).shore;
      expect(now).toBeGreaterThan(before);
      before = now;
    }
  });
});

test('in the other rule set with its own grades everything is worked out by NDS', () => {
  const plan = edited((p) => {
    p.job.ruleSet = 'us-asd';
    shoring(p).preload = 0.45;
    for (const one of shoring(p).walls) {
      one.stud = { width: 0.0381, depth: 0.0889, grade: 'SPF No.2' };
      for (const gap of one.gaps) gap.header.grade = 'DF-L No.2';
    }
    for (const one of shoring(p).storeys) one.joists.grade = 'DF-L No.2';
  });
  expect(names(plan, 'missing')).toEqual([]);
  expect(names(plan, 'stop')).toEqual([]);
  const bare = edited((p) => {
    Object.assign(p, plan);
    lineIn(p).walls.forEach((one) => (one.braces = 0));
  });
  expect(names(bare, 'stop')).toContain('shore.stud Hall wall, left');
});
