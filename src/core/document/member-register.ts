import { memberStates, type Member } from './schema';

export interface StateCount {
  state: Member['state'];
  /** pieces that stand in this state now */
  pieces: number;
  /** pieces in this state or past it */
  reached: number;
}

/** Pieces by how far they have come, against the whole; states nobody is in or past are left in, at nought. */
export function countsByState(members: readonly Pick<Member, 'state' | 'count'>[]): { total: number; counts: StateCount[] } {
  const pieces = new Map<Member['state'], number>();
  for (const { state, count } of members) pieces.set(state, (pieces.get(state) ?? 0) + count);
  let reached = 0;
  const counts = [...memberStates]
    .reverse()
    .map((state): StateCount => {
      const here = pieces.get(state) ?? 0;
      reached += here;
      return { state, pieces: here, reached };
    })
    .reverse();
  return { total: reached, counts };
}
