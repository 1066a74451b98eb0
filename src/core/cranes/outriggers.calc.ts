import { Type } from 'typebox';
import { closed, nonNegative, nullable, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

const fixed = closed({ weight: nonNegative('N'), x: real('m', { description: 'forward of the slew centre' }), y: real('m', { description: 'to the left' }) });
const slewing = closed({ weight: nonNegative('N'), r: real('m', { description: 'along the boom, negative behind' }) });
const corners = closed({ frontLeft: nonNegative('N'), frontRight: nonNegative('N'), rearLeft: nonNegative('N'), rearRight: nonNegative('N') });

type Corner = 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight';
const place: Record<Corner, readonly [number, number]> = { frontLeft: [1, 1], frontRight: [1, -1], rearLeft: [-1, 1], rearRight: [-1, -1] };
const opposite: Record<Corner, Corner> = { frontLeft: 'rearRight', frontRight: 'rearLeft', rearLeft: 'frontRight', rearRight: 'frontLeft' };
const names = Object.keys(place) as Corner[];

/**
 * A rigid base on four corners: V/4 ± Mx/2a ± My/2b. When one corner would lift, the other three carry by statics;
 * when three cannot, the crane tips and no reaction is given.
 */
export const craneOutriggers = defineCalc({
  id: 'crane.outriggers',
  title: 'Load under each outrigger',
  input: closed({
    baseLength: positive('m', 'front to rear'),
    baseWidth: positive('m', 'left to right'),
    parts: Type.Array(Type.Union([fixed, slewing]), { minItems: 1 }),
    azimuthDeg: real('deg', { description: '0 over the front, positive to the left' }),
  }),
  output: closed({ reaction: nullable(corners), tips: Type.Boolean() }),
  source: { basis: 'statics', text: 'Rigid base on four corners, V/4 ± M/2a ± M/2b; three corners when one would lift' },
  compute({ baseLength, baseWidth, parts, azimuthDeg }) {
    const azimuth = (azimuthDeg * Math.PI) / 180;
    let v = 0;
    let mx = 0;
    let my = 0;
    for (const part of parts) {
      const [x, y] = 'r' in part ? [part.r * Math.cos(azimuth), part.r * Math.sin(azimuth)] : [part.x, part.y];
      v += part.weight;
      mx += part.weight * x;
      my += part.weight * y;
    }
    const long = mx / (2 * baseLength);
    const wide = my / (2 * baseWidth);
    const slack = 1e-9 * v;
    const reaction = Object.fromEntries(names.map((name) => [name, v / 4 + place[name][0] * long + place[name][1] * wide])) as Record<Corner, number>;
    const lifting = names.filter((name) => reaction[name] < -slack);
    if (lifting.length > 1) return { reaction: null, tips: true };
    const lifted = lifting[0];
    if (lifted) {
      const pull = reaction[lifted];
      for (const name of names) reaction[name] += name === lifted || name === opposite[lifted] ? -pull : pull;
    }
    if (names.some((name) => reaction[name] < -slack)) return { reaction: null, tips: true };
    for (const name of names) reaction[name] = Math.max(0, reaction[name]);
    return { reaction, tips: false };
  },
  work: (i, o) => [
    {
      label: 'All weights',
      formula: 'V = Σ W',
      result: q(
        i.parts.reduce((sum, part) => sum + part.weight, 0),
        'force',
      ),
    },
    { label: 'Boom stands', formula: '0° over the front, + to the left', result: q(i.azimuthDeg, 'angle') },
    ...(o.reaction
      ? names.map((name) => ({
          label: cornerName[name],
          formula: 'V/4 ± Mx/2a ± My/2b',
          numbers: phrase`a = ${q(i.baseLength, 'length')}, b = ${q(i.baseWidth, 'length')}`,
          result: q(o.reaction![name], 'force'),
        }))
      : [{ label: 'Base', result: 'three corners cannot hold it: the crane tips' }]),
  ],
});

export const cornerName: Record<Corner, string> = { frontLeft: 'Front left', frontRight: 'Front right', rearLeft: 'Rear left', rearRight: 'Rear right' };
