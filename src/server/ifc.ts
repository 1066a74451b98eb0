import * as WebIFC from 'web-ifc';
import { originOf } from './ifc-placement';
import type { SteelRow, SteelRows } from '@/core/steel/lists/rows';

/** What of an IFC line is read here; web-ifc gives plain objects with `value` inside. */
interface Line {
  expressID: number;
  Name?: { value: string } | null;
  Tag?: { value: string } | null;
  [field: string]: unknown;
}

const text = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'value' in value ? String((value as { value: unknown }).value ?? '') : '';
const figure = (value: unknown): number | null => {
  const raw = typeof value === 'object' && value !== null && 'value' in value ? Number((value as { value: unknown }).value) : Number.NaN;
  return Number.isFinite(raw) && raw > 0 ? raw : null;
};
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const kindOf = (value: unknown): string => (typeof value === 'object' && value !== null ? value.constructor.name : '');

/** Members of a model: beams, columns and members with name, profile, length and weight where the file gives them. */
export async function readIfc(bytes: Uint8Array): Promise<SteelRows> {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 200));
  if (!head.includes('ISO-10303-21'))
    return { rows: [], faults: [{ from: 'the file', error: 'It does not begin with ISO-10303-21: this is not an IFC file. Export the model as IFC (STEP).' }] };
  const api = new WebIFC.IfcAPI();
  await api.Init(undefined, true);
  api.SetLogLevel(WebIFC.LogLevel.LOG_LEVEL_OFF);
  let model = -1;
  try {
    model = api.OpenModel(bytes);
  } catch {
    model = -1;
  }
  if (model < 0 || !api.IsModelOpen(model))
    return { rows: [], faults: [{ from: 'the file', error: 'The model cannot be opened: the file may be cut short. Export it again.' }] };
  try {
    return membersOf(api, model);
  } finally {
    api.CloseModel(model);
  }
}

function membersOf(api: WebIFC.IfcAPI, model: number): SteelRows {
  const found: SteelRows = { rows: [], faults: [] };
  const factor = siPerUnit(api, model, 'LENGTHUNIT');
  const heavy = siPerUnit(api, model, 'MASSUNIT');
  const ids = [
    WebIFC.IFCBEAM,
    WebIFC.IFCBEAMSTANDARDCASE,
    WebIFC.IFCCOLUMN,
    WebIFC.IFCCOLUMNSTANDARDCASE,
    WebIFC.IFCMEMBER,
    WebIFC.IFCMEMBERSTANDARDCASE,
  ].flatMap((type) => [...vector(api.GetLineIDsWithType(model, type))]);
  const quantities = quantitiesByElement(api, model, factor, heavy);
  const profiles = profilesByElement(api, model);
  const byMark = new Map<string, SteelRow>();
  for (const id of ids) {
    const line = api.GetLine(model, id, true) as Line;
    const name = text(line.Tag) || text(line.Name);
    const from = `#${id}`;
    const shape = shapeOf(line);
    const known = quantities.get(id);
    const section = profiles.get(id) ?? shape.profile ?? (text(line.ObjectType) || null);
    const length = known?.length ?? (shape.depth === null ? null : shape.depth * factor);
    if (name === '') found.faults.push({ from, error: 'It has neither tag nor name: name it in the model.' });
    else if (section === null) found.faults.push({ from, error: `${name} has no profile: give it one in the model.` });
    else if (length === null) found.faults.push({ from, error: `${name} has no length: export the model with base quantities or extruded shapes.` });
    else {
      const same = byMark.get(name);
      if (same && same.section === section && Math.abs(same.length - length) < 1e-3) same.count += 1;
      else if (same) found.faults.push({ from, error: `${name} is also ${same.from} with another section or length: marks must be one piece each.` });
      else byMark.set(name, { from, mark: name, section, length, grade: '', count: 1, mass: known?.mass ?? null, order: null, place: placeOf(line, factor) });
    }
  }
  found.rows.push(...byMark.values());
  if (ids.length === 0) found.faults.push({ from: 'the file', error: 'There are no beams, columns or members in this model.' });
  return found;
}

const vector = (ids: { size(): number; get(i: number): number }): number[] => Array.from({ length: ids.size() }, (_, i) => ids.get(i));

/** Where the model has it, for the list: its own origin in metres. */
function placeOf(line: Line, factor: number): string {
  const at = originOf(line.ObjectPlacement);
  return at ? `model ${at.map((one, i) => `${'xyz'[i]} ${(one * factor).toFixed(2)}`).join(' ')} m` : '';
}

