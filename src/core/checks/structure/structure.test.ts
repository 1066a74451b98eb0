import { girderLines } from '../../../../tests/girder-lines';
import { moves, splicedGirder, support } from '../../../../tests/spliced-girder';
import { guy, joint, portal } from '../../../../tests/portal';
import { twoPostBent } from '../../../../tests/shores';
import { settle } from '../../settle/settle';
import { bentsUnder } from './bents';
import type { Check } from '../../verdict/check';
import { describe as say } from '../../verdict/describe';
import { checksAt, evaluate, evaluateWhole } from '../../evaluate';
import { openPlan } from '../../document/open';
import { report } from '../../view/report';
import { replay } from '../../replay/replay';
import { rulesOf } from '../../rules/rule-sets';
import { templates } from '../../edit/templates';
import type { Move, Plan } from '../../document/schema';
import { forcesOf, type Line } from './forces';
import { settleBeams } from '../../settle/model';
import { beamAt, loadAt } from '../../replay/moment';

const TODAY = '2026-11-27';
const opened = (plan: Plan): Plan => {
  // A plan that was looked at is not changed: another one is.
  const done = openPlan(structuredClone(plan));
  if (!done.ok) throw new Error(`${done.faults[0]?.path}: ${done.faults[0]?.error}`);
  return done.plan;
};
const OURS = /^(line|beam|support|joint|anchors|column|release|make|moves|lift|bearing|move|shore|frame|group|brace|load|plumb)\./;
const checksOf = (plan: Plan): Check[] => evaluate(opened(plan), TODAY).checks.filter((check) => OURS.test(check.id));
const bad = (plan: Plan): string[] =>
  checksOf(plan)
    .filter(({ verdict }) => verdict === 'stop' || verdict === 'missing')
    .map((check) => `${check.verdict} ${check.id} ${say(check, 'metric').replace(/\u00a0/g, ' ')}`);
const of = (plan: Plan, id: string, about: string): Check => {
  const found = checksOf(plan).find((check) => check.id === id && check.about.id === about);
  if (!found) throw new Error(`${id} ${about} is not there`);
  return found;
};
const edited = (edit: (plan: Plan) => unknown, make = () => splicedGirder('us-asd')): Plan => {
  const plan = make();
  edit(plan);
  return plan;
};
const nth = (plan: Plan, kind: Move['kind'], n = 0) => plan.moves.filter((move) => move.kind === kind)[n] as never as Record<string, unknown>;
const without = (plan: Plan, move: unknown) => (plan.moves = plan.moves.filter((one) => one !== move));

