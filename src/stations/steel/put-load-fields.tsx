'use client';
import { nowSaid, saidOf, type Unsaid } from '@/core/document/things/unsaid';
import type { PutLoad } from '@/core/document/schema';
import { Fold, Pair } from '@/ui/workings/fold';
import { usePlan } from '@/job/job-context';
import { useSpot } from '../shared/spot-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

type Bundle = NonNullable<PutLoad['bundle']>;
/** What of a new bundle is still to be said. */
const OPEN: Unsaid[] = ['bundle.force', 'bundle.joists', 'bundle.edge'];
const rest = (unsaid: readonly Unsaid[] = []): Unsaid[] => unsaid.filter((key) => !OPEN.includes(key));
/** A bundle of which only what lies on this piece is said. */
const newBundle = (force: number): Bundle => ({ force, joists: 1, edge: 0, by: '' });

/** What is put on a piece while it is built: what, where, how heavy, and what lifts it there. */
export function PutLoadFields({ load }: { load: PutLoad }) {
  const edit = useEdit('putLoads', load.id);
  const plan = usePlan();
  const { words, figure, choice } = useInputs();
  const spot = useSpot();
  const mark = plan.structure.pieces.find(({ id }) => id === load.piece)?.mark ?? '';
  const { bundle = null } = load;
  const put = (changes: Partial<Bundle>, field: string, ...said: Unsaid[]) => edit({ bundle: { ...bundle!, ...changes }, ...nowSaid(load, ...said) }, field);
  const [piece, at] = spot('It lies on', { piece: load.piece, at: load.at }, ({ piece: id, at: place }) =>
    // Only what was changed is said by that.
    edit({ ...(id === load.piece ? {} : { piece: id }), ...(place === load.at ? {} : { at: place }) }, 'place'),
  );
  return (
    <Fold
      thing={load.id}
      title={load.what || 'Load'}
      note={`on ${mark}`}
      tools={<ThingTools station="steel" list="putLoads" thing={{ id: load.id, name: load.what || 'the load' }} />}
    >
      <Pair>
        {words('What it is', load.what, (what) => edit({ what }, 'what'))}
        {figure('It brings onto this piece', 'force', saidOf(load, 'force', load.force), (force) => edit({ force }, 'force'))}
        {piece}
        {load.unsaid?.includes('at') ? figure('It lies on, from its first end', 'length', null, (place) => edit({ at: place }, 'place')) : at}
        {choice<'no' | 'yes'>(
          'It is a bundle on joists',
          bundle ? 'yes' : 'no',
          [
            ['no', 'no'],
            ['yes', 'yes: 29 CFR 1926.757(e)(4)'],
          ],
          (answer) =>
            edit(
              answer === 'yes' ? { bundle: newBundle(load.force), unsaid: [...rest(load.unsaid), ...OPEN] } : { bundle: null, unsaid: rest(load.unsaid) },
              'bundle',
            ),
        )}
        {bundle && (
          <>
            {figure('The whole bundle weighs', 'force', saidOf(load, 'bundle.force', bundle.force), (force) => put({ force }, 'bundle force', 'bundle.force'))}
            {figure('Joists it lies on', 'count', saidOf(load, 'bundle.joists', bundle.joists), (joists) =>
              put({ joists: Math.max(1, Math.round(joists)) }, 'joists', 'bundle.joists'),
            )}
            {figure('Its edge from the end of the joists', 'dimension', saidOf(load, 'bundle.edge', bundle.edge), (edge) =>
              put({ edge }, 'edge', 'bundle.edge'),
            )}
            {words('That they carry it was found by', bundle.by, (by) => put({ by }, 'bundle by'), { placeholder: 'nobody yet' })}
          </>
        )}
        {words('Lifted onto the steel by', load.liftedBy ?? '', (liftedBy) => edit({ liftedBy }, 'lifted by'), {
          placeholder: 'by what, and who worked that out',
        })}
      </Pair>
    </Fold>
  );
}
