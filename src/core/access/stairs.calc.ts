import { Type } from 'typebox';
import { closed, nonNegative, positive, nullable, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { accessCorner } from './corner.calc';

/**
 * Longest piece that goes up a flight. It lies along the pitch: as deep as the head room, as wide as the flight. Where the
 * flight turns it goes round the landing like a corner of flight width and landing depth, carried level: standing it up to
 * gain length is left out, and so is a rail that could come off.
 */
export const accessStairs = defineCalc({
  id: 'access.stairs',
  title: 'Longest piece up the stairs',
  input: closed({
    width: positive('m'),
    landing: nullable(positive('m')),
    headRoom: positive('m', 'square to the pitch'),
    pitchDeg: real('deg', { minimum: 0, exclusiveMaximum: 60 }),
    turns: Type.Boolean(),
    pieceWidth: nonNegative('m'),
    pieceDepth: nonNegative('m'),
  }),
  output: closed({ longest: nullable(positive('m', 'null: the flight sets no limit')) }),
  source: { basis: 'geometry', text: 'Piece along the pitch, turned level on the landing as round a corner (access.corner)' },
  compute(i) {
    if (!(i.pieceDepth < i.headRoom))
      refuse('pieceDepth', `A piece ${i.pieceDepth} m deep does not go under ${i.headRoom} m of head room: turn it on its side.`);
    if (!(i.pieceWidth < i.width)) refuse('pieceWidth', `A piece ${i.pieceWidth} m wide does not go up a flight ${i.width} m wide: turn it on edge.`);
    if (!i.turns) return { longest: null };
    if (i.landing === null) refuse('landing', 'How deep is the landing? The piece turns there.');
    return accessCorner.compute({ corridorA: i.width, corridorB: i.landing, width: i.pieceWidth });
  },
  work: (i, o) => [
    { label: 'Head room left', formula: 'head room − depth', result: q(i.headRoom - i.pieceDepth, 'dimension') },
    o.longest === null
      ? { label: 'Longest piece', result: 'no limit: the flight goes straight' }
      : {
          label: 'Longest round the landing',
          formula: 'min over θ of (a·cos θ + b·sin θ − w)/(sin θ·cos θ)',
          numbers: phrase`a = ${q(i.width, 'length')}, b = ${q(i.landing ?? 0, 'length')}, w = ${q(i.pieceWidth, 'dimension')}`,
          result: q(o.longest, 'length'),
        },
  ],
});
