import type { Move, Plan } from './schema';
import { shoredOpening } from './shoring';
import { strikeGroups } from './strike-groups';

type Fresh = () => string;

/** Moves of the shoring the run sheet does not have yet, in the order they are made: storeys above first, then the lowest. */
export function shoringMoves(plan: Plan, fresh: Fresh): Move[] {
  const { storeys, walls, rows, bents } = plan.shoring;
  const opening = shoredOpening(plan);
  const has = (test: (move: Move) => boolean) => plan.moves.some(test);
  const moves: Move[] = [];
  for (const bearing of plan.bearings.filter(({ id }) => id === opening?.left || id === opening?.right))
    if (!has((move) => move.kind === 'bearing.ready' && move.bearing === bearing.id)) moves.push({ id: fresh(), kind: 'bearing.ready', bearing: bearing.id });
  const level = (storey: string) => storeys.findIndex((one) => one.id === storey);
  const lowestFirst = [...walls, ...rows].sort((a, b) => level(a.storey) - level(b.storey));
  for (const shore of [...lowestFirst, ...bents])
    if (!has((move) => move.kind === 'shore.set' && move.shore === shore.id)) moves.push({ id: fresh(), kind: 'shore.set', shore: shore.id });
  if (opening && walls.length + rows.length > 0) {
    if (!has((move) => move.kind === 'line.open')) moves.push({ id: fresh(), kind: 'line.open' });
    if (!has((move) => move.kind === 'member.set' && move.opening === opening.id)) moves.push({ id: fresh(), kind: 'member.set', opening: opening.id });
    for (const group of strikeGroups(plan))
      if (!has((move) => move.kind === 'shore.strike' && group.steps.some((step) => step.id === move.step)))
        moves.push({ id: fresh(), kind: 'shore.strike', step: group.id });
  }
  return moves;
}
