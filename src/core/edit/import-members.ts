import type { Unsaid } from '../document/things/unsaid';
import type { Asked, RowFault, SteelRow } from '../steel/lists/rows';
import { findSection } from '../steel/sections';
import type { CommandArguments } from './table';
import { madeOf } from '../document/made-of';
import type { Member, Plan } from '../document/schema';

export interface ImportPreview {
  command: CommandArguments['importMembers'];
  added: string[];
  changed: { mark: string; what: string[] }[];
  same: number;
  faults: RowFault[];
  /** rows whose section no table knows: taken, but their weight stays unknown unless the file gives it */
  unknownSections: string[];
  /** rows whose section a table knows by another name */
  readAs: string[];
}

export const newMember = (id: string, changes: Partial<Member> = {}): Member => ({
  id,
  ...('length' in changes ? {} : { unsaid: ['length'] }),
  mark: '',
  make: { kind: 'section', section: '' },
  length: 1,
  grade: '',
  count: 1,
  packing: { mass: 0, sides: 0, height: 0, web: null },
  attachments: 0,
  stated: { drawing: null, weighed: null },
  use: 'worst',
  cg: null,
  order: null,
  line: '',
  supplier: '',
  place: '',
  stack: null,
  faceUp: '',
  travel: { truck: null, permit: null, on: '' },
  state: 'listed',
  ...changes,
});

/** The same letters and figures, however they are parted: nothing a person has to look at. */
const writesOut = (written: string, designation: string): boolean => bare(written) === bare(designation);
const bare = (text: string): string =>
  text
    .toUpperCase()
    .replace(/[×*]/g, 'X')
    .replace(/[^A-Z\d./]/g, '');

const fieldAsked: Readonly<Record<string, Unsaid>> = { length: 'length', section: 'make', count: 'count' };

/** Marks of whose pieces the file leaves a field open that a plan can hold open: they come in, and the plan asks on. */
function openFields(asked: readonly Asked[]): Map<string, Set<Unsaid>> {
  const open = new Map<string, Set<Unsaid>>();
  for (const { about, marks } of asked) {
    const field = fieldAsked[about];
    if (field) for (const mark of marks ?? []) open.set(mark, (open.get(mark) ?? new Set()).add(field));
  }
  return open;
}

/** A question about named pieces that the plan goes on asking once they are in it. */
export const staysOpen = ({ about, marks }: Asked): boolean => marks !== undefined && (about === 'mass' || about in fieldAsked);

/** What an import would do, before it does it: matched by mark, new ones added, nothing removed. */
export function previewImport(
  plan: Plan,
  rows: readonly SteelRow[],
  faults: readonly RowFault[],
  freshId: (n: number) => string,
  asked: readonly Asked[] = [],
): ImportPreview {
  const open = openFields(asked);
  const byMark = new Map(plan.members.map((member) => [member.mark, member]));
  const preview: ImportPreview = { command: { add: [], change: [] }, added: [], changed: [], same: 0, faults: [...faults], unknownSections: [], readAs: [] };
  rows.forEach((row, n) => {
    const section = findSection(row.section);
    if (!section) preview.unknownSections.push(`${row.mark}: ${row.section}`);
    else if (!writesOut(row.section, section.designation)) preview.readAs.push(`${row.mark}: ${row.section} as ${section.designation}`);
    const designation = section?.designation ?? row.section;
    const unsaid = [...(open.get(row.mark) ?? [])];
    const now = byMark.get(row.mark);
    if (!now) {
      preview.command.add.push(
        newMember(freshId(n), {
          mark: row.mark,
          make: { kind: 'section', section: designation },
          length: row.length > 0 ? row.length : 1,
          ...(unsaid.length > 0 || !(row.length > 0) ? { unsaid: [...new Set([...unsaid, ...(row.length > 0 ? [] : (['length'] as const))])] } : {}),
          grade: row.grade,
          count: row.count,
          stated: { drawing: row.mass, weighed: null },
          order: row.order,
          place: row.place,
        }),
      );
      preview.added.push(row.mark);
      return;
    }
    const changes: Partial<Member> = {};
    const what: string[] = [];
    const put = <K extends keyof Member>(key: K, value: Member[K], differs: boolean, name: string) => {
      if (!differs || (unsaid as string[]).includes(key)) return;
      changes[key] = value;
      what.push(name);
    };
    // Plates, parts and plain weights go out by what they are called, and come back as they were.
    const sameMake = now.make.kind === 'section' ? now.make.section === designation : row.section === madeOf(now);
    put('make', { kind: 'section', section: designation }, !sameMake, 'section');
    put('length', row.length, Math.abs(now.length - row.length) > 1e-6, 'length');
    put('grade', row.grade, row.grade !== '' && now.grade !== row.grade, 'grade');
    put('count', row.count, now.count !== row.count, 'count');
    put(
      'stated',
      { ...now.stated, drawing: row.mass },
      row.mass !== null && (now.stated.drawing === null || Math.abs(now.stated.drawing - row.mass) > 1e-6),
      'weight by drawing',
    );
    put('order', row.order, row.order !== null && now.order !== row.order, 'order');
    put('place', row.place, row.place !== '' && now.place !== row.place, 'place');
    if (what.length === 0) preview.same += 1;
    else {
      preview.command.change.push({ id: now.id, changes });
      preview.changed.push({ mark: row.mark, what });
    }
  });
  return preview;
}
