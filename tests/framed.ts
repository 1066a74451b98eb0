import { framePlan, type FrameAsked } from '../src/core/edit/templates/frame';
import type { Plan } from '../src/core/document/schema';

/** A frame on a grid as “New job” lays it out, with what is asked of its feet, joints, guys and columns answered. */
export function framed(asked: Pick<FrameAsked, 'bays' | 'rows' | 'levels' | 'between'>): Plan {
  const plan = framePlan(
    { name: 'A frame on a grid', place: 'made up', units: 'metric', ruleSet: 'eu-ls' },
    { grade: 'S355', column: 'HEB 240', beam: 'IPE 400', betweenSection: 'IPE 270', ...asked },
  );
  plan.site.standingGust = 20;
  plan.site.forecastGust = 4;
  const { pieces, supports, joints, braces } = plan.structure;
  for (const one of supports) {
    one.level ??= 0;
    one.measured = { level: one.level, by: 'T. Hale', on: '2026-11-16' };
    one.seatLength = one.seatWidth = 0.3;
    one.capacity = 250e3;
    one.anchors = { count: 4, lever: 0.24, toe: 0.12, columnDepth: 0.24, tension: 68e3, repaired: false, under: { kind: 'grouted' } };
    one.footing = { kind: 'concrete', intended: 30e6, result: 27.5e6, by: 'K. Osei', on: '2026-11-12' };
  }
  for (const one of joints) Object.assign(one, { holes: 6, boltShear: 60e3, bolt: { diameter: 0.016, grade: '8.8', planes: 1 }, ownBolts: true });
  for (const one of braces) Object.assign(one, { capacity: 60e3, stiffness: 2.5e6, slopeDeg: 45, anchor: { kind: 'block', weight: 108e3, friction: 0.4 } });
  for (const one of pieces) if (one.id.startsWith('col-')) one.webDeg = 0;
  for (const move of plan.moves) {
    if (move.kind === 'joint.make') Object.assign(move, { pins: 2, bolts: 4, tight: true });
    if (move.kind === 'beam.plumb') move.off = 0.001;
  }
  return plan;
}
