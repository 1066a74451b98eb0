import type { Vec } from '../geometry/plane';
import type { Verdict } from '../verdict/check';

/** A drawing as a value: shapes in metres, words in labels, nothing about screens or paper. */

export type Ink =
  'ink' | 'pencil' | 'faint' | 'steel' | 'steelEdge' | 'timber' | 'timberEdge' | 'gear' | 'gearPale' | 'paper' | 'ground' | 'stop' | 'tight' | 'clear';

export interface Style {
  fill?: Ink;
  stroke?: Ink;
  /** line width in screen pixels or paper points */
  width?: number;
  dash?: 'dash' | 'dot' | 'dashdot';
  hatch?: boolean;
  opacity?: number;
}

/** The thing in the plan a shape stands for: what a click selects and a drag moves. */
export type Ref =
  | { kind: 'bearing'; id: string }
  | { kind: 'piece'; id: string }
  | { kind: 'start'; id: string }
  | { kind: 'stand'; id: string }
  | { kind: 'obstruction'; id: string }
  | { kind: 'zone'; id: string }
  | { kind: 'signaller'; id: string }
  | { kind: 'powerLine'; id: string }
  | { kind: 'powerLineEnd'; id: string; end: 'from' | 'to' }
  | { kind: 'leg'; id: string }
  | { kind: 'opening'; id: string }
  | { kind: 'shore'; id: string }
  | { kind: 'beam'; id: string }
  /** an end of a piece of the structure, by which it is turned */
  | { kind: 'beamEnd'; id: string; end: 'from' | 'to' }
  /** the way of a pick, by where it is drawn aside */
  | { kind: 'path'; id: string }
  | { kind: 'pickPoint'; id: string; end: 'left' | 'right' };

export const sameRef = (a: Ref | null, b: Ref | null): boolean =>
  a !== null && b !== null && a.kind === b.kind && a.id === b.id && (!('end' in a) || !('end' in b) || a.end === b.end);

interface Common {
  style: Style;
  of?: Ref;
  /** labels keep off it */
  solid?: boolean;
}

export type Shape =
  | ({ shape: 'polygon'; points: Vec[] } & Common)
  | ({ shape: 'line'; points: Vec[] } & Common)
  | ({ shape: 'circle'; centre: Vec; radius: number } & Common)
  /** a mark of a fixed size on paper, whatever the scale */
  | ({ shape: 'dot'; centre: Vec; size: number; /** drawn as its mark, when it is not clear */ verdict?: Verdict } & Common)
  | {
      shape: 'label';
      at: Vec;
      text: string;
      ink: Ink;
      bold?: boolean;
      large?: boolean;
      /** left out rather than written over another */ optional?: boolean;
      /** one of many: it stands beside its thing, off other words and off steel, or nowhere */ near?: boolean;
      /** where it may stand round its point, best first */ sides: readonly Side[];
      of?: Ref;
    }
  /** from, to, moved square to itself by `offset` screen pixels */
  | { shape: 'dimension'; from: Vec; to: Vec; offset: number; text: string; ink: Ink; /** the figure of an upright line on its right */ right?: boolean };

export type Side = 'right' | 'left' | 'above' | 'below' | 'centre';

export interface Drawing {
  shapes: Shape[];
  /** what must be seen when it is fitted to its frame */
  extent: { min: Vec; max: Vec };
}

export function extentOf(points: readonly Vec[], margin: number): Drawing['extent'] {
  if (points.length === 0) return { min: { x: -1, y: -1 }, max: { x: 1, y: 1 } };
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { min: { x: Math.min(...xs) - margin, y: Math.min(...ys) - margin }, max: { x: Math.max(...xs) + margin, y: Math.max(...ys) + margin } };
}
