import { Type, type Static } from 'typebox';
import { closed, nonNegative, nullable, oneOf, positive, real } from '../calc/fields';
import { boltGrades } from '../strength/bolt-en.calc';
import { weightUses } from '../steel/weight-truth.calc';
import { timberGrades } from '../shoring/timber-grades';
import { holdIds } from './hold-ids';
import { chartSchema } from '../cranes/chart-shape';

/** The plan document, version 3. It never holds results. Everything is SI; levels are above the ground the crane stands on. */
export const PLAN_FORMAT = 'keen-trestle/plan';
export const PLAN_VERSION = 3;

const id = () => Type.String({ minLength: 1, maxLength: 64 });
const text = (description?: string) => Type.String({ maxLength: 2000, ...(description ? { description } : {}) });
const place = () => closed({ x: real('m'), y: real('m') });

/** What a thing stands on, and the share of its load that goes there. */
const standsOn = () => Type.Array(closed({ link: id(), share: nonNegative('1', undefined, { maximum: 1 }) }));

const bearingSchema = closed({
  id: id(),
  name: text(),
  at: place(),
  level: real('m', { description: 'top of the seat' }),
  seatLength: positive('m', 'along the piece'),
  seatWidth: positive('m'),
  carriedBy: text('what it stands on'),
  capacity: nullable(positive('N', 'what the bearing point may carry')),
  capacityBasis: oneOf(['allowable', 'design'], 'allowable: against the plain load; design: against the factored load'),
  material: nullable(oneOf(['steel', 'concrete', 'masonry', 'timber'])),
  allowable: nullable(positive('Pa', 'bearing stress the seat may take')),
  measured: nullable(
    closed({
      x: nullable(real('m')),
      y: nullable(real('m')),
      level: nullable(real('m')),
      seatLength: nullable(positive('m')),
      seatWidth: nullable(positive('m')),
      by: text('who measured'),
      on: text('when, as a date'),
    }),
  ),
  post: nullable(
    closed({
      baseLevel: real('m', { description: 'top of what the post stands on' }),
      plates: nonNegative('m', 'cap, base and packs together'),
      tightFit: nonNegative('m'),
      pitch: nullable(positive('m', 'of levelling nuts, when it has them')),
    }),
  ),
  standsOn: standsOn(),
  footing: Type.Union([
    closed({
      kind: Type.Literal('concrete'),
      intended: nullable(positive('Pa', 'intended compressive strength')),
      result: nullable(nonNegative('Pa', 'latest test result')),
      by: text('who gave the result'),
      on: text('when, as a date'),
    }),
    closed({ kind: Type.Literal('other'), what: text() }),
  ]),
});

const pieceSchema = closed({
  id: id(),
  mark: text(),
  section: text('designation as in the section tables'),
  length: positive('m'),
  grade: text(),
  yield: positive('Pa'),
  allowance: nullable(nonNegative('1', 'fraction added to the mass; null: the rule set’s', { maximum: 1 })),
  packing: Type.Array(
    closed({
      id: id(),
      what: text(),
      massPerLength: nonNegative('kg/m'),
      from: real('m'),
      to: real('m'),
      side: oneOf(['top', 'bottom', 'web']),
      thickness: nonNegative('m'),
    }),
  ),
  attachments: Type.Array(closed({ id: id(), what: text(), mass: nonNegative('kg'), at: real('m', { description: 'from the left end' }) })),
  stated: closed({ mass: nullable(positive('kg', 'bare weight by drawing or ticket')), length: nullable(positive('m', 'length by drawing')) }),
  start: closed({
    x: real('m'),
    y: real('m'),
    azimuthDeg: real('deg', { description: 'left end to right end' }),
    level: real('m', { description: 'underside as delivered' }),
  }),
  seat: closed({
    left: id(),
    right: id(),
    leftBearing: nullable(positive('m', 'length of bearing at the left end')),
    statedSpan: nullable(positive('m', 'centre to centre of bearings by drawing')),
  }),
});

