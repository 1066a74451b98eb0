import { Type, type Static } from 'typebox';
import { closed, nullable, oneOf } from '../calc/fields';
import { PLAIN_TEXT } from '../calc/schema';
import { weightUses } from '../steel/weight-truth.calc';
import { id, nonNegative, place, positive, real, size, standsOn, text } from './things/fields';
import { costsSchema, hireSchema } from './things/costs';
import { shoringSchema } from './things/shoring';
import { stringSchema } from './things/string';
import { forecastSchema, shiftSchema } from './things/forecast';
import { dayMoves } from './things/day-end';
import { launchMoves, launchSchema } from './things/launch';
import { raiseSchema } from './things/raise';
import { rigSchema } from './things/rig';
import { hitchSchema } from './things/hitch';
import { rollSchema } from './things/roll';
import { fromYard, inspectedSchema, yardSchema } from './things/yard';
import { openingSchema, overlaySchema, patternSchema } from './things/survey';
import { structureMoves, structureSchema } from './things/structure';
import { transportSchema, travelSchema } from './things/transport';
import { assembledSchema, assemblySchema } from './things/assembly';
import { towerSchema } from './things/tower';
import { unsaid } from './things/unsaid';
import { footing } from './things/footing';
import { wayInSchema } from './things/way-in';
import { holdIds } from './hold-ids';

export { partKinds } from './things/shoring';
import { chartSchema } from '../cranes/chart-shape';

/** The plan document, version 6. It never holds results. Everything is SI; levels are above the ground the crane stands on. */
export const PLAN_FORMAT = 'keen-trestle/plan';
export const PLAN_VERSION = 6;

const bearingSchema = closed({
  id: id(),
  unsaid: unsaid(),
  name: text(),
  at: place(),
  level: real('m', { description: 'top of the seat' }),
  seatLength: size('along the piece'),
  seatWidth: size(),
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
      seatLength: nullable(size()),
      seatWidth: nullable(size()),
      by: text('who measured'),
      on: text('when, as a date'),
    }),
  ),
  post: nullable(
    closed({
      baseLevel: real('m', { description: 'top of what the post stands on' }),
      plates: nonNegative('m', 'cap, base and packs together'),
      tightFit: nonNegative('m'),
      pitch: nullable(size('of levelling nuts, when it has them')),
    }),
  ),
  standsOn: standsOn(),
  footing: footing(),
});

const pieceSchema = closed({
  id: id(),
  unsaid: unsaid(),
  mark: text(),
  section: text('designation as in the section tables'),
  length: positive('m', undefined, { maximum: 200 }),
  grade: text(),
  yield: positive('Pa'),
  allowance: nullable(nonNegative('1', 'fraction added to the mass; null: the rule set’s', { maximum: 1 })),
  packing: Type.Array(
    closed({
      id: id(),
      unsaid: unsaid(),
      what: text(),
      massPerLength: nonNegative('kg/m'),
      from: real('m'),
      to: real('m'),
      side: oneOf(['top', 'bottom', 'web']),
      thickness: nonNegative('m'),
    }),
  ),
  attachments: Type.Array(closed({ id: id(), unsaid: unsaid(), what: text(), mass: nonNegative('kg'), at: real('m', { description: 'from the left end' }) })),
  stated: closed({
    mass: nullable(positive('kg', 'bare weight by drawing or ticket')),
    weighed: Type.Optional(nullable(positive('kg', 'bare weight by scale or load cell'))),
    length: nullable(positive('m', 'length by drawing')),
    chosen: Type.Optional(
      nullable(
        closed({
          by: oneOf(['computed', 'drawing', 'weighed'], 'the figure for the bare steel that the plan goes by'),
          who: text('who chose it'),
          why: text('why it is the right one'),
        }),
      ),
    ),
  }),
  start: closed({
    x: real('m'),
    y: real('m'),
    azimuthDeg: real('deg', { description: 'left end to right end' }),
    level: real('m', { description: 'underside as delivered' }),
    onSide: Type.Optional(nullable(Type.Boolean({ description: 'it lies on its side, and is rolled upright before the lift' }))),
  }),
  seat: closed({
    left: id(),
    right: id(),
    leftBearing: nullable(positive('m', 'length of bearing at the left end')),
    statedSpan: nullable(positive('m', 'centre to centre of bearings by drawing')),
  }),
});

