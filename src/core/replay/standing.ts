import { lineViews, type LinePlan } from '../document/views';
import type { Moment } from './now';
import type { Check } from '../verdict/check';
import { Missing } from '../verdict/missing';
import type { Plan, ShoreRow, ShoreWall, StrikeStep } from '../document/schema';
import { needlePlaces } from '../settle/shore-layout';
import { studLayout } from '../settle/shore-layout';
import { beamAt, standsAt } from './moment';
import { shoreState } from './shore-state';
import { strikeGroups } from '../document/strike-groups';
import { formatQuantity } from '../units';

/** Past this many pieces those not here yet are not named one by one. */
const MANY = 12;

const loadsOf = new WeakMap<readonly Check[], Map<string, number>>();

/** What each piece brings onto each of its bearings, by the ids of both, read off the checks once for all moments. */
function seatLoads(checks: readonly Check[]): Map<string, number> {
  let known = loadsOf.get(checks);
  if (!known) {
    known = new Map(
      checks.flatMap(({ finding, about }) => (finding.code === 'set.postLoad' ? [[`${about.id}/${about.part}`, finding.reaction] as const] : [])),
    );
    loadsOf.set(checks, known);
  }
  return known;
}

/** Of the structure: how many supports are ready, what hangs, what is set. */
function structureStands({ structure }: Plan, { structure: now }: Moment): string[] {
  const { supports, pieces } = structure;
  if (pieces.length === 0) return [];
  const marks = (where: 'rolling' | 'hanging' | 'set') => pieces.filter((one) => beamAt(now, one.id).where === where).map((one) => one.mark);
  const named = (list: string[]) => (list.length > MANY ? `${list.length} pieces` : list.join(', '));
  const [roll, hang, set] = [marks('rolling'), marks('hanging'), marks('set')];
  return [
    `${supports.filter((one) => standsAt(now, one.id)).length} of ${supports.length} supports stand`,
    ...(set.length > 0 ? [`${named(set)} set`] : []),
    ...(roll.length > 0 ? [`${named(roll)} on rollers`] : []),
    ...(hang.length > 0 ? [`${named(hang)} on the hook`] : []),
  ];
}

/** What stands, hangs and is loose at a moment, and what carries it, in one line. Null: what each carries is left out. */
export function standing(plan: Plan, moment: Moment, checks: readonly Check[] | null): string {
  const ready = plan.bearings.filter((bearing) => moment.bearingsReady[bearing.id]).map((bearing) => bearing.name);
  const loads = checks && seatLoads(checks);
  const bearings = new Map(plan.bearings.map((one) => [one.id, one]));
  const parts = [
    ...(plan.bearings.length === 0 ? [] : [ready.length === 0 ? 'No bearing is ready' : `${ready.join(' and ')} ready`]),
    ...structureStands(plan, moment),
  ];
  for (const piece of plan.pieces) {
    const state = moment.pieces[piece.id]!;
    if (state.where === 'away' && plan.pieces.length > MANY) continue;
    const seats = [piece.seat.left, piece.seat.right].flatMap((id) => bearings.get(id) ?? []);
    const carry = seats.flatMap(({ id, name }) => {
      if (!loads) return [];
      const load = loads.get(`${id}/${piece.id}`);
      return load === undefined ? `${name} not known` : `${name} ${formatQuantity(load, 'force', plan.job.units)}`;
    });
    const said: Record<typeof state.where, string> = {
      away: `${piece.mark} not here yet`,
      delivered: `${piece.mark} on the truck`,
      slung: `${piece.mark} on the truck, slung`,
      hanging: `${piece.mark} on the hook over its seats`,
      landed: `${piece.mark} landed, hook still holding, ${state.bolts.left ?? '?'} + ${state.bolts.right ?? '?'} bolts`,
      free: `${piece.mark} set${carry.length > 0 ? `: ${carry.join(', ')}` : ''}${state.tightened ? ', tightened' : state.plumbed ? ', plumbed' : ', not yet plumbed'}`,
    };
    parts.push(said[state.where]);
  }
  for (const line of lineViews(plan)) parts.push(...lineStands(line, moment));
  return parts.join(' · ');
}

/** Of a shored line: what of it stands, whether it is open and the new piece in, how far it is struck. */
function lineStands(plan: LinePlan, moment: Moment): string[] {
  const { walls, rows, opening, lines, name } = plan.shoring;
  const { set, open, struck } = shoreState(plan, moment);
  if (walls.length + rows.length === 0 || set === null) return [];
  const groups = strikeGroups(plan.shoring);
  const steps = groups.slice(0, struck).flatMap((group) => group.steps);
  const up = [...walls, ...rows].filter((shore) => set.has(shore.id) && !wholly(plan, shore, steps)).length;
  const where = lines.length > 1 ? ` at ${name}` : '';
  const mark = plan.members.find((one) => one.id === plan.survey.openings.find(({ id }) => id === opening)?.member)?.mark ?? 'the new piece';
  return [
    `${up} of ${walls.length + rows.length} shores stand${where}`,
    ...(open ? ['line open', `${mark} ${opening !== null && moment.membersSet[opening] ? 'in' : 'not in yet'}`] : []),
    ...(open && struck > 0 ? [`${struck} of ${groups.length} struck`] : []),
  ];
}

/** Struck as a whole, or stud by stud until none is left. */
function wholly(plan: LinePlan, shore: ShoreWall | ShoreRow, steps: readonly StrikeStep[]): boolean {
  const own = steps.filter((step) => step.shore === shore.id);
  if (own.some((step) => step.units.length === 0)) return true;
  const studs = 'count' in shore ? needlePlaces(shore).map((_, i) => ({ number: i + 1 })) : studLayout(plan, shore);
  if (studs instanceof Missing) return false;
  const out = new Set(own.flatMap((step) => step.units));
  return studs.length > 0 && studs.every(({ number }) => out.has(number));
}
