import { phrase, q } from '../../calc/work';
import type { SwayStands } from '../../frame/sway-frame';
import { missingCheck } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { AIR_DENSITY } from '../../settle/wind';
import { isMade, jointAt, type StructureMoment } from '../../replay/moment';
import { askedFirst, rated, worstRows, type At, type Rated, type Row } from './frame-rows';
import type { FrameModel, Stack } from './frame-model';
import type { Ground } from './ground';
import { about } from './places';

/** Less than this brought by the wind is none [N]. */
const NOTHING = 1;

/** Columns that stand on beams: what their joints there hand on sideways and hold down. */
export function riderRows(
  ground: Ground,
  model: FrameModel,
  answers: readonly SwayStands[],
  { drags, gust }: { drags: readonly (readonly number[])[]; gust: number },
  moment: StructureMoment,
  at: At,
): Row[] {
  const joints: Rated[] = [];
  model.stacks.forEach((stack, s) => {
    if (!('joint' in stack.on)) return;
    // By bending, by half of the wind on it, and by what it carries as it leans: the frame’s furthest going is more than its own.
    const drift = Math.max(...answers.map((one) => one.drift));
    const wind = stack.pieces.reduce((sum, one) => sum + windOn(ground, one, gust) / 2, 0);
    const leans = stack.down * (ground.context.rules.value('lean') + (2 * drift) / stack.heights.at(-1)!);
    const shear = Math.max(...answers.map(({ columns }) => columns[s]!.shear)) + wind + leans;
    const up = Math.max(0, ...drags[s]!);
    joints.push(...jointRow(ground, stack, { lifts: Math.max(0, up - stack.light), shear }, moment, at));
  });
  return worstRows(joints, ground.caution);
}

/** What a gust pushes on a column. */
function windOn({ context: { rules } }: Ground, { section, place }: Stack['pieces'][number], gust: number): number {
  if (section instanceof Missing) return 0;
  return 0.5 * AIR_DENSITY * gust ** 2 * rules.value('girderDrag') * rules.value('windFactor') * Math.max(section.depth, section.width) * place!.length;
}

function jointRow({ caution }: Ground, { on }: Stack, { lifts, shear }: { lifts: number; shear: number }, moment: StructureMoment, at: At): Rated[] {
  if (!('joint' in on)) return [];
  const { joint } = on;
  const state = jointAt(moment, joint.id);
  const demand = Math.hypot(lifts, shear);
  // How many bolts are in is asked before the hook lets go.
  if (!isMade(state) || state.bolts === null) return [];
  if (joint.boltShear === null)
    return demand < NOTHING
      ? []
      : [askedFirst(missingCheck(at('joint.sway', about('joint', joint, joint.name)), 'force', `What may one bolt of ${joint.name} carry?`))];
  const numbers = { demand, capacity: (state.bolts + state.pins) * joint.boltShear, quantity: 'force' as const, caution };
  return [
    rated(
      { id: 'joint.sway', kind: 'joint', thing: joint, numbers },
      at,
      () =>
        phrase`In the wind ${joint.name} hands on ${q(shear, 'force')} sideways and is lifted with ${q(lifts, 'force')}: ${q(demand, 'force')} on bolts and pins good for ${q(numbers.capacity, 'force')}.`,
    ),
  ];
}