const cranePart = Type.Union([
  closed({ what: text(), mass: nonNegative('kg'), on: Type.Literal('chassis'), x: real('m'), y: real('m') }),
  closed({ what: text(), mass: nonNegative('kg'), on: Type.Literal('slewing'), r: real('m', { description: 'along the boom, negative behind' }) }),
  closed({ what: text(), mass: nonNegative('kg'), on: Type.Literal('boom'), along: nonNegative('1', 'share of the boom from its foot', { maximum: 1 }) }),
]);

const craneSchema = closed({
  id: id(),
  name: text(),
  chart: nullable(chartSchema),
  chartSource: text(),
  chartGust: nullable(positive('m/s', 'gust the chart is good for')),
  pivotBack: real('m', { description: 'foot pin behind the slew centre' }),
  pivotHeight: nonNegative('m'),
  boomDepth: positive('m'),
  boomWidth: positive('m'),
  hookBlockMass: nullable(nonNegative('kg')),
  hookDrop: nonNegative('m', 'boom tip to hook with the block run right up'),
  baseLength: positive('m', 'outriggers, front to rear'),
  baseWidth: positive('m', 'outriggers, left to right'),
  tailRadius: positive('m'),
  parts: Type.Array(cranePart),
});

const standSchema = closed({
  id: id(),
  name: text(),
  crane: id(),
  at: place(),
  azimuthDeg: real('deg', { description: 'front of the carrier' }),
  padArea: nullable(positive('m2', 'ground area under one outrigger')),
  groundAllowable: nullable(positive('Pa', 'bearing pressure the ground may take')),
});

const pickSchema = closed({
  id: id(),
  piece: id(),
  stand: id(),
  left: nonNegative('m', 'left end to left pick'),
  right: nonNegative('m', 'right end to right pick'),
  legs: closed({ left: positive('m'), right: positive('m') }),
  slingRating: nullable(positive('kg', 'of one leg, straight')),
  riggingMass: nullable(nonNegative('kg', 'slings, shackles and all below the hook')),
  boom: positive('m'),
  swing: oneOf(['short', 'left', 'right'], 'which way the crane slews'),
  swingRadius: nullable(positive('m', 'radius held while slewing; null: straight from the first to the last')),
  liftOver: nonNegative('m', 'underside above the seats before lowering'),
});

const openingSchema = closed({
  id: id(),
  name: text(),
  left: id(),
  right: id(),
  member: nullable(id()),
  clear: closed({ drawn: nullable(positive('m')), measured: nullable(positive('m')) }),
  bearing: closed({ left: nonNegative('m', 'wanted'), right: nonNegative('m', 'wanted') }),
  clearance: nullable(nonNegative('m', 'off the whole length; null: the rule set’s')),
  bay: closed({ width: nullable(positive('m', 'of pocket or between joists')), height: nullable(positive('m')) }),
  lineLoad: nullable(nonNegative('N/m', 'on the member once it carries')),
  finish: closed({
    top: nullable(real('m', { description: 'top of the bare member' })),
    layers: Type.Array(closed({ id: id(), what: text(), thickness: nonNegative('m') })),
    meets: nullable(real('m', { description: 'finished level beside it' })),
  }),
  skewDeg: nullable(real('deg', { minimum: -60, maximum: 60, description: 'of the reveals, off square to the piece' })),
  air: closed({
    measuring: nullable(positive('K', 'of the air when it was measured')),
    setting: nullable(positive('K', 'of the air when the piece is to be set')),
  }),
  choice: closed({
    candidates: Type.Array(text('designation'), { maxItems: 12 }),
    live: nullable(nonNegative('N/m', 'the part of the line load that comes and goes')),
    unbraced: nullable(positive('m', 'of the top flange once it carries')),
    ceiling: nullable(positive('m', 'floor to the underside of the joists')),
    headLeast: nullable(positive('m', 'head room that must stay under it')),
  }),
  by: text('who measured'),
  on: text('when, as a date'),
});

