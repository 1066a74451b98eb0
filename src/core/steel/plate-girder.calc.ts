import { closed, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Density of structural steel [kg/m³] (EN 1991-1-1 Table A.4 gives 77 to 78.5 kN/m³). */
export const STEEL_DENSITY = 7850;

const plate = () => closed({ width: positive('m'), thickness: positive('m') });

/** Three plates: web between two flanges. Centroid from the bottom; torsion Σ b·t³/3; fillets and welds left out. */
export const plateGirder = defineCalc({
  id: 'steel.plateGirder',
  title: 'Plate girder from its plates',
  input: closed({ webDepth: positive('m', 'between the flanges'), web: positive('m'), topFlange: plate(), bottomFlange: plate() }),
  output: closed({
    area: positive('m2'),
    massPerLength: positive('kg/m'),
    centroid: positive('m', 'from the bottom'),
    iStrong: positive('m4'),
    iWeak: positive('m4'),
    torsion: positive('m4'),
  }),
  source: { basis: 'geometry', text: 'Plate geometry; steel 7850 kg/m³; torsion Σ b·t³/3' },
  compute({ webDepth, web, topFlange: top, bottomFlange: bottom }) {
    for (const [name, flange] of [
      ['topFlange', top],
      ['bottomFlange', bottom],
    ] as const)
      if (flange.width < web) refuse(`${name}.width`, `A flange ${flange.width} m wide is narrower than the web of ${web} m: check which is which.`);
    const depth = bottom.thickness + webDepth + top.thickness;
    const plates = [
      { b: bottom.width, h: bottom.thickness, y: bottom.thickness / 2 },
      { b: web, h: webDepth, y: bottom.thickness + webDepth / 2 },
      { b: top.width, h: top.thickness, y: depth - top.thickness / 2 },
    ];
    const area = plates.reduce((sum, p) => sum + p.b * p.h, 0);
    const centroid = plates.reduce((sum, p) => sum + p.b * p.h * p.y, 0) / area;
    const iStrong = plates.reduce((sum, p) => sum + (p.b * p.h ** 3) / 12 + p.b * p.h * (p.y - centroid) ** 2, 0);
    const iWeak = plates.reduce((sum, p) => sum + (p.h * p.b ** 3) / 12, 0);
    const torsion = plates.reduce((sum, p) => sum + (Math.max(p.b, p.h) * Math.min(p.b, p.h) ** 3) / 3, 0);
    return { area, massPerLength: area * STEEL_DENSITY, centroid, iStrong, iWeak, torsion };
  },
  work: (_, o) => [
    { label: 'Area of the three plates', formula: 'A = Σ b·t', result: q(o.area, 'area') },
    { label: 'Mass', formula: 'm = 7850·A', numbers: phrase`7850 × ${q(o.area, 'area')}`, result: q(o.massPerLength, 'massPerLength') },
    { label: 'Centroid from the bottom', formula: 'ȳ = Σ A·y / Σ A', result: q(o.centroid, 'dimension') },
    { label: 'Strong-axis inertia', formula: 'I = Σ (b·h³/12 + A·(y − ȳ)²)', result: q(o.iStrong, 'inertia') },
    { label: 'Weak-axis inertia', formula: 'I = Σ t·b³/12', result: q(o.iWeak, 'inertia') },
    { label: 'Torsion constant', formula: 'J = Σ b·t³/3', result: q(o.torsion, 'inertia') },
  ],
});
