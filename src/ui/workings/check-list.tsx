'use client';
import * as Accordion from '@radix-ui/react-accordion';
import { memo, useState, type ReactNode } from 'react';
import { keyOf, type Check, type Verdict } from '@/core/verdict/check';
import type { Fix } from '@/core/edit/fixes';
import { worstFirst } from '@/core/verdict/worst-first';
import type { UnitSystem } from '@/core/units';
import { CheckLine, checkKey } from './check-line';

/** More than this at once is no longer read; the rest is a press away. */
const SHOWN = 60;

export const CheckList = memo(function CheckList({
  checks,
  system,
  empty,
  onGo,
  fixes,
  onFix,
  beyond,
}: {
  checks: readonly Check[];
  system: UnitSystem;
  empty: string;
  /** where something is missing: take the person to it */
  onGo?: (check: Check) => void;
  /** what would settle a row, by the key of the row */
  fixes?: ReadonlyMap<string, readonly Fix[]>;
  onFix?: (check: Check, fix: Fix) => void;
  /** what an opened row shows beyond its own working */
  beyond?: (check: Check) => ReactNode;
}) {
  const [all, setAll] = useState(false);
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  if (checks.length === 0) return <p className="px-3.5 py-3 text-soft">{empty}</p>;
  const rows = withAlike(worstFirst(checks), opened);
  const left = all ? 0 : rows.length - SHOWN;
  return (
    <Accordion.Root type="multiple" className="border-t border-line">
      {(left > 0 ? rows.slice(0, SHOWN) : rows).map((row) =>
        'alike' in row ? (
          <button
            key={row.alike}
            type="button"
            onClick={() => setOpened((now) => new Set([...now, row.alike]))}
            className="w-full border-b border-line px-3.5 py-1.5 text-left text-[13px] text-soft hover:bg-board"
          >
            {row.count} more like it: {row.subjects}. Show them.
          </button>
        ) : (
          <CheckLine key={checkKey(row)} check={row} system={system} onGo={onGo} fixes={fixes?.get(keyOf(row))} onFix={onFix} beyond={beyond} />
        ),
      )}
      {left > 0 && (
        <button type="button" onClick={() => setAll(true)} className="w-full px-3.5 py-2 text-left text-soft hover:bg-board">
          {left} more, none worse than these. Show them.
        </button>
      )}
    </Accordion.Root>
  );
});

/** So many rows of one check are told one by one; the others, alike, are a press away. */
const ALIKE: Record<Verdict, number> = { stop: 8, missing: 3, tight: 8, clear: SHOWN };
/** So many of them are called by name. */
const CALLED = 4;

interface Alike {
  alike: string;
  count: number;
  subjects: string;
}

/** Rows in their order, those past the first few of a check folded into one that says how many. */
function withAlike(sorted: readonly Check[], opened: ReadonlySet<string>): (Check | Alike)[] {
  const by = new Map<string, Check[]>();
  const keyOfAlike = (check: Check) => `${check.verdict} ${check.id}`;
  for (const check of sorted) {
    const key = keyOfAlike(check);
    const list = by.get(key);
    if (list) list.push(check);
    else by.set(key, [check]);
  }
  const seen = new Map<string, number>();
  return sorted.flatMap((check): (Check | Alike)[] => {
    const key = keyOfAlike(check);
    const list = by.get(key)!;
    const most = ALIKE[check.verdict];
    // One more than is told is told as well: a line that says so is no shorter.
    if (opened.has(key) || list.length <= most + 1) return [check];
    const at = seen.get(key) ?? 0;
    seen.set(key, at + 1);
    if (at >= most) return [];
    if (at < most - 1) return [check];
    const hidden = list.slice(most);
    const names = [...new Set(hidden.map(({ subject }) => subject))];
    const more = names.length > CALLED ? ` and ${names.length - CALLED} others` : '';
    return [check, { alike: key, count: hidden.length, subjects: `${names.slice(0, CALLED).join(', ')}${more}` }];
  });
}
