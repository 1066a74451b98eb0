import { phrase, q } from '../../calc/work';
import { twoPlaces } from '../../handling/two-places.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { saysSomething } from '../../document/records';
import { flatStop, missingCheck, ratioCheck, sourced, told } from '../../verdict/build';
import { tagged } from '../gear/tagged';
import { PRACTICE, type Ground, type Of } from './ground';
import { armChecks } from './arm';
import { holdfastOf, stands } from './holdfast';

/** A hoist: its rating, head room and travel, how straight it pulls, and what it hangs from. */
export function hoistChecks(ground: Ground, hoist: Of<'hoist'>): Check[] {
  const { context, raise, load, share, moment, at } = ground;
  const { plan, rules } = context;
  const dynamic = rules.value('dynamicFactor');
  const checks: Check[] = [];
  const rating = at('raise.share', twoPlaces, sourced(PRACTICE, rules, 'dynamicFactor', 'contactCaution'));
  const mass = (share.most * dynamic) / GRAVITY;
  checks.push(
    hoist.rating === null
      ? missingCheck(rating, 'mass', `What is ${hoist.name} rated for? Read its tag.`, share.traces)
      : ratioCheck(
          rating,
          { demand: mass, capacity: hoist.rating, quantity: 'mass', caution: rules.value('contactCaution') },
          told(
            phrase`${hoist.name} comes to pull ${q(mass, 'mass')} of ${load.name} with the dynamic factor ${q(dynamic, 'factor')}; it is rated ${q(hoist.rating, 'mass')}.`,
          ),
          share.traces,
        ),
  );
  const head = at('raise.headRoom', twoPlaces, 'Geometry');
  if (hoist.hangsAt === null || hoist.closed === null || hoist.sling === null || load.depth === null || load.level === null)
    checks.push(
      missingCheck(
        head,
        'length',
        hoist.hangsAt === null
          ? `At which level does ${hoist.name} hang?`
          : hoist.closed === null
            ? `How long is ${hoist.name} from what it hangs on to its hook run right up?`
            : hoist.sling === null
              ? `How far is it from the hook of ${hoist.name} to the top of ${load.name}?`
              : `How deep is ${load.name}, and at which level are its seats?`,
      ),
    );
  else {
    const needed = load.level + load.depth + hoist.sling + hoist.closed;
    checks.push(
      ratioCheck(
        head,
        { demand: needed, capacity: hoist.hangsAt, quantity: 'length', caution: null, inclusive: true },
        told(
          phrase`With its hook right up ${hoist.name} sets ${load.name} only if it hangs ${q(needed, 'length')} up; it hangs at ${q(hoist.hangsAt, 'length')}.`,
        ),
        [],
      ),
    );
  }
  const travel = at('raise.travel', twoPlaces, 'Geometry');
  if (hoist.travel === null || raise.lies === null || load.level === null)
    checks.push(
      missingCheck(
        travel,
        'length',
        hoist.travel === null ? `How far does the hook of ${hoist.name} travel?` : `At which level does ${load.name} lie before it is raised?`,
      ),
    );
  else {
    const rise = Math.max(0, load.level - raise.lies);
    checks.push(
      ratioCheck(
        travel,
        { demand: rise, capacity: hoist.travel, quantity: 'length', caution: null, inclusive: true },
        told(phrase`${load.name} rises ${q(rise, 'length')}; the hook of ${hoist.name} travels ${q(hoist.travel, 'length')}.`),
        [],
      ),
    );
  }
  const side = at('raise.side', twoPlaces, sourced('Common practice: a hoist pulls straight', rules, 'hoistSide'));
  const most = rules.value('hoistSide');
  checks.push(
    hoist.sideDeg === null
      ? missingCheck(side, 'angle', `How far out of plumb does ${hoist.name} pull at the worst, by angle?`)
      : ratioCheck(
          side,
          { demand: hoist.sideDeg, capacity: most, quantity: 'angle', caution: null, inclusive: true },
          told(phrase`${hoist.name} pulls ${q(hoist.sideDeg, 'angle')} out of plumb; ${q(most, 'angle')} may be. Move what it hangs from over the load.`),
          [],
        ),
  );
  // What hangs over the hoist carries it too; what is under its hook carries the load.
  for (const kind of ['slings', 'shackles', 'trolley', 'post', 'clamp', 'other'] as const)
    checks.push(
      ...tagged(plan, rules, raise.gear ?? [], kind, {
        force: share.most * dynamic + (kind === 'slings' ? 0 : (hoist.own ?? 0) * GRAVITY),
        of: `${hoist.name}, ${load.name}`,
        caution: 'contactCaution',
        place: at('raise.tag', twoPlaces, sourced(PRACTICE, rules, 'dynamicFactor', 'contactCaution'), `${hoist.id} ${kind}`),
        traces: share.traces,
      }),
    );
  // An arm on a post carries by its lashings and its foot.
  if (hoist.arm) return [...checks, ...armChecks(ground, hoist)];
  const hung = share.most * dynamic + (hoist.own ?? 0) * GRAVITY;
  const from = at('raise.hangsFrom', twoPlaces, sourced('Statics; whoever says what it may carry', rules, 'dynamicFactor', 'strengthCaution'));
  const holdfast = hoist.hangsOn ? holdfastOf(plan, hoist.hangsOn) : null;
  const what = holdfast?.name ?? hoist.hangsFrom.trim();
  if (holdfast && !stands(plan, moment, hoist.hangsOn!))
    checks.push(
      flatStop(
        at('raise.stands', twoPlaces, 'Common practice: a hoist hangs from what stands'),
        'force',
        told(
          phrase`${hoist.name} hangs from ${what}, which does not stand when ${load.name} is raised. Hang it from what stands, or raise it while that does.`,
        ),
        [],
      ),
    );
  if (!saysSomething(what)) checks.push(missingCheck(from, 'force', `What does ${hoist.name} hang from?`));
  else if (hoist.own === null) checks.push(missingCheck(from, 'force', `What does ${hoist.name} itself weigh, with its chain? ${what} carries it too.`));
  else if (hoist.carries === null) checks.push(missingCheck(from, 'force', `What may ${what} carry where ${hoist.name} hangs, and who says so?`));
  else
    checks.push(
      ratioCheck(
        from,
        { demand: hung, capacity: hoist.carries, quantity: 'force', caution: rules.value('strengthCaution') },
        told(phrase`${hoist.name} hangs from ${what} with ${q(hung, 'force')}, itself counted; that carries ${q(hoist.carries, 'force')}.`),
        share.traces,
      ),
    );
  return checks;
}
