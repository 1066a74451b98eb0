import { Type } from 'typebox';
import { closed, nullable, oneOf, yieldStress } from '../../calc/fields';
import { jointBoltGrades } from '../../strength/bolt-grades';
import { footing } from './footing';
import { id, nonNegative, place, positive, real, size, standsOn, text } from './fields';
import { supportKinds } from './support-kinds';
import { unsaid } from './unsaid';

const point = () => closed({ ...place().properties, z: real('m') });
const plate = () => closed({ width: positive('m'), thickness: size() });

/** What alike pieces share. */
const makeSchema = closed({
  id: id(),
  mark: text(),
  made: Type.Union([
    closed({ kind: Type.Literal('section'), section: text('designation as in the section tables') }),
    closed({ kind: Type.Literal('girder'), webDepth: positive('m'), web: size(), topFlange: plate(), bottomFlange: plate() }),
    closed({
      kind: Type.Literal('plain'),
      what: text('a truss, a stair, a slab: what is not one section'),
      depth: Type.Optional(nullable(positive('m', 'outside to outside'))),
      width: Type.Optional(nullable(positive('m', 'outside to outside'))),
      balance: Type.Optional(nullable(positive('m', 'balance point from the first end'))),
      chords: Type.Optional(nullable(positive('m²', 'area of what runs along it, all together'))),
      hangsBy: Type.Optional(text('who has checked its strength as it hangs from its picks')),
      standsBy: Type.Optional(text('who has checked its strength as it stands on its seats, joints and braces')),
    }),
  ]),
  length: positive('m', undefined, { maximum: 200 }),
  grade: text(),
  yield: nullable(yieldStress()),
  mass: nullable(positive('kg', 'bare, by drawing')),
  allowance: nullable(nonNegative('1', 'fraction added to the mass; null: the rule set’s', { maximum: 1 })),
  attachments: Type.Array(closed({ id: id(), what: text(), mass: nonNegative('kg'), at: nonNegative('m', 'from the first end') }), { maxItems: 200 }),
  joist: Type.Optional(Type.Boolean({ description: 'an open web steel joist: bridged and fixed by its span' })),
  otherWayBy: Type.Optional(text('of long joists: the qualified person who designed another way than in tandem')),
  studs: Type.Optional(Type.Boolean({ description: 'studs or bars stand on its top flange when it comes' })),
});

/** One real thing: its two ends where it is to be, along the underside of a beam and the axis of a column. */
const pieceSchema = closed({
  id: id(),
  mark: text(),
  make: id(),
  weighed: nullable(positive('kg', 'bare, by scale or load cell')),
  from: nullable(point()),
  to: nullable(point()),
  webDeg: Type.Optional(
    nullable(real('deg', { minimum: -360, maximum: 360, description: 'of a column: which way its web runs, seen from above; null: not said' })),
  ),
  lies: Type.Optional(
    nullable(
      closed({
        x: nullable(real('m')),
        y: nullable(real('m')),
        azimuthDeg: nullable(real('deg', { description: 'first end to second end, where it lies before it is lifted' })),
        level: nullable(real('m', { description: 'of its underside there' })),
        onSide: Type.Optional(nullable(Type.Boolean({ description: 'it lies on its side, and is rolled upright before the lift' }))),
        comes: Type.Optional(
          nullable(oneOf(['onTruck', 'before'], 'onTruck: it is lifted off its truck as that comes; before: it is laid there and lies until it is lifted')),
        ),
      }),
    ),
  ),
});

const spot = () => closed({ piece: id(), at: nonNegative('m', 'from the first end of the piece') });

