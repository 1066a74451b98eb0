import type { Met } from './meet';

type Point = [number, number, number];

/** A piece of a model where it stands, in metres in the model’s world. */
export interface Placed {
  /** its number in the file */
  id: string;
  /** its mark, with its number where several have that mark */
  name: string;
  mark: string;
  from: Point;
  to: Point;
  /** from its underside up to its axis, plumb [m] */
  up: number;
  /** the model’s own line, its extrusion, or a guess from its shape */
  by: 'axis' | 'extrusion' | 'shape';
  /** by how much its body ends elsewhere than the model’s own line [m]; 0: it does not */
  differs: number;
}

/** The pieces of a model that have a place, what meets what, and what stands on the ground; `left`: pieces that were too many. */
export interface PlacedModel extends Met {
  pieces: Placed[];
  left: number;
}
