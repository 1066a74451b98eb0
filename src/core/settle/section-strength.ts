import type { Trace } from '../calc/evidence';
import type { Rules } from '../rules/rule-sets';
import type { SectionRow } from '../steel/section-row';
import { OMEGA_FLEXURE, flexureAisc } from '../strength/flexure-aisc.calc';
import { flexureEn } from '../strength/flexure-en.calc';
import { pressedArea } from '../strength/pressed.calc';
import { localEn } from '../strength/local-en.calc';
import { localAisc } from '../strength/local-aisc.calc';
import { columnAisc } from '../strength/column-aisc.calc';
import { columnEn } from '../strength/column-en.calc';
import { shearAisc } from '../strength/shear-aisc.calc';
import { shearEn } from '../strength/shear-en.calc';
import { webAisc } from '../strength/web-aisc.calc';
import { webEn } from '../strength/web-en.calc';
import { Missing } from '../verdict/missing';
import { traced } from '../verdict/build';

/** Three plates welded to an I with flanges alike. */
export const WELDED = 'WG';
/** The same with flanges that differ. */
export const UNEVEN = 'PG';
/** What is no section: as deep and as wide as somebody says, and of no strength that is worked out here. */
export const GIVEN = 'given';
export const isGiven = ({ family }: SectionRow): boolean => family === GIVEN;
const notWorkedOut = ({ designation }: SectionRow): Missing => new Missing(`The strength of ${designation} is not worked out here. Who has checked it?`);
const openI = new Set(['W', 'UB', 'UC', 'IPE', 'HEA', 'HEB', 'HEM', WELDED]);

/** Doubly symmetric I-shapes, rolled or welded, for which the buckling formulas hold. */
export const isOpenI = (section: SectionRow): boolean => openI.has(section.family);

/** EN 1993-1-1 Table 6.4: welded I-sections have lower curves than rolled ones. */
export function ltbCurve({ depth, width, family }: SectionRow): 'a' | 'b' | 'c' | 'd' {
  const slim = depth / width > 2;
  return family === WELDED ? (slim ? 'd' : 'c') : slim ? 'b' : 'a';
}

/** What of an I-shape counts in bending by its class; in the other school its local slenderness caps the plastic moment. */
export function plasticMoment(section: SectionRow, fy: number, rules: Rules): { moment: number; modulus: number; traces: Trace[] } | Missing {
  const { depth, width, flange, web, k, sStrong, zStrong } = section;
  if (sStrong === null || zStrong === null) return new Missing(`The table has no section modulus for ${section.designation}.`);
  if (rules.id === 'us-asd') {
    const { outcome, traces } = localOf(section, fy, rules, zStrong, sStrong);
    return outcome.ok ? { moment: outcome.output.nominal, modulus: outcome.output.nominal / fy, traces } : new Missing(outcome.error);
  }
  const root = k === null ? 0 : Math.max(0, k - flange);
  const { outcome, traces } = traced(localEn, { yield: fy, depth, width, flange, web, root, wPlastic: zStrong, wElastic: sStrong });
  if (!outcome.ok) return new Missing(`${section.designation}: ${outcome.error}`);
  return { moment: outcome.output.modulus * fy, modulus: outcome.output.modulus, traces };
}

const localOf = ({ width, flange, web, depth, k, family }: SectionRow, fy: number, rules: Rules, zStrong: number, sStrong: number) =>
  traced(localAisc, {
    yield: fy,
    modulus: rules.steel.modulus,
    zStrong,
    sStrong,
    width,
    flange,
    web,
    clearWeb: depth - 2 * (k ?? flange),
    builtUp: family === WELDED,
  });

/**
 * Strong-axis bending strength by the rule set. `unbraced` null: no sideways buckling counted (it is checked apart).
 * Channels and tubes get the elastic moment only, and no answer where sideways buckling counts.
 */
