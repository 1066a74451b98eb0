import type { Draft } from 'immer';

/** What of a plan may be pointed at by its id. */
export type Kind =
  | 'link'
  | 'opening'
  | 'storey'
  | 'shore'
  | 'shoring'
  | 'step'
  | 'line'
  | 'member'
  | 'bearing'
  | 'piece'
  | 'crane'
  | 'stand'
  | 'pick'
  | 'lifted'
  | 'raised'
  | 'launch'
  | 'yard'
  | 'holdfast'
  | 'truck'
  | 'permit'
  | 'make'
  | 'beam'
  | 'support'
  | 'joint'
  | 'brace'
  | 'bent'
  | 'load';

/**
 * What becomes of a thing when what one of its fields names is gone: it goes too; or the other may not go while this one names it; or
 * the field says nothing any more, and is asked.
 */
type Gone<T> = 'goes' | 'holds' | ((thing: Draft<T>) => void);

export interface Reference {
  kind: Kind;
  id: string;
  /** where it stands in the thing that points */
  field: string;
}
export interface Ref<T> extends Reference {
  gone: Gone<T>;
}

/** All that the plan has to know of the things of one list. */
export interface Thing<T> {
  word: string;
  /** what it points at; a new field that is an id and is left out here fails a test */
  refs: (thing: T) => Ref<T>[];
  /** what it was for is gone, and it goes too */
  empty?: (thing: T) => boolean;
}

export const goes = (kind: Kind, id: string, field: string) => ({ kind, id, field, gone: 'goes' as const });
export const holds = (kind: Kind, id: string, field: string) => ({ kind, id, field, gone: 'holds' as const });
/** A field that may say nothing. */
export const asked = <T>(kind: Kind, id: string | null | undefined, field: string, gone: (thing: Draft<T>) => void): Ref<T>[] =>
  typeof id === 'string' ? [{ kind, id, field, gone }] : [];
/** A list of ids, or of what holds one: the one that is gone is taken out. */
export const outOf = <T>(
  kind: Kind,
  ids: readonly string[] | null | undefined,
  field: (at: number) => string,
  gone: (thing: Draft<T>, id: string) => void,
): Ref<T>[] => (ids ?? []).map((id, at) => ({ kind, id, field: field(at), gone: (thing: Draft<T>) => gone(thing, id) }));

type Stands = { standsOn: { link: string }[] };
/** What stood on a link that went stands on nothing that is said. */
export const onLinks = <T extends Stands>({ standsOn }: T): Ref<T>[] =>
  outOf<T>(
    'link',
    standsOn.map(({ link }) => link),
    (j) => `standsOn[${j}].link`,
    (thing, id) => {
      const stands = thing as Draft<Stands>;
      stands.standsOn = stands.standsOn.filter(({ link }) => link !== id);
    },
  );
export const none = (): [] => [];