describe('one girder in two pieces, spliced in the air beside a bent that is then struck', () => {
  test('stands at every move, and nothing is asked but the hold points', () => expect(bad(splicedGirder('us-asd'))).toEqual([]));

  test('a support that gives more than it is packed is asked about', () => {
    const bent = of(splicedGirder('us-asd'), 'support.load', 'T').demand! / 1.4;
    const soft = (sinks: number) => bad(edited((p) => (p.structure.supports[1]!.spring = bent / sinks))).join('\n');
    expect(soft(0.2)).toMatch(/missing support.sinks Bent seat gives [\d.]+ mm under the [\d.]+ kN it carries\. Is that how/);
    const tells = (sinks: number) =>
      checksOf(edited((p) => (p.structure.supports[1]!.spring = bent / sinks))).find(({ id }) => id === 'support.sinks')?.verdict;
    expect([tells(0.02), tells(0.06), tells(0.2)]).toEqual([undefined, 'tight', 'missing']);
  });

  test('the loads at every move are those of statics', () => {
    const plan = splicedGirder('us-asd');
    // 0.9 m × 14 mm of web and two flanges of 400 × 30 mm, 36 600 mm² at 7 850 kg/m³; 5 % on it, 1.4 against a design strength.
    const w = 0.0366 * 7850 * 9.80665 * 1.05;
    // At the end 24 m lie on two piers 23.4 m apart, their middle in the middle.
    expect(of(plan, 'support.load', 'A').demand!).toBeCloseTo(1.4 * w * 12, 0);
    expect(of(plan, 'support.load', 'B').demand!).toBeCloseTo(1.4 * w * 12, 0);
    // Joined as it lies the second piece leans on the pier and on the splice, less than on two supports of its own.
    const bent = of(plan, 'support.load', 'T').demand! / 1.4;
    expect(bent).toBeGreaterThan((w * 14 * 6.7) / 11.7);
    expect(bent).toBeLessThan((w * 14 * 6.7) / 11.7 + (w * 5 * 13.7) / 11.7);
    // Simple span between the piers with short ends past them: the moment at the splice, 13.7 m from the first.
    const alone = evaluate(opened(edited((p) => (nth(p, 'joint.make').fit = 'drawn'))), TODAY).checks.find(
      (one) => one.id === 'joint.strength' && one.about.part === 'moment',
    )!;
    expect(alone.demand!).toBeCloseTo(w * 12 * 13.7 - (w * 14 ** 2) / 2, -1);
  });

  test('at every move what stands on the ground is what stands', () => {
    for (const plan of [splicedGirder(), portal(), edited((p) => (nth(p, 'piece.letGo').keeps = 20e3))]) {
      const ready = opened(plan);
      const rules = rulesOf(ready.job.ruleSet, {});
      const beams = settleBeams(ready, rules);
      const { changes } = forcesOf(
        ready,
        beams,
        replay(ready).steps.map(({ after }) => after.structure),
        rules,
      );
      const lines = new Map<string, Line>();
      expect(changes.length).toBeGreaterThan(3);
      for (const { moment, lines: changed } of changes) {
        for (const line of changed) for (const id of line.beams) lines.set(id, line);
        const set = [...beams.values()].filter(({ beam }) => beamAt(moment, beam.id).where === 'set');
        const weight =
          set.reduce((sum, { beam, heavy }) => sum + ('total' in heavy ? heavy.total : NaN) - beamAt(moment, beam.id).kept, 0) +
          ready.structure.loads.reduce((sum, one) => sum + (loadAt(moment, one.id) ? one.force : 0), 0);
        const ground = [...new Set(set.map(({ beam }) => lines.get(beam.id)!))].reduce(
          (sum, line) => sum + [...line.carried.plain].reduce((all, [key, force]) => all + (key.includes('/') ? force : 0), 0),
          0,
        );
        expect(ground / (weight || 1)).toBeCloseTo(set.length > 0 ? 1 : 0, 6);
      }
    }
  });

  test('moves tell only what changed', () => {
    const { moves: told } = report(opened(splicedGirder()), TODAY);
    expect(told[1]!.state).toEqual({ structure: { supports: { A: { stands: true, struck: false, level: null } } } });
    expect(told[4]!.state).toEqual({ structure: { beams: { a: { where: 'hanging', kept: 0 } } } });
  });

  const faults: [string, (plan: Plan) => unknown, RegExp][] = [
    ['the bent is struck before the splice', (p) => p.moves.splice(6, 0, p.moves.pop()!), /stop line.stands G1b \+ G1a|stop line.stands G1a/],
    ['the second piece is let go before it is spliced', (p) => p.moves.splice(6, 0, ...p.moves.splice(7, 1)), /stop (line.stands|release.ends) .*G1b/],
    ['too few holes are filled', (p) => (nth(p, 'joint.make').bolts = 6), /stop joint.filled Splice 1 has 18 of its 48/],
    ['no pins', (p) => ((nth(p, 'joint.make').bolts = 24), (nth(p, 'joint.make').pins = 0)), /stop joint.filled Splice 1 has 0 pins/],
    ['traffic under it', (p) => (p.structure.joints[0]!.traffic = true), /stop joint.filled .*36 are wanted/],
    ['bolts not told tight', (p) => (nth(p, 'joint.make').tight = null), /missing release.ends Are the bolts of Splice 1/],
    ['bolts not counted', (p) => (nth(p, 'joint.make').bolts = null), /missing/],
    ['holes not known', (p) => (p.structure.joints[0]!.holes = null), /missing .*How many holes has Splice 1/],
    ['the pier is not ready', (p) => p.moves.push(...p.moves.splice(2, 1)), /stop move.order .*Pier 2 is ready/],
    ['the pier carries less', (p) => (p.structure.supports[2]!.capacity = 40e3), /stop support.load Pier 2/],
    ['the bent carries less, for a while', (p) => (p.structure.supports[1]!.capacity = 50e3), /stop support.load Bent seat/],
    ['nobody knows what the bent carries', (p) => (p.structure.supports[1]!.capacity = null), /missing support.load What may Bent seat carry/],
    ['the splice is weak', (p) => (p.structure.joints[0]!.moment = 150e3), /stop joint.strength Splice 1 bends/],
    ['the splice has no figure', (p) => (p.structure.joints[0]!.moment = null), /missing joint.strength What moment/],
    ['the girder is slender', (p) => p.structure.makes.forEach((one) => (one.made = { kind: 'section', section: 'W12x26' })), /stop beam.bending/],
    ['nothing keeps it from rolling', (p) => (p.structure.supports.forEach((one) => (one.twist = false)), (p.site.standingGust = 40)), /stop line.roll/],
    [
      'and nobody says what wind',
      (p) => (p.structure.supports.forEach((one) => (one.twist = false)), (p.site.standingGust = null)),
      /missing line.roll What gust/,
    ],
    [
      'and the seats are of no width',
      (p) => p.structure.supports.forEach((one) => Object.assign(one, { twist: false, seatWidth: null })),
      /missing line.roll How wide/,
    ],
    ['nothing holds it along', (p) => p.structure.supports.forEach((one) => (one.along = 'free')), /missing line.along/],
    ['the bent is never struck', (p) => p.moves.pop(), /missing moves.strike/],
    ['the bent is never ready', (p) => without(p, nth(p, 'support.ready', 1)), /missing moves.support|stop move.order/],
    [
      'a piece is listed and not set',
      (p) => p.structure.pieces.push({ ...p.structure.pieces[0]!, id: 'c', mark: 'G2' }),
      /missing moves.beam No move hangs G2/,
    ],
    [
      'a piece is listed and not placed',
      (p) => p.structure.pieces.push({ ...p.structure.pieces[0]!, id: 'c', mark: 'G2', from: null, to: null }),
      /missing beam.placed/,
    ],
    ['the hook never lets go', (p) => without(p, nth(p, 'piece.letGo', 1)), /missing moves.letGo/],
    ['what lifts it is not said', (p) => (nth(p, 'piece.hang').by = ''), /missing lift.by/],
    ['the splice stays half filled', (p) => without(p, nth(p, 'joint.make', 1)), /missing moves.fill Splice 1 ends with 12/],
    ['the ends do not meet', (p) => (p.structure.pieces[1]!.from!.x = 14.4), /missing (joint.meets|beam.length)/],
    ['the length is another', (p) => (p.structure.makes[1]!.length = 9.5), /refused|missing beam.length|missing joint/],
    ['a scale says more', (p) => (p.structure.pieces[0]!.weighed = 9000), /missing beam.weight .*9 000 kg by the scale/],
    ['a section nobody knows', (p) => (p.structure.makes[0]!.made = { kind: 'section', section: 'W999' }), /missing beam.made/],
    ['a grade nobody knows', (p) => (p.structure.makes[0]!.grade = 'good'), /missing beam.bending What yield/],
    [
      'the pier is 200 mm lower than drawn',
      (p) => (p.structure.supports[2]!.measured = { level: 4.8, by: 'T. Hale', on: '2026-11-20' }),
      /stop support.measured Pier 2 is drawn at 5.00 m and was found at 4.80 m/,
    ],
    [
      'a wall where it is to lie',
      (p) => p.site.obstructions.push({ id: 'o', name: 'a gantry', at: { x: 6, y: 0 }, length: 1, width: 1, azimuthDeg: 0, height: 8 }),
      /stop beam.inTheWay G1a is set into a gantry/,
    ],
    [
      'another piece in its place',
      (p) => p.structure.pieces.push({ ...p.structure.pieces[0]!, id: 'c', mark: 'G9', from: { x: 3, y: -1, z: 5.2 }, to: { x: 3, y: 13, z: 5.2 } }),
      /stop beam.inTheWay (G1a is set into G9|G9 is set into G1a)/,
    ],
    [
      'held along at both piers',
      (p) => (p.structure.supports[2]!.along = 'fixed'),
      /missing line.fixedTwice Pier 1 and Pier 2 both hold G1a along, 23.40 m apart: a warm day wants 7 mm/,
    ],
    ['more bolts than holes', (p) => (nth(p, 'joint.make', 1).bolts = 60), /missing joint.holes Splice 1 has 48 holes and ends with 72 bolts/],
    ['the hook keeps more than the piece weighs', (p) => (nth(p, 'piece.letGo').keeps = 80e3), /missing release.keeps The hook is to keep 80.0 kN of G1a/],
    [
      'two piers called one',
      (p) => p.structure.supports[0]!.seats.push(p.structure.supports[2]!.seats[0]!),
      /missing support.seats The seats of Pier 1 lie 23.40 m apart/,
    ],
    ['the seat drawn at another level', (p) => (p.structure.supports[0]!.level = 4.7), /missing support.level Pier 1 is drawn at 4.70 m/],
    [
      'a quarter of the holes is a pin: it folds when the bent goes',
      (p) => ((nth(p, 'joint.make').bolts = 0), without(p, nth(p, 'joint.make', 1))),
      /stop line.stands G1a \+ G1b does not stand/,
    ],
    ['bolts finger-tight', (p) => (nth(p, 'joint.make').tight = false), /stop joint.filled Splice 1 has 12 of its 48/],
    [
      'a grade against its yield',
      (p) => (p.structure.makes[0]!.yield = 250e6),
      /missing make.grade G1a is A992, which yields at 345 MPa, and is said to yield at 250 MPa/,
    ],
    ['no grade', (p) => Object.assign(p.structure.makes[0]!, { grade: '', yield: 345e6 }), /missing make.grade Of what grade is G1a/],
    [
      'a web without stiffeners',
      (p) => (
        (p.structure.supports[1]!.stiffened = false),
        (p.structure.supports[1]!.seatLength = 0.01),
        (p.structure.makes[0]!.made = { kind: 'section', section: 'W24x55' })
      ),
      /support.web|beam.bending/,
    ],
    ['nobody says whether stiffened', (p) => (p.structure.supports[1]!.stiffened = null), /missing support.web Has the web of G1a stiffeners over Bent seat/],
    [
      'a seat of no length',
      (p) => Object.assign(p.structure.supports[1]!, { stiffened: false, seatLength: null }),
      /missing support.web How long is the seat of Bent seat/,
    ],
    ['bolts not told tight at the end', (p) => (nth(p, 'joint.make', 1).tight = null), /missing moves.tight Are all bolts of Splice 1/],
    [
      'concrete of 28 kPa',
      (p) => Object.assign(p.structure.supports[0]!.footing!, { result: 28e3, intended: 30e3 }),
      /missing bearing.concrete .*no concrete has/,
    ],
    ['concrete of 2 800 MPa', (p) => Object.assign(p.structure.supports[0]!.footing!, { result: 2800e6 }), /missing bearing.concrete .*no concrete has/],
    ['a bent nobody surveyed', (p) => (p.structure.supports[1]!.measured = null), /missing support.measured Bent seat is as drawn/],
    ['a second piece on the same hook', (p) => p.moves.splice(4, 0, ...p.moves.splice(5, 1)), /missing lift.hooks G1a still hangs when G1b is hung/],
    ['the bent struck before the splice is filled', (p) => p.moves.splice(8, 0, p.moves.pop()!), /stop move.order .*Splice 1 is filled and tight/],
    [
      'held against rolling at one place only',
      (p) => (p.structure.supports[1]!.twist = false),
      /missing line.twist G1a is kept from rolling over at one place/,
    ],
    ['a pier nobody surveyed', (p) => (p.structure.supports[0]!.measured = null), /missing support.measured Pier 1 is as drawn/],
    ['surveyed by nobody', (p) => (p.structure.supports[0]!.measured!.by = 'x'), /missing support.measured/],
    ['surveyed tomorrow', (p) => (p.structure.supports[0]!.measured!.on = '2026-12-24'), /missing support.measured/],
    ['green concrete', (p) => Object.assign(p.structure.supports[0]!.footing!, { result: 12e6 }), /stop bearing.concrete/],
    ['concrete nobody tested', (p) => Object.assign(p.structure.supports[0]!.footing!, { result: null }), /missing bearing.concrete/],
    ['a pier on nothing', (p) => (p.structure.supports[0]!.footing = null), /missing support.footing What does Pier 1 stand on/],
  ];
  test.each(faults)('%s', (_, edit, words) => {
    const plan = edited(edit);
    const refused = openPlan(plan);
    const said = refused.ok
      ? [
          ...bad(plan),
          ...checksOf(plan)
            .filter(({ verdict }) => verdict === 'tight')
            .map(({ id }) => id),
        ]
      : [`refused ${refused.faults[0]!.error}`];
    expect(said.join('\n')).toMatch(words);
  });

  test('a bent that is raised takes load from the piers, one that is lowered gives it back', () => {
    const at = (level: number | null) => {
      const plan = edited((p) => {
        p.moves.pop();
        p.structure.supports[1]!.capacity = 4e6;
        if (level !== null) p.moves.push(...moves({ kind: 'support.level', support: 'T', level }));
      });
      const told = report(opened(plan), TODAY).moves.at(-1)!.forces!;
      return told.supports;
    };
    const still = report(opened(edited((p) => p.moves.splice(-2))), TODAY).moves.find(({ forces }) => forces?.supports.B !== undefined)!.forces!.supports;
    const [up, down] = [at(5.001), at(4.995)];
    expect(up.T!).toBeGreaterThan(still.T! + 3000);
    expect(down.T!).toBeLessThan(still.T! - 1000);
    for (const one of [up, down]) expect(one.A! + one.T! + one.B!).toBeCloseTo(still.A! + still.T! + still.B!, 3);
  });

  test('a support that gives carries less than one that does not', () => {
    const load = (spring: number | null) =>
      of(
        edited((p) => (p.moves.pop(), (p.structure.supports[1]!.spring = spring))),
        'support.load',
        'T',
      ).demand!;
    expect(load(2e6)).toBeLessThan(load(1e9));
    expect(load(1e12)).toBeCloseTo(load(null), 0);
  });

  test('a hook that keeps part of the weight takes it off the seats', () => {
    const eased = edited((p) => (nth(p, 'piece.letGo').keeps = 20e3));
    expect(of(eased, 'support.load', 'T').demand!).toBeLessThan(of(splicedGirder('us-asd'), 'support.load', 'T').demand! + 1);
    expect(bad(eased).join()).toContain('moves.letGo');
  });
});

