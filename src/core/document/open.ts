import { refsOfMove, structureRefs, type Kind } from './things/references';
import { faultsOf, type Fault } from '../calc/schema';
import { chartFault, type Chart } from '../cranes/chart-shape';
import { thresholdFault } from '../rules/rule-sets';
import { loadOf } from './joined';
import { migrations } from './migrations';
import { PLAN_FORMAT, PLAN_VERSION, planSchema, type Plan, type ShoredLine } from './schema';
import { allShores, lineShores } from './views';
import { isPulled } from './yard';

export type Opened = { ok: true; plan: Plan } | { ok: false; faults: Fault[] };

const fail = (path: string, error: string): Opened => ({ ok: false, faults: [{ path, error }] });

/** The one door in for anything that claims to be a plan: text already parsed, any version ever released. */
export function openPlan(value: unknown): Opened {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return fail('', 'This is not a plan: a plan file is one JSON object. Choose a file that ends in .trestle.json.');
  const { format, version } = value as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT)
    return fail('format', `format is ${JSON.stringify(format) ?? 'missing'}: a plan file says “${PLAN_FORMAT}”. Choose a file exported here.`);
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('version', `version is ${JSON.stringify(version) ?? 'missing'}: give a whole number from 1 to ${PLAN_VERSION}.`);
  if (version > PLAN_VERSION)
    return fail('version', `This plan is version ${version} and this program reads up to ${PLAN_VERSION}: open it in a later release.`);
  let current: unknown = value;
  for (let from = version; from < PLAN_VERSION; from += 1) current = migrations[from]!(current);
  const faults = faultsOf(planSchema, current);
  if (faults.length > 0) return { ok: false, faults };
  const plan = current as Plan;
  const loose = [...danglingFaults(plan), ...chartFaults(plan), ...thresholdFaults(plan)];
  return loose.length > 0 ? { ok: false, faults: loose } : { ok: true, plan };
}

/** Text of a file to a plan; says where the JSON breaks. */
export function openPlanText(text: string): Opened {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (problem) {
    return fail('', `The file is not JSON (${(problem as Error).message}): it may be cut short. Export it again.`);
  }
  return openPlan(value);
}

function chartFaults({ cranes, duties = [] }: Plan): Fault[] {
  const inList = (name: string, list: readonly { chart: Chart | null }[]) =>
    list.flatMap(({ chart }, i) => {
      const fault = chart ? chartFault(chart) : null;
      return fault ? [{ path: `${name}[${i}].chart.${fault.path}`, error: fault.error }] : [];
    });
  return [...inList('cranes', cranes), ...inList('duties', duties)];
}

function thresholdFaults(plan: Plan): Fault[] {
  return Object.entries(plan.job.thresholds).flatMap(([key, value]) => {
    const error = thresholdFault(key, value);
    return error ? [{ path: `job.thresholds.${key}`, error }] : [];
  });
}

const hasId = (value: unknown): value is { id: string } => typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string';

