import type { NewPlan } from '../../document/new-plan';
import type { Plan } from '../../document/schema';
import { newLaunch, newRoller } from '../../document/things/launch';
import { RunSheet } from './base';
import { girdersPlan, type GirdersAsked } from './girders';

export interface LaunchAsked extends Omit<GirdersAsked, 'bents'> {
  /** length of the nose [m]; 0: none; null: not said */
  nose: number | null;
  /** all of it is built before the first push; else what is joined on when is asked */
  whole: boolean;
}

/**
 * Girder lines pushed over rollers from behind the first pier, in the order it is done: built on rollers with its front end at the first
 * pier, spliced and braced, pushed until its tip comes to each pier, side stops on, lowered.
 */
export function launchPlan(job: NewPlan, { nose, whole, ...asked }: LaunchAsked): Plan {
  const plan = girdersPlan(job, { ...asked, bents: [] });
  const { structure } = plan;
  const { spans, past } = asked;
  const piers = spans.reduce<number[]>((at, one) => [...at, at[at.length - 1]! + one], [0]);
  const total = piers.at(-1)!;
  const travel = total + past;
  const launch = {
    ...newLaunch(
      'launch1',
      'Launch',
      structure.pieces.map(({ id }) => id),
    ),
    towardsDeg: 0,
    travel,
    nose: nose === null ? null : { length: nose, mass: null, stiffness: null, rise: null, carries: null },
    rollers: [
      ...[2, 1].map((n) => newRoller(`yard${n}`, `Roller ${n} in the yard`)),
      ...piers.map((pier, n) => ({ ...newRoller(`roller${n + 1}`, `Roller on pier ${n + 1}`), x: pier + past })),
    ],
  };
  if (whole) for (const one of launch.pieces) one.joined = 0;
  plan.launches = [launch];
  const sheet = new RunSheet();
  sheet.put(...structure.supports.map(({ id }) => ({ kind: 'support.ready' as const, support: id })), { kind: 'launch.build', launch: launch.id });
  const joints = structure.joints.map(({ id }) => id);
  sheet.fill(joints);
  sheet.put(...structure.braces.map(({ id }) => ({ kind: 'brace.fix' as const, brace: id })));
  // It halts where its tip comes to a pier: there the tip is taken up, and what the rollers carry changes.
  const halts = piers.slice(1).flatMap((pier) => {
    const at = pier - (nose ?? 0);
    return at > 0.5 && at < travel - 0.5 ? [at] : [];
  });
  sheet.put(...[...halts, travel].map((to) => ({ kind: 'launch.push' as const, launch: launch.id, to: Number(to.toFixed(3)) })));
  sheet.put({ kind: 'launch.stop', launch: launch.id }, { kind: 'launch.lower', launch: launch.id });
  plan.moves = sheet.moves;
  return plan;
}
