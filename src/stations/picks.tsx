'use client';
import { Plus } from 'lucide-react';
import { pickContext } from '@/core/plan/pick-context';
import { saidOf } from '@/core/plan/document/unsaid';
import { Missing } from '@/core/plan/missing';
import type { Pick, Plan } from '@/core/plan/schema';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Fold } from '@/ui/workings/fold';
import { freshId } from './fresh-id';
import { useAct, usePlan } from './job-context';
import { Group, Panel, SmallButton } from './panel';
import { ThingTools } from './thing-tools';
import { useInputs } from './use-inputs';
import { settle } from '@/core/plan/settle';

/** How each piece hangs and how it travels. */
export function PicksStation() {
  const plan = usePlan();
  const [only, ...others] = plan.picks;
  if (!only)
    return (
      <Panel title="Picks" about={plan.stands.length === 0 ? 'A pick needs a crane and a stand: see Gear' : 'No pick yet'} station="picks">
        <NewPick />
      </Panel>
    );
  if (others.length === 0)
    return (
      <Panel title={`Pick · ${pickContext(settle(plan), only).piece.mark}`} about={<AboutPick pick={only} />} station="picks">
        <PickFields pick={only} />
        <NewPick />
      </Panel>
    );
  return (
    <Panel title="Picks" about={`${plan.picks.length} picks, in the order they were planned`} station="picks">
      <div className="border-b border-line">
        {plan.picks.map((pick) => {
          const { mark } = pickContext(settle(plan), pick).piece;
          return (
            <Fold
              key={pick.id}
              thing={pick.id}
              title={mark}
              note={<AboutPick pick={pick} short />}
              tools={<ThingTools station="picks" list="picks" thing={{ id: pick.id, name: `the pick of ${mark}` }} />}
            >
              <div className="space-y-4 pb-3">
                <PickFields pick={pick} />
              </div>
            </Fold>
          );
        })}
      </div>
      <NewPick />
    </Panel>
  );
}

function AboutPick({ pick, short }: { pick: Pick; short?: boolean }) {
  const plan = usePlan();
  const system = plan.job.units;
  const { path, gross } = pickContext(settle(plan), pick);
  if (path instanceof Missing) return path.questions[0];
  if (short && !(gross instanceof Missing)) return `${formatQuantity(gross.mass, 'mass', system)}, to ${formatQuantity(path.most, 'length', system)}`;
  return `${gross instanceof Missing ? '' : `${formatQuantity(gross.mass, 'mass', system)} on the hook, `}radius ${formatQuantity(path.least, 'length', system)} to ${formatQuantity(path.most, 'length', system)}`;
}

/** Pieces that no pick lifts yet. */
const unlifted = ({ picks, pieces, structure }: Plan): { id: string; mark: string; length: number }[] => {
  const lifted = new Set(picks.map((pick) => pick.piece));
  const makes = new Map(structure.makes.map((one) => [one.id, one]));
  return [
    ...pieces.map(({ id, mark, length }) => ({ id, mark, length })),
    ...structure.pieces.map(({ id, mark, make }) => ({ id, mark, length: makes.get(make)?.length ?? 0 })),
  ].filter(({ id }) => !lifted.has(id));
};

/** A pick of another piece, slung and swung as the last one; its boom and slings are asked where there is none before it. */
function NewPick() {
  const plan = usePlan();
  const act = useAct();
  const next = unlifted(plan);
  const stand = plan.stands[plan.stands.length - 1];
  const like = plan.picks[plan.picks.length - 1];
  if (!stand || next.length === 0) return null;
  const add = ({ id, length }: (typeof next)[number]) => {
    const quarter = Math.round(length * 25) / 100;
    const pick: Pick = like
      ? // Its slings are those of the last one; where they take this piece, and how, is asked.
        {
          ...like,
          id: freshId('k'),
          unsaid: ['left', 'right', 'legs'],
          piece: id,
          left: Math.min(like.left, length / 2),
          right: Math.min(like.right, length / 2),
        }
      : {
          id: freshId('k'),
          unsaid: ['left', 'right', 'legs', 'boom', 'liftOver'],
          piece: id,
          stand: stand.id,
          left: quarter,
          right: quarter,
          legs: { left: Math.max(1, length / 2), right: Math.max(1, length / 2) },
          slingRating: null,
          riggingMass: null,
          boom: 12,
          swing: 'short',
          swingRadius: null,
          liftOver: 1,
        };
    act('addTo', { list: 'picks', thing: pick });
  };
  return (
    <div className="flex flex-wrap gap-1.5">
      {next.slice(0, 6).map((one) => (
        <SmallButton key={one.id} onClick={() => add(one)}>
          <Plus size={13} aria-hidden /> A pick of {one.mark}
        </SmallButton>
      ))}
      {next.length > 6 && <span className="text-[12.5px] text-soft">and {next.length - 6} more that no pick lifts</span>}
    </div>
  );
}

function PickFields({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure } = useInputs();
  const edit = (changes: Partial<Omit<Pick, 'id'>>, field: string) => act('editPick', { id: pick.id, changes }, `${pick.id} ${field}`);
  return (
    <>
      <Group title="Pick points and slings">
        {plan.stands.length > 1 && (
          <div className="col-span-2">
            <ChoiceField
              label="Lifted from"
              value={pick.stand}
              choices={plan.stands.map(({ id, name, crane }) => ({ value: id, label: `${name}, ${plan.cranes.find((one) => one.id === crane)?.name ?? ''}` }))}
              onValue={(stand) => edit({ stand }, 'stand')}
            />
          </div>
        )}
        {figure('Left end to pick', 'length', saidOf(pick, 'left', pick.left), (left) => edit({ left }, 'left'))}
        {figure('Right end to pick', 'length', saidOf(pick, 'right', pick.right), (right) => edit({ right }, 'right'))}
        {figure('Left leg', 'length', saidOf(pick, 'legs', pick.legs.left), (left) => edit({ legs: { ...pick.legs, left } }, 'leg left'))}
        {figure('Right leg', 'length', saidOf(pick, 'legs', pick.legs.right), (right) => edit({ legs: { ...pick.legs, right } }, 'leg right'))}
        {open('Rating of one leg', 'mass', pick.slingRating, (slingRating) => edit({ slingRating }, 'rating'))}
        {open('Slings and shackles weigh', 'mass', pick.riggingMass, (riggingMass) => edit({ riggingMass }, 'rigging'))}
      </Group>
      <Group title="The way">
        {figure('Boom', 'length', saidOf(pick, 'boom', pick.boom), (boom) => edit({ boom }, 'boom'))}
        <ChoiceField
          label="Swing"
          value={pick.swing}
          choices={[
            { value: 'short', label: 'the short way' },
            { value: 'left', label: 'to the left' },
            { value: 'right', label: 'to the right' },
          ]}
          onValue={(swing) => edit({ swing }, 'swing')}
        />
        {open('Radius while slewing', 'length', pick.swingRadius, (swingRadius) => edit({ swingRadius }, 'swing radius'), { placeholder: 'straight over' })}
        {figure('Over the seats before lowering', 'length', saidOf(pick, 'liftOver', pick.liftOver), (liftOver) => edit({ liftOver }, 'lift over'))}
      </Group>
    </>
  );
}
