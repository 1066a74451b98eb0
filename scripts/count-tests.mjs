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
    passed = json.stats.expected;
    failed = json.stats.unexpected + json.stats.flaky + json.stats.skipped;
  }
} catch {
  failed = 1;
}
if ((passed === 0 || Number(code) !== 0) && failed === 0) failed = 1;
console.log(`${passed} ${failed}`);
