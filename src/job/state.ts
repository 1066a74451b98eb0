import type { Fault } from '@/core/calc/schema';
import type { Plan } from '@/core/document/schema';
import type { Fix } from '@/core/edit/fixes';
import type { History } from '@/core/edit/history';
import type { Command } from '@/core/edit/table';
import type { Stand } from '@/core/checks/structure/worst';
import type { Walk } from '@/core/settle/walk-way';
import type { Check, StationId } from '@/core/verdict/check';
import type { Ref } from '@/core/view/draw-list';
import type { Look } from '@/core/view/elevation-scene';
import type { Looking, Survey } from '@/core/view/surveyed';
import type { Draft } from './saving/draft';

export type Saving =
  | { state: 'saved' }
  | { state: 'unsaved' }
  | { state: 'saving' }
  | { state: 'offline'; why: string }
  /** someone else saved meanwhile; nothing is overwritten until the person chooses */
  | { state: 'conflict'; theirs: Plan; theirRevision: number };

export interface JobState {
  id: string;
  history: History;
  /** revision the plan on screen was built on */
  revision: number;
  saving: Saving;
  survey: Survey;
  /** of what the drawings are: which plan, which moment of it, seen how; null: of nothing yet */
  drawn: (Looking & { plan: Plan }) | null;
  /** nothing of this plan has been worked out yet */
  reckoning: boolean;
  /** what edits are made with is here: until then the page is a picture, and a press on it does nothing */
  editable: boolean;
  cursor: number;
  look: Look;
  station: StationId;
  chosen: Ref | null;
  /** the shored line and the way in whose fields are open; null: the first */
  line: string | null;
  way: string | null;
  /** an edit of an earlier visit that never reached the server; null: none, or it was answered */
  offer: Draft | null;
  /** records begun and not yet taken, by what they are of: they outlive a change of move or station */
  halfTyped: Readonly<Record<string, unknown>>;
  /** the piece list in place of the drawing at Steel; null: as the job asks for */
  listed: boolean | null;
  /** a lift that is looked at on its way; null: as the move has it */
  walk: Walk | null;
}

/** What edits a plan, and takes an edit back. */
export interface EditingActions {
  act(command: Command, group?: string): Fault[] | null;
  done(): void;
  undo(): void;
  redo(): void;
}

/** What is looked at, and how. */
export interface ViewActions {
  goTo(cursor: number): void;
  lookAlong(look: Look): void;
  walkTo(walk: Walk | null): void;
  openStation(station: StationId): void;
  choose(ref: Ref | null): void;
  chooseLine(line: string): void;
  chooseWay(way: string): void;
  showList(listed: boolean): void;
  keepHalfTyped(key: string, value: unknown): void;
}

/** Where the plan is kept, and what stands there already. */
export interface SavingActions {
  /** take up the edit of an earlier visit, or throw it away */
  answerOffer(take: boolean): void;
  takeTheirs(): void;
  keepMine(): void;
  saveNow(): Promise<void>;
}

/** What the worker is asked. */
export interface AnswerActions {
  /** ask the worker about the plan on screen again */
  resurvey(): void;
  /** changes of the run sheet that settle a row, tried one by one; empty when there are none, or nobody can say */
  fixesOf(check: Check): Promise<Fix[]>;
  /** one row over the moves at which it is asked; empty where it is asked once, or nobody can say */
  overMoves(check: Check): Promise<Stand[]>;
}

export type JobActions = EditingActions & ViewActions & SavingActions & AnswerActions;

/** The open job as its parts read and change it. */
export interface Hands {
  get(): JobState & JobActions;
  set(changes: Partial<JobState> | ((state: JobState & JobActions) => Partial<JobState>)): void;
}

export interface FirstState {
  id: string;
  revision: number;
  plan: Plan;
  /** null: a large plan, worked out in the browser */
  survey: Survey | null;
  cursor: number;
  station: StationId;
}
