'use client';
import type { Fault } from '@/core/calc/schema';
import { nowSaid } from '@/core/document/things/unsaid';
import type { Brace } from '@/core/document/schema';
import { Fold, Pair } from '@/ui/workings/fold';
import { AlikeButton } from '../shared/alike-button';
import { useSpot } from '../shared/spot-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

const braceKinds: readonly (readonly [Brace['kind'], string])[] = [
  ['crossFrame', 'cross-frame'],
  ['diaphragm', 'diaphragm'],
  ['strut', 'strut'],
  ['guy', 'guy'],
  ['knee', 'knee'],
  ['bridging', 'bridging'],
  ['deck', 'deck panel'],
];

/** What holds a piece sideways or against twist: to what, with what, for how long. */
export function BraceFields({ brace }: { brace: Brace }) {
  const edit = useEdit('braces', brace.id);
  const { open, words, choice } = useInputs();
  const spot = useSpot();
  return (
    <Fold
      thing={brace.id}
      title={brace.name || 'Brace'}
      note={brace.b ? 'to another piece' : brace.anchoredTo}
      tools={<ThingTools station="steel" list="braces" thing={{ id: brace.id, name: brace.name || 'the brace' }} />}
    >
      <Pair>
        {words('Name', brace.name, (name) => edit({ name }, 'name'))}
        {choice<Brace['kind']>('It is a', brace.kind, braceKinds, (kind) => edit({ kind }, 'kind'))}
        {spot('Held piece', brace.a, (a, placed) => edit({ a, ...(placed ? nowSaid(brace, 'at') : {}) }, 'a'), brace.unsaid?.includes('at'))}
        {choice<'piece' | 'fixed'>(
          'Its other end is on',
          brace.b ? 'piece' : 'fixed',
          [
            ['piece', 'another piece'],
            ['fixed', 'what is anchored'],
          ],
          (on) => edit(on === 'fixed' ? { b: null } : { b: brace.b ?? brace.a }, 'other end'),
        )}
        {brace.b && spot('Other piece', brace.b, (b) => edit({ b }, 'b'))}
        {choice<Brace['stops']>(
          'It stops',
          brace.stops,
          [
            ['sideways', 'sideways movement'],
            ['twist', 'rolling over'],
            ['both', 'both'],
          ],
          (stops) => edit({ stops }, 'stops'),
        )}
        {choice<'open' | 'stays' | 'goes'>(
          'It is there',
          brace.stays === true ? 'stays' : brace.stays === false ? 'goes' : 'open',
          [
            ['open', 'not said'],
            ['stays', 'for good'],
            ['goes', 'for the erection only'],
          ],
          (said) => edit({ stays: said === 'open' ? null : said === 'stays' }, 'stays'),
        )}
        {open('It may carry', 'force', brace.capacity, (capacity) => edit({ capacity }, 'capacity'))}
        {open('It weighs', 'mass', brace.mass ?? null, (mass) => edit({ mass }, 'mass'))}
        {(brace.mass ?? 0) > 0 &&
          words('Lifted to its place by', brace.liftedBy ?? '', (liftedBy) => edit({ liftedBy }, 'lifted by'), {
            placeholder: 'by what, and who worked that out',
          })}
        {open('Stiffness', 'forcePerLength', brace.stiffness, (stiffness) => edit({ stiffness }, 'stiffness'))}
        {!brace.b && words('Tied at its other end to', brace.anchoredTo, (anchoredTo) => edit({ anchoredTo }, 'anchored'), { placeholder: 'not known' })}
        {!brace.b && open('Seen from above it pulls towards', 'angle', brace.towardsDeg, (towardsDeg) => edit({ towardsDeg }, 'towards'))}
        {!brace.b && open('Slope from the horizontal', 'angle', brace.slopeDeg ?? null, (slopeDeg) => edit({ slopeDeg }, 'slope'))}
        {!brace.b && brace.kind === 'guy' && <AnchorFields anchor={brace.anchor ?? null} onChange={(anchor, name) => edit({ anchor }, name)} />}
        <AlikeButton list="braces" id={brace.id} others="braces alike" />
      </Pair>
    </Fold>
  );
}

type Anchor = NonNullable<Brace['anchor']>;

/** What a guy is tied to at its other end, and what that holds. */
function AnchorFields({ anchor, onChange }: { anchor: Anchor | null; onChange: (anchor: Anchor | null, name: string) => Fault[] | null }) {
  const { open, choice } = useInputs();
  return (
    <>
      {choice<Anchor['kind'] | 'open'>(
        'Its other end is held by',
        anchor?.kind ?? 'open',
        [
          ['open', 'not known'],
          ['block', 'a block by its weight'],
          ['fixed', 'an anchor'],
        ],
        (kind) => onChange(kind === 'open' ? null : kind === 'block' ? { kind, weight: null, friction: null } : { kind, carry: null }, 'anchor'),
      )}
      {anchor?.kind === 'block' && open('Block weighs', 'force', anchor.weight, (weight) => onChange({ ...anchor, weight }, 'block'))}
      {anchor?.kind === 'block' && open('Friction under the block', 'factor', anchor.friction, (friction) => onChange({ ...anchor, friction }, 'friction'))}
      {anchor?.kind === 'fixed' && open('Anchor may carry', 'force', anchor.carry, (carry) => onChange({ ...anchor, carry }, 'carry'))}
    </>
  );
}
