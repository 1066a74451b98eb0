import { greatestDown, type Bent } from '../beams/continuous';

/** The shape of one beam over several steps: increments told at the same places are added, and read where the sum is greatest. */
export class Sag {
  private readonly at = new Map<number, Bent>();

  add(increment: readonly Bent[]): void {
    for (const { x, down, slope } of increment) {
      const known = this.at.get(x);
      this.at.set(x, { x, down: (known?.down ?? 0) + down, slope: (known?.slope ?? 0) + slope });
    }
  }

  greatest(): number {
    return greatestDown([...this.at.values()].sort((a, b) => a.x - b.x));
  }
}