const cranePart = Type.Union([
  closed({ what: text(), mass: nonNegative('kg'), on: Type.Literal('chassis'), x: nullable(real('m')), y: real('m') }),
  closed({
    what: text(),
    mass: nonNegative('kg'),
    on: Type.Literal('slewing'),
    r: nullable(real('m', { description: 'along the boom, negative behind' })),
    counterweight: Type.Optional(Type.Boolean({ description: 'it is counterweight, as a chart counts it' })),
  }),
  closed({
    what: text(),
    mass: nonNegative('kg'),
    on: Type.Literal('boom'),
    along: nullable(nonNegative('1', 'share of the boom from its foot', { maximum: 1 })),
  }),
]);

/** A chart and what it is good for. */
const chartFields = {
  chart: nullable(chartSchema),
  chartSource: text(),
  chartGust: nullable(positive('m/s', 'gust the chart is good for')),
  chartBase: Type.Optional(
    nullable(closed({ length: positive('m', 'front to rear', { maximum: 40 }), width: positive('m', 'side to side', { maximum: 40 }) })),
  ),
  chartChecked: Type.Optional(
    nullable(
      closed({
        by: text('who held the chart against the maker’s'),
        on: text('when, as a date'),
        cells: text('the cells that were out of line, as they stood then'),
      }),
    ),
  ),
  chartOver: Type.Optional(
    nullable(
      closed({
        from: nullable(nonNegative('deg', 'boom off the front of the carrier, either side, at the least', { maximum: 180 })),
        to: nullable(nonNegative('deg', 'boom off the front of the carrier, either side, at the most', { maximum: 180 })),
      }),
    ),
  ),
  chartCounterweight: Type.Optional(nullable(nonNegative('kg', 'counterweight the chart is for'))),
};

const craneSchema = closed({
  id: id(),
  unsaid: unsaid(),
  name: text(),
  ...chartFields,
  pivotBack: real('m', { description: 'foot pin behind the slew centre', minimum: -10, maximum: 10 }),
  pivotHeight: nonNegative('m', 'foot pin of the boom; of a tower crane its jib, above the ground its mast stands on', { maximum: 300 }),
  boomDepth: positive('m', undefined, { maximum: 10 }),
  boomWidth: positive('m', undefined, { maximum: 10 }),
  hookBlockMass: nullable(nonNegative('kg')),
  hookDrop: nonNegative('m', 'boom tip to hook with the block run right up', { maximum: 30 }),
  baseLength: positive('m', 'outriggers, front to rear; of tracks, their length on the ground', { maximum: 40 }),
  baseWidth: positive('m', 'outriggers, left to right; of tracks, centre to centre', { maximum: 40 }),
  tracks: Type.Optional(nullable(closed({ shoe: nullable(positive('m', 'width of one track', { maximum: 5 })) }))),
  tower: Type.Optional(nullable(towerSchema)),
  assembled: assembledSchema(),
  tailRadius: positive('m', undefined, { maximum: 40 }),
  parts: Type.Array(cranePart),
  cab: Type.Optional(
    nullable(
      closed({
        ahead: nullable(real('m', { description: 'operator’s eyes along the boom from the slew centre', minimum: -10, maximum: 20 })),
        left: nullable(real('m', { description: 'to the left of the boom', minimum: -10, maximum: 10 })),
        height: nullable(nonNegative('m', 'above the ground the crane stands on', { maximum: 200 })),
      }),
    ),
  ),
  inspected: Type.Optional(inspectedSchema()),
  operator: Type.Optional(text('who operates it; blank: the one operator of the job')),
  linePull: Type.Optional(nullable(positive('kg', 'one part of its hoist line may carry'))),
  hire: Type.Optional(hireSchema()),
  gives: Type.Optional(
    nullable(
      closed({
        bend: nullable(nonNegative('1', 'its boom tip goes out under a full load, as a share of the boom, by its maker', { maximum: 0.2 })),
        level: nullable(nonNegative('1', 'slope it may stand at, by its maker', { maximum: 0.1 })),
      }),
    ),
  ),
});

/** Another chart of a crane: of another set-up, or for another side of it. */
const dutySchema = closed({ id: id(), crane: id(), name: text(), ...chartFields });

