import { madeOf } from '@/core/document/made-of';
import { saidOf } from '@/core/document/things/unsaid';
import type { Member } from '@/core/document/schema';
import { findSection } from '@/core/steel/sections';
import { formatForInput, parseQuantity } from '@/core/units';

export interface Column {
  key: string;
  title: string;
  width: string;
  /** where feet and inches want more room */
  wide?: string;
  right?: boolean;
  read: (member: Member, units: 'metric' | 'us') => string;
  /** changes, or what is wrong with the text */
  write?: (text: string, member: Member, units: 'metric' | 'us') => Partial<Member> | string;
}

const optional = (text: string, kind: 'mass', units: 'metric' | 'us', put: (value: number | null) => Partial<Member>): Partial<Member> | string => {
  if (text.trim() === '') return put(null);
  const read = parseQuantity(text, kind, units);
  return read.ok ? put(read.value) : read.reason;
};
const whole = (text: string, name: string, least: number): number | string => {
  const value = Number(text);
  return Number.isInteger(value) && value >= least ? value : `${name} “${text}” is not a whole number from ${least}.`;
};
export const columns: readonly Column[] = [
  { key: 'mark', title: 'Mark', width: '58px', read: (m) => m.mark, write: (mark) => ({ mark }) },
  {
    key: 'section',
    title: 'Section',
    width: 'minmax(110px,1.1fr)',
    wide: 'minmax(104px,1.1fr)',
    read: madeOf,
    write: (text, member) =>
      member.make.kind === 'girder' || member.make.kind === 'parts'
        ? 'This one is made of several parts: open it from its weight.'
        : { make: member.make.kind === 'plain' ? { kind: 'plain', what: text } : { kind: 'section', section: findSection(text)?.designation ?? text } },
  },
  {
    key: 'length',
    title: 'Length',
    width: '62px',
    wide: '86px',
    right: true,
    read: (m, units) => formatForInput(saidOf(m, 'length', m.length), 'length', units),
    write: (text, _, units) => {
      const read = parseQuantity(text, 'length', units);
      return read.ok ? { length: read.value } : read.reason;
    },
  },
  {
    key: 'count',
    title: 'No.',
    width: '32px',
    right: true,
    read: (m) => String(m.count),
    write: (text) => {
      const value = whole(text, 'The number', 1);
      return typeof value === 'string' ? value : { count: value };
    },
  },
  { key: 'grade', title: 'Grade', width: '48px', read: (m) => m.grade, write: (grade) => ({ grade }) },
  {
    key: 'drawing',
    title: 'Drawing',
    width: '54px',
    wide: '58px',
    right: true,
    read: (m, units) => formatForInput(m.stated.drawing, 'mass', units),
    write: (text, m, units) => optional(text, 'mass', units, (drawing) => ({ stated: { ...m.stated, drawing } })),
  },
  {
    key: 'weighed',
    title: 'Weighed',
    width: '54px',
    wide: '58px',
    right: true,
    read: (m, units) => formatForInput(m.stated.weighed, 'mass', units),
    write: (text, m, units) => optional(text, 'mass', units, (weighed) => ({ stated: { ...m.stated, weighed } })),
  },
  {
    key: 'order',
    title: 'Order',
    width: '40px',
    right: true,
    read: (m) => (m.order === null ? '' : String(m.order)),
    write: (text) => {
      if (text.trim() === '') return { order: null };
      const value = whole(text, 'The order', 0);
      return typeof value === 'string' ? value : { order: value };
    },
  },
  { key: 'line', title: 'Line', width: '46px', read: (m) => m.line, write: (line) => ({ line }) },
  { key: 'place', title: 'Lies at', width: 'minmax(68px,0.9fr)', wide: 'minmax(60px,0.7fr)', read: (m) => m.place, write: (place) => ({ place }) },
];
