'use client';
import { useMemo } from 'react';
import { dayWords } from '@/core/document/day';
import { describe } from '@/core/verdict/describe';
import { readingOf, thingsOf } from '@/core/settle/hold-things';
import { settle } from '@/core/settle/settle';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import type { HoldId } from '@/core/document/hold-ids';
import { holdsOf, waitsFor, type Hold } from '@/core/document/holds';
import type { HoldRecord } from '@/core/document/schema';
import { PlainButton } from '@/ui/plain-button';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { useInputs } from '@/job/editing/use-inputs';

/** Hold points: who passed them, on what evidence, when. A record is taken whole or not at all. At a move: those it waits for. */
export function HoldPoints({ move }: { move?: string }) {
  const plan = usePlan();
  const holds = holdsOf(plan).filter((hold) => move === undefined || waitsFor(plan, hold) === move);
  if (move !== undefined && holds.length === 0) return null;
  const passed = holds.filter((hold) => plan.holds.some((one) => one.id === hold.id)).length;
  return (
    <section aria-label="Hold points">
      <h3 className="mb-1 text-[15px] text-gear">
        {move === undefined ? 'Hold points' : 'This move waits for'}{' '}
        <span className="font-text text-[12.5px] font-normal text-soft">{`${passed} of ${holds.length} recorded`}</span>
      </h3>
      {holds.map((hold) => (
        <HoldPoint key={hold.id} hold={hold} record={plan.holds.find((one) => one.id === hold.id) ?? null} />
      ))}
    </section>
  );
}

const empty = (id: HoldId): HoldRecord => ({ id, by: '', evidence: '', value: '', on: '' });

function HoldPoint({ hold, record }: { hold: Hold; record: HoldRecord | null }) {
  const plan = usePlan();
  const act = useAct();
  const check = useJob((state) => state.survey.evaluation.checks.find((one) => one.about.kind === 'hold' && one.about.id === hold.id));
  const begun = useJob((state) => state.halfTyped[`hold ${hold.id}`]) as HoldRecord | undefined;
  const keep = useJob((state) => state.keepHalfTyped);
  const rules = useMemo(() => rulesOf(plan.job.ruleSet, plan.job.thresholds), [plan.job]);
  const things = hold.reading ? thingsOf(settle(plan), rules, hold.reading.of) : [];
  const draft = begun ?? empty(hold.id);
  const put = (changes: Partial<HoldRecord>) => {
    keep(`hold ${hold.id}`, { ...draft, ...changes });
    return null;
  };
  const { open } = useInputs();
  const read = (thing: string, value: number | null) => {
    const others = (draft.readings ?? []).filter((one) => one.of !== thing);
    return put({ readings: value === null ? others : [...others, { of: thing, value }] });
  };
  const show = (value: number) => (hold.reading ? formatQuantity(value, hold.reading.kind, plan.job.units) : String(value));
  const whole = [draft.by, draft.evidence, draft.on].every((text) => text.trim() !== '');
  return (
    <Fold
      thing={hold.id}
      title={`${hold.id} ${hold.title}`}
      note={record ? `${record.by}, ${dayWords(record.on)}` : begun ? 'begun' : 'not recorded'}
      first={begun !== undefined}
    >
      {record ? (
        <div className="space-y-1 text-[13.5px]">
          <p>
            Passed by <b>{record.by}</b> on <b>{dayWords(record.on)}</b>.
          </p>
          <p>{record.evidence}</p>
          {record.value && <p>Measured: {record.value}</p>}
          {things.map((thing) => {
            const value = readingOf(record, thing.id);
            return (
              <p key={thing.id} className={value === null ? 'text-missing' : ''}>
                {thing.name}: {hold.reading?.what} {value === null ? 'not read' : show(value)}
              </p>
            );
          })}
          {check && check.verdict !== 'clear' && <p className="font-semibold text-missing">{describe(check, plan.job.units)}</p>}
          <SmallButton
            danger
            onClick={() => {
              // What was written stays in the form, so that a name or a number can be put right and recorded again.
              keep(`hold ${hold.id}`, record);
              act('withdrawHold', { id: hold.id });
            }}
          >
            Withdraw the record
          </SmallButton>
        </div>
      ) : (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (!whole) return;
            act('recordHold', { hold: draft });
            keep(`hold ${hold.id}`, undefined);
          }}
        >
          <p className="mb-1.5 text-[12.5px] text-soft">
            Asks for {hold.evidence}. Signed by {hold.signs}: a person’s name.
          </p>
          <Pair>
            <TextField label="Passed by" value={draft.by} onValue={(by) => put({ by })} />
            <TextField label="On" type="date" value={draft.on} onValue={(on) => put({ on })} />
            <div className="col-span-2">
              <TextField label="Evidence" value={draft.evidence} onValue={(evidence) => put({ evidence })} />
            </div>
            {hold.reading &&
              things.map((thing) => (
                <div key={thing.id} className="col-span-2">
                  {open(`${thing.name}: ${hold.reading!.what}`, hold.reading!.kind, readingOf(draft, thing.id), (value) => read(thing.id, value))}
                </div>
              ))}
            <div className="col-span-2">
              <TextField label="In words, if more was measured" value={draft.value} onValue={(value) => put({ value })} />
            </div>
            <PlainButton type="submit" strong disabled={!whole}>
              Record the pass
            </PlainButton>
          </Pair>
        </form>
      )}
    </Fold>
  );
}
