'use client';
import { X } from 'lucide-react';
import * as Dialog from '@radix-ui/react-dialog';
import type { ReactNode } from 'react';

/** A sheet of paper laid on the table. */
export function Modal({
  title,
  about,
  open,
  onOpenChange,
  trigger,
  wide,
  children,
}: {
  title: string;
  about?: ReactNode;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  trigger?: ReactNode;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      {trigger && <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>}
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/45" />
        <Dialog.Content
          className={`fixed top-1/2 left-1/2 z-40 flex max-h-[88vh] w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col border-2 border-ink bg-paper shadow-[6px_6px_0_rgba(34,40,44,.3)] ${wide ? 'max-w-[880px]' : 'max-w-[560px]'}`}
          // The first field is what one types into: were it the close button, a space in a name would shut the sheet.
          onOpenAutoFocus={(event) => {
            const first = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[data-body] :is(input, textarea, select, button)');
            if (!first) return;
            event.preventDefault();
            first.focus();
          }}
          {...(about ? {} : { 'aria-describedby': undefined })}
        >
          <header className="flex items-start justify-between gap-4 border-b border-line px-5 pt-4 pb-3">
            <div>
              <Dialog.Title className="text-[22px] leading-6">{title}</Dialog.Title>
              {about && <Dialog.Description className="mt-0.5 text-soft">{about}</Dialog.Description>}
            </div>
            <Dialog.Close aria-label="Close" className="border border-line p-1 hover:border-ink hover:bg-white">
              <X size={16} />
            </Dialog.Close>
          </header>
          <div data-body className="min-h-0 flex-1 overflow-auto px-5 py-4">
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
