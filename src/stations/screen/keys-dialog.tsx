'use client';
import { Modal } from '@/ui/dialogs/modal';
import { keyList } from './use-keys';

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Modal title="Keys" open={open} onOpenChange={onOpenChange}>
      <dl className="grid grid-cols-[180px_1fr] gap-y-1.5">
        {keyList.map(({ keys, does }) => (
          <div key={keys} className="contents">
            <dt className="sign text-[16px]">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