describe('columns, a beam between them and a joist on it', () => {
  test('stand', () => expect(bad(portal())).toEqual([]));

  test('loads sum downwards: what a base carries is its column, half the beam and a quarter of what the joist brings', () => {
    const plan = portal();
    const kg = (mass: number) => mass * 9.80665;
    const allowance = 1 + (checksOf(plan).length > 0 ? 0.05 : 0);
    const base = of(plan, 'support.load', 'f1').demand! / 1.4;
    const perMetre = (demand: number) => demand;
    expect(perMetre(base) - 4500).toBeGreaterThan(kg(31 * 1.488 * 4 + (40 * 1.488 * 6) / 2 + (22 * 1.488 * 5) / 4) * 0.99);
    expect(perMetre(base) - 4500).toBeLessThan(kg(31 * 1.488 * 4 + (40 * 1.488 * 6) / 2 + (22 * 1.488 * 5) / 4) * allowance * 1.06);
  });

  const faults: [string, (plan: Plan) => unknown, RegExp][] = [
    ['three anchors', (p) => (p.structure.supports[0]!.anchors!.count = 3), /stop anchors.count Base 1 has 3/],
    ['weak anchors', (p) => (p.structure.supports[0]!.anchors!.tension = 400), /stop anchors.hold 300 lb/],
    ['anchors nearer to the pressed edge than the column', (p) => (p.structure.supports[0]!.anchors!.lever = 0.1), /missing anchors.lever .*Which is wrong/],
    ['anchors three feet for a metre away', (p) => (p.structure.supports[0]!.anchors!.lever! *= 3.28), /missing anchors.lever/],
    ['a column at the pressed edge', (p) => (p.structure.supports[0]!.anchors!.toe! /= 3.28), /missing anchors.lever/],
    ['anchors nobody knows', (p) => (p.structure.supports[0]!.anchors!.lever = null), /missing anchors.hold/],
    ['a repaired anchor', (p) => (p.structure.supports[0]!.anchors!.repaired = true), /missing anchors.repaired/],
    ['no word of anchors', (p) => (p.structure.supports[0]!.anchors = null), /missing anchors.count/],
    ['one bolt an end', (p) => (nth(p, 'joint.make').bolts = 1), /stop release.ends n1 has 1 bolts/],
    ['an end not joined', (p) => without(p, nth(p, 'joint.make', 1)), /stop (release.ends|line.stands)/],
    ['bolts that carry little', (p) => (p.structure.joints[0]!.boltShear = 300), /stop joint.bolts n1 carries/],
    ['bolts nobody knows', (p) => (p.structure.joints[2]!.boltShear = null), /missing joint.bolts What may one bolt of n3/],
    ['shared bolts', (p) => (p.structure.joints[1]!.sharesWith = 'n1'), /stop move.order .*one wrench-tight bolt stays/],
    ['a base that carries too little', (p) => (p.structure.supports[1]!.capacity = 2e3), /stop support.load Base 2/],
    ['the joist before its beam', (p) => p.moves.splice(3, 0, ...p.moves.splice(-4, 3)), /stop move.order .*B1 stands, which carries it/],
    [
      'too much steel over unfinished bolts',
      (p) => {
        for (const one of p.structure.makes) if (one.id === 'col') one.length = 16;
        for (const one of p.structure.pieces.slice(0, 2)) one.to!.z = 20;
        nth(p, 'joint.make').bolts = 3;
      },
      /stop frame.unfinished 16.30 m of steel stand above n1/,
    ],
    ['tight before plumb', (p) => (nth(p, 'joint.make').bolts = 4), /stop move.order .*C1 is plumbed before the last bolts of n1 are tight/],
    ['a column nobody plumbs', (p) => without(p, nth(p, 'beam.plumb')), /missing moves.plumb No move plumbs C1/],
    ['a column plumbed and not read', (p) => (nth(p, 'beam.plumb').off = null), /missing plumb.read How far is C1 out/],
    ['a column that leans', (p) => (nth(p, 'beam.plumb').off = 0.02), /stop plumb.read C1 is 20 mm out over 4.00 m; 8 mm may be/],
    [
      'no guy to the other side',
      (p) => without(p, nth(p, 'brace.fix', 1)),
      /stop frame.sideways What holds C1, C2 sideways, square to B1, are guys that all pull/,
    ],
    [
      'a guy drawn to the wrong side',
      (p) => (p.structure.braces[2]!.towardsDeg = 10),
      /stop frame.sideways What holds C1, C2 sideways, along B1, are guys that/,
    ],
    [
      'no guy square to the beam',
      (p) => (p.moves = p.moves.filter((move) => move.kind !== 'brace.fix' || ['y1', 'y3'].includes(move.brace))),
      /stop frame.sideways Nothing holds C1, C2 sideways, square to B1/,
    ],
    ['no guy at all', (p) => (p.moves = p.moves.filter((move) => move.kind !== 'brace.fix')), /stop frame.sideways Nothing holds C1, C2 sideways, along B1/],
    ['a guy of which nobody says which way', (p) => (p.structure.braces[1]!.towardsDeg = null), /missing frame.sideways Which way/],
    ['a guy nobody has rated', (p) => (p.structure.braces[0]!.capacity = null), /missing brace.force What may y1 carry/],
    ['deck on a beam that hangs', (p) => p.moves.splice(8, 0, p.moves.pop()!), /stop (move.order|load.held)/],
    ['deck nobody puts on', (p) => p.moves.pop(), /missing moves.load/],
    ['deck too heavy', (p) => (p.structure.loads[0]!.force = 120e3), /stop (beam.bending|joint.bolts|support.load)/],
    [
      'a column through the joist',
      (p) => Object.assign(p.structure.pieces[1]!, { from: { x: 3, y: 2.5, z: 0 }, to: { x: 3, y: 2.5, z: 4 } }),
      /stop beam.inTheWay|missing joint.meets/,
    ],
    ['the beam in the wrong place', (p) => (p.structure.pieces[2]!.from!.y = 3), /missing (joint.meets|beam.length)/],
  ];
  test.each(faults)('%s', (_, edit, words) => expect(bad(edited(edit, portal)).join('\n')).toMatch(words));
});

