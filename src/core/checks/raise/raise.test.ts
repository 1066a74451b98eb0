import { quayFootbridge, ticketHall } from '../../../../tests/demo-plan';
import { raised, type PointOf as Of } from '../../../../tests/raised';
import { applyCommand } from '../../edit/apply';
import { describe as words } from '../../verdict/describe';
import { newRaise } from '../../document/things/raise';
import { openPlan } from '../../document/open';
import type { Plan, Raise, RaisePoint } from '../../document/schema';
import { templates } from '../../edit/templates';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
type Kind = RaisePoint['kind'];
const rows = (one: Plan) => evaluate(one, TODAY).checks.filter(({ about }) => about.kind === 'raise');
const told = (one: Plan): string =>
  rows(one)
    .filter(({ verdict }) => verdict === 'stop' || verdict === 'missing')
    .map((check) => `${check.verdict} ${check.id} ${words(check, 'metric').replace(/\u00a0/g, ' ')}`)
    .join('\n');
const point = <K extends Kind>(raise: Raise, n = 0) => raise.points[n]! as Of<K>;
const weight = 61.3 * 6 * 1.05 * 9.80665;
/** The share of the second place with the piece level, and how far the balance point walks over 4.5 m with one 50 mm above the other. */
const level = 2.5 / 4.5;
const walks = (0.1 * Math.tan(Math.asin(0.05 / 4.5))) / 4.5;

