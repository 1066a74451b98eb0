import { Type, type Static } from 'typebox';
import { closed, nonNegative, nullable, oneOf, positive, real } from '../calc/fields';
import { chartSchema } from '../cranes/chart-shape';

/** The plan document, version 1. It never holds results. Everything is SI; levels are above the ground the crane stands on. */
export const PLAN_FORMAT = 'keen-trestle/plan';
export const PLAN_VERSION = 1;

const id = () => Type.String({ minLength: 1, maxLength: 64 });
const text = (description?: string) => Type.String({ maxLength: 2000, ...(description ? { description } : {}) });
const place = () => closed({ x: real('m'), y: real('m') });

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
    people: closed({ planner: text(), checker: text(), caller: text(), operator: text(), radioChannel: text() }),
  },
  { $id: 'https://keen-trestle.invalid/schema/plan.schema.json', title: 'Keen Trestle plan', additionalProperties: false },
);

export type Plan = Static<typeof planSchema>;
export type Bearing = Plan['bearings'][number];
export type Piece = Plan['pieces'][number];
export type Crane = Plan['cranes'][number];
export type Stand = Plan['stands'][number];
export type Pick = Plan['picks'][number];
export type Move = Plan['moves'][number];
export type MoveKind = Move['kind'];
export type Obstruction = Plan['site']['obstructions'][number];
export type PowerLine = Plan['site']['powerLines'][number];
