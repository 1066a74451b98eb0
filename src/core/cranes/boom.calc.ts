import { Type } from 'typebox';
import { closed, nonNegative, point, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { belowBoom, boomLine } from './boom-geometry';

/** Boom angle, tip height, and how far a point stands from the boom centreline (square to it, positive below). */
export const craneBoom = defineCalc({
  id: 'crane.boom',
  title: 'Boom angle, tip height and clearance',
  input: closed({
    pivotBack: real('m', { description: 'foot pin behind the slew centre' }),
    pivotHeight: nonNegative('m', undefined, { maximum: 50 }),
    boom: positive('m', undefined, { maximum: 300 }),
    radius: positive('m'),
    point: Type.Optional(point('x out from the slew centre, z above ground')),
  }),
  output: closed({ angleDeg: nonNegative('deg'), tipHeight: positive('m'), clearance: Type.Optional(real('m')) }),
  source: { basis: 'geometry', text: 'Plane geometry of a straight boom; boom deflection left out' },
  compute({ pivotBack, pivotHeight, boom, radius, point: at }) {
    const line = boomLine(pivotBack, pivotHeight, boom, radius);
    if (!line)
      refuse(
        'boom',
        `A ${boom} m boom cannot reach a radius of ${radius} m from a foot pin ${pivotBack} m behind the slew centre: lengthen it or come nearer.`,
      );
    const shared = { angleDeg: (line.angleRad * 180) / Math.PI, tipHeight: line.tipHeight };
    return at ? { ...shared, clearance: belowBoom(line, at) } : shared;
  },
  work: (i, o) => [
    {
      label: 'Boom angle',
      formula: 'cos α = (R + b)/L',
      numbers: phrase`(${q(i.radius, 'length')} + ${q(i.pivotBack, 'length')}) / ${q(i.boom, 'length')}`,
      result: q(o.angleDeg, 'angle'),
    },
    {
      label: 'Boom tip above ground',
      formula: 'z = h + L·sin α',
      numbers: phrase`${q(i.pivotHeight, 'length')} + ${q(i.boom, 'length')} × sin ${q(o.angleDeg, 'angle')}`,
      result: q(o.tipHeight, 'length'),
    },
    ...(i.point && o.clearance !== undefined
      ? [
          {
            label: 'Point to boom centreline',
            formula: 'c = (x + b)·sin α − (z − h)·cos α',
            numbers: phrase`point ${q(i.point.x, 'length')} out, ${q(i.point.z, 'length')} up`,
            result: q(o.clearance, 'length'),
          },
        ]
      : []),
  ],
});
