import { noStructure } from './things/structure';

/** What version 2 added, empty: nothing measured, listed or recorded yet. */
const nothingMore = () => ({
  survey: { strippedOn: '', openings: [], overlays: [], patterns: [], lines: [] },
  links: [],
  members: [],
  truck: null,
  wayIn: {
    member: null,
    legs: [],
    cuts: [],
    gear: { what: '', mass: null },
    transport: null,
    splice: { kind: 'cover' as const, mass: 25, diameter: 0.02, grade: '8.8' as const, peakShare: null, shortest: 1 },
  },
  shoring: { opening: null, bents: [], storeys: [], walls: [], rows: [], strike: [], preload: 0, watch: [], room: null, stock: [] },
  holds: [],
});

/** All that a new plan has not said yet. */
export const nothingYet = () => {
  const { survey, truck: _, wayIn: __, shoring: ___, ...rest } = nothingMore();
  return {
    ...rest,
    ways: [],
    shoring: { lines: [], bents: [], stock: [] },
    transport: { trucks: [], turns: [], permits: [] },
    structure: noStructure(),
    survey: { ...survey, changedOn: '', cutListOn: '', revisions: noRevisions(), owner: '', lookedOver: { by: '', on: '' } },
  };
};

const noRevisions = () => ({ design: '', survey: '', cutList: '' });

/** What version 2 added to a bearing, empty. */
export const bearingMore = () => ({ material: null, allowable: null, measured: null, post: null, standsOn: [] });

