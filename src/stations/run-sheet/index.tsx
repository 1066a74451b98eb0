'use client';
import { later } from '@/ui/later';
import { Trash2 } from 'lucide-react';
import type { Move } from '@/core/document/schema';
import { moveWords } from '@/core/settle/move-words';
import { SmallButton } from '@/ui/small-button';
import { again } from '@/ui/again';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { Group, Panel } from '../shared/panel';
import { useInputs } from '@/job/editing/use-inputs';

// What is asked at a move is read with the first move that asks it.
const HoldPoints = later(() => again(() => import('./hold-points')).then((part) => part.HoldPoints));
const StructureMoveFields = later(() => again(() => import('./structure-move-fields')).then((part) => part.StructureMoveFields));
const TightChoice = later(() => again(() => import('./structure-move-fields')).then((part) => part.TightChoice));

/** The move the moment stands at: what can be changed in it and what is checked at it. */
export function RunSheetStation() {
  const plan = usePlan();
  const cursor = useJob((state) => state.cursor);
  const move = plan.moves[cursor];
  if (!move) {
    return (
      <Panel title="Before work" about="What must agree before the first move" move={null}>
        <HoldPoints />
        <PeopleFields />
      </Panel>
    );
  }
  return <MovePanel key={move.id} move={move} number={cursor + 1} />;
}

function MovePanel({ move, number }: { move: Move; number: number }) {
  const plan = usePlan();
  const act = useAct();
  const { date, open, words } = useInputs();
  const { title, about } = moveWords(plan, move);
  const edit = (changes: { bolts?: number | null; tight?: boolean | null; note?: string; what?: string; on?: string | null }, field: string) =>
    act('editMove', { id: move.id, changes }, `${move.id} ${field}`);
  return (
    <Panel title={`Move ${number} · ${title}`} about={about} move={move.id}>
      <HoldPoints move={move.id} />
      <Group
        title="This move"
        tools={
          <SmallButton danger label={`Remove move ${number}`} onClick={() => act('removeMove', { id: move.id })}>
            <Trash2 size={13} aria-hidden /> Remove
          </SmallButton>
        }
      >
        {move.kind === 'end.bolt' && open('Bolts put in', 'count', move.bolts, (bolts) => edit({ bolts }, 'bolts'))}
        {move.kind === 'end.bolt' && <TightChoice tight={move.tight ?? null} onTight={(tight) => edit({ tight }, 'tight')} />}
        <StructureMoveFields move={move} />
        {move.kind === 'day.end' && date('Day that ends', move.on ?? '', (on) => edit({ on: on === '' ? null : on }, 'on'))}
        {move.kind === 'other' && words('What is done', move.what, (what) => edit({ what }, 'what'))}
        <div className="col-span-2">{words('Note for the crew', move.note ?? '', (note) => edit({ note }, 'note'))}</div>
      </Group>
    </Panel>
  );
}

function PeopleFields() {
  const { people } = usePlan();
  const act = useAct();
  const { words } = useInputs();
  const field = (label: string, key: keyof typeof people) =>
    words(label, people[key], (value) => act('editPeople', { changes: { [key]: value } }, key), { placeholder: 'left blank on the sheet' });
  return (
    <Group title="People, for the sheets">
      {field('Planned by', 'planner')}
      {field('Checked by', 'checker')}
      {field('One caller', 'caller')}
      {field('Crane operator', 'operator')}
      {field('Radio channel', 'radioChannel')}
    </Group>
  );
}
