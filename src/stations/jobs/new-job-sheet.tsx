'use client';
import { Modal } from '@/ui/dialogs/modal';
import { NewJobForm } from './new-job-form';

/** What a job is made from, with the tables of sections: read when somebody begins one. */
export function NewJobSheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Modal
      wide
      title="New job"
      about="What only the site, a tag, the drawings or the maker’s chart can tell starts as missing and is asked."
      open={open}
      onOpenChange={onOpenChange}
    >
      <NewJobForm />
    </Modal>
  );
}
