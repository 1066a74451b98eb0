import { sequenceNeeds } from '../../gates/sequence.calc';
import type { AboutKind, Check, StationId } from '../../verdict/check';
import { keep } from '../../document/keep';
import { isBlank } from '../../document/records';
import type { Plan } from '../../document/schema';
import { allShores } from '../../document/views';
import type { Context } from '../context';
import { missingCheck, on } from '../../verdict/build';

interface Called {
  thing: { id: string };
  kind: AboutKind;
  station: StationId;
  /** what it is, where it has no name to say it by */
  what: string;
  name: string;
}
const all = <T extends { id: string }>(list: readonly T[], kind: AboutKind, station: StationId, what: string, name: (one: T) => string): Called[] =>
  list.map((thing) => ({ thing, kind, station, what, name: name(thing) }));
const named = ({ name }: { name: string }): string => name;
const marked = ({ mark }: { mark: string }): string => mark;

/** All that is spoken of on the run sheet, on cards and over the radio. */
const thingsOf = ({ structure, site, ...plan }: Plan): Called[] => [
  ...all(plan.bearings, 'bearing', 'measure', 'a bearing', named),
  ...all(plan.pieces, 'piece', 'steel', 'a piece', marked),
  ...all(plan.cranes, 'crane', 'gear', 'a crane', named),
  ...all(plan.stands, 'stand', 'gear', 'a stand', named),
  ...all(plan.links, 'link', 'measure', 'a link of the load path', named),
  ...all(structure.makes, 'make', 'steel', 'a make', marked),
  ...all(structure.pieces, 'beam', 'steel', 'a piece', marked),
  ...all(structure.supports, 'support', 'measure', 'a support', named),
  ...all(structure.joints, 'joint', 'steel', 'a joint', named),
  ...all(structure.braces, 'brace', 'steel', 'a brace', named),
  ...all(allShores({ structure, site, ...plan }), 'shore', 'shores', 'a shore', named),
  ...all(plan.yard ?? [], 'yard', 'gear', 'a thing of the yard', named),
  ...all(plan.members, 'member', 'steel', 'a piece of the list', marked),
  ...all(plan.survey.openings, 'opening', 'measure', 'an opening', named),
  ...all(plan.survey.patterns, 'pattern', 'measure', 'a bolt pattern', named),
  ...all(
    plan.ways.flatMap(({ legs }) => legs),
    'leg',
    'wayIn',
    'a leg of the way in',
    named,
  ),
  // What carries a piece on its way in and weighs something is spoken of too.
  ...all(
    plan.ways.filter(({ gear }) => gear.mass !== null && gear.mass > 0),
    'way',
    'wayIn',
    'a thing that carries it on the way in',
    ({ gear }) => gear.what,
  ),
  ...all(plan.strings ?? [], 'string', 'picks', 'a string of beams', named),
  ...all(plan.launches ?? [], 'launch', 'picks', 'a launch', named),
  ...all(
    (plan.launches ?? []).flatMap(({ rollers }) => rollers),
    'roller',
    'picks',
    'a roller',
    named,
  ),
  ...all(site.obstructions, 'obstruction', 'gear', 'a thing in the way', named),
  ...all(site.zones ?? [], 'zone', 'gear', 'a zone', named),
  ...all(site.powerLines, 'powerLine', 'gear', 'a power line', named),
];

/** What has no name cannot be spoken of: nobody knows which one a card or a call means. */
export function namelessChecks({ plan }: Context): Check[] {
  return thingsOf(plan).flatMap(({ thing, kind, station, what, name }) =>
    keep(`nameless.${kind}`, thing, [name], () =>
      isBlank(name)
        ? [
            missingCheck(
              {
                id: 'said.name',
                ...on(kind, thing, what[2]!.toUpperCase() + what.slice(3)),
                station,
                move: null,
                calc: sequenceNeeds.id,
                source: 'Common practice: what is spoken of has a name',
              },
              'count',
              `There is ${what} with no name${name.trim() === '' ? '' : ` but “${name.trim()}”`}. What is written on it, or what is it called on the site?`,
            ),
          ]
        : [],
    ),
  );
}
