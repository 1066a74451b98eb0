import type { WayPlan } from '../../document/views';
import { simpleSpanAt } from '../../beams/simple-span.calc';
import type { Rules } from '../../rules/rule-sets';
import { boltEn } from '../../strength/bolt-en.calc';
import { nominalStress } from '../../strength/bolt-grades';
import { boltShearAisc } from '../../strength/bolt-shear-aisc.calc';
import { boltTensionAisc } from '../../strength/bolt-tension-aisc.calc';
import { splice } from '../../strength/splice.calc';
import { Missing } from '../../verdict/missing';
import { carriedOf, serviceBeam } from '../../settle/way-pieces';
import { traced } from '../../verdict/build';
import type { Derived } from './derived';
import type { SettledPlan } from '../../settle/settle';

/** Bolts for each splice; final design by the engineer. */
export function spliceFigures(plan: WayPlan<SettledPlan>, rules: Rules): (Derived & { splice: number })[] {
  const carried = carriedOf(plan, rules);
  if (carried instanceof Missing || carried.pieces.length < 2 || !carried.weight.size?.section) return [];
  const { section } = carried.weight.size;
  const beam = serviceBeam(carried, rules);
  if (!beam.known) return [];
  const { kind, diameter, grade } = plan.wayIn.splice;
  const european = rules.id === 'eu-ls';
  const bolt = european
    ? traced(boltEn, { diameter, grade, planes: 1, gammaM2: rules.value('gammaM2') })
    : (() => {
        const shear = traced(boltShearAisc, { diameter, nominalStress: nominalStress[grade].shear, planes: 1 });
        const tension = traced(boltTensionAisc, { diameter, nominalStress: nominalStress[grade].tension });
        if (!shear.outcome.ok || !tension.outcome.ok) return { outcome: shear.outcome as { ok: false; error: string; path: string }, traces: [] };
        return {
          outcome: { ok: true as const, output: { shear: shear.outcome.output.allowable, tension: tension.outcome.output.allowable } },
          traces: [...shear.traces, ...tension.traces],
        };
      })();
  if (!bolt.outcome.ok) return [];
  const { shear: boltShear, tension: boltTension } = bolt.outcome.output;
  return carried.pieces.slice(1).flatMap((piece, i) => {
    const x = Math.min(Math.max(piece.from - beam.leftOverhang, 0), beam.span);
    const at = simpleSpanAt(beam, x);
    const sized = traced(splice, {
      kind,
      moment: Math.max(0, at.moment),
      shear: Math.abs(at.shear),
      depth: section.depth,
      flange: section.flange,
      boltShear,
      boltTension,
      prying: rules.value('prying'),
    });
    if (!sized.outcome.ok) return [];
    return [
      {
        id: 'splice',
        splice: i,
        subject: plan.ways.length > 1 ? `splice ${i + 1} of ${carried.member.mark}` : `splice ${i + 1}`,
        title: 'Bolts to bring; final design by the engineer',
        value: sized.outcome.output.perJoint,
        kind: 'count' as const,
        traces: [...bolt.traces, ...sized.traces],
      },
    ];
  });
}
