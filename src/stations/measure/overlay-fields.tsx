'use client';
import { X } from 'lucide-react';
import type { Overlay } from '@/core/document/schema';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { useAct } from '@/job/job-context';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

export const newOverlay = (id: string): Overlay => ({ id, what: 'Clash', between: '', settled: '', by: '', on: '' });

/** One place where two drawings, or drawing and site, do not agree. */
export function OverlayFields({ overlay }: { overlay: Overlay }) {
  const act = useAct();
  const { date, words } = useInputs();
  const edit = useEdit('overlays', overlay.id);
  return (
    <Fold
      title={overlay.what || 'Clash'}
      note={overlay.settled.trim() === '' ? 'not settled' : `settled by ${overlay.by || 'nobody named'}`}
      tools={
        <SmallButton danger label={`Remove ${overlay.what}`} onClick={() => act('removeFrom', { list: 'overlays', id: overlay.id })}>
          <X size={14} />
        </SmallButton>
      }
    >
      <Pair>
        <div className="col-span-2">{words('What does not fit', overlay.what, (what) => edit({ what }, 'what'))}</div>
        <div className="col-span-2">{words('Between which drawings, or drawing and site', overlay.between, (between) => edit({ between }, 'between'))}</div>
        <div className="col-span-2">
          {words('Settled like this', overlay.settled, (settled) => edit({ settled }, 'settled'), { placeholder: 'not settled' })}
        </div>
        {words('Settled by', overlay.by, (by) => edit({ by }, 'by'))}
        {date('On', overlay.on, (on) => edit({ on }, 'on'))}
      </Pair>
    </Fold>
  );
}
