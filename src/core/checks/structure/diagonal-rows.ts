import { phrase, q } from '../../calc/work';
import type { SwayStands } from '../../frame/sway-frame';
import { missingCheck } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { bendingCapacity, postCapacity } from '../../settle/section-strength';
import { askedFirst, rated, worstRows, type At, type Rated, type Row } from './frame-rows';
import type { FrameModel } from './frame-model';
import type { Ground } from './ground';
import { about } from './places';

/** AISC 360 D2, Ω of yielding. */
const OMEGA = 1.67;

/** Inclined pieces between two others: what wind and lean pull and press them with, on top of what they bend by themselves. */
export function diagonalRows({ context, caution, latest }: Ground, { diagonals }: FrameModel, answers: readonly SwayStands[], at: At): Row[] {
  const { rules } = context;
  const rows = diagonals.all.flatMap(({ diagonal }, i): Rated[] => {
    const { settled, section, place, pullsOnly } = diagonal;
    const { beam, fy } = settled;
    // At what it yields is asked where it bends.
    if (!(fy > 0)) return [];
    const forces = answers.map(({ braces }) => braces[diagonals.from + i]!);
    const [pull, press] = [Math.max(0, ...forces), Math.max(0, ...forces.map((one) => -one))];
    const yields = (section.area * fy) / (rules.id === 'us-asd' ? OMEGA : rules.value('gammaM1'));
    const post = postCapacity(section, fy, { strong: place.length, weak: place.length }, rules);
    const bending = bendingCapacity(section, fy, rules, { length: place.length, factor: 1 });
    for (const one of pullsOnly ? [bending] : [post, bending])
      if (one instanceof Missing) return [askedFirst(missingCheck(at('diagonal.sway', about('beam', beam, beam.mark)), 'fraction', one.questions.join(' ')))];
    const own = latest.get(beam.id)?.answers?.[rules.id === 'us-asd' ? 'plain' : 'factored'];
    const bends = own?.stable ? own.sagging / (bending as Strength).capacity : 0;
    const buckles = pullsOnly ? Infinity : (post as Strength).capacity;
    const used = Math.max(pull / yields, press / buckles) + bends;
    const numbers = { demand: used, capacity: 1, quantity: 'fraction' as const, caution };
    return [
      rated(
        { id: 'diagonal.sway', kind: 'beam', thing: beam, numbers },
        at,
        () =>
          pullsOnly
            ? phrase`Wind and lean of the frame pull ${beam.mark} with ${q(pull, 'force')} of ${q(yields, 'force')}; with what it bends by itself ${q(used, 'fraction')}. Too slender to be pressed, it holds one way only.`
            : phrase`Wind and lean of the frame pull ${beam.mark} with ${q(pull, 'force')} of ${q(yields, 'force')} and press it with ${q(press, 'force')} of ${q(buckles, 'force')}; with what it bends by itself ${q(used, 'fraction')}.`,
        () => (pullsOnly ? [] : (post as Strength).traces),
      ),
    ];
  });
  return worstRows(rows, caution);
}

type Strength = Exclude<ReturnType<typeof postCapacity>, Missing>;
