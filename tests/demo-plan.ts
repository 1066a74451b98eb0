import { readFileSync } from 'node:fs';
import { openPlanText } from '../src/core/plan/open';
import type { Plan } from '../src/core/plan/schema';

/** The luggage hall demo, fresh for each test. */
export function demoPlan(): Plan {
  const opened = openPlanText(readFileSync('demo/luggage-hall.trestle.json', 'utf8'));
  if (!opened.ok) throw new Error(opened.faults.map((fault) => `${fault.path}: ${fault.error}`).join('\n'));
  return structuredClone(opened.plan);
}
