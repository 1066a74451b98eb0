import { attempt } from '../../calc/attempt';
import { phrase, q } from '../../calc/work';
import type { Rules } from '../../rules/rule-sets';
import { riggingHook } from '../../rigging/hook.calc';
import { levelLegs } from '../../rigging/level-legs.calc';
import type { Check } from '../../verdict/check';
import type { Hanging } from '../../settle/hanging';
import { Missing } from '../../verdict/missing';
import type { Pick } from '../../document/schema';
import type { Context, PickContext } from '../context';
import { ratioCheck, sourced, told, type Place } from '../../verdict/build';
import { slopeToSet } from '../../settle/seat-geometry';

/** A place out of level by less than this is level [°]. */
const LEVEL_DEG = 1;

const limits = (rules: Rules) => ({
  capacity: rules.value('tiltMost'),
  quantity: 'angle' as const,
  caution: rules.value('tiltCaution') / rules.value('tiltMost'),
  inclusive: true,
});

/** How far a piece hangs out of level; of one that is set on a slope, out of that slope. */
export function tiltCheck({ rules }: Context, picked: PickContext, hanging: Hanging, place: (id: string, calc: string, source: string) => Place): Check {
  const { piece, seat } = picked;
  const { tiltDeg, trace } = hanging;
  const where = place('rigging.tilt', trace.calc, sourced(riggingHook.source.text, rules, 'tiltMost', 'tiltCaution'));
  const mostDeg = rules.value('tiltMost');
  const slope = seat instanceof Missing ? 0 : slopeToSet(seat);
  if (Math.abs(slope) < LEVEL_DEG)
    return ratioCheck(
      where,
      { demand: Math.abs(tiltDeg), ...limits(rules) },
      { code: 'sling.tilt', mark: piece.mark, lowEnd: tiltDeg > 0 ? 'left' : 'right', tiltDeg, mostDeg },
      [trace],
    );
  const off = Math.abs(tiltDeg - slope);
  const legs = off > rules.value('tiltCaution') ? levelled(picked) : null;
  const low = (angle: number) => (angle > 0 ? 'left' : 'right');
  return ratioCheck(
    where,
    { demand: off, ...limits(rules) },
    told([
      ...phrase`${piece.mark} is set ${q(Math.abs(slope), 'angle')} low at the ${low(slope)} end and hangs `,
      ...(Math.abs(tiltDeg) < 0.05 ? ['level'] : phrase`${q(Math.abs(tiltDeg), 'angle')} low at the ${low(tiltDeg)} end`),
      ...phrase`: ${q(off, 'angle')} apart; ${q(mostDeg, 'angle')} may be.`,
      ...(legs ? phrase` With legs of ${q(legs.left, 'length')} left and ${q(legs.right, 'length')} right it hangs as it is set.` : []),
    ]),
    [trace],
  );
}

const cm = (value: number): number => Math.round(value * 100) / 100;

/** Legs with which a piece hangs as it is set from the hook height it has now, its picks where they are; null where that is not known. */
export function levelled({ pick, piece, weight, hanging, seat }: PickContext): Pick['legs'] | null {
  if (weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging || hanging.way !== 'slung') return null;
  const z = weight.section.depth;
  const off = pick.rig?.kind === 'legs' ? [(pick.rig.leftApart ?? 0) / 2, (pick.rig.rightApart ?? 0) / 2] : [0, 0];
  const picks = [
    { x: pick.left, y: off[0]!, z },
    { x: piece.length - pick.right, y: off[1]!, z },
  ];
  // As it is set: level, or on the slope it comes to lie on.
  const slope = seat instanceof Missing ? 0 : (slopeToSet(seat) * Math.PI) / 180;
  const set = <P extends { x: number; y: number; z: number }>(at: P): P => ({
    ...at,
    x: at.x * Math.cos(slope) - at.z * Math.sin(slope),
    z: at.x * Math.sin(slope) + at.z * Math.cos(slope),
  });
  const cg = set({ ...weight.cg, y: 0 });
  const hung = picks.map(set);
  // The hook stays as high over the higher pick.
  const hookAboveCg = Math.max(...hung.map((one) => one.z)) + hanging.hookAbovePick - cg.z;
  const outcome = attempt(levelLegs, { picks: hung, cg, hookAboveCg });
  if (!outcome.ok) return null;
  const [left, right] = outcome.output.legs;
  return { left: cm(left!), right: cm(right!) };
}
