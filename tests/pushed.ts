import { launchPlan } from '../src/core/edit/templates/launch';
import type { Launch, Move, Plan } from '../src/core/document/schema';

/** Two girder lines with a nose pushed over a gap of 30 m, all said: what is clear of it is clear by its figures. */
export function pushed(edit: (launch: Launch, plan: Plan) => void = () => {}): Plan {
  const plan = launchPlan(
    { name: 'Link span', place: '', units: 'metric', ruleSet: 'eu-ls' },
    {
      lines: 2,
      apart: 3,
      spans: [30],
      past: 0.5,
      level: 6,
      grade: 'S355',
      made: {
        kind: 'girder',
        webDepth: 0.9,
        web: 0.018,
        topFlange: { width: 0.45, thickness: 0.03 },
        bottomFlange: { width: 0.45, thickness: 0.03 },
      },
      splices: [10, 20],
      crossFrames: [0, 7.5, 15, 22.5, 30],
      nose: 18,
      whole: true,
    },
  );
  const { structure } = plan;
  for (const one of structure.braces) one.mass = 100;
  const launch = plan.launches![0]!;
  Object.assign(launch, {
    slopeDeg: 0,
    friction: 0.05,
    nose: { length: 18, mass: 2000, stiffness: 3e8, rise: 0.3, carries: 1.2e6 },
    tail: { mass: 4000, at: 0.5 },
    free: 7.5,
    stiffened: false,
    room: 40,
    pull: { what: 'two winches on anchor blocks', carries: 250e3 },
    brake: { what: 'a winch on an anchor block', carries: 60e3 },
    over: 0.6,
    gust: 12,
    step: 0.04,
    packing: 0.05,
    jacks: 600e3,
    laid: { how: 'mobile crane in the yard', by: 'L. Marsh' },
    by: 'E. Thorne',
  });
  const yard = [-24, -12];
  launch.rollers.forEach((roller, n) => {
    Object.assign(roller, {
      x: roller.x ?? yard[n]!,
      off: 0,
      carries: 700e3,
      length: 0.6,
      width: 0.4,
      guides: true,
      standsOn: [{ link: n < 2 ? 'ground' : 'pier', share: 1 }],
    });
  });
  plan.links = [
    { id: 'pier', name: 'Piers', kind: 'slab', storey: 0, own: 0, capacity: 8e6, foot: null, ground: true, standsOn: [] },
    { id: 'ground', name: 'Yard slab', kind: 'slab', storey: 0, own: 0, capacity: 8e6, foot: null, ground: true, standsOn: [] },
  ];
  for (const support of structure.supports)
    Object.assign(support, {
      capacity: 1.5e6,
      seatLength: 0.4,
      seatWidth: 0.4,
      stiffened: true,
      twist: true,
      twistHolds: 400e3,
      level: 6,
      measured: { level: 6, by: 'A. Reed', on: '2026-11-02' },
      standsOn: [{ link: 'pier', share: 1 }],
      footing: { kind: 'concrete', intended: 30e6, result: 31e6, by: 'A. Reed', on: '2026-11-02' },
    });
  for (const joint of structure.joints) Object.assign(joint, { holes: 48, moment: 4e6, shear: 1.2e6, bolt: { diameter: 0.024, grade: '10.9', planes: 2 } });
  for (const brace of structure.braces) Object.assign(brace, { capacity: 200e3, stiffness: 5e6, stays: true, liftedBy: 'the crane behind, K. Osei' });
  for (const move of plan.moves) if (move.kind === 'joint.make') Object.assign(move, { bolts: 48, tight: true, fit: 'drawn' });
  plan.site.standingGust = 20;
  plan.site.forecastGust = 8;
  Object.assign(plan.people, { planner: 'A. Reed', checker: 'M. Okoye', caller: 'R. Adeyemi' });
  plan.site.walked = { by: 'A. Reed', on: '2026-11-02' };
  edit(launch, plan);
  return plan;
}

/** The moves of a launch put another way. */
export const withMoves = (plan: Plan, change: (moves: Move[]) => Move[]): Plan => ({ ...plan, moves: change([...plan.moves]) });
