import * as WebIFC from 'web-ifc';
import type { SteelRow, SteelRows } from '@/core/steel/lists/rows';
import { assembliesOf, assemblyIds, type Assembly } from './assemblies';
import { cornersOf } from './corners';
import { extentOf } from './extent';
import { factsOf, type Facts } from './facts';
import { markOf } from './marks';
import { Model, type Line } from './model';
import { originOf } from './placement';
import { shapeOf } from './profile';
import { mm, sectionOf } from './section-name';
import { siPerUnit } from './units';

/** Members of a model: beams, columns and members with mark, profile, grade, place, length and weight where the file gives them. */
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
    return membersOf(new Model(api, model));
  } finally {
    api.CloseModel(model);
  }
}

interface Found {
  row: SteelRow;
  /** how its section was come by, when not by its name */
  seen: string | null;
}

function membersOf(model: Model): SteelRows {
  const faults: SteelRows['faults'] = [];
  const per = { metres: siPerUnit(model, 'LENGTHUNIT'), kilograms: siPerUnit(model, 'MASSUNIT') };
  const ids = model.ids(
    WebIFC.IFCBEAM,
    WebIFC.IFCBEAMSTANDARDCASE,
    WebIFC.IFCCOLUMN,
    WebIFC.IFCCOLUMNSTANDARDCASE,
    WebIFC.IFCMEMBER,
    WebIFC.IFCMEMBERSTANDARDCASE,
  );
  const facts = factsOf(model, [...ids, ...assemblyIds(model)], per);
  const assemblies = assembliesOf(model, ids, facts);
  const together = new Map<string, Assembly>();
  const kinds = new Map<string, Found[]>();
  for (const id of ids) {
    const line = model.line(id);
    const said = facts.get(id);
    if (!line || !said) continue;
    const from = `#${id}`;
    const whole = assemblies.get(id);
    const mark = markIn(whole, line, said);
    // One bar and its plates go up as one: the assembly’s weight is the piece’s.
    const mass = (whole?.bars === 1 ? whole.mass : null) ?? said.mass;
    if (whole && whole.bars > 1 && whole.mark !== '') together.set(whole.mark, whole);
    const shape = shapeOf(model, line.Representation, per.metres);
    let { section, seen } = sectionOf(line, said, shape.profile);
    let length = said.length ?? shape.depth;
    if (mark !== '' && (length === null || section === '')) {
      // Faces only: what the model does not say is measured on its shape, and told.
      const extent = extentOf(cornersOf(model, line.Representation, per.metres));
      if (extent) {
        seen = length === null ? 'The model gives no length: it is measured on the shape, from tip to tip.' : seen;
        length ??= extent.length;
        if (section === '') section = `shape ${mm(extent.depth)} × ${mm(extent.width)} mm`;
      }
    }
    if (mark === '') faults.push({ from, error: 'It has neither tag nor name: name it in the model.' });
    else if (section === '') faults.push({ from, error: `${mark} has neither profile nor shape: give it one in the model.` });
    else if (length === null) faults.push({ from, error: `${mark} has no length: export the model with base quantities or with its shapes.` });
    else {
      const same = kinds.get(mark) ?? [];
      kinds.set(mark, same);
      const like = same.find(({ row }) => row.section === section && Math.abs(row.length - length) < 1e-3);
      if (like) like.row.count += 1;
      else
        same.push({
          seen,
          row: { from, mark, section, length, grade: said.grade, count: 1, mass, order: null, place: placeOf(model, line, per.metres) },
        });
    }
  }
  const notes = numbered(kinds);
  const rows = [...kinds.values()].flat();
  const measured = new Map<string, string[]>();
  for (const { row, seen } of rows) if (seen !== null) measured.set(seen, [...(measured.get(seen) ?? []), row.mark]);
  for (const [seen, marks] of measured) notes.push({ from: marks.slice(0, 6).join(', ') + (marks.length > 6 ? ' …' : ''), error: seen });
  for (const [from, { bars, mass }] of together)
    notes.push({
      from,
      error: `It is put together of ${bars} bars in the model, which come in one by one. If it is lifted as one, make it one piece of parts${mass === null ? '' : `: the model weighs it ${mass.toFixed(1)} kg`}.`,
    });
  if (ids.length === 0) faults.push({ from: 'the file', error: 'There are no beams, columns or members in this model.' });
  return { rows: rows.map(({ row }) => row), faults, notes };
}

/** A name on several kinds of piece is no mark: each kind gets a number behind it, and that is told. */
function numbered(kinds: ReadonlyMap<string, Found[]>): SteelRows['faults'] {
  const notes: SteelRows['faults'] = [];
  const taken = new Set(kinds.keys());
  for (const [name, found] of kinds) {
    if (found.length < 2) continue;
    let n = 1;
    for (const { row } of found.slice(1)) {
      do n += 1;
      while (taken.has(`${name}-${n}`));
      row.mark = `${name}-${n}`;
      taken.add(row.mark);
    }
    notes.push({
      from: name,
      error: `It is the name of ${found.length} kinds of piece in the model: they are numbered ${name} to ${found[found.length - 1]?.row.mark}. Give each its own mark in the model, or here.`,
    });
  }
  return notes;
}

/** An assembly of one bar gives it its mark; of several, what tells them apart stands behind it. */
function markIn(whole: Assembly | undefined, line: Line, said: Facts): string {
  const own = markOf(line, said);
  if (!whole || whole.mark === '' || said.surest) return own;
  return whole.bars === 1 ? whole.mark : `${whole.mark}/${own}`;
}

/** Where the model has it, for the list: its own origin in metres. */
function placeOf(model: Model, line: Line, metres: number): string {
  const at = originOf(line.ObjectPlacement, (at) => model.line(at));
  return at ? `model ${at.map((one, i) => `${'xyz'[i]} ${(one * metres).toFixed(2)}`).join(' ')} m` : '';
}
