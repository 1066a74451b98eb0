import { attempt } from '../calc/attempt';
import type { Rules } from '../rules/rule-sets';
import { yieldOf } from '../steel/grades';
import { plateGirder } from '../steel/plate-girder.calc';
import type { SectionRow } from '../steel/section-row';
import { GIVEN, isGiven, UNEVEN, WELDED } from './section-strength';
import { findSection } from '../steel/sections';
import { GRAVITY } from '../units';
import { keep } from '../document/keep';
import { Missing } from '../verdict/missing';
import { STRONGEST } from '../document/reckoned-yield';
import type { Beam, Make, Plan } from '../document/schema';
import { placeOf, type Placed } from '../document/place';

/** A piece as it is reckoned with: what it is, where it is to be, what it weighs at the most and at the least. */
export interface SettledBeam {
  beam: Beam;
  make: Make;
  section: SectionRow | Missing;
  fy: number;
  /** null: listed, not placed */
  place: Placed | null;
  /** along the bare steel [N/m], and what hangs on it [N] */
  heavy: Load | Missing;
  light: Load | Missing;
}
export interface Load {
  perLength: number;
  points: { x: number; force: number }[];
  total: number;
}

/** Three plates as a row of the section table: the flanges alike, or no answer where the formulas want them alike. */
function girderRow(make: Extract<Make['made'], { kind: 'girder' }>, mark: string): SectionRow | Missing {
  const { kind: _, ...plates } = make;
  const outcome = attempt(plateGirder, plates);
  if (!outcome.ok) return new Missing(outcome.error);
  const { webDepth, web, topFlange, bottomFlange } = make;
  const { area, massPerLength, centroid, iStrong, iWeak, torsion } = outcome.output;
  const depth = webDepth + topFlange.thickness + bottomFlange.thickness;
  const even = Math.abs(topFlange.width - bottomFlange.width) < 1e-6 && Math.abs(topFlange.thickness - bottomFlange.thickness) < 1e-6;
  const sStrong = iStrong / Math.max(centroid, depth - centroid);
  const plastic = topFlange.width * topFlange.thickness * (webDepth + topFlange.thickness) + (web * webDepth ** 2) / 4;
  return {
    designation: `girder of ${mark}`,
    // Doubly symmetric: the formulas of an I hold for it, on the curves of a welded one; otherwise the elastic moment only.
    family: even ? WELDED : UNEVEN,
    massPerLength,
    area,
    depth,
    width: Math.min(topFlange.width, bottomFlange.width),
    flange: Math.min(topFlange.thickness, bottomFlange.thickness),
    web,
    k: topFlange.thickness,
    iStrong,
    iWeak,
    sStrong,
    zStrong: even ? plastic : null,
    rStrong: Math.sqrt(iStrong / area),
    rWeak: Math.sqrt(iWeak / area),
    torsion,
    warping: even ? (iWeak * (depth - topFlange.thickness) ** 2) / 4 : null,
    basis: 'plates',
  };
}

/** What a make is made of, as a row of the section tables. */
export function sectionOf({ made, mark }: Make): SectionRow | Missing {
  if (made.kind === 'section') return findSection(made.section) ?? new Missing(`“${made.section}” is not in the section tables. What is ${mark} made of?`);
  if (made.kind === 'girder') return girderRow(made, mark);
  return givenRow(made, mark);
}

/** What is said of a thing that is no section: its outline, and how stiff it is along. It is taken as rigid: two supports share it by statics. */
function givenRow({ what, depth = null, width = null, chords = null }: Extract<Make['made'], { kind: 'plain' }>, mark: string): SectionRow | Missing {
  const name = what.trim() || mark;
  if (depth === null || width === null) return new Missing(`How deep and how wide is ${mark} (${name}), outside to outside?`);
  return {
    designation: name,
    family: GIVEN,
    massPerLength: 0,
    area: chords ?? NaN,
    depth,
    width,
    flange: 0,
    web: 0,
    k: null,
    iStrong: RIGID,
    iWeak: 0,
    sStrong: null,
    zStrong: null,
    rStrong: null,
    rWeak: null,
    torsion: null,
    warping: null,
    basis: 'plates',
  };
}
/** Of a thing that is taken as rigid [m⁴]. */
const RIGID = 1;

