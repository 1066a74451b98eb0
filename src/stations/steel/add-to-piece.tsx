'use client';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { StationId } from '@/core/verdict/check';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { freshId } from '@/job/editing/fresh-id';
import { unfold } from '@/job/view/go-to';
import { useAct, useJob, usePlan } from '@/job/job-context';

const offers = [
  ['first', 'Joint at its first end'],
  ['second', 'Joint at its second end'],
  ['support', 'Support under it'],
  ['brace', 'Brace'],
  ['load', 'Load on it'],
] as const;
type Offer = (typeof offers)[number][0];

/** What a piece is joined to, stands on, is held by and carries: added here, where it seems to be, and put right in its own fields. */
export function AddToPiece({ piece }: { piece: string }) {
  const plan = usePlan();
  const act = useAct();
  const openStation = useJob((state) => state.openStation);
  const [nothing, setNothing] = useState<string | null>(null);
  const add = async (offer: Offer) => {
    // What finds the other piece comes when it is wanted.
    const { braceOf, jointAtEnd, loadOn, supportUnder } = await again(() => import('@/core/edit/meeting'));
    const shown = (station: StationId, id: string) => {
      openStation(station);
      void unfold(id);
    };
    setNothing(null);
    if (offer === 'support') {
      const thing = supportUnder(plan, piece, freshId('su'));
      if (!thing) return;
      act('addTo', { list: 'supports', thing });
      shown('measure', thing.id);
    } else if (offer === 'brace') {
      const thing = braceOf(plan, piece, freshId('br'));
      if (!thing) return;
      act('addTo', { list: 'braces', thing });
      shown('steel', thing.id);
    } else if (offer === 'load') {
      const thing = loadOn(plan, piece, freshId('ld'));
      act('addTo', { list: 'putLoads', thing });
      shown('steel', thing.id);
    } else {
      const thing = jointAtEnd(plan, piece, offer, freshId('jt'));
      if (!thing) return setNothing('There is no other piece on the drawing to join it to.');
      act('addTo', { list: 'joints', thing });
      shown('steel', thing.id);
    }
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5">
      {offers.map(([offer, label]) => (
        <SmallButton key={offer} onClick={() => void add(offer)}>
          <Plus size={13} aria-hidden /> {label}
        </SmallButton>
      ))}
      {nothing && <p className="text-[13px] text-missing">{nothing}</p>}
    </div>
  );
}
