import type { ProfileMeasures } from '@/core/steel/by-measures';
import { outlineMeasures, sizeOf } from '@/core/steel/outline';
import { cornersOf } from './corners';
import { curvePoints } from './curve';
import { scaleOf } from './mapping';
import { figureOf, kindOf, listOf, textOf, type Line, type Model } from './model';

export interface Profile {
  /** as the model names it; empty when it does not */
  name: string;
  measures: ProfileMeasures | null;
  /** over all, where that is known */
  size: { depth: number; width: number } | null;
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
export function profileOf(model: Model, line: Line | null, metres: number): Profile | null {
  if (!line) return null;
  const kind = kinds[kindOf(line)];
  const name = textOf(line.ProfileName);
  if (line.OuterCurve) return drawnProfile(model, line, name, metres);
  const length = (...fields: string[]): number | null => {
    for (const field of fields) {
      const value = figureOf(line[field]);
      if (value !== null) return value * metres;
    }
    return null;
  };
  if (!kind) return { name, measures: null, size: null };
  const radius = length('Radius');
  const round = kind === 'round' || kind === 'tube';
  const depth = round ? radius && 2 * radius : length('OverallDepth', 'Depth', 'YDim');
  const width = round ? depth : length('OverallWidth', 'FlangeWidth', 'Width', 'XDim');
  if (depth === null || width === null) return { name, measures: null, size: null };
  // The larger side stands for the depth where a profile has no up and down.
  const [deep, wide] = kind === 'rectangle' || kind === 'box' ? [Math.max(depth, width), Math.min(depth, width)] : [depth, width];
  const measures = { kind, depth: deep, width: wide, wall: length('WebThickness', 'WallThickness', 'Thickness'), flange: length('FlangeThickness') };
  return { name, measures, size: { depth: deep, width: wide } };
}

/** A profile given by its outline alone: the rolled shape it is of, or else its size. */
function drawnProfile(model: Model, line: Line, name: string, metres: number): Profile {
  const points = (curve: unknown) => curvePoints(model, curve).map(({ x, y }) => ({ x: x * metres, y: y * metres }));
  const outline = points(line.OuterCurve);
  return { name, measures: outlineMeasures(outline, listOf(line.InnerCurves).map(points)), size: sizeOf(outline) };
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
      const per = metres * found.scale;
      if (found.solid.Directrix) return rodOf(model, found.solid, per);
      const depth = figureOf(found.solid.Depth);
      return { profile: profileOf(model, model.line(found.solid.SweptArea), per), depth: depth === null ? null : depth * per };
    }
  return { profile: null, depth: null };
}

/** Where an element’s body is put within its own frame: the corners of its shape, to the millimetre. */
export function solidPlace(model: Model, representation: unknown, metres: number): string {
  for (const one of model.lines(model.line(representation)?.Representations))
    for (const item of listOf(one.Items)) {
      const found = solidOf(model, model.line(item));
      const position = model.line(found?.solid.Position);
      if (!position) continue;
      const list = (at: unknown, field: string) => JSON.stringify(listOf(model.line(at)?.[field]).map((value) => Number((value as { value?: unknown }).value)));
      return [
        list(position.Location, 'Coordinates'),
        list(position.Axis, 'DirectionRatios'),
        list(position.RefDirection, 'DirectionRatios'),
        list(found?.solid.ExtrudedDirection, 'DirectionRatios'),
        String(metres),
      ].join(' ');
    }
  return JSON.stringify(
    cornersOf(model, representation, metres)
      .slice(0, 12)
      .map((corner) => corner.map((one) => one.toFixed(3))),
  );
}

/** A rod or a pipe drawn along a line: as long as that line. */
function rodOf(model: Model, solid: Line, metres: number): Shape {
  const radius = figureOf(solid.Radius);
  const inner = figureOf(solid.InnerRadius);
  const points = curvePoints(model, solid.Directrix);
  const along = points.slice(1).reduce((sum, one, i) => sum + Math.hypot(one.x - points[i]!.x, one.y - points[i]!.y, one.z - points[i]!.z), 0);
  if (radius === null) return { profile: null, depth: null };
  const depth = 2 * radius * metres;
  const wall = inner === null ? null : (radius - inner) * metres;
  return {
    profile: { name: '', measures: { kind: wall === null ? 'round' : 'tube', depth, width: depth, wall, flange: null }, size: { depth, width: depth } },
    depth: along > 0 ? along * metres : null,
  };
}

/** The extrusion, and how much larger its maps make it; none when a map stretches it one way more than another. */
function solidOf(model: Model, item: Line | null): { solid: Line; scale: number } | null {
  let solid = item;
  let scale = 1;
  for (let deep = 0; solid && deep < 32; deep += 1) {
    if (solid.SweptArea || (solid.Directrix && solid.Radius)) return { solid, scale };
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
