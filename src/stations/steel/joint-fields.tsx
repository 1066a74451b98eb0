'use client';
import type { Joint, Plan } from '@/core/document/schema';
import { nowSaid, saidOf } from '@/core/document/things/unsaid';
import { boltName, boltShearOf, drawnBolt } from '@/core/checks/structure/joint-bolts';
import { ONE_PLACE } from '@/core/checks/structure/shared-bolts';
import { placeOf } from '@/core/document/place';
import { sharersOf } from '@/core/document/sharers';
import { rulesOf } from '@/core/rules/rule-sets';
import { jointBoltGrades } from '@/core/strength/bolt-grades';
import { formatQuantity } from '@/core/units';
import { Fold, Pair } from '@/ui/workings/fold';
import { AlikeButton } from '../shared/alike-button';
import { usePlan } from '@/job/job-context';
import { useSpot } from '../shared/spot-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { same, useInputs } from '@/job/editing/use-inputs';

type BoltGrade = NonNullable<Joint['bolt']>['grade'];

/** Its bolts by their size; of which grade they are, and how often cut, is still to be said. */
function boltOf({ bolt, kind, unsaid }: Joint, plan: Plan, diameter: number | null): Partial<Joint> {
  if (bolt && diameter !== null) return { bolt: { ...bolt, diameter } };
  const rest = (unsaid ?? []).filter((key) => key !== 'bolt.grade' && key !== 'bolt.planes');
  if (diameter === null) return { bolt: null, unsaid: rest };
  const grade = plan.job.ruleSet === 'us-asd' ? 'A325' : '8.8';
  return { bolt: { diameter, grade, planes: kind === 'splice' ? 2 : 1 }, unsaid: [...rest, 'bolt.grade', 'bolt.planes'] };
}

