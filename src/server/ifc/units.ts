import * as WebIFC from 'web-ifc';
import { figureOf, kindOf, textOf, type Model } from './model';

type UnitType = 'LENGTHUNIT' | 'MASSUNIT';
const prefixes: Record<string, number> = { MILLI: 1e-3, CENTI: 1e-2, DECI: 1e-1, KILO: 1e3, MEGA: 1e6 };
const named: Record<UnitType, Record<string, number>> = {
  LENGTHUNIT: { FOOT: 0.3048, INCH: 0.0254, MILLIMETRE: 1e-3, METRE: 1 },
  MASSUNIT: { POUND: 0.45359237, POUNDMASS: 0.45359237, TONNE: 1000, KILOGRAM: 1 },
};

/** Metres, or kilograms, for one of the model’s units. A model that names no unit of mass is taken in kilograms. */
export function siPerUnit(model: Model, type: UnitType): number {
  for (const id of model.ids(WebIFC.IFCUNITASSIGNMENT))
    for (const unit of model.lines(model.line(id)?.Units)) {
      if (textOf(unit.UnitType) !== type) continue;
      // The unit of mass in SI is the gram, with a prefix or without.
      const base = type === 'MASSUNIT' ? 1e-3 : 1;
      if (kindOf(unit) === 'IfcSIUnit') return (prefixes[textOf(unit.Prefix)] ?? 1) * base;
      const name = textOf(unit.Name)
        .toUpperCase()
        .replace(/[^A-Z]/g, '');
      const measure = model.line(unit.ConversionFactor);
      const value = figureOf(measure?.ValueComponent);
      if (value !== null) return value * (prefixes[textOf(model.line(measure?.UnitComponent)?.Prefix)] ?? 1) * base;
      return named[type][name] ?? 1;
    }
  return 1;
}
