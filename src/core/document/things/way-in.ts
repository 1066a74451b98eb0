import { Type, type Static } from 'typebox';
import { closed, nullable, oneOf } from '../../calc/fields';
import { boltGrades } from '../../strength/bolt-en.calc';
import { id, nonNegative, place, positive, real, text } from './fields';
import { unsaid } from './unsaid';
import { fromYard } from './yard';

const leg = { id: id(), unsaid: unsaid(), name: text(), at: place() };

/** What pulls a piece up a ramp or along on rollers, and holds it back. */
const pullSchema = Type.Union([
  closed({
    kind: Type.Literal('line'),
    anchoredTo: text('what its winch or block is made fast to'),
    carries: nullable(positive('N', 'what that may take, by whoever says so')),
  }),
  closed({ kind: Type.Literal('people'), people: nullable(Type.Integer({ minimum: 1, maximum: 100 })) }),
]);
const pulled = { line: nullable(positive('N', 'rating of the pulling and holding line')), pull: Type.Optional(nullable(pullSchema)), gear: fromYard() };

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
    ...pulled,
  }),
  closed({
    ...leg,
    kind: Type.Literal('rollers'),
    slopeDeg: real('deg', { exclusiveMinimum: -45, exclusiveMaximum: 45 }),
    starting: nonNegative('1'),
    rolling: nonNegative('1'),
    ...pulled,
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

/** The way of a piece from the truck to its place, leg by leg, and where it is cut for it. */
export const wayInSchema = closed({
  id: id(),
  name: text(),
  member: nullable(id()),
  legs: Type.Array(legSchema, { maxItems: 60 }),
  cuts: Type.Array(positive('m')),
  gear: closed({ what: text(), mass: nullable(positive('kg', 'most it lifts in one go')) }),
  transport: nullable(positive('m', 'longest piece that can be brought; null: by the trucks')),
  splice: closed({
    kind: oneOf(['cover', 'endPlate']),
    mass: nonNegative('kg', 'plates and bolts of one splice'),
    diameter: positive('m'),
    grade: oneOf(boltGrades),
    peakShare: nullable(nonNegative('1', undefined, { maximum: 1 })),
    shortest: positive('m', 'piece worth making'),
    bolts: nullable(Type.Integer({ minimum: 1, maximum: 400, description: 'in each splice, by the engineer' })),
    engineer: text('who gave them'),
  }),
});

/** A way of which nobody has said anything yet. */
export const newWay = (id: string, name: string): Static<typeof wayInSchema> => ({
  id,
  name,
  member: null,
  legs: [],
  cuts: [],
  gear: { what: '', mass: null },
  transport: null,
  splice: { kind: 'cover', mass: 25, diameter: 0.02, grade: '8.8', peakShare: null, shortest: 1, bolts: null, engineer: '' },
});