type UnitType = 'LENGTHUNIT' | 'MASSUNIT';
const prefixes: Record<string, number> = { MILLI: 1e-3, CENTI: 1e-2, DECI: 1e-1, KILO: 1e3, MEGA: 1e6 };
const named: Record<UnitType, Record<string, number>> = {
  LENGTHUNIT: { FOOT: 0.3048, INCH: 0.0254, MILLIMETRE: 1e-3, METRE: 1 },
  MASSUNIT: { POUND: 0.45359237, POUNDMASS: 0.45359237, TONNE: 1000, KILOGRAM: 1 },
};

/** Metres, or kilograms, for one of the model’s units. A model that names no unit of mass is taken in kilograms. */
function siPerUnit(api: WebIFC.IfcAPI, model: number, type: UnitType): number {
  for (const id of vector(api.GetLineIDsWithType(model, WebIFC.IFCUNITASSIGNMENT))) {
    const line = api.GetLine(model, id, true) as Line;
    for (const unit of list(line.Units) as Line[]) {
      if (text(unit.UnitType) !== type) continue;
      // The unit of mass in SI is the gram, with a prefix or without.
      const base = type === 'MASSUNIT' ? 1e-3 : 1;
      if (kindOf(unit) === 'IfcSIUnit') return (prefixes[text(unit.Prefix)] ?? 1) * base;
      const name = text(unit.Name)
        .toUpperCase()
        .replace(/[^A-Z]/g, '');
      const measure = unit.ConversionFactor as { ValueComponent?: unknown; UnitComponent?: Line } | undefined;
      const value = figure(measure?.ValueComponent);
      if (value !== null) return value * (prefixes[text(measure?.UnitComponent?.Prefix)] ?? 1) * base;
      return named[type][name] ?? 1;
    }
  }
  return 1;
}

/** Profile and length of an extrusion in the element's body, as they stand in the file. */
function shapeOf(line: Line): { profile: string | null; depth: number | null } {
  const shape = line.Representation as { Representations?: { Items?: unknown[] }[] } | null | undefined;
  for (const representation of shape?.Representations ?? [])
    for (const item of list(representation.Items)) {
      let solid = item as {
        SweptArea?: { ProfileName?: unknown };
        Depth?: unknown;
        FirstOperand?: unknown;
        MappingSource?: { MappedRepresentation?: { Items?: unknown[] } };
      };
      if (solid.MappingSource) solid = (solid.MappingSource.MappedRepresentation?.Items?.[0] ?? {}) as typeof solid;
      while (solid.FirstOperand) solid = solid.FirstOperand as typeof solid;
      if (solid.SweptArea) return { profile: text(solid.SweptArea.ProfileName) || null, depth: figure(solid.Depth) };
    }
  return { profile: null, depth: null };
}

function profilesByElement(api: WebIFC.IfcAPI, model: number): Map<number, string> {
  const found = new Map<number, string>();
  for (const id of vector(api.GetLineIDsWithType(model, WebIFC.IFCRELASSOCIATESMATERIAL))) {
    const line = api.GetLine(model, id, true) as Line;
    const material = line.RelatingMaterial as { ForProfileSet?: unknown; MaterialProfiles?: { Profile?: { ProfileName?: unknown }; Name?: unknown }[] } | null;
    const set = (material?.ForProfileSet ?? material) as { MaterialProfiles?: { Profile?: { ProfileName?: unknown }; Name?: unknown }[] } | null;
    const first = set?.MaterialProfiles?.[0];
    const name = text(first?.Profile?.ProfileName) || text(first?.Name);
    if (name === '') continue;
    for (const element of list(line.RelatedObjects) as Line[]) found.set(element.expressID, name);
  }
  return found;
}

/** Length and weight from the element's quantities. */
function quantitiesByElement(api: WebIFC.IfcAPI, model: number, factor: number, perMass: number): Map<number, { length: number | null; mass: number | null }> {
  const found = new Map<number, { length: number | null; mass: number | null }>();
  for (const id of vector(api.GetLineIDsWithType(model, WebIFC.IFCRELDEFINESBYPROPERTIES))) {
    const line = api.GetLine(model, id, true) as Line;
    const set = line.RelatingPropertyDefinition as { Quantities?: Line[] } | null;
    if (!set?.Quantities) continue;
    let length: number | null = null;
    let mass: number | null = null;
    for (const quantity of set.Quantities) {
      const name = text(quantity.Name).toLowerCase();
      const long = figure(quantity.LengthValue);
      if (long !== null && name === 'length') length = long * factor;
      const heavy = figure(quantity.WeightValue);
      if (heavy !== null && (mass === null || name === 'netweight')) mass = heavy * perMass;
    }
    for (const element of list(line.RelatedObjects) as Line[]) {
      const before = found.get(element.expressID);
      found.set(element.expressID, { length: length ?? before?.length ?? null, mass: mass ?? before?.mass ?? null });
    }
  }
  return found;
}