describe('raised without a crane', () => {
  test.each(['mastLift', 'hoist', 'hands'] as const)('by %s, said whole, nothing is asked and nothing stops', (kind) => {
    expect(told(raised(kind))).toBe('');
    expect(openPlan(raised(kind)).ok).toBe(true);
    const all = evaluate(raised(kind), TODAY).checks;
    expect(all.filter(({ id }) => id === 'way.gear' || /^(lift\.(?!caller)|rigging|stand|crane)/.test(id))).toEqual([]);
  });
  test.each(['mastLift', 'hoist', 'hands'] as const)('by %s: each place comes to carry its share, the worst with one above the other', (kind) => {
    const shares = rows(raised(kind)).filter(({ id }) => id === 'raise.share');
    expect(shares).toHaveLength(2);
    const output = shares.map(({ traces }) => traces.find(({ calc }) => calc === 'handling.twoPlaces')!.output as { a: number; b: number });
    // The section table says 61.3 kg/m to its own figures.
    expect(output[0]!.a / weight).toBeCloseTo(1 - level + walks, 2);
    expect(output[1]!.b / weight).toBeCloseTo(level + walks, 2);
  });
  test('past the load centre of its plate a mast lift may lift no more than the same moment', () => {
    const far = rows(raised('mastLift', (raise) => (point<'mastLift'>(raise).centre = 0.75)));
    expect(far.find(({ id, about }) => id === 'raise.share' && about.part === 'lp1')!.capacity).toBeCloseTo(200, 9);
    const near = rows(raised('mastLift', (raise) => (point<'mastLift'>(raise).centre = 0.2)));
    expect(near.find(({ id, about }) => id === 'raise.share' && about.part === 'lp1')!.capacity).toBe(300);
  });
  test('the floor carries the lift and its share; what a hoist hangs from carries the hoist too', () => {
    const floor = rows(raised('mastLift')).find(({ id, about }) => id === 'raise.floor' && about.part === 'lp2')!;
    expect(floor.demand! / ((weight * (level + walks) + 180 * 9.80665) / 0.8)).toBeCloseTo(1, 2);
    const hung = rows(raised('hoist')).find(({ id, about }) => id === 'raise.hangsFrom' && about.part === 'lp2')!;
    expect(hung.demand! / (weight * (level + walks) * 1.1 + 20 * 9.80665)).toBeCloseTo(1, 2);
  });
  test('with three places any two may come to carry all', () => {
    const three = raised('mastLift', (raise) => raise.points.push({ ...point<'mastLift'>(raise), id: 'lp3', name: 'Third', at: 3.4 }));
    const most = rows(three)
      .filter(({ id }) => id === 'raise.share')
      .map(({ demand }) => demand!);
    // 0.5 m and 3.4 m round a balance point at 3 m: the third comes to carry 2.5 of 2.9 parts.
    expect((most[2]! * 9.80665) / weight).toBeCloseTo(2.5 / 2.9, 2);
    expect(told(three)).toMatch(/stop raise.share Third comes to carry/);
  });

  test('in whatever order the places are written down each comes to carry the same', () => {
    const third = (at: number) =>
      raised('mastLift', (raise) => {
        raise.points.splice(at, 0, { ...point<'mastLift'>(raise), id: 'lp3', name: 'Third', at: 3.4 });
        raise.points.unshift(...raise.points.splice(2, 1));
      });
    const shares = (one: Plan) => Object.fromEntries(rows(one).flatMap(({ id, about, demand }) => (id === 'raise.share' ? [[about.part!, demand]] : [])));
    expect(shares(third(0))).toEqual(shares(third(1)));
    expect(shares(third(1))).toEqual(shares(third(2)));
    expect((shares(third(1)).lp1! * 9.80665) / weight).toBeCloseTo(2 / 4.5 + walks, 2);
  });

  type Fault = [string, Kind, (raise: Raise, plan: Plan) => unknown, RegExp];
  const faults: Fault[] = [
    ['a lift rated at its share', 'mastLift', (r) => (point<'mastLift'>(r, 1).rating = 210), /stop raise.share Mast lift 2/],
    [
      'the second lift, not the first, is not rated',
      'mastLift',
      (r) => (point<'mastLift'>(r, 1).rating = null),
      /missing raise.share What may Mast lift 2 lift/,
    ],
    ['the load centre of the plate', 'mastLift', (r) => (point<'mastLift'>(r).plateCentre = null), /missing raise.share At which load centre/],
    ['the load centre of this load', 'mastLift', (r) => (point<'mastLift'>(r).centre = null), /missing raise.share How far from the mast/],
    ['forks that do not reach', 'mastLift', (r) => (point<'mastLift'>(r).reach = 2.9), /stop raise.reach/],
    ['forks of an unknown reach', 'mastLift', (r) => (point<'mastLift'>(r).reach = null), /missing raise.reach/],
    ['a floor that is not known', 'mastLift', (r) => (r.floorCarries = null), /missing raise.floor What may the floor/],
    ['a floor that is too weak', 'mastLift', (r) => (r.floorCarries = 3000), /stop raise.floor/],
    ['a lift of unknown weight', 'mastLift', (r) => (point<'mastLift'>(r).own = null), /missing raise.floor What does Mast lift 1 itself weigh/],
    ['one that rises far ahead', 'mastLift', (r) => (r.uneven = 3.3), /stop raise.balance .*at 45° or more/],
    ['one fork far ahead of the other', 'mastLift', (r) => (r.uneven = 0.32), /stop raise.tilt .*4\.1/],
    [
      'two hoists on one beam that carries one of them',
      'hoist',
      (r) => r.points.forEach((one) => one.kind === 'hoist' && (one.carries = 3000)),
      /missing raise.hangsFrom .*both said to hang from “a steel cross-beam”/,
    ],
    [
      'a wall under its place that is higher than where it lies',
      'mastLift',
      (_, p) => p.site.obstructions.push({ id: 'o', name: 'Half wall', at: { x: 2.5, y: 0 }, length: 0.4, width: 2, azimuthDeg: 0, height: 1.2 }),
      /stop raise.clear Half wall stands 1\.20.*under the place of B1/,
    ],
    ['as if two rose evenly', 'mastLift', (r) => (r.uneven = 0), /missing raise.uneven/],
    ['how uneven, not said', 'mastLift', (r) => (r.uneven = null), /missing raise.uneven .*Two never rise evenly/],
    ['both on one side of the balance point', 'mastLift', (r) => (r.points[1]!.at = 2.8), /stop raise.balance .*one side of its balance point/],
    ['a place past the end', 'mastLift', (r) => (r.points[1]!.at = 7), /stop raise.at Mast lift 2 stands past the end/],
    ['a place nobody has said', 'mastLift', (r) => (r.points[1]!.at = null), /missing raise.at Where along B1 is Mast lift 2/],
    ['by one lift beside its balance point', 'mastLift', (r) => r.points.pop(), /stop raise.balance .*not under its balance point/],
    ['by nothing', 'mastLift', (r) => (r.points = []), /missing raise.points/],
    ['nobody answers for it', 'mastLift', (r) => (r.by = ''), /missing raise.by/],
    ['no move sets it', 'mastLift', (_, p) => (p.moves = p.moves.filter(({ kind }) => kind !== 'member.set')), /missing moves.raise/],
    ['a hoist at its rating', 'hoist', (r) => (point<'hoist'>(r, 1).rating = 230), /stop raise.share Hoist 2 comes to pull/],
    ['no head room', 'hoist', (r) => (point<'hoist'>(r).hangsAt = 3.9), /stop raise.headRoom .*hangs 4.00 m up/],
    ['head room not measured', 'hoist', (r) => (point<'hoist'>(r).closed = null), /missing raise.headRoom/],
    ['a hook that does not travel so far', 'hoist', (r) => (point<'hoist'>(r).travel = 2.5), /stop raise.travel/],
    ['side pull', 'hoist', (r) => (point<'hoist'>(r, 1).sideDeg = 6), /stop raise.side Hoist 2 pulls/],
    ['side pull not said', 'hoist', (r) => (point<'hoist'>(r).sideDeg = null), /missing raise.side/],
    ['hung from nothing', 'hoist', (r) => (point<'hoist'>(r).hangsFrom = ''), /missing raise.hangsFrom What does Hoist 1 hang from/],
    ['hung from what carries too little', 'hoist', (r) => (point<'hoist'>(r).carries = 1500), /stop raise.hangsFrom/],
    ['hung from what nobody has reckoned', 'hoist', (r) => (point<'hoist'>(r).carries = null), /missing raise.hangsFrom What may a steel cross-beam carry/],
    ['a crew too small', 'hands', (r) => (point<'hands'>(r, 1).people = 8), /stop raise.share Crew 2 has/],
    ['a crew of nobody knows how many', 'hands', (r) => (point<'hands'>(r).people = null), /missing raise.share How many people/],
    ['no keeper', 'hands', (r) => (point<'hands'>(r).keepers = false), /stop raise.keepers/],
    ['a keeper nobody mentions', 'hands', (r) => (point<'hands'>(r).keepers = null), /missing raise.keepers/],
    ['steps so high that it slides', 'hands', (r) => (point<'hands'>(r).rung = 1.6), /stop raise.slides/],
    ['a step longer than the piece', 'hands', (r) => (point<'hands'>(r).rung = 4.6), /stop raise.slides A step of 4.60 m/],
    ['rests nobody has looked at', 'hands', (r) => (point<'hands'>(r).friction = null), /missing raise.slides How rough/],
    ['a weak rung', 'hands', (r) => (point<'hands'>(r, 1).rungCarries = 1500), /stop raise.rung A rest at Crew 2/],
    ['a rung nobody has reckoned', 'hands', (r) => (point<'hands'>(r).rungCarries = null), /missing raise.rung/],
  ];
  test.each(faults)('%s (%s)', (_, kind, edit, wanted) => {
    expect(told(raised(kind, edit))).toMatch(wanted);
  });
});

