import { raised, type PointOf } from '../../../../tests/raised';
import { describe as words } from '../../verdict/describe';
import { newArm, type Arm } from '../../document/things/raise';
import { liftList } from '../../evaluate/lift-list';
import { openPlan } from '../../document/open';
import type { Plan, Raise } from '../../document/schema';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
const rows = (plan: Plan) => evaluate(plan, TODAY).checks.filter(({ about }) => about.kind === 'raise');
const told = (plan: Plan): string =>
  rows(plan)
    .filter(({ verdict }) => verdict !== 'clear')
    .map((check) => `${check.verdict} ${check.id} ${words(check, 'metric').replace(/\u00a0/g, ' ')}`)
    .join('\n');
const row = (plan: Plan, id: string, part?: string) => rows(plan).find((one) => one.id === id && (part === undefined || one.about.part === part));
const weight = 61.3 * 6 * 1.05 * 9.80665;
type Edit<K extends 'jack' | 'hoist'> = (point: PointOf<K>, raise: Raise, plan: Plan) => unknown;
const edited = <K extends 'jack' | 'hoist'>(kind: K, edit: Edit<K>, n = 0): Plan =>
  raised(kind, (raise, plan) => edit(raise.points[n] as PointOf<K>, raise, plan));

describe('on jacks', () => {
  test('all said, nothing is left to ask; its share and its goes by hand', () => {
    const plan = raised('jack');
    expect(told(plan)).toBe('');
    // Seats 3 m up from 0.4 m: 2.6 m by 40 mm are 65 goes.
    expect(words(row(plan, 'raise.stroke')!, 'metric')).toContain('take 65 goes');
    // Balance point 2.5 m from the first of two places 4.5 m apart, 50 mm out of level, 100 mm above the jacks.
    const walk = 0.1 * Math.tan(Math.asin(0.05 / 4.5));
    expect(row(plan, 'raise.share')!.demand! * 9.80665).toBeCloseTo((weight * (2 + walk)) / 4.5, 0);
    expect(row(plan, 'raise.tilt')!.demand).toBeCloseTo((Math.asin(0.05 / 4.5) * 180) / Math.PI, 9);
    expect(openPlan(plan).ok).toBe(true);
  });

  test.each<[string, Edit<'jack'>, RegExp]>([
    ['rated for less than its share', (jack) => (jack.rating = 160), /^stop raise.share .*comes to carry/],
    ['of unknown rating', (jack) => (jack.rating = null), /^missing raise.share What is Jack 1 rated for/],
    ['too high to go under', (jack) => (jack.closed = 0.45), /^stop raise.fits .*under .* there are 400 mm/],
    ['of unknown height', (jack) => (jack.closed = null), /^missing raise.fits How high is Jack 1/],
    ['under a load that lies nobody says where', (_, raise) => (raise.lies = null), /missing raise.fits At which levels/],
    ['asked for more than its stroke', (jack) => (jack.stroke = 0.03), /^stop raise.stroke/],
    ['of unknown stroke', (jack) => (jack.stroke = null), /^missing raise.stroke How long is the stroke/],
    ['of unknown go', (jack) => (jack.step = null), /^missing raise.stroke How much does/],
    ['one go more than one place may be ahead', (jack) => (jack.step = 0.08), /^stop raise.step One go of Jack 1 is 80 mm/],
    ['packed higher than three times its base', (jack) => (jack.foot = 0.9), /stop raise.stack .*comes to stand 3\.00.*high on a base/],
    ['too far out of level', (_, raise) => (raise.uneven = 0.2), /stop raise.tilt/],
    ['packing too far behind', (jack) => (jack.packing = 0.08), /^stop raise.packing/],
    ['nobody says how packing follows', (jack) => (jack.packing = null), /^missing raise.packing How far under/],
    ['nobody says whether it locks', (jack) => (jack.locks = null), /^missing raise.locks/],
    ['it stands on its oil', (jack) => (jack.locks = false), /^tight raise.packing .*the load drops so far/],
    ['a floor that gives', (_, raise) => (raise.floorCarries = 1500), /stop raise.floor .*presses/],
    ['on an unknown floor', (_, raise) => (raise.floorCarries = null), /missing raise.floor What may the floor/],
    ['on nobody knows how much floor', (jack) => (jack.foot = null), /^missing raise.floor On how much floor/],
  ])('%s', (_, edit, says) => expect(told(edited('jack', edit))).toMatch(says));

  test('of the second jack too, each by its own figures', () => {
    const second = edited('jack', (jack) => Object.assign(jack, { packing: 0.2, step: 0.2, stroke: 0.1 }), 1);
    expect(told(second)).toMatch(/stop raise.stroke Jack 2[\s\S]*stop raise.step One go of Jack 2[\s\S]*stop raise.packing/);
    expect(told(second)).not.toContain('Jack 1');
  });

  test('tilted by the greater of a go and what is said, over the nearer of the other places; a go begun is a go', () => {
    const tilt = (edit: Edit<'jack'>) => row(edited('jack', edit), 'raise.tilt')!.demand!;
    const deg = (high: number, apart: number) => (Math.asin(high / apart) * 180) / Math.PI;
    expect(tilt((jack) => (jack.step = 0.12))).toBeCloseTo(deg(0.12, 4.5), 9);
    const third = (_: unknown, raise: Raise) =>
      raise.points.push({ ...structuredClone(raise.points[1] as PointOf<'jack'>), id: 'third', name: 'Jack 3', at: 2.1 });
    expect(tilt(third)).toBeCloseTo(deg(0.05, 1.6), 9);
    expect(
      words(
        row(
          edited('jack', (_, raise) => (raise.lies = 0.39)),
          'raise.stroke',
        )!,
        'metric',
      ),
    ).toContain('take 66 goes');
  });

  test('the thresholds are those of the job', () => {
    const plan = raised('jack');
    plan.job.thresholds = { packingGap: 0.02, jackTilt: 0.3 };
    expect(told(plan)).toMatch(/raise.tilt[\s\S]*raise.packing/);
  });
});

