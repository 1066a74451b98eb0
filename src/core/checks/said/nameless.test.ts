import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../../tests/demo-plan';
import { describe as words } from '../../verdict/describe';
import type { Plan } from '../../document/schema';

const asked = (plan: Plan): string[] =>
  evaluated(plan, '2026-11-28')
    .checks.filter(({ id }) => id === 'said.name')
    .map((check) => `${check.verdict} ${check.about.kind} ${check.about.id}: ${words(check, 'metric')}`);

test.each<[string, () => Plan, (plan: Plan) => unknown, RegExp]>([
  ['a bearing', demoPlan, (p) => (p.bearings[1]!.name = ''), /^missing bearing p2: There is a bearing with no name\. What is written on it/],
  ['a piece on bearings', demoPlan, (p) => (p.pieces[0]!.mark = ' '), /^missing piece .*a piece with no name/],
  ['a crane', demoPlan, (p) => (p.cranes[0]!.name = 'tbd'), /^missing crane .*a crane with no name but “tbd”/],
  ['a stand', demoPlan, (p) => (p.stands[0]!.name = '-'), /^missing stand .*a stand with no name but “-”/],
  ['a link', ticketHall, (p) => (p.links[3]!.name = ''), /^missing link soilA/],
  ['a shore', ticketHall, (p) => (p.shoring.lines[0]!.walls[2]!.name = ''), /^missing shore .*a shore with no name/],
  ['a thing in the way', ticketHall, (p) => (p.site.obstructions[1]!.name = ''), /^missing obstruction/],
  ['a pit', demoPlan, (p) => (p.site.zones![0]!.name = ''), /^missing zone z-duct/],
  ['a power line', demoPlan, (p) => (p.site.powerLines[0]!.name = ''), /^missing powerLine l1/],
  ['a make', vehicleRamp, (p) => (p.structure.makes[1]!.mark = ''), /^missing make/],
  ['a piece of the structure', vehicleRamp, (p) => (p.structure.pieces[2]!.mark = '?'), /^missing beam .*but “\?”/],
  ['a support', quayFootbridge, (p) => (p.structure.supports[2]!.name = ''), /^missing support/],
  ['a joint', quayFootbridge, (p) => (p.structure.joints[1]!.name = ''), /^missing joint/],
  ['a thing of the yard', quayFootbridge, (p) => (p.yard![0]!.name = ''), /^missing yard .*a thing of the yard with no name/],
  ['a mark of the list', ticketHall, (p) => (p.members[2]!.mark = ''), /^missing member .*a piece of the list with no name/],
  ['an opening', ticketHall, (p) => (p.survey.openings[0]!.name = ''), /^missing opening/],
  ['a bolt pattern', ticketHall, (p) => (p.survey.patterns[0]!.name = ''), /^missing pattern/],
  ['a leg of the way in', ticketHall, (p) => (p.ways[0]!.legs[3]!.name = ''), /^missing leg/],
  ['a brace', quayFootbridge, (p) => (p.structure.braces[1]!.name = 'x'), /^missing brace .*but “x”/],
])('%s with no name is asked for one, and nothing else is', (_name, make, edit, sentence) => {
  const plan = make();
  edit(plan);
  expect(asked(plan)).toEqual([expect.stringMatching(sentence)]);
});

test('in the demo jobs everything has a name', () => {
  for (const make of [demoPlan, ticketHall, quayFootbridge, vehicleRamp, passengerCanopy]) expect(asked(make())).toEqual([]);
});
