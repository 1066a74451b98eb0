'use client';
import { Plus, X } from 'lucide-react';
import { bentMore } from '@/core/document/migrations';
import { nowSaid, saidOf } from '@/core/document/things/unsaid';
import type { Bent, Plan } from '@/core/document/schema';
import { untagged } from '@/core/document/shore-tag';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, usePlan } from '@/job/job-context';
import { StandsOn } from '../shared/stands-on';
import { TagFields } from './tag-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { same, useInputs } from '@/job/editing/use-inputs';

export function newBent(id: string, plan: Plan): Bent {
  const american = plan.job.ruleSet === 'us-asd';
  const grade = american ? 'A992' : 'S275';
  const [first, second] = plan.bearings;
  return {
    id,
    unsaid: ['at', 'header.section', 'header.length', 'post.section', 'post.height', 'pad.length', 'pad.width'],
    ...bentMore(),
    name: `Bent ${plan.shoring.bents.length + 1}`,
    at: first && second ? { x: (first.at.x + second.at.x) / 2, y: (first.at.y + second.at.y) / 2 } : { x: 0, y: 0 },
    azimuthDeg: 90,
    header: { section: american ? 'W8x31' : 'UC 203x203x46', grade, length: 4 },
    posts: [0.5, 3.5],
    post: { section: american ? 'W6x15' : 'UC 152x152x30', grade, height: 4, braces: 0 },
    cap: 0.15,
    loads: [],
    pad: { length: 0.6, width: 0.6, allowable: null },
    jack: null,
    lateral: null,
    girder: null,
    tieDown: null,
    tag: untagged(),
    standsOn: [],
  };
}

const yesNo = (yes: string, no: string) =>
  [
    ['no', no],
    ['yes', yes],
  ] as const;

/** A bent, trestle or pair of posts under new steel: header, posts, pads, jacks, what holds it sideways and its girder down. */
export function BentFields({ bent }: { bent: Bent }) {
  const edit = useEdit('bents', bent.id);
  const { date, open, figure, whole, words, section, choice } = useInputs();
  const { header, post, pad, at } = bent;
  const spread = (count: number): number[] =>
    count === 1
      ? [header.length / 2]
      : Array.from({ length: count }, (_, i) => Number((0.125 * header.length + (0.75 * header.length * i) / (count - 1)).toFixed(4)));
  return (
    <Fold
      thing={bent.id}
      title={bent.name || 'Bent'}
      note={`${bent.posts.length} posts, ${bent.loads.length} loads`}
      tools={<ThingTools station="shores" thing={bent} list="bents" />}
    >
      <Pair>
        {words('Name', bent.name, (name) => edit({ name }, 'name'))}
        {figure('Header, long', 'length', saidOf(bent, 'header.length', header.length), (length) =>
          edit({ header: { ...header, length }, ...nowSaid(bent, 'header.length') }, 'header length'),
        )}
        {figure('Middle at x', 'length', saidOf(bent, 'at', at?.x ?? 0), (x) => edit({ at: { x, y: at?.y ?? 0 } }, 'x'))}
        {figure('Middle at y', 'length', saidOf(bent, 'at', at?.y ?? 0), (y) => edit({ at: { x: at?.x ?? 0, y } }, 'y'))}
        {figure('Header turned', 'angle', bent.azimuthDeg, (azimuthDeg) => edit({ azimuthDeg }, 'azimuth'))}
        {figure('Under its pads, level', 'length', bent.baseLevel, (baseLevel) => edit({ baseLevel }, 'base level'))}
        {section('Header', saidOf(bent, 'header.section', header.section) ?? '', (value) =>
          edit({ header: { ...header, section: value }, ...nowSaid(bent, 'header.section') }, 'header'),
        )}
        {words('Header grade', header.grade, (grade) => edit({ header: { ...header, grade } }, 'header grade'))}
        {section('Posts', saidOf(bent, 'post.section', post.section) ?? '', (value) =>
          edit({ post: { ...post, section: value }, ...nowSaid(bent, 'post.section') }, 'post'),
        )}
        {words('Post grade', post.grade, (grade) => edit({ post: { ...post, grade } }, 'post grade'))}
        {figure('Post, high', 'length', saidOf(bent, 'post.height', post.height), (height) =>
          edit({ post: { ...post, height }, ...nowSaid(bent, 'post.height') }, 'height'),
        )}
        {whole('Rows of bracing', post.braces, 0, (braces) => edit({ post: { ...post, braces } }, 'braces'))}
        {choice('How many posts', String(bent.posts.length), same(['1', '2', '3', '4', '5', '6']), (count) => edit({ posts: spread(Number(count)) }, 'posts'))}
        {figure('Header bears on a post', 'dimension', bent.cap, (cap) => edit({ cap }, 'cap'))}
        {bent.posts.map((x, i) =>
          figure(`Post ${i + 1} at`, 'length', x, (to) => edit({ posts: bent.posts.map((one, n) => (n === i ? to : one)) }, `post ${i}`)),
        )}
      </Pair>
      <LoadFields bent={bent} />
      <div className="mt-2">
        <Pair>
          {figure('Pad, long', 'dimension', saidOf(bent, 'pad.length', pad.length), (length) =>
            edit({ pad: { ...pad, length }, ...nowSaid(bent, 'pad.length') }, 'pad length'),
          )}
          {figure('Pad, wide', 'dimension', saidOf(bent, 'pad.width', pad.width), (width) =>
            edit({ pad: { ...pad, width }, ...nowSaid(bent, 'pad.width') }, 'pad width'),
          )}
          {open('Under it may be pressed', 'pressure', pad.allowable, (allowable) => edit({ pad: { ...pad, allowable } }, 'pad allowable'))}
          <span />
          {date('Accepted on', bent.readyOn, (readyOn) => edit({ readyOn }, 'ready'))}
          {date('Its girder lands on', bent.girderOn, (girderOn) => edit({ girderOn }, 'girder on'))}
        </Pair>
      </div>
      <SidewaysFields bent={bent} />
      <JackAndGirderFields bent={bent} />
      <TagFields tag={bent.tag} onChange={(tag, name) => edit({ tag }, name)} />
      <StandsOn name={bent.name} standsOn={bent.standsOn} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />
    </Fold>
  );
}

