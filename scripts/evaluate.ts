/** evaluate <plan.json> → the report as JSON. Exit 0 clear or tight, 1 stop or missing, 2 unreadable. */
import { readFileSync } from 'node:fs';
import { openPlanText } from '../src/core/plan/open';
import { report } from '../src/core/plan/report';
import { dayOf } from '../src/core/plan/day';

function finish(value: unknown, code: number): void {
  process.stdout.write(JSON.stringify(value, null, 2) + '\n', () => process.exit(code));
}

function main(path: string | undefined): void {
  if (!path) return finish({ error: 'Write: evaluate <plan.json>.', path: '' }, 2);
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    return finish({ error: `${path} cannot be read: check the path.`, path: '' }, 2);
  }
  const opened = openPlanText(text);
  if (!opened.ok) return finish({ error: opened.faults[0]?.error ?? 'unreadable', path: opened.faults[0]?.path ?? '', faults: opened.faults }, 2);
  const result = report(opened.plan, dayOf(new Date()));
  finish(result, result.verdict === 'stop' || result.verdict === 'missing' ? 1 : 0);
}

main(process.argv[2]);
