import { readFileSync } from 'node:fs';
import { openPlan } from '@/core/plan/open';
import { evaluate } from '@/core/plan/evaluate';
import { describe } from '@/core/plan/describe';
const o = openPlan(JSON.parse(readFileSync(process.argv[2]!, 'utf8')));
if (!o.ok) { console.log(o.faults); process.exit(1); }
const { checks, counts } = evaluate(o.plan, '2026-11-27');
console.log(counts);
for (const c of checks) if (c.verdict !== 'clear' || process.argv[3] === 'all') console.log(c.verdict, c.id, c.about.kind, c.about.id, c.move, '|', describe(c, o.plan.job.units));
