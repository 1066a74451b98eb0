import loadHighs from 'highs';

let solver: ReturnType<typeof loadHighs> | null = null;

/** A whole-number programme solved within so many seconds; null where no answer was found. `optimal`: no better one exists. */
export async function solved(model: string, seconds: number): Promise<{ value: (name: string) => number; optimal: boolean } | null> {
  solver ??= loadHighs();
  const answer = (await solver).solve(model, { time_limit: seconds, output_flag: false });
  if (!('Columns' in answer)) return null;
  const columns = answer.Columns as Record<string, { Primal?: number }>;
  return { value: (name) => columns[name]?.Primal ?? 0, optimal: answer.Status === 'Optimal' };
}