const patternSchema = closed({
  id: id(),
  name: text(),
  bearing: id(),
  bolt: positive('m', 'diameter'),
  hole: positive('m', 'in the plate'),
  bolts: Type.Array(closed({ id: id(), drawn: place(), cast: closed({ x: nullable(real('m')), y: nullable(real('m')) }) }), { minItems: 2, maxItems: 64 }),
  by: text('who surveyed'),
  on: text('when, as a date'),
});

/** One place where two drawings, or a drawing and the site, do not agree; settled by a named person or not. */
const overlaySchema = closed({
  id: id(),
  what: text('what does not fit'),
  between: text('which drawings, or drawing and site'),
  settled: text('what was agreed'),
  by: text(),
  on: text('when, as a date'),
});

export const linkKinds = ['post', 'wall', 'beam', 'blocking', 'plate', 'pad', 'footing', 'slab', 'soil', 'other'] as const;
const linkSchema = closed({
  id: id(),
  name: text(),
  kind: oneOf(linkKinds),
  storey: Type.Integer({ minimum: -9, maximum: 200 }),
  own: nonNegative('N', 'its weight and what else rests on it'),
  capacity: nullable(positive('N', 'what it may carry')),
  foot: nullable(
    closed({ length: positive('m'), width: positive('m'), allowable: nullable(positive('Pa', 'pressure what is under it may take')), source: text() }),
  ),
  ground: Type.Boolean({ description: 'the path ends here' }),
  standsOn: standsOn(),
});

const plate = () => closed({ width: positive('m'), thickness: positive('m') });
const makeSchema = Type.Union([
  closed({ kind: Type.Literal('section'), section: text('designation as in the section tables') }),
  closed({ kind: Type.Literal('girder'), webDepth: positive('m'), web: positive('m'), topFlange: plate(), bottomFlange: plate() }),
  closed({ kind: Type.Literal('plain'), what: text() }),
]);
export const memberStates = ['listed', 'made', 'trial fitted', 'shipped', 'stored', 'set', 'braced', 'bolted', 'torqued', 'accepted'] as const;

const memberSchema = closed({
  id: id(),
  mark: text(),
  make: makeSchema,
  length: positive('m'),
  grade: text(),
  count: Type.Integer({ minimum: 1, maximum: 100000 }),
  packing: closed({
    mass: nonNegative('kg'),
    sides: nonNegative('m', 'both sides together'),
    height: nonNegative('m', 'above and below together'),
    web: nullable(positive('m', 'height of what lies against the web, between the flanges')),
  }),
  attachments: nonNegative('kg'),
  stated: closed({ drawing: nullable(positive('kg')), weighed: nullable(positive('kg')) }),
  use: oneOf(weightUses),
  cg: nullable(real('m', { description: 'from the left end; null: the middle' })),
  order: nullable(Type.Integer({ minimum: 0, maximum: 100000 })),
  line: text('grid line or group it belongs to'),
  supplier: text(),
  place: text(),
  stack: nullable(Type.Integer({ minimum: 1, maximum: 100, description: 'layer where it lies, 1 at the bottom' })),
  faceUp: text('which face lies up, and how the coat is kept'),
  permit: text('of its transport, when it is over the free length'),
  state: oneOf(memberStates),
});

