import type { Trace } from '../../calc/evidence';
import { levelAdjust } from '../../fit/level-adjust.calc';
import { memberLength } from '../../fit/member-length.calc';
import { offDrawing } from '../../fit/off-drawing.calc';
import { pocketSize } from '../../fit/pocket.calc';
import { postCut } from '../../fit/post-cut.calc';
import { fitThermal } from '../../fit/thermal.calc';
import type { QuantityKind } from '../../units';
import { bearingAsMeasured, clearOf } from '../../settle/settle';
import { lengthInput } from '../../settle/length-input';
import { memberSize } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import type { Plan } from '../../document/schema';
import type { Context } from '../context';
import { traced } from '../../verdict/build';

/** A figure worked out from the survey, with its working: no limit, so no verdict. */
export interface Derived {
  id: string;
  subject: string;
  title: string;
  value: number;
  kind: QuantityKind;
  traces: Trace[];
}

const steelExpansion = 12e-6;

/** Lengths, pockets, turns and growth that follow from the survey. Posts are cut and nuts turned to the drawn seat. */
export function derivedFigures({ plan, rules }: Context, drawn: Plan): Derived[] {
  const list: Derived[] = [];
  const add = (id: string, subject: string, title: string, value: number, kind: QuantityKind, traces: Trace[]) =>
    list.push({ id, subject, title, value, kind, traces });
  for (const opening of plan.survey.openings) {
    const clear = clearOf(opening);
    if (clear === null) continue;
    const clearance = opening.clearance ?? rules.value('trapClearance');
    const cut = traced(memberLength, lengthInput(opening, plan, clear, clearance));
    if (cut.outcome.ok) add('cut', opening.name, 'Length to cut', cut.outcome.output.length, 'length', cut.traces);
    const member = plan.members.find((one) => one.id === opening.member);
    const size = member ? memberSize(member) : null;
    if (member && size && !(size instanceof Missing)) {
      const pocket = traced(pocketSize, {
        width: size.width,
        depth: size.depth,
        packingSides: member.packing.sides,
        packingHeight: member.packing.height,
        clearance: rules.value('pocketClearance'),
      });
      if (pocket.outcome.ok) add('pocket', opening.name, 'Pocket width, from the packed piece', pocket.outcome.output.pocketWidth, 'dimension', pocket.traces);
    }
    const { measuring, setting } = opening.air;
    if (member && measuring !== null && setting !== null) {
      const grown = traced(fitThermal, { length: member.length, deltaT: setting - measuring, coefficient: steelExpansion });
      if (grown.outcome.ok) add('thermal', opening.name, 'Grows between measuring and setting', grown.outcome.output.change, 'dimension', grown.traces);
    }
  }
  for (const bearing of drawn.bearings) {
    const found = bearing.measured?.level ?? null;
    if (found !== null && Math.abs(bearing.level - found) >= 0.0005) {
      const off = traced(offDrawing, { drawn: bearing.level, measured: found, tolerance: rules.value('surveyTolerance') });
      if (off.outcome.ok)
        add('shims', bearing.name, found < bearing.level ? 'Shims under it, in all' : 'Stands too high by', off.outcome.output.off, 'dimension', off.traces);
    }
    if (!bearing.post) continue;
    const { baseLevel, plates, tightFit, pitch } = bearing.post;
    const cut = traced(postCut, { seatLevel: bearing.level, baseLevel, plates, tightFit });
    if (cut.outcome.ok) add('post', bearing.name, 'Length to cut the post', cut.outcome.output.length, 'length', cut.traces);
    if (pitch !== null) {
      const wanted = bearing.level;
      const turns = traced(levelAdjust, { wanted, found: bearingAsMeasured(bearing).level, pitch, shim: 0.002 });
      if (turns.outcome.ok) add('turns', bearing.name, 'Turns of each levelling nut', turns.outcome.output.turns, 'factor', turns.traces);
    }
  }
  return list;
}
