import type { Rules } from '../../rules/rule-sets';
import { keep } from '../../document/keep';
import { Missing } from '../../verdict/missing';
import type { Plan } from '../../document/schema';
import { launchAt, type StructureMoment } from '../../replay/moment';
import type { Point } from '../../document/place';
import { stationAt } from '../../launch/sweep';
import { launchedOf, onAt, pushedOf, tipAt } from './pushed';

/** Where what is pushed is at a moment, for drawing: beside where it is to be, its nose ahead, rollers under it. */
export interface RollingPose {
  /** of each piece on rollers, from where it is to be to where it is now */
  shift: Map<string, Point>;
  noses: { line: string; from: Point; to: Point }[];
  /** under each line, with what it carries there now [N]; null: it does not stand */
  rollers: { id: string; name: string; at: Point; load: number | null; line: string }[];
  /** how far down each tip hangs, or how high its nose is lifted [m] */
  tips: Map<string, number>;
}

const degrees = Math.PI / 180;
const STILL: RollingPose = { shift: new Map(), noses: [], rollers: [], tips: new Map() };

/** Every launch that is built and not lowered yet. */
export function rollingPose(plan: Plan, rules: Rules, moment: StructureMoment): RollingPose {
  const { launches = [] } = plan;
  const open = launches.filter(({ id }) => launchAt(moment, id).built && !launchAt(moment, id).lowered);
  if (open.length === 0) return STILL;
  const pose: RollingPose = { shift: new Map(), noses: [], rollers: [], tips: new Map() };
  for (const launch of open) {
    const pushed = keep('launch.pushed', launch, [plan.structure, plan.moves, rules], () => pushedOf(plan, launch, rules));
    if (pushed instanceof Missing) continue;
    const { travel } = launchAt(moment, launch.id);
    const climb = Math.tan((launch.slopeDeg ?? 0) * degrees);
    const over = launch.over ?? 0;
    const back = travel - pushed.travel;
    /** a place along a line, its height over the ground */
    const at = (x: number, left: number, level: number): Point => ({
      x: pushed.end.x + pushed.ahead.x * x - pushed.ahead.y * left,
      y: pushed.end.y + pushed.ahead.y * x + pushed.ahead.x * left,
      z: level + over + climb * (x - pushed.length),
    });
    for (const line of pushed.lines) {
      const on = onAt(line, travel);
      if (on.length === 0) continue;
      for (const { settled } of on) pose.shift.set(settled.beam.id, { x: pushed.ahead.x * back, y: pushed.ahead.y * back, z: over + climb * back });
      const level = line.parts.at(-1)!.settled.place!.to.z;
      const tip = tipAt(pushed, on, travel);
      if (pushed.nose) pose.noses.push({ line: line.id, from: at(tip - pushed.nose.length, line.left, level), to: at(tip, line.left, level) });
      const { answer, reactions, tipDown } = stationAt(launchedOf(pushed, on, rules.steel.modulus, 'heavy', 1), tip);
      if (tipDown !== null) pose.tips.set(line.id, tipDown);
      pushed.rollers.forEach(({ id, x }, n) => {
        const { name } = launch.rollers.find((one) => one.id === id)!;
        pose.rollers.push({ id, name, at: at(x, line.left, level), load: answer.stable ? reactions[n]! : null, line: line.id });
      });
    }
  }
  return pose;
}
