import { existsSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { SECONDS, type TaskName, type Tasks } from './tasks';

const file = () => resolve(process.cwd(), '.workers/pool.cjs');

/** One pool a process; kept across reloads of the module in development. */
const shared = globalThis as unknown as { keenTrestleThreads?: Piscina };

function threads(): Piscina {
  if (!shared.keenTrestleThreads) {
    if (!existsSync(file())) throw new Error('The worker threads are not built: run node scripts/build-workers.mjs, or npm run build.');
    shared.keenTrestleThreads = new Piscina({
      filename: file(),
      minThreads: 0,
      maxThreads: Math.max(2, Math.min(4, availableParallelism())),
      idleTimeout: 60_000,
      maxQueue: 200,
      resourceLimits: { maxOldGenerationSizeMb: 1536, stackSizeMb: 8 },
      execArgv: [],
    });
  }
  return shared.keenTrestleThreads;
}

/** A task that was not finished, and why, in words for the person who asked. */
export class NotFinished extends Error {
  constructor(
    readonly why: 'left' | 'long' | 'memory' | 'busy',
    message: string,
  ) {
    super(message);
    this.name = 'NotFinished';
  }
}

/**
 * Runs a task on a worker thread, within its time and its memory. It is broken off when `signal` says that nobody waits for it any
 * more.
 */
export async function inPool<N extends TaskName>(
  name: N,
  input: Tasks[N]['input'],
  { signal, transfer }: { signal?: AbortSignal; transfer?: readonly (ArrayBuffer | MessagePort)[] } = {},
): Promise<Tasks[N]['output']> {
  const clock = AbortSignal.timeout(SECONDS[name] * 1000);
  try {
    return (await threads().run(
      { name, input },
      { signal: signal ? AbortSignal.any([signal, clock]) : clock, ...(transfer ? { transferList: [...transfer] as never } : {}) },
    )) as Tasks[N]['output'];
  } catch (failure) {
    if (signal?.aborted) throw new NotFinished('left', 'Nobody waits for it any more.');
    if (clock.aborted) throw new NotFinished('long', `It took more than ${SECONDS[name]} s and was given up. Ask for less at a time.`);
    const { code, message } = failure as { code?: string; message?: string };
    if (code === 'ERR_WORKER_OUT_OF_MEMORY')
      throw new NotFinished('memory', 'It needed more memory than it may have and was given up. Ask for less at a time.');
    if (/queue/i.test(message ?? '')) throw new NotFinished('busy', 'Too much is being worked out at the moment. Try again shortly.');
    throw failure;
  }
}

/** The core and the rules the threads run, as one word: verdicts of another version are not shown. */
export const coreVersion = (): string => {
  const path = resolve(process.cwd(), '.workers/version');
  return existsSync(path) ? readFileSync(path, 'utf8').trim() : 'unbuilt';
};

export async function closePool(): Promise<void> {
  await shared.keenTrestleThreads?.destroy();
  shared.keenTrestleThreads = undefined;
}
