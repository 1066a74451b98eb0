'use client';
import { Plus, X } from 'lucide-react';
import type { Member } from '@/core/document/schema';
import { findSection } from '@/core/steel/sections';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

type Make = Extract<Member['make'], { kind: 'parts' }>;
type Part = Make['parts'][number];

/** A member put together of parts: each by its section or its weight, from where to where; it balances where they do. */
export function MemberPartsFields({ member, make }: { member: Member; make: Make }) {
  const { open, words } = useInputs();
  const edit = useEdit('members', member.id);
  const put = (changes: Partial<Make>, name: string) => edit({ make: { ...make, ...changes } }, `parts ${name}`);
  const last = make.parts.reduce((far, one) => Math.max(far, one.to), 0);
  const add = () =>
    put(
      {
        parts: [
          ...make.parts,
          { id: freshId('mp'), what: '', section: '', mass: null, count: 1, from: last, to: Math.max(last, last < member.length ? member.length : last) },
        ],
      },
      'add',
    );
  return (
    <div className="col-span-2">
      <div className="mb-2 grid grid-cols-3 gap-x-4 gap-y-2">
        {words('What it is', make.what, (what) => put({ what }, 'what'), { placeholder: 'stepped girder' })}
        {open('Overall width', 'dimension', make.width, (width) => put({ width }, 'width'))}
        {open('Overall depth', 'dimension', make.depth, (depth) => put({ depth }, 'depth'))}
      </div>
      {make.parts.map((part, i) => (
        <PartFields
          key={part.id}
          number={i + 1}
          part={part}
          put={(changes, name) => put({ parts: make.parts.map((one) => (one.id === part.id ? { ...one, ...changes } : one)) }, `${part.id} ${name}`)}
          remove={() => put({ parts: make.parts.filter((one) => one.id !== part.id) }, 'remove')}
        />
      ))}
      <SmallButton onClick={add}>
        <Plus size={13} aria-hidden /> Part
      </SmallButton>
    </div>
  );
}

function PartFields({
  number,
  part,
  put,
  remove,
}: {
  number: number;
  part: Part;
  put: (changes: Partial<Part>, name: string) => ReturnType<ReturnType<typeof useEdit>>;
  remove: () => void;
}) {
  const { open, figure, whole, words } = useInputs();
  return (
    <div className="mb-2 grid grid-cols-[1fr_auto] items-end gap-2 border-t border-line pt-1" role="group" aria-label={`Part ${number}`} data-part={number}>
      <div className="grid grid-cols-[1.5fr_1.4fr_1.1fr_0.5fr_0.8fr_0.8fr] gap-x-3">
        {words(`Part ${number}`, part.what, (what) => put({ what }, 'what'), { placeholder: 'what it is' })}
        {words('Section', part.section, (text) => put({ section: findSection(text)?.designation ?? text }, 'section'), {
          placeholder: 'none',
          note: part.mass === null && part.section.trim() !== '' && !findSection(part.section) ? 'in no table here: give its weight' : undefined,
        })}
        {open('Weight of one', 'mass', part.mass, (mass) => put({ mass }, 'mass'), { placeholder: part.section ? 'by its section' : 'not known' })}
        {whole('How many', part.count, 1, (count) => put({ count }, 'count'))}
        {figure('From', 'length', part.from, (from) => put({ from }, 'from'))}
        {figure('To', 'length', part.to, (to) => put({ to }, 'to'))}
      </div>
      <SmallButton danger label={`Remove part ${number}`} onClick={remove}>
        <X size={14} />
      </SmallButton>
    </div>
  );
}
