import { isDay } from '../units/day';

/** What a person wrote down, judged as a record: a name, a day, something said. Nothing here knows what day it is but by being told. */

const BLANKS = new Set([
  'x',
  'xx',
  'xxx',
  'n/a',
  'na',
  'none',
  'tbd',
  'tba',
  'tbc',
  'todo',
  'ok',
  'yes',
  'no',
  'done',
  'test',
  'unknown',
  'same',
  'see above',
  'abc',
  'asdf',
  'qwe',
  'pass',
  'passed',
]);

/** Words for what a person does: they say who should sign, not who did. */
const ROLES = new Set(
  (
    'architect builder carpenter checker chief client clerk contractor controlling controller coordinator crew crane designer director driver engineer ' +
    'engineers erector fabricator fitter foreman foremen gang inspector inspectors joiner laboratory lab leader lead lift lifting mason manager office ' +
    'operator owner person planner rigger rigging safety site steel structural superintendent supervisor surveyor survey team technician temporary ' +
    'the works works’ somebody someone anybody nobody me us we he she they they’re boss welder yard building port authority city company firm and of ' +
    'competent qualified appointed licensed resident head senior junior assistant mr mrs ms dr our my'
  ).split(' '),
);

const wordsOf = (text: string): string[] => text.normalize('NFC').match(/\p{L}[\p{L}\p{M}’'.-]*/gu) ?? [];

/** Whether a text says anything at all: not a dash, an x, or “ok”. */
export function saysSomething(text: string): boolean {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/[.!?]+$/, '');
  return !BLANKS.has(plain) && (plain.match(/[\p{L}\p{N}]/gu) ?? []).length >= 3 && new Set(plain.replace(/\s/g, '')).size > 2;
}

/** Whether a text is left blank, or filled with what people write for nothing: a dash, an x, “tbd”. A number is no blank. */
export const isBlank = (text: string): boolean => BLANKS.has(text.trim().toLowerCase()) || !/[\p{L}\p{N}]/u.test(text);

/** Words for where a figure comes from: they name nobody. */
const ORIGINS = new Set(
  'assumed by calculated calculation computed design designed drawing drawings drawn estimate estimated from guess guessed laser measured model plan scaled spec tape taped the ticket weighed'.split(
    ' ',
  ),
);

/** Whether a text names anybody at all, a person or a gang: two letters together, no blank, and more than where a figure comes from. */
export const namesSomebody = (text: string): boolean =>
  /\p{L}{2}/u.test(text) && !BLANKS.has(text.trim().toLowerCase()) && !wordsOf(text).every((word) => ORIGINS.has(word.toLowerCase()));

/** Whether a record of something done has its day: a date, and none that is still to come. */
export const isDoneDay = (on: string, today: string | null): boolean => dayFault(on, today) === null;

/**
 * Whether a text names a person: a first name or initial and a family name that are no role. “K. Osei, erector” does; “engineer”,
 * “site office”, “x” and “-” do not. In scripts that write a name without a space one word of two signs is enough.
 */
export function namesPerson(text: string): boolean {
  return text.split(/[;,/&+]|\band\b/).some((part) => {
    const words = wordsOf(part);
    const own = words.filter((word) => !ROLES.has(word.toLowerCase().replace(/\.$/, '')));
    if (own.some((word) => BLANKS.has(word.toLowerCase()))) return false;
    const unspaced = own.some((word) => /^[\p{sc=Han}\p{sc=Hangul}\p{sc=Hiragana}\p{sc=Katakana}\p{sc=Thai}]{2,}$/u.test(word));
    if (unspaced) return true;
    const family = own.filter((word) => word.replace(/[^\p{L}]/gu, '').length >= 2);
    return own.length >= 2 && family.length >= 1 && new Set(own.map((word) => word.toLowerCase())).size > 1;
  });
}

/** What is wrong with a day on which something was done; null when nothing is. */
export function dayFault(on: string, today: string | null): string | null {
  const day = on.trim();
  if (day === '') return 'has no date';
  if (!isDay(day)) return `has “${day}”, which is not a date`;
  return today !== null && day > today ? `is dated ${day}, which is still to come` : null;
}

/** Whether a day lies before something it follows; null when it does not. */
export function dayOrder(on: string, after: readonly { on: string; what: string }[]): string | null {
  const missed = after.find((one) => isDay(one.on) && on < one.on);
  return missed ? `is dated ${on}, before ${missed.what} of ${missed.on}` : null;
}

/** Whole days from one day to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86400000);
}

/** The people a text names, each by the letters of the name: “J. Marsh” and “j marsh” are one. */
export const personsIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[;,/&+]|\band\b/)
      .filter(namesPerson)
      .map((part) =>
        wordsOf(part)
          .map((word) => word.toLowerCase().replace(/[^\p{L}]/gu, ''))
          .filter((word) => word && !ROLES.has(word))
          .join(' '),
      ),
  ),
];

/** Whether two texts name one person, among others or alone. */
export const samePerson = (one: string, other: string): boolean => {
  const named = personsIn(one);
  return named.length > 0 && personsIn(other).some((name) => named.includes(name));
};
