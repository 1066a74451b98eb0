import * as WebIFC from 'web-ifc';
import { findSection } from '@/core/steel/sections';
import { LONGEST, SHORTEST } from '@/core/steel/lists/length-unit';
import type { Placed, PlacedModel } from '@/core/model/placed';
import type { Asked, SteelRow, SteelRows } from '@/core/steel/lists/rows';
import { assembliesOf, assemblyIds, type Assembly } from './assemblies';
import { cornersOf } from './corners';
import { extentOf } from './extent';
import { factsOf, type Facts } from './facts';
import { markOf } from './marks';
import { Model, textOf, type Line } from './model';
import { placedOf } from './placed';
import { axesOf, originOf } from './placement';
import { shapeOf, solidPlace } from './profile';
import { mm, sectionOf } from './section-name';
import { endsInside, isSound } from './sound';
import { siPerUnit } from './units';
import type { Vector } from './vectors';

/**
 * Members of a model: beams, columns and members with mark, profile, grade, place, length and weight where the file gives them, and
 * what meets what. `shapes`: whether their bodies are looked at, which takes as long as they are large.
 */
export async function readIfc(bytes: Uint8Array, shapes = true): Promise<SteelRows> {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 200));
  if (!head.includes('ISO-10303-21'))
    return { rows: [], faults: [{ from: 'the file', error: 'It does not begin with ISO-10303-21: this is not an IFC file. Export the model as IFC (STEP).' }] };
  const tail = new TextDecoder('latin1').decode(bytes.subarray(-400));
  if (!/END-ISO-10303-21\s*;/.test(tail))
    return {
      rows: [],
      faults: [
        { from: 'the file', error: 'It does not end with END-ISO-10303-21: the file is cut short, and what is missing cannot be told. Export it again.' },
      ],
    };
  if (endsInside(bytes))
    return {
      rows: [],
      faults: [
        { from: 'the file', error: 'Its last line is not whole: the file is cut and sewn together, and what is missing cannot be told. Export it again.' },
      ],
    };
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
    return membersOf(new Model(api, model), shapes && isSound(bytes));
  } finally {
    api.CloseModel(model);
  }
}

interface Found {
  row: SteelRow;
  /** how its section was come by, when not by its name */
  seen: string | null;
  /** where each of them stands, with what is put there */
  places: { id: number; guid: string; at: string; line: Line }[];
}

/** Steel that is no beam, column or member, and what goes up beside it: counted, and told. */
const besides: readonly (readonly [string, number])[] = [
  ['plates', WebIFC.IFCPLATE],
  ['building element proxies', WebIFC.IFCBUILDINGELEMENTPROXY],
  ['discrete accessories', WebIFC.IFCDISCRETEACCESSORY],
  ['fasteners', WebIFC.IFCFASTENER],
  ['mechanical fasteners', WebIFC.IFCMECHANICALFASTENER],
  ['railings', WebIFC.IFCRAILING],
  ['stair flights', WebIFC.IFCSTAIRFLIGHT],
  ['slabs', WebIFC.IFCSLAB],
  ['walls', WebIFC.IFCWALL],
  ['walls', WebIFC.IFCWALLSTANDARDCASE],
  ['coverings', WebIFC.IFCCOVERING],
];
const notSteel =
  /concrete|beton|b[ée]ton|hormig[oó]n|calcestruzzo|timber|wood|holz|bois|madera|legno|glulam|masonry|brick|mauerwerk|alumini|\bC\d\d\/\d\d\b|\bGL ?\d\d/i;

