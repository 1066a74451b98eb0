import type { Fault } from '../../calc/schema';
import { loadOf } from '../joined';
import type { Plan } from '../schema';
import { allShores } from '../views';
import { idsByKind, kinds, listsOf, refsOf, thingNames } from '.';
import { refsOfMove } from './moves';
import type { Reference } from './thing';

/** References that point at nothing or at what they may not, and ids used twice. */
export function referenceFaults(plan: Plan): Fault[] {
  const faults: Fault[] = [...idsTwice(plan)];
  const known = idsByKind(plan);
  const need = ({ kind, id, field }: Reference, of: string): void => {
    if (known(kind).has(id)) return;
    const path = `${of}.${field}`;
    const { word } = kinds[kind];
    faults.push({ path, error: `${path} names ${word} “${id}”, which the plan does not have: use one of ${[...known(kind)].join(', ') || 'none yet'}.` });
  };
  for (const name of thingNames)
    for (const { list, path } of listsOf(plan, name)) list.forEach((one, i) => refsOf(name, one).forEach((ref) => need(ref, `${path}[${i}]`)));
  plan.moves.forEach((move, i) => refsOfMove(move).forEach((ref) => need(ref, `moves[${i}]`)));
  if (faults.length > 0) return faults;
  return [...lineFaults(plan), ...pickFaults(plan), ...twiceOn(plan), ...moveFaults(plan)];
}

const hasId = (value: unknown): value is { id: string } => typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string';

function twice(path: string, list: readonly unknown[]): Fault[] {
  const seen = new Set<string>();
  return list.flatMap((one, i) => {
    if (!hasId(one)) return [];
    // What is passed anew each day is recorded once for each.
    const key = path === 'holds' && 'day' in one && typeof one.day === 'string' ? `${one.id} ${one.day}` : one.id;
    const known = seen.has(key);
    seen.add(key);
    if (!known) return [];
    return [{ path: `${path}[${i}].id`, error: `${path}[${i}].id “${one.id}” is used twice: give each its own.` }];
  });
}

/** Ids used twice in one list, wherever in the plan the list is. */
function twiceWithin(path: string, value: unknown): Fault[] {
  if (typeof value !== 'object' || value === null) return [];
  if (Array.isArray(value)) return [...twice(path, value), ...value.flatMap((one: unknown, i) => twiceWithin(`${path}[${i}]`, one))];
  return Object.entries(value).flatMap(([key, one]) => twiceWithin(path === '' ? key : `${path}.${key}`, one));
}

/** Ids used twice: within a list, and among things that are found by their id alone wherever they stand. */
function idsTwice(plan: Plan): Fault[] {
  const faults = twiceWithin('', plan);
  if (faults.length > 0) return faults;
  const { lines } = plan.shoring;
  return [
    ...twice('shoring, walls, rows and bents', allShores(plan)),
    ...(['storeys', 'strike', 'watch'] as const).flatMap((name) =>
      twice(
        `shoring.lines, ${name}`,
        lines.flatMap((line): readonly { id: string }[] => line[name]),
      ),
    ),
    ...twice(
      'ways, legs',
      plan.ways.flatMap((way) => way.legs),
    ),
    ...twice('cranes and duties', [...plan.cranes, ...(plan.duties ?? [])]),
    ...twice(
      'launches, rollers',
      (plan.launches ?? []).flatMap(({ rollers }) => rollers),
    ),
  ];
}

/** What of a shored line points at another line. */
function lineFaults({ shoring }: Plan): Fault[] {
  return shoring.lines.flatMap((line, n) => {
    const ids = (list: readonly { id: string }[]) => new Set(list.map(({ id }) => id));
    const own = { storey: ids(line.storeys), shore: ids([...line.walls, ...line.rows]) };
    const ofLine = (kind: 'storey' | 'shore', value: string, at: string): Fault[] =>
      own[kind].has(value)
        ? []
        : [
            {
              path: `shoring.lines[${n}].${at}`,
              error: `shoring.lines[${n}].${at} names ${kind} “${value}” of another line: use one of ${[...own[kind]].join(', ') || 'none yet'}.`,
            },
          ];
    return [
      ...(['walls', 'rows'] as const).flatMap((name) => line[name].flatMap((one, i) => ofLine('storey', one.storey, `${name}[${i}].storey`))),
      ...line.strike.flatMap((one, i) => ofLine('shore', one.shore, `strike[${i}].shore`)),
    ];
  });
}

/** A pick lifts one thing, of the one structure or the other, and only what is spliced to it. */
function pickFaults({ picks, pieces, structure }: Plan): Fault[] {
  const [onBearings, beams] = [new Set(pieces.map(({ id }) => id)), new Set(structure.pieces.map(({ id }) => id))];
  return picks.flatMap((pick, i) => [
    ...(onBearings.has(pick.piece) && beams.has(pick.piece)
      ? [
          {
            path: `picks[${i}].piece`,
            error: `picks[${i}].piece names “${pick.piece}”, which is both a piece on bearings and one of the structure: give one of them another id.`,
          },
        ]
      : []),
    ...(pick.joined ?? []).flatMap((id, j) => {
      const path = `picks[${i}].joined[${j}]`;
      if (loadOf(pick).indexOf(id) <= j) return [{ path, error: `${path} names “${id}” a second time: a piece hangs on a hook once.` }];
      return beams.has(pick.piece)
        ? []
        : [{ path, error: `${path} is spliced to “${pick.piece}”, which is no piece of the structure: only those are spliced.` }];
    }),
  ]);
}

/** What is named twice where it can be once. */
function twiceOn({ strings = [], launches = [] }: Plan): Fault[] {
  return [
    ...strings.flatMap(({ picks }, i) =>
      picks.flatMap((id, j) => {
        const path = `strings[${i}].picks[${j}]`;
        return picks.indexOf(id) < j ? [{ path, error: `${path} names “${id}” a second time: a beam hangs in a string once.` }] : [];
      }),
    ),
    ...launches.flatMap(({ pieces }, i) =>
      pieces.flatMap(({ piece }, j) => {
        const path = `launches[${i}].pieces[${j}].piece`;
        return pieces.findIndex((one) => one.piece === piece) < j ? [{ path, error: `${path} names “${piece}” a second time: a piece is pushed once.` }] : [];
      }),
    ),
  ];
}

/** A pick lifts what the move says, and a piece of the structure is landed and let go by moves of its own. */
function moveFaults({ moves, picks, structure }: Plan): Fault[] {
  const byId = new Map(picks.map((one) => [one.id, one]));
  const beams = new Map(structure.pieces.map((one) => [one.id, one]));
  return moves.flatMap((move, i): Fault[] => {
    const pick = 'pick' in move && typeof move.pick === 'string' ? byId.get(move.pick) : undefined;
    if (!pick) return [];
    const path = `moves[${i}].pick`;
    const beam = beams.get(pick.piece);
    if (move.kind === 'piece.hang' && pick.piece !== move.beam)
      return [{ path, error: `${path} names a pick that lifts another piece: name one that lifts “${move.beam}”, or none.` }];
    if (beam && (move.kind === 'piece.land' || move.kind === 'hook.release'))
      return [{ path, error: `${path} lifts ${beam.mark}, a piece of the structure: it is set by “piece.hang” and let go by “piece.letGo”.` }];
    return [];
  });
}