/** What comes down on the header, stage by stage. */
function LoadFields({ bent }: { bent: Bent }) {
  const edit = useEdit('bents', bent.id);
  const { open, figure, whole, words } = useInputs();
  const put = (id: string, changes: Partial<Bent['loads'][number]>, field: string) =>
    edit({ loads: bent.loads.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, `${id} ${field}`);
  const fresh = () => ({
    id: freshId('bl'),
    what: `Girder ${bent.loads.length + 1}`,
    at: bent.header.length / 2,
    force: null,
    bearing: null,
    from: 1,
    to: null,
  });
  return (
    <div className="mt-2">
      <div className="flex items-baseline justify-between text-[12.5px] text-soft">
        <span>What comes down on it, factored</span>
        <SmallButton onClick={() => edit({ loads: [...bent.loads, fresh()] }, 'load')}>
          <Plus size={13} aria-hidden /> Load
        </SmallButton>
      </div>
      {bent.loads.map((one) => (
        <div key={one.id} className="mt-1 grid grid-cols-[1.2fr_1fr_1fr_auto] items-end gap-2 border-t border-dotted border-line pt-1.5">
          {words('What', one.what, (what) => put(one.id, { what }, 'what'))}
          {figure('At', 'length', one.at, (at) => put(one.id, { at }, 'at'))}
          {open('Brings', 'force', one.force, (force) => put(one.id, { force }, 'force'))}
          <SmallButton danger label={`Remove ${one.what}`} onClick={() => edit({ loads: bent.loads.filter((other) => other.id !== one.id) }, 'load')}>
            <X size={14} />
          </SmallButton>
          {open('Bears on', 'dimension', one.bearing, (bearing) => put(one.id, { bearing }, 'bearing'))}
          {whole('From stage', one.from, 1, (from) => put(one.id, { from }, 'from'))}
          {open('Last stage', 'count', one.to, (to) => put(one.id, { to: to === null ? null : Math.max(one.from, Math.round(to)) }, 'to'), {
            placeholder: 'stays',
          })}
        </div>
      ))}
    </div>
  );
}

/** What the wind sees, and what holds the bent sideways: its own bracing and ties, and guys. */
function SidewaysFields({ bent }: { bent: Bent }) {
  const plan = usePlan();
  const act = useAct();
  const edit = useEdit('bents', bent.id);
  const { open, figure, whole, words } = useInputs();
  const put = (id: string, changes: Partial<Bent['guys'][number]>, field: string) =>
    edit({ guys: bent.guys.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, `${id} ${field}`);
  return (
    <div className="mt-2">
      <Pair>
        {open('Wind sees, of it and its load', 'floorArea', bent.sail, (sail) => edit({ sail }, 'sail'))}
        {open('Gust that may come while it stands', 'speed', plan.site.standingGust ?? null, (gust) => act('setStandingGust', { gust }, 'standing'))}
        {open('Bracing and ties hold', 'force', bent.lateral, (lateral) => edit({ lateral }, 'lateral'))}
        <span className="self-end text-right">
          <SmallButton
            onClick={() =>
              edit({ guys: [...bent.guys, { id: freshId('gy'), what: `Guy ${bent.guys.length + 1}`, angleDeg: 45, capacity: null, count: 1 }] }, 'guy')
            }
          >
            <Plus size={13} aria-hidden /> Guy
          </SmallButton>
        </span>
      </Pair>
      {bent.guys.map((one) => (
        <div key={one.id} className="mt-1 grid grid-cols-[1.2fr_1fr_1fr_auto] items-end gap-2 border-t border-dotted border-line pt-1.5">
          {words('Guy', one.what, (what) => put(one.id, { what }, 'what'))}
          {figure('From the ground', 'angle', one.angleDeg, (angleDeg) => put(one.id, { angleDeg }, 'angle'))}
          {open('May pull', 'force', one.capacity, (capacity) => put(one.id, { capacity }, 'capacity'))}
          <SmallButton danger label={`Remove ${one.what}`} onClick={() => edit({ guys: bent.guys.filter((other) => other.id !== one.id) }, 'guy')}>
            <X size={14} />
          </SmallButton>
          {whole('Pulling one way', one.count, 1, (count) => put(one.id, { count }, 'count'))}
        </div>
      ))}
    </div>
  );
}

function JackAndGirderFields({ bent }: { bent: Bent }) {
  const edit = useEdit('bents', bent.id);
  const { open, figure, choice } = useInputs();
  const { jack, girder } = bent;
  return (
    <div className="mt-2">
      <Pair>
        {choice('Jacks under the header', jack ? 'yes' : 'no', yesNo('one on each post', 'none'), (value) =>
          edit({ jack: value === 'yes' ? { capacity: 200e3, stroke: 0.15, need: 0 } : null }, 'jack'),
        )}
        {choice('Girder on it, unbraced', girder ? 'yes' : 'no', yesNo('stands alone for a while', 'not asked'), (value) =>
          edit({ girder: value === 'yes' ? { weight: 50e3, length: 10, depth: 0.6, bearingWidth: 0.25 } : null }, 'girder'),
        )}
        {jack && (
          <>
            {figure('Jack is rated', 'force', jack.capacity, (capacity) => edit({ jack: { ...jack, capacity } }, 'jack capacity'))}
            {figure('Its stroke', 'dimension', jack.stroke, (stroke) => edit({ jack: { ...jack, stroke } }, 'stroke'))}
            {figure('Height still wanted', 'dimension', jack.need, (need) => edit({ jack: { ...jack, need } }, 'need'))}
            <span />
          </>
        )}
        {girder && (
          <>
            {figure('Girder weighs', 'force', girder.weight, (weight) => edit({ girder: { ...girder, weight } }, 'girder weight'))}
            {figure('Girder, long', 'length', girder.length, (length) => edit({ girder: { ...girder, length } }, 'girder length'))}
            {figure('Girder, deep', 'dimension', girder.depth, (depth) => edit({ girder: { ...girder, depth } }, 'girder depth'))}
            {figure('Its bearing, wide', 'dimension', girder.bearingWidth, (bearingWidth) => edit({ girder: { ...girder, bearingWidth } }, 'bearing width'))}
            {open('Tied down by, each side', 'force', bent.tieDown, (tieDown) => edit({ tieDown }, 'tie down'))}
          </>
        )}
      </Pair>
    </div>
  );
}