function twice(path: string, list: readonly unknown[]): Fault[] {
  const seen = new Set<string>();
  return list.flatMap((one, i) => {
    if (!hasId(one)) return [];
    const known = seen.has(one.id);
    seen.add(one.id);
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

/** References that point at nothing, and ids used twice. */
function danglingFaults(plan: Plan): Fault[] {
  const faults: Fault[] = [];
  const known: Record<Kind, Set<string>> = {
    link: ids(plan.links),
    opening: ids(plan.survey.openings),
    line: ids(plan.shoring.lines),
    storey: ids(plan.shoring.lines.flatMap((line) => line.storeys)),
    shore: ids(lineShores(plan)),
    shoring: ids(allShores(plan)),
    step: ids(plan.shoring.lines.flatMap((line) => line.strike)),
    member: ids(plan.members),
    bearing: ids(plan.bearings),
    piece: ids(plan.pieces),
    crane: ids(plan.cranes),
    stand: ids(plan.stands),
    pick: ids(plan.picks),
    lifted: ids([...plan.pieces, ...plan.structure.pieces]),
    yard: ids(plan.yard ?? []),
    launch: ids(plan.launches ?? []),
    raised: ids([...plan.survey.openings, ...plan.structure.pieces]),
    holdfast: ids([...allShores(plan), ...plan.links, ...plan.bearings, ...plan.structure.supports, ...plan.structure.pieces]),
    truck: ids(plan.transport.trucks),
    permit: ids(plan.transport.permits),
    make: ids(plan.structure.makes),
    beam: ids(plan.structure.pieces),
    support: ids(plan.structure.supports),
    joint: ids(plan.structure.joints),
    brace: ids(plan.structure.braces),
    bent: ids(plan.shoring.bents),
    load: ids(plan.structure.loads),
  };
  const need: Need = (kind, value, path) => {
    const has = known[kind].has(value);
    if (!has)
      faults.push({
        path,
        error: `${path} names ${kind === 'shoring' ? 'shore' : kind === 'lifted' ? 'piece' : kind === 'raised' ? 'opening or piece' : kind === 'holdfast' || kind === 'yard' ? 'thing' : kind} “${value}”, which the plan does not have: use one of ${[...known[kind]].join(', ') || 'none yet'}.`,
      });
    return has;
  };
  // What belongs to a line is found by its id alone: no two lines may share one.
  const { lines } = plan.shoring;
  faults.push(...twiceWithin('', plan));
  if (faults.length === 0)
    faults.push(
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
    );
  for (const name of ['bearings', 'links'] as const)
    plan[name].forEach((one, i) => one.standsOn.forEach((below, j) => need('link', below.link, `${name}[${i}].standsOn[${j}].link`)));
  plan.survey.openings.forEach((one, i) => {
    need('bearing', one.left, `survey.openings[${i}].left`);
    need('bearing', one.right, `survey.openings[${i}].right`);
    if (one.member !== null) need('member', one.member, `survey.openings[${i}].member`);
  });
  plan.survey.patterns.forEach((one, i) => need('bearing', one.bearing, `survey.patterns[${i}].bearing`));
  plan.survey.lines.forEach((one, i) => one.bearings.forEach((bearing, j) => need('bearing', bearing, `survey.lines[${i}].bearings[${j}]`)));
  lines.forEach((line, n) => faults.push(...lineFaults(line, `shoring.lines[${n}]`, need)));
  plan.shoring.bents.forEach((one, i) => {
    one.standsOn.forEach((below, j) => need('link', below.link, `shoring.bents[${i}].standsOn[${j}].link`));
    [...one.posts.map((at, j) => ({ at, path: `posts[${j}]` })), ...one.loads.map(({ at }, j) => ({ at, path: `loads[${j}].at` }))].forEach(({ at, path }) => {
      if (at > one.header.length)
        faults.push({
          path: `shoring.bents[${i}].${path}`,
          error: `${one.name}: ${at} m is past the header of ${one.header.length} m: keep it on the header.`,
        });
    });
  });
  plan.ways.forEach((way, i) => {
    if (way.member !== null) need('member', way.member, `ways[${i}].member`);
  });
  plan.members.forEach(({ travel, make, mark }, i) => {
    if (make.kind === 'parts')
      make.parts.forEach(({ from, to, what }, j) => {
        if (to < from)
          faults.push({
            path: `members[${i}].make.parts[${j}].to`,
            error: `${what || 'A part'} of ${mark} runs from ${from} m to ${to} m: make “to” no less than “from”.`,
          });
      });
    if (travel.truck !== null) need('truck', travel.truck, `members[${i}].travel.truck`);
    if (travel.permit !== null) need('permit', travel.permit, `members[${i}].travel.permit`);
  });
  plan.pieces.forEach((piece, i) => {
    need('bearing', piece.seat.left, `pieces[${i}].seat.left`);
    need('bearing', piece.seat.right, `pieces[${i}].seat.right`);
    piece.packing.forEach((one, j) => {
      const path = `pieces[${i}].packing[${j}]`;
      if (!(one.to > one.from))
        faults.push({ path: `${path}.to`, error: `Packing “${one.what}” runs from ${one.from} m to ${one.to} m: make “to” the larger.` });
      else if (one.from < 0 || one.to > piece.length + 1e-9)
        faults.push({
          path: `${path}.${one.from < 0 ? 'from' : 'to'}`,
          error: `Packing “${one.what}” from ${one.from} m to ${one.to} m is past the end of ${piece.mark}, ${piece.length} m long: keep it on the piece.`,
        });
    });
    piece.attachments.forEach((one, j) => {
      if (one.at < 0 || one.at > piece.length + 1e-9)
        faults.push({
          path: `pieces[${i}].attachments[${j}].at`,
          error: `“${one.what}” at ${one.at} m is past the end of ${piece.mark}, ${piece.length} m long: keep it on the piece.`,
        });
    });
  });
  faults.push(...structureFaults(plan, need));
  plan.stands.forEach((stand, i) => need('crane', stand.crane, `stands[${i}].crane`));
  (plan.duties ?? []).forEach((duty, i) => need('crane', duty.crane, `duties[${i}].crane`));
  faults.push(...twice('cranes and duties', [...plan.cranes, ...(plan.duties ?? [])]));
  plan.picks.forEach((pick, i) => {
    need('lifted', pick.piece, `picks[${i}].piece`);
    pick.gear?.forEach((id, j) => need('yard', id, `picks[${i}].gear[${j}]`));
    if (known.piece.has(pick.piece) && known.beam.has(pick.piece))
      faults.push({
        path: `picks[${i}].piece`,
        error: `picks[${i}].piece names “${pick.piece}”, which is both a piece on bearings and one of the structure: give one of them another id.`,
      });
    need('stand', pick.stand, `picks[${i}].stand`);
    if (pick.second) need('stand', pick.second.stand, `picks[${i}].second.stand`);
    pick.joined?.forEach((id, j) => {
      const path = `picks[${i}].joined[${j}]`;
      if (need('beam', id, path) && loadOf(pick).indexOf(id) <= j)
        faults.push({ path, error: `${path} names “${id}” a second time: a piece hangs on a hook once.` });
      else if (!known.beam.has(pick.piece))
        faults.push({ path, error: `${path} is spliced to “${pick.piece}”, which is no piece of the structure: only those are spliced.` });
    });
  });
  (plan.raises ?? []).forEach((raise, i) => {
    need('raised', raise.load, `raises[${i}].load`);
    raise.gear?.forEach((id, j) => need('yard', id, `raises[${i}].gear[${j}]`));
    raise.points.forEach((point, j) => {
      if (point.kind === 'hoist' && point.hangsOn) need('holdfast', point.hangsOn, `raises[${i}].points[${j}].hangsOn`);
    });
  });
  (plan.strings ?? []).forEach((string, i) =>
    string.picks.forEach((id, j) => {
      const path = `strings[${i}].picks[${j}]`;
      if (need('pick', id, path) && string.picks.indexOf(id) < j)
        faults.push({ path, error: `${path} names “${id}” a second time: a beam hangs in a string once.` });
    }),
  );
  plan.ways.forEach((way, i) =>
    way.legs.forEach((leg, j) => {
      if (isPulled(leg)) leg.gear?.forEach((id, k) => need('yard', id, `ways[${i}].legs[${j}].gear[${k}]`));
    }),
  );
  (plan.launches ?? []).forEach((launch, i) => {
    launch.pieces.forEach(({ piece }, j) => {
      const path = `launches[${i}].pieces[${j}].piece`;
      if (need('beam', piece, path) && launch.pieces.findIndex((one) => one.piece === piece) < j)
        faults.push({ path, error: `${path} names “${piece}” a second time: a piece is pushed once.` });
    });
    launch.rollers.forEach((one, j) => one.standsOn.forEach((below, k) => need('link', below.link, `launches[${i}].rollers[${j}].standsOn[${k}].link`)));
  });
  faults.push(
    ...twice(
      'launches, rollers',
      (plan.launches ?? []).flatMap(({ rollers }) => rollers),
    ),
  );
  plan.moves.forEach((move, i) => {
    for (const { kind, id, field } of refsOfMove(move)) need(kind, id, `moves[${i}].${field}`);
    if ('pick' in move && typeof move.pick === 'string') faults.push(...pickFaults(plan, move, move.pick, `moves[${i}].pick`));
  });
  return faults;
}

/** A pick lifts what the move says, and a piece of the structure is landed and let go by moves of its own. */
function pickFaults(plan: Plan, move: Plan['moves'][number], id: string, path: string): Fault[] {
  const pick = plan.picks.find((one) => one.id === id);
  const beam = plan.structure.pieces.find((one) => one.id === pick?.piece);
  if (move.kind === 'piece.hang' && pick && pick.piece !== move.beam)
    return [{ path, error: `${path} names a pick that lifts another piece: name one that lifts “${move.beam}”, or none.` }];
  if (beam && (move.kind === 'piece.land' || move.kind === 'hook.release'))
    return [{ path, error: `${path} lifts ${beam.mark}, a piece of the structure: it is set by “piece.hang” and let go by “piece.letGo”.` }];
  return [];
}

/** Notes what the plan does not have; says whether it has it. */
type Need = (kind: Kind, value: string, path: string) => boolean;

/** Whatever of a shored line points at nothing or at another line, or runs backwards. */
function lineFaults(line: ShoredLine, path: string, need: Need): Fault[] {
  const faults: Fault[] = [];
  if (line.opening !== null) need('opening', line.opening, `${path}.opening`);
  const own = { storey: ids(line.storeys), shore: ids([...line.walls, ...line.rows]) };
  const ofLine = (kind: 'storey' | 'shore', value: string, at: string) => {
    if (need(kind, value, at) && !own[kind].has(value))
      faults.push({ path: at, error: `${at} names ${kind} “${value}” of another line: use one of ${[...own[kind]].join(', ') || 'none yet'}.` });
  };
  for (const name of ['walls', 'rows'] as const)
    line[name].forEach((one, i) => {
      ofLine('storey', one.storey, `${path}.${name}[${i}].storey`);
      one.standsOn.forEach((below, j) => need('link', below.link, `${path}.${name}[${i}].standsOn[${j}].link`));
    });
  line.walls.forEach((one, i) =>
    one.gaps.forEach(({ from, to }, j) => {
      if (to < from)
        faults.push({
          path: `${path}.walls[${i}].gaps[${j}].to`,
          error: `${one.name}: the gap runs from joist ${from} to ${to}: make “to” no less than “from”.`,
        });
    }),
  );
  line.strike.forEach((one, i) => ofLine('shore', one.shore, `${path}.strike[${i}].shore`));
  return faults;
}

/** Whatever of the structure points at nothing, or past the end of a piece. */
function structureFaults({ structure }: Plan, need: Need): Fault[] {
  const faults: Fault[] = [];
  const makes = new Map(structure.makes.map((one) => [one.id, one]));
  const lengths = new Map(structure.pieces.map((one) => [one.id, makes.get(one.make)?.length ?? Infinity]));
  for (const list of Object.keys(structureRefs) as (keyof typeof structureRefs)[])
    structure[list].forEach((one, i) => {
      for (const { kind, id, field } of structureRefs[list](one as never)) need(kind, id, `structure.${list}[${i}].${field}`);
    });
  const onPiece = (one: { piece: string; at: number }, path: string) => {
    const length = lengths.get(one.piece) ?? Infinity;
    if (one.at > length + 0.05) faults.push({ path: `${path}.at`, error: `${one.at} m is past the end of the piece, ${length} m long: keep it on the piece.` });
  };
  structure.makes.forEach((one, i) =>
    one.attachments.forEach(({ at, what }, j) => {
      if (at > one.length)
        faults.push({
          path: `structure.makes[${i}].attachments[${j}].at`,
          error: `“${what}” at ${at} m is past the end of ${one.mark}, ${one.length} m long: keep it on the piece.`,
        });
    }),
  );
  structure.supports.forEach((one, i) => {
    one.seats.forEach((seat, j) => onPiece(seat, `structure.supports[${i}].seats[${j}]`));
  });
  structure.joints.forEach((one, i) => {
    onPiece(one.a, `structure.joints[${i}].a`);
    onPiece(one.b, `structure.joints[${i}].b`);
    if (one.a.piece === one.b.piece)
      faults.push({ path: `structure.joints[${i}].b.piece`, error: `${one.name}: a piece is joined to itself. Name two pieces.` });
  });
  structure.loads.forEach((one, i) => onPiece(one, `structure.loads[${i}]`));
  structure.braces.forEach((one, i) => {
    onPiece(one.a, `structure.braces[${i}].a`);
    if (one.b !== null) onPiece(one.b, `structure.braces[${i}].b`);
  });
  return faults;
}

const ids = (list: readonly { id: string }[]): Set<string> => new Set(list.map((one) => one.id));
