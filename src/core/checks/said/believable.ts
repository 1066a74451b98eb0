import { sequenceNeeds } from '../../gates/sequence.calc';
import { phrase, q } from '../../calc/work';
import { GRAVITY, type QuantityKind } from '../../units';
import type { AboutKind, Check, StationId } from '../../verdict/check';
import type { Hitch } from '../../document/things/hitch';
import { chartsOf } from '../../settle/duties';
import { keep } from '../../document/keep';
import { markLifted } from '../../document/lookups';
import type { Leg, Member, Pick as Lift, Plan, Raise, RaisePoint, Rig } from '../../document/schema';
import { allRows, allWalls } from '../../document/views';
import type { PulledLeg } from '../../document/yard';
import type { Context } from '../context';
import { missingCheck, on, told } from '../../verdict/build';

/** A figure of a thing, and between what it lies wherever it was met (common practice): wide enough that no real one is outside. */
interface Figure {
  what: string;
  value: number | null | undefined;
  kind: QuantityKind;
  least: number;
  most: number;
}
const figure = (what: string, value: number | null | undefined, kind: QuantityKind, least: number, most: number): Figure => ({
  what,
  value,
  kind,
  least,
  most,
});

/** What is tapped in is cut an eighth to a quarter of an inch long; past twice that it lifts or does not go in (common practice) [m]. */
const TIGHT_FIT = 0.0127;

/** What such figures are, once for all the things that have one. */
const ground = (value: number | null | undefined) => figure('what the ground or floor under it may take', value, 'pressure', 1e3, 20e6);
const floor = (value: number | null | undefined) => figure('what the floor may take', value, 'pressure', 500, 1.5e6);
const side = (what: string, value: number | null | undefined) => figure(what, value, 'length', 0.03, 30);
const seat = (what: string, value: number | null | undefined) => figure(what, value, 'dimension', 0.02, 5);
const carries = (value: number | null | undefined, most = 50e6) => figure('what it may carry', value, 'force', 200, most);
const rating = (value: number | null | undefined, what = 'its rating') => figure(what, value, 'mass', 20, 1e6);
const own = (value: number | null | undefined, least: number, what = 'its own weight') => figure(what, value, 'mass', least, 1e6);
const jointBolt = (value: number | null | undefined, what = 'the diameter of its bolts') => figure(what, value, 'dimension', 0.009, 0.05);
const anchorBolt = (value: number | null | undefined) => figure('the diameter of its bolts', value, 'dimension', 0.005, 0.16);

type Girder = { webDepth: number; web: number; topFlange: { width: number; thickness: number }; bottomFlange: { width: number; thickness: number } };
const outline = ({ depth, width, chords }: { depth?: number | null; width?: number | null; chords?: number | null }): Figure[] => [
  figure('its depth, outside to outside', depth, 'dimension', 0.02, 20),
  figure('its width, outside to outside', width, 'dimension', 0.02, 20),
  figure('the area of its chords', chords, 'area', 1e-4, 1),
];
const girder = ({ webDepth, web, topFlange, bottomFlange }: Girder): Figure[] => [
  figure('the depth of its web', webDepth, 'dimension', 0.1, 8),
  figure('the thickness of its web', web, 'dimension', 0.003, 0.15),
  ...[topFlange, bottomFlange].flatMap(({ width, thickness }, n) => [
    figure(`the width of its ${n === 0 ? 'top' : 'bottom'} flange`, width, 'dimension', 0.04, 2.5),
    figure(`the thickness of its ${n === 0 ? 'top' : 'bottom'} flange`, thickness, 'dimension', 0.003, 0.25),
  ]),
];

function ofRig(rig: Rig): Figure[] {
  if (rig.kind === 'legs') return [];
  return [
    own(rig.own, 2),
    rating(rig.rating, 'what its plate says'),
    ...(rig.kind === 'spreader'
      ? [rating(rig.topRating, 'the rating of a sling above it')]
      : [figure('how far the hook is above its slings', rig.eye, 'dimension', 0.02, 5)]),
  ];
}

