import { GABLE, gableAsOne } from '../../../../tests/gable';
import { opened } from '../../../../tests/said';
import { joinable, joinedOf } from '../../document/joined';
import { evaluate } from '../../evaluate';
import { settle } from '../../settle/settle';
import { describe as told } from '../../verdict/describe';
import { Missing } from '../../verdict/missing';
import { surveyPlan } from '../../view/survey';
import type { Plan } from '../../document/schema';
import { pickContext } from './pick-context';

const TODAY = '2026-11-27';
type Edit = (plan: Plan) => unknown;
const edited = (slung: number, ...edits: Edit[]): Plan => {
  const plan = gableAsOne(slung);
  for (const edit of edits) edit(plan);
  return opened(plan);
};
const words = (check: Parameters<typeof told>[0]) => told(check, 'metric').replace(/\u00a0/g, ' ');
const rows = (plan: Plan) => evaluate(plan, TODAY).checks;
const row = (plan: Plan, id: string, part?: string) => rows(plan).find((one) => one.id === id && (part === undefined || one.about.part === part));
const bad = (plan: Plan): string =>
  rows(plan)
    .filter(({ id, verdict }) => (verdict === 'stop' || verdict === 'missing') && /^(pick|lift|rigging|turn|joint|line|beam|move)\./.test(id))
    .map((one) => `${one.verdict} ${one.id} ${words(one)}`)
    .join('\n');
const piece = (plan: Plan, id: string) => plan.structure.pieces.find((one) => one.id === id)!;
const ridge = (plan: Plan) => plan.structure.joints.find(({ id }) => id === 'rg')!;

const [G, LB_FT, IN] = [9.80665, 1.48816, 0.0254];
const { span, rise, eaves } = GABLE;
const DEEP = 11.9 * IN;
/** Weight of a rafter for each metre seen from above: W12x40 with 5 %. */
const load = (40 * LB_FT * G * 1.05 * Math.hypot(span / 2, rise)) / (span / 2);

