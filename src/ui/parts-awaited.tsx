'use client';
import { useSyncExternalStore } from 'react';
import { onWaits, waits } from './again';

/** Says that something was opened which the server has to send first, and does not. */
export function PartsAwaited() {
  const waiting = useSyncExternalStore(onWaits, waits, () => false);
  return (
    <p role="status" className={waiting ? 'border-b border-line bg-tray px-3 py-1 text-[14px] text-missing' : 'sr-only'}>
      {waiting && 'No server: a part of this page is not here yet. It opens as soon as the server answers.'}
    </p>
  );
}