const ofHitch = (hitch: Hitch): Figure[] =>
  hitch.kind === 'lugs' || hitch.kind === 'clamps'
    ? [rating(hitch.carries, 'what one lug or clamp may carry')]
    : [figure('the diameter of its rope', hitch.thick, 'dimension', 0.004, 0.15), figure('what its rope bends round', hitch.round, 'dimension', 0.004, 2)];

const ofPick = (pick: Lift): Figure[] => [
  figure('the rating of its slings', pick.slingRating, 'mass', 20, 300e3),
  own(pick.riggingMass, 1, 'the weight of its slings and shackles'),
  ...(pick.rig ? ofRig(pick.rig) : []),
  ...(pick.hitch ? ofHitch(pick.hitch) : []),
  ...(pick.second
    ? [
        figure('the rating of its second sling', pick.second.slingRating, 'mass', 20, 300e3),
        own(pick.second.riggingMass, 1, 'the weight below its second hook'),
      ]
    : []),
  ...(pick.turned ? [figure('the length of its sling', pick.turned.sling, 'length', 0.2, 60)] : []),
  ...(pick.roll ? [figure('what the timber under its edge may take', pick.roll.edgeCarries, 'force', 500, 50e6)] : []),
];

function ofPoint(point: RaisePoint): Figure[] {
  switch (point.kind) {
    case 'mastLift':
      return [
        figure('what its plate says', point.rating, 'mass', 20, 5e3),
        figure('the load centre of its plate', point.plateCentre, 'dimension', 0.15, 1.2),
        figure('its mast to the middle of the load', point.centre, 'dimension', 0.05, 3),
        figure('how high its forks go', point.reach, 'length', 0.5, 20),
        own(point.own, 10),
        figure('the floor under its legs', point.foot, 'floorArea', 0.01, 20),
      ];
    case 'hoist':
      return [
        figure('its rating', point.rating, 'mass', 20, 100e3),
        own(point.own, 1),
        figure('its length, run right up', point.closed, 'length', 0.1, 5),
        figure('how far its hook travels', point.travel, 'length', 0.3, 120),
        carries(point.carries),
        ...(point.arm
          ? [
              figure('what one lashing may carry', point.arm.lashingCarries, 'force', 200, 1e6),
              figure('how far apart its lashings are', point.arm.apart, 'length', 0.3, 12),
              own(point.arm.own, 3, 'the weight of its post'),
              figure('what is under the foot of its post', point.arm.footCarries, 'force', 200, 10e6),
            ]
          : []),
      ];
    case 'jack':
      return [
        figure('its rating', point.rating, 'mass', 50, 2e6),
        figure('its height, run right down', point.closed, 'dimension', 0.015, 2),
        figure('its stroke', point.stroke, 'dimension', 0.005, 1.5),
        figure('what it raises in one go', point.step, 'dimension', 0.002, 1.5),
        figure('the floor under it', point.foot, 'floorArea', 0.002, 10),
      ];
    case 'hands':
      return [
        figure('what a rest may carry', point.rungCarries, 'force', 200, 500e3),
        figure('how far apart its rests are', point.rung, 'dimension', 0.02, 1.5),
        figure('the friction on its rests', point.friction, 'factor', 0.02, 1.2),
      ];
  }
}

const pulledBy = ({ line, pull }: PulledLeg): Figure[] => [
  figure('the rating of its line', line, 'force', 100, 1e6),
  figure('what its line is made fast to', pull?.kind === 'line' ? pull.carries : null, 'force', 200, 5e6),
];

