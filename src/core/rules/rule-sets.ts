import type { QuantityKind } from '../units';
import type { Source } from '../calc/define';

export type RuleSetId = 'us-asd' | 'eu-ls';

export interface Threshold {
  key: string;
  title: string;
  kind: QuantityKind;
  value: Record<RuleSetId, number>;
  /** range a person may set it in, SI */
  least: number;
  most: number;
  /** the published minimum or maximum it may not be set past; null: practice alone, free on both sides */
  floor: Floor | null;
  source: Record<RuleSetId, Source>;
}

/** A published bound of a threshold, by rule set. Past it on the unsafe side the job stops; the safe side is free. */
export interface Floor {
  /** `least`: going under it is unsafe; `most`: going over it is */
  unsafe: 'under' | 'over';
  at: Partial<Record<RuleSetId, { value: number; clause: string }>>;
  /** what the clause itself lets pass, and what it may ask beyond it */
  exceptions?: string;
}

const under = (at: Floor['at'], exceptions?: string): Floor => ({ unsafe: 'under', at, ...(exceptions ? { exceptions } : {}) });
const over = (at: Floor['at'], exceptions?: string): Floor => ({ unsafe: 'over', at, ...(exceptions ? { exceptions } : {}) });
const bound = (value: number, clause: string) => ({ value, clause });

const practice = (text = 'common practice'): Source => ({ basis: 'practice', text });
const published = (text: string): Source => ({ basis: 'published', text });
const memory = (text: string): Source => ({ basis: 'memory', text });
const both = (source: Source): Record<RuleSetId, Source> => ({ 'us-asd': source, 'eu-ls': source });
const alike = (value: number): Record<RuleSetId, number> => ({ 'us-asd': value, 'eu-ls': value });

export const ruleSetName: Record<RuleSetId, string> = { 'us-asd': 'US, allowable stress', 'eu-ls': 'European, limit state' };

