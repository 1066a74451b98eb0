import Papa from 'papaparse';
import { rulesOf } from '../rules/rule-sets';
import { formatPlain, shownIn } from '../units';
import { madeOf } from '../document/made-of';
import { memberWeight } from '../settle/member-weight';
import { Missing } from '../verdict/missing';
import type { Plan } from '../document/schema';

/** The piece list as CSV that reads back through the import. */
export function membersCsv(plan: Plan): string {
  const { units } = plan.job;
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const mass = shownIn.mass[units].symbol;
  const rows = plan.members.map((member) => {
    const weight = memberWeight(member, rules);
    const known = weight instanceof Missing ? null : weight;
    return {
      Mark: member.mark,
      Section: madeOf(member),
      [`Length (${shownIn.length[units].symbol})`]: formatPlain(member.length, 'length', units),
      Count: member.count,
      Grade: member.grade,
      [`Weight of one (${mass})`]: formatPlain(member.stated.drawing, 'mass', units),
      [`Lifted weight (${mass})`]: known ? formatPlain(known.lifted, 'mass', units) : 'not known',
      Order: member.order ?? '',
      Line: member.line,
      Supplier: member.supplier,
      Place: member.place,
      State: member.state,
    };
  });
  // A mark like “=1+1” leaves as text: a spreadsheet would work it out.
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true });
}