function ofLeg(leg: Leg): Figure[] {
  switch (leg.kind) {
    case 'floor':
      return [
        floor(leg.allowable),
        figure('what it may take at one point', leg.pointAllowable, 'force', 100, 1e6),
        own(leg.gear || null, 0.5, 'the weight of its skates and trolley'),
      ];
    case 'ramp':
      return [figure('its friction', leg.friction, 'factor', 0.02, 1.2), ...pulledBy(leg)];
    case 'rollers':
      return [figure('its friction while rolling', leg.rolling, 'factor', 0.001, 0.5), ...pulledBy(leg)];
    case 'opening':
      return [side('its width', leg.width), side('its height', leg.height), figure('the thickness of its wall', leg.thickness, 'length', 0.005, 5)];
    case 'props':
      return [side('the gap between its props', leg.gap), figure('the thickness of its props', leg.thickness, 'length', 0.005, 5)];
    case 'corner':
      return [side('one of its corridors', leg.corridorA), side('the other of its corridors', leg.corridorB)];
    case 'stairs':
      return [
        side('its width', leg.width),
        side('its landing', leg.landing),
        side('its head room', leg.headRoom),
        figure('its pitch', leg.pitchDeg || null, 'angle', 5, 60),
      ];
    case 'hatch':
      return [side('its length', leg.length), side('its width', leg.width), side('its height below', leg.heightBelow)];
    case 'truck':
      return [figure('the radius it has free', leg.freeRadius, 'length', 0.3, 100)];
    case 'carry':
      return [
        figure('how often a minute it is lifted', leg.perMinute, 'factor', 0.01, 20),
        figure('how far the hands are out', leg.reach, 'dimension', 0.1, 1.2),
        figure('how far it is raised', leg.travel || null, 'dimension', 0.03, 2.5),
      ];
  }
}

const ofMember = ({ make, packing, length }: Member): Figure[] => [
  figure('its length', length, 'length', 0.05, 120),
  ...(make.kind === 'girder' ? girder(make) : []),
  ...(make.kind === 'parts'
    ? [
        side('its depth', make.depth),
        side('its width', make.width),
        ...make.parts.map((part) => figure(`the weight of its ${part.what.toLowerCase() || 'part'}`, part.mass || null, 'mass', 0.1, 20e3)),
      ]
    : []),
  own(packing.mass || null, 0.1, 'the weight of its packing'),
  figure('its packing above and below', packing.height || null, 'dimension', 0.003, 1),
  figure('its packing at both sides', packing.sides || null, 'dimension', 0.003, 1),
  figure('its packing against the web', packing.web, 'dimension', 0.01, 3),
];

interface Thing {
  thing: { id: string };
  kind: AboutKind;
  name: string;
  station: StationId;
  figures: () => Figure[];
}
const all = <T extends { id: string }>(
  list: readonly T[],
  kind: AboutKind,
  station: StationId,
  name: (one: T) => string,
  figures: (one: T) => Figure[],
): Thing[] => list.map((thing) => ({ thing, kind, station, name: name(thing), figures: () => figures(thing) }));
const named = ({ name }: { name: string }): string => name;