const leg = { id: id(), name: text(), at: place() };
const legSchema = Type.Union([
  closed({ ...leg, kind: Type.Literal('truck'), freeRadius: nullable(positive('m')), pivotShare: nonNegative('1', undefined, { maximum: 1 }) }),
  closed({
    ...leg,
    kind: Type.Literal('opening'),
    width: nullable(positive('m')),
    height: nullable(positive('m')),
    thickness: nonNegative('m'),
    yawDeg: real('deg', { minimum: 0, exclusiveMaximum: 90 }),
    tiltDeg: real('deg', { minimum: 0, exclusiveMaximum: 90 }),
    runBeyond: nullable(positive('m')),
  }),
  closed({
    ...leg,
    kind: Type.Literal('props'),
    gap: nullable(positive('m')),
    thickness: nonNegative('m'),
    yawDeg: real('deg', { minimum: 0, exclusiveMaximum: 90 }),
    room: nullable(positive('m', 'clear length between the rows of props')),
    standing: Type.Boolean(),
  }),
  closed({ ...leg, kind: Type.Literal('corner'), corridorA: nullable(positive('m')), corridorB: nullable(positive('m')) }),
  closed({
    ...leg,
    kind: Type.Literal('stairs'),
    width: nullable(positive('m', 'between walls or rails')),
    landing: nullable(positive('m', 'depth of the landing where the flight turns')),
    headRoom: nullable(positive('m', 'square to the pitch')),
    pitchDeg: real('deg', { minimum: 0, exclusiveMaximum: 60 }),
    turns: Type.Boolean({ description: 'the flight turns on a landing' }),
  }),
  closed({ ...leg, kind: Type.Literal('hatch'), length: nullable(positive('m')), width: nullable(positive('m')), heightBelow: nullable(positive('m')) }),
  closed({
    ...leg,
    kind: Type.Literal('ramp'),
    slopeDeg: nullable(real('deg', { minimum: 0, exclusiveMaximum: 45 })),
    friction: nonNegative('1'),
    line: nullable(positive('N', 'rating of the pulling and holding line')),
  }),
  closed({
    ...leg,
    kind: Type.Literal('rollers'),
    slopeDeg: real('deg', { exclusiveMinimum: -45, exclusiveMaximum: 45 }),
    starting: nonNegative('1'),
    rolling: nonNegative('1'),
    line: nullable(positive('N')),
  }),
  closed({
    ...leg,
    kind: Type.Literal('carry'),
    people: nullable(Type.Integer({ minimum: 1, maximum: 100 })),
    oneEnd: Type.Boolean({ description: 'one end at a time: half the weight is in their hands' }),
    reach: positive('m'),
    height: nonNegative('m'),
    travel: nonNegative('m'),
    twistDeg: nonNegative('deg'),
    perMinute: nonNegative('1'),
    hours: oneOf(['1', '2', '8']),
    coupling: oneOf(['good', 'fair', 'poor']),
  }),
  closed({
    ...leg,
    kind: Type.Literal('floor'),
    allowable: nullable(positive('Pa')),
    pointAllowable: nullable(positive('N')),
    length: positive('m'),
    width: positive('m'),
    supports: Type.Integer({ minimum: 1, maximum: 100 }),
    gear: nonNegative('kg'),
    people: Type.Integer({ minimum: 0, maximum: 100 }),
  }),
]);

const wayInSchema = closed({
  member: nullable(id()),
  legs: Type.Array(legSchema, { maxItems: 60 }),
  cuts: Type.Array(positive('m')),
  gear: closed({ what: text(), mass: nullable(positive('kg', 'most it lifts in one go')) }),
  transport: nullable(positive('m', 'longest piece the truck or permit takes')),
  splice: closed({
    kind: oneOf(['cover', 'endPlate']),
    mass: nonNegative('kg', 'plates and bolts of one splice'),
    diameter: positive('m'),
    grade: oneOf(boltGrades),
    peakShare: nullable(nonNegative('1', undefined, { maximum: 1 })),
    shortest: positive('m', 'piece worth making'),
  }),
});

/** The temporary works register: nothing is loaded that nobody designed, checked and tagged. */
const tag = () =>
  closed({
    designer: text(),
    checker: text(),
    loadedOn: text('when it was first loaded, as a date'),
    days: nullable(positive('1', 'days between inspections while it stands')),
  });

const storeySide = () =>
  closed({
    span: nullable(nonNegative('m', 'of the joists to their far bearing; 0: nothing on that side')),
    dead: nullable(nonNegative('Pa')),
    live: nullable(nonNegative('Pa', 'null: the rule set’s load while building')),
  });
