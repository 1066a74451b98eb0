/**
 * Runs a script of TypeScript as the program ships: bundled, so that no helper of a development runner stands in what is timed.
 * Usage: node scripts/run-bundled.mjs bench/core-line.mts
 */
import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { basename } from 'node:path';

const [script, ...args] = process.argv.slice(2);
const outfile = `.workers/${basename(script).replace(/\.mts$/, '')}.mjs`;
await build({
  entryPoints: [script],
  outfile,
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  packages: 'external',
  jsx: 'automatic',
  logLevel: 'warning',
});
process.exit(spawnSync(process.execPath, [...(process.env.NODE_ARGS?.split(' ') ?? []), outfile, ...args], { stdio: 'inherit' }).status ?? 1);