export function bendingCapacity(
  section: SectionRow,
  fy: number,
  rules: Rules,
  unbraced: { length: number; factor: number } | null,
): { capacity: number; traces: Trace[] } | Missing {
  const { modulus, shearModulus } = rules.steel;
  const { sStrong, zStrong } = section;
  if (isGiven(section)) return notWorkedOut(section);
  if (sStrong === null) return new Missing(`The table has no section modulus for ${section.designation}.`);
  const american = rules.id === 'us-asd';
  if (!isOpenI(section)) {
    if (unbraced && section.family !== 'HSS') return new Missing(`Sideways buckling of ${section.designation} is not worked out here. Who has checked it?`);
    return { capacity: (sStrong * fy) / (american ? OMEGA_FLEXURE : rules.value('gammaM1')), traces: [] };
  }
  const { torsion, warping, rWeak } = section;
  if (zStrong === null || torsion === null || warping === null || rWeak === null)
    return new Missing(`The table lacks buckling properties of ${section.designation}.`);
  const flangeCentres = section.depth - section.flange;
  if (!american) {
    const counts = plasticMoment(section, fy, rules);
    if (counts instanceof Missing) return counts;
    const input = {
      yield: fy,
      modulus,
      shearModulus,
      wPlastic: counts.modulus,
      iWeak: section.iWeak,
      torsion,
      warping,
      unbraced: unbraced?.length ?? 1e-3,
      c1: unbraced?.factor ?? 1,
      curve: ltbCurve(section),
      gammaM1: rules.value('gammaM1'),
    };
    const { outcome, traces } = traced(flexureEn, input);
    return outcome.ok ? { capacity: outcome.output.design, traces: [...traces, ...counts.traces] } : new Missing(outcome.error);
  }
  const local = localOf(section, fy, rules, zStrong, sStrong);
  const rts = Math.sqrt(Math.sqrt(section.iWeak * warping) / sStrong);
  const member = traced(flexureAisc, {
    yield: fy,
    modulus,
    zStrong,
    sStrong,
    torsion,
    rts,
    flangeCentres,
    rWeak,
    unbraced: unbraced?.length ?? 0,
    cb: unbraced?.factor ?? 1,
  });
  if (!local.outcome.ok || !member.outcome.ok) return new Missing(`The bending strength of ${section.designation} cannot be worked out.`);
  return { capacity: Math.min(local.outcome.output.allowable, member.outcome.output.allowable), traces: [...member.traces, ...local.traces] };
}

/** What the web carries over a bearing, by the rule set. */
export function webCapacity(
  section: SectionRow,
  fy: number,
  at: { length: number; past: number; atEnd: boolean },
  rules: Rules,
): { capacity: number; traces: Trace[] } | Missing {
  if (isGiven(section)) return notWorkedOut(section);
  if (section.family === 'HSS') return new Missing(`The side walls of ${section.designation} over a bearing are not worked out here. Who has checked them?`);
  const { depth, web, flange, width } = section;
  const { modulus } = rules.steel;
  if (rules.id === 'us-asd') {
    if (section.k === null) return new Missing(`The table has no fillet distance k for ${section.designation}. Read it off the current table.`);
    const run = traced(webAisc, { yield: fy, modulus, depth, web, flange, k: section.k, bearing: at.length, atEnd: at.atEnd });
    return run.outcome.ok ? { capacity: run.outcome.output.allowable, traces: run.traces } : new Missing(run.outcome.error);
  }
  const run = traced(webEn, { yield: fy, modulus, depth, web, width, flange, bearing: at.length, endDistance: at.past, gammaM1: rules.value('gammaM1') });
  return run.outcome.ok ? { capacity: run.outcome.output.design, traces: run.traces } : new Missing(run.outcome.error);
}

