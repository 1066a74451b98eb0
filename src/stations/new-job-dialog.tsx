'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Modal } from '@/ui/dialogs/modal';

/** What a job is made from, with the tables of sections, is read when somebody begins one. */
const NewJobForm = dynamic(() => import('./new-job-form').then((one) => one.NewJobForm), { ssr: false, loading: () => <p>Opening …</p> });

export function NewJobDialog() {
  const [open, setOpen] = useState(false);
  return (
    <Modal
      wide
      title="New job"
      about="What only the site, a tag, the drawings or the maker’s chart can tell starts as missing and is asked."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="sign border-2 border-ink bg-ink px-3.5 py-1.5 text-[16px] leading-5 text-white hover:bg-gear">
          New job
        </button>
      }
    >
      <NewJobForm />
    </Modal>
  );
}
