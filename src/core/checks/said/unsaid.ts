import { keep } from '../../document/keep';
import { allRows, allWalls } from '../../document/views';
import { sequenceNeeds } from '../../gates/sequence.calc';
import type { AboutKind, Check, StationId } from '../../verdict/check';
import { unsaidWords, type MayBeUnsaid } from '../../document/things/unsaid';
import { isTurned, markLifted } from '../../document/lookups';
import type { Pick, Plan } from '../../document/schema';
import type { Context } from '../context';
import { missingCheck, on } from '../../verdict/build';

interface Asked {
  thing: MayBeUnsaid & { id: string };
  kind: AboutKind;
  name: string;
  station: StationId;
  /** which of its parts, where it is told of another thing */
  part?: string;
}

const all = (things: readonly (MayBeUnsaid & { id: string })[], kind: AboutKind, station: StationId, name: (thing: never) => string): Asked[] =>
  things.filter((thing) => thing.unsaid).map((thing) => ({ thing, kind, station, name: name(thing as never) }));

const named = (thing: { name: string }): string => thing.name;

/** A piece that is turned upright hangs on one sling: where two would take it, and how long they are, is not asked. */
function askedOfPick(plan: Plan, pick: Pick): Pick {
  if (!pick.unsaid || !isTurned(plan, pick)) return pick;
  const rest = pick.unsaid.filter((key) => key !== 'left' && key !== 'right' && !(key === 'legs' && !pick.second));
  return { ...pick, unsaid: rest };
}

/** Every thing of the plan that may stand there before its figures are said. */
const askedOf = (plan: Plan): Asked[] => [
  ...all(plan.bearings, 'bearing', 'measure', named),
  ...all(plan.pieces, 'piece', 'steel', (one: { mark: string }) => one.mark),
  ...plan.pieces.flatMap((piece) => [
    ...all(piece.packing, 'piece', 'steel', (one: { what: string }) => `${one.what} of ${piece.mark}`),
    ...all(piece.attachments, 'piece', 'steel', (one: { what: string }) => `${one.what} of ${piece.mark}`),
  ]),
  ...all(plan.members, 'member', 'steel', (one: { mark: string }) => one.mark || 'the new member'),
  ...all(plan.cranes, 'crane', 'gear', named),
  ...all(plan.stands, 'stand', 'gear', named),
  ...all(
    plan.picks.map((pick) => askedOfPick(plan, pick)),
    'pick',
    'picks',
    (pick: Pick) => (plan.picks.length === 1 ? 'the pick' : `the pick of ${markLifted(plan, pick)}`),
  ),
  ...all(plan.structure.joints, 'joint', 'steel', named),
  ...all(plan.structure.supports, 'support', 'measure', named),
  ...all(plan.structure.braces, 'brace', 'steel', named),
  // What is put on a piece is told of that piece.
  ...plan.structure.loads
    .filter((load) => load.unsaid)
    .map((load): Asked => ({ thing: { id: load.piece, unsaid: load.unsaid }, kind: 'beam', station: 'steel', name: load.what || 'The load', part: load.id })),
  ...all(plan.site.obstructions, 'obstruction', 'gear', named),
  ...all(plan.site.zones ?? [], 'zone', 'gear', named),
  ...all(plan.site.signallers ?? [], 'signaller', 'gear', (one: { name: string }) => one.name || 'the signal person'),
  ...all(plan.links, 'link', 'measure', named),
  ...all(
    plan.ways.flatMap((way) => way.legs),
    'leg',
    'wayIn',
    named,
  ),
  ...all(allWalls(plan), 'shore', 'shores', named),
  ...all(allRows(plan), 'shore', 'shores', named),
  ...all(plan.shoring.bents, 'shore', 'shores', named),
  ...all(plan.shoring.stock, 'stock', 'shores', (one: { what: string; size: string }) => one.size || one.what),
];

/** A figure that only serves to draw a thing is asked for by its name: what is worked out from it is worked out from nothing. */
export function unsaidChecks({ plan }: Context): Check[] {
  return askedOf(plan).flatMap(({ thing, kind, name, station, part }) =>
    keep('said.figure', thing, [kind, name, station, part], () =>
      (thing.unsaid ?? []).map((key) =>
        missingCheck(
          {
            id: 'said.figure',
            ...on(kind, thing, name, part === undefined ? key : `${part} ${key}`),
            station,
            move: null,
            calc: sequenceNeeds.id,
            source: 'Common practice: a figure nobody has said is asked, never taken',
          },
          'count',
          `${name}: nobody has said ${unsaidWords[key]} yet. What is it?`,
        ),
      ),
    ),
  );
}