describe('what a hoist hangs from stands when the load is raised', () => {
  /** The new piece of the ticket hall by two hoists, one of which hangs from a temporary wall. */
  const hung = (from: (plan: Plan) => string, edit: (plan: Plan) => unknown = () => undefined): Plan => {
    const hall = ticketHall();
    const opening = hall.survey.openings[0]!.id;
    const raise = newRaise('r1', opening, 'hoist', 2, (n) => `h${n}`);
    const hoist = raise.points[1] as Of<'hoist'>;
    hoist.hangsOn = from(hall);
    raise.points.forEach((one, n) => (one.at = n === 0 ? 0.4 : 1.7));
    raise.uneven = 0.03;
    hall.raises = [raise];
    edit(hall);
    return hall;
  };
  const wall = (hall: Plan) => hall.shoring.lines[0]!.walls[0]!.id;
  test('a wall that is set before, and not struck yet', () => {
    expect(told(hung(wall))).not.toMatch(/raise.stands/);
  });
  test('a wall that is struck before', () => {
    const struck = hung(wall, (hall) => {
      const first = hall.moves.find((move) => move.kind === 'shore.strike')!;
      const step = hall.shoring.lines[0]!.strike.find((one) => one.shore === wall(hall))!;
      hall.moves = hall.moves.filter((move) => move !== first && !(move.kind === 'shore.strike' && move.step === step.id));
      hall.moves.splice(
        hall.moves.findIndex((move) => move.kind === 'member.set'),
        0,
        { id: 'early', kind: 'shore.strike', step: step.id },
      );
    });
    expect(told(struck)).toMatch(/stop raise.stands Hoist 2 hangs from .* which does not stand/);
  });
  test('a wall that is never set', () => {
    const never = hung(wall, (hall) => (hall.moves = hall.moves.filter((move) => !(move.kind === 'shore.set' && move.shore === wall(hall)))));
    expect(told(never)).toMatch(/stop raise.stands/);
  });
  test('what the plan does not have is refused; what goes lets the hoist hang from nothing that is said', () => {
    const lost = openPlan(hung(() => 'nowhere'));
    expect(lost.ok ? '' : lost.faults.map(({ path }) => path).join()).toMatch(/raises\[0\]\.points\[1\]\.hangsOn/);
    const gone = applyCommand(hung(wall), { name: 'removeFrom', args: { list: 'shoreWalls', id: wall(ticketHall()) } });
    expect(gone.ok && (gone.plan.raises![0]!.points[1] as Of<'hoist'>).hangsOn).toBeNull();
    const lone = raised('hoist', (_, one) => (one.moves = one.moves.filter(({ kind }) => kind !== 'member.set')));
    const away = applyCommand(lone, { name: 'removeFrom', args: { list: 'openings', id: 'op1' } });
    expect(away.ok && away.plan.raises).toEqual([]);
  });
});

