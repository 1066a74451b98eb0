import { Type } from 'typebox';
import { defineCalc, refuse } from '../calc/define';
import { closed, nonNegative, nullable, positive, real } from '../calc/fields';
import { phrase, q } from '../calc/work';

const DEG = 180 / Math.PI;

/** How deep, how far over and how stiffly a box barge floats under what stands on it. */
export const floatBarge = defineCalc({
  id: 'float.barge',
  title: 'A box barge under its loads',
  input: closed({
    length: positive('m'),
    beam: positive('m'),
    depth: positive('m'),
    lightMass: positive('kg', 'of the barge itself, its middle amidships on the centreline', { maximum: 1e9 }),
    lightZ: nonNegative('m', 'balance point of the barge itself over the keel'),
    loads: Type.Array(
      closed({
        mass: nonNegative('kg'),
        x: real('m', { description: 'from amidships' }),
        y: real('m', { description: 'from the centreline' }),
        z: nonNegative('m', 'over the keel'),
      }),
      { maxItems: 2000 },
    ),
    waterDensity: Type.Number({ unit: 'kg/m3', minimum: 900, maximum: 1300, description: '1000 in a river, some 1025 at sea' }),
  }),
  output: closed({
    draught: nonNegative('m'),
    gm: real('m', { description: 'of heel; at or under 0 the barge does not stay upright' }),
    heelDeg: nullable(real('deg', { description: 'positive: the side of positive y is down' })),
    trimDeg: nullable(real('deg', { description: 'positive: the end of positive x is down' })),
    freeboard: nullable(real('m', { description: 'at the lowest corner of the deck; under 0: it is under water' })),
  }),
  source: { basis: 'statics', text: 'Archimedes; GM = KB + I/V − KG; small angles' },
  compute({ length, beam, depth, lightMass, lightZ, loads, waterDensity }) {
    const mass = loads.reduce((sum, load) => sum + load.mass, lightMass);
    const draught = mass / (waterDensity * length * beam);
    if (draught > depth)
      refuse(
        'depth',
        `It sinks: ${Math.round(mass)} kg want a draught of ${draught.toFixed(2)} m, and the barge is ${depth} m deep. Take a larger barge, or load it with less.`,
      );
    const moment = (of: (load: (typeof loads)[number]) => number) => loads.reduce((sum, load) => sum + load.mass * of(load), 0) / mass;
    const up = draught / 2 - (lightMass * lightZ) / mass - moment(({ z }) => z);
    const gm = up + beam ** 2 / (12 * draught);
    const gmAlong = up + length ** 2 / (12 * draught);
    const heel = gm > 0 ? Math.atan(moment(({ y }) => y) / gm) : null;
    const trim = gmAlong > 0 ? Math.atan(moment(({ x }) => x) / gmAlong) : null;
    return {
      draught,
      gm,
      heelDeg: heel === null ? null : heel * DEG,
      trimDeg: trim === null ? null : trim * DEG,
      freeboard: heel === null || trim === null ? null : depth - draught - (length / 2) * Math.abs(Math.tan(trim)) - (beam / 2) * Math.abs(Math.tan(heel)),
    };
  },
  work: (i, o) => {
    const mass = i.loads.reduce((sum, load) => sum + load.mass, i.lightMass);
    return [
      { label: 'Barge and loads', formula: 'Σ m', result: q(mass, 'mass') },
      {
        label: 'Draught',
        formula: 'Σ m / (ρ·L·B)',
        numbers: phrase`${q(mass, 'mass')} / (${String(i.waterDensity)} kg/m³ × ${q(i.length, 'length')} × ${q(i.beam, 'length')})`,
        result: q(o.draught, 'length'),
      },
      { label: 'Metacentric height, heel', formula: 'T/2 + B²/(12·T) − KG', result: q(o.gm, 'length') },
      { label: 'Heel', formula: 'atan(Σ m·y / (Σ m·GM))', result: o.heelDeg === null ? 'it does not stay upright' : q(o.heelDeg, 'angle') },
      { label: 'Trim', formula: 'atan(Σ m·x / (Σ m·GM along))', result: o.trimDeg === null ? 'it does not stay level' : q(o.trimDeg, 'angle') },
      {
        label: 'Freeboard at the lowest corner',
        formula: 'D − T − L/2·|tan trim| − B/2·|tan heel|',
        result: o.freeboard === null ? 'none' : q(o.freeboard, 'length'),
      },
    ];
  },
});
