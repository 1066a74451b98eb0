import type { Plan } from '../schema';

type Field<T, K extends string> = K extends keyof T ? NonNullable<T[K]> : never;
type Step<T, K extends string> = K extends `${infer Name}[]` ? (Field<T, Name> extends readonly (infer One)[] ? One : never) : Field<T, K>;
type At<T, P extends string> = P extends `${infer First}.${infer Rest}` ? At<Step<T, First>, Rest> : Step<T, P>;

/** What stands in the list at a path of the plan: `structure.joints`, or of a list in each of another, `ways[].legs`. */
export type ElementAt<P extends string> = At<Plan, P> extends readonly (infer One)[] ? One : never;

type ListsIn<T, Before extends string, Deep extends readonly unknown[]> = Deep['length'] extends 3
  ? never
  : T extends readonly unknown[]
    ? never
    : T extends object
      ? {
          [K in keyof T & string]: NonNullable<T[K]> extends readonly (infer One)[]
            ? One extends { id: string }
              ? `${Before}${K}` | ListsIn<One, `${Before}${K}[].`, [...Deep, 0]>
              : never
            : ListsIn<NonNullable<T[K]>, `${Before}${K}.`, [...Deep, 0]>;
        }[keyof T & string]
      : never;

/** Every list of a plan whose things have ids of their own, by its path. */
export type ListPath = ListsIn<Plan, '', []>;

/** Lists people add to, change and remove from in the same way, by the name commands know them by. */
export const listPaths = {
  bearings: 'bearings',
  openings: 'survey.openings',
  overlays: 'survey.overlays',
  patterns: 'survey.patterns',
  lines: 'survey.lines',
  links: 'links',
  members: 'members',
  ways: 'ways',
  legs: 'ways[].legs',
  shoredLines: 'shoring.lines',
  storeys: 'shoring.lines[].storeys',
  bents: 'shoring.bents',
  shoreWalls: 'shoring.lines[].walls',
  shoreRows: 'shoring.lines[].rows',
  strike: 'shoring.lines[].strike',
  stock: 'shoring.stock',
  watch: 'shoring.lines[].watch',
  makes: 'structure.makes',
  beams: 'structure.pieces',
  supports: 'structure.supports',
  joints: 'structure.joints',
  braces: 'structure.braces',
  putLoads: 'structure.loads',
  cranes: 'cranes',
  duties: 'duties',
  stands: 'stands',
  picks: 'picks',
  raises: 'raises',
  strings: 'strings',
  launches: 'launches',
  zones: 'site.zones',
  yard: 'yard',
  signallers: 'site.signallers',
  trucks: 'transport.trucks',
  turns: 'transport.turns',
  permits: 'transport.permits',
} as const satisfies Record<string, ListPath>;

/** Lists with commands of their own. */
export const ownPaths = { pieces: 'pieces', obstructions: 'site.obstructions', powerLines: 'site.powerLines' } as const satisfies Record<string, ListPath>;

export type ListName = keyof typeof listPaths;
export type ThingName = ListName | keyof typeof ownPaths;
export const pathOf: Readonly<Record<ThingName, ListPath>> = { ...listPaths, ...ownPaths };
export type ThingIn<N extends ThingName> = ElementAt<
  N extends ListName ? (typeof listPaths)[N] : N extends keyof typeof ownPaths ? (typeof ownPaths)[N] : never
>;
/** Lists there is one of in each thing of another list: what is added says to which, by its id. */
export type PartList = { [N in ListName]: (typeof listPaths)[N] extends `${string}[]${string}` ? N : never }[ListName];

/** Lists inside a thing that are changed with it, what is done, and what is signed: commands of their own see to these. */
type Inside =
  | 'moves'
  | 'holds'
  | 'pieces[].packing'
  | 'pieces[].attachments'
  | 'raises[].points'
  | 'launches[].rollers'
  | 'structure.makes[].attachments'
  | 'survey.patterns[].bolts'
  | 'members[].make.parts'
  | 'shoring.bents[].loads'
  | 'shoring.bents[].guys'
  | 'cranes[].tower.heldAt';
/** A list of the plan that stands neither in a table above nor in `Inside` does not compile here. */
const unlisted: Readonly<Record<Exclude<ListPath, (typeof listPaths)[ListName] | (typeof ownPaths)[keyof typeof ownPaths] | Inside>, never>> = {};
void unlisted;
