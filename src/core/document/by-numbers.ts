/** All that an answer was worked out from, in numbers and names, in one order. */
export class Signature {
  readonly numbers: number[] = [];
  readonly ids: string[] = [];

  put(...numbers: number[]): void {
    for (const one of numbers) this.numbers.push(one);
  }
}

interface Kept<V> {
  numbers: readonly number[];
  ids: readonly string[];
  answer: V;
}

/** Answers kept by all that goes into them, wherever it comes from; past so many the oldest are forgotten. */
export class ByNumbers<V> {
  private readonly kept = new Map<number, Kept<V>>();

  constructor(private readonly most: number) {}

  get({ numbers, ids }: Pick<Readonly<Kept<V>>, 'numbers' | 'ids'>, make: () => V): V {
    const key = hashOf(numbers, ids);
    const before = this.kept.get(key);
    if (before && same(before.numbers, numbers) && same(before.ids, ids)) return before.answer;
    const answer = make();
    if (this.kept.size >= this.most) this.kept.delete(this.kept.keys().next().value!);
    this.kept.set(key, { numbers, ids, answer });
    return answer;
  }
}

const same = <T>(a: readonly T[], b: readonly T[]): boolean => a.length === b.length && a.every((one, i) => Object.is(one, b[i]));

const bits = new Float64Array(1);
const halves = new Int32Array(bits.buffer);
function hashOf(numbers: readonly number[], ids: readonly string[]): number {
  let [one, two] = [17, 31];
  const mix = (value: number): void => {
    one = Math.imul(one ^ value, 0x01000193);
    two = Math.imul((two << 5) ^ (two >>> 27) ^ value, 0x85ebca6b);
  };
  for (const number of numbers) {
    bits[0] = number;
    mix(halves[0]!);
    mix(halves[1]!);
  }
  for (const id of ids) for (let i = 0; i < id.length; i += 1) mix(id.charCodeAt(i));
  return (one >>> 0) * 0x200000 + (two >>> 11);
}