/** migrations[n] brings a plan of version n to version n + 1. A plan that is broken stays broken and is refused afterwards. */
export const migrations: Record<number, (plan: unknown) => unknown> = {
  1: (plan) => {
    const { bearings, ...rest } = plan as { bearings?: unknown };
    const more = Array.isArray(bearings)
      ? bearings.map((one: unknown) => (typeof one === 'object' && one !== null && !Array.isArray(one) ? { ...bearingMore(), ...one } : one))
      : bearings;
    return { ...nothingMore(), ...rest, bearings: more, version: 2 };
  },
  2: (plan) => {
    const survey = record(record(plan).survey);
    const shoring = record(record(plan).shoring);
    return {
      ...record(plan),
      bearings: each(record(plan).bearings, (bearing) =>
        isRecord(bearing.measured) ? { ...bearing, measured: { seatWidth: null, ...bearing.measured } } : bearing,
      ),
      survey: {
        changedOn: '',
        cutListOn: '',
        owner: '',
        lookedOver: { by: '', on: '' },
        ...survey,
        openings: each(survey.openings, ({ warmer, ...opening }) => ({ skewDeg: null, air: airOf(warmer), ...opening })),
      },
      members: each(record(plan).members, (member) => ({ line: '', supplier: '', ...member, packing: { web: null, ...record(member.packing) } })),
      shoring: {
        ...shoring,
        storeys: each(shoring.storeys, (storey) => ({ ...storey, joists: { plies: 1, doubled: [], ...record(storey.joists) } })),
        walls: each(shoring.walls, (wall) => ({ diagonals: null, gaps: [], ...wall })),
        rows: each(shoring.rows, (row) => ({
          masonry: { width: null, allowable: null },
          head: null,
          lateral: null,
          ...row,
          needle: { kind: 'steel', ...record(row.needle) },
          prop: { kind: 'steel', tube: usualTube(), ...record(row.prop) },
        })),
        bents: each(shoring.bents, (bent) => ({
          ...bentMore(),
          ...bent,
          loads: each(bent.loads, (load) => ({ bearing: null, from: 1, to: null, ...load })),
        })),
      },
      version: 3,
    };
  },
  3: (plan) => {
    const { truck, ...rest } = record(plan);
    // A permit was a line of text on each mark: one permit for each line said, its figures still to be asked.
    const permits: Loose[] = [];
    const permitOf = (said: unknown): unknown => {
      if (typeof said !== 'string') return said;
      const number = said.trim();
      if (number === '') return null;
      const found = permits.find((one) => one.number === number);
      const permit = found ?? {
        id: `permit-${permits.length + 1}`,
        number,
        by: '',
        longest: null,
        heaviest: null,
        steered: null,
        from: '',
        until: '',
        conditions: '',
      };
      if (!found) permits.push(permit);
      return permit.id;
    };
    const members = each(rest.members, ({ permit, ...member }) => ({ ...member, travel: { truck: null, permit: permitOf(permit), on: '' } }));
    const trucks = isRecord(truck) ? [{ id: 'truck-1', overhang: 0, front: null, wheelbase: null, steered: null, ...truck }] : truck === null ? [] : truck;
    const wayIn =
      isRecord(rest.wayIn) && isRecord(rest.wayIn.splice) ? { ...rest.wayIn, splice: { bolts: null, engineer: '', ...rest.wayIn.splice } } : rest.wayIn;
    const survey = isRecord(rest.survey) ? { revisions: noRevisions(), ...rest.survey } : rest.survey;
    return { ...rest, members, wayIn, survey, transport: { trucks, turns: [], permits }, version: 4 };
  },
  4: (plan) => ({ structure: noStructure(), ...record(plan), version: 5 }),
  5: (plan) => {
    // A plan had one way in and one shored line: the first of each list. One of which nothing is said is none.
    const { wayIn, shoring, ...rest } = record(plan);
    if (!isRecord(shoring) || !isRecord(wayIn)) return { ...record(plan), version: 6 };
    const { bents, stock, ...line } = shoring;
    const named = (list: unknown, id: unknown, what: 'name' | 'mark', otherwise: string): string => {
      const words = (Array.isArray(list) ? list.map(record) : []).find((one) => one.id === id)?.[what];
      return typeof words === 'string' && words.trim() !== '' ? words : otherwise;
    };
    const opened = Array.isArray(rest.moves) && rest.moves.some((move) => record(move).kind === 'line.open');
    const way = { id: 'way-1', name: named(rest.members, wayIn.member, 'mark', 'Way in'), ...wayIn };
    const first = { id: 'line-1', name: named(record(rest.survey).openings, line.opening, 'name', 'Line'), ...line };
    return {
      ...rest,
      moves: each(rest.moves, (move) => (move.kind === 'line.open' ? { ...move, line: first.id } : move)),
      ways: saysNothing(wayIn, ['member', 'legs', 'cuts', 'transport']) && saysNothing(record(wayIn.gear), ['what', 'mass']) ? [] : [way],
      shoring: { lines: !opened && saysNothing(line, ['opening', 'storeys', 'walls', 'rows', 'strike', 'watch', 'room']) ? [] : [first], bents, stock },
      version: 6,
    };
  },
};

/** Each of these fields is there and empty. What is not as it should be says something, and is refused afterwards. */
const saysNothing = (of: Loose, fields: readonly string[]): boolean =>
  fields.every((field) => of[field] === null || of[field] === '' || (Array.isArray(of[field]) && of[field].length === 0));

type Loose = Record<string, unknown>;
const isRecord = (value: unknown): value is Loose => typeof value === 'object' && value !== null && !Array.isArray(value);
const record = (value: unknown): Loose => (isRecord(value) ? value : {});
/** What is not a list of objects stays as it is and is refused afterwards. */
const each = (list: unknown, change: (one: Loose) => Loose): unknown =>
  Array.isArray(list) ? list.map((one: unknown) => (isRecord(one) ? change(one) : one)) : list;

/** Version 2 kept the difference of two temperatures only: 20 °C stands for the one nobody wrote down. */
const airOf = (warmer: unknown) => (typeof warmer === 'number' ? { measuring: 293.15, setting: 293.15 + warmer } : { measuring: null, setting: null });

/** Inner tube of a common adjustable prop, 48.3 × 3.2 mm. */
export const usualTube = () => ({ diameter: 0.0483, wall: 0.0032 });

/** What version 3 added to a bent, empty. */
export const bentMore = () => ({ at: null, azimuthDeg: 0, baseLevel: 0, guys: [], sail: null, readyOn: '', girderOn: '' });