describe('a pair of rafters joined on the ground and lifted as one', () => {
  test('weighs both, is as long as it is seen from above, and balances half way up', () => {
    const plan = edited(4);
    const joined = joinedOf(plan, plan.picks[0]!);
    if (joined === null || joined instanceof Missing) throw new Error('not one');
    expect(joined.length).toBeCloseTo(span, 9);
    expect(joined.rise).toBeCloseTo(rise, 9);
    const { weight } = pickContext(settle(plan), plan.picks[0]!);
    if (weight instanceof Missing) throw new Error('not weighed');
    expect(weight.weight).toBeCloseTo(load * span, 0);
    expect(weight.cg.x).toBeCloseTo(span / 2, 6);
    // From the height of its slings, a metre over its lower ends.
    expect(weight.cg.z).toBeCloseTo(rise / 2 + DEEP / 2 - 1, 2);
    expect(joinable(plan, { ...plan.picks[0]!, joined: [] }).map(({ beam }) => beam.id)).toEqual(['r2']);
  });

  test('nothing of it is stopped or asked but what its basket hitch would do', () => {
    expect(bad(edited(4)).replace(/stop rigging.slides .*/, '')).not.toMatch(/stop|missing (pick|rigging|line|beam|joint)/);
  });

  test('reaches from its lower ends to its slings, and on to its ridge', () => {
    const plan = edited(4);
    const { hanging } = pickContext(settle(plan), plan.picks[0]!);
    expect(hanging).toMatchObject({ way: 'slung', loadDepth: expect.closeTo(1 + DEEP, 2) as number, height: expect.closeTo(rise + DEEP, 2) as number });
  });

  test('comes down past a post that reaches over its lower ends, not past one that stands under its ridge', () => {
    const post = (x: number, height: number) =>
      bad(edited(4, (p) => p.site.obstructions.push({ id: 'po', name: 'Post', at: { x, y: 0 }, length: 0.2, width: 0.2, height, azimuthDeg: 0 } as never)));
    expect(post(1.5, eaves + 0.8)).toMatch(/stop beam.inTheWay R1 is set into Post/);
    expect(post(span / 2, eaves + 0.8)).not.toMatch(/inTheWay|lift.down/);
  });

  test('goes straight up from where it lies through what reaches as high as its ridge does', () => {
    const under = (height: number) =>
      bad(
        edited(4, (p) => p.site.obstructions.push({ id: 'po', name: 'Post', at: { x: 6, y: -17 }, length: 0.2, width: 0.2, height, azimuthDeg: 0 } as never)),
      );
    expect(under(1)).toMatch(/stop lift.up|missing lift.up/);
  });

  test('its hook is over its lower ends by the height it is slung at and its slings', () => {
    const found = row(edited(4), 'lift.headRoom')!;
    const over = 1 + DEEP + Math.sqrt(4 ** 2 - 2 ** 2);
    expect(found.demand! - eaves - 0.5).toBeCloseTo(over, 1);
  });

  test('hangs out from its slings, and what those press together bends it at its ridge: by hand', () => {
    const squeeze = ((load * span) / 2) * (2 / Math.sqrt(4 ** 2 - 2 ** 2));
    const [out, between] = [(load * 4 ** 2) / 2, (load * span ** 2) / 8 - ((load * span) / 2) * 4];
    expect(row(edited(4), 'pick.bending', 'r1')!.demand! / ((out + squeeze * 0.5) * 1.1)).toBeCloseTo(1, 2);
    expect(row(edited(4), 'pick.splice', 'moment')!.demand! / ((Math.abs(between) + squeeze * 0.5) * 1.1)).toBeCloseTo(1, 2);
    expect(row(edited(4), 'pick.splice', 'shear')!.demand! / (squeeze * 1.1)).toBeCloseTo(1, 2);
    expect(row(edited(4), 'pick.hanging')!.demand!).toBeCloseTo(row(edited(4), 'pick.bending', 'r1')!.demand!, 3);
  });

  test('its slings lie nearer along it by its slope: a basket slides towards the ridge, under a bar too where it is steep', () => {
    const [cos, sin] = [Math.cos(((60 - (Math.atan2(rise, span / 2) * 180) / Math.PI) * Math.PI) / 180), (load * span) / 2 / Math.sin(Math.PI / 3)];
    expect(row(edited(4), 'rigging.slides')!.demand! / (cos * sin)).toBeCloseTo(1, 2);
  });

  test('slung below where it balances it turns over', () => {
    expect(bad(edited(2))).toMatch(/stop rigging.topHeavy R1 \+ R2 balance 901.* above their lower ends and are slung 802/);
    expect(row(edited(4), 'rigging.topHeavy')!.verdict).toBe('clear');
    expect(row(edited(4), 'rigging.topHeavy')!.ratio).toBeCloseTo((rise / 2 + DEEP / 2) / (1 + DEEP), 2);
    // Between: more than nine tenths of it.
    expect(row(edited(2.6), 'rigging.topHeavy')!.verdict).toBe('tight');
  });

  const faults: [string, Edit, RegExp][] = [
    ['slung at two heights', (p) => (p.picks[0]!.right = 5), /missing lift.chart R1 \+ R2 are bent and slung at two heights/],
    [
      'one end lower than the other',
      (p) => {
        const lower = { x: span + 2, y: 0, z: eaves - 0.5 };
        const long = Math.hypot(span / 2 + 2, rise + 0.5);
        p.structure.makes.push({ ...p.structure.makes.find(({ id }) => id === 'rf')!, id: 'rl', length: long });
        Object.assign(piece(p, 'r2'), { make: 'rl', from: lower });
        for (const end of [piece(p, 'c2').from!, piece(p, 'c2').to!]) end.x = lower.x;
        p.structure.joints.find(({ id }) => id === 'n2')!.b.at -= 0.5;
        ridge(p).b.at = long;
      },
      /missing lift.chart .* bent, and their two ends are not of one height/,
    ],
    ['a ridge that holds little', (p) => (ridge(p).moment = 3e3), /stop pick.splice rg bends/],
    ['a ridge of which nobody says what it takes', (p) => (ridge(p).shear = null), /missing pick.splice What shear may rg carry/],
    [
      'a ridge that is made only in the air',
      (p) => {
        const at = p.moves.findIndex((move) => move.kind === 'joint.make' && move.joint === 'rg');
        const [made] = p.moves.splice(at, 1);
        p.moves.splice(at + 1, 0, made!);
      },
      /stop move.order/,
    ],
    [
      'two hooks',
      (p) => {
        p.cranes.push({ ...structuredClone(p.cranes[0]!), id: 'cx', name: 'Curlew 51' });
        p.stands.push({ ...p.stands[0]!, id: 'wx', name: 'WX', crane: 'cx', at: { x: 6, y: 16 } });
        p.picks[0]!.second = { stand: 'wx', boom: 27, slingRating: 5000, riggingMass: 95 };
        p.moves.unshift({ id: 'z1', kind: 'crane.set', stand: 'wx' });
        p.moves.push({ id: 'z2', kind: 'crane.leave', stand: 'wx' });
      },
      /missing rigging.tension .* R1 \+ R2 are bent and hang on two hooks/,
    ],
  ];
  test.each(faults)('%s', (_, edit, wanted) => expect(bad(edited(4, edit))).toMatch(wanted));

  test('lying on its side it is rolled up on its lower ends: past the angle at which it balances it falls over', () => {
    const side = edited(4, (p) => {
      piece(p, 'r1').lies!.onSide = true;
      p.picks[0]!.roll = { by: 'P. Novak', holdBack: 'two tag lines round the bollard', edgeCarries: 40e3 };
    });
    const deg = (Math.atan2(rise / 2 + DEEP / 2, (8.01 * IN) / 2) * 180) / Math.PI;
    expect(words(row(side, 'turn.over')!)).toMatch(new RegExp(`Past ${deg.toFixed(1)}`));
    expect(bad(edited(4, (p) => (piece(p, 'r1').lies!.onSide = null)))).toMatch(/missing pick.lies Does R1 \+ R2 lie on its side/);
  });

  test('steep ones too, and a roof of one post goes through what reaches up to its ridge', () => {
    const steep = edited(4, (p) => {
      const up = 3.6;
      for (const id of ['r1', 'r2']) piece(p, id).to!.z = eaves + up;
      const long = Math.hypot(span / 2, up);
      p.structure.makes.find(({ id }) => id === 'rf')!.length = long;
      for (const end of [ridge(p).a, ridge(p).b]) end.at = long;
    });
    expect(row(steep, 'lift.chart')!.verdict).toBe('clear');
    expect(row(steep, 'rigging.topHeavy')!.demand!).toBeCloseTo(1.8 + DEEP / 2, 2);
    // 14 m along its slopes and 12 m as it is seen.
    expect(row(steep, 'pick.hanging')!.capacity! / row(edited(4), 'pick.hanging')!.capacity!).toBeLessThan(0.99);
    expect(row(steep, 'lift.boomGap')!.capacity!).toBeLessThan(row(edited(4), 'lift.boomGap')!.capacity!);
  });

  test('its slings are drawn to where they take it', () => {
    const plan = edited(4);
    const { side } = surveyPlan(
      plan,
      null,
      plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === 'r1'),
      'beam',
    );
    const ends = side.shapes.flatMap((one) =>
      one.shape === 'line' && one.style.stroke === 'ink' && one.style.width === 1.5 && one.points.length === 2 ? [one.points[1]!.y] : [],
    );
    // A little over its lower ends, a metre up the slope and its own depth.
    expect(ends).toHaveLength(2);
    for (const y of ends) expect(y - eaves - 1 - DEEP).toBeLessThan(0.7);
    for (const y of ends) expect(y - eaves - 1 - DEEP).toBeGreaterThan(0);
  });

  test('pieces that run on in one line hang as before', () => {
    const flat = edited(4, (p) => {
      for (const id of ['r1', 'r2']) piece(p, id).to!.z = eaves + 0.05;
      p.structure.makes.find(({ id }) => id === 'rf')!.length = 6;
      for (const end of [ridge(p).a, ridge(p).b]) end.at = 6;
    });
    const joined = joinedOf(flat, flat.picks[0]!);
    expect(joined).toMatchObject({ rise: 0, length: 12 });
    expect(row(flat, 'rigging.topHeavy')).toBeUndefined();
  });
});
