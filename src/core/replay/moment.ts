import { emptyLedger, readLedger, type Ledger } from './ledger';

export interface BeamState {
  /** rolling: on the rollers of its launch, not where it is to be yet */
  where: 'away' | 'rolling' | 'hanging' | 'set';
  /** what the hook still pulls of a piece that is set [N] */
  kept: number;
  /** the pick whose hook still pulls it */
  pick?: string;
  /** the piece it was hung with, spliced to it on the ground */
  with?: string;
  /** plumbed and levelled since it was set */
  plumbed?: boolean;
}

export interface JointState {
  pins: number;
  /** of the drawn size and grade and wrench-tight; null while a move does not say how many */
  bolts: number | null;
  /** bolts went in of which nobody says that they are as drawn and tight */
  untold: boolean;
  fit: 'asLies' | 'drawn';
}

/** What stands under it, and at what level. */
export interface SupportState {
  stands: boolean;
  struck: boolean;
  /** where a move brought it; null: as it was set */
  level: number | null;
}

/** What of the structure stands, hangs and is held after a move. */
export interface StructureMoment {
  beams: Ledger<BeamState>;
  supports: Ledger<SupportState>;
  joints: Ledger<JointState>;
  braces: Ledger<boolean>;
  loads: Ledger<boolean>;
  launches: Ledger<LaunchState>;
}

/** How far a launch has come. */
export interface LaunchState {
  built: boolean;
  /** pushed so far [m] */
  travel: number;
  /** side stops are on, landing confirmed */
  stopped: boolean;
  lowered: boolean;
}

export const nothingStands: StructureMoment = {
  beams: emptyLedger,
  supports: emptyLedger,
  joints: emptyLedger,
  braces: emptyLedger,
  loads: emptyLedger,
  launches: emptyLedger,
};
const NOT_BUILT: LaunchState = { built: false, travel: 0, stopped: false, lowered: false };
const AWAY: BeamState = { where: 'away', kept: 0 };
const NOT_YET: SupportState = { stands: false, struck: false, level: null };
export const beamAt = (now: StructureMoment, id: string): BeamState => readLedger(now.beams, id) ?? AWAY;
export const supportAt = (now: StructureMoment, id: string): SupportState => readLedger(now.supports, id) ?? NOT_YET;
export const standsAt = (now: StructureMoment, id: string): boolean => supportAt(now, id).stands;
export const jointAt = (now: StructureMoment, id: string): JointState | undefined => readLedger(now.joints, id);
export const braceAt = (now: StructureMoment, id: string): boolean => readLedger(now.braces, id) ?? false;
export const loadAt = (now: StructureMoment, id: string): boolean => readLedger(now.loads, id) ?? false;
export const launchAt = (now: StructureMoment, id: string): LaunchState => readLedger(now.launches, id) ?? NOT_BUILT;
const pulling = new WeakMap<object, readonly string[]>();
/** The picks whose hooks pull something of the structure. */
export const picksPulling = ({ beams }: StructureMoment): string[] =>
  beams.flatMap((part) => {
    let picks = pulling.get(part);
    if (!picks) pulling.set(part, (picks = Object.values(part).flatMap(({ pick }) => pick ?? [])));
    return picks;
  });

/** Something holds the two ends together. */
export const isMade = (state: JointState | undefined): state is JointState =>
  state !== undefined && (state.pins > 0 || state.bolts === null || state.bolts > 0);