/** Where piece ends or points come to rest. It pushes only, unless it is told to hold down. */
const supportSchema = closed({
  id: id(),
  unsaid: unsaid(),
  name: text(),
  kind: oneOf(supportKinds),
  seats: Type.Array(spot(), { minItems: 1, maxItems: 40 }),
  onBent: nullable(closed({ bent: id(), at: nonNegative('m', 'from the left end of its header') })),
  level: nullable(real('m', { description: 'of the seat as drawn; null: under the piece as drawn' })),
  measured: nullable(closed({ level: real('m'), by: text(), on: text('when, as a date') })),
  spring: nullable(positive('N/m', 'null: it does not give')),
  holdsDown: nullable(positive('N', 'null: it pushes only')),
  holdsMoment: Type.Optional(nullable(positive('N·m', 'at the foot of a column on no anchors, by the engineer; null: it turns freely'))),
  twist: Type.Boolean({ description: 'joint, tie-down or end diaphragm there stops the piece from rolling over' }),
  twistHolds: Type.Optional(nullable(positive('N·m', 'moment against rolling over that its joint, tie-down or diaphragm holds'))),
  along: oneOf(['fixed', 'free'], 'whether it holds the piece along its length'),
  seatLength: nullable(size('along the piece')),
  seatWidth: nullable(size('across it')),
  capacity: nullable(positive('N')),
  capacityBasis: oneOf(['allowable', 'design'], 'allowable: against the plain load; design: against the factored load'),
  stiffened: nullable(Type.Boolean({ description: 'stiffeners in the web of the piece over it; null: not said' })),
  anchors: nullable(
    closed({
      count: Type.Integer({ minimum: 0, maximum: 100 }),
      lever: nullable(size('anchors in tension to the pressed edge')),
      toe: nullable(size('axis of the column to the pressed edge')),
      columnDepth: nullable(size('of the column')),
      tension: nullable(positive('N', 'what those in tension together may pull, allowable')),
      repairedBy: Type.Optional(text('who approved it, where an anchor was repaired, replaced or modified in the field')),
      repaired: Type.Boolean(),
      under: Type.Optional(
        nullable(
          Type.Union([
            closed({ kind: Type.Literal('grouted') }),
            closed({ kind: Type.Literal('shims'), carry: nullable(positive('N', 'together')) }),
            closed({
              kind: oneOf(['nuts', 'bareRods']),
              rods: Type.Integer({ minimum: 1, maximum: 100 }),
              diameter: nullable(size('of a rod')),
              free: nullable(size('of a rod, from the concrete to its nut')),
              yield: nullable(yieldStress()),
            }),
          ]),
        ),
      ),
    }),
  ),
  footing: nullable(footing()),
  standsOn: standsOn(),
});

export const jointKinds = ['splice', 'onWeb', 'onColumn', 'seat'] as const;

/** What meets: a point of one piece with a point of another. `a` is carried by `b` where it is no splice. */
const jointSchema = closed({
  id: id(),
  unsaid: unsaid(),
  name: text(),
  kind: oneOf(jointKinds),
  a: spot(),
  b: spot(),
  holes: nullable(Type.Integer({ minimum: 1, maximum: 2000, description: 'in all, of one side' })),
  boltShear: nullable(positive('N', 'what one bolt of it may carry, by the rule set of the job')),
  bolt: Type.Optional(
    nullable(
      closed({
        diameter: size('of its bolts'),
        grade: oneOf(jointBoltGrades),
        planes: Type.Integer({ minimum: 1, maximum: 4, description: 'shear planes through one bolt' }),
      }),
    ),
  ),
  moment: nullable(positive('N·m', 'what it may carry filled and tight, by the engineer')),
  shear: nullable(positive('N')),
  traffic: Type.Boolean({ description: 'people or vehicles pass over or under it before it is filled' }),
  sharesWith: nullable(id()),
  ownBolts: Type.Optional(nullable(Type.Boolean({ description: 'none of its bolts goes on into what is joined from the other side' }))),
  stiffened: Type.Optional(nullable(Type.Boolean({ description: 'stiffeners in the web of the beam under a column that stands on it; null: not said' }))),
  oneStays: Type.Boolean({ description: 'where bolts are shared through a web: one stays wrench-tight in the first, or a seat is under the second' }),
  opened: Type.Optional(nullable(closed({ how: oneOf(['reamed', 'burnt']), by: text('who of the engineers of record approved it') }))),
});