const standSchema = closed({
  id: id(),
  unsaid: unsaid(),
  name: text(),
  crane: id(),
  at: place(),
  azimuthDeg: real('deg', { description: 'front of the carrier' }),
  padArea: nullable(positive('m2', 'ground area under one outrigger')),
  groundAllowable: nullable(positive('Pa', 'bearing pressure the ground may take')),
  base: Type.Optional(
    nullable(
      closed({
        length: nullable(positive('m', 'outriggers here, front to rear', { maximum: 40 })),
        width: nullable(positive('m', 'outriggers here, left to right', { maximum: 40 })),
      }),
    ),
  ),
  counterweight: Type.Optional(nullable(nonNegative('kg', 'on it here; null: as its parts say'))),
  falls: Type.Optional(nullable(Type.Integer({ minimum: 1, maximum: 40, description: 'parts of line the hook block hangs in' }))),
  settles: Type.Optional(nullable(nonNegative('m', 'its worst pad or track, as the load comes on', { maximum: 0.5 }))),
  waits: Type.Optional(
    nullable(
      closed({
        boom: nullable(positive('m', 'its length then; null: as it lifts here', { maximum: 300 })),
        bearingDeg: nullable(real('deg', { description: 'it points that way, from east' })),
        radius: nullable(nonNegative('m', 'its tip from the slew centre, seen from above', { maximum: 300 })),
      }),
    ),
  ),
  assembly: Type.Optional(nullable(assemblySchema)),
});

const pickSchema = closed({
  id: id(),
  unsaid: unsaid(),
  piece: id(),
  stand: id(),
  left: nonNegative('m', 'left end to left pick'),
  right: nonNegative('m', 'right end to right pick'),
  legs: closed({ left: positive('m'), right: positive('m') }),
  slingRating: nullable(positive('kg', 'of one leg, straight')),
  riggingMass: nullable(nonNegative('kg', 'slings, shackles and all below the hook')),
  boom: positive('m', undefined, { maximum: 300 }),
  swing: oneOf(['short', 'left', 'right'], 'which way the crane slews'),
  swingRadius: nullable(positive('m', 'radius held while slewing; null: straight from the first to the last')),
  liftOver: nonNegative('m', 'underside above the seats before lowering'),
  rig: Type.Optional(nullable(rigSchema)),
  hitch: Type.Optional(nullable(hitchSchema)),
  tags: Type.Optional(
    nullable(closed({ lines: Type.Integer({ minimum: 0, maximum: 12, description: 'tag lines on it; 0: none' }), by: text('who holds them') })),
  ),
  roll: Type.Optional(nullable(rollSchema)),
  threads: Type.Optional(nullable(closed({ how: text('how it is brought to its place past what stands over it'), by: text('who worked that out') }))),
  joined: Type.Optional(
    nullable(Type.Array(id(), { maxItems: 9, description: 'other pieces of the structure, spliced to it end to end on the ground and lifted with it' })),
  ),
  gear: fromYard(),
  signed: Type.Optional(nullable(closed({ by: text('who signed the plan of a critical lift'), on: text('when, as a date') }))),
  turned: Type.Optional(
    nullable(
      closed({
        top: nullable(nonNegative('m', 'upper end to where it is slung')),
        tail: nullable(nonNegative('m', 'lower end to where its tail rests, or hangs on the second crane')),
        sling: nullable(positive('m', 'sling from there to the hook')),
      }),
    ),
  ),
  second: Type.Optional(
    nullable(
      closed({
        stand: id(),
        boom: nullable(positive('m', undefined, { maximum: 300 })),
        slingRating: nullable(positive('kg', 'of its sling, straight')),
        riggingMass: nullable(nonNegative('kg', 'slings, shackles and all below its hook')),
        via: Type.Optional(nullable(place())),
        lands: Type.Optional(
          nullable(
            closed({
              first: oneOf(['together', 'left', 'right'], 'which end comes to rest first'),
              rest: nullable(nonNegative('m', 'from that end to where it rests first')),
              high: nullable(nonNegative('m', 'the pick at the other end is then still so far above its height when set', { maximum: 20 })),
            }),
          ),
        ),
      }),
    ),
  ),
});

/** What no load passes over while it is open. */
export const zoneKinds = ['railway', 'road', 'people', 'roof', 'pit', 'laydown'] as const;

