'use client';
import { useMemo } from 'react';
import { dayWords } from '@/core/units/day';
import { describe } from '@/core/verdict/describe';
import { readingOf, thingsOf } from '@/core/settle/hold-things';
import { settle } from '@/core/settle/settle';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import type { HoldId } from '@/core/document/hold-ids';
import { dayId, holdName, holds, holdsAsked, recordOf, strayRecords, type Asked } from '@/core/document/holds';
import type { HoldRecord } from '@/core/document/schema';
import { PlainButton } from '@/ui/plain-button';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { useInputs } from '@/job/editing/use-inputs';

/**
 * Hold points: who passed them, on what evidence, when; what is passed anew each day, day by day. A record is taken whole or not at all.
 * At a move: those it waits for.
 */
export function HoldPoints({ move }: { move?: string }) {
  const plan = usePlan();
  const asked = holdsAsked(plan).filter((one) => move === undefined || one.waits === move);
  const strays = move === undefined ? strayRecords(plan) : [];
  if (asked.length + strays.length === 0) return null;
  const passed = asked.filter((one) => recordOf(plan, one)).length;
  return (
    <section aria-label="Hold points">
      <h3 className="mb-1 text-[15px] text-gear">
        {move === undefined ? 'Hold points' : 'This move waits for'}{' '}
        <span className="font-text text-[12.5px] font-normal text-soft">{`${passed} of ${asked.length} recorded`}</span>
      </h3>
      {asked.map((one) => (
        <HoldPoint key={`${one.hold.id} ${dayId(one) ?? ''}`} asked={one} record={recordOf(plan, one) ?? null} />
      ))}
      {strays.map((record) => (
        <StrayRecord key={`${record.id} ${record.day ?? ''}`} record={record} />
      ))}
    </section>
  );
}

/** A record of a day that the run sheet does not have. */
function StrayRecord({ record }: { record: HoldRecord }) {
  const act = useAct();
  const { title } = holds.find(({ id }) => id === record.id)!;
  return (
    <Fold title={`${record.id} ${title}, of no day here`} note={`${record.by}, ${dayWords(record.on)}`}>
      <div className="space-y-1 text-[13.5px]">
        <p className="font-semibold text-missing">
          {record.by} passed it on {dayWords(record.on)}, for a day that the run sheet does not have, or on which nothing waits for it.
        </p>
        <p>{record.evidence}</p>
        <SmallButton danger onClick={() => act('withdrawHold', { id: record.id, day: record.day ?? null })}>
          Withdraw the record
        </SmallButton>
      </div>
    </Fold>
  );
}

const empty = (id: HoldId, day: string | null): HoldRecord => ({ id, by: '', evidence: '', value: '', on: '', ...(day === null ? {} : { day }) });

function HoldPoint({ asked, record }: { asked: Asked; record: HoldRecord | null }) {
  const { hold } = asked;
  const day = dayId(asked);
  const form = `hold ${hold.id}${day === null ? '' : ` ${day}`}`;
  const plan = usePlan();
  const act = useAct();
  const check = useJob((state) =>
    state.survey.evaluation.checks.find(({ about }) => about.kind === 'hold' && about.id === hold.id && (about.part ?? null) === day),
  );
  const begun = useJob((state) => state.halfTyped[form]) as HoldRecord | undefined;
  const keep = useJob((state) => state.keepHalfTyped);
  const rules = useMemo(() => rulesOf(plan.job.ruleSet, plan.job.thresholds), [plan.job]);
  const things = hold.reading ? thingsOf(settle(plan), rules, hold.reading.of) : [];
  const draft = begun ?? empty(hold.id, day);
  const put = (changes: Partial<HoldRecord>) => {
    keep(form, { ...draft, ...changes });
    return null;
  };
  const { date, open } = useInputs();
  const read = (thing: string, value: number | null) => {
    const others = (draft.readings ?? []).filter((one) => one.of !== thing);
    return put({ readings: value === null ? others : [...others, { of: thing, value }] });
  };
  const show = (value: number) => (hold.reading ? formatQuantity(value, hold.reading.kind, plan.job.units) : String(value));
  const whole = [draft.by, draft.evidence, draft.on].every((text) => text.trim() !== '');
  return (
    <Fold
      thing={day === null ? hold.id : `${hold.id} ${day}`}
      title={holdName(asked)}
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
              keep(form, record);
              act('withdrawHold', { id: hold.id, day });
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
            keep(form, undefined);
          }}
        >
          <p className="mb-1.5 text-[12.5px] text-soft">
            Asks for {hold.evidence}. Signed by {hold.signs}: a person’s name.
          </p>
          <Pair>
            <TextField label="Passed by" value={draft.by} onValue={(by) => put({ by })} />
            {date('On', draft.on, (on) => put({ on }))}
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
