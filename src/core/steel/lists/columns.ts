import { findSection } from '../sections';
import type { Columns, TableField } from './headings';
import type { Asked, Choice } from './rows';
import { weightWords } from './weight-words';

/** How surely a heading says what its column is: of two, the surer; the more general goes to nobody while there is a surer one. */
const strengths: Partial<Record<TableField, readonly (readonly [number, RegExp])[]>> = {
  mark: [
    [3, /^(piece|assembly|erection|ship(ping)?)?\W*mark(e|s)?$|^(marca|merk|rep[eè]re)$/i],
    [2, /^(assembly|part|piece|tag|bauteil|element|id)\b/i],
    [1, /^(pos|position|item|member|name|no|nr|nb|number|#)\b/i],
  ],
  section: [
    [3, /^(section|profile?|profil[eé]|profilo|profiel|perfil|querschnitt|size|shape)\b/i],
    [1, /^(description|designation|d[ée]signation|bezeichnung|member|type|typ)\b/i],
  ],
  count: [
    [
      3,
      /^(count|qty|quant\w*|nb|pcs|pieces|anzahl|st(ü|ue)ck|stk|menge|nombre|cantidad|aantal|quantit[àé]|quantidade|no\.? ?(off|of|req)|number of|off)(?!\p{L})/iu,
    ],
    [1, /^(no|nr|number|#|n°|nº)(?!\p{L})/iu],
  ],
};

const named = (heading: string): string => heading.replace(/[_.]/g, ' ').replace(/\s+/g, ' ').trim();

function strength(field: 'mark' | 'section' | 'count', heading: string): number {
  return strengths[field]?.find(([, words]) => words.test(named(heading)))?.[0] ?? 0;
}

export interface Settled {
  columns: Columns;
  asked: Asked[];
  notes: string[];
}

const isGrade = (cell: string): boolean => /^(S\d{3}\w*|A\d{2,3}\w*|Gr(ade)?\.? ?\d+)$/i.test(cell);

/** Columns by what their headings say and what stands under them, where the two do not agree or two headings say the same. */
export function settleColumns(heads: readonly string[], body: readonly string[][], first: Columns, chosen: Choice): Settled {
  const sample = body.slice(0, 500);
  const column = (i: number) => sample.map((row) => row[i] ?? '').filter((cell) => cell !== '');
  const share = (i: number, fits: (cell: string) => boolean) => column(i).filter(fits).length / Math.max(1, column(i).length);
  const listed = heads.map((_, i) => share(i, (cell) => findSection(cell) !== undefined));
  const running = heads.map((_, i) => {
    const numbers = column(i).map(Number);
    return numbers.length > 1 && numbers.every((one, n) => Number.isInteger(one) && (n === 0 ? one <= 1 : one - (numbers[n - 1] ?? 0) === 1));
  });
  const columns: Columns = { ...first };
  const asked: Asked[] = [];
  const notes: string[] = [];
  const used = (i: number, but: TableField) =>
    Object.entries(columns).some(([field, at]) => at === i && field !== but && !['mark', 'section', 'count'].includes(field));

  const section = settleSection();
  if (section !== undefined) columns.section = section;
  const mark = settleMark();
  if (mark === undefined) delete columns.mark;
  else columns.mark = mark;
  settleCount();
  settleMass();
  return { columns, asked, notes };

  function settleSection(): number | undefined {
    if (chosen.sections !== undefined) return chosen.sections;
    const best = Math.max(0, ...listed);
    const byHead = heads
      .map((head, i) => ({ i, is: strength('section', head) }))
      .filter(({ i, is }) => is > 0 && column(i).length > 0)
      .sort((a, b) => b.is - a.is || (listed[b.i] ?? 0) - (listed[a.i] ?? 0) || a.i - b.i);
    const surest = byHead.find(({ is }) => is === 3);
    if (best >= 0.5) {
      const found = byHead.find(({ i }) => listed[i] === best)?.i ?? listed.indexOf(best);
      if (surest && surest.i !== found && (listed[surest.i] ?? 0) < 0.5)
        notes.push(`“${heads[found]}” is read as the sections: tables know what stands there, and not what stands under “${heads[surest.i]}”.`);
      return found;
    }
    if (surest) return surest.i;
    const other = byHead.find(({ i }) => i !== first.mark) ?? byHead[0];
    if (!other) return first.section;
    if (heads.filter((head) => strength('mark', head) > 0).length > 0 && body.length > 0)
      asked.push({
        about: 'section',
        question: `Is the section under “${heads[other.i]}”? No table knows what stands there: ${column(other.i).slice(0, 3).join(', ')}.`,
        answers: heads.flatMap((head, i) => (column(i).length > 0 ? [{ label: `${head}: ${column(i).slice(0, 3).join(', ')}`, choice: { sections: i } }] : [])),
      });
    return other.i;
  }

  function settleMark(): number | undefined {
    if (chosen.marks !== undefined) return chosen.marks;
    const fits = heads
      .map((head, i) => ({ i, is: strength('mark', head) }))
      .filter(({ i, is }) => is > 0 && i !== columns.section && !used(i, 'mark') && column(i).length > 0 && (listed[i] ?? 0) < 0.5 && share(i, isGrade) <= 0.5)
      .map(({ i, is }) => ({ i, is: running[i] ? 0.5 : is, own: new Set(column(i)).size === column(i).length && column(i).length === sample.length }))
      .sort((a, b) => b.is - a.is || a.i - b.i);
    const [one, ...others] = fits;
    if (!one) {
      // The heading of the marks stands over the sections: the marks are under another, where each is its own.
      const free = heads.flatMap((_, i) => {
        const taken =
          i === columns.section || used(i, 'mark') || column(i).length === 0 || share(i, isGrade) > 0.5 || share(i, (cell) => /^[\d.,]+$/.test(cell)) === 1;
        return taken ? [] : [{ i, own: new Set(column(i)).size / column(i).length }];
      });
      return free.sort((a, b) => b.own - a.own || a.i - b.i).find(({ own }) => own > 0.5)?.i;
    }
    const rival = others.find((other) => other.own && other.is >= 1);
    if (!one.own && rival && sample.length > 1)
      asked.push({
        about: 'mark',
        question: `Under which heading is the mark of the piece: “${heads[one.i]}” has the same more than once, “${heads[rival.i]}” has not?`,
        answers: [one, rival].map(({ i }) => ({ label: `${heads[i]}: ${column(i).slice(0, 3).join(', ')}`, choice: { marks: i } })),
      });
    return one.i;
  }

  function settleCount(): void {
    if (chosen.count !== undefined) {
      columns.count = chosen.count ?? undefined;
      return;
    }
    const fits = heads
      .map((head, i) => ({ i, is: strength('count', head) }))
      .filter(({ i, is }) => is > 0 && i !== columns.mark && i !== columns.section && !used(i, 'count'))
      .sort((a, b) => b.is - a.is || a.i - b.i);
    const [one] = fits;
    if (columns.count === columns.mark || columns.count === columns.section) delete columns.count;
    if (!one) return;
    columns.count = one.i;
    if (one.is === 3 || column(one.i).length === 0) return;
    const whole = column(one.i).every((cell) => /^\d+$/.test(cell));
    if (!whole) return void delete columns.count;
    if (column(one.i).every((cell) => cell === '1')) return;
    // A number that only goes up may count the rows and not the pieces.
    const numbers = column(one.i).map(Number);
    if (numbers.every((number, n) => n === 0 || number > (numbers[n - 1] ?? 0)))
      asked.push({
        about: 'count',
        question: `Does “${heads[one.i]}” say how many pieces there are, or number the rows? It goes ${column(one.i).slice(0, 5).join(', ')}.`,
        answers: [
          { label: 'how many pieces', choice: { count: one.i } },
          { label: 'the row: each is one piece', choice: { count: null } },
        ],
      });
  }

  /** Of several weights that of one piece, or of which nothing is said; then of all, and then of a length. */
  function settleMass(): void {
    const rank = (head: string): number => {
      if (
        !/weight|mass|\bwt\b|gewicht|poids|peso|(^|[^a-z])(kg|lb)s?\s*\/\s*(m|ft)\b|^(kgs?|lbs?|t|tonnes?|kn)$/i.test(head) ||
        /lifted|max|capacity|permitted|allowable|surface|paint/i.test(head)
      )
        return 0;
      const { per } = weightWords(head);
      return per === null ? 4 : per.length > 1 ? 3.5 : { one: 5, row: 3, metre: 2, foot: 2 }[per[0] ?? 'one'];
    };
    const fits = heads
      .map((head, i) => ({ i, is: rank(named(head)) }))
      .filter(({ i, is }) => is > 0 && column(i).length > 0 && i !== columns.mark && i !== columns.section && i !== columns.count && i !== columns.length)
      .sort((a, b) => b.is - a.is || a.i - b.i);
    const [one, other] = fits;
    if (!one) return;
    columns.mass = one.i;
    if (other && other.is === one.is && sample.some((row) => (row[one.i] ?? '') !== (row[other.i] ?? '')))
      notes.push(`“${heads[one.i]}” is read as the weight, and “${heads[other.i]}” is not: look which of the two leaves the ground.`);
  }
}
