import { evaluated } from '../../../../tests/evaluated';
import { pushed } from '../../../../tests/pushed';
import { standingAt } from '../../settle/bodies';
import { applyCommand } from '../../edit/apply';
import type { Command, CommandArguments, CommandName } from '../../edit/table';
import { afresh } from '../../document/keep';
import { openPlan } from '../../document/open';
import { newPick } from '../lift/plan-lifts';
import { replay } from '../../replay/replay';
import { rulesOf } from '../../rules/rule-sets';
import type { Launch, Move, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { beamAt, launchAt } from '../../replay/moment';
import { alongLaunch } from './along';
import { Missing } from '../../verdict/missing';
import { rollingPose } from './pose';
import { pushable } from './pushable';

const TODAY = '2026-11-29';
function after<N extends CommandName>(plan: Plan, name: N, args: CommandArguments[N]): Plan {
  const done = applyCommand(plan, { name, args } as Command);
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return done.plan;
}
const rowsOf = (plan: Plan) => evaluated(plan, TODAY).checks;
const of = (plan: Plan, id: string) => rowsOf(plan).filter((check) => check.id === id);
const worst = (plan: Plan, id: string): string[] =>
  of(plan, id)
    .map(({ verdict }) => verdict)
    .filter((one) => one !== 'clear');
type Edit = (launch: Launch, plan: Plan) => void;
const roller =
  (n: number, changes: Partial<Launch['rollers'][number]>): Edit =>
  (launch) =>
    void Object.assign(launch.rollers[n]!, changes);
const set =
  (changes: Partial<Launch>): Edit =>
  (launch) =>
    void Object.assign(launch, changes);
const nose =
  (changes: object): Edit =>
  (launch) =>
    void Object.assign(launch.nose!, changes);
const moves =
  (change: (list: Move[]) => Move[]): Edit =>
  (_, plan) =>
    void (plan.moves = change(plan.moves));
const at = (list: readonly Move[], kind: Move['kind']) => list.findIndex((move) => move.kind === kind);
const without = (kind: Move['kind']) => moves((list) => list.filter((move) => move.kind !== kind));
const zone =
  (closed: NonNullable<Plan['site']['zones']>[number]['closed']): Edit =>
  (_, plan) =>
    void (plan.site.zones = [{ id: 'z', name: 'Goods track', kind: 'railway', at: { x: 15, y: 1 }, length: 40, width: 6, azimuthDeg: 90, closed }]);
const weighted =
  (mass: number): Edit =>
  (_, { structure }) => {
    structure.makes.push({ ...structuredClone(structure.makes[0]!), id: 'front', attachments: [{ id: 'w', what: 'winch', mass, at: 10 }] });
    for (const piece of structure.pieces) if (piece.id.endsWith('-3')) piece.make = 'front';
  };
const lump = weighted(9000);
const standing =
  (height: number): Edit =>
  (_, plan) =>
    void plan.site.obstructions.push({ id: 'o', name: 'Signal mast', at: { x: 12, y: 0 }, length: 0.4, width: 0.4, azimuthDeg: 0, height });

describe('a launch that is all said', () => {
  test('opens, and nothing of it stops or is asked but the hold points', () => {
    const plan = pushed();
    expect(openPlan(structuredClone(plan))).toMatchObject({ ok: true });
    expect(rowsOf(plan).flatMap(({ id, verdict }) => (verdict === 'clear' || id.startsWith('hold.') ? [] : [id]))).toEqual([]);
    expect(of(plan, 'hold.HP20')).toMatchObject([{ verdict: 'missing', move: plan.moves.find(({ kind }) => kind === 'launch.push')!.id }]);
    expect(of(plan, 'hold.HP21')).toMatchObject([{ verdict: 'missing', move: plan.moves.find(({ kind }) => kind === 'launch.lower')!.id }]);
  });

  test('its factor by hand: what is ahead of the first pier a hair before the tip is on the second', () => {
    const [row] = of(pushed(), 'launch.factor');
    const q = row!.traces[0]!.input as { segments: { length: number; load: number }[] };
    const [front, girder] = [q.segments[0]!, q.segments[1]!];
    expect(front.load * front.length).toBeCloseTo(2000 * 9.80665, 3);
    // 18 m of nose and 12 m of girder ahead; 18.5 m of girder behind at its lightest, and the weight put half a metre from its end.
    // Of the five cross-frames, 100 kg each and half of it on this line, two are ahead; those behind are not counted for holding it.
    const ahead = front.load * 18 * (12 + 9) + (girder.load * 12 ** 2) / 2 + 50 * 9.80665 * (4 + 11.5);
    const bare = (0.9 * 0.018 + 2 * 0.45 * 0.03) * 7850 * 9.80665;
    const behind = (bare * 19 ** 2) / 2 + 4000 * 9.80665 * 18.5;
    expect(row!.demand).toBeCloseTo(1.5 * ahead, -3);
    expect(row!.capacity).toBeCloseTo(behind, -3);
  });

  test('cross-frames that go in after the last push weigh on no roller, nor does one of which nobody says what it weighs', () => {
    const most = (edit: Edit) => Math.max(...of(pushed(edit), 'launch.roller').map(({ demand }) => demand!));
    const nothing = most((_, p) => p.structure.braces.forEach((one) => (one.mass = null)));
    const heavy = (l: Launch, p: Plan) => p.structure.braces.forEach((one) => (one.mass = 2000));
    const late: Edit = (l, p) => {
      heavy(l, p);
      const frames = p.moves.filter(({ kind }) => kind === 'brace.fix');
      p.moves = [...p.moves.filter(({ kind }) => kind !== 'brace.fix'), ...frames];
    };
    expect(most(heavy)).toBeGreaterThan(nothing + 5e3);
    expect(most(late)).toBeCloseTo(nothing, 3);
  });

  test('what its rollers carry is all of what lies on them, at every place', () => {
    const plan = pushed();
    const found = alongLaunch(plan, plan.launches![0]!, rulesOf('eu-ls', {}), 1);
    if (found instanceof Missing) throw new Error(found.questions.join());
    expect(found).toHaveLength(2);
    // The graph and the row tell of the same worst place.
    const [row] = of(plan, 'launch.factor');
    const whole = alongLaunch(plan, plan.launches![0]!, rulesOf('eu-ls', {}));
    if (whole instanceof Missing) throw new Error(whole.questions.join());
    expect(1.5 / Math.min(...whole[0]!.places.map(({ factor }) => factor ?? Infinity))).toBeCloseTo(row!.ratio!, 4);
    for (const { places } of found) expect(places.every(({ down, most }) => down !== null && most !== null && most.load > 0)).toBe(true);
  });
});

describe('one fault each', () => {
  test.each<[string, string, 'stop' | 'missing' | 'tight', Edit]>([
    ['a nose four times as heavy', 'launch.factor', 'stop', nose({ mass: 8000 })],
    [
      'no weight on its rear end and a heavier nose',
      'launch.factor',
      'stop',
      (l) => Object.assign(l, { tail: { mass: 0, at: null }, nose: { ...l.nose!, mass: 3000 } }),
    ],
    ['a heavy lump at its front end', 'launch.factor', 'stop', lump],
    ['a roller rated for less', 'launch.roller', 'stop', roller(2, { carries: 150e3 })],
    ['a roller nobody knows the rating of', 'launch.roller', 'missing', roller(1, { carries: null })],
    ['a roller past the reach of anything', 'launch.roller', 'tight', (l) => void l.rollers.push({ ...l.rollers[3]!, id: 'far', name: 'Far', x: 70 })],
    ['a roller 60 mm high', 'launch.tip', 'stop', roller(3, { off: 0.15 })],
    ['a tip that stands too low', 'launch.tip', 'stop', nose({ rise: 0.1 })],
    ['a tip nobody has spoken of', 'launch.tip', 'missing', nose({ rise: null })],
    ['a nose of which nobody knows what it carries', 'launch.nose', 'missing', nose({ carries: null })],
    ['a nose too weak at its root', 'launch.nose', 'stop', nose({ carries: 150e3 })],
    ['a nose nobody has weighed', 'launch.said', 'missing', nose({ mass: null })],
    ['a nose nobody knows the stiffness of', 'launch.said', 'missing', nose({ stiffness: null })],
    ['weight behind that lies nobody knows where', 'launch.said', 'missing', set({ tail: { mass: 4000, at: null } })],
    ['no word of how far', 'launch.said', 'missing', set({ travel: null })],
    ['no word of a nose', 'launch.said', 'missing', set({ nose: null })],
    ['no word of weight behind', 'launch.said', 'missing', set({ tail: null })],
    ['a direction its pieces do not lie in', 'launch.said', 'missing', set({ towardsDeg: 6 })],
    ['a roller with no place', 'launch.said', 'missing', roller(0, { x: null })],
    ['a roller of which nobody knows the level', 'launch.said', 'missing', roller(0, { off: null })],
    ['two rollers at one place', 'launch.said', 'missing', roller(1, { x: -24 })],
    ['a piece of which nobody knows when it is joined on', 'launch.said', 'missing', (l) => void (l.pieces[0]!.joined = null)],
    ['a piece ahead that is joined on after the one behind it', 'launch.said', 'missing', (l) => void (l.pieces[2]!.joined = 5)],
    ['pieces that do not meet', 'launch.said', 'missing', (_, p) => void (p.structure.pieces[2]!.from!.x += 0.3)],
    ['guides at one roller only', 'launch.guides', 'stop', (l) => l.rollers.slice(1).forEach((one) => (one.guides = false))],
    ['no word of guides', 'launch.guides', 'missing', roller(3, { guides: null })],
    ['a yard too short', 'launch.room', 'stop', set({ room: 28 })],
    ['a yard nobody has measured', 'launch.room', 'missing', set({ room: null })],
    ['a winch too weak', 'launch.pull', 'stop', set({ pull: { what: 'one winch', carries: 30e3 } })],
    ['nothing that pulls', 'launch.pull', 'missing', set({ pull: null })],
    ['no friction', 'launch.pull', 'missing', set({ friction: null })],
    ['no slope', 'launch.pull', 'missing', set({ slopeDeg: null })],
    ['nothing that holds it back', 'launch.brake', 'missing', set({ brake: { what: '', carries: 60e3 } })],
    ['downhill with too weak a brake', 'launch.brake', 'stop', set({ slopeDeg: -3, brake: { what: 'a winch', carries: 15e3 } })],
    ['flanges said to be held closer than the cross-frames lie', 'launch.free', 'missing', set({ free: 4 })],
    ['one line with nothing that holds its flanges', 'launch.bending', 'missing', (l, p) => (set({ free: null })(l, p), without('brace.fix')(l, p))],
    [
      'weaker flanges',
      'launch.bending',
      'stop',
      (_, p) =>
        p.structure.makes.forEach(
          ({ made }) => made.kind === 'girder' && [made.topFlange, made.bottomFlange].forEach((one) => Object.assign(one, { width: 0.2, thickness: 0.008 })),
        ),
    ],
    ['a web nobody has spoken of', 'launch.web', 'missing', set({ stiffened: null })],
    ['a roller that presses on nobody knows how much web', 'launch.web', 'missing', roller(2, { length: null })],
    ['a thin web', 'launch.web', 'stop', (_, p) => p.structure.makes.forEach(({ made }) => made.kind === 'girder' && (made.web = 0.005))],
    ['a splice of which nobody knows what it carries', 'launch.splice', 'missing', (_, p) => void (p.structure.joints[0]!.moment = null)],
    ['a splice too weak', 'launch.splice', 'stop', (_, p) => void (p.structure.joints[1]!.moment = 300e3)],
    ['a splice too weak in shear', 'launch.splice', 'stop', (_, p) => void (p.structure.joints[1]!.shear = 60e3)],
    ['a railway under it that is open', 'launch.over', 'stop', zone(null)],
    ['a railway closed by nobody', 'launch.over', 'missing', zone({ how: 'possession of the line', by: 'foreman', on: '2026-11-20' })],
    ['a mast where it is pushed', 'launch.clear', 'stop', standing(7.5)],
    ['nothing that ties the lines together in a gale', 'launch.roll', 'stop', (l, p) => (without('brace.fix')(l, p), void (p.site.standingGust = 38))],
    ['not tied, and no word of the wind', 'launch.roll', 'missing', (l, p) => (without('brace.fix')(l, p), void (p.site.standingGust = null))],
    ['not tied, and a roller nobody has measured', 'launch.roll', 'missing', (l, p) => (without('brace.fix')(l, p), roller(2, { width: null })(l, p))],
    ['no word of how far it is lowered', 'launch.lower', 'missing', set({ over: null })],
    ['packing too far under it', 'launch.lower', 'stop', set({ packing: 0.09 })],
    ['steps longer than its packing allows', 'launch.lower', 'missing', set({ step: 0.08 })],
    ['no word of a step', 'launch.lower', 'missing', set({ step: null })],
    ['jacks too weak', 'launch.lower', 'stop', set({ jacks: 80e3 })],
    ['gusts near those it is not pushed in', 'launch.wind', 'tight', (_, p) => void (p.site.forecastGust = 11.5)],
    ['gusts it is not pushed in', 'launch.wind', 'stop', (_, p) => void (p.site.forecastGust = 12)],
    ['no gust at which it stops', 'launch.wind', 'missing', set({ gust: null })],
    ['no forecast', 'launch.wind', 'missing', (_, p) => void (p.site.forecastGust = null)],
    ['two pieces that no splice joins', 'launch.joined', 'stop', (_, p) => void (p.structure.joints[1]!.kind = 'seat')],
    ['a push that does not halt at a roller', 'launch.halt', 'tight', moves((list) => list.filter((move) => !(move.kind === 'launch.push' && move.to < 20)))],
    ['a nose stiffer than its girder', 'launch.nose', 'missing', nose({ stiffness: 3e9 })],
    ['nobody who calls', 'lift.caller', 'missing', (_, p) => void (p.people.caller = '')],
    ['nobody who looked for power lines', 'site.walked', 'missing', (_, p) => void (p.site.walked = null)],
    [
      'one foot twice under a roller',
      'said.twice',
      'missing',
      roller(0, {
        standsOn: [
          { link: 'ground', share: 0.5 },
          { link: 'ground', share: 0.5 },
        ],
      }),
    ],
    ['a roller on the soil itself', 'launchPath.foot', 'missing', (_, p) => void (p.links[1]!.kind = 'soil')],
    ['a railway under the nose alone', 'launch.over', 'stop', (l, p) => (zone(null)(l, p), void (p.site.zones![0]!.at.x = 45))],
    ['nobody who answers for it', 'launch.by', 'missing', set({ by: 'engineer' })],
    ['nothing that lays its pieces on the rollers', 'launch.laid', 'missing', set({ laid: null })],
    ['a roller that stands on nothing', 'launchPath.gap', 'missing', roller(0, { standsOn: [] })],
    ['piers too weak under the rollers', 'launchPath.link', 'stop', (_, p) => void (p.links[0]!.capacity = 400e3)],
    ['a roller with no name', 'said.name', 'missing', roller(0, { name: ' ' })],
    ['a nose of 20 kg', 'said.size', 'missing', nose({ mass: 20 })],
  ])('%s: %s, %s', (_, id, verdict, edit) => {
    expect(worst(pushed(edit), id)).toContain(verdict);
  });

  test('what tips is not told to be clear of anything else', () => {
    const plan = pushed(nose({ mass: 20000 }));
    expect(worst(plan, 'launch.factor')).toEqual(['stop', 'stop']);
    for (const id of ['launch.roller', 'launch.bending', 'launch.web', 'launch.tip', 'launch.guides']) expect(of(plan, id)).toEqual([]);
    expect(worst(plan, 'launchPath.link')).toContain('missing');
  });

  test('a mast lower than its underside, and a line that is closed by somebody, are clear', () => {
    expect(of(pushed(standing(5.5)), 'launch.clear')).toEqual([]);
    expect(of(pushed(zone({ how: 'possession of the line', by: 'R. Fenn', on: '2026-11-20' })), 'launch.over')).toMatchObject([{ verdict: 'clear' }]);
  });

  test('one piece in two launches is asked about', () => {
    const plan = pushed((launch, p) => void p.launches!.push({ ...structuredClone(launch), id: 'again', rollers: [] }));
    expect(worst(plan, 'launch.twice')).toEqual(['missing']);
  });
});

describe('where things lie along it', () => {
  test('a piece drawn the other way about carries what is fixed to it at the same place', () => {
    const turned = (on: boolean) =>
      pushed((_, p) => {
        weighted(600)(_, p);
        const front = p.structure.makes.at(-1)!;
        front.attachments[0]!.at = 3;
        if (!on) return;
        front.attachments[0]!.at = front.length - 3;
        for (const piece of p.structure.pieces) if (piece.id.endsWith('-3')) [piece.from, piece.to] = [piece.to, piece.from];
        for (const { a, b } of p.structure.braces) for (const spot of [a, b!]) if (spot.piece.endsWith('-3')) spot.at = front.length - spot.at;
      });
    const figures = (plan: Plan) => [of(plan, 'launch.factor')[0]!, of(plan, 'launch.roller')[3]!].map(({ demand }) => demand!.toFixed(3));
    expect(figures(turned(true))).toEqual(figures(turned(false)));
    expect(figures(turned(false))).not.toEqual(figures(pushed(weighted(600))));
  });

  test('a roller above the line of the launch carries more than one on it, and its neighbours less', () => {
    const loads = (plan: Plan) => {
      const found = alongLaunch(plan, plan.launches![0]!, rulesOf('eu-ls', {}), 1);
      return found instanceof Missing ? [] : found[0]!.places[3]!.loads!;
    };
    const [high, even] = [loads(pushed(roller(1, { off: 0.01 }))), loads(pushed())];
    expect(high[1]).toBeGreaterThan(even[1]! + 5e3);
    expect(high[0]).toBeLessThan(even[0]!);
    expect(high[2]).toBeLessThan(even[2]!);
    expect(of(pushed(roller(1, { off: 0.01 })), 'launch.roller')[1]!.demand).not.toBe(of(pushed(), 'launch.roller')[1]!.demand);
  });

  test('no splice feels more than the pieces it joins', () => {
    for (const plan of [pushed(), pushed(weighted(700)), pushed(nose({ mass: 2600 }))])
      for (const row of of(plan, 'launch.splice')) {
        const joint = plan.structure.joints.find(({ id }) => id === row.about.id)!;
        const id = row.about.part === 'moment' ? 'launch.bending' : 'launch.shear';
        for (const { piece } of [joint.a, joint.b]) {
          const felt = of(plan, id).find(({ about }) => about.id === piece)!;
          expect(row.demand!).toBeLessThanOrEqual(felt.demand! * 1.0001);
        }
      }
  });

  test('lines tied to each other stand in the gale that would roll one alone', () => {
    const gale: Edit = (_, p) => void (p.site.standingGust = 38);
    expect(of(pushed(gale), 'launch.roll').map(({ verdict }) => verdict)).toEqual(['clear', 'clear']);
    // Together they have the width between them: a storm rolls them over the outer one, and its wind has to be known.
    expect(of(pushed(gale), 'launch.roll')[0]!.capacity).toBeGreaterThan(5 * of(pushed(without('brace.fix')), 'launch.roll')[0]!.capacity!);
    const near: Edit = (l, p) => (
      gale(l, p),
      p.structure.pieces.forEach(({ id, from, to }) => id.startsWith('g2') && [from, to].forEach((end) => (end!.y = 0.35)))
    );
    expect(worst(pushed(near), 'launch.roll')).toEqual(['stop', 'stop']);
    expect(
      worst(
        pushed((_, p) => void (p.site.standingGust = null)),
        'launch.roll',
      ),
    ).toEqual(['missing', 'missing']);
    // Struts that stop it sideways alone do not keep it from rolling.
    const struts: Edit = (l, p) => (gale(l, p), p.structure.braces.forEach((one) => (one.stops = 'sideways')));
    expect(worst(pushed(struts), 'launch.roll')).toEqual(['stop', 'stop']);
    // Nor does what is fixed only once it is on its way.
    const lateFrames: Edit = (l, p) => {
      gale(l, p);
      p.moves = [
        ...p.moves.filter(({ kind }) => kind !== 'brace.fix' && kind !== 'launch.lower'),
        ...p.moves.filter(({ kind }) => kind === 'brace.fix' || kind === 'launch.lower').reverse(),
      ];
    };
    expect(worst(pushed(lateFrames), 'launch.roll')).toEqual(['stop', 'stop']);
  });
});

describe('by its rules', () => {
  const ruled = (thresholds: Record<string, number>, edit: Edit = () => {}) => pushed((l, p) => (edit(l, p), void (p.job.thresholds = thresholds)));
  const demand = (plan: Plan, id: string, n = 0) => of(plan, id)[n]!.demand!;

  test('rollers off their levels press, carry and go down to ground by as much more', () => {
    const [once, twice] = [ruled({ rollerSpread: 1.2 }), ruled({ rollerSpread: 2.4 })];
    for (const id of ['launch.roller', 'launch.web', 'launchPath.link']) expect(demand(twice, id) / demand(once, id)).toBeCloseTo(2, 6);
    const jacks = (plan: Plan) => of(plan, 'launch.lower').find(({ about }) => about.part === 'jacks')!.demand!;
    expect(jacks(twice) / jacks(once)).toBeCloseTo(2, 6);
  });

  test('held back: no less than its share of the weight, and what runs downhill where that is more', () => {
    const weight = demand(ruled({ breakaway: 1 }), 'launch.pull') / 0.05;
    expect(demand(ruled({ brakeLeast: 0.02 }), 'launch.brake')).toBeCloseTo(0.02 * weight, 3);
    const slope = set({ slopeDeg: -3 });
    expect(demand(ruled({ brakeLeast: 0.02 }, slope), 'launch.brake')).toBeCloseTo(weight * Math.sin((3 * Math.PI) / 180), 3);
    expect(demand(ruled({ breakaway: 3 }), 'launch.pull')).toBeCloseTo(0.15 * weight, 3);
  });

  test('of what is said and what the cross-frames leave free the longer governs; what is fixed on the way holds nothing before', () => {
    const capacity = (plan: Plan) => of(plan, 'launch.bending')[0]!.capacity!;
    expect(capacity(pushed(set({ free: 4 })))).toBe(capacity(pushed(set({ free: null }))));
    expect(capacity(pushed(set({ free: 15 })))).toBeLessThan(capacity(pushed()));
    const late = pushed((l, p) => {
      set({ free: null })(l, p);
      const middle = p.moves.findIndex((move) => move.kind === 'brace.fix' && move.brace === 'frame3-1');
      const [frame] = p.moves.splice(middle, 1);
      p.moves.splice(at(p.moves, 'launch.push') + 1, 0, frame!);
    });
    expect(capacity(late)).toBe(capacity(pushed(set({ free: 15 }))));
  });
});

describe('with what is around it', () => {
  test('its rollers are followed through what they stand on down to ground', () => {
    const plan = pushed((l, p) => {
      p.links.push({
        id: 'pad',
        name: 'Pad',
        kind: 'pad',
        storey: 0,
        own: 1000,
        capacity: 3e6,
        foot: null,
        ground: false,
        standsOn: [{ link: 'ground', share: 1 }],
      });
      for (const one of l.rollers.slice(0, 2)) one.standsOn = [{ link: 'pad', share: 1 }];
    });
    const onto = (id: string, one: Plan) => of(one, 'launchPath.link').find(({ about }) => about.id === id)!.demand!;
    expect(onto('ground', plan)).toBeCloseTo(onto('ground', pushed()) + 1000, 3);
    expect(onto('pad', plan)).toBeCloseTo(onto('ground', pushed()) + 1000, 3);
    const sum = of(pushed(), 'launch.roller')
      .slice(0, 2)
      .reduce((all, { demand }) => all + demand!, 0);
    // Two lines on each.
    expect(onto('ground', pushed())).toBeCloseTo(2 * sum, 0);
  });

  test('once lowered it stands in the way of what a crane lifts past it', () => {
    const plan = pushed((_, p) => {
      p.structure.pieces.push({ ...structuredClone(p.structure.pieces[0]!), id: 'extra', mark: 'X', from: { x: 0, y: 9, z: 6 }, to: { x: 10, y: 9, z: 6 } });
      p.moves.push({ id: 'hx', kind: 'piece.hang', beam: 'extra', by: 'mobile crane', pick: 'kx' });
      p.picks.push({ ...newPick('kx', 'extra', 's', 10) });
    });
    const set = (one: Plan) => standingAt(settle(one), rulesOf('eu-ls', {}), one.picks[0]!).map(({ id }) => id);
    expect(set(plan)).toEqual(['g1-1', 'g1-2', 'g1-3', 'g2-1', 'g2-2', 'g2-3']);
    const before = { ...plan, moves: plan.moves.filter(({ kind }) => kind !== 'launch.lower') };
    expect(set(before)).toEqual([]);
  });

  test('a piece taken out of the job is pushed no more, and a link that went carries nothing', () => {
    const taken = after(pushed(), 'removeFrom', { list: 'beams', id: 'g1-2' });
    expect(taken.launches![0]!.pieces.map(({ piece }) => piece)).toEqual(['g1-1', 'g1-3', 'g2-1', 'g2-2', 'g2-3']);
    expect(openPlan(structuredClone(taken))).toMatchObject({ ok: true });
    const loose = after(pushed(), 'removeFrom', { list: 'links', id: 'pier' });
    expect(openPlan(structuredClone(loose))).toMatchObject({ ok: true });
    expect(loose.launches![0]!.rollers[2]!.standsOn).toEqual([]);
    expect(loose.structure.supports[0]!.standsOn).toEqual([]);
    const none = after(pushed(), 'removeFrom', { list: 'launches', id: 'launch1' });
    expect(none.moves.some((move) => 'launch' in move)).toBe(false);
    expect(openPlan(structuredClone(none))).toMatchObject({ ok: true });
  });
});

describe('its moves', () => {
  test.each<[string, string, Edit]>([
    [
      'pushed before it is built',
      'is built on its rollers',
      (l, p) => moves((list) => [...list.filter(({ kind }) => kind !== 'launch.build'), ...list.filter(({ kind }) => kind === 'launch.build')])(l, p),
    ],
    [
      'lowered before the stops are on',
      'the side stops of Launch are on',
      moves((list) => [...list.filter(({ kind }) => kind !== 'launch.stop'), list[at(list, 'launch.stop')]!]),
    ],
    [
      'stops on before it has come all the way',
      'has come all of its 30.5 m',
      moves((list) => list.map((move) => (move.kind === 'launch.push' && move.to > 20 ? { ...move, to: 25 } : move))),
    ],
    [
      'pushed with splices half filled',
      'is filled and tight',
      moves((list) => list.map((move) => (move.kind === 'joint.make' ? { ...move, bolts: 20 } : move))),
    ],
    ['pushed past where a piece is joined on', 'halts at 6 m', (l) => l.pieces.forEach((one, n) => n % 3 === 0 && (one.joined = 6))],
    [
      'pushed back',
      'has not come as far as',
      moves((list) => list.map((move) => (move.kind === 'launch.push' && move.to < 20 ? { ...move, to: 30.5 } : move))),
    ],
    [
      'pushed further than it goes',
      'pushed no further than its 30.5 m',
      moves((list) => list.map((move) => (move.kind === 'launch.push' && move.to > 20 ? { ...move, to: 33 } : move))),
    ],
    ['lowered with a seat that is not ready', 'Pier 1, line 1 is ready', moves((list) => list.filter((_, n) => n !== 0))],
    ['lowered twice', 'Launch is not lowered yet', moves((list) => [...list, { ...list[at(list, 'launch.lower')]!, id: 'again' }])],
    ['built twice', 'Launch is not built yet', moves((list) => [...list.slice(0, 6), { ...list[at(list, 'launch.build')]!, id: 'again' }, ...list.slice(6)])],
    [
      'a piece of it hung by a crane as well',
      'G1.2 is still to come',
      moves((list) => [...list, { id: 'h', kind: 'piece.hang', beam: 'g1-2', by: 'mobile crane', checkedBy: 'L. Marsh' }]),
    ],
  ])('%s: a stop', (_, why, edit) => {
    const plan = pushed(edit);
    expect(worst(plan, 'move.order')).toContain('stop');
    const lacking = replay(plan).steps.flatMap(({ needs }) => needs.flatMap(({ what, done }) => (done ? [] : [what])));
    expect(lacking.join('; ')).toContain(why);
  });

  test.each<[string, Edit]>([
    ['never built', without('launch.build')],
    ['never pushed', without('launch.push')],
    ['never stopped', without('launch.stop')],
    ['never lowered', without('launch.lower')],
  ])('%s: asked', (_, edit) => {
    expect(worst(pushed(edit), 'moves.launch')).toContain('missing');
  });

  test('its pieces are on rollers until it is lowered, and carry on their seats from then on', () => {
    const plan = pushed();
    const { steps } = replay(plan);
    const after = (kind: Move['kind'], n = 0) => steps.filter(({ move }) => move.kind === kind)[n]!.after.structure;
    expect(beamAt(after('support.ready'), 'g1-1').where).toBe('away');
    expect(beamAt(after('launch.push'), 'g1-1').where).toBe('rolling');
    expect(launchAt(after('launch.push'), 'launch1')).toMatchObject({ travel: 12, stopped: false });
    expect(beamAt(after('launch.lower'), 'g2-3')).toMatchObject({ where: 'set', kept: 0 });
    expect(of(plan, 'support.load').map(({ move }) => move)).toEqual(Array.from({ length: 4 }, () => plan.moves.at(-1)!.id));
  });

  test('built in stages: what is joined on behind is not there before, and takes less of the yard', () => {
    const plan = pushed((launch, p) => {
      for (const one of launch.pieces) if (one.piece.endsWith('-1')) one.joined = 12;
      // Its splices are made where it halts.
      const late = new Set(p.structure.joints.filter(({ a, b }) => a.piece.endsWith('-1') || b.piece.endsWith('-1')).map(({ id }) => id));
      const isLate = (move: Move) => move.kind === 'joint.make' && late.has(move.joint);
      const frames = new Set(p.structure.braces.filter(({ a }) => a.piece.endsWith('-1')).map(({ id }) => id));
      const isFrame = (move: Move) => move.kind === 'brace.fix' && frames.has(move.brace);
      const rest = p.moves.filter((move) => !isLate(move) && !isFrame(move));
      const halt = at(rest, 'launch.push') + 1;
      p.moves = [...rest.slice(0, halt), ...p.moves.filter(isLate), ...p.moves.filter(isFrame), ...rest.slice(halt)];
    });
    expect(worst(plan, 'move.order')).toEqual([]);
    const first = replay(plan).steps.find(({ move }) => move.kind === 'launch.build')!.after.structure;
    expect(beamAt(first, 'g1-1').where).toBe('away');
    expect(beamAt(first, 'g1-2').where).toBe('rolling');
    const room = (one: Plan) => of(one, 'launch.room')[0]!.demand!;
    expect(room(plan)).toBeLessThan(room(pushed()));
    // With so little behind it, it tips.
    expect(worst(plan, 'launch.factor')).toEqual(['stop', 'stop']);
  });
});

describe('what may not matter does not', () => {
  const ratios = (plan: Plan) => rowsOf(plan).flatMap(({ id, ratio }) => (id.startsWith('launch') && ratio !== null ? [`${id} ${ratio.toFixed(6)}`] : []));

  test('moving the whole site, and turning it about, changes no figure', () => {
    const moved = pushed((launch, plan) => {
      launch.towardsDeg = 90;
      for (const piece of plan.structure.pieces) for (const end of [piece.from!, piece.to!]) [end.x, end.y] = [100 - end.y, 50 + end.x];
    });
    expect(ratios(moved)).toEqual(ratios(pushed()));
  });

  test('pushed the other way with everything mirrored', () => {
    const mirrored = pushed((launch, plan) => {
      launch.towardsDeg = 180;
      for (const piece of plan.structure.pieces) for (const end of [piece.from!, piece.to!]) end.x = -end.x;
    });
    expect(ratios(mirrored)).toEqual(ratios(pushed()));
  });

  test('a plan edited is answered as one read afresh', () => {
    const plan = pushed();
    evaluated(plan, TODAY);
    const edited: Plan = {
      ...plan,
      launches: plan.launches!.map((one) => ({
        ...one,
        tail: { mass: 2500, at: 0.5 },
        rollers: one.rollers.map((r, n) => (n === 1 ? { ...r, off: 0.01 } : r)),
      })),
    };
    const again = evaluated(edited, TODAY).checks;
    expect(again).toEqual(afresh(() => evaluated(structuredClone(edited), TODAY).checks));
    expect(again.find(({ id }) => id === 'launch.factor')!.ratio).toBeGreaterThan(of(plan, 'launch.factor')[0]!.ratio!);
    const lighter: Plan = { ...edited, structure: { ...edited.structure, makes: edited.structure.makes.map((make) => ({ ...make, mass: 3900 })) } };
    expect(evaluated(lighter, TODAY).checks).toEqual(afresh(() => evaluated(structuredClone(lighter), TODAY).checks));
  });
});

describe('where it is drawn', () => {
  test('behind its place by what is still to be pushed, over its seats by its rollers, nose ahead', () => {
    const plan = pushed();
    const step = replay(plan).steps.find(({ move }) => move.kind === 'launch.push')!;
    const pose = rollingPose(plan, rulesOf('eu-ls', {}), step.after.structure);
    expect(pose.shift.get('g1-3')).toMatchObject({ x: expect.closeTo(12 - 30.5, 6) as number, z: expect.closeTo(0.6, 6) as number });
    expect(pose.noses).toHaveLength(2);
    // Front end 12 m past the first pier, 18 m of nose: its tip is at the second.
    expect(pose.noses[0]!.to.x).toBeCloseTo(30, 6);
    const carried = pose.rollers.filter(({ line }) => line === 'g1-1').reduce((sum, { load }) => sum + load!, 0);
    const [row] = of(plan, 'launch.pull');
    expect(2 * carried).toBeCloseTo(row!.demand! / 0.1, -2);
    expect(rollingPose(plan, rulesOf('eu-ls', {}), replay(plan).steps.at(-1)!.after.structure).rollers).toEqual([]);
  });

  test('what may be pushed is level and lifted by nothing', () => {
    const plan = pushed((_, p) => void (p.launches = []));
    expect(pushable(plan)).toHaveLength(6);
    plan.moves.push({ id: 'h', kind: 'piece.hang', beam: 'g1-2', by: 'crane' });
    expect(pushable(plan)).not.toContain('g1-2');
  });
});
