/** How long after a part of the program could not be read it is asked for again [ms]. */
const AGAIN_MS = 2000;

let waiting = 0;
const heard = new Set<() => void>();
const say = (by: number): void => {
  waiting += by;
  heard.forEach((hear) => hear());
};

/** Whether a part of the program is waited for because the server does not answer. */
export const waits = (): boolean => waiting > 0;
export function onWaits(hear: () => void): () => void {
  heard.add(hear);
  return () => void heard.delete(hear);
}

const away = (error: unknown): boolean => error instanceof Error && error.name === 'ChunkLoadError';

/**
 * Reads a part of the program that does not come with the page. While the server is away it is asked for again and again:
 * whoever opened something sees it as soon as it is here, and nothing of the page breaks meanwhile.
 */
export async function again<T>(read: () => Promise<T>): Promise<T> {
  let told = false;
  try {
    for (;;) {
      try {
        return await read();
      } catch (error) {
        if (!away(error)) throw error;
        if (!told) say(1);
        told = true;
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      }
    }
  } finally {
    if (told) say(-1);
  }
}