/** Every threshold a check uses. A job may put its own value in place of any of them. */
export const thresholds = {
  weightAllowance: {
    key: 'weightAllowance',
    title: 'Allowance added to a calculated weight',
    kind: 'fraction',
    value: alike(0.05),
    least: 0,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  statementDifference: {
    key: 'statementDifference',
    title: 'Two statements of one quantity may differ by',
    kind: 'fraction',
    value: alike(0.02),
    least: 0,
    most: 0.5,
    floor: null,
    source: both(practice()),
  },
  statementChoice: {
    key: 'statementChoice',
    title: 'Two weights this far apart: a person must choose and say why',
    kind: 'fraction',
    value: alike(0.1),
    least: 0,
    most: 0.5,
    floor: null,
    source: both(practice('weights ten per cent apart are common on site; past that one of them is wrong')),
  },
  lengthDifference: {
    key: 'lengthDifference',
    title: 'Two statements of one length may differ by',
    kind: 'dimension',
    value: alike(0.01),
    least: 0,
    most: 0.1,
    floor: null,
    source: both(practice('a piece 10 mm off is another piece')),
  },
  lineWarning: {
    key: 'lineWarning',
    title: 'Power line: warn where crane, line or load could come within',
    kind: 'length',
    value: alike(6.096),
    least: 0,
    most: 100,
    floor: under({ 'us-asd': bound(6.096, '29 CFR 1926.1408(a), 20 ft') }),
    source: {
      'us-asd': published('29 CFR 1926.1408(a): 20 ft, up to 350 kV'),
      'eu-ls': practice('20 ft of 29 CFR 1926.1408(a), taken here too; the line’s owner decides'),
    },
  },
  lineWarningHigh: {
    key: 'lineWarningHigh',
    title: 'Power line over 350 kV: warn where crane, line or load could come within',
    kind: 'length',
    value: alike(15.24),
    least: 0,
    most: 200,
    floor: under({ 'us-asd': bound(15.24, '29 CFR 1926.1409, 50 ft') }),
    source: {
      'us-asd': published('29 CFR 1926.1409: 50 ft, over 350 kV'),
      'eu-ls': practice('50 ft of 29 CFR 1926.1409, taken here too; the line’s owner decides'),
    },
  },
  dynamicFactor: {
    key: 'dynamicFactor',
    title: 'Dynamic factor on the hanging piece and its slings',
    kind: 'factor',
    value: alike(1.1),
    least: 1,
    most: 3,
    floor: null,
    source: both(practice()),
  },
  loadFactor: {
    key: 'loadFactor',
    title: 'Load factor on self-weight',
    kind: 'factor',
    value: { 'us-asd': 1, 'eu-ls': 1.35 },
    least: 1,
    most: 3,
    floor: under({ 'us-asd': bound(1, 'ASCE 7 2.4'), 'eu-ls': bound(1.35, 'EN 1990 Table A1.2(B), γ_G,sup') }),
    source: { 'us-asd': published('allowable stress: unfactored loads (ASCE 7 2.4)'), 'eu-ls': published('EN 1990 Table A1.2(B), γ_G,sup') },
  },
  gammaM1: {
    key: 'gammaM1',
    title: 'Resistance factor γ_M1',
    kind: 'factor',
    value: alike(1),
    least: 1,
    most: 2,
    floor: under({ 'eu-ls': bound(1, 'EN 1993-1-1 6.1') }),
    source: { 'us-asd': practice('not used by this rule set'), 'eu-ls': published('EN 1993-1-1 6.1') },
  },
  hangingSafety: {
    key: 'hangingSafety',
    title: 'Safety on the critical moment of a hanging piece',
    kind: 'factor',
    value: { 'us-asd': 1.67, 'eu-ls': 1 },
    least: 1,
    most: 5,
    floor: under({ 'us-asd': bound(1.67, 'AISC 360 F1, Ω 1.67, from memory') }),
    source: { 'us-asd': memory('AISC 360 F1, Ω 1.67, applied to the critical moment'), 'eu-ls': practice('not used: the reduction χ_LT carries it') },
  },
  strengthCaution: {
    key: 'strengthCaution',
    title: 'Caution from this share of a strength',
    kind: 'fraction',
    value: alike(0.9),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  chartCaution: {
    key: 'chartCaution',
    title: 'Caution from this share of the chart',
    kind: 'fraction',
    value: { 'us-asd': 0.75, 'eu-ls': 0.8 },
    least: 0.1,
    most: 1,
    floor: over({ 'us-asd': bound(0.75, '29 CFR 1926.751: a lift over 75 % of rated capacity is a critical one') }),
    source: { 'us-asd': published('29 CFR 1926.751, critical lift: over 75 % of rated capacity'), 'eu-ls': practice() },
  },
  tandemShare: {
    key: 'tandemShare',
    title: 'Share of its chart a crane may use where two lift together',
    kind: 'fraction',
    value: alike(0.75),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  hookDifference: {
    key: 'hookDifference',
    title: 'Slope a piece on two cranes takes where one hook lags',
    kind: 'angle',
    value: alike(3),
    least: 0,
    most: 15,
    floor: null,
    source: both(practice()),
  },
  slingCaution: {
    key: 'slingCaution',
    title: 'Caution from this share of the sling rating',
    kind: 'fraction',
    value: alike(0.8),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  slingLeastAngle: {
    key: 'slingLeastAngle',
    title: 'Lowest sling angle from the horizontal',
    kind: 'angle',
    value: alike(30),
    least: 5,
    most: 85,
    floor: under({ 'us-asd': bound(30, 'ASME B30.9, from memory'), 'eu-ls': bound(30, 'EN 818-4, 60° from the vertical, from memory') }),
    source: {
      'us-asd': memory('ASME B30.9, angles under 30° not to be used unless approved'),
      'eu-ls': memory('EN 818-4 practice: no more than 60° from the vertical'),
    },
  },
  slingCautionAngle: {
    key: 'slingCautionAngle',
    title: 'Caution below this sling angle',
    kind: 'angle',
    value: alike(45),
    least: 5,
    most: 85,
    floor: null,
    source: both(practice()),
  },
  tiltMost: {
    key: 'tiltMost',
    title: 'Most tilt of a hanging piece',
    kind: 'angle',
    value: alike(5),
    least: 0.1,
    most: 45,
    floor: null,
    source: both(practice()),
  },
  tiltCaution: {
    key: 'tiltCaution',
    title: 'Caution from this tilt',
    kind: 'angle',
    value: alike(3),
    least: 0.1,
    most: 45,
    floor: null,
    source: both(practice()),
  },
  bearingLeast: {
    key: 'bearingLeast',
    title: 'Shortest bearing of a steel piece on its seat',
    kind: 'dimension',
    value: alike(0.075),
    least: 0,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  headRoomReserve: {
    key: 'headRoomReserve',
    title: 'Hook kept this far below its highest position',
    kind: 'length',
    value: alike(0.5),
    least: 0,
    most: 10,
    floor: null,
    source: both(practice()),
  },
  boomClearance: {
    key: 'boomClearance',
    title: 'Least gap between boom and load',
    kind: 'length',
    value: alike(0.5),
    least: 0,
    most: 5,
    floor: null,
    source: both(practice()),
  },
  loadClearance: {
    key: 'loadClearance',
    title: 'Load passes over things by at least',
    kind: 'length',
    value: alike(0.5),
    least: 0,
    most: 5,
    floor: null,
    source: both(practice()),
  },
  clearanceCaution: {
    key: 'clearanceCaution',
    title: 'Caution from this share of a gap used up',
    kind: 'fraction',
    value: alike(0.9),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  tailClearance: {
    key: 'tailClearance',
    title: 'Least gap behind the crane’s tail',
    kind: 'length',
    value: alike(0.6),
    least: 0,
    most: 5,
    floor: null,
    source: both(practice()),
  },
  windDrag: {
    key: 'windDrag',
    title: 'Drag coefficient of a hanging I-piece',
    kind: 'factor',
    value: alike(1.4),
    least: 0.5,
    most: 4,
    floor: null,
    source: both(memory('EN 1991-1-4 7.7 and 7.13: c_f0 = 2.0 for sharp-edged sections, end-effect factor about 0.7')),
  },
  windCaution: {
    key: 'windCaution',
    title: 'Caution from this share of the permitted gust',
    kind: 'fraction',
    value: alike(0.8),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  boltsLeast: {
    key: 'boltsLeast',
    title: 'Bolts in each end before the hook lets go',
    kind: 'count',
    value: alike(2),
    least: 1,
    most: 50,
    floor: under(
      { 'us-asd': bound(2, '29 CFR 1926.756(a)(1)') },
      'One bolt is enough for solid-web diagonal bracing (1926.756(b)); a cantilever may need more than two, as a competent person decides (1926.756(a)(2)).',
    ),
    source: { 'us-asd': published('29 CFR 1926.756(a)(1)'), 'eu-ls': practice() },
  },
  concreteShare: {
    key: 'concreteShare',
    title: 'Concrete strength needed before steel stands on it',
    kind: 'fraction',
    value: alike(0.75),
    least: 0,
    most: 1,
    floor: under(
      { 'us-asd': bound(0.75, '29 CFR 1926.752(a)(1)') },
      'Less is enough where a signed strength for the loads of the erection is recorded with the bearing (1926.752(a)(1)).',
    ),
    source: {
      'us-asd': published('29 CFR 1926.752(a)(1), 75 % of intended minimum'),
      'eu-ls': practice('75 % as common practice; the designer’s figure decides (EN 13670)'),
    },
  },
  freeTransport: {
    key: 'freeTransport',
    title: 'Longest piece carried without a permit',
    kind: 'length',
    value: { 'us-asd': 14.63, 'eu-ls': 13.6 },
    least: 2,
    most: 40,
    floor: over({ 'eu-ls': bound(13.6, 'Directive 96/53/EC, from memory') }),
    source: {
      'us-asd': practice('48 ft trailer deck; the state’s own rules decide'),
      'eu-ls': memory('Directive 96/53/EC, load length of a semi-trailer; the country’s own rules decide'),
    },
  },
  freeTransportWidth: {
    key: 'freeTransportWidth',
    title: 'Widest piece carried without a permit',
    kind: 'length',
    value: { 'us-asd': 2.59, 'eu-ls': 2.55 },
    least: 1,
    most: 6,
    floor: over({ 'us-asd': bound(2.5908, '23 CFR 658.15, from memory'), 'eu-ls': bound(2.55, 'Directive 96/53/EC, from memory') }),
    source: {
      'us-asd': memory('102 in, 23 CFR 658.15; the state’s own rules decide'),
      'eu-ls': memory('Directive 96/53/EC, width of a vehicle; the country’s own rules decide'),
    },
  },
  roadReserve: {
    key: 'roadReserve',
    title: 'Room kept beside a load in a turn of the road, both sides together',
    kind: 'length',
    value: alike(0.6),
    least: 0,
    most: 5,
    floor: null,
    source: both(practice()),
  },
  constructionLive: {
    key: 'constructionLive',
    title: 'Live load on a floor while the work goes on',
    kind: 'pressure',
    value: { 'us-asd': 1197, 'eu-ls': 1000 },
    least: 0,
    most: 20000,
    floor: under({
      'us-asd': bound(957.6, 'ASCE 37 Table 2, very light duty, 20 psf, from memory'),
      'eu-ls': bound(1000, 'EN 1991-1-6 Table 4.1, Q_ca, from memory'),
    }),
    source: { 'us-asd': memory('ASCE 37 Table 2, light duty, 25 psf'), 'eu-ls': memory('EN 1991-1-6 Table 4.1, Q_ca, working people, 1.0 kPa') },
  },
  liveFactor: {
    key: 'liveFactor',
    title: 'Load factor on live load',
    kind: 'factor',
    value: { 'us-asd': 1, 'eu-ls': 1.5 },
    least: 1,
    most: 3,
    floor: under({ 'us-asd': bound(1, 'ASCE 7 2.4'), 'eu-ls': bound(1.5, 'EN 1990 Table A1.2(B), γ_Q') }),
    source: { 'us-asd': published('allowable stress: unfactored loads (ASCE 7 2.4)'), 'eu-ls': published('EN 1990 Table A1.2(B), γ_Q') },
  },
  timberDuration: {
    key: 'timberDuration',
    title: 'Load duration of shores (C_D or k_mod)',
    kind: 'factor',
    value: { 'us-asd': 1.25, 'eu-ls': 0.8 },
    least: 0.5,
    most: 2,
    floor: over({
      'us-asd': bound(1.25, 'NDS Table 2.3.2, construction load, from memory'),
      'eu-ls': bound(0.9, 'EN 1995-1-1 Table 3.1, short term, from memory'),
    }),
    source: { 'us-asd': memory('NDS Table 2.3.2, construction load'), 'eu-ls': memory('EN 1995-1-1 Table 3.1, medium term, service class 1 and 2') },
  },
  timberGamma: {
    key: 'timberGamma',
    title: 'Resistance factor γ_M of timber',
    kind: 'factor',
    value: { 'us-asd': 1, 'eu-ls': 1.3 },
    least: 1,
    most: 2,
    floor: under({ 'eu-ls': bound(1.3, 'EN 1995-1-1 Table 2.3') }),
    source: { 'us-asd': practice('not used by this rule set'), 'eu-ls': published('EN 1995-1-1 Table 2.3, solid timber') },
  },
  propSafety: {
    key: 'propSafety',
    title: 'Safety on the characteristic strength of a prop',
    kind: 'factor',
    value: { 'us-asd': 1.65, 'eu-ls': 1.1 },
    least: 1,
    most: 4,
    floor: under({ 'eu-ls': bound(1.1, 'EN 12812, γ_M, from memory') }),
    source: { 'us-asd': practice('γ_M 1.1 and γ_F 1.5 together'), 'eu-ls': memory('EN 12812, γ_M 1.1, loads factored') },
  },
  propLean: {
    key: 'propLean',
    title: 'A prop may lean at most',
    kind: 'angle',
    value: alike(1.5),
    least: 0,
    most: 5,
    floor: over({ 'us-asd': bound(1.5, 'BS 5975, from memory'), 'eu-ls': bound(1.5, 'BS 5975, from memory') }),
    source: both(memory('BS 5975: 25 mm in a metre')),
  },
  propOff: {
    key: 'propOff',
    title: 'Load off the middle of a prop, at most',
    kind: 'dimension',
    value: alike(0.025),
    least: 0,
    most: 0.1,
    floor: over({ 'us-asd': bound(0.025, 'BS 5975, from memory'), 'eu-ls': bound(0.025, 'BS 5975, from memory') }),
    source: both(memory('BS 5975: 25 mm')),
  },
  propOffFree: {
    key: 'propOffFree',
    title: 'Load off the middle that a prop’s strength already allows for',
    kind: 'dimension',
    value: alike(0.01),
    least: 0,
    most: 0.05,
    floor: over({ 'us-asd': bound(0.01, 'EN 1065, from memory'), 'eu-ls': bound(0.01, 'EN 1065, from memory') }),
    source: both(memory('EN 1065: 10 mm at the head')),
  },
  propLeanFree: {
    key: 'propLeanFree',
    title: 'Lean that a prop’s strength already allows for',
    kind: 'angle',
    value: alike(0.5),
    least: 0,
    most: 2,
    floor: null,
    source: both(practice('about 1 % of the height')),
  },
  bentReadyDays: {
    key: 'bentReadyDays',
    title: 'Days a bent is accepted ahead of its girder',
    kind: 'count',
    value: alike(1),
    least: 0,
    most: 30,
    floor: null,
    source: both(practice('ready before its girder leaves the yard')),
  },
  bentDrag: {
    key: 'bentDrag',
    title: 'Drag coefficient of a bent and of what stands on it',
    kind: 'factor',
    value: alike(2),
    least: 1,
    most: 4,
    floor: null,
    source: both(memory('EN 1991-1-4 7.7, sharp-edged members')),
  },
  shoreLateral: {
    key: 'shoreLateral',
    title: 'Sideways force shores are braced for, of what they carry',
    kind: 'fraction',
    value: { 'us-asd': 0.02, 'eu-ls': 0.025 },
    least: 0.01,
    most: 0.2,
    floor: under({ 'us-asd': bound(0.02, 'ACI 347, from memory'), 'eu-ls': bound(0.025, 'BS 5975, from memory') }),
    source: { 'us-asd': memory('ACI 347: 2 % of the dead load'), 'eu-ls': memory('BS 5975: 2.5 % of the vertical load') },
  },
  needleSpacing: {
    key: 'needleSpacing',
    title: 'Needles apart, at most',
    kind: 'length',
    value: alike(1.2),
    least: 0.3,
    most: 3,
    floor: null,
    source: both(practice('0.9 to 1.2 m in sound masonry')),
  },
  archRise: {
    key: 'archRise',
    title: 'Masonry over needles, of their spacing, for the wall to arch',
    kind: 'fraction',
    value: alike(0.866),
    least: 0.1,
    most: 3,
    floor: null,
    source: both(practice('a 60° triangle of sound masonry')),
  },
  settleMost: {
    key: 'settleMost',
    title: 'A prop, level or crack may move while striking by',
    kind: 'dimension',
    value: alike(0.003),
    least: 0,
    most: 0.05,
    floor: null,
    source: both(practice('past it, stop and look')),
  },
  crackShare: {
    key: 'crackShare',
    title: 'Span over sag at which plaster may crack',
    kind: 'factor',
    value: alike(500),
    least: 100,
    most: 3000,
    floor: null,
    source: both(practice()),
  },
  rollover: {
    key: 'rollover',
    title: 'Safety of an unbraced girder against wind rolling it over',
    kind: 'factor',
    value: alike(1.5),
    least: 1,
    most: 5,
    floor: null,
    source: both(practice()),
  },
  tipping: {
    key: 'tipping',
    title: 'Safety of a piece with an overhang against tipping about its last support',
    kind: 'factor',
    value: { 'us-asd': 1.5, 'eu-ls': 1.1 / 0.9 },
    least: 1,
    most: 5,
    floor: under({ 'eu-ls': bound(1.1 / 0.9, 'EN 1990 Table A1.2(A), EQU: 1.10 on what tips, 0.90 on what rights, from memory') }),
    source: { 'us-asd': practice(), 'eu-ls': memory('EN 1990 Table A1.2(A), EQU: 1.10 and 0.90, as one factor') },
  },
  girderDrag: {
    key: 'girderDrag',
    title: 'Drag coefficient of a girder standing alone',
    kind: 'factor',
    value: alike(2.2),
    least: 1,
    most: 4,
    floor: under({
      'us-asd': bound(2.2, 'AASHTO guide for wind on girders under erection, from memory'),
      'eu-ls': bound(2, 'EN 1991-1-4 7.7, sharp-edged members, from memory'),
    }),
    source: both(memory('AASHTO guide for wind on girders under erection, I-girders')),
  },
  windFactor: {
    key: 'windFactor',
    title: 'Load factor on wind that pushes a frame',
    kind: 'factor',
    value: { 'us-asd': 1, 'eu-ls': 1.5 },
    least: 1,
    most: 3,
    floor: under({ 'us-asd': bound(1, 'ASCE 7 2.4, the gust as it is'), 'eu-ls': bound(1.5, 'EN 1990 Table A1.2(B), from memory') }),
    source: { 'us-asd': memory('allowable stress: the gust as it is, unfactored (ASCE 7 2.4)'), 'eu-ls': memory('EN 1990 Table A1.2(B), γ_Q 1.50') },
  },
  lean: {
    key: 'lean',
    title: 'A frame leans by so much of its height',
    kind: 'fraction',
    value: { 'us-asd': 1 / 500, 'eu-ls': 1 / 200 },
    least: 0,
    most: 0.02,
    floor: under({
      'us-asd': bound(1 / 500, 'AISC 360 C2.2b, from memory'),
      'eu-ls': bound(1 / 300, 'EN 1993-1-1 5.3.2(3), the least of the reductions, from memory'),
    }),
    source: { 'us-asd': memory('AISC 360 C2.2b: 0.002 of what weighs'), 'eu-ls': memory('EN 1993-1-1 5.3.2(3): 1/200') },
  },
  swayLeast: {
    key: 'swayLeast',
    title: 'A frame sways by itself at no less than so many times its weights',
    kind: 'factor',
    value: alike(3),
    least: 1.5,
    most: 20,
    floor: under({
      'us-asd': bound(3, 'AISC 360 App. 7, 8: second order at most 1.5 times first, from memory'),
      'eu-ls': bound(3, 'EN 1993-1-1 5.2.2(5), from memory'),
    }),
    source: { 'us-asd': memory('AISC 360 App. 7, 8: it leans at most 1.5 times as far'), 'eu-ls': memory('EN 1993-1-1 5.2.2(5): α_cr no less than 3') },
  },
  hoursPerStud: {
    key: 'hoursPerStud',
    title: 'Person-hours to cut, set and strike a stud or plate',
    kind: 'factor',
    value: alike(0.35),
    least: 0.05,
    most: 5,
    floor: null,
    source: both(practice('own records decide')),
  },
  hoursPerNeedle: {
    key: 'hoursPerNeedle',
    title: 'Person-hours to cut a hole, set and strike a needle on two props',
    kind: 'factor',
    value: alike(2.5),
    least: 0.25,
    most: 20,
    floor: null,
    source: both(practice('own records decide')),
  },
  dryPackDays: {
    key: 'dryPackDays',
    title: 'Days from dry pack to striking',
    kind: 'count',
    value: alike(7),
    least: 0,
    most: 60,
    floor: null,
    source: both(practice('engineer’s figure decides')),
  },
  trapClearance: {
    key: 'trapClearance',
    title: 'Taken off a trapped piece so that it goes in',
    kind: 'dimension',
    value: alike(0.00635),
    least: 0,
    most: 0.1,
    floor: null,
    source: both(practice('common practice: ¼ in (6 mm) in all')),
  },
  pocketClearance: {
    key: 'pocketClearance',
    title: 'Pocket clearance each side of the packed piece',
    kind: 'dimension',
    value: alike(0.00635),
    least: 0,
    most: 0.1,
    floor: null,
    source: both(practice('common practice: ½ in (13 mm) wider, half each side')),
  },
  surveyTolerance: {
    key: 'surveyTolerance',
    title: 'Measured may differ from drawn by',
    kind: 'dimension',
    value: alike(0.006),
    least: 0,
    most: 0.2,
    floor: null,
    source: both(practice()),
  },
  boltGroupTolerance: {
    key: 'boltGroupTolerance',
    title: 'An anchor bolt may stand off its drawn place by',
    kind: 'dimension',
    value: alike(0.006),
    least: 0,
    most: 0.1,
    floor: over({ 'us-asd': bound(0.00635, 'AISC 303 §7.5.1, from memory') }),
    source: { 'us-asd': memory('AISC 303 §7.5.1, anchor-rod location, ¼ in'), 'eu-ls': memory('EN 1090-2 Annex B anchor bolts, taken here as 6 mm') },
  },
  stepMost: {
    key: 'stepMost',
    title: 'Step in the finished floor',
    kind: 'dimension',
    value: alike(0.003),
    least: 0,
    most: 0.1,
    floor: null,
    source: both(practice()),
  },
  contactCaution: {
    key: 'contactCaution',
    title: 'Caution from this share of a bearing, link or floor',
    kind: 'fraction',
    value: alike(0.9),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  wayReserve: {
    key: 'wayReserve',
    title: 'Room kept round a piece on its way in',
    kind: 'dimension',
    value: alike(0.025),
    least: 0,
    most: 0.5,
    floor: null,
    source: both(practice()),
  },
  wayCaution: {
    key: 'wayCaution',
    title: 'Caution from this share of the longest piece that passes',
    kind: 'fraction',
    value: alike(0.95),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  personLift: {
    key: 'personLift',
    title: 'One person’s share of a carry',
    kind: 'mass',
    value: alike(25),
    least: 5,
    most: 60,
    floor: over({ 'us-asd': bound(25, 'HSE L23 guideline, from memory'), 'eu-ls': bound(25, 'HSE L23 guideline, from memory') }),
    source: both(memory('HSE L23 guideline for one man, close at waist height')),
  },
  personMass: {
    key: 'personMass',
    title: 'Weight of a person with tools',
    kind: 'mass',
    value: alike(100),
    least: 50,
    most: 200,
    floor: null,
    source: both(practice()),
  },
  liftingIndex: {
    key: 'liftingIndex',
    title: 'Most NIOSH lifting index',
    kind: 'factor',
    value: alike(1),
    least: 0.5,
    most: 3,
    floor: over({ 'us-asd': bound(1, 'NIOSH 94-110'), 'eu-ls': bound(1, 'NIOSH 94-110') }),
    source: both(published('NIOSH 94-110: over 1.0 raises the risk of back injury')),
  },
  splicePeak: {
    key: 'splicePeak',
    title: 'Splice only where the moment is under this share of the peak',
    kind: 'fraction',
    value: alike(0.75),
    least: 0.1,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  prying: {
    key: 'prying',
    title: 'Added to end-plate bolts for prying',
    kind: 'fraction',
    value: alike(0.3),
    least: 0,
    most: 1,
    floor: null,
    source: both(practice()),
  },
  gammaM2: {
    key: 'gammaM2',
    title: 'Resistance factor γ_M2 of bolts',
    kind: 'factor',
    value: alike(1.25),
    least: 1,
    most: 2,
    floor: under({ 'eu-ls': bound(1.25, 'EN 1993-1-8 Table 2.1') }),
    source: { 'us-asd': practice('not used by this rule set'), 'eu-ls': published('EN 1993-1-8 Table 2.1') },
  },
  serviceFactor: {
    key: 'serviceFactor',
    title: 'Load factor on the load a member carries',
    kind: 'factor',
    value: { 'us-asd': 1, 'eu-ls': 1.4 },
    least: 1,
    most: 3,
    floor: under({ 'us-asd': bound(1, 'ASCE 7 2.4'), 'eu-ls': bound(1.35, 'EN 1990 Table A1.2(B), γ_G,sup') }),
    source: {
      'us-asd': published('allowable stress: unfactored loads (ASCE 7 2.4)'),
      'eu-ls': practice('between γ_G 1.35 and γ_Q 1.5 of EN 1990 Table A1.2(B), loads not told apart'),
    },
  },
  deflectionShare: {
    key: 'deflectionShare',
    title: 'Span over deflection under the live part, at least',
    kind: 'factor',
    value: alike(360),
    least: 100,
    most: 2000,
    floor: under({ 'us-asd': bound(360, 'IBC Table 1604.3') }),
    source: { 'us-asd': published('IBC Table 1604.3, live load on floors, L/360'), 'eu-ls': practice('L/360, to be agreed with the client (EN 1990 A1.4)') },
  },
  deflectionTotalShare: {
    key: 'deflectionTotalShare',
    title: 'Span over deflection under the whole load, at least',
    kind: 'factor',
    value: { 'us-asd': 240, 'eu-ls': 250 },
    least: 100,
    most: 2000,
    floor: under({ 'us-asd': bound(240, 'IBC Table 1604.3') }),
    source: {
      'us-asd': published('IBC Table 1604.3, dead and live load on floors, L/240'),
      'eu-ls': practice('L/250, to be agreed with the client (EN 1990 A1.4)'),
    },
  },
} as const satisfies Record<string, Threshold>;

export type ThresholdKey = keyof typeof thresholds;

export interface Material {
  modulus: number;
  shearModulus: number;
  source: string;
}

/** Elastic constants of steel by rule set. */
export const steelOf: Record<RuleSetId, Material> = {
  'us-asd': { modulus: 199947961501.88, shearModulus: 77221281683.48, source: 'AISC 360: E 29,000 ksi, G 11,200 ksi' },
  'eu-ls': { modulus: 210e9, shearModulus: 81e9, source: 'EN 1993-1-1 3.2.6: E 210 GPa, G 81 GPa' },
};

export interface Rules {
  id: RuleSetId;
  steel: Material;
  value(key: ThresholdKey): number;
  /** where the value in force comes from; the job’s own when it was changed */
  source(key: ThresholdKey): Source;
}

export function rulesOf(id: RuleSetId, own: Record<string, number>): Rules {
  return {
    id,
    steel: steelOf[id],
    value: (key) => own[key] ?? thresholds[key].value[id],
    source: (key) => (own[key] === undefined ? thresholds[key].source[id] : practice('set for this job')),
  };
}

/** Keys of the job's own thresholds that no check knows, or values outside their range. */
export function thresholdFault(key: string, value: number): string | null {
  const threshold: Threshold | undefined = (thresholds as Record<string, Threshold>)[key];
  if (!threshold) return `There is no threshold “${key}”: remove it.`;
  if (!(value >= threshold.least && value <= threshold.most)) return `${threshold.title} is ${value}: give ${threshold.least} to ${threshold.most}.`;
  return null;
}

/** Own values of a job that lie on the unsafe side of what is published for its rule set. */
export function belowFloor(id: RuleSetId, own: Record<string, number>): { threshold: Threshold; value: number; at: { value: number; clause: string } }[] {
  return Object.entries(own).flatMap(([key, value]) => {
    const threshold: Threshold | undefined = (thresholds as Record<string, Threshold>)[key];
    const at = threshold?.floor?.at[id];
    if (!threshold?.floor || !at) return [];
    const past = threshold.floor.unsafe === 'under' ? value < at.value * (1 - 1e-9) : value > at.value * (1 + 1e-9);
    return past ? [{ threshold, value, at }] : [];
  });
}
