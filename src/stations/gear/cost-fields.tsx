'use client';
import { noCosts, type Costs, type Hire } from '@/core/document/things/costs';
import { hoursWords, moneyWords } from '@/core/settle/effort';
import type { Crane, Plan } from '@/core/document/schema';
import { craneVisits, type Visit } from '@/core/document/visits';
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
  const visits = craneVisits(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds));
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
    <Fold title="Hours and money" note={noteOf(visits.flatMap((one) => one.visits))}>
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
      {visits.map(({ crane, visits: list, together, asks }) => (
        <section key={crane.id} aria-label={`Visits of ${crane.name}`} className="mt-2 text-[13px]">
          <h4 className="font-semibold text-gear">{crane.name} by the run sheet</h4>
          <ul>
            {list.map((visit, n) => (
              <li key={visit.move} data-visit>
                {list.length > 1 ? `Visit ${n + 1}: ` : ''}
                {visitWords(plan, visit)}
              </li>
            ))}
            {list.length > 1 && <li className="text-soft">In one visit: {visitWords(plan, together)}</li>}
          </ul>
          {saved(plan, list, together)}
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

const noteOf = (visits: readonly Visit[]): string =>
  visits.length === 0 ? 'what people and gear cost' : visits.length === 1 ? 'one visit of a crane' : `${visits.length} visits of cranes`;

function visitWords(plan: Plan, { stands, lifts, hours, days, money }: Visit): string {
  const from = stands.length === 1 ? 'one stand' : `${stands.length} stands`;
  const said = days === null ? hoursWords(hours) : `${hoursWords(hours)}, ${days === 1 ? 'one day' : `${days} days`}`;
  return `${lifts === 1 ? 'one lift' : `${lifts} lifts`} from ${from}, ${said}${money === null ? '' : `, ${moneyWords(money, plan)}`}`;
}

function saved(plan: Plan, visits: readonly Visit[], together: Visit) {
  if (visits.length < 2 || together.money === null || visits.some(({ money }) => money === null)) return null;
  const more = visits.reduce((sum, { money }) => sum + money!, 0) - together.money;
  return <p className="font-semibold">Coming more than once costs {moneyWords(more, plan)} more.</p>;
}