/** What holds a piece sideways or against twist, for a time or for good. */
const braceSchema = closed({
  id: id(),
  unsaid: unsaid(),
  name: text(),
  kind: oneOf(['crossFrame', 'diaphragm', 'strut', 'guy', 'knee', 'bridging', 'deck']),
  a: spot(),
  b: nullable(spot()),
  anchoredTo: text('what it is tied to, where that is no piece'),
  towardsDeg: nullable(
    real('deg', { minimum: -360, maximum: 360, description: 'in plan, from the piece to what it is anchored to; null: as its two ends lie, or not known' }),
  ),
  slopeDeg: Type.Optional(
    nullable(real('deg', { minimum: 0, maximum: 89, description: 'from the horizontal, of what is anchored; null: as its two ends lie, or not known' })),
  ),
  anchor: Type.Optional(
    nullable(
      Type.Union([
        closed({ kind: Type.Literal('block'), weight: nullable(positive('N')), friction: nullable(positive('1', 'under the block', { maximum: 1.5 })) }),
        closed({ kind: Type.Literal('fixed'), carry: nullable(positive('N', 'along the rope, by whoever says so')) }),
      ]),
    ),
  ),
  stops: oneOf(['sideways', 'twist', 'both']),
  stays: Type.Optional(nullable(Type.Boolean({ description: 'part of the finished work; false: for the erection only' }))),
  capacity: nullable(positive('N')),
  stiffness: nullable(positive('N/m')),
  mass: Type.Optional(nullable(positive('kg', 'all of it, with its bolts'))),
  liftedBy: Type.Optional(text('what lifts it to its place, and who worked that out')),
});

/** What is put on a piece while it is built: bundles of deck, packs, gear, people. */
const loadSchema = closed({
  id: id(),
  unsaid: unsaid(),
  what: text(),
  piece: id(),
  at: nonNegative('m', 'from the first end of the piece'),
  force: positive('N', 'downwards'),
  liftedBy: Type.Optional(text('what lifts it to its place, and who worked that out')),
  bundle: Type.Optional(
    nullable(
      closed({
        force: positive('N', 'of the whole bundle'),
        joists: Type.Integer({ minimum: 1, maximum: 100, description: 'it lies on' }),
        edge: nonNegative('m', 'from the end of the joists to its nearest edge'),
        by: text('qualified person who found that they carry it'),
      }),
    ),
  ),
});

/** Pieces that are joined, stand on supports and are held, for as many as there are. */
export const structureSchema = closed({
  makes: Type.Array(makeSchema, { maxItems: 5000 }),
  pieces: Type.Array(pieceSchema, { maxItems: 5000 }),
  supports: Type.Array(supportSchema, { maxItems: 5000 }),
  joints: Type.Array(jointSchema, { maxItems: 20000 }),
  braces: Type.Array(braceSchema, { maxItems: 20000 }),
  loads: Type.Array(loadSchema, { maxItems: 5000 }),
});

export const noStructure = () => ({ makes: [], pieces: [], supports: [], joints: [], braces: [], loads: [] });

/** Moves done to the structure. */
const common = { id: id(), note: Type.Optional(text()) };
export const structureMoves = [
  closed({ ...common, kind: Type.Literal('support.ready'), support: id() }),
  closed({ ...common, kind: Type.Literal('support.level'), support: id(), level: real('m') }),
  closed({ ...common, kind: Type.Literal('support.strike'), support: id() }),
  closed({
    ...common,
    kind: Type.Literal('piece.hang'),
    beam: id(),
    by: text('what holds it: crane, hoist, lifts, hands'),
    pick: Type.Optional(nullable(id())),
    checkedBy: Type.Optional(text('who worked this lift out, where no pick of this plan does')),
  }),
  closed({ ...common, kind: Type.Literal('piece.letGo'), beam: id(), keeps: nonNegative('N', 'what the hook still pulls; 0: it lets go') }),
  closed({
    ...common,
    kind: Type.Literal('beam.plumb'),
    beam: id(),
    off: nullable(nonNegative('m', 'out of plumb over its height, or out of level over its length, as read')),
  }),
  closed({
    ...common,
    kind: Type.Literal('joint.make'),
    joint: id(),
    pins: Type.Integer({ minimum: 0, maximum: 2000 }),
    bolts: nullable(Type.Integer({ minimum: 0, maximum: 2000 })),
    tight: nullable(Type.Boolean({ description: 'of the drawn size and grade, and wrench-tight; only such bolts count' })),
    fit: oneOf(['asLies', 'drawn'], 'the ends are joined at the angle they lie, or drawn to none'),
  }),
  closed({ ...common, kind: Type.Literal('joint.free'), joint: id() }),
  closed({ ...common, kind: Type.Literal('brace.fix'), brace: id() }),
  closed({ ...common, kind: Type.Literal('brace.free'), brace: id() }),
  closed({ ...common, kind: Type.Literal('load.on'), load: id() }),
  closed({ ...common, kind: Type.Literal('load.off'), load: id() }),
] as const;
