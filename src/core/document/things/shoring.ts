import { Type, type Static } from 'typebox';
import { closed, nullable, oneOf } from '../../calc/fields';
import { timberGrades } from '../../shoring/timber-grades';
import { id, nonNegative, place, positive, real, size, standsOn, text } from './fields';
import { unsaid } from './unsaid';

/** The temporary works register: nothing is loaded that nobody designed, checked and tagged. */
const tag = () =>
  closed({
    designer: text(),
    checker: text(),
    loadedOn: text('when it was first loaded, as a date'),
    days: nullable(positive('1', 'days between inspections while it stands', { maximum: 366 })),
    lastOn: Type.Optional(text('last inspection, as a date')),
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
    width: nullable(size()),
    depth: nullable(size()),
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
  unsaid: unsaid(),
  name: text(),
  storey: id(),
  side: oneOf(['left', 'right']),
  setback: positive('m', 'from the line'),
  stud: closed({ width: size('along the wall'), depth: size('through the wall'), grade: oneOf(timberGrades) }),
  missing: Type.Array(Type.Integer({ minimum: 1 }), { description: 'studs left out or taken out, counted from the left' }),
  braces: Type.Integer({ minimum: 0, maximum: 6, description: 'rows of lateral bracing between the plates' }),
  bracing: nullable(positive('N', 'what the diagonal bracing holds along the wall; null: worked out from the diagonals')),
  diagonals: nullable(
    closed({
      count: Type.Integer({ minimum: 1, maximum: 40 }),
      angleDeg: real('deg', { exclusiveMinimum: 0, exclusiveMaximum: 90, description: 'from the floor' }),
      board: size('thickness'),
      screws: Type.Integer({ minimum: 1, maximum: 40, description: 'in each end' }),
      diameter: size('of the shank in the wood'),
      length: positive('m', 'of the screw'),
    }),
  ),
  gaps: Type.Array(
    closed({
      id: id(),
      from: Type.Integer({ minimum: 1, description: 'first joist with no stud under it' }),
      to: Type.Integer({ minimum: 1, description: 'last' }),
      header: closed({ width: size('of one ply'), depth: size(), plies: Type.Integer({ minimum: 1, maximum: 6 }), grade: oneOf(timberGrades) }),
      posts: Type.Integer({ minimum: 1, maximum: 6, description: 'studs together at each end of the header' }),
    }),
    { maxItems: 10, description: 'where a header carries joists past a gap' },
  ),
  plate: closed({ count: Type.Integer({ minimum: 1, maximum: 4, description: 'top and bottom together' }), thickness: size(), width: size() }),
  tightFit: nonNegative('m'),
  sole: closed({ width: size(), allowable: nullable(positive('Pa', 'pressure what is under it may take')), on: text('slab, joists, spread boards') }),
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
  unsaid: unsaid(),
  name: text(),
  storey: id(),
  from: nonNegative('m', 'left bearing to the first needle'),
  spacing: positive('m'),
  count: Type.Integer({ minimum: 1, maximum: 60 }),
  needle: Type.Union([
    closed({ kind: Type.Literal('steel'), section: text('designation as in the section tables'), grade: text() }),
    closed({ kind: Type.Literal('timber'), width: size(), depth: size(), grade: oneOf(timberGrades) }),
  ]),
  arms: closed({ left: positive('m', 'wall centre to prop'), right: positive('m') }),
  over: nullable(positive('m', 'masonry above the needles')),
  masonry: closed({
    width: nullable(size('of the wall on the needle, along it')),
    allowable: nullable(positive('Pa', 'what the masonry may be pressed over the needle')),
  }),
  head: nullable(positive('m', 'of needle on the head of a prop')),
  prop: Type.Union([
    closed({
      kind: Type.Literal('steel'),
      class: oneOf(['A', 'B', 'C', 'D', 'E']),
      maxLength: positive('m'),
      tube: closed({ diameter: size('of the inner tube'), wall: size() }),
      ...standing(),
    }),
    closed({
      kind: Type.Literal('timber'),
      width: size('along the line'),
      depth: size('across it'),
      grade: oneOf(timberGrades),
      braces: Type.Integer({ minimum: 0, maximum: 6, description: 'rows of bracing along the line' }),
      ...standing(),
    }),
  ]),
  lateral: nullable(positive('N', 'what its bracing and lacing hold sideways')),
  pad: closed({ length: positive('m'), width: size(), allowable: nullable(positive('Pa')) }),
  packedOn: text('when the dry pack was put in, as a date'),
  struckOn: text('when it is to be struck, as a date'),
  tag: tag(),
  standsOn: standsOn(),
});

const bentSchema = closed({
  id: id(),
  unsaid: unsaid(),
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
  cap: size('length of header that bears on a post'),
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
  pad: closed({ length: positive('m'), width: size(), allowable: nullable(positive('Pa')) }),
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
  girder: nullable(closed({ weight: positive('N', 'on this bent and the next together'), length: positive('m'), depth: size(), bearingWidth: positive('m') })),
  tieDown: nullable(nonNegative('N', 'what holds the girder down on one side')),
  tag: tag(),
  standsOn: standsOn(),
});

/** What shores are built of, as it stands on a cut list and in the yard. */
export const partKinds = ['stud', 'plate', 'header', 'board', 'screw', 'prop', 'post', 'needle', 'pad', 'jack'] as const;

/** One line that is opened: what rests on it, what holds it meanwhile, and the order in which it is let go. */
const shoredLineSchema = closed({
  id: id(),
  name: text(),
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
});

/** The lines that are opened, the bents, and what there is to build them of. */
export const shoringSchema = closed({
  lines: Type.Array(shoredLineSchema, { maxItems: 60 }),
  bents: Type.Array(bentSchema, { maxItems: 40 }),
  stock: Type.Array(
    closed({
      id: id(),
      unsaid: unsaid(),
      what: oneOf(partKinds),
      size: text(),
      length: nullable(positive('m', 'null: it has none that matters')),
      count: Type.Integer({ minimum: 0 }),
    }),
    { maxItems: 120 },
  ),
});

/** A line of which nobody has said anything yet. */
export const newLine = (id: string, name: string): Static<typeof shoredLineSchema> => ({
  id,
  name,
  opening: null,
  storeys: [],
  walls: [],
  rows: [],
  strike: [],
  preload: 0,
  watch: [],
  room: null,
});

/** A storey of which nobody has said anything yet, over those a line has. */
export const newStorey = (id: string, over: number, american: boolean): Static<typeof storeySchema> => ({
  id,
  name: over === 0 ? 'Storey of the opening' : `Storey ${over + 1}`,
  bears: over === 0 ? 'wall' : null,
  wall: null,
  height: null,
  left: { span: null, dead: null, live: null },
  right: { span: null, dead: null, live: null },
  joists: { spacing: null, width: null, depth: null, grade: american ? 'SPF No.2' : 'C24', over: 'broken', plies: 1, doubled: [] },
});
