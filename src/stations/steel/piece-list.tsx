'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { FileDown, FileUp, Plus, Truck, X } from 'lucide-react';
import { useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { newMember } from '@/core/edit/import-members';
import { madeOf } from '@/core/document/made-of';
import { memberWeight } from '@/core/settle/member-weight';
import { membersCsv } from '@/core/edit/members-csv';
import { Missing } from '@/core/verdict/missing';
import { countsByState } from '@/core/document/member-register';
import { memberStates, type Member } from '@/core/document/schema';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity, inputUnit } from '@/core/units';
import { Choice } from '@/ui/fields/choice-field';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { ImportDialog } from './import-dialog';
import { TransportDialog } from './transport-dialog';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { columns } from './member-columns';
import { MemberDialog } from './member-dialog';
import { saveFile } from '../shared/save-file';
import { TableCell } from './table-cell';

const STATES = memberStates.map((state) => ({ value: state, label: state }));

const ROW = 27;

/** The piece list: every member of the job, typed, pasted or imported, with what it weighs and by whose word. */
export function PieceList() {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const { units } = plan.job;
  const rules = useMemo(() => rulesOf(plan.job.ruleSet, plan.job.thresholds), [plan.job]);
  const [filter, setFilter] = useState('');
  const [pasted, setPasted] = useState<string | null>(null);
  const [importing, setImporting] = useState(false);
  const [loading, setLoading] = useState(false);
  const [looking, setLooking] = useState<string | null>(null);
  const looked = plan.members.find((one) => one.id === looking);
  const frame = useRef<HTMLDivElement>(null);
  const shown = useMemo(() => {
    const words = filter.trim().toLowerCase();
    return words === ''
      ? plan.members
      : plan.members.filter((member) =>
          [member.mark, madeOf(member), member.grade, member.line, member.supplier, member.place, member.state].some((text) =>
            text.toLowerCase().includes(words),
          ),
        );
  }, [plan.members, filter]);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list scrolls by its own state; nothing memoised leans on it
  const rows = useVirtualizer({ count: shown.length, getScrollElement: () => frame.current, estimateSize: () => ROW, overscan: 12 });
  const total = useMemo(() => {
    let mass = 0;
    let unknown = 0;
    let pieces = 0;
    for (const member of plan.members) {
      const weight = memberWeight(member, rules);
      pieces += member.count;
      if (weight instanceof Missing) unknown += member.count;
      else mass += weight.lifted * member.count;
    }
    return { mass, unknown, pieces };
  }, [plan.members, rules]);

  const register = useMemo(() => countsByState(plan.members), [plan.members]);

  const paste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    if (!/[\t\n;]/.test(text.trim())) return;
    event.preventDefault();
    setPasted(text);
    setImporting(true);
  };
  /** Enter and the arrows go up and down a column; a row out of sight is brought into sight first. */
  const travel = (event: KeyboardEvent<HTMLInputElement>, row: number, column: number) => {
    const by = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const to = row + by;
    if (by === 0 || to < 0 || to >= shown.length) return;
    event.preventDefault();
    rows.scrollToIndex(to);
    requestAnimationFrame(() => frame.current?.querySelector<HTMLInputElement>(`[data-cell="${to}-${column}"]`)?.focus());
  };
  const template = `${columns.map((column) => (units === 'us' && column.wide) || column.width).join(' ')} 74px 74px 24px`;
  return (
    <section aria-label="Piece list" className="flex h-full min-h-0 flex-col bg-paper" onPaste={paste}>
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-3 py-1.5">
        <h2 className="text-[18px] leading-6">Piece list</h2>
        <span className="text-[13px] text-soft">
          {total.pieces} pieces, {formatQuantity(total.mass, 'mass', units)} to lift{total.unknown > 0 ? ` and ${total.unknown} of unknown weight` : ''}
        </span>
        <input
          aria-label="Find in the list"
          placeholder="find"
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
          className="w-[90px] border-b border-pencil bg-transparent px-1 text-[14px] outline-none placeholder:text-soft focus:border-ink"
        />
        <span className="ml-auto flex flex-wrap gap-1.5">
          <SmallButton onClick={() => act('addTo', { list: 'members', thing: newMember(freshId('m'), { mark: `M${plan.members.length + 1}` }) })}>
            <Plus size={13} aria-hidden /> Member
          </SmallButton>
          <SmallButton onClick={() => (setPasted(null), setImporting(true))}>
            <FileUp size={13} aria-hidden /> Paste or import
          </SmallButton>
          <SmallButton onClick={() => saveFile('piece-list.csv', membersCsv(plan), 'text/csv')}>
            <FileDown size={13} aria-hidden /> CSV
          </SmallButton>
          <SmallButton onClick={() => setLoading(true)}>
            <Truck size={13} aria-hidden /> Transport
          </SmallButton>
        </span>
      </header>
      {register.total > 0 && (
        <ol aria-label="Pieces by state" className="flex flex-wrap gap-x-1 border-b border-line px-3 py-1 text-[12.5px]">
          {register.counts.map(({ state, pieces, reached }) => (
            <li key={state}>
              <button
                type="button"
                aria-pressed={filter === state}
                title={`${reached} of ${register.total} are ${state} or further`}
                onClick={() => setFilter(filter === state ? '' : state)}
                data-state-count={state}
                className={`min-h-[24px] px-1.5 ${filter === state ? 'bg-ink text-white' : pieces === 0 ? 'text-soft' : 'font-semibold hover:bg-tray'}`}
              >
                {state} {pieces}
              </button>
            </li>
          ))}
          <li className="ml-auto self-center text-soft">of {register.total}</li>
        </ol>
      )}
      <div ref={frame} className="min-h-0 flex-1 overflow-auto" role="table" aria-rowcount={shown.length + 1} aria-label="Members">
        <div className="sticky top-0 z-10 min-w-[758px] bg-board" role="rowgroup">
          <div role="row" className="grid items-end border-b border-ink px-2 py-1 text-[12.5px] text-soft" style={{ gridTemplateColumns: template }}>
            {columns.map((column) => (
              <span key={column.key} role="columnheader" className={`px-1 ${column.right ? 'text-right' : ''}`}>
                {column.title}
                {column.key === 'length' && ` ${inputUnit('length', units)}`}
                {(column.key === 'drawing' || column.key === 'weighed') && ` ${inputUnit('mass', units)}`}
              </span>
            ))}
            <span role="columnheader" className="px-1 text-right">
              To lift, each
            </span>
            <span role="columnheader" className="px-1">
              State
            </span>
            <span role="columnheader" className="sr-only">
              Remove
            </span>
          </div>
        </div>
        {shown.length === 0 ? (
          <p className="px-3 py-3 text-soft">
            {plan.members.length === 0
              ? 'No members yet. Paste them from a spreadsheet, import the fabricator’s files or add one.'
              : 'Nothing in the list matches.'}
          </p>
        ) : (
          <div role="rowgroup" className="relative min-w-[758px]" style={{ height: rows.getTotalSize() }}>
            {rows.getVirtualItems().map((item) => {
              const member = shown[item.index];
              if (!member) return null;
              const weight = memberWeight(member, rules);
              const edit = (changes: Partial<Member>, field: string) => act('editIn', { list: 'members', id: member.id, changes }, `${member.id} ${field}`);
              return (
                <div
                  key={member.id}
                  role="row"
                  aria-rowindex={item.index + 2}
                  data-member={member.mark}
                  className="absolute inset-x-0 grid items-center border-b border-line px-2"
                  style={{ gridTemplateColumns: template, height: ROW, transform: `translateY(${item.start}px)` }}
                >
                  {columns.map((column, c) => (
                    <TableCell
                      key={column.key}
                      name={`${column.title} of ${member.mark || 'the new member'}`}
                      cell={`${item.index}-${c}`}
                      right={column.right}
                      text={column.read(member, units)}
                      onText={(text) => {
                        const changes = column.write?.(text, member, units) ?? {};
                        if (typeof changes === 'string') return changes;
                        return edit(changes, column.key)?.[0]?.error ?? null;
                      }}
                      onDone={done}
                      onTravel={(event) => travel(event, item.index, c)}
                    />
                  ))}
                  <span role="cell" className={`px-1 text-right text-[14px] ${weight instanceof Missing ? 'text-missing' : 'font-semibold'}`}>
                    <button
                      type="button"
                      aria-label={`All about ${member.mark || 'the new member'}`}
                      onClick={() => setLooking(member.id)}
                      className="min-h-[24px] w-full text-right underline decoration-pencil decoration-dotted underline-offset-2 hover:decoration-ink"
                    >
                      {weight instanceof Missing ? 'not known' : formatQuantity(weight.lifted, 'mass', units)}
                    </button>
                  </span>
                  <span role="cell">
                    <Choice
                      name={`State of ${member.mark}`}
                      value={member.state}
                      choices={STATES}
                      onValue={(state) => edit({ state }, 'state')}
                      look="text-[13px]"
                    />
                  </span>
                  <span role="cell">
                    <button
                      type="button"
                      aria-label={`Remove ${member.mark}`}
                      onClick={() => act('removeFrom', { list: 'members', id: member.id })}
                      className="grid size-[24px] place-items-center text-stop"
                    >
                      <X size={13} />
                    </button>
                  </span>
                </div>
              );
            })}
          </div>
        )}
      </div>
      {importing && <ImportDialog pasted={pasted} onClose={() => setImporting(false)} />}
      {looked && <MemberDialog member={looked} onClose={() => setLooking(null)} />}
      {loading && <TransportDialog onClose={() => setLoading(false)} />}
    </section>
  );
}
