import * as WebIFC from 'web-ifc';
import { profileOf, type Profile } from './profile';
import { siOf, type UnitType } from './units';
import { figureOf, kindOf, listOf, refOf, textOf, type Line, type Model } from './model';

/** What is said of an element besides its own line: quantities, properties, material and type. */
export interface Facts {
  length: number | null;
  mass: number | null;
  /** another weight said of it that is as sure: nobody here can tell which is right */
  otherMass: number | null;
  mark: string | null;
  /** its mark is said to be the whole piece’s, plates and all */
  surest: boolean;
  profile: Profile | null;
  grade: string;
  /** what it is of, as the model calls it */
  material: string;
  typeName: string;
}

interface SetFacts {
  length: number | null;
  /** a length among the properties, where no quantity gives one */
  span: number | null;
  masses: Weighed[];
  mark: { text: string; rank: number } | null;
}

/** A weight said of an element; what is left after the holes goes before what was bought. */
interface Weighed {
  mass: number;
  net: boolean;
}

export interface PerUnit {
  metres: number;
  kilograms: number;
}

/** How sure a property is the piece’s mark; null when it is not one. */
function markRank(name: string): number | null {
  const said = name
    .toLowerCase()
    .replace(/[_./-]+/g, ' ')
    .trim();
  if (/^(assembly|piece|erection)\b( \w+)* ?mark$/.test(said)) return 0;
  if (/^mark$/.test(said)) return 1;
  if (/^(assembly|piece|part)( \w+)? (position|pos|number|no)$|^part ?mark$|^position number$/.test(said)) return 2;
  return null;
}

function setFacts(model: Model, set: Line, { metres, kilograms }: PerUnit): SetFacts {
  const facts: SetFacts = { length: null, span: null, masses: [], mark: null };
  // A quantity may have a unit of its own.
  const per = (one: Line, type: UnitType, models: number): number | null => {
    const own = model.line(one.Unit);
    return own ? siOf(model, own, type) : models;
  };
  const heavy = (mass: number, name: string, factor: number | null) => {
    if (factor !== null) facts.masses.push({ mass: mass * factor, net: /^net/.test(name) });
  };
  for (const one of [...model.lines(set.Quantities), ...model.lines(set.HasProperties)]) {
    const name = textOf(one.Name).toLowerCase().replace(/\s+/g, '');
    const long = figureOf(one.LengthValue);
    const longUnit = per(one, 'LENGTHUNIT', metres);
    if (long !== null && longUnit !== null && name === 'length') facts.length = long * longUnit;
    const weight = figureOf(one.WeightValue);
    if (weight !== null) heavy(weight, name, per(one, 'MASSUNIT', kilograms));
    const value = one.NominalValue;
    const rank = markRank(textOf(one.Name));
    const text = textOf(value);
    if (rank !== null && text !== '' && (facts.mark === null || rank < facts.mark.rank)) facts.mark = { text, rank };
    const figure = figureOf(value);
    if (figure === null) continue;
    // A property without a measure of its own has no unit to be read in.
    if (/^IFC(POSITIVE)?LENGTHMEASURE$/.test(kindOf(value)) && (name === 'length' || (name === 'span' && facts.span === null))) facts.span = figure * metres;
    if (kindOf(value) === 'IFCMASSMEASURE' && /weight|mass/.test(name)) heavy(figure, name, per(one, 'MASSUNIT', kilograms));
  }
  return facts;
}

const gradeIn = (name: string): string => /(?:^|[^\w])(S ?\d{3}\w*|A ?\d{2,3}(?:-\d+)?|Gr(?:ade)? ?\d+)(?![\w])/i.exec(name)?.[1] ?? '';

