import { phrase, q } from '../../calc/work';
import { findSection } from '../../steel/sections';
import { weightTruth } from '../../steel/weight-truth.calc';
import type { Check } from '../../verdict/check';
import { memberSize } from '../../settle/member-weight';
import { Missing } from '../../verdict/missing';
import type { Member } from '../../document/schema';
import type { Context } from '../context';
import { missingCheck, on, sourced, told } from '../../verdict/build';

/** A mark that stands in the piece list and on a hook is one thing: what the two say of it must be the same, or somebody says which is right. */
export function twoListChecks({ plan, rules }: Context): Check[] {
  const allowed = rules.value('statementDifference');
  const apart = (a: number, b: number): boolean => Math.abs(a - b) > allowed * Math.max(a, b, 1);
  return plan.pieces.flatMap((piece) =>
    plan.members
      .filter((member) => sameMark(member.mark, piece.mark))
      .flatMap((member): Check[] => {
        const differs: ReturnType<typeof phrase>[] = [];
        const [listed, lifted] = [sectionOf(member), findSection(piece.section)?.designation ?? piece.section];
        if (listed !== lifted) differs.push(phrase`${listed ?? 'another make'} in the list and ${lifted} on the hook`);
        if (Math.abs(member.length - piece.length) > rules.value('lengthDifference'))
          differs.push(phrase`${q(member.length, 'length')} long in the list and ${q(piece.length, 'length')} on the hook`);
        if (member.grade.trim() !== '' && piece.grade.trim() !== '' && bare(member.grade) !== bare(piece.grade))
          differs.push(phrase`${member.grade} in the list and ${piece.grade} on the hook`);
        const packed = piece.packing.reduce((sum, one) => sum + one.massPerLength * (one.to - one.from), 0);
        if (apart(member.packing.mass, packed))
          differs.push(phrase`${q(member.packing.mass, 'mass')} of packing in the list and ${q(packed, 'mass')} on the hook`);
        const hung = piece.attachments.reduce((sum, one) => sum + one.mass, 0);
        if (apart(member.attachments, hung)) differs.push(phrase`${q(member.attachments, 'mass')} bolted on in the list and ${q(hung, 'mass')} on the hook`);
        for (const [said, own] of [
          ['drawing', piece.stated.mass],
          ['weighed', piece.stated.weighed ?? null],
        ] as const) {
          const other = member.stated[said];
          if (other !== null && own !== null && apart(other, own))
            differs.push(phrase`${said === 'drawing' ? 'by drawing' : 'weighed at'} ${q(other, 'mass')} in the list and ${q(own, 'mass')} on the hook`);
        }
        if (differs.length === 0) return [];
        const words = differs.flatMap((one, i) => [...(i === 0 ? [] : ['; ']), ...one]);
        return [
          {
            ...missingCheck(
              {
                id: 'steel.twoLists',
                ...on('piece', piece, piece.mark, member.id),
                station: 'steel',
                move: null,
                calc: weightTruth.id,
                source: sourced('Two statements of one thing; common practice', rules, 'statementDifference', 'lengthDifference'),
              },
              'mass',
              '',
            ),
            finding: told([...phrase`${piece.mark} is `, ...words, '. Which is right?']),
          },
        ];
      }),
  );
}

const bare = (text: string): string => text.toUpperCase().replace(/[^A-Z\d]/g, '');
const sameMark = (a: string, b: string): boolean => a.trim() !== '' && bare(a) === bare(b);

function sectionOf(member: Member): string | null {
  const size = memberSize(member);
  return size instanceof Missing ? (member.make.kind === 'section' ? member.make.section : null) : (size?.section?.designation ?? null);
}
