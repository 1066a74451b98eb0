import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, nonNegative, place, positive, real, size, text } from './fields';

export const openingSchema = closed({
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

export const patternSchema = closed({
  id: id(),
  name: text(),
  bearing: id(),
  bolt: size('diameter'),
  hole: size('in the plate'),
  bolts: Type.Array(closed({ id: id(), drawn: place(), cast: closed({ x: nullable(real('m')), y: nullable(real('m')) }) }), { minItems: 2, maxItems: 64 }),
  by: text('who surveyed'),
  on: text('when, as a date'),
});

/** One place where two drawings, or a drawing and the site, do not agree; settled by a named person or not. */
export const overlaySchema = closed({
  id: id(),
  what: text('what does not fit'),
  between: text('which drawings, or drawing and site'),
  settled: text('what was agreed'),
  by: text(),
  on: text('when, as a date'),
});

/** An opening of which nobody has said anything yet. */
export const newOpening = (id: string, left: string, right: string): Static<typeof openingSchema> => ({
  id,
  name: 'Opening',
  left,
  right,
  member: null,
  clear: { drawn: null, measured: null },
  bearing: { left: 0.15, right: 0.15 },
  clearance: null,
  bay: { width: null, height: null },
  lineLoad: null,
  finish: { top: null, layers: [], meets: null },
  skewDeg: null,
  air: { measuring: null, setting: null },
  choice: { candidates: [], live: null, unbraced: null, ceiling: null, headLeast: null },
  by: '',
  on: '',
});
