'use client';
import { standingOn } from '@/core/document/standing-on';
import { nowSaid, saidOf } from '@/core/document/things/unsaid';
import { Plus, X } from 'lucide-react';
import { useMemo } from 'react';
import { pathPicture } from '@/core/view/path-picture';
import { storeyTotals } from '@/core/view/storey-totals';
import { soils, SOIL_SOURCE } from '@/core/path/soils';
import { linkKinds, type Link } from '@/core/document/schema';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { PathView } from '@/ui/workings/path-view';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { StandsOn } from '../shared/stands-on';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** The path to ground, storey by storey: a list with a number at every link. */
export function LoadPathFields() {
  const plan = usePlan();
  const act = useAct();
  const { system } = useField();
  const checks = useJob((state) => state.survey.evaluation.checks);
  const picture = useMemo(() => pathPicture(plan, checks), [plan, checks]);
  const totals = useMemo(() => storeyTotals(plan, picture), [plan, picture]);
  const sorted = [...plan.links].sort((a, b) => b.storey - a.storey);
  const add = () => {
    const link: Link = {
      id: freshId('l'),
      name: `Link ${plan.links.length + 1}`,
      kind: 'post',
      storey: 0,
      own: 0,
      capacity: null,
      foot: null,
      ground: false,
      standsOn: [],
    };
    act('addTo', { list: 'links', thing: link });
  };
  return (
    <Fold
      title="Path to ground"
      note={plan.links.length === 0 ? 'nothing written down' : `${plan.links.length} links`}
      tools={
        <SmallButton onClick={add}>
          <Plus size={13} aria-hidden /> Link
        </SmallButton>
      }
    >
      {picture.rows > 1 && <PathView picture={picture} system={system} />}
      {totals.length > 0 && (
        <table className="mb-2 w-full text-[13px]" aria-label="Summed by storey">
          <tbody>
            {totals.map(({ storey, load, links }) => (
              <tr key={storey} className="border-b border-dotted border-line" data-storey={storey}>
                <th scope="row" className="text-left font-normal">
                  {storey === 0 ? 'Ground storey' : storey > 0 ? `Storey ${storey}` : `Storey ${storey}, below ground`}
                  <span className="text-soft">, {links === 1 ? '1 link' : `${links} links`}</span>
                </th>
                <td className={`text-right font-semibold ${load === null ? 'text-missing' : ''}`}>
                  {load === null ? 'not known' : `${formatQuantity(load, 'force', system)} in all`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {sorted.map((link) => {
        const load =
          checks.find(
            (check) =>
              check.id.startsWith('path.') && check.about.kind === 'link' && check.about.id === link.id && check.quantity === 'force' && check.demand !== null,
          )?.demand ?? null;
        return <LinkFields key={link.id} link={link} load={load === null ? null : formatQuantity(load, 'force', system)} />;
      })}
    </Fold>
  );
}

function LinkFields({ link, load }: { link: Link; load: string | null }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure, words } = useInputs();
  const edit = useEdit('links', link.id);
  const { foot } = link;
  const used = standingOn(plan, link.id).length > 0;
  return (
    <div className="pl-3">
      <Fold
        thing={link.id}
        title={link.name || link.kind}
        note={`storey ${link.storey}${link.ground ? ', ground' : load ? `, takes ${load}` : ''}`}
        tools={
          used ? undefined : (
            <SmallButton danger label={`Remove ${link.name}`} onClick={() => act('removeFrom', { list: 'links', id: link.id })}>
              <X size={13} />
            </SmallButton>
          )
        }
      >
        <Pair>
          {words('Name', link.name, (name) => edit({ name }, 'name'))}
          <ChoiceField
            label="It is"
            value={link.ground ? 'ground' : link.kind}
            choices={[
              ...linkKinds.filter((kind) => kind !== 'soil').map((kind) => ({ value: kind as string, label: kind as string })),
              { value: 'ground', label: 'the ground itself' },
            ]}
            onValue={(value) =>
              edit(value === 'ground' ? { kind: 'soil', ground: true, standsOn: [], foot: null } : { kind: value as Link['kind'], ground: false }, 'kind')
            }
          />
          {figure('Storey', 'count', link.storey, (storey) => edit({ storey: Math.round(storey) }, 'storey'))}
          {figure('Its own load', 'force', link.own, (own) => edit({ own }, 'own'))}
          {!link.ground && (
            <>
              {open('May carry', 'force', link.capacity, (capacity) => edit({ capacity }, 'capacity'))}
              <ChoiceField
                label="Foot"
                value={foot ? 'yes' : 'no'}
                choices={[
                  { value: 'no', label: 'not looked at' },
                  { value: 'yes', label: 'presses on an area' },
                ]}
                onValue={(value) =>
                  edit(
                    value === 'yes'
                      ? { foot: { length: 0.3, width: 0.3, allowable: null, source: '' }, unsaid: [...(link.unsaid ?? []), 'foot.length', 'foot.width'] }
                      : { foot: null, ...nowSaid(link, 'foot.length', 'foot.width') },
                    'foot',
                  )
                }
              />
            </>
          )}
          {foot && (
            <>
              {figure('Foot length', 'dimension', saidOf(link, 'foot.length', foot.length), (length) =>
                edit({ foot: { ...foot, length }, ...nowSaid(link, 'foot.length') }, 'foot length'),
              )}
              {figure('Foot width', 'dimension', saidOf(link, 'foot.width', foot.width), (width) =>
                edit({ foot: { ...foot, width }, ...nowSaid(link, 'foot.width') }, 'foot width'),
              )}
              {open('Pressure allowed under it', 'pressure', foot.allowable, (allowable) =>
                edit({ foot: { ...foot, allowable, source: allowable === foot.allowable ? foot.source : '' } }, 'foot allowable'),
              )}
              {words('Figure from', foot.source, (source) => edit({ foot: { ...foot, source } }, 'foot source'), { placeholder: 'nobody yet' })}
              <ChoiceField
                label="Soil, presumptive"
                value={soils.find((soil) => soil.allowable === foot.allowable)?.id ?? 'own'}
                choices={[{ value: 'own', label: 'own figure' }, ...soils.map((soil) => ({ value: soil.id, label: soil.name }))]}
                onValue={(value) => {
                  const soil = soils.find((one) => one.id === value);
                  if (soil) edit({ foot: { ...foot, allowable: soil.allowable, source: SOIL_SOURCE } }, 'soil');
                }}
              />
            </>
          )}
        </Pair>
        {!link.ground && <StandsOn name={link.name} standsOn={link.standsOn} not={link.id} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />}
      </Fold>
    </div>
  );
}