const job = { name: 'Office wall', place: '', units: 'metric', ruleSet: 'eu-ls' } as const;
test('a piece of the structure is raised by two lifts, and its lift is worked out so', () => {
  const frame = structuredClone(
    templates.frame.build(job, {
      bays: '6 m',
      rows: '5 m',
      levels: '3 m',
      column: 'HEB 200',
      beam: 'IPE 300',
      between: '0',
      betweenSection: '',
      crane: 'none',
    }),
  );
  const raise = newRaise('r1', 'along-0-0-0', 'mastLift', 2, (n) => `l${n}`);
  frame.raises = [raise];
  const asked = (one: Plan) => evaluate(one, TODAY).checks.filter(({ id, about }) => /^lift\.(by|plan)$/.test(id) && about.id === 'along-0-0-0');
  expect(asked(frame)).toEqual([]);
  expect(asked({ ...frame, raises: [] })).toHaveLength(1);
  // Two ways up, or one and a crane: which of them lifts it is asked, of each.
  const twice = (one: Plan) =>
    evaluate(one, TODAY)
      .checks.filter(({ id }) => id === 'raise.twice')
      .map(({ about }) => about.id);
  expect(twice(frame)).toEqual([]);
  expect(
    twice({ ...frame, raises: [raise, newRaise('r2', 'along-0-0-0', 'hoist', 2, (n) => `h${n}`), newRaise('r3', 'along-0-0-1', 'hoist', 2, (n) => `i${n}`)] }),
  ).toEqual(['r1', 'r2']);
  const byCrane = { ...quayFootbridge() };
  byCrane.raises = [newRaise('r1', byCrane.picks[0]!.piece, 'mastLift', 2, (n) => `l${n}`)];
  const [asks] = evaluate(byCrane, TODAY).checks.filter(({ id }) => id === 'raise.twice');
  expect(words(asks!, 'metric')).toMatch(/is raised without a crane here, and by a crane too\. Which of them lifts it\?/);
  const [row] = rows(frame);
  expect(row!.move).toBe(frame.moves.find((move) => move.kind === 'piece.hang' && move.beam === 'along-0-0-0')!.id);
});

test('a column raised by lifts is asked about: how it is stood up is not worked out', () => {
  const frame = structuredClone(
    templates.frame.build(job, {
      bays: '6 m',
      rows: '5 m',
      levels: '3 m',
      column: 'HEB 200',
      beam: 'IPE 300',
      between: '0',
      betweenSection: '',
      crane: 'none',
    }),
  );
  frame.raises = [newRaise('r1', 'col-0-0', 'mastLift', 2, (n) => `l${n}`)];
  expect(told(frame)).toMatch(/^missing raise.load C-A1 is not set level/);
  test('what is lower than where it lies, beside its place, or at its ends is in nobody’s way', () => {
    const wall = { id: 'o', name: 'Half wall', at: { x: 2.5, y: 0 }, length: 0.4, width: 2, azimuthDeg: 0, height: 1.2 };
    for (const over of [{ height: 0.4 }, { at: { x: 2.5, y: 1.2 } }, { at: { x: -1, y: 0 }, length: 2.4 }])
      expect(told(raised('mastLift', (_, p) => p.site.obstructions.push({ ...wall, ...over })))).not.toMatch(/raise.clear/);
  });
  test('hoists on one beam that carries them all are not asked about, nor hoists on two', () => {
    expect(told(raised('hoist'))).toBe('');
    const apart = (r: Raise) => r.points.forEach((one, n) => one.kind === 'hoist' && Object.assign(one, { carries: 3000, hangsFrom: `cross-beam ${n + 1}` }));
    expect(told(raised('hoist', apart))).toBe('');
  });
});