/** Where a thing that is no section balances, from its first end; undefined: it is one, and its weight runs along it. */
export const balanceSaid = ({ made }: Make): number | null | undefined => (made.kind === 'plain' ? (made.balance ?? null) : undefined);

/** The heaviest and the lightest figure anybody gives for the bare steel, with and without the allowance. */
function loadsOf(beam: Beam, make: Make, section: SectionRow | Missing, rules: Rules): { heavy: Load | Missing; light: Load | Missing } {
  const said = [ownMass(section, make), make.mass, beam.weighed].filter((one): one is number => one !== null);
  if (said.length === 0) {
    const asked = new Missing(`What does ${beam.mark} weigh?`);
    return { heavy: asked, light: asked };
  }
  const balance = balanceSaid(make);
  if (balance === null) {
    const asked = new Missing(`Where does ${beam.mark} balance, from its first end?`);
    return { heavy: asked, light: asked };
  }
  const load = (bare: number, allowance: number): Load => {
    const points = make.attachments.map(({ at, mass }) => ({ x: at, force: mass * GRAVITY * (1 + allowance) }));
    const spread = bare * GRAVITY * (1 + allowance);
    if (balance !== undefined) {
      points.push({ x: balance, force: spread });
      return { perLength: 0, points, total: points.reduce((sum, one) => sum + one.force, 0) };
    }
    return { perLength: spread / make.length, points, total: spread + points.reduce((sum, one) => sum + one.force, 0) };
  };
  return { heavy: load(Math.max(...said), make.allowance ?? rules.value('weightAllowance')), light: load(Math.min(...said), 0) };
}

/** What a section of so much a metre comes to over a length; a thing that is no section has nothing of its own. */
const ownMass = (section: SectionRow | Missing, { length }: Make): number | null =>
  section instanceof Missing || isGiven(section) ? null : section.massPerLength * length;

/** Everything that was said of the bare steel of a piece [kg]. */
export const weightsSaid = ({ beam, make, section }: SettledBeam): { by: string; mass: number }[] => [
  ...[ownMass(section, make)].flatMap((mass) => (mass === null ? [] : [{ by: 'its section', mass }])),
  ...(make.mass === null ? [] : [{ by: 'the drawing', mass: make.mass }]),
  ...(beam.weighed === null ? [] : [{ by: 'the scale', mass: beam.weighed }]),
];

/** The thickest part of a make: its grade yields at less there [m]. */
export function thickestOf({ made }: Make): number {
  switch (made.kind) {
    case 'girder':
      return Math.max(made.web, made.topFlange.thickness, made.bottomFlange.thickness);
    case 'section': {
      const section = findSection(made.section);
      return section ? Math.max(section.flange, section.web) : 0;
    }
    case 'plain':
      return 0;
  }
}

/** The lesser of what is said and what the grade yields at in its thickest part; NaN where nobody says and the grade is not known. */
export function yieldOfMake(make: Make): number {
  const known = yieldOf(make.grade, thickestOf(make));
  return Math.min(make.yield ?? known ?? NaN, known ?? STRONGEST);
}

function settleBeam(beam: Beam, make: Make, section: SectionRow | Missing, rules: Rules): SettledBeam {
  const place = placeOf(beam);
  // How a thing that is no section sways as a column is not known.
  const stands =
    place?.upright && !(section instanceof Missing) && isGiven(section)
      ? new Missing(`${beam.mark} stands upright and is no section: how it sways is not worked out here. Who has checked it?`)
      : section;
  return { beam, make, section: stands, fy: yieldOfMake(make), place, ...loadsOf(beam, make, section, rules) };
}

/** Every piece of the structure, by its id. Makes are worked out once each. */
export function settleBeams({ structure }: Plan, rules: Rules): Map<string, SettledBeam> {
  const makes = new Map(structure.makes.map((make) => [make.id, { make, section: keep('make.section', make, [], () => sectionOf(make)) }]));
  return new Map(
    structure.pieces.map((beam): [string, SettledBeam] => {
      const { make, section } = makes.get(beam.make)!;
      return [beam.id, keep('beam.settled', beam, [make, rules], () => settleBeam(beam, make, section, rules))];
    }),
  );
}