function thingsOf(plan: Plan): Thing[] {
  const { structure, shoring, survey, site, transport } = plan;
  const opened = (one: { opening: string | null }, what: string) => `${what} over ${survey.openings.find(({ id }) => id === one.opening)?.name ?? 'the line'}`;
  return [
    ...all(plan.bearings, 'bearing', 'measure', named, (one) => [
      carries(one.capacity, 20e6),
      figure('the stress it may take', one.allowable, 'strength', 50e3, 500e6),
      ...(one.post
        ? [
            figure('the pitch of its nuts', one.post.pitch, 'dimension', 0.0005, 0.01),
            figure('its plates and packs', one.post.plates || null, 'dimension', 0.003, 0.6),
            figure('by how much it is cut long', one.post.tightFit, 'dimension', 0, TIGHT_FIT),
          ]
        : []),
    ]),
    ...all(plan.links, 'link', 'measure', named, (one) => [
      carries(one.capacity),
      own(one.own === 0 ? null : one.own / GRAVITY, 2, 'what it weighs itself'),
      ...(one.foot ? [side('the length of its foot', one.foot.length), side('the width of its foot', one.foot.width), ground(one.foot.allowable)] : []),
    ]),
    ...all(plan.cranes, 'crane', 'gear', named, (crane) => [
      own(crane.hookBlockMass, 10, 'the weight of its hook block'),
      figure('the width of one of its tracks', crane.tracks?.shoe, 'length', 0.15, 3),
      figure('how high the eyes in its cab are', crane.cab?.height, 'length', 0.8, 150),
      ...(crane.tower
        ? [
            figure('what one leg of its mast brings down', crane.tower.corner, 'force', 30e3, 10e6),
            figure('what may come down at a leg of its mast', crane.tower.carries, 'force', 30e3, 30e6),
            figure('what one leg of its mast pulls up', crane.tower.uplift || null, 'force', 5e3, 10e6),
            figure('what a leg of its mast is held down against', crane.tower.holds, 'force', 5e3, 30e6),
            figure('how high its mast may stand free', crane.tower.free, 'length', 5, 150),
            ...(crane.tower.heldAt ?? []).flatMap((hold) => [
              figure(`what its mast brings to ${hold.name || 'what holds it'}`, hold.brings, 'force', 3e3, 10e6),
              figure(`what ${hold.name || 'what holds its mast'} may carry`, hold.carries, 'force', 3e3, 30e6),
            ]),
          ]
        : []),
      ...crane.parts.filter(({ mass }) => mass !== 0).map((part) => own(part.mass, 50, `the weight of its ${part.what.toLowerCase()}`)),
      ...crane.parts.map((part) =>
        figure(
          `how far its ${part.what.toLowerCase()} is from the slew centre`,
          part.on === 'boom' ? null : Math.abs((part.on === 'chassis' ? part.x : part.r) ?? 0),
          'length',
          0,
          20,
        ),
      ),
      ...chartsOf(plan, crane).flatMap(({ name, chartBase, chart }) => [
        figure(`the shortest boom of its chart ${name}`, chart === null ? null : Math.min(...chart.booms), 'length', 2, 200),
        figure(`the longest boom of its chart ${name}`, chart === null ? null : Math.max(...chart.booms), 'length', 2, 250),
        ...(chartBase
          ? [
              figure(`the base its chart ${name} is for`, chartBase.length, 'length', 1, 30),
              figure(`the base its chart ${name} is for, across`, chartBase.width, 'length', 1, 30),
            ]
          : []),
      ]),
    ]),
    ...all(plan.stands, 'stand', 'gear', named, (one) => [
      figure('the mat under each outrigger', one.padArea, 'floorArea', 0.02, 40),
      ground(one.groundAllowable),
    ]),
    ...all(plan.picks, 'pick', 'picks', (one) => `the pick of ${markLifted(plan, one)}`, ofPick),
    ...all(plan.strings ?? [], 'string', 'picks', named, (one) => [
      figure('how far apart its beams hang', one.apart, 'length', 0.5, 8),
      rating(one.rating, 'what its assembly carries'),
      rating(one.each, 'what one of its points carries'),
    ]),
    ...all(plan.yard ?? [], 'yard', 'gear', named, (one) => [rating(one.rating, 'what its tag says')]),
    ...all(
      plan.raises ?? [],
      'raise',
      'picks',
      (one) => `the lift of ${nameOfLoad(plan, one)}`,
      (one) => [
        floor(one.floorCarries),
        figure('how far one end is ahead', one.uneven || null, 'dimension', 0.002, 2),
        ...one.points.flatMap((point) => ofPoint(point).map((each) => ({ ...each, what: `${each.what}, ${point.name}` }))),
      ],
    ),
    ...all(plan.launches ?? [], 'launch', 'picks', named, (one) => [
      figure('how far it is pushed', one.travel, 'length', 0.5, 400),
      figure('the friction of its rollers', one.friction, 'factor', 0.01, 0.3),
      figure('the length of its nose', one.nose?.length === 0 ? null : one.nose?.length, 'length', 1, 60),
      own(one.nose?.mass, 50, 'the weight of its nose'),
      figure('the stiffness of its nose', one.nose?.stiffness, 'stiffness', 1e5, 1e12),
      figure('the rise of its tip', one.nose?.rise === 0 ? null : one.nose?.rise, 'dimension', 0.005, 1.2),
      figure('the moment its nose may carry', one.nose?.carries, 'moment', 1e3, 500e6),
      own(one.tail?.mass === 0 ? null : one.tail?.mass, 100, 'the weight on its rear end'),
      figure('how far apart its flanges are held', one.free, 'length', 0.3, 60),
      figure('the room behind it', one.room, 'length', 1, 500),
      figure('what pulls it', one.pull?.carries, 'force', 500, 50e6),
      figure('what holds it back', one.brake?.carries, 'force', 500, 50e6),
      figure('how far it is lowered', one.over, 'length', 0.05, 10),
      figure('the gust it is not pushed in', one.gust, 'speed', 3, 25),
      figure('what it is lowered in one go', one.step, 'dimension', 0.002, 0.5),
      carries(one.jacks),
      ...one.rollers.flatMap((roller) =>
        [carries(roller.carries), seat('the web it presses on', roller.length), seat('what it carries on across', roller.width)].map((each) => ({
          ...each,
          what: `${each.what}, ${roller.name}`,
        })),
      ),
    ]),
    ...all(site.obstructions, 'obstruction', 'gear', named, (one) => [
      figure('its height', one.height, 'length', 0.02, 300),
      figure('its length', one.length, 'length', 0.02, 500),
      figure('its width', one.width, 'length', 0.02, 500),
    ]),
    ...all(site.zones ?? [], 'zone', 'gear', named, (one) => [
      figure('its depth', one.depth, 'length', 0.2, 60),
      figure('what its ground may take', one.carries, 'pressure', 10e3, 50e6),
      figure('how long its timbers are', one.timberLength, 'dimension', 0.1, 12),
      figure('how wide its timbers are', one.timberWidth, 'dimension', 0.05, 3),
      figure('its length', one.length, 'length', 0.3, 5000),
      figure('its width', one.width, 'length', 0.3, 5000),
    ]),
    ...all(site.powerLines, 'powerLine', 'gear', named, (one) => [
      figure('the height of its lowest wire', one.height, 'length', 3, 250),
      figure('the distance its owner asks for', one.ownerAsks, 'length', 0.3, 60),
    ]),
    ...all(
      structure.makes,
      'make',
      'steel',
      ({ mark }) => mark,
      ({ made, mass, attachments }) => [
        ...(made.kind === 'girder' ? girder(made) : made.kind === 'plain' ? outline(made) : []),
        own(mass, 1, 'its weight by drawing'),
        ...attachments.map((one) => figure(`the weight of its ${one.what.toLowerCase()}`, one.mass || null, 'mass', 0.1, 50e3)),
      ],
    ),
    ...all(structure.supports, 'support', 'measure', named, (one) => [
      carries(one.capacity),
      figure('what holds it down', one.holdsDown, 'force', 100, 100e6),
      seat('its seat along the piece', one.seatLength),
      seat('its seat across it', one.seatWidth),
      figure('what its ties hold against rolling over', one.twistHolds, 'moment', 500, 50e6),
      figure('what its anchors may pull', one.anchors?.tension, 'force', 500, 20e6),
      figure('from its anchors to the edge that is pressed', one.anchors?.lever, 'dimension', 0.03, 4),
      figure('from its column to the edge that is pressed', one.anchors?.toe, 'dimension', 0.02, 4),
      ...(one.anchors?.under && 'rods' in one.anchors.under
        ? [
            figure('the diameter of its rods', one.anchors.under.diameter, 'dimension', 0.008, 0.15),
            figure('its rods between the concrete and their nuts', one.anchors.under.free, 'dimension', 0.003, 0.6),
          ]
        : []),
    ]),
    ...all(structure.joints, 'joint', 'steel', named, (one) => [
      jointBolt(one.bolt?.diameter),
      figure('the number of planes one of its bolts is cut in', one.bolt?.planes, 'count', 1, 2),
      figure('what one bolt may carry', one.boltShear, 'force', 500, 5e6),
      figure('the moment it may carry', one.moment, 'moment', 100, 500e6),
      figure('the shear it may carry', one.shear, 'force', 500, 100e6),
    ]),
    ...all(structure.braces, 'brace', 'steel', named, (one) => [
      carries(one.capacity, 10e6),
      figure('its stiffness', one.stiffness, 'forcePerLength', 1e4, 2e9),
      figure('its weight', one.mass, 'mass', 3, 8000),
      ...(one.kind === 'guy' ? [figure('how steep it is', one.slopeDeg, 'angle', 5, 85)] : []),
      ...(one.anchor?.kind === 'block'
        ? [
            figure('the weight of its block', one.anchor.weight, 'force', 2e3, 5e6),
            figure('the friction under its block', one.anchor.friction, 'factor', 0.1, 1),
          ]
        : one.anchor
          ? [figure('what its anchor may carry', one.anchor.carry, 'force', 500, 5e6)]
          : []),
    ]),
    ...all(
      structure.loads,
      'beam',
      'steel',
      ({ what }) => what,
      (one) => [figure('its weight', one.force, 'force', 10, 10e6), figure('the weight of its whole bundle', one.bundle?.force, 'force', 300, 500e3)],
    ),
    ...all(plan.members, 'member', 'steel', ({ mark }) => mark, ofMember),
    ...all(transport.trucks, 'job', 'steel', named, (one) => [
      figure('what it carries', one.mass, 'mass', 200, 500e3),
      figure('what may stand past its deck', one.overhang || null, 'length', 0.1, 20),
      figure('the length of its deck', one.deckLength, 'length', 1, 60),
      figure('the width of its deck', one.deckWidth, 'length', 0.8, 12),
      figure('its wheelbase', one.wheelbase || null, 'length', 1, 40),
    ]),
    ...all(transport.turns, 'job', 'steel', named, (one) => [
      figure('its outer radius', one.outerRadius, 'length', 3, 300),
      figure('the width of its road', one.width, 'length', 1.8, 60),
    ]),
    ...all(
      transport.permits,
      'job',
      'steel',
      ({ number }) => number || 'the permit',
      (one) => [figure('the load it covers', one.heaviest, 'mass', 50, 1e6), figure('the length it covers', one.longest, 'length', 3, 120)],
    ),
    ...all(plan.ways, 'way', 'wayIn', named, (one) => [
      figure('what its gear lifts', one.gear.mass, 'mass', 10, 50e3),
      jointBolt(one.splice.diameter, 'the bolts of its splice'),
      figure('the weight of one splice', one.splice.mass, 'mass', 0.1, 5e3),
      figure('the longest piece that can be brought', one.transport, 'length', 0.5, 120),
      figure('the shortest piece worth making', one.splice.shortest, 'length', 0.1, 20),
    ]),
    ...all(
      plan.ways.flatMap((way) => way.legs),
      'leg',
      'wayIn',
      named,
      ofLeg,
    ),
    ...all(
      shoring.lines.flatMap((line) => line.storeys),
      'storey',
      'shores',
      ({ name }) => name,
      (one) => [
        ...[one.left, one.right].flatMap((half, n) => [
          figure(`its own weight, ${n === 0 ? 'left' : 'right'}`, half.dead, 'pressure', 50, 30e3),
          figure(`what comes on it, ${n === 0 ? 'left' : 'right'}`, half.live || null, 'pressure', 50, 50e3),
        ]),
        figure('the weight of its wall', one.wall || null, 'forcePerLength', 50, 200e3),
        figure('the width of its joists', one.joists.width, 'dimension', 0.02, 0.5),
        figure('the depth of its joists', one.joists.depth, 'dimension', 0.06, 1.5),
      ],
    ),
    ...all(allWalls(plan), 'shore', 'shores', named, (one) => [
      figure('the width of its sole', one.sole.width, 'dimension', 0.03, 1.5),
      figure('by how much its studs are cut long', one.tightFit, 'dimension', 0, TIGHT_FIT),
      figure('what its bracing holds', one.bracing, 'force', 50, 200e3),
      ground(one.sole.allowable),
    ]),
    ...all(allRows(plan), 'shore', 'shores', named, (one) => [figure('the width of its pads', one.pad.width, 'dimension', 0.03, 5), ground(one.pad.allowable)]),
    ...all(shoring.bents, 'shore', 'shores', named, (one) => [ground(one.pad.allowable), figure('what its bracing holds', one.lateral, 'force', 100, 20e6)]),
    ...all(
      shoring.lines,
      'line',
      'shores',
      (one) => one.name || opened(one, 'the shores'),
      (one) => [figure('the room its gear needs', one.room, 'length', 0.2, 10)],
    ),
    ...all(survey.openings, 'opening', 'measure', named, ({ bay, lineLoad, choice, air, clear }) => [
      figure('its width as drawn', clear.drawn, 'length', 0.2, 60),
      figure('its width as measured', clear.measured, 'length', 0.2, 60),
      figure('the width of its bay', bay.width, 'length', 0.03, 6),
      figure('the height of its bay', bay.height, 'length', 0.03, 6),
      figure('what it carries along its length', lineLoad || null, 'forcePerLength', 20, 2e6),
      figure('what comes and goes of it', choice.live || null, 'forcePerLength', 20, 500e3),
      figure('how far its beam is unbraced', choice.unbraced || null, 'length', 0.05, 60),
      figure('the height of its ceiling', choice.ceiling, 'length', 1.2, 30),
      figure('the head room it leaves at the least', choice.headLeast, 'length', 0.8, 10),
      figure('the air it was measured in', air.measuring, 'airTemperature', 230, 330),
      figure('the air it is set in', air.setting, 'airTemperature', 230, 330),
    ]),
    ...all(survey.patterns, 'pattern', 'measure', named, (one) => [anchorBolt(one.bolt), figure('its holes', one.hole, 'dimension', 0.005, 0.2)]),
  ];
}

