import { quayFootbridge, demoPlan, ticketHall } from '../tests/demo-plan';
import { evaluateWhole } from '../src/core/plan/evaluate';
import { fixesOf } from '../src/core/plan/fixes';
import { keyOf } from '../src/core/plan/check';
import { moveWords } from '../src/core/plan/move-words';
for (const [name, make] of Object.entries({ quayFootbridge, demoPlan, ticketHall })) {
  const base = make();
  const sound = new Set(evaluateWhole(base, null).evaluation.checks.filter((c) => c.verdict === 'stop' || c.verdict === 'missing').map(keyOf));
  for (let i = 0; i < base.moves.length; i++) {
    for (const how of ['gone', 'last', 'first', 'twice']) {
      const p = make();
      const [m] = p.moves.splice(i, 1);
      if (how === 'last') p.moves.push(m!);
      if (how === 'first') p.moves.unshift(m!);
      if (how === 'twice') p.moves.splice(i, 0, m!, { ...m!, id: 'again' });
      const w = evaluateWhole(p, null);
      const bad = w.evaluation.checks.filter((c) => (c.verdict === 'stop' || c.verdict === 'missing') && !sound.has(keyOf(c)));
      const t = performance.now();
      const fixes = bad.map((c) => `${c.verdict} ${keyOf(c)} @${c.move}: ${fixesOf(p, w, c, null).map((f) => f.words).join(' | ') || '-'}`);
      console.log(`${name} ${how} ${moveWords(base, base.moves[i]!).title}  [${(performance.now() - t).toFixed(0)} ms]`);
      fixes.forEach((f) => console.log('     ', f));
    }
  }
}
