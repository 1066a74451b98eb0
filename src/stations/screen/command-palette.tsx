'use client';
import { Command } from 'cmdk';
import * as Dialog from '@radix-ui/react-dialog';
import { nextLook } from '@/core/view/looks';
import { moveWords } from '@/core/settle/move-words';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { walk } from './station-words';
import type { OpenDialog } from './use-keys';

interface Entry {
  name: string;
  run: () => void;
}

/** Everything that can be done, found by its words. */
export function CommandPalette({
  open,
  onOpenChange,
  onDialog,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onDialog: (dialog: OpenDialog) => void;
}) {
  const plan = usePlan();
  const act = useAct();
  const id = useJob((state) => state.id);
  const undo = useJob((state) => state.undo);
  const redo = useJob((state) => state.redo);
  const goTo = useJob((state) => state.goTo);
  const openStation = useJob((state) => state.openStation);
  const look = useJob((state) => state.look);
  const lookAlong = useJob((state) => state.lookAlong);
  const entries: Entry[] = [
    ...walk.map((one) => ({ name: `Open ${one.name}`, run: () => openStation(one.id) })),
    ...plan.moves.map((move, i) => ({ name: `Go to move ${i + 1}: ${moveWords(plan, move).title}`, run: () => (goTo(i), openStation('runSheet')) })),
    {
      name: plan.job.units === 'us' ? 'Show metric units' : 'Show US units',
      run: () => void act('editJob', { changes: { units: plan.job.units === 'us' ? 'metric' : 'us' } }),
    },
    {
      name: plan.job.ruleSet === 'us-asd' ? 'Use European rules' : 'Use US rules',
      run: () => void act('editJob', { changes: { ruleSet: plan.job.ruleSet === 'us-asd' ? 'eu-ls' : 'us-asd' } }),
    },
    { name: 'Turn the elevation', run: () => lookAlong(nextLook(plan, look)) },
    { name: 'Undo', run: undo },
    { name: 'Redo', run: redo },
    { name: 'Print the pick card, A4', run: () => void window.open(`/api/jobs/${id}/sheets/pick-card?paper=a4`, '_blank', 'noopener') },
    { name: 'Print steel and way in, A4', run: () => void window.open(`/api/jobs/${id}/sheets/steel?paper=a4`, '_blank', 'noopener') },
    { name: 'Print the shoring, A4', run: () => void window.open(`/api/jobs/${id}/sheets/shoring?paper=a4`, '_blank', 'noopener') },
    { name: 'Print the run sheet, A4', run: () => void window.open(`/api/jobs/${id}/sheets/run-sheet?paper=a4`, '_blank', 'noopener') },
  ];
  const dialogs: { name: string; dialog: OpenDialog }[] = [
    { name: 'Rules and thresholds', dialog: 'rules' },
    { name: 'Revisions', dialog: 'revisions' },
    { name: 'Keys', dialog: 'keys' },
  ];
  const item = 'cursor-pointer px-3 py-1.5 data-[selected=true]:bg-tray';
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[18%] left-1/2 z-40 w-[min(520px,94vw)] -translate-x-1/2 border-2 border-ink bg-paper shadow-[6px_6px_0_rgba(34,40,44,.3)]"
        >
          <Dialog.Title className="sr-only">Find a command</Dialog.Title>
          <Command label="Find a command">
            <Command.Input
              autoFocus
              placeholder="What do you want to do?"
              className="w-full border-b border-line bg-transparent px-3 py-2.5 text-[16px] outline-none"
            />
            <Command.List className="max-h-80 overflow-auto">
              <Command.Empty className="px-3 py-3 text-soft">Nothing here by that name.</Command.Empty>
              {entries.map((entry) => (
                <Command.Item key={entry.name} className={item} onSelect={() => (entry.run(), onOpenChange(false))}>
                  {entry.name}
                </Command.Item>
              ))}
              {dialogs.map((entry) => (
                <Command.Item key={entry.name} className={item} onSelect={() => onDialog(entry.dialog)}>
                  {entry.name}
                </Command.Item>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
