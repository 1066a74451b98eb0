import { phrase, q } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import type { Rules } from '../../rules/rule-sets';
import { joistOnShore } from '../../shoring/joist-on-shore.calc';
import { timberValues } from '../../shoring/timber-grades';
import { timberScrew } from '../../shoring/timber-screw.calc';
import { timberScrewEn } from '../../shoring/timber-screw-en.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { ShoreWall } from '../../document/schema';
import type { WallStuds } from '../../settle/wall-studs';
import { missingCheck, ratioCheck, told, traced } from '../../verdict/build';
import { shorePlace } from './place';

interface Held {
  force: number;
  words: string;
  traces: Trace[];
}

/** Boards screwed across the studs: each holds, along the floor, what the screws of one end hold. Null: no boards are told. */
export function screwedBracing(wall: ShoreWall, rules: Rules): Held | Missing | null {
  if (wall.diagonals === null) return null;
  const { count, angleDeg, board, screws, diameter, length } = wall.diagonals;
  const values = timberValues(wall.stud.grade, rules.id);
  if (!values) return new Missing(`Grade ${wall.stud.grade} has no values in this rule set: choose a grade of its own tables for ${wall.name}.`);
  const into = Math.min(length - board, wall.stud.depth);
  if (!(into > 0)) return new Missing(`The screws of ${wall.name} are no longer than its boards are thick: which screws go through?`);
  const shared = { diameter, side: board, into };
  const duration = rules.value('timberDuration');
  const hand = (): { each: number; traces: Trace[] } | string => {
    if (rules.id === 'eu-ls') {
      const run = traced(timberScrewEn, { ...shared, density: values.dense, kmod: duration, gammaM: rules.value('timberGamma') });
      return run.outcome.ok ? { each: run.outcome.output.design, traces: run.traces } : run.outcome.error;
    }
    const run = traced(timberScrew, { ...shared, gravity: values.dense, loadDuration: duration });
    return run.outcome.ok ? { each: run.outcome.output.allowable, traces: run.traces } : run.outcome.error;
  };
  const one = hand();
  if (typeof one === 'string') return new Missing(`${wall.name}: ${one}`);
  const force = count * screws * one.each * Math.cos((angleDeg * Math.PI) / 180);
  return { force, words: `, ${count} board${count === 1 ? '' : 's'} with ${screws} screws at each end,`, traces: one.traces };
}

/** What the diagonals hold along the wall: the figure given, or else that of their screws. */
export function bracingCheck(wall: ShoreWall, answer: WallStuds, rules: Rules): Check {
  const needed = rules.value('shoreLateral') * answer.studs.reduce((sum, stud) => sum + stud.load, 0);
  const lateral = rules.source('shoreLateral').text;
  const place = shorePlace('bracing', wall, joistOnShore, lateral);
  const held = wall.bracing === null ? screwedBracing(wall, rules) : { force: wall.bracing, words: '', traces: [] };
  if (held === null)
    return missingCheck(
      place,
      'force',
      `What sideways force does the diagonal bracing of ${wall.name} hold? Tell its boards and screws, or the engineer’s figure.`,
    );
  if (held instanceof Missing) return missingCheck(place, 'force', held.questions.join(' '));
  const screw = rules.id === 'eu-ls' ? timberScrewEn : timberScrew;
  return ratioCheck(
    held.traces.length > 0 ? shorePlace('bracing', wall, screw, `${lateral} · ${screw.source.text}`) : place,
    { demand: needed, capacity: held.force, quantity: 'force', caution: null, inclusive: true },
    told(phrase`${wall.name} is to be braced for ${q(needed, 'force')} sideways; its diagonals${held.words} hold ${q(held.force, 'force')}.`),
    [...answer.traces, ...held.traces],
  );
}
