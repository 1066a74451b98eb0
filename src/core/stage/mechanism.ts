/** A rigid piece of a line: how it begins at the piece before it, and where it is held in height. */
export interface RigidPiece {
  from: number;
  to: number;
  before: 'apart' | 'pin' | 'join';
  holds: readonly number[];
}

const SAME = 1e-9;
const apart = (places: readonly number[]): number[] => [...places].sort((a, b) => a - b).filter((x, i, all) => i === 0 || x - all[i - 1]! > SAME);

/**
 * Whether nothing of a line can move without bending. Pieces that are joined are one body; from pin to pin one asks whether the
 * next pin is held in height by what stands before it, moves with it, or something before it swings about it unseen.
 */
export function heldAsItStands(pieces: readonly RigidPiece[]): boolean {
  const bodies: { pinned: boolean; from: number; to: number; holds: number[] }[] = [];
  for (const { from, to, before, holds } of pieces) {
    const last = bodies.at(-1);
    if (before === 'join' && last) {
      last.to = to;
      last.holds.push(...holds);
    } else bodies.push({ pinned: before === 'pin' && last !== undefined, from, to, holds: [...holds] });
  }
  // What is known of the pin the next body hangs on: held in height, or moving with the body before.
  let pin: 'none' | 'held' | 'moves' = 'none';
  for (const [i, { pinned, from, to, holds }] of bodies.entries()) {
    const led = pinned ? pin : 'none';
    const held = apart(led === 'held' ? [...holds, from] : holds);
    // The body alone has two ways to move; one that comes in with a moving pin adds none of its own, it only has to be followed.
    const free = Math.max(0, 2 - held.length);
    const onward = bodies[i + 1]?.pinned ?? false;
    if (free === 2) return false;
    if (free === 0) {
      pin = 'held';
      continue;
    }
    const [about] = held;
    // It turns about its one hold: what comes after feels that only if the next pin is not that hold.
    if (!onward || about === undefined || Math.abs(about - to) < SAME) return false;
    pin = 'moves';
  }
  return true;
}
