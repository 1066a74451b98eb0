import type { ProfileMeasures } from '@/core/steel/by-measures';
import { scaleOf } from './mapping';
import { figureOf, kindOf, listOf, textOf, type Line, type Model } from './model';

export interface Profile {
  /** as the model names it; empty when it does not */
  name: string;
  measures: ProfileMeasures | null;
}

const kinds: Record<string, ProfileMeasures['kind']> = {
  IfcIShapeProfileDef: 'I',
  IfcUShapeProfileDef: 'U',
  IfcLShapeProfileDef: 'L',
  IfcRectangleHollowProfileDef: 'box',
  IfcRectangleProfileDef: 'rectangle',
  IfcCircleProfileDef: 'round',
  IfcCircleHollowProfileDef: 'tube',
};

/** Name and measures of a profile definition; `metres` per unit of the model. */
export function profileOf(line: Line | null, metres: number): Profile | null {
  if (!line) return null;
  const kind = kinds[kindOf(line)];
  const name = textOf(line.ProfileName);
  const length = (...fields: string[]): number | null => {
    for (const field of fields) {
      const value = figureOf(line[field]);
      if (value !== null) return value * metres;
    }
    return null;
  };
  if (!kind) return { name, measures: null };
  const radius = length('Radius');
  const round = kind === 'round' || kind === 'tube';
  const depth = round ? radius && 2 * radius : length('OverallDepth', 'Depth', 'YDim');
  const width = round ? depth : length('OverallWidth', 'FlangeWidth', 'Width', 'XDim');
  if (depth === null || width === null) return { name, measures: null };
  // The larger side stands for the depth where a profile has no up and down.
  const [deep, wide] = kind === 'rectangle' || kind === 'box' ? [Math.max(depth, width), Math.min(depth, width)] : [depth, width];
  return { name, measures: { kind, depth: deep, width: wide, wall: length('WebThickness', 'WallThickness', 'Thickness'), flange: length('FlangeThickness') } };
}

export interface Shape {
  profile: Profile | null;
  /** of the extrusion, in metres */
  depth: number | null;
}

/** Profile and length of the extrusion in an element’s body. Cut pieces are taken whole, mapped ones where they are mapped from. */
export function shapeOf(model: Model, representation: unknown, metres: number): Shape {
  for (const one of model.lines(model.line(representation)?.Representations))
    for (const item of listOf(one.Items)) {
      const found = solidOf(model, model.line(item));
      if (!found) continue;
      const depth = figureOf(found.solid.Depth);
      const per = metres * found.scale;
      return { profile: profileOf(model.line(found.solid.SweptArea), per), depth: depth === null ? null : depth * per };
    }
  return { profile: null, depth: null };
}

/** The extrusion, and how much larger its maps make it; none when a map stretches it one way more than another. */
function solidOf(model: Model, item: Line | null): { solid: Line; scale: number } | null {
  let solid = item;
  let scale = 1;
  for (let deep = 0; solid && deep < 32; deep += 1) {
    if (solid.SweptArea) return { solid, scale };
    if (solid.MappingSource) {
      const more = scaleOf(model, solid.MappingTarget);
      if (more === null) return null;
      scale *= more;
      solid = model.line(listOf(model.line(model.line(solid.MappingSource)?.MappedRepresentation)?.Items)[0]);
    } else if (solid.FirstOperand) solid = model.line(solid.FirstOperand);
    else return null;
  }
  return null;
}
