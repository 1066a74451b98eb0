import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import type { LiftPath } from '../../settle/lift-path';
import type { PieceWeight } from '../../settle/piece-weight';
import { namesSomebody } from '../../document/records';
import { driftOf } from './wind-on-load';
import type { Context, PickContext } from '../context';
import { missingCheck, ratioCheck, told, type Place } from '../../verdict/build';

/** How far the forecast gust pushes the load, which its way is kept wider by, and who holds its tag lines against that. */
export function tagChecks({ plan, rules }: Context, picked: PickContext, path: LiftPath, weight: PieceWeight, place: Place): Check[] {
  const { drawn, piece, hook } = picked;
  const pushed = driftOf(plan, picked, path, weight, rules);
  const drift: Check[] = pushed
    ? [
        plain(
          place,
          'clear',
          phrase`In the forecast gust ${piece.mark} is pushed with ${q(pushed.force, 'force')} and hangs up to ${q(pushed.drift, 'length')} out of plumb: what lies so near its way counts as passed over.`,
          [pushed.trace],
        ),
      ]
    : [];
  if (hook === 'second') return drift;
  const at: Place = {
    ...place,
    id: 'pick.tags',
    station: 'picks',
    source: '29 CFR 1926.1417(w), from memory: tag lines wherever a load could turn and hurt somebody',
  };
  const { tags } = drawn;
  const asked = (question: string) => [...drift, missingCheck(at, 'count', question)];
  if (!tags) return asked(`How many tag lines has ${piece.mark}, and who holds them?`);
  const by = tags.by.trim();
  if (tags.lines === 0)
    return [
      ...drift,
      plain(at, 'tight', phrase`${piece.mark} has no tag line: nobody on the ground keeps it from turning. Keep everybody out of the reach of its ends.`, []),
    ];
  if (!namesSomebody(by)) return asked(`Who holds the ${tags.lines === 1 ? 'tag line' : `${tags.lines} tag lines`} of ${piece.mark}?`);
  const each = pushed ? phrase` The forecast gust pulls ${q(pushed.force / tags.lines, 'force')} at each.` : [];
  return [
    ...drift,
    plain(at, 'clear', [...phrase`${String(tags.lines)} tag line${tags.lines === 1 ? '' : 's'} on ${piece.mark}, held by ${by}.`, ...each], []),
  ];
}

function plain(place: Place, verdict: 'clear' | 'tight', words: ReturnType<typeof phrase>, traces: Check['traces']): Check {
  const row = ratioCheck(place, { demand: 0, capacity: 1, quantity: 'count', caution: null }, told(words), traces);
  return { ...row, demand: null, capacity: null, ratio: null, verdict };
}
