import { closed, nonNegative, nullable, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

const rad = Math.PI / 180;

/**
 * A straight piece through an opening in a wall of some thickness, or between two props: turned on plan by `yawDeg`, tipped in
 * height by `tiltDeg`. What is left each way is the opening seen along the piece less the piece. Beyond the opening it needs
 * a straight run as long as itself.
 */
export const accessOpening = defineCalc({
  id: 'access.opening',
  title: 'Piece through an opening or between props',
  input: closed({
    width: positive('m', 'clear width of the opening'),
    height: positive('m', 'clear height of the opening'),
    thickness: nonNegative('m', 'of the wall or the props, along the way'),
    pieceWidth: positive('m'),
    pieceDepth: positive('m'),
    yawDeg: real('deg', { minimum: 0, exclusiveMaximum: 90 }),
    tiltDeg: real('deg', { minimum: 0, exclusiveMaximum: 90 }),
    runBeyond: nullable(positive('m', 'straight run beyond it; null: no end to it')),
  }),
  output: closed({
    spareWidth: real('m'),
    spareHeight: real('m'),
    mostYawDeg: nonNegative('deg', 'at which it still goes through'),
    mostTiltDeg: nonNegative('deg'),
    longest: nullable(nonNegative('m', 'null: its length does not matter here')),
  }),
  source: { basis: 'geometry', text: 'Slot of a given thickness seen at an angle: opening·cos − thickness·sin − piece' },
  compute(i) {
    const spare = (gap: number, piece: number, deg: number) => gap * Math.cos(deg * rad) - i.thickness * Math.sin(deg * rad) - piece;
    const most = (gap: number, piece: number) => {
      if (spare(gap, piece, 0) < 0) return 0;
      let low = 0;
      let high = 90;
      for (let n = 0; n < 60; n += 1) {
        const at = (low + high) / 2;
        if (spare(gap, piece, at) >= 0) low = at;
        else high = at;
      }
      return low;
    };
    const spareWidth = spare(i.width, i.pieceWidth, i.yawDeg);
    const spareHeight = spare(i.height, i.pieceDepth, i.tiltDeg);
    const passes = spareWidth >= 0 && spareHeight >= 0;
    return {
      spareWidth,
      spareHeight,
      mostYawDeg: most(i.width, i.pieceWidth),
      mostTiltDeg: most(i.height, i.pieceDepth),
      longest: passes ? (i.runBeyond === null ? null : i.runBeyond / Math.cos(i.tiltDeg * rad)) : 0,
    };
  },
  work: (i, o) => [
    {
      label: 'Spare in width',
      formula: 'w·cos ψ − t·sin ψ − piece',
      numbers: phrase`${q(i.width, 'length')} at ${q(i.yawDeg, 'angle')}, ${q(i.thickness, 'dimension')} thick`,
      result: q(o.spareWidth, 'dimension'),
    },
    {
      label: 'Spare in height',
      formula: 'h·cos θ − t·sin θ − piece',
      numbers: phrase`${q(i.height, 'length')} at ${q(i.tiltDeg, 'angle')}`,
      result: q(o.spareHeight, 'dimension'),
    },
    { label: 'Most it may be turned on plan', result: q(o.mostYawDeg, 'angle') },
    { label: 'Most it may be tipped', result: q(o.mostTiltDeg, 'angle') },
    { label: 'Longest piece', result: o.longest === null ? 'any length' : q(o.longest, 'length') },
  ],
});
