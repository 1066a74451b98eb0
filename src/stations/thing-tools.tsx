'use client';
import { X } from 'lucide-react';
import type { StationId } from '@/core/plan/check';
import type { CommandArguments } from '@/core/plan/commands/table';
import { useAct } from './job-context';
import { SmallButton } from './panel';
import { SubjectMark } from './subject-mark';

/** Beside the name of a thing of a station: how it stands, and the way to take it out, unless another thing needs it. */
export function ThingTools({
  station,
  thing,
  list,
  needed,
}: {
  station: StationId;
  thing: { id: string; name: string };
  list: CommandArguments['removeFrom']['list'];
  needed?: boolean;
}) {
  const act = useAct();
  return (
    <span className="flex items-center gap-2">
      <SubjectMark station={station} name={thing.name} />
      {!needed && (
        <SmallButton danger label={`Remove ${thing.name}`} onClick={() => act('removeFrom', { list, id: thing.id })}>
          <X size={14} />
        </SmallButton>
      )}
    </span>
  );
}
