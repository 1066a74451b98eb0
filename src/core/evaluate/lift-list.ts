import type { RaiseKind } from '../document/things/raise';
import { levelOf, type Level } from '../checks/lift/level';
import type { Check } from '../verdict/check';
import { markLifted, standOf } from '../document/lookups';
import type { Pick, Plan, Raise } from '../document/schema';

/** One lift of the job as a list tells it. */
export interface LiftRow {
  id: string;
  /** number of the move that lifts it; null: no move does */
  move: number | null;
  mark: string;
  how: string;
  /** most on one hook or at one place [kg]; null: not known */
  mass: number | null;
  /** longest radius it is read at [m]; null without a crane, or not known */
  radius: number | null;
  /** share of what the gear may carry; null: not known */
  share: number | null;
  /** gust that stops it [m/s]; null without a crane, or not known */
  gust: number | null;
  /** how much planning it asks for; null: of a lift without a crane nobody says */
  level: Level | null;
  /** why it is a critical or complex lift; empty: it is none */
  critical: string;
}

const most = (values: readonly (number | null)[]): number | null =>
  values.reduce<number | null>((found, one) => (one === null ? found : Math.max(found ?? -Infinity, one)), null);

/** Every lift of the job in the order it is made: by crane, and without one. */
export function liftList(plan: Plan, checks: readonly Check[]): LiftRow[] {
  const of = new Map<string, Check[]>();
  for (const check of checks)
    if (check.about.kind === 'pick' || check.about.kind === 'raise') {
      const list = of.get(check.about.id);
      if (list) list.push(check);
      else of.set(check.about.id, [check]);
    }
  const at = new Map<string, number>();
  plan.moves.forEach((move, i) => {
    const pick = move.kind === 'pick.lift' || move.kind === 'piece.hang' ? move.pick : null;
    const load = move.kind === 'piece.hang' ? move.beam : move.kind === 'member.set' ? move.opening : null;
    for (const id of [pick, load]) if (id && !at.has(id)) at.set(id, i + 1);
  });
  const rows = [
    ...plan.picks.map((pick) => byCrane(plan, pick, of.get(pick.id) ?? [], at.get(pick.id) ?? null)),
    ...(plan.raises ?? []).map((raise) => withoutCrane(plan, raise, of.get(raise.id) ?? [], at.get(raise.load) ?? null)),
  ];
  return rows.sort((a, b) => (a.move ?? Infinity) - (b.move ?? Infinity) || 0);
}

function byCrane(plan: Plan, pick: Pick, checks: readonly Check[], move: number | null): LiftRow {
  const charts = checks.filter(({ finding }) => finding.code === 'lift.chart');
  const hooks = pick.second ? 2 : 1;
  const known = charts.length === hooks && charts.every(({ ratio }) => ratio !== null);
  const share = known ? most(charts.map(({ ratio }) => ratio)) : null;
  const level = levelOf(plan, pick, checks);
  const winds = checks.filter(({ finding, capacity }) => finding.code === 'lift.wind' && capacity !== null);
  return {
    id: pick.id,
    move,
    mark: markLifted(plan, pick),
    how: [pick.stand, ...(pick.second ? [pick.second.stand] : [])].map((id) => `crane at ${standOf(plan, id).name}`).join(' and '),
    mass: known ? most(charts.map(({ finding }) => (finding.code === 'lift.chart' ? finding.gross : null))) : null,
    radius: known ? most(charts.map(({ finding }) => (finding.code === 'lift.chart' ? finding.radius : null))) : null,
    share,
    gust: winds.length === hooks ? Math.min(...winds.map(({ capacity }) => capacity!)) : null,
    level,
    critical: level.signed ? level.why.join(', ') : '',
  };
}

const gearName = { mastLift: 'mast lift', hoist: 'hoist', jack: 'jack', hands: 'hands' } as const satisfies Record<RaiseKind, string>;

function withoutCrane(plan: Plan, raise: Raise, checks: readonly Check[], move: number | null): LiftRow {
  const shares = checks.filter(({ id }) => id === 'raise.share');
  const known = raise.points.length > 0 && shares.length > 0 && shares.every(({ ratio }) => ratio !== null);
  const opening = plan.survey.openings.find(({ id }) => id === raise.load);
  const mark = plan.structure.pieces.find(({ id }) => id === raise.load)?.mark ?? plan.members.find(({ id }) => id === opening?.member)?.mark;
  const kinds = [...new Set(raise.points.map(({ kind }) => kind))];
  return {
    id: raise.id,
    move,
    mark: mark ?? opening?.name ?? raise.load,
    how: kinds.map((kind) => `${raise.points.filter((one) => one.kind === kind).length} × ${gearName[kind]}`).join(', ') || 'not said',
    mass: known && shares.every(({ quantity }) => quantity === 'mass') ? most(shares.map(({ demand }) => demand)) : null,
    radius: null,
    share: known ? most(shares.map(({ ratio }) => ratio)) : null,
    gust: null,
    level: null,
    critical: '',
  };
}