/** What one of its bolts carries in shear by its size alone. */
function byItsSize(joint: Joint, plan: Plan): string | undefined {
  const bolt = drawnBolt(joint);
  if (!bolt) return undefined;
  const found = boltShearOf(bolt, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  return 'why' in found ? undefined : `${boltName(bolt, plan.job.units)}: ${formatQuantity(found.shear, 'force', plan.job.units)} in shear`;
}

const jointKinds: readonly (readonly [Joint['kind'], string])[] = [
  ['splice', 'splice of two ends in line'],
  ['onWeb', 'joint on the web of a beam'],
  ['onColumn', 'joint on a column'],
  ['seat', 'seat on a piece'],
];

/** What joins two pieces: which, where, and by what bolts. */
export function JointFields({ joint }: { joint: Joint }) {
  const plan = usePlan();
  const edit = useEdit('joints', joint.id);
  const { open, words, choice } = useInputs();
  const spot = useSpot();
  const sharer = sharersOf(plan.structure.joints).get(joint.id);
  const across = plan.structure.joints.filter(
    (one) =>
      one.id !== joint.id && joint.kind !== 'splice' && one.kind !== 'splice' && one.b.piece === joint.b.piece && Math.abs(one.b.at - joint.b.at) <= ONE_PLACE,
  );
  const isUpright = (id: string) => plan.structure.pieces.some((one) => one.id === id && placeOf(one)?.upright);
  /** the foot of a column on a beam */
  const standing = joint.kind !== 'splice' && joint.kind !== 'onColumn' && isUpright(joint.a.piece) && !isUpright(joint.b.piece);
  return (
    <Fold
      thing={joint.id}
      title={joint.name || 'Joint'}
      note={standing ? 'foot of a column on a beam' : jointKinds.find(([kind]) => kind === joint.kind)![1]}
      tools={<ThingTools station="steel" list="joints" thing={{ id: joint.id, name: joint.name || 'the joint' }} />}
    >
      <Pair>
        {words('Name', joint.name, (name) => edit({ name }, 'name'))}
        {choice<Joint['kind']>('It is a', joint.kind, jointKinds, (kind) => edit({ kind }, 'kind'))}
        {spot(joint.kind === 'splice' ? 'One piece' : 'Carried piece', joint.a, (a) => edit({ a }, 'a'))}
        {spot(joint.kind === 'splice' ? 'Other piece' : 'Carrying piece', joint.b, (b) => edit({ b }, 'b'))}
        {open('Holes in all', 'count', joint.holes, (holes) => edit({ holes: holes === null ? null : Math.max(1, Math.round(holes)) }, 'holes'))}
        {joint.kind === 'splice' ? (
          <>
            {open('Moment it may carry, filled', 'moment', joint.moment, (moment) => edit({ moment }, 'moment'))}
            {open('Shear it may carry, filled', 'force', joint.shear, (shear) => edit({ shear }, 'shear'))}
          </>
        ) : (
          open('One bolt may carry', 'force', joint.boltShear, (boltShear) => edit({ boltShear }, 'bolt'), { note: byItsSize(joint, plan) })
        )}
        {joint.kind === 'onColumn' && (
          <div className="col-span-2">
            {open('Moment it holds, filled and tight', 'moment', joint.moment, (moment) => edit({ moment }, 'moment'), {
              placeholder: 'none: the beam turns freely on it',
              note: 'By the engineer. With it the beam holds its columns upright along itself.',
            })}
          </div>
        )}
        {standing && (
          <>
            {open('Moment it may carry, filled', 'moment', joint.moment, (moment) => edit({ moment }, 'moment'), {
              note: 'Of the foot of a column on a beam, by the engineer.',
            })}
            {choice<'open' | 'yes' | 'no'>(
              'Web under it stiffened',
              (joint.stiffened ?? null) === null ? 'open' : joint.stiffened ? 'yes' : 'no',
              [
                ['open', 'not said'],
                ['no', 'no'],
                ['yes', 'yes'],
              ],
              (answer) => edit({ stiffened: answer === 'open' ? null : answer === 'yes' }, 'stiffened'),
            )}
          </>
        )}
        {open('Bolts are this thick', 'dimension', joint.bolt?.diameter ?? null, (diameter) => edit(boltOf(joint, plan, diameter), 'bolt size'))}
        {joint.bolt &&
          choice<BoltGrade | 'open'>(
            'Bolts are of grade',
            saidOf(joint, 'bolt.grade', joint.bolt.grade) ?? 'open',
            [...(joint.unsaid?.includes('bolt.grade') ? ([['open', 'not said']] as const) : []), ...same(jointBoltGrades)],
            (grade) => (grade === 'open' ? null : edit({ bolt: { ...joint.bolt!, grade }, ...nowSaid(joint, 'bolt.grade') }, 'bolt grade')),
          )}
        {joint.bolt &&
          open('Shear planes through one bolt', 'count', saidOf(joint, 'bolt.planes', joint.bolt.planes), (planes) =>
            edit({ bolt: { ...joint.bolt!, planes: Math.max(1, Math.round(planes ?? 1)) }, ...nowSaid(joint, 'bolt.planes') }, 'bolt planes'),
          )}
        {across.length > 0 && (
          <>
            {choice<string>(
              'Through the web',
              joint.ownBolts ? 'own' : (sharer?.id ?? 'open'),
              [['open', 'not said'], ['own', 'bolts of its own'], ...across.map(({ id, name }): [string, string] => [id, `shares bolts with ${name}`])],
              (said) =>
                edit(
                  said === 'open'
                    ? { ownBolts: null, sharesWith: null }
                    : said === 'own'
                      ? { ownBolts: true, sharesWith: null }
                      : { ownBolts: null, sharesWith: said },
                  'shares',
                ),
            )}
            {sharer &&
              choice<'yes' | 'no'>(
                'As the second goes in',
                joint.oneStays ? 'yes' : 'no',
                [
                  ['no', 'all of the first are taken out'],
                  ['yes', 'one stays tight, or a seat is there'],
                ],
                (answer) => edit({ oneStays: answer === 'yes' }, 'one stays'),
              )}
          </>
        )}
        {joint.kind === 'splice' &&
          choice<'yes' | 'no'>(
            'Traffic before it is filled',
            joint.traffic ? 'yes' : 'no',
            [
              ['no', 'no'],
              ['yes', 'yes: three quarters filled'],
            ],
            (answer) => edit({ traffic: answer === 'yes' }, 'traffic'),
          )}
        {choice<'no' | 'reamed' | 'burnt'>(
          'Holes opened on site',
          joint.opened?.how ?? 'no',
          [
            ['no', 'no'],
            ['reamed', 'reamed'],
            ['burnt', 'by flame'],
          ],
          (how) => edit({ opened: how === 'no' ? null : { how, by: joint.opened?.by ?? '' } }, 'opened'),
        )}
        {joint.opened &&
          words('Opening approved by', joint.opened.by, (by) => edit({ opened: { ...joint.opened!, by } }, 'opened by'), { placeholder: 'not known' })}
        <AlikeButton list="joints" id={joint.id} others="joints alike" />
      </Pair>
    </Fold>
  );
}
