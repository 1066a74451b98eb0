import type { UnitSystem } from '../../units';
import { newPlan, type NewPlan } from '../../document/new-plan';
import type { Make, Plan } from '../../document/schema';
import { NotSo } from './base';
import { raiseKinds } from '../../document/things/raise';
import { liftedByOne, liftedByTwo } from './by-crane';
import { framePlan } from './frame';
import { girdersPlan, type GirdersAsked } from './girders';
import { launchPlan } from './launch';
import { openingPlan } from './opening';
import { countIn, figureIn, lengthsIn, neededIn, sectionIn, within, type Said } from './said';

export { NotSo } from './base';
export type { Said } from './said';

/** One thing a new job is asked for before it stands. */
export interface TemplateField {
  key: string;
  label: string;
  note?: string;
  /** an example, by the units of the job */
  example?: Record<UnitSystem, string>;
  /** one of these, instead of words */
  choices?: readonly (readonly [value: string, label: string])[];
  /** asked only where another field says so */
  when?: { key: string; is: string };
  /** may be left empty: what then is asked in the plan */
  open?: true;
}

export interface Template {
  name: string;
  about: string;
  fields: readonly TemplateField[];
  build: (job: NewPlan, said: Said) => Plan;
}

const BAY = [0.5, 60] as const;

/** Who lifts the pieces: a crane whose chart, place and slings are then asked for, or somebody who works these lifts out. */
const CRANE: TemplateField = {
  key: 'crane',
  label: 'Lifted by',
  note: 'a crane can be added, or taken out, at any time',
  choices: [
    ['one', 'one crane: each lift is worked out here'],
    ['none', 'not by a crane of this plan'],
  ],
};

/** The same of girders, which two cranes may take between them. */
const CRANES: TemplateField = {
  ...CRANE,
  choices: [
    ['one', 'one crane: each lift is worked out here'],
    ['two', 'two cranes, one at each end: each lift is worked out here'],
    ['none', 'not by a crane of this plan'],
  ],
};

/** What grade the steel is of: asked afterwards where nobody says. */
const GRADE: TemplateField = {
  key: 'grade',
  label: 'Grade of the steel',
  note: 'empty: asked later',
  example: { metric: 'S355', us: 'A992' },
  open: true,
};

/** What girder lines are asked, however they come to their place. */
const GIRDERS: readonly TemplateField[] = [
  { key: 'lines', label: 'Girder lines side by side', example: { metric: '2', us: '2' } },
  { key: 'apart', label: 'From line to line', note: 'where there are two or more', example: { metric: '3 m', us: '9 ft' }, open: true },
  { key: 'spans', label: 'Spans', note: 'pier to pier, one after the other', example: { metric: '24 m', us: '60 ft; 80 ft' } },
  { key: 'past', label: 'Runs past its end bearings', example: { metric: '0.3 m', us: '1 ft' } },
  { key: 'level', label: 'Level of the bearings', note: 'over the ground', example: { metric: '5 m', us: '16 ft' } },
  {
    key: 'made',
    label: 'Girders are',
    choices: [
      ['plate', 'welded of plates'],
      ['rolled', 'a rolled section'],
    ],
  },
  { key: 'section', label: 'Section', example: { metric: 'HEB 600', us: 'W36x150' }, when: { key: 'made', is: 'rolled' } },
  { key: 'webDepth', label: 'Web, deep', example: { metric: '900 mm', us: '36 in' }, when: { key: 'made', is: 'plate' } },
  { key: 'web', label: 'Web, thick', example: { metric: '14 mm', us: '1/2 in' }, when: { key: 'made', is: 'plate' } },
  { key: 'flange', label: 'Flanges, wide', example: { metric: '400 mm', us: '16 in' }, when: { key: 'made', is: 'plate' } },
  { key: 'flangeThick', label: 'Flanges, thick', example: { metric: '30 mm', us: '1 1/4 in' }, when: { key: 'made', is: 'plate' } },
  GRADE,
];
const SPLICES: TemplateField = {
  key: 'splices',
  label: 'Splices at',
  note: 'from the first bearing; empty: none',
  example: { metric: '14 m', us: '45 ft' },
  open: true,
};
const CROSS_FRAMES: TemplateField = {
  key: 'crossFrames',
  label: 'Cross-frames at',
  note: 'from the first bearing; empty: none',
  example: { metric: '0 m; 8 m; 16 m; 24 m', us: '0 ft; 30 ft; 60 ft' },
  open: true,
};

