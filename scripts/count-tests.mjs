/** Prints “passed failed” of a Jest or Playwright JSON report. A runner that failed without a failed test counts one failure. */
import { readFileSync } from 'node:fs';

const [report, code] = process.argv.slice(2);
let passed = 0;
let failed = 0;
try {
  const json = JSON.parse(readFileSync(report, 'utf8'));
  if ('numPassedTests' in json) {
    passed = json.numPassedTests;
    failed = json.numFailedTests + json.numRuntimeErrorTestSuites + json.numPendingTests;
  } else {
    // A test that passed on a second try passed; how many did is told on the error stream.
    passed = json.stats.expected + json.stats.flaky;
    failed = json.stats.unexpected + json.stats.skipped;
    if (json.stats.flaky > 0) console.error(`${json.stats.flaky} passed only when tried again`);
  }
} catch {
  failed = 1;
}
if ((passed === 0 || Number(code) !== 0) && failed === 0) failed = 1;
console.log(`${passed} ${failed}`);
