import { runsFaults } from './runs-faults';
import { referenceFaults } from './listed/faults';
import { faultsOf, type Fault } from '../calc/schema';
import { chartFault, type Chart } from '../cranes/chart-shape';
import { thresholdFault } from '../rules/rule-sets';
import { migrations } from './migrations';
import { PLAN_FORMAT, PLAN_VERSION, planSchema, type Plan } from './schema';

export type Opened = { ok: true; plan: Plan } | { ok: false; faults: Fault[] };

const fail = (path: string, error: string): Opened => ({ ok: false, faults: [{ path, error }] });

/** The one door in for anything that claims to be a plan: text already parsed, any version ever released. */
export function openPlan(value: unknown): Opened {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return fail('', 'This is not a plan: a plan file is one JSON object. Choose a file that ends in .trestle.json.');
  const { format, version } = value as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT)
    return fail('format', `format is ${JSON.stringify(format) ?? 'missing'}: a plan file says “${PLAN_FORMAT}”. Choose a file exported here.`);
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('version', `version is ${JSON.stringify(version) ?? 'missing'}: give a whole number from 1 to ${PLAN_VERSION}.`);
  if (version > PLAN_VERSION)
    return fail('version', `This plan is version ${version} and this program reads up to ${PLAN_VERSION}: open it in a later release.`);
  let current: unknown = value;
  for (let from = version; from < PLAN_VERSION; from += 1) current = migrations[from]!(current);
  const faults = faultsOf(planSchema, current);
  if (faults.length > 0) return { ok: false, faults };
  const plan = current as Plan;
  const loose = [...referenceFaults(plan), ...runsFaults(plan), ...chartFaults(plan), ...thresholdFaults(plan)];
  return loose.length > 0 ? { ok: false, faults: loose } : { ok: true, plan };
}

/** Text of a file to a plan; says where the JSON breaks. */
export function openPlanText(text: string): Opened {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (problem) {
    return fail('', `The file is not JSON (${(problem as Error).message}): it may be cut short. Export it again.`);
  }
  return openPlan(value);
}

function chartFaults({ cranes, duties = [] }: Plan): Fault[] {
  const inList = (name: string, list: readonly { chart: Chart | null }[]) =>
    list.flatMap(({ chart }, i) => {
      const fault = chart ? chartFault(chart) : null;
      return fault ? [{ path: `${name}[${i}].chart.${fault.path}`, error: fault.error }] : [];
    });
  return [...inList('cranes', cranes), ...inList('duties', duties)];
}

function thresholdFaults(plan: Plan): Fault[] {
  return Object.entries(plan.job.thresholds).flatMap(([key, value]) => {
    const error = thresholdFault(key, value);
    return error ? [{ path: `job.thresholds.${key}`, error }] : [];
  });
}
