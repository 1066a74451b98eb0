import { Type } from 'typebox';
import { closed, nullable, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { findSection, nearestSections } from './sections';

/** Properties of a listed section. `massPerLength` is the table's nominal mass; `null` where the table has none. */
export const steelSection = defineCalc({
  id: 'steel.section',
  title: 'Section properties from the table',
  input: closed({ designation: Type.String({ minLength: 1, description: 'as people write it: W10x88, UB 254x146x37, HE 200 A' }) }),
  output: closed({
    designation: Type.String(),
    family: Type.String(),
    massPerLength: positive('kg/m'),
    area: positive('m2'),
    depth: positive('m'),
    width: positive('m'),
    flange: positive('m'),
    web: positive('m'),
    k: nullable(real('m')),
    iStrong: positive('m4'),
    iWeak: positive('m4'),
    sStrong: nullable(real('m3')),
    zStrong: nullable(real('m3')),
    rStrong: nullable(real('m')),
    rWeak: nullable(real('m')),
    torsion: nullable(real('m4')),
    warping: nullable(real('m6')),
    basis: Type.String(),
  }),
  source: { basis: 'memory', text: 'AISC Manual Part 1 and EN 10365 / BS 4-1 tables, from memory, cross-checked; confirm against the current table' },
  compute({ designation }) {
    const row = findSection(designation);
    if (row) return row;
    const near = nearestSections(designation);
    return refuse(
      'designation',
      `“${designation}” is not in the section tables${near.length ? `: nearest are ${near.join(', ')}` : '; give its dimensions as a plate girder or a plain weight'}.`,
    );
  },
  work: (_, s) => [
    { label: `Mass of ${s.designation}`, formula: 'nominal mass of the table', result: q(s.massPerLength, 'massPerLength') },
    { label: 'Depth and width', numbers: phrase`${q(s.depth, 'dimension')} × ${q(s.width, 'dimension')}`, result: s.basis },
    ...(
      [
        ['Area', s.area, 'area'],
        ['Flange thickness', s.flange, 'dimension'],
        ['Web thickness', s.web, 'dimension'],
        ['Outside of the flange to the end of the fillet', s.k, 'dimension'],
        ['Strong-axis inertia', s.iStrong, 'inertia'],
        ['Weak-axis inertia', s.iWeak, 'inertia'],
        ['Strong-axis elastic modulus', s.sStrong, 'sectionModulus'],
        ['Strong-axis plastic modulus', s.zStrong, 'sectionModulus'],
        ['Strong-axis radius of gyration', s.rStrong, 'dimension'],
        ['Weak-axis radius of gyration', s.rWeak, 'dimension'],
        ['Torsion constant', s.torsion, 'inertia'],
        ['Warping constant', s.warping, 'warping'],
      ] as const
    ).map(([label, value, kind]) => ({ label, result: value === null ? 'not in the table' : q(value, kind) })),
  ],
});
