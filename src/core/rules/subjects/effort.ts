import { alike, both, practice, type Threshold } from '../threshold';

const hours = <K extends string>(key: K, title: string, value: number) =>
  ({ key, title, kind: 'factor', value: alike(value), least: 0.05, most: 200, floor: null, source: both(practice('own records decide')) }) as const;
const people = <K extends string>(key: K, title: string, value: number) =>
  ({ key, title, kind: 'count', value: alike(value), least: 1, most: 100, floor: null, source: both(practice('own records decide')) }) as const;

/** What lifts take, so that one way can be held against another. No check hangs on any of it. */
export const effort = {
  hoursStand: hours('hoursStand', 'Hours to set a crane up at a stand and take it down again', 3),
  hoursPick: hours('hoursPick', 'Hours a lift by one crane takes, slung, set and let go', 0.5),
  hoursTandem: hours('hoursTandem', 'Hours a lift by two cranes takes', 2),
  hoursMastLift: hours('hoursMastLift', 'Hours a lift by mast lifts takes, brought up and set', 2),
  hoursHoist: hours('hoursHoist', 'Hours a lift by hoists takes, hung, raised and set', 3),
  hoursJack: hours('hoursJack', 'Hours a lift by jacks takes, with its packing', 4),
  hoursHands: hours('hoursHands', 'Hours a lift by hands takes, one end at a time', 4),
  gangCrane: people('gangCrane', 'People at a lift by one crane, its operator among them', 5),
  gangTandem: people('gangTandem', 'People at a lift by two cranes, their operators among them', 8),
  gangPlace: people('gangPlace', 'People at each mast lift, hoist or jack', 2),
} as const satisfies Record<string, Threshold>;
