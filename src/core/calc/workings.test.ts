import { demoPlan, ticketHall } from '../../../tests/demo-plan';
import { onNeedles, twoPostBent } from '../../../tests/shores';
import { formatQuantity } from '../units';
import { candidatesOf } from '../plan/evaluate/candidates';
import { evaluate } from '../plan/evaluate';
import { Missing } from '../plan/missing';
import type { Plan } from '../plan/schema';
import { splitOf } from '../plan/way-pieces';
import { splitSearch } from '../access/split.calc';
import { rulesOf } from '../rules/rule-sets';
import goldens from './reference/goldens.json' with { type: 'json' };
import { attempt } from './run';
import { registry } from './registry';
import type { Trace } from './evidence';

/** Every calculation as it is really used: in the demo jobs and their variants by both schools, and in the public cases. */
function used(): Map<string, Trace[]> {
  const edited = (edit: (plan: Plan) => unknown): Plan => {
    const plan = ticketHall();
    edit(plan);
    return plan;
  };
  const jobs = [
    demoPlan(),
    ticketHall(),
    edited((p) => onNeedles(p)),
    edited((p) => {
      p.shoring.bents.push(twoPostBent());
      p.site.forecastGust = 14;
    }),
    edited((p) => {
      for (const storey of p.shoring.storeys) storey.joists.over = 'through';
    }),
    edited((p) => {
      for (const storey of p.shoring.storeys) storey.joists.grade = 'DF-L No.2';
      for (const wall of p.shoring.walls) wall.stud.grade = 'SPF No.2';
    }),
  ];
  const plans = jobs.flatMap((plan) => (['us-asd', 'eu-ls'] as const).map((ruleSet): Plan => ({ ...plan, job: { ...plan.job, ruleSet } })));
  const traces: Trace[] = [];
  for (const plan of plans) {
    const { checks, derived } = evaluate(plan);
    traces.push(...[...checks, ...derived].flatMap((one) => one.traces));
    for (const opening of plan.survey.openings) {
      const found = candidatesOf(plan, opening);
      if (!(found instanceof Missing))
        for (const one of found) for (const school of Object.values(one.schools)) traces.push(...school.uses.flatMap((use) => use.traces));
    }
    const split = splitOf(plan, rulesOf(plan.job.ruleSet, {}));
    if (!(split instanceof Missing)) {
      const { limits, beam, ...rest } = split.question;
      const input = { ...rest, ...limits, ...beam };
      const outcome = attempt(splitSearch, input as never);
      if (outcome.ok) traces.push({ calc: splitSearch.id, input, output: outcome.output });
    }
  }
  for (const golden of goldens as { id: string; input: unknown; expect: { error?: boolean } }[]) {
    const calc = registry.get(golden.id);
    if (!calc || golden.expect.error) continue;
    const outcome = attempt(calc, golden.input as never);
    if (outcome.ok) traces.push({ calc: golden.id, input: golden.input as never, output: outcome.output as never });
  }
  const byCalc = new Map<string, Trace[]>();
  for (const trace of traces) byCalc.set(trace.calc, [...(byCalc.get(trace.calc) ?? []), trace]);
  return byCalc;
}

const traces = used();

test('every calculation is seen in use', () => {
  expect([...registry.keys()].filter((id) => !traces.has(id))).toEqual([]);
});

/** Answers that are places in a list, not quantities. */
const places = new Set(['access.sweep.leg']);

describe.each([...traces].map(([id, list]) => [id, list] as const))('%s', (id, list) => {
  const calc = registry.get(id)!;
  const some = list.slice(0, 60);
  test('every number it answers stands in its working', () => {
    const untold = new Set<string>();
    for (const { input, output } of some) {
      const lines = calc.work(input as never, output as never);
      for (const [key, value] of Object.entries(output as Record<string, unknown>)) {
        if (typeof value !== 'number' || places.has(`${id}.${key}`)) continue;
        const told = lines.some(({ result, numbers }) =>
          [result, ...(numbers ?? [])].some((one) =>
            typeof one === 'string' ? one.includes(String(value)) : Math.abs(one.value - value) <= 1e-9 * Math.max(1, Math.abs(value)),
          ),
        );
        if (!told) untold.add(key);
      }
    }
    expect([...untold]).toEqual([]);
  });
  test('every line has a label and a figure that prints in both systems', () => {
    for (const { input, output } of some)
      for (const { label, result, numbers } of calc.work(input as never, output as never)) {
        expect(label.trim()).not.toBe('');
        for (const one of [result, ...(numbers ?? [])]) {
          if (typeof one === 'string') expect(one).not.toMatch(/undefined|NaN|\[object/);
          else for (const system of ['metric', 'us'] as const) expect(formatQuantity(one.value, one.kind, system)).toMatch(/\d/);
        }
      }
  });
});
