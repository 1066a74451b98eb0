import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, linkSpan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../../tests/demo-plan';
import { raised } from '../../../../tests/raised';
import { wayIn } from '../../../../tests/of-plan';
import { describe as words } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Plan } from '../../document/schema';

const TODAY = '2026-11-28';
const of = (plan: Plan, id: string) => evaluated(plan, TODAY).checks.filter((one) => one.id === id);
const say = (plan: Plan, id: string) => of(plan, id).map((check) => `${check.verdict} ${check.about.id}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);

/** A number of a plan by its way, ten, a hundred or a thousand times what it is. */
function times(plan: Plan, way: string, by: number): Plan {
  const steps = way.split('.');
  let holder = plan as unknown as Record<string, unknown>;
  for (const step of steps.slice(0, -1)) holder = holder[step] as Record<string, unknown>;
  const last = steps.at(-1)!;
  if (typeof holder[last] !== 'number') throw new Error(`${way} is no number`);
  holder[last] = (holder[last] as number) * by;
  return plan;
}

const plans: Record<string, () => Plan> = {
  hall: demoPlan,
  bridge: quayFootbridge,
  link: linkSpan,
  ticket: ticketHall,
  ramp: vehicleRamp,
  canopy: passengerCanopy,
  mast: () => raised('mastLift'),
  hoist: () => raised('hoist'),
  jack: () => raised('jack'),
  hands: () => raised('hands'),
};

/** A thousand for one: grams for kilograms, millimetres for metres, kilopascals for pascals, the one way or the other. */
test.each<[string, string, number]>([
  ['hall', 'bearings.0.capacity', 1e4],
  ['hall', 'cranes.0.hookBlockMass', 1e-3],
  ['hall', 'cranes.0.parts.1.mass', 1e-3],
  ['hall', 'cranes.0.chartBase.length', 1e-2],
  ['hall', 'stands.0.groundAllowable', 1e3],
  ['hall', 'stands.0.padArea', 1e3],
  ['hall', 'bearings.1.capacity', 1e3],
  ['hall', 'links.0.own', 1e-3],
  ['hall', 'picks.0.slingRating', 1e3],
  ['hall', 'site.zones.0.length', 1e-3],
  ['hall', 'site.zones.0.width', 1e-3],
  ['hall', 'members.3.make.width', 1e3],
  ['hall', 'members.3.make.depth', 1e-3],
  ['hall', 'members.3.make.parts.3.mass', 1e3],
  ['hall', 'transport.trucks.0.deckWidth', 1e-3],
  ['hall', 'transport.trucks.0.wheelbase', 1e-3],
  ['bridge', 'structure.braces.0.capacity', 1e3],
  ['bridge', 'structure.makes.0.attachments.0.mass', 1e-3],
  ['link', 'structure.supports.0.twistHolds', 1e3],
  ['link', 'structure.supports.0.twistHolds', 1e-3],
  ['link', 'structure.braces.0.stiffness', 1e3],
  ['ramp', 'picks.12.rig.eye', 1e-3],
  ['ramp', 'structure.joints.6.bolt.diameter', 1 / 0.3048],
  ['ramp', 'structure.joints.6.bolt.diameter', 0.3048],
  ['ramp', 'structure.joints.6.bolt.planes', 2],
  ['ramp', 'cranes.0.cab.height', 0.1],
  ['canopy', 'structure.braces.0.slopeDeg', 1e-3],
  ['canopy', 'structure.braces.0.anchor.weight', 1e3],
  ['canopy', 'structure.braces.1.anchor.weight', 1e-3],
  ['canopy', 'structure.supports.3.anchors.toe', 1e-3],
  ['canopy', 'structure.supports.3.anchors.lever', 1e-3],
  ['canopy', 'structure.supports.3.anchors.under.free', 1e-3],
  ['canopy', 'structure.supports.3.anchors.under.diameter', 10],
  ['ticket', 'members.3.length', 1e-3],
  ['canopy', 'structure.loads.0.bundle.force', 1e-3],
  ['canopy', 'picks.0.turned.sling', 1e-3],
  ['canopy', 'picks.1.turned.sling', 1e3],
  ['ticket', 'raises.0.floorCarries', 1e3],
  ['ticket', 'raises.0.uneven', 1e-3],
  ['ticket', 'survey.openings.0.air.setting', 1e-3],
  ['ticket', 'survey.openings.0.bay.width', 1e3],
  ['ticket', 'survey.openings.0.bay.height', 1e3],
  ['ticket', 'survey.openings.0.choice.live', 1e3],
  ['ticket', 'survey.openings.0.choice.unbraced', 1e-3],
  ['ticket', 'survey.openings.0.choice.ceiling', 1e-3],
  ['ticket', 'survey.openings.0.choice.headLeast', 1e-3],
  ['ticket', 'survey.openings.0.clear.drawn', 1e-3],
  ['ticket', 'members.0.packing.mass', 1e-3],
  ['ticket', 'ways.0.splice.shortest', 1e-3],
  ['ticket', 'ways.0.legs.2.pitchDeg', 1e-3],
  ['ticket', 'ways.0.legs.6.allowable', 1e3],
  ['ticket', 'ways.0.legs.6.gear', 1e-3],
  ['ticket', 'ways.0.legs.9.reach', 1e-3],
  ['ticket', 'ways.0.legs.9.travel', 1e-3],
  ['ticket', 'shoring.lines.0.walls.2.bracing', 1e3],
  ['hall', 'picks.0.riggingMass', 1e-3],
  ['hall', 'picks.0.slingRating', 1e4],
  ['hall', 'picks.0.hitch.carries', 1e3],
  ['hall', 'site.obstructions.0.height', 1e-3],
  ['hall', 'site.obstructions.0.length', 1e-3],
  ['hall', 'site.powerLines.0.height', 0.1],
  ['bridge', 'picks.0.hitch.thick', 0.1],
  ['bridge', 'picks.0.hitch.round', 1e-2],
  ['bridge', 'picks.0.rig.own', 1e-3],
  ['bridge', 'structure.supports.0.seatLength', 1e-2],
  ['bridge', 'structure.joints.0.bolt.diameter', 1e-3],
  ['bridge', 'structure.joints.0.moment', 1e4],
  ['bridge', 'structure.braces.0.capacity', 1e4],
  ['ramp', 'structure.makes.0.made.web', 1e-3],
  ['ramp', 'structure.makes.0.made.topFlange.width', 1e-3],
  ['ramp', 'structure.makes.0.made.webDepth', 10],
  ['ramp', 'picks.0.roll.edgeCarries', 1e3],
  ['ticket', 'members.3.make.web', 1e-3],
  ['ticket', 'members.3.make.bottomFlange.thickness', 1e-3],
  ['ticket', 'links.4.capacity', 1e4],
  ['ticket', 'links.0.foot.allowable', 1e3],
  ['ticket', 'links.0.foot.length', 1e3],
  ['ticket', 'raises.0.floorCarries', 1e4],
  ['ticket', 'raises.0.points.1.own', 1e-2],
  ['ticket', 'ways.0.gear.mass', 1e3],
  ['ticket', 'ways.0.splice.diameter', 1e3],
  ['ticket', 'ways.0.legs.6.allowable', 1e4],
  ['ticket', 'ways.0.legs.1.friction', 1e-3],
  ['ticket', 'ways.0.legs.7.rolling', 1e-3],
  ['ticket', 'shoring.lines.0.storeys.0.left.dead', 1e-3],
  ['ticket', 'shoring.lines.0.storeys.0.joists.depth', 10],
  ['ticket', 'shoring.lines.0.walls.0.sole.allowable', 1e3],
  ['ticket', 'transport.trucks.0.mass', 1e3],
  ['ticket', 'survey.patterns.0.bolt', 1e-2],
  ['mast', 'raises.0.points.0.rating', 1e3],
  ['mast', 'raises.0.points.0.foot', 1e3],
  ['mast', 'raises.0.points.0.plateCentre', 1 / 0.3048],
  ['hoist', 'raises.0.points.1.rating', 1e3],
  ['hoist', 'raises.0.points.0.closed', 1e-1],
  ['jack', 'raises.0.points.0.closed', 1e-3],
  ['jack', 'raises.0.points.1.foot', 1e3],
  ['hands', 'raises.0.points.0.rungCarries', 1e3],
])('%s: %s times %d is asked about', (plan, way, by) => {
  expect(of(plans[plan]!(), 'said.size')).toEqual([]);
  const asked = say(times(plans[plan]!(), way, by), 'said.size');
  expect(asked).toHaveLength(1);
  expect(asked[0]).toMatch(/^missing .* it says\. It is between .* Which unit was meant\?$/);
});

test('of the second and the sixtieth too, each by its own name', () => {
  const plan = demoPlan();
  for (let n = 0; n < 60; n += 1)
    plan.site.obstructions.push({ ...plan.site.obstructions[0]!, id: `o${n}`, name: `Bollard ${n}`, height: n === 59 ? 0.001 : 1 });
  expect(say(plan, 'said.size')).toEqual([expect.stringMatching(/^missing o59: Bollard 59: its height is 1 mm|^missing o59: Bollard 59: its height/)]);
});

test('a further chart of a crane is asked about when it is added, the crane itself the same', () => {
  const plan = demoPlan();
  expect(of(plan, 'said.size')).toEqual([]);
  const { chart, chartSource, chartGust } = plan.cranes[0]!;
  const duty = { id: 'd', crane: plan.cranes[0]!.id, name: 'Half out', chart, chartSource, chartGust, chartBase: { length: 0.048, width: 4 } };
  const more = { ...plan, duties: [duty] };
  expect(say(more, 'said.size')).toEqual([expect.stringMatching(/base its chart Half out is for/)]);
});

test.each([0, 0.01, 0.3, 90])('a gust of %d m/s is no forecast', (gust) => {
  const plan = demoPlan();
  plan.site.forecastGust = gust;
  plan.site.standingGust = gust;
  expect(say(plan, 'said.size').filter((one) => one.includes('gust'))).toHaveLength(2);
  plan.site.forecastGust = 4;
  plan.site.standingGust = 18;
  expect(of(plan, 'said.size')).toEqual([]);
});

describe('what was left out and passed', () => {
  type Edit = (plan: Plan) => unknown;
  const link = (plan: Plan, kind: string) => plan.links.find((one) => one.kind === kind)!;
  test.each<[string, () => Plan, Edit, string, RegExp]>([
    ['a post that has a foot and no strength', ticketHall, (p) => (link(p, 'post').capacity = null), 'path.link', /What may Post B carry/],
    [
      'a slab at the end of the path that carries nobody knows what',
      ticketHall,
      (p) => ((p.bearings[0]!.standsOn = [{ link: link(p, 'slab').id, share: 1 }]), (link(p, 'slab').capacity = null)),
      'path.link',
      /What may Hall slab carry/,
    ],
    [
      'a post said to be the end of the path, and to stand on something',
      ticketHall,
      (p) => (link(p, 'post').ground = true),
      'path.ground',
      /and to stand on Blocking under B\. Which is it/,
    ],
    [
      'a post said to be the end of the path',
      ticketHall,
      (p) => Object.assign(link(p, 'post'), { ground: true, standsOn: [] }),
      'path.ground',
      /On what does this post stand/,
    ],
    ['nobody operates the crane', demoPlan, (p) => (p.people.operator = ''), 'lift.operator', /Who operates the crane/],
    ['a role operates the crane', demoPlan, (p) => (p.people.operator = 'operator'), 'lift.operator', /nobody’s name/],
    ['nothing raises the beam over the opening', ticketHall, (p) => (p.raises = []), 'raise.with', /Nothing raises TH1/],
    ['nobody says when it was stripped out', ticketHall, (p) => (p.survey.strippedOn = ''), 'measure.lookedOver', /When was it last stripped out/],
    ['a letter answers for a wrong measure', ticketHall, (p) => (p.survey.owner = 'x'), 'measure.sheet', /who answers for a wrong measure/],
    ['a letter gave the bolts of a splice', ticketHall, (p) => (wayIn(p).splice.engineer = 'x'), 'way.bolts', /Who gave/],
    ['a permit given by nobody', ticketHall, (p) => (p.transport.permits[0]!.by = ''), 'steel.permit', /Who gave/],
    ['a permit whose number is an x', ticketHall, (p) => (p.transport.permits[0]!.number = 'TBD'), 'steel.permit', /is no number of a permit/],
    [
      'nobody says who gives the ground figure',
      ticketHall,
      (p) => (p.links.find(({ foot }) => foot?.allowable)!.foot!.source = ' '),
      'path.footSource',
      /Who says what may press what is under/,
    ],
    [
      'a pier of the structure on a footing of unknown strength',
      linkSpan,
      (p) => (p.structure.supports[0]!.footing = null),
      'support.footing',
      /stands on Pile cap 1\. Is that concrete that has its strength/,
    ],
    ['a permit for nobody knows what weight', ticketHall, (p) => (p.transport.permits[0]!.heaviest = null), 'steel.permit', /What weight of load does/],
    ['studs cut an inch and more long', ticketHall, (p) => (p.shoring.lines[0]!.walls[0]!.tightFit = 0.03), 'said.size', /by how much its studs are cut long/],
    ['a post cut an inch and more long', ticketHall, (p) => (p.bearings[1]!.post!.tightFit = 0.03), 'said.size', /by how much it is cut long/],
    [
      'rolled upright, and said to stand',
      vehicleRamp,
      (p) => (p.structure.pieces[0]!.lies!.onSide = false),
      'pick.lies',
      /stand upright before the lift, and A\. Ferreira to lead rolling/,
    ],
    ['gear of the way in with no name', ticketHall, (p) => (p.ways[0]!.gear.what = ' '), 'said.name', /a thing that carries it on the way in with no name/],
    ['more pins than holes', quayFootbridge, (p) => p.moves.forEach((move) => move.kind === 'joint.make' && (move.pins = 40)), 'joint.holes', /40 pins/],
  ])('%s', (_, make, edit, id, asks) => {
    const plan = make();
    const before = say(make(), id).filter((one) => one.startsWith('missing'));
    edit(plan);
    expect(say(plan, id).filter((one) => one.startsWith('missing') && asks.test(one)).length).toBeGreaterThan(before.filter((one) => asks.test(one)).length);
    expect(openPlan(plan).ok).toBe(true);
  });
  test('carried over its seats by less than it clears other things it is a stop; the threshold is the job’s', () => {
    const over = (liftOver: number, thresholds: Record<string, number> = {}) => {
      const plan = demoPlan();
      plan.picks[0]!.liftOver = liftOver;
      plan.job.thresholds = thresholds;
      return plan;
    };
    expect(say(over(0.2), 'lift.overSeats')).toEqual([expect.stringMatching(/^stop .*carried only/)]);
    expect(of(over(0.2, { loadClearance: 0.2 }), 'lift.overSeats')).toEqual([]);
    expect(of(over(0, { loadClearance: 0.2 }), 'lift.overSeats')).toHaveLength(1);
  });
  test('what lies higher than its seats is not raised to them', () => {
    const plan = raised('hoist', (raise) => (raise.lies = 3.5));
    expect(say(plan, 'raise.lies')).toEqual([expect.stringMatching(/^stop .*Which level is wrong/)]);
  });
});

test.each([
  [1e3, 'a newton for a kilonewton'],
  [1e-3, 'and the other way'],
])('the tag of a shore says %d times as much (%s)', (by) => {
  const plan = ticketHall();
  const tag = plan.holds.find(({ id }) => id === 'HP9')!.readings![3]!;
  tag.value *= by;
  expect(say(plan, 'hold.HP9').join()).toMatch(
    by > 1 ? /missing .*22\s?000.* it says\. Shores are good for .*500.*Which unit was meant\?/ : /stop .*its tag allows/,
  );
});

test('the tag of a bent the plan knows only by its design strength is held against its load alone', () => {
  const plan = vehicleRamp();
  const tag = plan.holds.find(({ id }) => id === 'HP9')!.readings![3]!;
  plan.structure.supports.find(({ id }) => id === tag.of)!.capacityBasis = 'design';
  tag.value *= 0.6;
  expect(say(plan, 'hold.HP9')).toEqual([expect.stringMatching(/^clear/)]);
});