describe('a column on a column', () => {
  const stacked = (moment: number | null, bolts = 8): Plan =>
    edited((p) => {
      const { structure } = p;
      structure.pieces.push({ id: 'c3', mark: 'C3', make: 'col', weighed: null, from: { x: 0, y: 0, z: 4 }, to: { x: 0, y: 0, z: 8 } });
      structure.joints.push(joint({ id: 'sp', kind: 'splice', a: { piece: 'c3', at: 0 }, b: { piece: 'c1', at: 4 }, holes: 8, moment, shear: 80e3 }));
      p.moves.push(
        ...moves(
          { kind: 'piece.hang', beam: 'c3', by: 'mobile crane, lift card 5', checkedBy: 'L. Marsh' },
          { kind: 'joint.make', joint: 'sp', pins: 0, bolts, tight: true, fit: 'drawn' },
          { kind: 'piece.letGo', beam: 'c3', keeps: 0 },
          { kind: 'beam.plumb', beam: 'c3', off: 0.003 },
        ),
      );
    }, portal);

  test('its weight goes down to the base, and its splice holds 300 lb at 18 in from its face', () => {
    const plan = stacked(40e3);
    const own = 31 * 1.48816 * 4 * 9.80665 * 1.05;
    expect((of(plan, 'support.load', 'f1').demand! - of(portal(), 'support.load', 'f1').demand!) / 1.4).toBeCloseTo(own, -1);
    expect(of(plan, 'column.splice', 'sp').demand!).toBeCloseTo(1334.47 * (0.4572 + 0.2032 / 2), 0);
    expect(bad(plan).filter((one) => !one.includes('C3 is plumbed before'))).toEqual([]);
  });
  test('a weak splice stops it, half of its bolts are half of it, and one nobody knows is asked', () => {
    expect(bad(stacked(700)).join()).toContain('stop column.splice');
    expect(of(stacked(40e3, 4), 'column.splice', 'sp').capacity).toBe(20e3);
    expect(bad(stacked(null)).join()).toContain('missing column.splice');
  });
});