export const linkKinds = ['post', 'wall', 'beam', 'blocking', 'plate', 'pad', 'footing', 'slab', 'soil', 'other'] as const;
const linkSchema = closed({
  id: id(),
  unsaid: unsaid(),
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

const plate = () => closed({ width: positive('m'), thickness: size() });
const makeSchema = Type.Union([
  closed({ kind: Type.Literal('section'), section: text('designation as in the section tables') }),
  closed({ kind: Type.Literal('girder'), webDepth: positive('m'), web: size(), topFlange: plate(), bottomFlange: plate() }),
  closed({ kind: Type.Literal('plain'), what: text() }),
  closed({
    kind: Type.Literal('parts'),
    what: text('stepped, spliced or put together before the lift'),
    width: nullable(positive('m', 'overall')),
    depth: nullable(positive('m', 'overall')),
    parts: Type.Array(
      closed({
        id: id(),
        what: text(),
        section: text('designation; empty: by its weight'),
        mass: nullable(positive('kg', 'of one; null: by its section')),
        count: Type.Integer({ minimum: 1, maximum: 100, description: 'side by side or at the same place' }),
        from: real('m', { description: 'from the left end' }),
        to: real('m', { description: 'the same as from: it is in one place' }),
      }),
      { maxItems: 80 },
    ),
  }),
]);
export const memberStates = ['listed', 'made', 'trial fitted', 'shipped', 'stored', 'set', 'braced', 'bolted', 'torqued', 'accepted'] as const;

const memberSchema = closed({
  id: id(),
  unsaid: unsaid(),
  mark: text(),
  make: makeSchema,
  length: positive('m', undefined, { maximum: 200 }),
  grade: text(),
  count: Type.Integer({ minimum: 1, maximum: 100000 }),
  packing: closed({
    mass: nonNegative('kg'),
    sides: nonNegative('m', 'both sides together'),
    height: nonNegative('m', 'above and below together'),
    web: nullable(size('height of what lies against the web, between the flanges')),
  }),
  attachments: nonNegative('kg'),
  stated: closed({ drawing: nullable(positive('kg')), weighed: nullable(positive('kg')) }),
  use: oneOf(weightUses),
  useBy: Type.Optional(text('who chose the weight the plan goes by')),
  useWhy: Type.Optional(text('why it is the right one')),
  cg: nullable(real('m', { description: 'from the left end; null: the middle' })),
  order: nullable(Type.Integer({ minimum: 0, maximum: 100000 })),
  line: text('grid line or group it belongs to'),
  supplier: text(),
  place: text(),
  stack: nullable(Type.Integer({ minimum: 1, maximum: 100, description: 'layer where it lies, 1 at the bottom' })),
  faceUp: text('which face lies up, and how the coat is kept'),
  travel: travelSchema,
  state: oneOf(memberStates),
  elsewhere: Type.Optional(text('who sets it and how, where no move of this plan does')),
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
    tight: Type.Optional(nullable(Type.Boolean({ description: 'of the drawn size and grade, and wrench-tight; only such bolts count' }))),
  }),
  closed({ ...common, kind: Type.Literal('hook.release'), pick: id() }),
  closed({ ...common, kind: Type.Literal('piece.plumb'), piece: id() }),
  closed({ ...common, kind: Type.Literal('piece.tighten'), piece: id() }),
  closed({ ...common, kind: Type.Literal('crane.leave'), stand: id() }),
  closed({ ...common, kind: Type.Literal('shore.set'), shore: id() }),
  closed({ ...common, kind: Type.Literal('line.open'), line: id() }),
  closed({ ...common, kind: Type.Literal('member.set'), opening: id() }),
  closed({ ...common, kind: Type.Literal('shore.strike'), step: id() }),
  closed({ ...common, kind: Type.Literal('other'), what: text() }),
  ...structureMoves,
  ...launchMoves,
  ...dayMoves,
]);

/** What is passed anew each day names the move that ends it. */
const dayId = () =>
  Type.String({
    minLength: 1,
    maxLength: 64,
    pattern: PLAIN_TEXT,
    description: 'the move that ends the day it was passed for; null: the whole job, or its last day',
  });

