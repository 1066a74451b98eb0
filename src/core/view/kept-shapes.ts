import type { Shape } from './draw-list';

const texts = new WeakMap<readonly Shape[], ReadonlyMap<string, readonly Shape[]>>();

function byText(shapes: readonly Shape[]): ReadonlyMap<string, readonly Shape[]> {
  let known = texts.get(shapes);
  if (!known) {
    const made = new Map<string, Shape[]>();
    for (const shape of shapes) {
      const text = JSON.stringify(shape);
      const alike = made.get(text);
      if (alike) alike.push(shape);
      else made.set(text, [shape]);
    }
    texts.set(shapes, (known = made));
  }
  return known;
}

/** The shapes of a drawing, those of the one before in place of what is drawn as it was: only the others are painted anew. */
export function keptShapes(before: readonly Shape[], now: readonly Shape[]): Shape[] {
  const known = byText(before);
  const taken = new Map<string, number>();
  const kept = now.map((shape) => {
    const text = JSON.stringify(shape);
    const n = taken.get(text) ?? 0;
    taken.set(text, n + 1);
    // Each of before stands in once.
    return known.get(text)?.[n] ?? shape;
  });
  byText(kept);
  return kept;
}