/** What a job may begin with. The plan asks for all that is not asked here. */
export const templates = {
  beam: {
    name: 'A beam on two bearings, by crane',
    about: 'One beam on two bearings, set by one crane. What only the site, a tag or the maker’s chart can tell starts as missing.',
    fields: [],
    build: (job) => newPlan(job),
  },
  opening: {
    name: 'A beam into a building, without a crane',
    about: 'A wall or line is opened, a beam is brought in and lifted by hand, hoists, jacks or mast lifts, and what rests on the line is held meanwhile.',
    fields: [
      {
        key: 'by',
        label: 'Lifted into place by',
        choices: [
          ['mastLift', 'mast lifts'],
          ['hoist', 'chain hoists'],
          ['jack', 'jacks and packing'],
          ['hands', 'a crew, by hand'],
        ],
      },
      {
        key: 'shored',
        label: 'Something rests on the line',
        choices: [
          ['yes', 'yes: floors, a roof or a wall, held on shores'],
          ['no', 'no: nothing comes down on it'],
        ],
      },
    ],
    build: (job, said) => openingPlan(job, { by: raiseKinds.find((kind) => kind === said.by) ?? 'mastLift', shored: said.shored !== 'no' }),
  },
  frame: {
    name: 'A frame of columns and beams',
    about:
      'Columns on anchors, beams at each level, guys at the first bay, in the order it goes up. Bolts, anchors and what guys may carry are asked afterwards.',
    fields: [
      { key: 'bays', label: 'Bays along', note: 'column to column, one after the other', example: { metric: '2 x 6 m', us: '2 x 20 ft' } },
      { key: 'rows', label: 'Bays across', note: 'row to row of columns', example: { metric: '5 m', us: '16 ft; 18 ft' } },
      { key: 'levels', label: 'Levels', note: 'top of steel over the bases, lowest first', example: { metric: '4 m; 7.5 m', us: '13 ft' } },
      { key: 'column', label: 'Columns', example: { metric: 'HEB 200', us: 'W8x31' } },
      { key: 'beam', label: 'Beams', example: { metric: 'IPE 300', us: 'W12x40' } },
      { key: 'between', label: 'Beams between, in each bay', note: '0: none', example: { metric: '1', us: '1' } },
      { key: 'betweenSection', label: 'Section of those between', note: 'where there are any', example: { metric: 'IPE 240', us: 'W10x22' }, open: true },
      GRADE,
      CRANE,
    ],
    build: (job, said) => {
      const { units } = job;
      const lengths = (key: string, label: string, [least, most]: readonly [number, number]) => {
        const list = lengthsIn(said, key, label, units);
        if (list.length === 0) throw new NotSo(`${label}: one at least.`);
        within(list, label, least, most, units);
        return list;
      };
      const between = countIn(said, 'between', 'Beams between, in each bay', 0, 20);
      const plan = framePlan(job, {
        bays: lengths('bays', 'Bays along', BAY),
        rows: lengths('rows', 'Bays across', BAY),
        levels: lengths('levels', 'Levels', [1, 150]),
        column: sectionIn(said, 'column', 'Columns'),
        beam: sectionIn(said, 'beam', 'Beams'),
        grade: gradeIn(said),
        between,
        betweenSection: between > 0 ? sectionIn(said, 'betweenSection', 'Section of those between') : '',
      });
      return said.crane === 'one' ? liftedByOne(plan) : plan;
    },
  },
  girders: {
    name: 'Girders on piers and bents',
    about: 'Girder lines over piers, in one piece or spliced in the air beside bents that are then struck. Seats, splices and weather are asked afterwards.',
    fields: [
      ...GIRDERS,
      SPLICES,
      { key: 'bents', label: 'Bents at', note: 'from the first bearing; empty: none', example: { metric: '12 m', us: '40 ft' }, open: true },
      CROSS_FRAMES,
      CRANES,
    ],
    build: (job, said) => {
      const plan = girdersPlan(job, { ...girdersAsked(said, job.units), bents: lengthsIn(said, 'bents', 'Bents at', job.units) });
      return said.crane === 'one' ? liftedByOne(plan) : said.crane === 'two' ? liftedByTwo(plan) : plan;
    },
  },
  launch: {
    name: 'Girders pushed over rollers',
    about:
      'Girder lines built behind the first pier and pushed over rollers to the last, with a nose or without. Rollers, what pulls and what holds it back are asked afterwards.',
    fields: [
      ...GIRDERS,
      SPLICES,
      CROSS_FRAMES,
      { key: 'nose', label: 'Nose, long', note: 'in front of the girders while they are pushed; 0: none', example: { metric: '10 m', us: '30 ft' } },
      {
        key: 'built',
        label: 'Built behind',
        choices: [
          ['whole', 'all of it before the first push'],
          ['stages', 'in stages: more is joined on as it moves out'],
        ],
      },
    ],
    build: (job, said) => {
      const nose = neededIn(said, 'nose', 'Nose, long', 'length', job.units);
      within([nose], 'Nose, long', 0, 60, job.units);
      return launchPlan(job, { ...girdersAsked(said, job.units), nose, whole: said.built !== 'stages' });
    },
  },
} as const satisfies Record<string, Template>;