export const planSchema = Type.Object(
  {
    format: Type.Literal(PLAN_FORMAT),
    version: Type.Literal(PLAN_VERSION),
    job: closed({
      name: Type.String({ minLength: 1, maxLength: 200, pattern: PLAIN_TEXT }),
      place: text(),
      units: oneOf(['metric', 'us']),
      ruleSet: oneOf(['us-asd', 'eu-ls']),
      chartRule: oneOf(['step', 'linear']),
      thresholds: Type.Record(Type.String(), Type.Number(), { description: 'own values in place of the rule set’s, by key' }),
    }),
    bearings: Type.Array(bearingSchema, { maxItems: 5000 }),
    pieces: Type.Array(pieceSchema, { maxItems: 5000 }),
    cranes: Type.Array(craneSchema, { maxItems: 200 }),
    duties: Type.Optional(Type.Array(dutySchema, { maxItems: 1000, description: 'further charts of the cranes' })),
    stands: Type.Array(standSchema, { maxItems: 2000 }),
    picks: Type.Array(pickSchema, { maxItems: 5000 }),
    costs: Type.Optional(nullable(costsSchema)),
    yard: Type.Optional(Type.Array(yardSchema, { maxItems: 2000, description: 'lifting gear with its papers' })),
    raises: Type.Optional(Type.Array(raiseSchema, { maxItems: 5000, description: 'lifts without a crane' })),
    strings: Type.Optional(Type.Array(stringSchema, { maxItems: 1000, description: 'beams that hang one below the other on one hook' })),
    launches: Type.Optional(Type.Array(launchSchema, { maxItems: 200, description: 'what is pushed to its place over rollers' })),
    site: closed({
      obstructions: Type.Array(
        closed({
          id: id(),
          unsaid: unsaid(),
          name: text(),
          at: place(),
          length: positive('m'),
          width: positive('m'),
          azimuthDeg: real('deg'),
          height: nonNegative('m'),
        }),
      ),
      powerLines: Type.Array(
        closed({
          id: id(),
          name: text(),
          from: nullable(place()),
          to: nullable(place()),
          height: nullable(nonNegative('m', 'of the lowest wire at its sag')),
          volts: nullable(positive('V', 'nominal, phase to phase', { maximum: 1e7 })),
          ownerAsks: Type.Optional(nullable(positive('m', 'distance the owner of the line asks'))),
          guard: Type.Optional(
            nullable(closed({ means: text('what is taken where it could come near'), by: text('who answers for it'), on: text('when, as a date') })),
          ),
        }),
      ),
      together: Type.Optional(
        nullable(closed({ by: text('who gives the word to cranes that reach into each other’s circle'), how: text('how one knows that the other waits') })),
      ),
      walked: Type.Optional(nullable(closed({ by: text('who went round the site and found no overhead line near the work'), on: text('when, as a date') }))),
      zones: Type.Optional(
        Type.Array(
          closed({
            id: id(),
            unsaid: unsaid(),
            name: text(),
            kind: oneOf(zoneKinds),
            at: place(),
            length: positive('m'),
            width: positive('m'),
            azimuthDeg: real('deg'),
            depth: Type.Optional(nullable(positive('m', 'of a pit, a trench, the ground behind a basement wall'))),
            edge: Type.Optional(nullable(closed({ by: text('who worked out that the edge of a pit holds'), on: text('when, as a date') }))),
            carries: Type.Optional(nullable(positive('Pa', 'what the ground of a laydown may take'))),
            timberLength: Type.Optional(nullable(positive('m', 'of the timber under either end of what lies in a laydown'))),
            timberWidth: Type.Optional(nullable(positive('m'))),
            closed: nullable(
              closed({ how: text('how it is kept closed and empty while a load passes over'), by: text('who answers for it'), on: text('when, as a date') }),
            ),
          }),
          { maxItems: 500, description: 'what no load is carried over unless it is closed; where the ground ends; where steel lies before it is lifted' },
        ),
      ),
      signallers: Type.Optional(
        Type.Array(
          closed({
            id: id(),
            unsaid: unsaid(),
            name: text('who signals where the operator does not see the load'),
            at: place(),
            eye: nullable(real('m', { description: 'level of the eyes', minimum: -50, maximum: 200 })),
          }),
          { maxItems: 200 },
        ),
      ),
      forecastGust: nullable(nonNegative('m/s', 'for the shift of the lift')),
      forecast: Type.Optional(nullable(forecastSchema)),
      shift: Type.Optional(nullable(shiftSchema)),
      standingGust: Type.Optional(nullable(nonNegative('m/s', 'that may come while steel stands that is not braced yet'))),
    }),
    moves: Type.Array(moveSchema, { maxItems: 20000 }),
    survey: closed({
      strippedOn: text('last strip-out or demolition, as a date'),
      changedOn: text('last change of the layout or of the drawings, as a date'),
      cutListOn: text('of the cut list the pieces are made from, as a date'),
      revisions: closed({
        design: text('revision of the design in force'),
        survey: text('revision in hand when it was measured'),
        cutList: text('revision the pieces are made from'),
      }),
      owner: text('who answers for a wrong measure'),
      lookedOver: closed({ by: text('who looked for rot, cracks and missing footings once it was opened up'), on: text('when, as a date') }),
      openings: Type.Array(openingSchema),
      overlays: Type.Array(overlaySchema),
      patterns: Type.Array(patternSchema),
      lines: Type.Array(closed({ id: id(), name: text(), bearings: Type.Array(id(), { minItems: 2 }), stated: nullable(positive('m')) })),
    }),
    structure: structureSchema,
    links: Type.Array(linkSchema, { maxItems: 5000 }),
    members: Type.Array(memberSchema, { maxItems: 20000 }),
    transport: transportSchema,
    ways: Type.Array(wayInSchema, { maxItems: 200 }),
    shoring: shoringSchema,
    holds: Type.Array(
      closed({
        id: oneOf(holdIds),
        by: text('the person who passed it'),
        evidence: text(),
        value: text(),
        on: text('when, as a date'),
        day: Type.Optional(nullable(dayId())),
        readings: Type.Optional(
          Type.Array(closed({ of: id(), value: Type.Number({ minimum: -1e10, maximum: 1e10 }) }), {
            maxItems: 400,
            description: 'the number the hold point asks for, SI, of each thing it is for, by its id: Pa of each pour, m of each span, N of each shore',
          }),
        ),
      }),
    ),
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
export type Truck = Plan['transport']['trucks'][number];
export type Turn = Plan['transport']['turns'][number];
export type Permit = Plan['transport']['permits'][number];
export type ShoredLine = Plan['shoring']['lines'][number];
export type Storey = ShoredLine['storeys'][number];
export type ShoreWall = ShoredLine['walls'][number];
export type ShoreRow = ShoredLine['rows'][number];
export type Bent = Plan['shoring']['bents'][number];
export type ShoreTag = ShoreWall['tag'];
export type ShoreGap = ShoreWall['gaps'][number];
export type Diagonals = NonNullable<ShoreWall['diagonals']>;
export type RowProp = ShoreRow['prop'];
export type StrikeStep = ShoredLine['strike'][number];
export type Watch = ShoredLine['watch'][number];
export type StockLine = Plan['shoring']['stock'][number];
export type WayIn = Plan['ways'][number];
export type Leg = WayIn['legs'][number];
export type HoldRecord = Plan['holds'][number];
export type Bearing = Plan['bearings'][number];
export type Piece = Plan['pieces'][number];
export type Crane = Plan['cranes'][number];
export type Duty = NonNullable<Plan['duties']>[number];
export type Stand = Plan['stands'][number];
export type Pick = Plan['picks'][number];
export type YardThing = NonNullable<Plan['yard']>[number];
export type Rig = NonNullable<Pick['rig']>;
export type Raise = NonNullable<Plan['raises']>[number];
export type RaisePoint = Raise['points'][number];
export type { Launch, Roller } from './things/launch';
export type Structure = Plan['structure'];
export type Make = Structure['makes'][number];
export type Beam = Structure['pieces'][number];
export type Support = Structure['supports'][number];
export type Joint = Structure['joints'][number];
export type PutLoad = Structure['loads'][number];
export type Brace = Structure['braces'][number];
export type Move = Plan['moves'][number];
export type MoveKind = Move['kind'];
export type Obstruction = Plan['site']['obstructions'][number];
export type Zone = NonNullable<Plan['site']['zones']>[number];
export type Signaller = NonNullable<Plan['site']['signallers']>[number];
export type { Forecast, Shift } from './things/forecast';
export type PowerLine = Plan['site']['powerLines'][number];
