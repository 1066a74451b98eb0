import { lineIn } from './of-plan';
import { wayViews } from '../src/core/document/views';
import { splitSearch } from '../src/core/access/split.calc';
import type { Trace } from '../src/core/calc/evidence';
import { registry } from '../src/core/catalogue/registry';
import goldens from '../src/core/catalogue/reference/goldens.json' with { type: 'json' };
import goldens2 from '../src/core/catalogue/reference/goldens-2.json' with { type: 'json' };
import { attempt } from '../src/core/calc/attempt';
import { candidatesOf } from '../src/core/checks/measure/candidates';
import { evaluate } from '../src/core/evaluate';
import { Missing } from '../src/core/verdict/missing';
import type { Plan } from '../src/core/document/schema';
import { splitOf } from '../src/core/settle/way-pieces';
import { rulesOf } from '../src/core/rules/rule-sets';
import { demoPlan, linkSpan, quayFootbridge, ticketHall } from './demo-plan';
import { portal } from './portal';
import { raised } from './raised';
import { onNeedles, twoPostBent } from './shores';
import { settle } from '../src/core/settle/settle';

/** The beam of the luggage hall under a lifting beam. */
function underBeam(): Plan {
  const plan = demoPlan();
  Object.assign(plan.picks[0]!, {
    legs: { left: 1.5, right: 1.5 },
    rig: { kind: 'beam', name: '', length: 4.2, own: 260, rating: 6000, section: '', grade: '', eye: 0.45 },
  });
  return plan;
}

/** A girder of the footbridge on two cranes, its left end down on its pier first. */
function leftEndFirst(): Plan {
  const plan = quayFootbridge();
  plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Dunlin 50' });
  plan.stands.push({ ...structuredClone(plan.stands[1]!), id: 'w3', name: 'W3', crane: 'c2', at: { x: 38, y: -9 } });
  const { rig: _, ...pick } = plan.picks[0]!;
  plan.picks[0] = {
    ...pick,
    second: { stand: 'w3', boom: 27, slingRating: 5000, riggingMass: 95, lands: { first: 'left', rest: 0.3, high: 0.4 } },
  };
  return plan;
}

/** Every calculation as it is really used: in the demo jobs and their variants by both schools, and in the public cases. */
export function usedTraces(): Map<string, Trace[]> {
  const edited = (edit: (plan: Plan) => unknown): Plan => {
    const plan = ticketHall();
    edit(plan);
    return plan;
  };
  const jobs = [
    demoPlan(),
    portal(),
    raised('mastLift'),
    raised('hands'),
    quayFootbridge(),
    linkSpan(),
    underBeam(),
    leftEndFirst(),
    ticketHall(),
    edited((p) => onNeedles(p)),
    edited((p) => {
      p.shoring.bents.push(twoPostBent());
      p.site.forecastGust = 14;
      p.site.standingGust = 14;
    }),
    edited((p) => {
      for (const storey of lineIn(p).storeys) storey.joists.over = 'through';
    }),
    edited((p) => {
      for (const storey of lineIn(p).storeys) storey.joists.grade = 'DF-L No.2';
      for (const wall of lineIn(p).walls) wall.stud.grade = 'SPF No.2';
    }),
  ];
  const plans = jobs.flatMap((plan) => (['us-asd', 'eu-ls'] as const).map((ruleSet): Plan => ({ ...plan, job: { ...plan.job, ruleSet } })));
  const traces: Trace[] = [];
  for (const plan of plans) {
    const { checks, derived } = evaluate(plan);
    traces.push(...[...checks, ...derived].flatMap((one) => one.traces));
    for (const opening of plan.survey.openings) {
      const found = candidatesOf(settle(plan), opening);
      if (!(found instanceof Missing))
        for (const one of found) for (const school of Object.values(one.schools)) traces.push(...school.uses.flatMap((use) => use.traces));
    }
    for (const way of wayViews(settle(plan))) {
      const split = splitOf(way, rulesOf(plan.job.ruleSet, {}));
      if (split instanceof Missing) continue;
      const { limits, beam, ...rest } = split.question;
      const input = { ...rest, ...limits, ...beam };
      const outcome = attempt(splitSearch, input as never);
      if (outcome.ok) traces.push({ calc: splitSearch.id, input, output: outcome.output });
    }
  }
  for (const golden of [...goldens, ...goldens2] as { id: string; input: unknown; expect: { error?: boolean } }[]) {
    const calc = registry.get(golden.id);
    if (!calc || golden.expect.error) continue;
    const outcome = attempt(calc, golden.input as never);
    if (outcome.ok) traces.push({ calc: golden.id, input: golden.input as never, output: outcome.output as never });
  }
  const byCalc = new Map<string, Trace[]>();
  for (const trace of traces) byCalc.set(trace.calc, [...(byCalc.get(trace.calc) ?? []), trace]);
  return byCalc;
}
