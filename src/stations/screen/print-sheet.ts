/** How far a sheet is laid out. */
export interface Laid {
  done: number;
  of: number;
}
type Line = Laid | { pdf: string; name: string } | { error: string };

/**
 * A sheet laid out in sight: the server tells each stretch of pages as it is done, then sends the paper. Null when it was handed
 * over, or broken off by the person; otherwise why it was not made.
 */
export async function printSheet(address: string, signal: AbortSignal, told: (laid: Laid) => void): Promise<string | null> {
  try {
    const response = await fetch(address, { headers: { Accept: 'application/x-ndjson' }, signal });
    if (!response.ok || !response.body)
      return ((await response.json().catch(() => null)) as { detail?: string } | null)?.detail ?? 'The server did not make it. Try again.';
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let rest = '';
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return 'The server broke off before the sheet was done. Try again.';
      const lines = (rest + value).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const said = JSON.parse(line) as Line;
        if ('error' in said) return said.error;
        if ('done' in said) told(said);
        else {
          hand(said);
          return null;
        }
      }
    }
  } catch (problem) {
    return signal.aborted ? null : `The sheet was not made: ${(problem as Error).message}. Try again.`;
  }
}

/** Hand the paper over as a file. */
function hand({ pdf, name }: { pdf: string; name: string }): void {
  const bytes = Uint8Array.from(atob(pdf), (letter) => letter.charCodeAt(0));
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([bytes], { type: 'application/pdf' }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
