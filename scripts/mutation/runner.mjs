/**
 * Runs the core's own tests inside the mutation tester's process: they are bundled once and only those that reach a mutant are run
 * for it. Starting Jest anew for each of thousands of mutants takes days.
 */
import { readdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import { build } from 'esbuild';
import { expect } from 'expect';

const namespace = '__stryker__';
/** Slow searches through random plans, and those that measure time, tell nothing more of one line. */
const LEFT_OUT = /mutated\.test|strike-dense\.test|property\.test/;

/** Whose tests are run: those of the rooms themselves, or with `KEEN_TRESTLE_MUTATE=plan` those of whole plans too. */
const ROOMS = process.env.KEEN_TRESTLE_MUTATE === 'plan' ? /^/ : /^(rigging|shoring|cranes|beams|strength|stage|frame|calc|fit)\//;

/** What the tests of a bundle say they are. */
function collector() {
  const tests = [];
  const before = [];
  let path = [];
  const add = (name, run) => tests.push({ id: `${tests.length} ${[...path, name].join(' › ')}`, name, run });
  const rows = (each) => (list) => (name, run) => list.forEach((row, n) => each(`${name} ${n}`, () => (Array.isArray(row) ? run(...row) : run(row))));
  const describe = (name, body) => {
    path = [...path, name];
    body();
    path = path.slice(0, -1);
  };
  const test = (name, run) => add(name, run);
  const grouped = (name, body) => describe(name, body);
  return {
    tests,
    before,
    globals: {
      describe: Object.assign(describe, { each: rows(grouped) }),
      test: Object.assign(test, { each: rows(test) }),
      beforeAll: (run) => before.push(run),
    },
  };
}

class BundleRunner {
  capabilities() {
    return { reloadEnvironment: false };
  }

  async init() {
    const files = readdirSync('src/core', { recursive: true })
      .filter((file) => file.endsWith('.test.ts') && ROOMS.test(file) && !LEFT_OUT.test(file))
      .map((file) => join('src/core', file));
    const outfile = resolve('.mutation-bundle.mjs');
    await build({
      stdin: { contents: ['tests/property-seed.ts', ...files].map((file) => `import './${file}';`).join('\n'), resolveDir: process.cwd(), loader: 'ts' },
      bundle: true,
      platform: 'node',
      format: 'esm',
      packages: 'external',
      alias: { '@': resolve('src') },
      outfile,
      logLevel: 'error',
    });
    const { tests, before, globals } = collector();
    Object.assign(globalThis, globals, { it: globals.test, expect });
    globalThis[namespace] ??= {};
    await import(pathToFileURL(outfile).href);
    await rm(outfile);
    for (const run of before) await run();
    this.tests = tests;
  }

  async dryRun() {
    const space = globalThis[namespace];
    const results = [];
    for (const { id, name, run } of this.tests) {
      space.currentTestId = id;
      const start = performance.now();
      const failure = await told(run);
      results.push({ id, name, timeSpentMs: performance.now() - start, status: failure === null ? 0 : 1, failureMessage: failure ?? undefined });
    }
    space.currentTestId = undefined;
    // The quick ones first: most mutants die of one of them.
    const spent = new Map(results.map(({ id, timeSpentMs }) => [id, timeSpentMs]));
    this.tests.sort((a, b) => spent.get(a.id) - spent.get(b.id));
    return { status: 'complete', tests: results, mutantCoverage: runtimeOnly(space.mutantCoverage) };
  }

  async mutantRun({ activeMutant, testFilter, hitLimit }) {
    const space = globalThis[namespace];
    const wanted = testFilter && new Set(testFilter);
    const tests = this.tests.filter(({ id }) => !wanted || wanted.has(id));
    Object.assign(space, { activeMutant: activeMutant.id, hitCount: hitLimit ? 0 : undefined, hitLimit });
    try {
      for (const { id, run } of tests) {
        const failure = await told(run);
        if (hitLimit && space.hitCount > hitLimit) return { status: 'timeout' };
        if (failure !== null) return { status: 'killed', killedBy: [id], failureMessage: failure.slice(0, 300), nrOfTests: tests.length };
      }
      return { status: 'survived', nrOfTests: tests.length };
    } finally {
      space.activeMutant = undefined;
    }
  }
}

/** What is also reached while the tests run is judged by them; only what runs at loading alone is static. */
function runtimeOnly(coverage) {
  const reached = new Set(Object.values(coverage.perTest).flatMap((counts) => Object.keys(counts)));
  return { perTest: coverage.perTest, static: Object.fromEntries(Object.entries(coverage.static).filter(([id]) => !reached.has(id))) };
}

async function told(run) {
  try {
    await run();
    return null;
  } catch (error) {
    return String(error?.message ?? error) || 'failed';
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.TestRunner, 'bundle', BundleRunner)];
