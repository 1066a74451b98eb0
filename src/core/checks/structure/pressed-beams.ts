import { phrase, q } from '../../calc/work';
import type { SwayStands } from '../../frame/sway-frame';
import { missingCheck } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import { heldOf } from '../../replay/held';
import type { StructureMoment } from '../../replay/moment';
import { bendingCapacity } from '../../settle/section-strength';
import { askedFirst, rated, worstRows, type At, type Rated, type Row } from './frame-rows';
import type { FrameModel } from './frame-model';
import type { Ground } from './ground';
import { about } from './places';
import { bendsBy, betweenRests, sharesOf, type Between } from './rests';

/** Less than this brought by the wind is none [N]. */
const NOTHING = 1;
/** What presses a beam nearer together than this presses it at one place [m]. */
const ONE_PLACE = 0.3;

/** A place on a beam, and what each wind presses it down with there [N]. */
export interface Pressed {
  piece: string;
  between: Between;
  down: number[];
}

/** Where wind and lean press beams between their rests: by columns that stand on them, and by braces and diagonals fixed to them. */
export function pressedPlaces(ground: Ground, model: FrameModel, answers: readonly SwayStands[], drags: readonly (readonly number[])[]): Pressed[] {
  const places: Pressed[] = [];
  const add = (piece: string, at: number, down: number[]) => {
    const between = betweenRests(ground, piece, at);
    if (!between) return;
    const same = places.find((one) => one.between.line === between.line && Math.abs(one.between.x - between.x) < ONE_PLACE);
    if (same) down.forEach((force, wind) => (same.down[wind]! += force));
    else places.push({ piece, between, down });
  };
  model.stacks.forEach(({ on }, s) => {
    if ('joint' in on)
      add(
        on.joint.b.piece,
        on.joint.b.at,
        drags[s]!.map((one) => -one),
      );
  });
  for (const { piece, at, brace, up } of model.presses)
    add(
      piece,
      at,
      answers.map((one) => -up * one.braces[brace]!),
    );
  return places.filter(({ down }) => Math.max(...down.map(Math.abs)) > NOTHING);
}

/** What that brings onto the joints and seats of those beams, at the most [N]. */
export function ontoRests(places: readonly Pressed[]): { key: string; force: number }[] {
  return places.flatMap(({ between, down }) => {
    const most = Math.max(...down.map(Math.abs));
    return sharesOf(between).map(({ key, share }) => ({ key, force: most * share }));
  });
}

/** Beams bent by it on top of what lies on them. */
export function pressedRows(ground: Ground, places: readonly Pressed[], moment: StructureMoment, at: At): Row[] {
  const { context, beams, by, caution } = ground;
  const { rules } = context;
  const pieces = [...new Set(places.map(({ piece }) => piece))];
  const rows = pieces.flatMap((id): Rated[] => {
    const { line } = places.find(({ piece }) => piece === id)!.between;
    const { beam, section, fy } = beams.get(id)!;
    const answer = line.answers?.[rules.id === 'us-asd' ? 'plain' : 'factored'];
    const feels = answer?.stable ? answer.pieces.get(id) : undefined;
    if (!feels || section instanceof Missing || !(fy > 0)) return [];
    const own = places.filter(({ between }) => between.line === line);
    // Places that are pressed up and places that are pressed down at once are taken to bend it alike.
    const winds = own[0]!.down.map((_, wind) => ({
      force: own.reduce((sum, { down }) => sum + Math.abs(down[wind]!), 0),
      bends: own.reduce((sum, { between, down }) => sum + Math.abs(down[wind]!) * bendsBy(between), 0),
    }));
    const most = winds.reduce((worst, one) => (one.bends > worst.bends ? one : worst));
    if (!(most.bends > NOTHING)) return [];
    const free = heldOf(line, moment, by).get(id)?.free ?? line.spans.at(-1)!.to;
    const strength = bendingCapacity(section, fy, rules, { length: free, factor: 1 });
    if (strength instanceof Missing)
      return [askedFirst(missingCheck(at('beam.ridden', about('beam', beam, beam.mark)), 'moment', strength.questions.join(' ')))];
    const lies = Math.max(feels.sagging, feels.hogging);
    const numbers = { demand: lies + most.bends, capacity: strength.capacity, quantity: 'moment' as const, caution };
    return [
      rated(
        { id: 'beam.ridden', kind: 'beam', thing: beam, numbers },
        at,
        () =>
          phrase`In the wind what stands on ${beam.mark} or is braced to it presses it with up to ${q(most.force, 'force')} more: that bends it ${q(most.bends, 'moment')} over the ${q(lies, 'moment')} of what lies on it; it is good for ${q(strength.capacity, 'moment')}.`,
        () => strength.traces,
      ),
    ];
  });
  return worstRows(rows, caution);
}
