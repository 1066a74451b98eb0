'use client';
import { Plus, X } from 'lucide-react';
import type { Bent, Plan } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SectionField } from '@/ui/fields/section-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { freshId } from './fresh-id';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { StandsOn } from './stands-on';
import { TagFields } from './tag-fields';
import { untagged } from '@/core/plan/shore-tag';
import { useEdit, useField } from './use-edit';

export function newBent(id: string, plan: Plan): Bent {
  const american = plan.job.ruleSet === 'us-asd';
  return {
    id,
    name: `Bent ${plan.shoring.bents.length + 1}`,
    header: { section: american ? 'W8x31' : 'UC 203x203x46', grade: american ? 'A992' : 'S275', length: 4 },
    posts: [0.5, 3.5],
    post: { section: american ? 'W6x15' : 'UC 152x152x30', grade: american ? 'A992' : 'S275', height: 4, braces: 0 },
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

/** A bent, trestle or pair of posts under new steel: header, posts, pads, jacks, what holds it sideways and its girder down. */
export function BentFields({ bent }: { bent: Bent }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const edit = useEdit('bents', bent.id);
  const { header, post, pad, jack, girder } = bent;
  const spread = (count: number): number[] =>
    count === 1
      ? [header.length / 2]
      : Array.from({ length: count }, (_, i) => Number((0.125 * header.length + (0.75 * header.length * i) / (count - 1)).toFixed(4)));
  const load = (id: string, changes: Partial<Bent['loads'][number]>, name: string) =>
    edit({ loads: bent.loads.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, `${id} ${name}`);
  return (
    <Fold
      title={bent.name || 'Bent'}
      note={`${bent.posts.length} posts, ${bent.loads.length} loads`}
      tools={
        <SmallButton danger label={`Remove ${bent.name}`} onClick={() => act('removeFrom', { list: 'bents', id: bent.id })}>
          <X size={14} />
        </SmallButton>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={bent.name} onValue={(name) => edit({ name }, 'name')} />
        <QuantityField
          {...field}
          label="Header, long"
          kind="length"
          value={header.length}
          onValue={(length) => edit({ header: { ...header, length: length ?? 0 } }, 'header length')}
        />
        <SectionField label="Header" value={header.section} system={field.system} onValue={(section) => edit({ header: { ...header, section } }, 'header')} />
        <TextField {...field} label="Header grade" value={header.grade} onValue={(grade) => edit({ header: { ...header, grade } }, 'header grade')} />
        <SectionField label="Posts" value={post.section} system={field.system} onValue={(section) => edit({ post: { ...post, section } }, 'post')} />
        <TextField {...field} label="Post grade" value={post.grade} onValue={(grade) => edit({ post: { ...post, grade } }, 'post grade')} />
        <QuantityField
          {...field}
          label="Post, high"
          kind="length"
          value={post.height}
          onValue={(height) => edit({ post: { ...post, height: height ?? 0 } }, 'height')}
        />
        <QuantityField
          {...field}
          label="Rows of bracing"
          kind="count"
          value={post.braces}
          onValue={(braces) => edit({ post: { ...post, braces: Math.max(0, Math.round(braces ?? 0)) } }, 'braces')}
        />
        <ChoiceField
          label="How many posts"
          value={String(bent.posts.length)}
          choices={['1', '2', '3', '4', '5', '6'].map((one) => ({ value: one, label: one }))}
          onValue={(count) => edit({ posts: spread(Number(count)) }, 'posts')}
        />
        <QuantityField {...field} label="Header bears on a post" kind="dimension" value={bent.cap} onValue={(cap) => edit({ cap: cap ?? 0 }, 'cap')} />
        {bent.posts.map((at, i) => (
          <QuantityField
            {...field}
            key={i}
            label={`Post ${i + 1} at`}
            kind="length"
            value={at}
            onValue={(value) => edit({ posts: bent.posts.map((one, n) => (n === i ? (value ?? 0) : one)) }, `post ${i}`)}
          />
        ))}
      </Pair>
      <div className="mt-2 flex items-baseline justify-between text-[12.5px] text-soft">
        <span>What comes down on it, factored</span>
        <SmallButton
          onClick={() =>
            edit({ loads: [...bent.loads, { id: freshId('bl'), what: `Girder ${bent.loads.length + 1}`, at: header.length / 2, force: null }] }, 'load')
          }
        >
          <Plus size={13} aria-hidden /> Load
        </SmallButton>
      </div>
      {bent.loads.map((one) => (
        <div key={one.id} className="mt-1 grid grid-cols-[1.3fr_1fr_1fr_auto] items-end gap-2">
          <TextField {...field} label="What" value={one.what} onValue={(what) => load(one.id, { what }, 'what')} />
          <QuantityField {...field} label="At" kind="length" value={one.at} onValue={(at) => load(one.id, { at: at ?? 0 }, 'at')} />
          <QuantityField {...field} label="Brings" kind="force" value={one.force} clearable onValue={(force) => load(one.id, { force }, 'force')} />
          <SmallButton danger label={`Remove ${one.what}`} onClick={() => edit({ loads: bent.loads.filter((other) => other.id !== one.id) }, 'load')}>
            <X size={14} />
          </SmallButton>
        </div>
      ))}
      <div className="mt-2">
        <Pair>
          <QuantityField
            {...field}
            label="Pad, long"
            kind="dimension"
            value={pad.length}
            onValue={(length) => edit({ pad: { ...pad, length: length ?? 0 } }, 'pad length')}
          />
          <QuantityField
            {...field}
            label="Pad, wide"
            kind="dimension"
            value={pad.width}
            onValue={(width) => edit({ pad: { ...pad, width: width ?? 0 } }, 'pad width')}
          />
          <QuantityField
            {...field}
            label="Under it may be pressed"
            kind="pressure"
            value={pad.allowable}
            clearable
            onValue={(allowable) => edit({ pad: { ...pad, allowable } }, 'pad allowable')}
          />
          <QuantityField {...field} label="Held sideways for" kind="force" value={bent.lateral} clearable onValue={(lateral) => edit({ lateral }, 'lateral')} />
          <ChoiceField
            label="Jacks under the header"
            value={jack ? 'yes' : 'no'}
            choices={[
              { value: 'no', label: 'none' },
              { value: 'yes', label: 'one on each post' },
            ]}
            onValue={(value) => edit({ jack: value === 'yes' ? { capacity: 200e3, stroke: 0.15, need: 0 } : null }, 'jack')}
          />
          <ChoiceField
            label="Girder on it, unbraced"
            value={girder ? 'yes' : 'no'}
            choices={[
              { value: 'no', label: 'not asked' },
              { value: 'yes', label: 'stands alone for a while' },
            ]}
            onValue={(value) => edit({ girder: value === 'yes' ? { weight: 50e3, length: 10, depth: 0.6, bearingWidth: 0.25 } : null }, 'girder')}
          />
          {jack && (
            <>
              <QuantityField
                {...field}
                label="Jack is rated"
                kind="force"
                value={jack.capacity}
                onValue={(capacity) => edit({ jack: { ...jack, capacity: capacity ?? 0 } }, 'jack capacity')}
              />
              <QuantityField
                {...field}
                label="Its stroke"
                kind="dimension"
                value={jack.stroke}
                onValue={(stroke) => edit({ jack: { ...jack, stroke: stroke ?? 0 } }, 'stroke')}
              />
              <QuantityField
                {...field}
                label="Height still wanted"
                kind="dimension"
                value={jack.need}
                onValue={(need) => edit({ jack: { ...jack, need: need ?? 0 } }, 'need')}
              />
              <span />
            </>
          )}
          {girder && (
            <>
              <QuantityField
                {...field}
                label="Girder weighs"
                kind="force"
                value={girder.weight}
                onValue={(weight) => edit({ girder: { ...girder, weight: weight ?? 0 } }, 'girder weight')}
              />
              <QuantityField
                {...field}
                label="Girder, long"
                kind="length"
                value={girder.length}
                onValue={(length) => edit({ girder: { ...girder, length: length ?? 0 } }, 'girder length')}
              />
              <QuantityField
                {...field}
                label="Girder, deep"
                kind="dimension"
                value={girder.depth}
                onValue={(depth) => edit({ girder: { ...girder, depth: depth ?? 0 } }, 'girder depth')}
              />
              <QuantityField
                {...field}
                label="Its bearing, wide"
                kind="dimension"
                value={girder.bearingWidth}
                onValue={(bearingWidth) => edit({ girder: { ...girder, bearingWidth: bearingWidth ?? 0 } }, 'bearing width')}
              />
              <QuantityField
                {...field}
                label="Tied down by, each side"
                kind="force"
                value={bent.tieDown}
                clearable
                onValue={(tieDown) => edit({ tieDown }, 'tie down')}
              />
              <QuantityField
                {...field}
                label="Gust forecast"
                kind="speed"
                value={plan.site.forecastGust}
                clearable
                onValue={(gust) => act('setForecast', { gust }, 'forecast')}
              />
            </>
          )}
        </Pair>
      </div>
      <TagFields tag={bent.tag} onChange={(tag, name) => (edit({ tag }, name), null)} />
      <StandsOn name={bent.name} standsOn={bent.standsOn} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />
    </Fold>
  );
}
