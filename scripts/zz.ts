import { framePlan } from '../src/core/plan/templates/frame';
import { openPlan } from '../src/core/plan/open';
import { evaluateWhole } from '../src/core/plan/evaluate';
import { writeFileSync } from 'node:fs';
const n = Number(process.argv[2] ?? 4);
const plan = framePlan(
  { name: 'x', place: 'y', units: 'metric', ruleSet: 'us-asd' },
  { bays: Array(n).fill(6), rows: [5, 5, 5], levels: [4, 8], column: 'W10x49', beam: 'W14x30', between: 1, betweenSection: 'W10x22' },
);
for (const s of plan.structure.supports) {
  s.anchors = { count: 4, lever: 0.35, toe: 0.2, columnDepth: 0.25, tension: 200e3, repaired: false, under: { kind: 'grouted' } };
  s.capacity = 1e6;
}
for (const b of plan.structure.braces) {
  b.capacity = 200e3;
  b.stiffness = 5e6;
  b.slopeDeg = 45;
  b.anchor = { kind: 'fixed', carry: 300e3 };
  b.anchoredTo = 'block';
}
for (const j of plan.structure.joints) {
  j.holes = 6;
  j.boltShear = 60e3;
}
for (const m of plan.moves)
  if (m.kind === 'joint.make') {
    m.bolts = 3;
    m.tight = true;
  }
plan.site.standingGust = 20;
plan.site.forecastGust = 9;
console.log(plan.structure.pieces.length, plan.moves.length, plan.structure.braces.map((b) => [b.name, b.towardsDeg, b.b]).slice(0, 9));
writeFileSync('/tmp/frame.json', JSON.stringify(plan));
const o = openPlan(plan);
if (!o.ok) throw new Error(JSON.stringify(o.faults.slice(0, 3)));
let t = performance.now();
const w = evaluateWhole(o.plan, '2026-11-27');
console.log('ms', performance.now() - t);
const seen: Record<string, number> = {};
for (const c of w.evaluation.checks)
  if (/sway|second|anchor$|sideways/.test(c.id)) {
    const k = `${c.verdict} ${c.id}`;
    seen[k] = (seen[k] ?? 0) + 1;
    if (seen[k] <= 2) console.log(k, c.subject.slice(0, 40), c.move, c.demand?.toFixed(3), c.capacity?.toFixed(3));
  }
if (process.argv[3]) process.exit();
const second = openPlan({ ...o.plan, job: { ...o.plan.job, name: 'z' } });
if (second.ok) {
  t = performance.now();
  evaluateWhole(second.plan, '2026-11-27');
  console.log('again', performance.now() - t);
}
const p3 = structuredClone(o.plan);
p3.structure.braces[0]!.capacity = 190e3;