function membersOf(model: Model, shapes: boolean): SteelRows {
  const faults: SteelRows['faults'] = [];
  const asked: Asked[] = [];
  const metres = siPerUnit(model, 'LENGTHUNIT');
  const massUnit = siPerUnit(model, 'MASSUNIT');
  const per = { metres: metres ?? 1, kilograms: massUnit ?? 1 };
  const ids = model.ids(
    WebIFC.IFCBEAM,
    WebIFC.IFCBEAMSTANDARDCASE,
    WebIFC.IFCCOLUMN,
    WebIFC.IFCCOLUMNSTANDARDCASE,
    WebIFC.IFCMEMBER,
    WebIFC.IFCMEMBERSTANDARDCASE,
  );
  for (const [what, count] of besidesOf(model))
    faults.push({ from: `${count} ${what}`, error: 'They are no beams, columns or members and are not read: what they weigh is not in the weight of a bar.' });
  if (ids.length === 0) faults.push({ from: 'the file', error: 'There are no beams, columns or members in this model.' });
  if (ids.length > 0 && metres === null)
    return {
      rows: [],
      faults,
      asked: [
        {
          about: 'length',
          question: 'In which unit of length is the model? It names none, or two. Give it one in the program that made it, and export it again.',
        },
      ],
    };
  const facts = factsOf(model, [...ids, ...assemblyIds(model)], per);
  const assemblies = assembliesOf(model, ids, facts);
  const together = new Map<string, Assembly>();
  const kinds = new Map<string, Found[]>();
  const questions = new Map<string, { about: string; marks: Set<string> }>();
  const ask = (about: string, question: string, mark: string) => {
    const kept = questions.get(question) ?? { about, marks: new Set<string>() };
    kept.marks.add(mark);
    questions.set(question, kept);
  };
  const unplaced = new Map<string, number>();
  for (const id of ids) {
    const line = model.line(id);
    const said = facts.get(id);
    if (!line || !said) continue;
    const from = `#${id}`;
    const whole = assemblies.get(id);
    const mark = markIn(whole, line, said);
    const shape = shapeOf(model, line.Representation, per.metres);
    const of = [said.material, said.profile?.name, shape.profile?.name, textOf(line.ObjectType), said.typeName].find((name) => name && notSteel.test(name));
    if (of) {
      faults.push({ from, error: `${mark || 'It'} is of ${of}, not of steel: it is not read.` });
      continue;
    }
    // One bar and its plates go up as one: the assembly’s weight is the piece’s.
    const weighed = whole?.bars === 1 && whole.mass !== null ? { mass: whole.mass, other: null } : { mass: said.mass, other: said.otherMass };
    if (whole && whole.bars > 1 && whole.mark !== '') together.set(whole.mark, whole);
    const { section: called, seen: how, asked: which } = sectionOf(line, said, shape.profile);
    let [section, seen] = [called, how];
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
    else if (!(length >= SHORTEST && length <= LONGEST))
      faults.push({ from, error: `${mark} would be ${length.toPrecision(4)} m long: no piece is. Look at the model’s unit of length.` });
    else {
      const drawn = shape.depth;
      if (said.length !== null && drawn !== null && Math.abs(drawn / said.length - 1) > 0.1)
        ask('length', `The model says a length and draws another, ${said.length.toFixed(3)} m and ${drawn.toFixed(3)} m: which is right?`, mark);
      let { mass } = weighed;
      if (mass !== null && weighed.other !== null) {
        ask('mass', `The model says two weights, ${mass.toFixed(1)} kg and ${weighed.other.toFixed(1)} kg: which is right?`, mark);
        mass = null;
      }
      if (mass !== null && massUnit === null && !isKilograms(section, length, mass)) {
        ask('mass', 'In which unit are the weights of the model? It names none, and the listed sections do not show it.', mark);
        mass = null;
      }
      if (which) ask('section', which, mark);
      const at = originOf(line.ObjectPlacement, (place) => model.line(place));
      if (!at) unplaced.set(mark, (unplaced.get(mark) ?? 0) + 1);
      const same = kinds.get(mark) ?? [];
      kinds.set(mark, same);
      const [long, heavy] = [length, mass];
      const like = same.find(
        ({ row }) =>
          row.section === section &&
          Math.abs(row.length - long) < 1e-3 &&
          row.grade === said.grade &&
          (row.mass === null || heavy === null ? row.mass === heavy : Math.abs(row.mass / heavy - 1) <= 0.005),
      );
      const stands = { id, guid: textOf(line.GlobalId), at: at ? at.map((one) => (one * per.metres).toFixed(3)).join(' ') : '', line };
      if (like) {
        like.row.count += 1;
        like.places.push(stands);
      } else
        same.push({
          seen,
          places: [stands],
          row: { from, mark, section, length, grade: said.grade, count: 1, mass, order: null, place: placeWords(at, per.metres) },
        });
    }
  }
  const doubled: { rows: SteelRow[]; twice: [number, number] }[] = [];
  for (const [mark, found] of kinds) {
    const weights = [...new Set(found.flatMap(({ row }) => (row.mass === null ? [] : [row.mass.toFixed(1)])))];
    const alike = found.some(({ row }) =>
      found.some((other) => other.row !== row && other.row.section === row.section && Math.abs(other.row.length - row.length) < 1e-3),
    );
    if (weights.length > 1 && alike)
      ask('mass', `The model has ${mark} with different weights, ${weights.join(' and ')} kg: give each its own mark, or say which is right.`, mark);
    // Whatever is said of them: the same piece may be weighed once and drawn twice.
    for (const [i, one] of found.entries()) {
      const same = found.slice(i).filter(({ row }) => row.section === one.row.section && Math.abs(row.length - one.row.length) < 1e-3);
      const twice = twiceIn(
        model,
        same.flatMap(({ places }) => places),
        per.metres,
      );
      if (twice) doubled.push({ rows: same.map(({ row }) => row), twice });
    }
  }
  const notes = numbered(kinds);
  for (const { rows, twice } of doubled)
    asked.push({
      about: 'count',
      question: `#${twice[0]} and #${twice[1]} stand in the same place and are the same piece: is it one or two?`,
      marks: rows.map(({ mark }) => mark),
    });
  for (const [question, { about, marks }] of questions)
    asked.push({ about, question, marks: [...marks].flatMap((mark) => kinds.get(mark)?.map(({ row }) => row.mark) ?? [mark]) });
  for (const one of asked) if (one.about === 'mass') for (const { row } of [...kinds.values()].flat()) if (one.marks?.includes(row.mark)) row.mass = null;
  const rows = [...kinds.values()].flat();
  for (const [mark, count] of unplaced)
    faults.push({ from: mark, error: `The model does not say where ${count === 1 ? 'it stands' : `${count} of it stand`}: its place is not read.` });
  const measured = new Map<string, string[]>();
  for (const { row, seen } of rows) if (seen !== null) measured.set(seen, [...(measured.get(seen) ?? []), row.mark]);
  for (const [seen, marks] of measured) notes.push({ from: marks.slice(0, 6).join(', ') + (marks.length > 6 ? ' …' : ''), error: seen });
  for (const [from, { bars, mass }] of together)
    notes.push({
      from,
      error: `It is put together of ${bars} bars in the model, which come in one by one. If it is lifted as one, make it one piece of parts${mass === null ? '' : `: the model weighs it ${mass.toFixed(1)} kg`}.`,
    });
  const placed = placedOf(
    model,
    rows.flatMap(({ row, places }) => places.filter(({ at }) => at !== '').map(({ id, line }) => ({ id, mark: row.mark, line }))),
    per.metres,
    shapes,
  );
  notes.push(...placeNotes(placed));
  if (!shapes)
    notes.push({
      from: 'the file',
      error: 'Its lines do not hold together, or its shapes take too long: places are read from what it says, not from its shapes.',
    });
  return { rows: rows.map(({ row }) => row), faults, notes, placed, ...(asked.length > 0 ? { asked } : {}) };
}

