'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { PlainButton } from '@/ui/plain-button';
import { again } from '@/ui/again';

const NewJobSheet = dynamic(() => again(() => import('./new-job-sheet')).then((part) => part.NewJobSheet), { ssr: false });

export function NewJobDialog() {
  const [open, setOpen] = useState(false);
  /** once it was opened it stays, so that the sheet goes as it came */
  const [wanted, setWanted] = useState(false);
  return (
    <>
      <PlainButton strong onClick={() => (setWanted(true), setOpen(true))}>
        New job
      </PlainButton>
      {wanted && <NewJobSheet open={open} onOpenChange={setOpen} />}
    </>
  );
}