const nameOfLoad = (plan: Plan, { load }: Raise): string =>
  plan.structure.pieces.find(({ id }) => id === load)?.mark ?? plan.survey.openings.find(({ id }) => id === load)?.name ?? load;

const SOURCE = 'Common practice: the sizes such things have; past them a unit was mistaken';

/** A figure no such thing has is asked about: a millimetre for a metre, a kilopascal for a pascal. */
export function believableChecks({ plan }: Context): Check[] {
  const about = thingsOf(plan).flatMap(({ thing, kind, name, station, figures }) =>
    keep(`believable.${kind}`, thing, [name, plan.duties], () =>
      figures()
        .filter(({ value, least, most }) => value !== null && value !== undefined && (value < least || value > most))
        .map(({ what, value, kind: quantity, least, most }) => ({
          ...missingCheck(place(station, on(kind, thing, name, what)), quantity, ''),
          demand: value!,
          finding: told(
            phrase`${name}: ${what} is ${q(value!, quantity)}, it says. It is between ${q(least, quantity)} and ${q(most, quantity)} wherever it was met. Which unit was meant?`,
          ),
        })),
    ),
  );
  return [...about, ...gusts(plan)];
}

const place = (station: StationId, of: ReturnType<typeof on>) => ({ id: 'said.size', ...of, station, move: null, calc: sequenceNeeds.id, source: SOURCE });

/** Air that does not move is no forecast. */
function gusts(plan: Plan): Check[] {
  return (
    [
      ['the gust forecast for the lifts', plan.site.forecastGust],
      ['the gust that may come on standing steel', plan.site.standingGust],
    ] as const
  ).flatMap(([what, value]) =>
    value === null || value === undefined || (value >= STILL && value <= STORM)
      ? []
      : [
          {
            ...missingCheck(place('gear', on('job', { id: 'site' }, 'Wind', what)), 'speed', ''),
            demand: value,
            finding: told(
              phrase`${what} is ${q(value, 'speed')}, it says. No forecast is under ${q(STILL, 'speed')} or over ${q(STORM, 'speed')}: read it again.`,
            ),
          },
        ],
  );
}
/** Gusts of a forecast lie between [m/s] (common practice). */
const STILL = 0.5;
const STORM = 80;
