/**
 * Whether the lines of a STEP file hold together: each one whole, each reference to a line that is there, no line that stands on
 * itself. The library that makes shapes loops for ever on what does not.
 */
export function isSound(bytes: Uint8Array): boolean {
  const text = new TextDecoder('latin1').decode(bytes);
  const start = text.indexOf('DATA;');
  const end = text.lastIndexOf('ENDSEC;');
  if (start < 0 || end < start) return false;
  const refs = new Map<number, number[]>();
  let at = start + 5;
  while (at < end) {
    const line = lineFrom(text, at, end);
    if (line === null) return false;
    at = line.next;
    if (line.number === null) continue;
    if (refs.has(line.number)) return false;
    refs.set(line.number, line.refs);
  }
  return standsOnGround(refs);
}

interface StepLine {
  /** null: only blanks were left */
  number: number | null;
  refs: number[];
  next: number;
}

const isDigit = (code: number): boolean => code >= 48 && code <= 57;
const isBlank = (code: number): boolean => code === 32 || code === 10 || code === 13 || code === 9;

/** One line from its number to its semicolon; null where it is not whole. */
function lineFrom(text: string, from: number, end: number): StepLine | null {
  let at = from;
  while (at < end && isBlank(text.charCodeAt(at))) at += 1;
  if (at >= end) return { number: null, refs: [], next: end };
  // A remark between lines.
  if (text.startsWith('/*', at)) {
    const close = text.indexOf('*/', at);
    return close < 0 ? null : { number: null, refs: [], next: close + 2 };
  }
  if (text[at] !== '#') return null;
  const first = numberFrom(text, at + 1);
  if (first === null) return null;
  at = first.next;
  while (isBlank(text.charCodeAt(at))) at += 1;
  if (text[at] !== '=') return null;
  const refs: number[] = [];
  let deep = 0;
  let opened = false;
  for (at += 1; at < end; at += 1) {
    const sign = text[at];
    if (sign === "'") {
      const close = text.indexOf("'", at + 1);
      if (close < 0) return null;
      at = close;
    } else if (sign === '(') {
      deep += 1;
      opened = true;
    } else if (sign === ')') {
      deep -= 1;
      if (deep < 0) return null;
    } else if (sign === '#') {
      const ref = numberFrom(text, at + 1);
      if (ref === null) return null;
      refs.push(ref.value);
      at = ref.next - 1;
    } else if (sign === ';') return deep === 0 && opened ? { number: first.value, refs, next: at + 1 } : null;
  }
  return null;
}

function numberFrom(text: string, from: number): { value: number; next: number } | null {
  let at = from;
  let value = 0;
  while (isDigit(text.charCodeAt(at))) {
    value = value * 10 + text.charCodeAt(at) - 48;
    at += 1;
  }
  return at === from ? null : { value, next: at };
}

/** Every reference leads to a line that is there, and none back to where it began. */
function standsOnGround(refs: ReadonlyMap<number, readonly number[]>): boolean {
  const done = new Set<number>();
  const open = new Set<number>();
  for (const start of refs.keys()) {
    if (done.has(start)) continue;
    const path: { line: number; next: number }[] = [{ line: start, next: 0 }];
    open.add(start);
    while (path.length > 0) {
      const top = path[path.length - 1]!;
      const to = refs.get(top.line)![top.next];
      top.next += 1;
      if (to === undefined) {
        open.delete(top.line);
        done.add(top.line);
        path.pop();
        continue;
      }
      if (open.has(to) || !refs.has(to)) return false;
      if (done.has(to)) continue;
      open.add(to);
      path.push({ line: to, next: 0 });
    }
  }
  return true;
}

/** Whether the last line before the end of the data is broken off: the library waits for ever for the rest of it. */
export function endsInside(bytes: Uint8Array): boolean {
  const tail = new TextDecoder('latin1').decode(bytes.subarray(-20_000));
  const end = tail.lastIndexOf('ENDSEC');
  const last = tail.lastIndexOf(';', end);
  return (
    end > 0 &&
    last >= 0 &&
    tail
      .slice(last + 1, end)
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .trim() !== ''
  );
}
