import { quayFootbridge } from '../tests/demo-plan';
import { portal } from '../tests/portal';
import { evaluate } from '../src/core/plan/evaluate';
import { openPlan } from '../src/core/plan/open';
import { keyOf } from '../src/core/plan/check';
const TODAY = '2026-11-27';
const bad = (p: any): Set<string> | null => {
  const o = openPlan(structuredClone(p));
  if (!o.ok) return null;
  return new Set(evaluate(o.plan, TODAY).checks.filter((c) => c.verdict === 'stop' || c.verdict === 'missing').map((c) => c.verdict + ' ' + keyOf(c)));
};
const groups = new Map<string, Map<string, number[]>>();
for (const [name, make] of Object.entries({ quayFootbridge, portal })) {
  const base: any = make();
  const sound = bad(base)!;
  console.log(name, [...sound].length);
  const paths: (string | number)[][] = [];
  const walk = (v: any, path: (string | number)[]) => {
    if (v !== null && typeof v === 'object') for (const k of Object.keys(v)) walk(v[k], [...path, Array.isArray(v) ? Number(k) : k]);
    else paths.push(path);
  };
  for (const top of ['structure', 'moves', 'picks', 'stands', 'cranes', 'site'] as const) walk(base[top], [top]);
  for (const path of paths) {
    const at = (p: any) => path.slice(0, -1).reduce((v, k) => v[k], p);
    const key = path.at(-1)!;
    const was = at(base)[key];
    const muts: [string, any][] =
      typeof was === 'number' ? [['x10', was * 10], ['/10', was / 10], ['null', null], ['zero', 0], ['neg', -was], ['+30%', was * 1.3]] :
      typeof was === 'boolean' ? [['flip', !was]] :
      typeof was === 'string' ? [['empty', ''], ['nonsense', 'xx']] : [];
    for (const [how, value] of muts) {
      if (value === was) continue;
      const p = structuredClone(base);
      at(p)[key] = value;
      let r: Set<string> | null | 'throw';
      try { r = bad(p); } catch (e) { r = 'throw'; console.log('THROW', path.join('.'), how, e); }
      const pat = path.map((k) => (typeof k === 'number' ? '*' : k)).join('.');
      let g = groups.get(pat);
      if (!g) groups.set(pat, (g = new Map()));
      const c = g.get(how) ?? [0, 0];
      c[1]! += 1;
      if (r instanceof Set && [...r].every((k) => sound.has(k))) c[0]! += 1;
      g.set(how, c);
    }
  }
}
for (const [pat, g] of [...groups].sort()) console.log(pat, [...g].map(([how, [s, n]]) => `${how}:${s}/${n}`).join(' '));
