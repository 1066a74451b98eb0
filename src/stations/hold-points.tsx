'use client';
import { useState } from 'react';
import type { HoldId } from '@/core/plan/hold-ids';
import { holdsOf, waitsFor, type Hold } from '@/core/plan/holds';
import type { HoldRecord } from '@/core/plan/schema';
import { PlainButton } from '@/ui/dialogs/modal';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';

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
  const act = useAct();
  const [draft, setDraft] = useState<HoldRecord>(empty(hold.id));
  const put = (changes: Partial<HoldRecord>) => {
    setDraft({ ...draft, ...changes });
    return null;
  };
  const whole = [draft.by, draft.evidence, draft.on].every((text) => text.trim() !== '');
  return (
    <Fold title={`${hold.id} ${hold.title}`} note={record ? `${record.by}, ${record.on}` : 'not recorded'}>
      {record ? (
        <div className="space-y-1 text-[13.5px]">
          <p>
            Passed by <b>{record.by}</b> on <b>{record.on}</b>.
          </p>
          <p>{record.evidence}</p>
          {record.value && <p>Measured: {record.value}</p>}
          <SmallButton danger onClick={() => act('withdrawHold', { id: hold.id })}>
            Withdraw the record
          </SmallButton>
        </div>
      ) : (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (!whole) return;
            act('recordHold', { hold: draft });
            setDraft(empty(hold.id));
          }}
        >
          <p className="mb-1.5 text-[12.5px] text-soft">
            Asks for {hold.evidence}. Signed by {hold.signs}.
          </p>
          <Pair>
            <TextField label="Passed by" value={draft.by} onValue={(by) => put({ by })} />
            <TextField label="On" type="date" value={draft.on} onValue={(on) => put({ on })} />
            <div className="col-span-2">
              <TextField label="Evidence" value={draft.evidence} onValue={(evidence) => put({ evidence })} />
            </div>
            <TextField label="Measured value, if any" value={draft.value} onValue={(value) => put({ value })} />
            <PlainButton type="submit" strong disabled={!whole}>
              Record the pass
            </PlainButton>
          </Pair>
        </form>
      )}
    </Fold>
  );
}