const storeySchema = closed({
  id: id(),
  name: text(),
  bears: nullable(oneOf(['wall', 'nothing'], 'what stands on the line in this storey')),
  wall: nullable(nonNegative('N/m', 'weight of that wall')),
  height: nullable(positive('m', 'floor to the underside of the joists')),
  left: storeySide(),
  right: storeySide(),
  joists: closed({
    spacing: nullable(positive('m')),
    width: nullable(positive('m')),
    depth: nullable(positive('m')),
    grade: oneOf(timberGrades),
    over: oneOf(['broken', 'through'], 'at the line'),
    plies: Type.Integer({ minimum: 1, maximum: 4, description: 'joists side by side at every place' }),
    doubled: Type.Array(
      closed({ id: id(), number: Type.Integer({ minimum: 1, description: 'from the left' }), carries: positive('m', 'width of floor on it') }),
      {
        maxItems: 40,
        description: 'joists doubled beside a stair or chimney: one ply more than the others, and a stud more',
      },
    ),
  }),
});

const shoreWallSchema = closed({
  id: id(),
  name: text(),
  storey: id(),
  side: oneOf(['left', 'right']),
  setback: positive('m', 'from the line'),
  stud: closed({ width: positive('m', 'along the wall'), depth: positive('m', 'through the wall'), grade: oneOf(timberGrades) }),
  missing: Type.Array(Type.Integer({ minimum: 1 }), { description: 'studs left out or taken out, counted from the left' }),
  braces: Type.Integer({ minimum: 0, maximum: 6, description: 'rows of lateral bracing between the plates' }),
  bracing: nullable(positive('N', 'what the diagonal bracing holds along the wall; null: worked out from the diagonals')),
  diagonals: nullable(
    closed({
      count: Type.Integer({ minimum: 1, maximum: 40 }),
      angleDeg: real('deg', { exclusiveMinimum: 0, exclusiveMaximum: 90, description: 'from the floor' }),
      board: positive('m', 'thickness'),
      screws: Type.Integer({ minimum: 1, maximum: 40, description: 'in each end' }),
      diameter: positive('m', 'of the shank in the wood'),
      length: positive('m', 'of the screw'),
    }),
  ),
  gaps: Type.Array(
    closed({
      id: id(),
      from: Type.Integer({ minimum: 1, description: 'first joist with no stud under it' }),
      to: Type.Integer({ minimum: 1, description: 'last' }),
      header: closed({ width: positive('m', 'of one ply'), depth: positive('m'), plies: Type.Integer({ minimum: 1, maximum: 6 }), grade: oneOf(timberGrades) }),
      posts: Type.Integer({ minimum: 1, maximum: 6, description: 'studs together at each end of the header' }),
    }),
    { maxItems: 10, description: 'where a header carries joists past a gap' },
  ),
  plate: closed({ count: Type.Integer({ minimum: 1, maximum: 4, description: 'top and bottom together' }), thickness: positive('m'), width: positive('m') }),
  tightFit: nonNegative('m'),
  sole: closed({ width: positive('m'), allowable: nullable(positive('Pa', 'pressure what is under it may take')), on: text('slab, joists, spread boards') }),
  holdDown: nullable(nonNegative('N', 'what holds each joist down at its far bearing')),
  tag: tag(),
  standsOn: standsOn(),
});

/** How a prop or dead shore stands. */
const standing = () => ({
  length: nullable(positive('m')),
  leanDeg: nullable(nonNegative('deg')),
  off: nullable(nonNegative('m', 'load off the middle of the prop')),
});