export type TemplateId = keyof typeof templates;
export const templateIds = Object.keys(templates) as TemplateId[];

/** As somebody writes it; a grade is not made up. */
const gradeIn = (said: Said): string => (said.grade ?? '').trim().slice(0, 100);

/** What was said of girder lines, however they come to their place. */
function girdersAsked(said: Said, units: UnitSystem): Omit<GirdersAsked, 'bents'> {
  const lines = countIn(said, 'lines', 'Girder lines side by side', 1, 40);
  const apart = figureIn(said, 'apart', 'From line to line', 'length', units);
  if (apart !== null) within([apart], 'From line to line', 0.5, 20, units);
  const spans = lengthsIn(said, 'spans', 'Spans', units);
  within(spans, 'Spans', 1, 150, units);
  const past = neededIn(said, 'past', 'Runs past its end bearings', 'length', units);
  within([past], 'Runs past its end bearings', 0, 10, units);
  const level = neededIn(said, 'level', 'Level of the bearings', 'length', units);
  within([level], 'Level of the bearings', 0, 200, units);
  return {
    lines,
    apart,
    spans,
    past,
    level,
    made: girderMade(said, units),
    grade: gradeIn(said),
    splices: lengthsIn(said, 'splices', 'Splices at', units),
    crossFrames: lengthsIn(said, 'crossFrames', 'Cross-frames at', units),
  };
}

function girderMade(said: Said, units: UnitSystem): Make['made'] {
  if (said.made === 'rolled') return { kind: 'section', section: sectionIn(said, 'section', 'Section') };
  const of = (key: string, label: string, least: number, most: number) => {
    const value = neededIn(said, key, label, 'dimension', units);
    within([value], label, least, most, units);
    return value;
  };
  const flange = { width: of('flange', 'Flanges, wide', 0.05, 2), thickness: of('flangeThick', 'Flanges, thick', 0.004, 0.2) };
  return {
    kind: 'girder',
    webDepth: of('webDepth', 'Web, deep', 0.1, 6),
    web: of('web', 'Web, thick', 0.003, 0.1),
    topFlange: flange,
    bottomFlange: { ...flange },
  };
}
