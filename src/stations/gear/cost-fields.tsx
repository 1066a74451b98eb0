'use client';
import { noCosts, type Costs, type Hire } from '@/core/document/things/costs';
import { liftsTake, type Takes } from '@/core/settle/takes';
import type { Crane } from '@/core/document/schema';
import { rulesOf } from '@/core/rules/rule-sets';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from '@/job/job-context';
import { useInputs } from '@/job/editing/use-inputs';

const NOT_PRICED = { placeholder: 'not priced' };
const noHire: Hire = { day: null, bring: null };
const hireOf = (now: Hire | null | undefined, changes: Partial<Hire>): Hire | null => {
  const next = { ...noHire, ...now, ...changes };
  return next.day === null && next.bring === null ? null : next;
};

/** What people and gear cost, and what each visit of a crane comes to: one visit held against several. */
export function CostFields() {
  const plan = usePlan();
  const act = useAct();
  const { open, words } = useInputs();
  const costs = plan.costs ?? noCosts();
  const edit = (changes: Partial<Costs>, field: string) => act('editCosts', { changes }, `costs ${field}`);
  const used = new Set((plan.raises ?? []).flatMap((raise) => raise.points.map(({ kind }) => kind)));
  const takes = liftsTake(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  const hire = (kind: 'mastLift' | 'hoist' | 'jack', name: string) => (
    <>
      {open(`${name}, a day`, 'factor', costs[kind]?.day ?? null, (day) => edit({ [kind]: hireOf(costs[kind], { day }) }, `${kind} day`), NOT_PRICED)}
      {open(
        `${name}, to bring`,
        'factor',
        costs[kind]?.bring ?? null,
        (bring) => edit({ [kind]: hireOf(costs[kind], { bring }) }, `${kind} bring`),
        NOT_PRICED,
      )}
    </>
  );
  return (
    <Fold title="Hours and money" note={noteOf(takes)}>
      <Pair>
        {words('Currency', costs.currency, (currency) => edit({ currency: currency.slice(0, 8) }, 'currency'))}
        {open('Hours of a shift', 'factor', costs.shift, (shift) => edit({ shift }, 'shift'), { placeholder: 'not said' })}
        {open('One person, an hour', 'factor', costs.person, (person) => edit({ person }, 'person'), NOT_PRICED)}
        {used.has('mastLift') && hire('mastLift', 'A mast lift')}
        {used.has('hoist') && hire('hoist', 'A hoist')}
        {used.has('jack') && hire('jack', 'A jack')}
        {plan.cranes.map((crane) => (
          <CraneHire key={crane.id} crane={crane} />
        ))}
      </Pair>
      {takes.map(({ crane, name, visits, together, saved, asks }) => (
        <section key={crane ?? 'none'} aria-label={crane ? `Visits of ${name}` : name} className="mt-2 text-[13px]">
          <h4 className="font-semibold text-gear">{crane ? `${name} by the run sheet` : name}</h4>
          <ul>
            {visits.map((line) => (
              <li key={line} data-visit>
                {line}
              </li>
            ))}
            {together && <li className="text-soft">{together}</li>}
          </ul>
          {saved && <p className="font-semibold">{saved}</p>}
          {asks.length > 0 && <p className="text-soft">{asks.join(' ')}</p>}
        </section>
      ))}
    </Fold>
  );
}

function CraneHire({ crane }: { crane: Crane }) {
  const act = useAct();
  const { open } = useInputs();
  const put = (changes: Partial<Hire>, field: string) =>
    act('editCrane', { id: crane.id, changes: { hire: hireOf(crane.hire, changes) } }, `${crane.id} ${field}`);
  return (
    <>
      {open(`${crane.name}, a day`, 'factor', crane.hire?.day ?? null, (day) => put({ day }, 'day'), NOT_PRICED)}
      {open(`${crane.name}, to bring`, 'factor', crane.hire?.bring ?? null, (bring) => put({ bring }, 'bring'), NOT_PRICED)}
    </>
  );
}

const noteOf = (takes: readonly Takes[]): string => {
  const count = takes.reduce((sum, { crane, visits }) => sum + (crane === null ? 0 : visits.length), 0);
  return count === 0 ? 'what people and gear cost' : count === 1 ? 'one visit of a crane' : `${count} visits of cranes`;
};
