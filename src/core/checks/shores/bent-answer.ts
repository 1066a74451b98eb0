import { beamContinuous } from '../../beams/continuous.calc';
import type { Trace } from '../../calc/evidence';
import type { Rules } from '../../rules/rule-sets';
import { yieldOf } from '../../steel/grades';
import type { SectionRow } from '../../steel/section-row';
import { findSection } from '../../steel/sections';
import { GRAVITY } from '../../units';
import { Missing } from '../../verdict/missing';
import type { Bent } from '../../document/schema';
import { traced } from '../../verdict/build';

/** What each post of a bent carries at its worst stage, and how the header bends over them. */
export interface BentAnswer {
  /** most on each post, left to right, over all stages */
  reactions: number[];
  moment: number;
  total: number;
  /** the stage with the most on one post, and how many there are */
  stage: number;
  stages: number;
  /** posts that lift off at some stage, from 1 */
  idle: number[];
  header: SectionRow;
  fy: number;
  traces: Trace[];
}

/** Stages at which what stands on the bent changes. */
export const bentStages = (bent: Bent): number[] =>
  [...new Set(bent.loads.flatMap(({ from, to }) => (to === null ? [from] : [from, to + 1])))]
    .sort((a, b) => a - b)
    .filter((stage) => bent.loads.some((load) => stands(load, stage)));

const stands = ({ from, to }: Bent['loads'][number], stage: number): boolean => from <= stage && (to === null || stage <= to);

export function bentOf(bent: Bent, rules: Rules): BentAnswer | Missing | string {
  const open = bent.loads.find((load) => load.force === null);
  if (bent.loads.length === 0) return new Missing(`What comes down on ${bent.name}, and where on its header?`);
  if (open) return new Missing(`What does ${open.what || 'the load'} bring down on ${bent.name}?`);
  const header = findSection(bent.header.section);
  const fy = yieldOf(bent.header.grade, header?.flange);
  if (!header) return new Missing(`“${bent.header.section}” is not in the section tables. What is the header of ${bent.name}?`);
  if (fy === null) return new Missing(`What does grade “${bent.header.grade}” of the header of ${bent.name} yield at?`);
  const posts = [...new Set(bent.posts)].sort((a, b) => a - b);
  const stages = bentStages(bent);
  const answer: BentAnswer = {
    reactions: posts.map(() => 0),
    moment: 0,
    total: 0,
    stage: stages[0] ?? 1,
    stages: stages.length,
    idle: [],
    header,
    fy,
    traces: [],
  };
  for (const stage of stages) {
    const run = traced(beamContinuous, {
      length: bent.header.length,
      stiffness: rules.steel.modulus * header.iStrong,
      load: header.massPerLength * GRAVITY * rules.value('loadFactor'),
      supports: posts.map((x) => ({ x })),
      pointLoads: bent.loads.filter((load) => stands(load, stage)).map(({ at, force }) => ({ x: at, force: force ?? 0 })),
      upliftFree: true,
    });
    if (!run.outcome.ok) return new Missing(run.outcome.error);
    const { reactions = [], maxHogging = 0, maxSagging = 0, stable } = run.outcome.output;
    const when = stages.length > 1 ? ` at stage ${stage}` : '';
    if (!stable) return `The header of ${bent.name} tips${when}: its loads stand past the posts that hold it. Move a post or a load.`;
    if (Math.max(...reactions) > Math.max(...answer.reactions)) {
      answer.stage = stage;
      answer.traces = run.traces;
    }
    answer.reactions = answer.reactions.map((most, i) => Math.max(most, reactions[i] ?? 0));
    answer.moment = Math.max(answer.moment, maxHogging, maxSagging);
    answer.total = Math.max(
      answer.total,
      reactions.reduce((a, b) => a + b, 0),
    );
    reactions.forEach((reaction, i) => {
      if (reaction === 0 && !answer.idle.includes(i + 1)) answer.idle.push(i + 1);
    });
  }
  return answer;
}