/** Profile, grade and name of a material: a profile set, its usage, or a plain name. */
function materialFacts(model: Model, material: Line | null, metres: number): { profile: Profile | null; grade: string; material: string } {
  if (!material) return { profile: null, grade: '', material: '' };
  const set = material.ForProfileSet ? model.line(material.ForProfileSet) : material;
  const inside = [set?.MaterialProfiles, set?.MaterialConstituents, set?.MaterialLayers, set?.Materials, model.line(set?.ForLayerSet)?.MaterialLayers]
    .flatMap((list) => model.lines(list))
    .flatMap((one) => [one, ...model.lines(one.Material)]);
  const called = [material, set, ...inside].flatMap((one) => (one ? [textOf(one.Name), textOf(one.Category)] : [])).filter((text) => text !== '');
  const words = [...new Set(called)].join(', ');
  const first = model.line(listOf(set?.MaterialProfiles)[0]);
  if (!first) return { profile: null, grade: gradeIn(textOf(material.Name)), material: words };
  const profile = profileOf(model, model.line(first.Profile), metres);
  const name = profile?.name || textOf(first.Name);
  return {
    profile: name === '' && !profile ? null : { name, measures: profile?.measures ?? null, size: profile?.size ?? null },
    grade: gradeIn(textOf(model.line(first.Material)?.Name)),
    material: words,
  };
}

/** Everything said of these elements, by their numbers. */
export function factsOf(model: Model, elements: readonly number[], per: PerUnit): Map<number, Facts> {
  const wanted = new Set(elements);
  const marks = new Map<number, number>();
  const spans = new Map<number, number>();
  const masses = new Map<number, Weighed[]>();
  const found = new Map<number, Facts>(
    elements.map((id) => [id, { length: null, mass: null, otherMass: null, mark: null, surest: false, profile: null, grade: '', material: '', typeName: '' }]),
  );
  const sets = new Map<number, SetFacts>();
  const add = (id: number, setRef: unknown) => {
    const number = refOf(setRef);
    const set = model.line(setRef);
    const facts = found.get(id);
    if (number === null || !set || !facts) return;
    const said = sets.get(number) ?? setFacts(model, set, per);
    sets.set(number, said);
    facts.length ??= said.length;
    masses.set(id, [...(masses.get(id) ?? []), ...said.masses]);
    if (said.span !== null && !spans.has(id)) spans.set(id, said.span);
    if (said.mark && said.mark.rank < (marks.get(id) ?? Infinity)) {
      facts.mark = said.mark.text;
      facts.surest = said.mark.rank === 0;
      marks.set(id, said.mark.rank);
    }
  };
  const members = (line: Line | null) => listOf(line?.RelatedObjects).flatMap((one) => refOf(one) ?? []);
  for (const id of model.ids(WebIFC.IFCRELDEFINESBYPROPERTIES)) {
    const line = model.line(id);
    for (const element of members(line)) if (wanted.has(element)) for (const set of listOf(line?.RelatingPropertyDefinition)) add(element, set);
  }
  const byType = new Map<number, number[]>();
  for (const id of model.ids(WebIFC.IFCRELDEFINESBYTYPE)) {
    const line = model.line(id);
    const of = members(line).filter((one) => wanted.has(one));
    const number = refOf(line?.RelatingType);
    if (of.length === 0 || number === null) continue;
    const type = model.line(number);
    byType.set(number, [...(byType.get(number) ?? []), ...of]);
    for (const element of of) {
      const facts = found.get(element);
      if (facts) facts.typeName = textOf(type?.Name);
      for (const set of listOf(type?.HasPropertySets)) add(element, set);
    }
  }
  for (const id of model.ids(WebIFC.IFCRELASSOCIATESMATERIAL)) {
    const line = model.line(id);
    const of = members(line).flatMap((one) => (wanted.has(one) ? [one] : (byType.get(one) ?? [])));
    if (of.length === 0) continue;
    const said = materialFacts(model, model.line(line?.RelatingMaterial), per.metres);
    for (const element of of) {
      const facts = found.get(element);
      if (!facts) continue;
      facts.profile ??= said.profile;
      facts.grade ||= said.grade;
      facts.material = [facts.material, said.material].filter((text) => text !== '').join(', ');
    }
  }
  for (const [id, span] of spans) {
    const facts = found.get(id);
    if (facts) facts.length ??= span;
  }
  for (const [id, list] of masses) {
    const facts = found.get(id);
    const net = list.filter((one) => one.net);
    const [one, ...others] = (net.length > 0 ? net : list).map(({ mass }) => mass);
    if (!facts || one === undefined) continue;
    facts.mass = one;
    facts.otherMass = others.find((other) => Math.abs(other / one - 1) > 0.01) ?? null;
  }
  return found;
}
