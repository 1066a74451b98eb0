import { lineIn } from './of-plan';
import { bentMore, usualTube } from '../src/core/document/migrations';
import type { Bent, Plan, ShoreRow } from '../src/core/document/schema';

const tag = { designer: 'M. Lindqvist', checker: 'A. Brandt', loadedOn: '', days: 1 };

export const steelProp = (changes: Partial<Extract<ShoreRow['prop'], { kind: 'steel' }>> = {}): ShoreRow['prop'] => ({
  kind: 'steel',
  class: 'D',
  maxLength: 3,
  tube: usualTube(),
  length: 2.5,
  leanDeg: 0.5,
  off: 0.01,
  ...changes,
});
export const deadShore = (changes: Partial<Extract<ShoreRow['prop'], { kind: 'timber' }>> = {}): ShoreRow['prop'] => ({
  kind: 'timber',
  width: 0.15,
  depth: 0.15,
  grade: 'C24',
  braces: 1,
  length: 2.4,
  leanDeg: 0.5,
  off: 0.01,
  ...changes,
});

/** Steel needles on props under the ticket hall’s line: they hold, and nothing about them is unknown. */
export const needleRow = (changes: Partial<ShoreRow> = {}): ShoreRow => ({
  id: 'rw1',
  name: 'Needles',
  storey: 'sy0',
  from: 0.39,
  spacing: 0.8,
  count: 5,
  needle: { kind: 'steel', section: 'UC 152x152x30', grade: 'S275' },
  arms: { left: 0.6, right: 0.7 },
  over: 1.2,
  masonry: { width: 0.215, allowable: 3e6 },
  head: 0.2,
  prop: steelProp(),
  lateral: 5e3,
  pad: { length: 0.4, width: 0.4, allowable: 200e3 },
  packedOn: '',
  struckOn: '',
  tag,
  standsOn: [{ link: 'hallSlab', share: 1 }],
  ...changes,
});

/** The ticket hall on needles in place of its walls, with no run sheet. */
export function onNeedles(plan: Plan, changes: Partial<ShoreRow> = {}): Plan {
  plan.moves = [];
  lineIn(plan).walls = [];
  lineIn(plan).rows = [needleRow(changes)];
  lineIn(plan).strike = [{ id: 'a', shore: 'rw1', units: [], together: false }];
  return plan;
}

/** A bent of two posts with two girders on it: it holds, and nothing about it is unknown. */
export const twoPostBent = (changes: Partial<Bent> = {}): Bent => ({
  id: 'bt1',
  ...bentMore(),
  name: 'Bent 1',
  sail: 3,
  readyOn: '2026-11-01',
  girderOn: '2026-11-04',
  header: { section: 'UC 203x203x46', grade: 'S275', length: 4 },
  posts: [0.5, 3.5],
  post: { section: 'UC 152x152x30', grade: 'S275', height: 4, braces: 1 },
  cap: 0.2,
  loads: [
    { id: 'a', what: 'G1', at: 1, force: 90e3, bearing: 0.2, from: 1, to: null },
    { id: 'b', what: 'G2', at: 3, force: 90e3, bearing: 0.2, from: 1, to: null },
  ],
  pad: { length: 1, width: 1, allowable: 150e3 },
  jack: { capacity: 200e3, stroke: 0.15, need: 0.04 },
  lateral: 6e3,
  girder: { weight: 80e3, length: 12, depth: 0.6, bearingWidth: 0.3 },
  tieDown: 40e3,
  tag,
  standsOn: [{ link: 'hallSlab', share: 1 }],
  ...changes,
});
