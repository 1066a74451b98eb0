import type { Plan, Raise, RaisePoint } from '../src/core/document/schema';
import { templates } from '../src/core/edit/templates';

const job = { name: 'Office wall', place: '', units: 'metric', ruleSet: 'eu-ls' } as const;
type Kind = RaisePoint['kind'];
export type PointOf<K extends Kind> = Extract<RaisePoint, { kind: K }>;

/** HEB 200, 6 m: 61.3 kg/m, 368 kg and 5 % on it; seats 3 m up, raised at 0.5 m from its left end and 1 m from its right. */
export function raised(kind: Kind, edit: (raise: Raise, plan: Plan) => unknown = () => undefined): Plan {
  const made = structuredClone(templates.opening.build(job, { by: kind, shored: 'no' }));
  const [member] = made.members;
  Object.assign(member!, { make: { kind: 'section', section: 'HEB 200' }, length: 6, grade: 'S355', unsaid: [] });
  for (const bearing of made.bearings) Object.assign(bearing, { level: 3, unsaid: [] });
  const [raise] = made.raises!;
  Object.assign(raise!, { floor: 0, lies: 0.4, uneven: 0.05, floorCarries: 20e3, by: 'R. Adeyemi, builder' });
  raise!.points.forEach((point, n) => {
    point.at = [0.5, 5][n]!;
    if (point.kind === 'mastLift') Object.assign(point, { rating: 300, plateCentre: 0.5, centre: 0.4, reach: 3.4, own: 180, foot: 0.8 });
    if (point.kind === 'hoist')
      Object.assign(point, {
        rating: 500,
        own: 20,
        closed: 0.5,
        sling: 0.3,
        travel: 3,
        sideDeg: 1,
        hangsFrom: 'a steel cross-beam',
        hangsAt: 4.2,
        carries: 6000,
      });
    if (point.kind === 'jack') Object.assign(point, { rating: 300, closed: 0.3, stroke: 0.15, step: 0.04, packing: 0.03, locks: true, foot: 1.2 });
    if (point.kind === 'hands') Object.assign(point, { people: 20, rung: 0.3, keepers: true, friction: 0.3, rungCarries: 5000 });
  });
  Object.assign(made.people, { planner: 'R. Adeyemi', checker: 'M. Okoye', caller: 'T. Hale' });
  edit(raise!, made);
  return made;
}
