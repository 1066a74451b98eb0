'use client';
import { CopyCheck } from 'lucide-react';
import { useMemo } from 'react';
import { sameForOtherMoves, sameForOthers, type AlikeList } from '@/core/edit/alike';
import type { CommandArguments } from '@/core/edit/table';
import type { Move } from '@/core/document/schema';
import { SmallButton } from '@/ui/small-button';
import { useAct, usePlan } from '@/job/job-context';

/** What is said here, said of all others of its kind where nobody has said anything yet; what is said of them stays. */
export function AlikeButton({ list, id, others }: { list: AlikeList; id: string; others: string }) {
  const plan = usePlan();
  const same = useMemo(() => sameForOthers(plan, list, id), [plan, list, id]);
  return <Same same={same} others={others} />;
}

export function AlikeMovesButton({ move, others }: { move: Move; others: string }) {
  const plan = usePlan();
  const same = useMemo(() => sameForOtherMoves(plan, move), [plan, move]);
  return <Same same={same} others={others} />;
}

function Same({ same, others }: { same: CommandArguments['editEach'] | null; others: string }) {
  const act = useAct();
  if (!same) return null;
  const count = same.edits.length + same.moves.length;
  return (
    <div className="col-span-2">
      <SmallButton onClick={() => act('editEach', same)}>
        <CopyCheck size={13} aria-hidden /> Say the same of {count} {others} that say nothing yet
      </SmallButton>
    </div>
  );
}
