import { phrase, q } from '../../calc/work';
import { liftingBeam } from '../../rigging/lifting-beam.calc';
import { slingRating } from '../../rigging/sling-rating.calc';
import { spreader } from '../../rigging/spreader.calc';
import { underBar } from '../../rigging/under-bar.calc';
import { findSection } from '../../steel/sections';
import { yieldOf } from '../../steel/grades';
import { columnAisc } from '../../strength/column-aisc.calc';
import { columnEn } from '../../strength/column-en.calc';
import { combined } from '../../strength/combined.calc';
import type { Check } from '../../verdict/check';
import { rigWords } from '../../document/things/rig';
import type { Bar, Hanging } from '../../settle/hanging';
import { Missing } from '../../verdict/missing';
import type { Context, PickContext } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, type Place } from '../../verdict/build';
import { bendingCapacity } from '../../settle/section-strength';

type At = (id: string, calc: string, source: string) => Place;

/** A spreader or lifting beam: what hangs on it, the slings above and below it, and its own steel where somebody says what it is made of. */
export function barChecks(context: Context, { pick, piece }: PickContext, { bar, trace }: Hanging, at: At): Check[] {
  const { rig } = pick;
  if (!bar || !rig || rig.kind === 'legs') return [];
  const { rules } = context;
  const name = rig.name.trim() || `the ${rigWords[rig.kind]} of ${piece.mark}`;
  const whole = rig.kind === 'spreader' ? spreader : liftingBeam;
  const dynamicFactor = rules.value('dynamicFactor');
  const rated = (
    place: Place,
    tension: number,
    rating: number | null,
    question: string,
    words: (demand: number, capacity: number) => ReturnType<typeof phrase>,
  ) => {
    if (rating === null) return missingCheck(place, 'force', question, [trace]);
    const { outcome, traces } = traced(slingRating, { tension, dynamicFactor, rating });
    if (!outcome.ok) return missingCheck(place, 'force', outcome.error);
    const { demand, capacity } = outcome.output;
    const caution = rules.value('slingCaution');
    return ratioCheck(place, { demand, capacity, quantity: 'force', caution }, told(words(demand, capacity)), [trace, ...bar.traces, ...traces]);
  };
  const checks: Check[] = [
    rated(
      at('rigging.bar', slingRating.id, sourced(whole.source.text, rules, 'dynamicFactor', 'slingCaution')),
      bar.load,
      rig.rating,
      `What may ${name} carry? Read its plate.`,
      (demand, capacity) =>
        phrase`${capital(name)} carries ${q(demand, 'force')} with the dynamic factor ${q(dynamicFactor, 'factor')}; its plate says ${q(capacity, 'force')}.`,
    ),
    ratioCheck(
      at('rigging.plumb', underBar.id, sourced('Geometry of the slings', rules, 'slingPlumb')),
      { demand: bar.outOfPlumb, capacity: rules.value('slingPlumb'), quantity: 'angle', caution: null, inclusive: true },
      told(
        phrase`The slings under ${name} hang ${q(bar.outOfPlumb, 'angle')} out of plumb; ${q(rules.value('slingPlumb'), 'angle')} may be. It is ${q(bar.length, 'length')} long; the picks should be as far apart.`,
      ),
      [trace],
    ),
  ];
  const { top } = bar;
  if (top && rig.kind === 'spreader') {
    const leastDeg = rules.value('slingLeastAngle');
    checks.push(
      rated(
        at('rigging.top', slingRating.id, sourced(spreader.source.text, rules, 'dynamicFactor', 'slingCaution')),
        top.tension,
        rig.topRating,
        `What is one of the two slings above ${name} rated for? Read its tag.`,
        (demand, capacity) =>
          phrase`Each sling above ${name} carries ${q(demand, 'force')} with the dynamic factor ${q(dynamicFactor, 'factor')}; it is good for ${q(capacity, 'force')}.`,
      ),
      ratioCheck(
        at('rigging.topAngle', spreader.id, sourced(spreader.source.text, rules, 'slingLeastAngle', 'slingCautionAngle')),
        { demand: leastDeg, capacity: top.angleDeg, quantity: 'angle', caution: leastDeg / rules.value('slingCautionAngle'), inclusive: true },
        told(
          phrase`The slings above ${name} lie at ${q(top.angleDeg, 'angle')}; no less than ${q(leastDeg, 'angle')} may be. They press it with ${q(bar.compression, 'force')}.`,
        ),
        bar.traces,
      ),
    );
  }
  return [...checks, ...steelOf(context, rig, name, bar, at)];
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** The steel of the bar itself, free to buckle from end to end. */
function steelOf(
  { rules }: Context,
  { section: designation, grade, kind }: { section: string; grade: string; kind: 'spreader' | 'beam' },
  name: string,
  bar: Bar,
  at: At,
): Check[] {
  if (designation.trim() === '') return [];
  const american = rules.id === 'us-asd';
  const factor = rules.value('dynamicFactor') * rules.value('loadFactor');
  const place = at('rigging.barSteel', combined.id, sourced(combined.source.text, rules, 'dynamicFactor', 'loadFactor', 'strengthCaution'));
  const section = findSection(designation);
  if (!section) return [missingCheck(place, 'moment', `“${designation}” is not in the section tables. What is ${name} made of?`)];
  const fy = yieldOf(grade, section.flange);
  if (fy === null) return [missingCheck(place, 'moment', `Of what grade is ${name}?`)];
  const bending = bendingCapacity(section, fy, rules, { length: bar.length, factor: 1 });
  if (bending instanceof Missing) return [missingCheck(place, 'moment', bending.questions.join(' '))];
  const column = {
    yield: fy,
    modulus: rules.steel.modulus,
    area: section.area,
    radius: section.rWeak ?? Math.sqrt(section.iWeak / section.area),
    effectiveLength: bar.length,
  };
  const pressed = american ? traced(columnAisc, column) : traced(columnEn, { ...column, curve: 'c', gammaM1: rules.value('gammaM1') });
  if (!pressed.outcome.ok) return [flatStop(place, 'force', told(phrase`${capital(name)}: ${pressed.outcome.error}`), [])];
  const output = pressed.outcome.output;
  const axialCapacity = 'allowable' in output ? output.allowable : output.design;
  const [moment, axial] = [bar.moment * factor, bar.compression * factor];
  const both = traced(combined, { moment, momentCapacity: bending.capacity, axial, axialCapacity, rule: american ? 'aisc' : 'en' });
  if (!both.outcome.ok) return [missingCheck(place, 'moment', both.outcome.error)];
  const { ratio } = both.outcome.output;
  return [
    ratioCheck(
      place,
      { demand: moment, capacity: ratio > 0 ? moment / ratio : bending.capacity, quantity: 'moment', caution: rules.value('strengthCaution'), ratio },
      told(
        phrase`${capital(name)}, ${section.designation}, bends ${q(moment, 'moment')} and is pressed with ${q(axial, 'force')}${kind === 'beam' ? ' on one hook' : ''}: ${q(ratio, 'fraction')} of what it is good for.`,
      ),
      [...bar.traces, ...bending.traces, ...pressed.traces, ...both.traces],
    ),
  ];
}
