import type { Draft } from 'immer';
import type { Plan } from '../schema';
import * as lifts from './lifts';
import { pathOf, type ThingIn, type ThingName } from './paths';
import * as shoring from './shoring';
import * as structure from './structure';
import * as survey from './survey';
import type { Kind, Ref, Thing } from './thing';

/** Every list of the plan, and what has to be known of the things in it. A list that is left out, or says less, does not compile. */
export const things: { readonly [N in ThingName]: Thing<ThingIn<N>> } = { ...survey, ...structure, ...lifts, ...shoring };
export const thingNames = Object.keys(things) as ThingName[];

/** Where a thing that is pointed at may stand, and the word for it. */
export const kinds: { readonly [K in Kind]: { of: readonly ThingName[]; word: string } } = {
  link: { of: ['links'], word: 'link' },
  opening: { of: ['openings'], word: 'opening' },
  storey: { of: ['storeys'], word: 'storey' },
  shore: { of: ['shoreWalls', 'shoreRows'], word: 'shore' },
  shoring: { of: ['shoreWalls', 'shoreRows', 'bents'], word: 'shore' },
  step: { of: ['strike'], word: 'step' },
  line: { of: ['shoredLines'], word: 'line' },
  member: { of: ['members'], word: 'member' },
  bearing: { of: ['bearings'], word: 'bearing' },
  piece: { of: ['pieces'], word: 'piece' },
  crane: { of: ['cranes'], word: 'crane' },
  stand: { of: ['stands'], word: 'stand' },
  pick: { of: ['picks'], word: 'pick' },
  lifted: { of: ['pieces', 'beams'], word: 'piece' },
  raised: { of: ['openings', 'beams'], word: 'opening or piece' },
  launch: { of: ['launches'], word: 'launch' },
  yard: { of: ['yard'], word: 'thing' },
  holdfast: { of: ['shoreWalls', 'shoreRows', 'bents', 'links', 'bearings', 'supports', 'beams'], word: 'thing' },
  truck: { of: ['trucks'], word: 'truck' },
  permit: { of: ['permits'], word: 'permit' },
  make: { of: ['makes'], word: 'make' },
  beam: { of: ['beams'], word: 'beam' },
  support: { of: ['supports'], word: 'support' },
  joint: { of: ['joints'], word: 'joint' },
  brace: { of: ['braces'], word: 'brace' },
  bent: { of: ['bents'], word: 'bent' },
  load: { of: ['putLoads'], word: 'load' },
};

/** What is in one list, as far as every list is alike. */
export type Loose = { id: string }[];

/** One list of a plan: of those there is one of in each thing of another list, the one in the thing `owner`. */
export interface ListOf {
  /** as a person reads it: `shoring.lines[0].walls` */
  path: string;
  owner: string | null;
  list: readonly { id: string }[];
  /** what holds it, and by which field */
  holder: Record<string, Loose | undefined>;
  field: string;
}

/** The lists of a name: one, or one in each thing of another list. */
export function listsOf(plan: Plan | Draft<Plan>, name: ThingName): ListOf[] {
  const steps = pathOf[name].split('.');
  const field = steps.pop()!;
  let holders: { value: unknown; path: string; owner: string | null }[] = [{ value: plan, path: '', owner: null }];
  for (const step of steps) {
    const each = step.endsWith('[]');
    const key = each ? step.slice(0, -2) : step;
    holders = holders.flatMap(({ value, path, owner }) => {
      const inside = (value as Record<string, unknown>)[key];
      if (!each) return [{ value: inside, path: `${path}${key}.`, owner }];
      return ((inside ?? []) as Loose).map((one, i) => ({ value: one, path: `${path}${key}[${i}].`, owner: one.id }));
    });
  }
  return holders.map(({ value, path, owner }) => {
    const holder = value as ListOf['holder'];
    return { path: `${path}${field}`, owner, list: holder[field] ?? [], holder, field };
  });
}

/** Ids of what may be pointed at, each kind read when it is first asked about. */
export function idsByKind(plan: Plan | Draft<Plan>): (kind: Kind) => ReadonlySet<string> {
  const ids = new Map<ThingName, string[]>();
  const found = new Map<Kind, ReadonlySet<string>>();
  const idsOf = (name: ThingName): string[] => {
    let known = ids.get(name);
    if (!known) ids.set(name, (known = listsOf(plan, name).flatMap(({ list }) => list.map(({ id }) => id))));
    return known;
  };
  return (kind) => {
    let known = found.get(kind);
    if (!known) found.set(kind, (known = new Set(kinds[kind].of.flatMap(idsOf))));
    return known;
  };
}

/** What a thing of a list points at. */
export const refsOf = (name: ThingName, thing: unknown): Ref<unknown>[] => (things[name].refs as (one: unknown) => Ref<unknown>[])(thing);

const nameOf = (thing: object): string => {
  const { name, mark, what, id } = thing as { name?: string; mark?: string; what?: string; id?: string };
  return name || mark || what || id || '';
};
const heldIn = new WeakMap<Plan, ReadonlyMap<string, string>>();

/** What may not go while another thing names it, and in words which: the first that does. */
export function heldBy(plan: Plan, list: ThingName, id: string): string | null {
  let held = heldIn.get(plan);
  if (!held) {
    const found = new Map<string, string>();
    for (const name of thingNames)
      for (const { list: own } of listsOf(plan, name))
        for (const thing of own)
          for (const ref of refsOf(name, thing))
            if (ref.gone === 'holds')
              for (const at of kinds[ref.kind].of) if (!found.has(`${at} ${ref.id}`)) found.set(`${at} ${ref.id}`, `${things[name].word} “${nameOf(thing)}”`);
    heldIn.set(plan, (held = found));
  }
  return held.get(`${list} ${id}`) ?? null;
}
