import { phrase, q } from '../../calc/work';
import { hoistBracket } from '../../handling/bracket.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { namesPerson } from '../../document/records';
import { missingCheck, ratioCheck, said, sourced, told, traced } from '../../verdict/build';
import type { Ground, Of } from './ground';

/**
 * A hoist on the arm of a post that two lashings hold upright: what each of them takes, what stands behind them, and the foot of the post.
 */
export function armChecks({ context, share, load, at }: Ground, hoist: Of<'hoist'>): Check[] {
  const { arm } = hoist;
  if (!arm) return [];
  const { rules } = context;
  const what = hoist.hangsFrom.trim() || `the post of ${hoist.name}`;
  const hung = share.most * rules.value('dynamicFactor') + (hoist.own ?? 0) * GRAVITY;
  const lashing = at('raise.lashing', hoistBracket, sourced(hoistBracket.source.text, rules, 'dynamicFactor', 'strengthCaution'));
  const checks: Check[] = [];
  if (hoist.own === null || arm.reach === null || arm.apart === null || arm.lashingCarries === null)
    checks.push(
      missingCheck(
        lashing,
        'force',
        hoist.own === null
          ? `What does ${hoist.name} itself weigh, with its chain? ${what} carries it too.`
          : arm.reach === null
            ? `How far out from ${what} does ${hoist.name} hang?`
            : arm.apart === null
              ? `How far apart are the two lashings of ${what}?`
              : `What may one lashing of ${what} carry, and what it is lashed to?`,
        share.traces,
      ),
    );
  else {
    const { outcome, traces } = traced(hoistBracket, { load: hung, arm: arm.reach, lashingSpacing: arm.apart });
    checks.push(
      outcome.ok
        ? ratioCheck(
            lashing,
            { demand: outcome.output.lashing, capacity: arm.lashingCarries, quantity: 'force', caution: rules.value('strengthCaution') },
            told(
              phrase`With ${load.name} on its arm ${what} pulls ${q(outcome.output.lashing, 'force')} at each lashing, one way at the top and the other at the bottom; one carries ${q(arm.lashingCarries, 'force')}.`,
            ),
            [...share.traces, ...traces],
          )
        : missingCheck(lashing, 'force', outcome.error),
    );
  }
  const behind = at('raise.tieBack', hoistBracket, 'Common practice: a scaffold or a wall is not tied to before somebody has worked out that it holds');
  if (!namesPerson(arm.designedBy))
    checks.push(missingCheck(behind, 'count', `${what} pulls sideways at what it is lashed to. Who worked out that this holds? A scaffold is pulled over.`));
  else checks.push(said(behind, phrase`What ${what} is lashed to was worked out by ${arm.designedBy.trim()}.`));
  const foot = at('raise.postFoot', hoistBracket, sourced('Statics; whoever says what is under the post may carry', rules, 'dynamicFactor', 'strengthCaution'));
  if (arm.own === null || arm.footCarries === null)
    checks.push(
      missingCheck(foot, 'force', arm.own === null ? `What does ${what} itself weigh?` : `What may the foot of ${what} stand with, on what is under it?`),
    );
  else {
    const under = hung + arm.own * GRAVITY;
    checks.push(
      ratioCheck(
        foot,
        { demand: under, capacity: arm.footCarries, quantity: 'force', caution: rules.value('strengthCaution') },
        told(phrase`The foot of ${what} stands with ${q(under, 'force')}, itself counted; what is under it carries ${q(arm.footCarries, 'force')}.`),
        share.traces,
      ),
    );
  }
  return checks;
}
