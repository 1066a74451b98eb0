/**
 * Bundles what runs on the server's worker threads into .workers/pool.mjs; packages stay outside. Takes a fraction of a second.
 * The threads are started on .workers/pool.cjs, which imports it: a thread that is ended while it *requires* a module takes the
 * whole process with it.
 */
import { build } from 'esbuild';
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';

await build({
  entryPoints: ['src/server/pool/worker.ts'],
  outfile: '.workers/pool.mjs',
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  packages: 'external',
  jsx: 'automatic',
  logLevel: 'warning',
});
writeFileSync(
  '.workers/pool.cjs',
  `'use strict';
Object.defineProperty(exports, '__esModule', { value: true });
exports.default = import('./pool.mjs').then((tasks) => tasks.default);
`,
);
// What the verdicts of stored revisions are keyed by: the core, the rules and all that tells them.
writeFileSync('.workers/version', createHash('sha256').update(readFileSync('.workers/pool.mjs')).digest('hex').slice(0, 16));
