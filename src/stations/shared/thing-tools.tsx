'use client';
import { X } from 'lucide-react';
import type { AboutKind, StationId } from '@/core/verdict/check';
import { heldBy } from '@/core/document/listed';
import type { CommandArguments } from '@/core/edit/table';
import { SmallButton } from '@/ui/small-button';
import { useAct, usePlan } from '@/job/job-context';
import { SubjectMark } from './subject-mark';

/** What a thing of a list is to the checks. */
const kinds: Record<CommandArguments['removeFrom']['list'], AboutKind> = {
  bearings: 'bearing',
  openings: 'opening',
  overlays: 'overlay',
  patterns: 'pattern',
  lines: 'spanLine',
  links: 'link',
  members: 'member',
  ways: 'way',
  legs: 'leg',
  shoredLines: 'line',
  storeys: 'storey',
  bents: 'shore',
  shoreWalls: 'shore',
  shoreRows: 'shore',
  strike: 'strikeStep',
  stock: 'stock',
  watch: 'watch',
  makes: 'make',
  beams: 'beam',
  supports: 'support',
  joints: 'joint',
  braces: 'brace',
  putLoads: 'beam',
  cranes: 'crane',
  duties: 'crane',
  stands: 'stand',
  picks: 'pick',
  raises: 'raise',
  strings: 'string',
  launches: 'launch',
  zones: 'zone',
  yard: 'yard',
  signallers: 'signaller',
  trucks: 'job',
  turns: 'job',
  permits: 'job',
};

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
  const by = heldBy(usePlan(), list, thing.id);
  return (
    <span className="flex items-center gap-2">
      <SubjectMark station={station} about={{ kind: kinds[list], id: thing.id }} />
      {!needed && (
        <SmallButton
          danger
          disabled={by !== null}
          label={by === null ? `Remove ${thing.name}` : `${thing.name} may not go while ${by} needs it`}
          onClick={() => act('removeFrom', { list, id: thing.id })}
        >
          <X size={14} />
        </SmallButton>
      )}
    </span>
  );
}