const shoreRowSchema = closed({
  id: id(),
  name: text(),
  storey: id(),
  from: nonNegative('m', 'left bearing to the first needle'),
  spacing: positive('m'),
  count: Type.Integer({ minimum: 1, maximum: 60 }),
  needle: Type.Union([
    closed({ kind: Type.Literal('steel'), section: text('designation as in the section tables'), grade: text() }),
    closed({ kind: Type.Literal('timber'), width: positive('m'), depth: positive('m'), grade: oneOf(timberGrades) }),
  ]),
  arms: closed({ left: positive('m', 'wall centre to prop'), right: positive('m') }),
  over: nullable(positive('m', 'masonry above the needles')),
  masonry: closed({
    width: nullable(positive('m', 'of the wall on the needle, along it')),
    allowable: nullable(positive('Pa', 'what the masonry may be pressed over the needle')),
  }),
  head: nullable(positive('m', 'of needle on the head of a prop')),
  prop: Type.Union([
    closed({
      kind: Type.Literal('steel'),
      class: oneOf(['A', 'B', 'C', 'D', 'E']),
      maxLength: positive('m'),
      tube: closed({ diameter: positive('m', 'of the inner tube'), wall: positive('m') }),
      ...standing(),
    }),
    closed({
      kind: Type.Literal('timber'),
      width: positive('m', 'along the line'),
      depth: positive('m', 'across it'),
      grade: oneOf(timberGrades),
      braces: Type.Integer({ minimum: 0, maximum: 6, description: 'rows of bracing along the line' }),
      ...standing(),
    }),
  ]),
  lateral: nullable(positive('N', 'what its bracing and lacing hold sideways')),
  pad: closed({ length: positive('m'), width: positive('m'), allowable: nullable(positive('Pa')) }),
  packedOn: text('when the dry pack was put in, as a date'),
  struckOn: text('when it is to be struck, as a date'),
  tag: tag(),
  standsOn: standsOn(),
});

const bentSchema = closed({
  id: id(),
  name: text(),
  at: nullable(place()),
  azimuthDeg: real('deg', { description: 'of the header' }),
  baseLevel: real('m', { description: 'under the pads' }),
  header: closed({ section: text('designation as in the section tables'), grade: text(), length: positive('m') }),
  posts: Type.Array(nonNegative('m', 'from the left end of the header'), { minItems: 1, maxItems: 12 }),
  post: closed({
    section: text('designation as in the section tables'),
    grade: text(),
    height: positive('m'),
    braces: Type.Integer({ minimum: 0, maximum: 6 }),
  }),
  cap: positive('m', 'length of header that bears on a post'),
  loads: Type.Array(
    closed({
      id: id(),
      what: text(),
      at: nonNegative('m', 'from the left end of the header'),
      force: nullable(positive('N', 'factored by the rule set')),
      bearing: nullable(positive('m', 'length of header under its seat')),
      from: Type.Integer({ minimum: 1, description: 'stage it comes on at' }),
      to: nullable(Type.Integer({ minimum: 1, description: 'last stage it stands there; null: stays' })),
    }),
    { maxItems: 20 },
  ),
  pad: closed({ length: positive('m'), width: positive('m'), allowable: nullable(positive('Pa')) }),
  jack: nullable(closed({ capacity: positive('N'), stroke: positive('m'), need: nonNegative('m', 'height still to be made up') })),
  lateral: nullable(positive('N', 'what its bracing and ties hold sideways, without the guys')),
  guys: Type.Array(
    closed({
      id: id(),
      what: text(),
      angleDeg: real('deg', { exclusiveMinimum: 0, exclusiveMaximum: 90, description: 'from the ground' }),
      capacity: nullable(positive('N', 'of line, shackles and anchor, the least of them')),
      count: Type.Integer({ minimum: 1, maximum: 12, description: 'pulling one way' }),
    }),
    { maxItems: 12 },
  ),
  sail: nullable(nonNegative('m2', 'area of the bent and of what stands on it that the wind sees')),
  readyOn: text('when it was accepted, as a date'),
  girderOn: text('when its girder is to land, as a date'),
  girder: nullable(
    closed({ weight: positive('N', 'on this bent and the next together'), length: positive('m'), depth: positive('m'), bearingWidth: positive('m') }),
  ),
  tieDown: nullable(nonNegative('N', 'what holds the girder down on one side')),
  tag: tag(),
  standsOn: standsOn(),
});