describe('figures', () => {
  test('limit states are solved factored anew, allowable stress as it is', () => {
    const [us, eu] = [of(splicedGirder('us-asd'), 'beam.bending', 'a').demand!, of(splicedGirder('eu-ls'), 'beam.bending', 'a').demand!];
    expect(eu / us).toBeCloseTo(rulesOf('eu-ls', {}).value('loadFactor'), 4);
    expect(rulesOf('eu-ls', {}).value('loadFactor')).toBeGreaterThan(1.3);
  });

  test('a column is factored too: its own weight, and what is put on it', () => {
    const base = (ruleSet: 'us-asd' | 'eu-ls', basis: 'allowable' | 'design') => {
      const plan = edited((p) => {
        p.structure.supports[0]!.capacityBasis = basis;
        p.structure.loads.push({ id: 'kit', what: 'Kit', piece: 'c1', at: 2, force: 3000 });
        p.moves.push(...moves({ kind: 'load.on', load: 'kit' }));
        p.job.ruleSet = ruleSet;
      }, portal);
      return of(plan, 'support.load', 'f1').demand!;
    };
    expect(base('eu-ls', 'design') / base('eu-ls', 'allowable')).toBeCloseTo(rulesOf('eu-ls', {}).value('loadFactor'), 6);
  });

  test('pinned first and filled later the ends keep the angle they had on their pins', () => {
    const late = edited((p) => {
      nth(p, 'joint.make').bolts = 0;
      p.moves.pop();
    });
    // Filling moves no load: what each support carries after it is what it carried on the pins.
    const told = report(opened(late), TODAY).moves;
    const [pinned, filled] = [told.find(({ title }) => title === 'Let go of G1b')!, told.at(-1)!].map(({ forces }) => forces!.supports);
    for (const id of ['A', 'T', 'B']) expect(filled![id]!).toBeCloseTo(pinned![id]!, 2);
  });

  test('the heaviest that anybody says is carried', () => {
    const heavy = edited((p) => (p.structure.pieces[0]!.weighed = 4400));
    const w = 0.0366 * 7850 * 14;
    expect(of(heavy, 'support.load', 'T').demand! / of(splicedGirder('us-asd'), 'support.load', 'T').demand!).toBeGreaterThan(1.02);
    expect(4400 / w).toBeLessThan(1.1);
  });

  test('half the holes are half the strength', () => {
    const shear = checksOf(splicedGirder('us-asd')).find(({ id, about }) => id === 'joint.strength' && about.part === 'shear')!;
    expect(shear.capacity! === 450e3 || shear.ratio! > shear.demand! / 900e3).toBe(true);
    const half = edited((p) => without(p, nth(p, 'joint.make', 1)));
    expect(checksOf(half).find(({ id, about }) => id === 'joint.strength' && about.part === 'moment')!.capacity).toBe(1.2e6);
  });

  test('two pieces on one support come down on it together', () => {
    const one = edited((p) => {
      p.structure.joints = [];
      p.moves = p.moves.filter((move) => move.kind !== 'joint.make' && move.kind !== 'support.strike');
      p.structure.supports[1]!.kind = 'bearing';
      p.structure.supports[1]!.seats = [
        { piece: 'a', at: 13.8 },
        { piece: 'b', at: 0.2 },
      ];
    });
    const w = 0.0366 * 7850 * 9.80665 * 1.05;
    expect(bad(one)).toEqual(['missing line.along What holds G1b along its length? Say at which support it is fixed.']);
    expect(of(one, 'support.load', 'T').demand!).toBeCloseTo(1.4 * ((w * 14 * (7 - 0.3)) / 13.5 + (w * 10 * (9.7 - 5)) / 9.5), 0);
  });

  test('a column stands from its foot: 2.1 times its height', () =>
    expect(say(of(portal(), 'column.strength', 'c1'), 'metric').replace(/\u00a0/g, ' ')).toContain('8.40 m of effective length'));

  test('a strut that lies level between two columns holds neither up against sway', () => {
    const level = edited((p) => {
      p.structure.braces[0] = { ...p.structure.braces[0]!, kind: 'strut', b: { piece: 'c2', at: 3.5 }, towardsDeg: null };
      p.structure.braces = p.structure.braces.filter(({ id }) => id !== 'y3');
      p.moves = p.moves.filter((move) => move.kind !== 'brace.fix' || move.brace !== 'y3');
    }, portal);
    expect(bad(level).join('\n')).toMatch(/stop frame.sideways Nothing holds C1, C2 sideways, along B1/);
    level.structure.braces[0]!.b!.at = 0.2;
    expect(bad(level).join('\n')).not.toMatch(/frame.sideways/);
  });

  test('what weight holds down counts at its lightest, without allowance and without what may be taken off', () => {
    const plan = edited((p) => {
      p.structure.pieces.pop();
      p.structure.makes.pop();
      p.structure.joints = [];
      p.structure.supports.pop();
      p.structure.supports[0]!.holdsDown = 100e3;
      Object.assign(p.structure.supports[1]!, { kind: 'bearing', seats: [{ piece: 'a', at: 5 }] });
      p.structure.loads = [{ id: 'w', what: 'Counterweight', piece: 'a', at: 1, force: 40e3 }];
      p.moves = moves(
        { kind: 'support.ready', support: 'A' },
        { kind: 'support.ready', support: 'T' },
        { kind: 'piece.hang', beam: 'a', by: 'crane', checkedBy: 'L. Marsh' },
        { kind: 'load.on', load: 'w' },
        { kind: 'piece.letGo', beam: 'a', keeps: 0 },
      );
    });
    const w = 0.0366 * 7850 * 9.80665;
    // Supports at 0.3 and 5 m, its middle at 7 m: pulled up by w·14·2/4.7 without the counterweight.
    expect(of(plan, 'support.uplift', 'A').demand!).toBeCloseTo((w * 14 * 2) / 4.7, 0);
  });

  test('the most a support brings onto its bent comes on the header', () => {
    const plan = opened(splicedGirder());
    const bent = twoPostBent();
    plan.shoring.bents.push(bent);
    plan.structure.supports[1]!.onBent = { bent: bent.id, at: 1 };
    const under = bentsUnder(settle(plan), new Map([['T', { support: 'T', plain: 41e3, factored: 55e3 }]]));
    expect(under.shoring.bents[0]!.loads.slice(bent.loads.length)).toEqual([
      { id: 'structure-T', what: 'Bent seat', at: 1, force: 55e3, bearing: 0.4, from: 1, to: null },
    ]);
    expect(bentsUnder(settle(plan), new Map()).shoring.bents[0]).toBe(bent);
  });
});

