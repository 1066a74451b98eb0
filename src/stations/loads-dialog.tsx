'use client';
import { useMemo, useState } from 'react';
import { lorryPieces } from '@/core/plan/lorry-pieces';
import { rulesOf } from '@/core/rules/rule-sets';
import type { LoadPlan } from '@/core/steel/lists/loads';
import { formatQuantity } from '@/core/units';
import { Modal, PlainButton } from '@/ui/dialogs/modal';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { useAct, usePlan } from './job-context';
import { useField } from './use-edit';

/** Pieces bundled into lorry loads by weight, deck and erection order; what is needed first lies on top. */
export function LoadsDialog({ onClose }: { onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const truck = plan.truck ?? { name: 'Lorry', deckLength: 9, deckWidth: 2.4, mass: 10000, layers: 2 };
  const put = (changes: Partial<typeof truck>) => act('setTruck', { truck: { ...truck, ...changes } }, 'truck');
  const [answer, setAnswer] = useState<LoadPlan | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { pieces, lacking } = useMemo(() => lorryPieces(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)), [plan]);
  const work = async () => {
    setProblem(null);
    const { name: _, ...lorry } = truck;
    const reply = await fetch('/api/loads', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ pieces, lorry }) }).catch(
      () => null,
    );
    const said = (await reply?.json().catch(() => null)) as (LoadPlan & { detail?: string }) | null;
    if (reply?.ok && said) setAnswer(said);
    else {
      setAnswer(null);
      setProblem(said?.detail ?? 'The server did not answer. Try again.');
    }
  };
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      title="Lorry loads"
      about="Every piece not yet on site, none needed sooner on a later lorry; the first needed lies on top."
      wide
    >
      <div className="mb-3 grid grid-cols-5 gap-x-4 gap-y-2">
        <TextField label="Lorry" value={truck.name} onValue={(name) => put({ name })} />
        <QuantityField {...field} label="Deck length" kind="length" value={truck.deckLength} onValue={(deckLength) => put({ deckLength: deckLength ?? 0 })} />
        <QuantityField {...field} label="Deck width" kind="length" value={truck.deckWidth} onValue={(deckWidth) => put({ deckWidth: deckWidth ?? 0 })} />
        <QuantityField {...field} label="May carry" kind="mass" value={truck.mass} onValue={(mass) => put({ mass: mass ?? 0 })} />
        <QuantityField {...field} label="Layers" kind="count" value={truck.layers} onValue={(layers) => put({ layers: Math.round(layers ?? 1) })} />
      </div>
      {lacking.length > 0 && <p className="mb-2 text-missing">Left out, their weight is not known: {lacking.join(', ')}.</p>}
      <PlainButton strong disabled={pieces.length === 0} onClick={() => void work()}>
        Bundle {pieces.length} pieces
      </PlainButton>
      {problem && <p className="mt-2 text-stop">{problem}</p>}
      {answer && (
        <div className="mt-3">
          <p className="sign text-[17px]">
            {answer.loads.length} {answer.loads.length === 1 ? 'load' : 'loads'}
            {answer.loads.length <= answer.least
              ? ', and fewer cannot be'
              : `; no fewer than ${answer.least} could be (filled ${answer.how === 'solver' ? 'by the solver' : 'in order'})`}
          </p>
          <ol className="mt-1 space-y-1.5">
            {answer.loads.map((load, i) => (
              <li key={i} className="border border-line bg-white px-2 py-1.5 text-[13.5px]">
                <b>Load {i + 1}</b>: {formatQuantity(load.mass, 'mass', field.system)} of {formatQuantity(truck.mass, 'mass', field.system)},{' '}
                {formatQuantity(load.deck, 'fraction', field.system)} of the deck. On in this order: {load.pieces.map((piece) => piece.name).join(', ')}.
              </li>
            ))}
          </ol>
        </div>
      )}
    </Modal>
  );
}