const arm: Arm = { reach: 0.6, apart: 2, lashingCarries: 5000, own: 60, footCarries: 12000, designedBy: 'M. Lindqvist' };
const onArm = (edit: (arm: Arm, point: PointOf<'hoist'>) => unknown = () => undefined, n = 0): Plan =>
  edited(
    'hoist',
    (point) => {
      point.arm = { ...arm };
      point.hangsFrom = 'Post A';
      edit(point.arm, point);
    },
    n,
  );

describe('on the arm of a post', () => {
  test('lashings and foot by hand; what it hangs from is not asked besides', () => {
    const plan = onArm((_, point) => (point.carries = null));
    expect(told(plan)).toBe('');
    const [first] = plan.raises![0]!.points;
    const hung = row(plan, 'raise.share', first!.id)!.demand! * 9.80665 + 20 * 9.80665;
    expect(row(plan, 'raise.lashing')!.demand).toBeCloseTo((hung * 0.6) / 2, 1);
    expect(row(plan, 'raise.postFoot')!.demand).toBeCloseTo(hung + 60 * 9.80665, 1);
    expect(row(plan, 'raise.hangsFrom', first!.id)).toBeUndefined();
    expect(row(plan, 'raise.lashing')!.traces.map(({ calc }) => calc)).toContain('hoist.bracket');
    expect(liftList(plan, evaluate(plan, TODAY).checks)[0]!.how).toBe('2 × hoist');
  });
  test.each<[string, (arm: Arm, point: PointOf<'hoist'>) => unknown, RegExp]>([
    ['nothing said of it', (one) => Object.assign(one, newArm()), /missing raise.lashing How far out[\s\S]*missing raise.tieBack[\s\S]*missing raise.postFoot/],
    ['lashings nobody says how far apart', (one) => (one.apart = null), /missing raise.lashing How far apart/],
    ['lashings of unknown strength', (one) => (one.lashingCarries = null), /missing raise.lashing What may one lashing/],
    ['lashings too near each other', (one) => (one.apart = 0.2), /stop raise.lashing .*Post A pulls/],
    ['an arm too long', (one) => (one.reach = 6), /stop raise.lashing/],
    ['lashed to what nobody worked out', (one) => (one.designedBy = ''), /missing raise.tieBack .*A scaffold is pulled over/],
    ['worked out by a role', (one) => (one.designedBy = 'engineer'), /missing raise.tieBack/],
    ['a post of unknown weight', (one) => (one.own = null), /missing raise.postFoot What does Post A itself weigh/],
    ['a foot on nobody knows what', (one) => (one.footCarries = null), /missing raise.postFoot/],
    ['a foot that gives', (one) => (one.footCarries = 1500), /stop raise.postFoot/],
    ['a hoist of unknown weight', (_, point) => (point.own = null), /missing raise.lashing What does Hoist 1 itself weigh/],
  ])('%s', (_, edit, says) => expect(told(onArm(edit))).toMatch(says));
  test('of the second hoist too', () => expect(told(onArm((one) => (one.footCarries = 100), 1))).toMatch(/^stop raise.postFoot/));
});
