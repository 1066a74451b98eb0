import { phrase, q } from '../../calc/work';
import { pocketSize } from '../../fit/pocket.calc';
import { webClear } from '../../fit/web-clear.calc';
import type { Rules } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import { memberSize, type MemberSize } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import type { Member, Opening, Plan } from '../../document/schema';
import { missingCheck, ratioCheck, sourced, told, traced, on } from '../../verdict/build';
import { measurePlace as place } from './measure-place';

/** The packed piece in its pocket or between the joists. */
export function bayChecks(opening: Opening, plan: Plan, rules: Rules): Check[] {
  const member = plan.members.find((one) => one.id === opening.member);
  const size = member ? memberSize(member) : null;
  const where = place('measure.pocket', 'opening', opening, pocketSize, sourced(pocketSize.source.text, rules, 'pocketClearance'));
  if (!member || size === null) return [];
  if (size instanceof Missing) return [missingCheck(where, 'dimension', size.questions.join(' '))];
  const input = {
    width: size.width,
    depth: size.depth,
    packingSides: member.packing.sides,
    packingHeight: member.packing.height,
    clearance: rules.value('pocketClearance'),
  };
  const { outcome, traces } = traced(pocketSize, input);
  if (!outcome.ok) return [missingCheck(where, 'dimension', outcome.error)];
  const { pocketWidth, pocketHeight, packedWidth, packedDepth } = outcome.output;
  const pocket = (
    [
      { way: 'width', room: opening.bay.width, needed: pocketWidth, packed: packedWidth },
      { way: 'height', room: opening.bay.height, needed: pocketHeight, packed: packedDepth },
    ] as const
  ).map(({ way, room, needed, packed }) =>
    room === null
      ? missingCheck(
          { ...where, ...on('opening', opening, `${opening.name}, ${way}`, way) },
          'dimension',
          `What ${way} is there for ${member.mark} at ${opening.name}? Packed it needs a pocket; measure it.`,
        )
      : ratioCheck(
          { ...where, ...on('opening', opening, `${opening.name}, ${way}`, way) },
          { demand: needed, capacity: room, quantity: 'dimension', caution: null, inclusive: true },
          told(phrase`${member.mark} packed is ${q(packed, 'dimension')} in ${way} and needs ${q(needed, 'dimension')}; there is ${q(room, 'dimension')}.`),
          traces,
        ),
  );
  return [...webChecks(member, size), ...pocket];
}

/** What is packed against the web goes in between the fillets, or does not. */
function webChecks(member: Member, size: MemberSize): Check[] {
  if (member.packing.sides === 0 && member.packing.web === null) return [];
  const where = place('measure.web', 'member', { id: member.id, name: member.mark }, webClear);
  if (member.packing.web === null) return [missingCheck(where, 'dimension', `How high is what is packed against the web of ${member.mark}?`)];
  const toFillet = size.section ? size.section.k : member.make.kind === 'girder' ? (size.depth - member.make.webDepth) / 2 : null;
  if (toFillet === null) return [missingCheck(where, 'dimension', `The table has no fillet distance for ${member.mark}. Measure the flat of its web.`)];
  const { outcome, traces } = traced(webClear, { depth: size.depth, toFillet, packing: member.packing.web });
  if (!outcome.ok) return [missingCheck(where, 'dimension', outcome.error)];
  return [
    ratioCheck(
      where,
      { demand: member.packing.web, capacity: outcome.output.clear, quantity: 'dimension', caution: null, inclusive: true },
      told(
        phrase`Packing of ${q(member.packing.web, 'dimension')} lies against the web of ${member.mark}; ${q(outcome.output.clear, 'dimension')} is flat between the fillets.`,
      ),
      traces,
    ),
  ];
}
