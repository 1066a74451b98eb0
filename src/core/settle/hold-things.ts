import { allShores, lineOf, lineShores } from '../document/views';
import { temporarySupports } from '../document/things/support-kinds';
import { distance } from '../geometry/plane';
import type { Rules } from '../rules/rule-sets';
import { memberSize } from './member-weight';
import { Missing } from '../verdict/missing';
import type { Hold, HoldReading } from '../document/holds';
import type { Bearing, HoldRecord } from '../document/schema';
import type { SettledPlan } from './settle';
import { allStrikeGroups } from '../document/strike-groups';

/** One thing a hold point wants a number of. */
export interface HoldThing {
  id: string;
  name: string;
  /** what the plan itself says of it, SI; null where it says nothing */
  says: number | null;
  /** least the number may be, SI; null where there is no such limit */
  least: number | null;
}

const spanOf = (left: Bearing | undefined, right: Bearing | undefined): number | null => (left && right ? distance(left.at, right.at) : null);

/** Supports of the structure that stand for a time only. */
const temporaryOf = ({ structure }: SettledPlan) => structure.supports.filter((one) => temporarySupports.includes(one.kind));

/** Of several lines, each thing of one is named with it: walls of two may be called alike. */
const ofLine = (plan: SettledPlan, id: string, name: string): string => {
  const line = plan.shoring.lines.length > 1 ? lineOf(plan, id) : undefined;
  return line ? `${name} (${line.name})` : name;
};

/** The things of a plan a hold point reads: each pour, each span, each shore, each pocket, each step of the strike, the shift. */
export function thingsOf(plan: SettledPlan, rules: Rules, of: HoldReading['of']): HoldThing[] {
  const bearing = (id: string) => plan.bearings.find((one) => one.id === id);
  switch (of) {
    case 'pours':
      return [...plan.bearings, ...plan.structure.supports].flatMap(({ id, name, footing }) =>
        footing?.kind === 'concrete'
          ? [{ id, name, says: footing.result, least: footing.intended === null ? null : footing.intended * rules.value('concreteShare') }]
          : [],
      );
    case 'spans': {
      const lines = plan.survey.lines.map((line): HoldThing => {
        const spans = line.bearings.slice(1).map((id, i) => spanOf(bearing(line.bearings[i] ?? ''), bearing(id)));
        return { id: line.id, name: line.name, says: spans.includes(null) ? null : spans.reduce<number>((sum, one) => sum + (one ?? 0), 0), least: null };
      });
      if (lines.length > 0) return lines;
      const pieces = plan.pieces.map(({ id, mark, seat }) => ({
        id,
        name: `span of ${mark}`,
        says: spanOf(bearing(seat.left), bearing(seat.right)),
        least: null,
      }));
      if (pieces.length > 0) return pieces;
      return plan.survey.openings.map(({ id, name, left, right }) => ({
        id,
        name: `seats of ${name}`,
        says: spanOf(bearing(left), bearing(right)),
        least: null,
      }));
    }
    case 'shores':
      // What a wall of studs may take is worked out; of a bent the plan states what its tag should say, unless that is a design value.
      return [
        ...allShores(plan).map(({ id, name }): HoldThing => ({ id, name: ofLine(plan, id, name), says: null, least: null })),
        ...temporaryOf(plan).map(({ id, name, capacity, capacityBasis }): HoldThing => ({
          id,
          name,
          says: capacityBasis === 'design' ? null : capacity,
          least: null,
        })),
      ];
    case 'lineShores':
      return lineShores(plan).map(({ id, name }) => ({ id, name: ofLine(plan, id, name), says: null, least: null }));
    case 'pockets':
      return plan.survey.openings.flatMap((opening) => {
        if (!plan.moves.some((move) => move.kind === 'member.set' && move.opening === opening.id)) return [];
        const member = plan.members.find((one) => one.id === opening.member);
        const size = member ? memberSize(member) : null;
        const packed = member && size && !(size instanceof Missing) ? size.width + member.packing.sides : null;
        return [{ id: opening.id, name: opening.name, says: opening.bay.width, least: packed }];
      });
    case 'shift':
      // What is raised without a crane is raised indoors, or by what says so itself.
      return plan.picks.length === 0 ? [] : [{ id: 'shift', name: 'the shift of the lifts', says: null, least: null }];
    case 'strikeSteps':
      return [...allStrikeGroups(plan), ...temporaryOf(plan)].map(({ id, name }) => ({ id, name: ofLine(plan, id, name), says: null, least: null }));
  }
}

export const readingOf = (record: HoldRecord | undefined, thing: string): number | null => record?.readings?.find((one) => one.of === thing)?.value ?? null;

/** The things of a hold point its record has no number of. */
export const unread = (plan: SettledPlan, rules: Rules, hold: Hold, record: HoldRecord | undefined): HoldThing[] =>
  hold.reading ? thingsOf(plan, rules, hold.reading.of).filter((thing) => readingOf(record, thing.id) === null) : [];
