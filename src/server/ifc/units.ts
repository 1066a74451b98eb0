import * as WebIFC from 'web-ifc';
import { figureOf, kindOf, textOf, type Line, type Model } from './model';

export type UnitType = 'LENGTHUNIT' | 'MASSUNIT';
const prefixes: Record<string, number> = {
  '': 1,
  MICRO: 1e-6,
  MILLI: 1e-3,
  CENTI: 1e-2,
  DECI: 1e-1,
  DECA: 10,
  HECTO: 1e2,
  KILO: 1e3,
  MEGA: 1e6,
};
const named: Record<UnitType, Record<string, number>> = {
  LENGTHUNIT: { FOOT: 0.3048, INCH: 0.0254, MILLIMETRE: 1e-3, METRE: 1 },
  MASSUNIT: { POUND: 0.45359237, POUNDMASS: 0.45359237, TONNE: 1000, KILOGRAM: 1 },
};

/** Metres, or kilograms, for one of a unit; null when the file does not say how many. */
export function siOf(model: Model, unit: Line, type: UnitType): number | null {
  // The unit of mass in SI is the gram, with a prefix or without.
  const base = type === 'MASSUNIT' ? 1e-3 : 1;
  const prefix = (line: Line | null): number | null => prefixes[textOf(line?.Prefix)] ?? null;
  if (kindOf(unit) === 'IfcSIUnit') {
    const times = prefix(unit);
    return times === null ? null : times * base;
  }
  const measure = model.line(unit.ConversionFactor);
  const value = figureOf(measure?.ValueComponent);
  const times = prefix(model.line(measure?.UnitComponent));
  if (value !== null) return times === null ? null : value * times * base;
  const name = textOf(unit.Name)
    .toUpperCase()
    .replace(/[^A-Z]/g, '');
  return named[type][name] ?? null;
}

/** Metres, or kilograms, for one of the model’s own units; null when it names none, or names two of different size. */
export function siPerUnit(model: Model, type: UnitType): number | null {
  const project = model.ids(WebIFC.IFCPROJECT).flatMap((id) => model.line(model.line(id)?.UnitsInContext) ?? []);
  const assignments = project.length > 0 ? project : model.ids(WebIFC.IFCUNITASSIGNMENT).flatMap((id) => model.line(id) ?? []);
  const units = assignments.flatMap((one) => model.lines(one.Units)).filter((unit) => textOf(unit.UnitType) === type);
  const sizes = new Set(units.map((unit) => siOf(model, unit, type)));
  return sizes.size === 1 ? ([...sizes][0] ?? null) : null;
}
