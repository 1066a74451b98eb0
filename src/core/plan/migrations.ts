/** What version 2 added, empty: nothing measured, listed or recorded yet. */
export const nothingMore = () => ({
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
};