/** What shores are built of, as it stands on a cut list and in the yard. */
export const partKinds = ['stud', 'plate', 'header', 'board', 'screw', 'prop', 'post', 'needle', 'pad', 'jack'] as const;

const shoringSchema = closed({
  bents: Type.Array(bentSchema, { maxItems: 40 }),
  opening: nullable(id()),
  storeys: Type.Array(storeySchema, { maxItems: 20, description: 'lowest first: the storey of the opening, then those above' }),
  walls: Type.Array(shoreWallSchema, { maxItems: 40 }),
  rows: Type.Array(shoreRowSchema, { maxItems: 40 }),
  strike: Type.Array(
    closed({
      id: id(),
      shore: id(),
      units: Type.Array(Type.Integer({ minimum: 1 }), { description: 'studs or needles from the left; none: all of it' }),
      together: Type.Boolean({ description: 'struck with the step before, not after it' }),
    }),
    { maxItems: 200 },
  ),
  preload: nonNegative('1', 'share of the load wedged or jacked onto the new beam before the first is struck', { maximum: 1 }),
  watch: Type.Array(
    closed({ id: id(), at: text('prop, crack or level'), before: nullable(real('m')), after: nullable(real('m')), by: text(), on: text('when, as a date') }),
    { maxItems: 100 },
  ),
  room: nullable(positive('m', 'clear width the lifting gear needs between the shores')),
  stock: Type.Array(
    closed({
      id: id(),
      what: oneOf(partKinds),
      size: text(),
      length: nullable(positive('m', 'null: it has none that matters')),
      count: Type.Integer({ minimum: 0 }),
    }),
    { maxItems: 120 },
  ),
});

const common = { id: id(), note: Type.Optional(text()) };
const moveSchema = Type.Union([
  closed({ ...common, kind: Type.Literal('bearing.ready'), bearing: id() }),
  closed({ ...common, kind: Type.Literal('crane.set'), stand: id() }),
  closed({ ...common, kind: Type.Literal('piece.deliver'), piece: id() }),
  closed({ ...common, kind: Type.Literal('piece.sling'), pick: id() }),
  closed({ ...common, kind: Type.Literal('pick.trial'), pick: id() }),
  closed({ ...common, kind: Type.Literal('pick.lift'), pick: id() }),
  closed({ ...common, kind: Type.Literal('piece.land'), pick: id() }),
  closed({
    ...common,
    kind: Type.Literal('end.bolt'),
    piece: id(),
    end: oneOf(['left', 'right']),
    bolts: nullable(Type.Integer({ minimum: 0, maximum: 200 })),
  }),
  closed({ ...common, kind: Type.Literal('hook.release'), pick: id() }),
  closed({ ...common, kind: Type.Literal('piece.plumb'), piece: id() }),
  closed({ ...common, kind: Type.Literal('piece.tighten'), piece: id() }),
  closed({ ...common, kind: Type.Literal('crane.leave'), stand: id() }),
  closed({ ...common, kind: Type.Literal('shore.set'), shore: id() }),
  closed({ ...common, kind: Type.Literal('line.open') }),
  closed({ ...common, kind: Type.Literal('member.set'), opening: id() }),
  closed({ ...common, kind: Type.Literal('shore.strike'), step: id() }),
  closed({ ...common, kind: Type.Literal('other'), what: text() }),
]);

