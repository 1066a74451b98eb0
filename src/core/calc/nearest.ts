/** Edit distance between two words (Levenshtein), one row at a time. */
function distance(a: string, b: string): number {
  let previous = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const substitution = (previous[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1);
      row.push(Math.min((previous[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1, substitution));
    }
    previous = row;
  }
  return previous[b.length] ?? 0;
}

/** The known words nearest to what was written, best first; words too far off to be meant are left out. */
export function nearest(word: string, known: readonly string[], count: number): string[] {
  const wanted = word.toLowerCase();
  return known
    .map((candidate) => ({ candidate, d: distance(wanted, candidate.toLowerCase()) }))
    .filter(({ candidate, d }) => d <= Math.max(2, Math.ceil(Math.max(wanted.length, candidate.length) / 2)))
    .sort((a, b) => a.d - b.d)
    .slice(0, count)
    .map(({ candidate }) => candidate);
}