describe('overhangs, pairs and braces', () => {
  /** The first piece alone with its far end hanging free past the bent. */
  const alone = (at: number): Plan =>
    edited((p) => {
      p.structure.pieces.pop();
      p.structure.makes.pop();
      p.structure.joints = [];
      p.structure.supports = p.structure.supports.filter(({ id }) => id !== 'B');
      p.structure.supports[1]!.seats[0]!.at = at;
      p.structure.supports[1]!.kind = 'bearing';
      p.moves = moves(
        { kind: 'support.ready', support: 'A' },
        { kind: 'support.ready', support: 'T' },
        { kind: 'piece.hang', beam: 'a', by: 'crane', checkedBy: 'L. Marsh' },
        { kind: 'piece.letGo', beam: 'a', keeps: 0 },
      );
    });

  test('an overhang that nearly tips stops before it tips, and a hold-down rights it', () => {
    // 14 m long: a support at 7.5 m leaves 6.5 m past it and 7.5 m behind, the lighter by the allowance.
    expect(bad(alone(11)).join()).toBe('');
    const near = alone(7.5);
    expect(bad(near).join('\n')).toMatch(/stop line.tip G1a hangs over its last support/);
    const w = 0.0366 * 7850 * 9.80665;
    const tip = checksOf(near).find(({ id, about }) => id === 'line.tip' && about.part === 'last')!;
    expect(tip.demand!).toBeCloseTo(1.5 * 1.05 * w * 6.5 ** 2 * 0.5, -1);
    expect(tip.capacity!).toBeCloseTo(w * 7.5 ** 2 * 0.5, -1);
    near.structure.supports[0]!.holdsDown = 60e3;
    expect(bad(near).join()).not.toContain('line.tip');
    expect(bad(alone(6.5)).join('\n')).toMatch(/stop line.stands G1a does not stand/);
  });

  /** Two girders of one piece beside each other, tied by cross-frames and to nothing else. */
  const pair = (spacing: number): Plan => {
    const plan = alone(13.5);
    const { structure } = plan;
    structure.pieces.push({ ...structure.pieces[0]!, id: 'c', mark: 'G2a', from: { x: 0, y: spacing, z: 5 }, to: { x: 14, y: spacing, z: 5 } });
    structure.supports.push(support('A2', 'Pier 1, second', 'c', 0.3, { along: 'fixed' }), support('T2', 'Pier 2, second', 'c', 13.5));
    structure.braces.push({
      ...guy('x', 0),
      name: 'Cross-frame',
      kind: 'crossFrame',
      a: { piece: 'a', at: 7 },
      b: { piece: 'c', at: 7 },
      towardsDeg: null,
      stops: 'both',
    });
    plan.moves.push(
      ...moves(
        { kind: 'support.ready', support: 'A2' },
        { kind: 'support.ready', support: 'T2' },
        { kind: 'piece.hang', beam: 'c', by: 'crane', checkedBy: 'L. Marsh' },
        { kind: 'brace.fix', brace: 'x' },
        { kind: 'piece.letGo', beam: 'c', keeps: 0 },
      ),
    );
    return plan;
  };

  const weighed = (plan: Plan): Plan => {
    for (const one of plan.structure.braces) Object.assign(one, { mass: 120, liftedBy: 'two chain hoists, K. Osei' });
    return plan;
  };

  test('two girders tied to each other are checked as a pair, the nearer the worse', () => {
    const ratio = (spacing: number) => checksOf(pair(spacing)).find(({ id }) => id === 'group.system')!.ratio!;
    expect(bad(weighed(pair(2.4))).join()).toBe('');
    expect(bad(pair(2.4)).join()).toBe('missing brace.weight What does Cross-frame weigh, with its bolts? Half of it rests on G1a and half on G2a.');
    expect(ratio(1.2) / ratio(2.4)).toBeCloseTo(2, 6);
  });

  test('in allowable stress a pair is held against its limit at 1.67 times the load', () => {
    const plan = pair(2.4);
    const [system, a, c] = [checksOf(plan).find(({ id }) => id === 'group.system')!, of(plan, 'beam.bending', 'a'), of(plan, 'beam.bending', 'c')];
    expect(system.demand! / (a.demand! + c.demand!)).toBeCloseTo(1.67, 6);
  });

  test('a strut between two loose girders keeps neither from buckling', () => {
    const plan = pair(2.4);
    plan.structure.braces[0]!.stops = 'sideways';
    expect(say(of(plan, 'beam.bending', 'c'), 'metric').replace(/\u00a0/g, ' ')).toContain('13.20 m of it unbraced');
  });

  test('a brace halves the unbraced length; taken out again it does not', () => {
    const bends = (plan: Plan) => say(of(plan, 'beam.bending', 'c'), 'metric').replace(/\u00a0/g, ' ');
    expect(bends(pair(2.4))).toContain('6.70 m of it unbraced');
    const loose = pair(2.4);
    loose.moves.push(...moves({ kind: 'brace.free', brace: 'x' }));
    expect(bends(loose)).toContain('13.20 m of it unbraced');
    expect(of(loose, 'beam.bending', 'c').ratio!).toBeGreaterThanOrEqual(of(pair(2.4), 'beam.bending', 'c').ratio!);
  });

  test('a cross-frame whose ends are far from each other, and one tied to nothing, are asked', () => {
    const skew = pair(2.4);
    skew.structure.braces[0]!.a.at = 0.1;
    expect(bad(skew).join()).toContain('missing brace.meets Cross-frame runs 6.90 m along the pieces');
    const loose = pair(2.4);
    Object.assign(loose.structure.braces[0]!, { b: null, anchoredTo: '' });
    expect(bad(loose).join()).toContain('missing brace.tied What is Cross-frame tied to');
  });

  /** Girders 2.4 m apart, the next tied to the one before. */
  const abreast = (count: number, edit: (plan: Plan) => unknown = () => undefined): Plan => {
    const plan = pair(2.4);
    const { structure } = plan;
    for (let n = 3; n <= count; n += 1) {
      const y = 2.4 * (n - 1);
      structure.pieces.push({ ...structure.pieces[0]!, id: `d${n}`, mark: `G${n}a`, from: { x: 0, y, z: 5 }, to: { x: 14, y, z: 5 } });
      structure.supports.push(support(`A${n}`, `Pier 1, ${n}`, `d${n}`, 0.3, { along: 'fixed' }), support(`T${n}`, `Pier 2, ${n}`, `d${n}`, 13.5));
      structure.braces.push({ ...structure.braces[0]!, id: `y${n}`, a: { piece: n === 3 ? 'c' : `d${n - 1}`, at: 7 }, b: { piece: `d${n}`, at: 7 } });
      plan.moves.push(
        ...moves(
          { kind: 'support.ready', support: `A${n}` },
          { kind: 'support.ready', support: `T${n}` },
          { kind: 'piece.hang', beam: `d${n}`, by: 'crane', checkedBy: 'L. Marsh' },
          { kind: 'brace.fix', brace: `y${n}` },
          { kind: 'piece.letGo', beam: `d${n}`, keeps: 0 },
        ),
      );
    }
    edit(plan);
    return plan;
  };
  test('three and four side by side are a system over the distance of the outer ones, with the moments of all', () => {
    const last = (plan: Plan) => checksAt(evaluateWhole(opened(plan), TODAY), plan.moves.at(-1)!.id).find(({ id }) => id === 'group.system')!;
    const [two, three, four] = [2, 3, 4].map((count) => last(abreast(count)));
    // Twice, and three times as wide; three and four times the moment.
    expect(three!.capacity! / two!.capacity!).toBeCloseTo(2, 6);
    expect(four!.capacity! / two!.capacity!).toBeCloseTo(3, 6);
    expect(three!.demand! / two!.demand!).toBeCloseTo(1.5, 6);
    expect(four!.demand! / two!.demand!).toBeCloseTo(2, 6);
    expect(say(four!, 'metric')).toMatch(/are tied to each other against twist: as 4 side by side/);
    expect(bad(weighed(abreast(4))).join()).toBe('');
  });
  test('what is tied to a piece that runs another way is asked about', () => {
    const askew = abreast(3, ({ structure }) => (structure.pieces.find(({ id }) => id === 'd3')!.to!.y += 4));
    expect(bad(askew).join()).toMatch(/missing group.system G\da is tied against twist to pieces that do not run beside it/);
  });
  test('joists that hang between beams are a group over the length between those beams', () => {
    const plan = templates.frame.build(
      { name: 'Shelter', place: '', units: 'metric', ruleSet: 'eu-ls' },
      { bays: '6 m', rows: '5 m', levels: '4 m', column: 'HEB 200', beam: 'IPE 300', between: '3', betweenSection: 'IPE 240' },
    );
    const joists = structuredClone(plan);
    const bridge = (n: number) => ({
      ...guy(`b${n}`, 0),
      kind: 'bridging' as const,
      stops: 'both' as const,
      a: { piece: `between-0-0-0-${n}`, at: 2.5 },
      b: { piece: `between-0-0-0-${n + 1}`, at: 2.5 },
      towardsDeg: null,
    });
    joists.structure.braces.push(bridge(1), bridge(2));
    joists.moves.push(...moves({ kind: 'brace.fix', brace: 'b1' }, { kind: 'brace.fix', brace: 'b2' }));
    const row = checksAt(evaluateWhole(opened(joists), TODAY), joists.moves.at(-1)!.id).find(({ id }) => id === 'group.system')!;
    expect(row.about.id).toBe('between-0-0-0-1');
    expect(row.traces[0]!.input).toMatchObject({ spacing: 3, length: expect.closeTo(5, 6) as number });
  });

  test('a brace to what is anchored says how stiff it is', () => {
    const held = pair(2.4);
    Object.assign(held.structure.braces[0]!, { b: null, anchoredTo: 'the quay wall', kind: 'strut', stops: 'both', towardsDeg: 90, stiffness: null });
    expect(bad(held).join()).toContain('missing brace.stiffness How stiff is Cross-frame');
    held.structure.braces[0]!.stiffness = 1e9;
    expect(bad(held).join()).not.toContain('brace.stiffness');
  });

  test('a brace that carries too little, and one that is too soft', () => {
    const weak = pair(2.4);
    weak.structure.braces[0]!.capacity = 100;
    expect(bad(weak).join()).toContain('stop brace.force');
    const soft = pair(2.4);
    soft.structure.braces[0]!.stiffness = 10;
    expect(bad(soft).join()).toContain('stop brace.stiffness');
  });
});