export const planSchema = Type.Object(
  {
    format: Type.Literal(PLAN_FORMAT),
    version: Type.Literal(PLAN_VERSION),
    job: closed({
      name: Type.String({ minLength: 1, maxLength: 200 }),
      place: text(),
      units: oneOf(['metric', 'us']),
      ruleSet: oneOf(['us-asd', 'eu-ls']),
      chartRule: oneOf(['step', 'linear']),
      thresholds: Type.Record(Type.String(), Type.Number(), { description: 'own values in place of the rule set’s, by key' }),
    }),
    bearings: Type.Array(bearingSchema),
    pieces: Type.Array(pieceSchema),
    cranes: Type.Array(craneSchema),
    stands: Type.Array(standSchema),
    picks: Type.Array(pickSchema),
    site: closed({
      obstructions: Type.Array(
        closed({ id: id(), name: text(), at: place(), length: positive('m'), width: positive('m'), azimuthDeg: real('deg'), height: nonNegative('m') }),
      ),
      powerLines: Type.Array(closed({ id: id(), name: text(), from: place(), to: place(), height: nonNegative('m'), volts: nullable(positive('V')) })),
      forecastGust: nullable(nonNegative('m/s')),
    }),
    moves: Type.Array(moveSchema),
    survey: closed({
      strippedOn: text('last strip-out or demolition, as a date'),
      changedOn: text('last change of the layout or of the drawings, as a date'),
      cutListOn: text('of the cut list the pieces are made from, as a date'),
      owner: text('who answers for a wrong measure'),
      lookedOver: closed({ by: text('who looked for rot, cracks and missing footings once it was opened up'), on: text('when, as a date') }),
      openings: Type.Array(openingSchema),
      overlays: Type.Array(overlaySchema),
      patterns: Type.Array(patternSchema),
      lines: Type.Array(closed({ id: id(), name: text(), bearings: Type.Array(id(), { minItems: 2 }), stated: nullable(positive('m')) })),
    }),
    links: Type.Array(linkSchema),
    members: Type.Array(memberSchema),
    truck: nullable(
      closed({ name: text(), deckLength: positive('m'), deckWidth: positive('m'), mass: positive('kg'), layers: Type.Integer({ minimum: 1, maximum: 20 }) }),
    ),
    wayIn: wayInSchema,
    shoring: shoringSchema,
    holds: Type.Array(closed({ id: oneOf(holdIds), by: text(), evidence: text(), value: text(), on: text() })),
    people: closed({ planner: text(), checker: text(), caller: text(), operator: text(), radioChannel: text() }),
  },
  { $id: 'https://keen-trestle.invalid/schema/plan.schema.json', title: 'Keen Trestle plan', additionalProperties: false },
);

export type Plan = Static<typeof planSchema>;
export type Opening = Plan['survey']['openings'][number];
export type Overlay = Plan['survey']['overlays'][number];
export type Pattern = Plan['survey']['patterns'][number];
export type SpanLine = Plan['survey']['lines'][number];
export type Link = Plan['links'][number];
export type Member = Plan['members'][number];
export type Storey = Plan['shoring']['storeys'][number];
export type ShoreWall = Plan['shoring']['walls'][number];
export type ShoreRow = Plan['shoring']['rows'][number];
export type Bent = Plan['shoring']['bents'][number];
export type ShoreTag = Plan['shoring']['walls'][number]['tag'];
export type ShoreGap = ShoreWall['gaps'][number];
export type Diagonals = NonNullable<ShoreWall['diagonals']>;
export type RowProp = ShoreRow['prop'];
export type StrikeStep = Plan['shoring']['strike'][number];
export type Watch = Plan['shoring']['watch'][number];
export type StockLine = Plan['shoring']['stock'][number];
export type Leg = Plan['wayIn']['legs'][number];
export type HoldRecord = Plan['holds'][number];
export type Bearing = Plan['bearings'][number];
export type Piece = Plan['pieces'][number];
export type Crane = Plan['cranes'][number];
export type Stand = Plan['stands'][number];
export type Pick = Plan['picks'][number];
export type Move = Plan['moves'][number];
export type MoveKind = Move['kind'];
export type Obstruction = Plan['site']['obstructions'][number];
export type PowerLine = Plan['site']['powerLines'][number];
