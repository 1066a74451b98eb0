import { createRunner } from 'jest-light-runner';

/*
 * The core is pure: its tests share one process a processor, in which each module is read and warmed once. In a context of its own for
 * every file, reading the modules anew takes longer than the tests.
 */
process.env.NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ''} --import tsx --import ${new URL('./core-worker.mjs', import.meta.url).href}`;

const Runner = createRunner({ runtime: 'child_process' });

export default class CoreRunner extends Runner {
  constructor(globalConfig, ...rest) {
    // with one worker the runner would use Jest's own process, which does not read TypeScript
    super({ ...globalConfig, maxWorkers: Math.max(2, globalConfig.maxWorkers) }, ...rest);
  }
}
