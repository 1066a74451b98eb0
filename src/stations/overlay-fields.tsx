'use client';
import { X } from 'lucide-react';
import type { Overlay } from '@/core/plan/schema';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct } from './job-context';
import { SmallButton } from './panel';
import { useEdit, useField } from './use-edit';

export const newOverlay = (id: string): Overlay => ({ id, what: 'Clash', between: '', settled: '', by: '', on: '' });

/** One place where two drawings, or drawing and site, do not agree. */
export function OverlayFields({ overlay }: { overlay: Overlay }) {
  const act = useAct();
  const field = useField();
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
        <div className="col-span-2">
          <TextField {...field} label="What does not fit" value={overlay.what} onValue={(what) => edit({ what }, 'what')} />
        </div>
        <div className="col-span-2">
          <TextField
            {...field}
            label="Between which drawings, or drawing and site"
            value={overlay.between}
            onValue={(between) => edit({ between }, 'between')}
          />
        </div>
        <div className="col-span-2">
          <TextField
            {...field}
            label="Settled like this"
            value={overlay.settled}
            placeholder="not settled"
            onValue={(settled) => edit({ settled }, 'settled')}
          />
        </div>
        <TextField {...field} label="Settled by" value={overlay.by} onValue={(by) => edit({ by }, 'by')} />
        <TextField {...field} label="On" type="date" value={overlay.on} onValue={(on) => edit({ on }, 'on')} />
      </Pair>
    </Fold>
  );
}
