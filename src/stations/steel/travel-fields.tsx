'use client';
import type { Member } from '@/core/document/schema';
import { usePlan } from '@/job/job-context';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** On which truck, on which permit and on which day a mark comes. */
export function TravelFields({ member, bare }: { member: Member; /** the mark stands beside it already */ bare?: boolean }) {
  const { trucks, permits } = usePlan().transport;
  const { date, choice } = useInputs();
  const edit = useEdit('members', member.id);
  const { travel } = member;
  const put = (changes: Partial<typeof travel>, name: string) => edit({ travel: { ...travel, ...changes } }, `travel ${name}`);
  const of = bare ? '' : `${member.mark}: `;
  return (
    <div className={`grid gap-x-4 gap-y-2 ${bare ? 'col-span-2 grid-cols-2' : 'grid-cols-3 border-t border-line py-1.5'}`} data-travels={member.mark}>
      {choice(
        `${of}${bare ? 'Comes' : 'comes'} on`,
        travel.truck ?? 'first',
        [['first', 'the smallest that takes it'] as const, ...trucks.map(({ id, name }) => [id, name || 'truck without a name'] as const)],
        (truck) => put({ truck: truck === 'first' ? null : truck }, 'truck'),
      )}
      {choice(
        `${of}${bare ? 'Transport permit' : 'permit'}`,
        travel.permit ?? 'none',
        [['none', 'none'] as const, ...permits.map(({ id, number, by }) => [id, number || `asked for${by ? `, ${by}` : ''}`] as const)],
        (permit) => put({ permit: permit === 'none' ? null : permit }, 'permit'),
      )}
      {date(`${of}${bare ? 'Arrives' : 'arrives'} on`, travel.on, (on) => put({ on }, 'on'))}
    </div>
  );
}