/** Strong-axis shear strength by the rule set. */
export function shearCapacity(section: SectionRow, fy: number, rules: Rules): { capacity: number; traces: Trace[] } | Missing {
  if (isGiven(section)) return notWorkedOut(section);
  const { depth, width, web, flange, area, family } = section;
  const box = family === 'HSS';
  if (rules.id === 'us-asd') {
    const clearWeb = depth - 2 * (section.k ?? flange);
    const run = traced(shearAisc, { yield: fy, modulus: rules.steel.modulus, depth, web, clearWeb, box });
    return run.outcome.ok ? { capacity: run.outcome.output.allowable, traces: run.traces } : new Missing(run.outcome.error);
  }
  if (box) return new Missing(`The shear resistance of a tube is not worked out in this rule set. Who has checked ${section.designation}?`);
  const run = traced(shearEn, { yield: fy, area, depth, width, web, flange, root: section.k === null ? 0 : Math.max(0, section.k - flange), gammaM0: 1 });
  return run.outcome.ok ? { capacity: run.outcome.output.design, traces: run.traces } : new Missing(run.outcome.error);
}

/** Flanges past these are of the next column of Table 6.2 [m]. */
const THICK = 0.04;
const VERY_THICK = 0.1;

/** Buckling curve about the weak axis, EN 1993-1-1 Table 6.2, up to S420; tubes are taken as formed cold. */
export function weakCurve({ family, depth, width, flange }: SectionRow): 'b' | 'c' | 'd' {
  if (!openI.has(family)) return 'c';
  if (family === WELDED) return flange > THICK ? 'd' : 'c';
  if (depth / width > 1.2) return flange > THICK ? 'c' : 'b';
  return flange > VERY_THICK ? 'd' : 'c';
}

/** What of a section counts when it is pressed; of other shapes than an I all of it, their walls being stocky in the tables. */
export function pressed(section: SectionRow, fy: number, rules: Rules): { area: number; traces: Trace[] } | Missing {
  if (isGiven(section)) return notWorkedOut(section);
  if (!isOpenI(section) && section.family !== UNEVEN) return { area: section.area, traces: [] };
  const { area, depth, width, flange, web, k, family } = section;
  const { outcome, traces } = traced(pressedArea, {
    rule: rules.id === 'us-asd' ? 'aisc' : 'en',
    yield: fy,
    modulus: rules.steel.modulus,
    area,
    depth,
    width,
    flange,
    web,
    root: k === null ? 0 : Math.max(0, k - flange),
    builtUp: family === WELDED || family === UNEVEN,
  });
  return outcome.ok ? { area: outcome.output.area, traces } : new Missing(`${section.designation}: ${outcome.error}`);
}

/** What a post carries before it buckles about either axis; bracing holds it about the weak one. */
export function postCapacity(
  section: SectionRow,
  fy: number,
  free: { strong: number; weak: number },
  rules: Rules,
): { capacity: number; traces: Trace[] } | Missing {
  const { rStrong, rWeak } = section;
  const counts = pressed(section, fy, rules);
  if (counts instanceof Missing) return counts;
  const { area } = counts;
  if (rStrong === null || rWeak === null) return new Missing(`The table lacks the radius of gyration of ${section.designation}.`);
  const weak = free.weak / rWeak >= free.strong / rStrong;
  const radius = weak ? rWeak : rStrong;
  const effectiveLength = weak ? free.weak : free.strong;
  const { modulus } = rules.steel;
  if (rules.id === 'us-asd') {
    const run = traced(columnAisc, { yield: fy, modulus, area, radius, effectiveLength });
    return run.outcome.ok ? { capacity: run.outcome.output.allowable, traces: [...run.traces, ...counts.traces] } : new Missing(run.outcome.error);
  }
  const run = traced(columnEn, { yield: fy, modulus, area, radius, effectiveLength, curve: weakCurve(section), gammaM1: rules.value('gammaM1') });
  return run.outcome.ok ? { capacity: run.outcome.output.design, traces: [...run.traces, ...counts.traces] } : new Missing(run.outcome.error);
}