/** What of the places is no plain reading of the model. */
function placeNotes({ pieces, left }: PlacedModel): SteelRows['faults'] {
  const some = (list: readonly Placed[]) =>
    list
      .slice(0, 6)
      .map(({ name }) => name)
      .join(', ') + (list.length > 6 ? ' …' : '');
  const guessed = pieces.filter(({ by }) => by === 'shape');
  const differ = pieces.filter(({ differs }) => differs > 0);
  return [
    ...(guessed.length > 0
      ? [{ from: some(guessed), error: 'Neither a line nor an extrusion is in the model: where the ends are is a guess from the shape.' }]
      : []),
    ...(differ.length > 0
      ? [
          {
            from: some(differ),
            error: `The model’s own line and the body end up to ${Math.max(...differ.map(({ differs }) => differs)).toFixed(3)} m apart: the line is taken.`,
          },
        ]
      : []),
    ...(left > 0 ? [{ from: 'the file', error: `${left} pieces are over what is looked at for ends: they have no places here.` }] : []),
  ];
}

/** How many of each there are; of two classes with one name the sum. */
function besidesOf(model: Model): Map<string, number> {
  const counts = new Map<string, number>();
  for (const [what, type] of besides) {
    const { length } = model.ids(type);
    if (length > 0) counts.set(what, (counts.get(what) ?? 0) + length);
  }
  return counts;
}

/** A weight of no unit is in kilograms where a listed section of that length weighs about that. */
function isKilograms(section: string, length: number, mass: number): boolean {
  const row = findSection(section);
  const share = row ? mass / (row.massPerLength * length) : Number.NaN;
  return share >= 0.9 && share <= 1.6;
}

/** Two of them that are one piece drawn twice: by their number, or by where they stand and what is put there. */
function twiceIn(model: Model, places: readonly Found['places'][number][], metres: number): [number, number] | null {
  const first = new Map<string, number>();
  for (const { id, guid } of places) {
    const before = guid === '' ? undefined : first.get(guid);
    if (before !== undefined) return [before, id];
    first.set(guid, id);
  }
  const standing = new Map<string, Found['places'][number][]>();
  for (const place of places) if (place.at !== '') standing.set(place.at, [...(standing.get(place.at) ?? []), place]);
  for (const here of standing.values()) {
    const shapes = new Map<string, number>();
    if (here.length < 2) continue;
    for (const { id, line } of here) {
      // Bars that cross where they begin have axes of their own.
      const turned = JSON.stringify(axesOf(line.ObjectPlacement, (at) => model.line(at)));
      const put = solidPlace(model, line.Representation, metres);
      const key = `${turned} ${put}`;
      const before = shapes.get(key);
      if (before !== undefined) return [before, id];
      shapes.set(key, id);
    }
  }
  return null;
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
const placeWords = (at: Vector | null, metres: number): string =>
  at ? `model ${at.map((one, i) => `${'xyz'[i]} ${(one * metres).toFixed(2)}`).join(' ')} m` : '';
