export const median = (list: readonly number[]): number => quantile(list, 0.5);
export const quantile = (list: readonly number[], share: number): number => [...list].sort((a, b) => a - b)[Math.floor(list.length * share)] ?? NaN;

/** Median time of a piece of work, warmed up first. */
export function time(work: () => void, rounds: number): number {
  for (let i = 0; i < rounds / 4; i += 1) work();
  const samples: number[] = [];
  for (let i = 0; i < rounds; i += 1) {
    const start = performance.now();
    work();
    samples.push(performance.now() - start);
  }
  return median(samples);
}

/** Plain arithmetic done in the same run: everything else is told as a multiple of it. */
export function yardstick(): void {
  let sum = 0;
  for (let i = 1; i < 100_000; i += 1) sum += Math.sin(i) * Math.sqrt(i);
  if (Number.isNaN(sum)) throw new Error('not a number');
}

export function tell(name: string, samples: readonly number[], budget: number): void {
  const middle = median(samples);
  console.log(
    `${name}: median ${middle.toFixed(1)} ms, 90 % under ${quantile(samples, 0.9).toFixed(1)} ms, least ${Math.min(...samples).toFixed(1)} ms over ${samples.length}; ${(middle / budget).toFixed(2)} of its ${budget} ms`,
  );
}