describe('whatever the order', () => {
  const lines = () => girderLines(2, 3);
  const end = (plan: Plan) =>
    Object.fromEntries(
      checksOf(plan)
        .filter(({ id }) => id === 'support.load')
        .map(({ about, demand }) => [about.id, Math.round(demand! * 1000) / 1000]),
    );

  test('two lines built turn about stand as one after the other', () => {
    const plan = lines();
    const half = plan.moves.length / 2;
    const [one, two] = [plan.moves.slice(0, half), plan.moves.slice(half)];
    const turned = { ...lines(), moves: one.flatMap((move, i) => [move, two[i]!]) };
    expect(end(turned)).toEqual(end(plan));
  });

  test('a hook that keeps nothing is no hook, and the moves so far give the forces so far', () => {
    const plan = opened(lines());
    const states = (upTo: number) => {
      const cut = { ...plan, moves: plan.moves.slice(0, upTo) };
      const rules = rulesOf(plan.job.ruleSet, {});
      return forcesOf(
        cut,
        settleBeams(cut, rules),
        replay(cut).steps.map(({ after }) => after.structure),
        rules,
      ).changes;
    };
    const whole = states(plan.moves.length);
    for (const upTo of [5, 9, 14]) {
      const part = states(upTo);
      expect(part.map(({ at, lines: told }) => [at, told.map(({ carried }) => [...carried.plain])])).toEqual(
        whole.filter(({ at }) => at < upTo).map(({ at, lines: told }) => [at, told.map(({ carried }) => [...carried.plain])]),
      );
    }
  });

  test('mirrored it carries the same', () => {
    const plan = lines();
    const mirrored = lines();
    for (const one of mirrored.structure.pieces) {
      one.from!.x = -one.from!.x;
      one.to!.x = -one.to!.x;
    }
    expect(end(mirrored)).toEqual(end(plan));
  });

  test('turned end for end a piece carries the same', () => {
    const turned = splicedGirder('us-asd');
    const b = turned.structure.pieces[1]!;
    [b.from, b.to] = [b.to, b.from];
    turned.structure.supports[2]!.seats[0]!.at = 0.3;
    turned.structure.joints[0]!.b.at = 10;
    expect(bad(turned)).toEqual([]);
    expect(end(turned)).toEqual(end(splicedGirder('us-asd')));
  });
});
