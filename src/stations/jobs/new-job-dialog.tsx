'use client';
import { later } from '@/ui/later';
import { useState } from 'react';
import { PlainButton } from '@/ui/plain-button';
import { again } from '@/ui/again';

const NewJobSheet = later(() => again(() => import('./new-job-sheet')).then((part) => part.NewJobSheet));

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
