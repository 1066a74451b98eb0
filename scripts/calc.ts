/** calc <id> '<json>' → one JSON line; calc --batch <file> → a JSON array in the same order. Bad input: {"error","path"}, exit 2. */
import { readFileSync } from 'node:fs';
import { runCalc } from '../src/core/catalogue/run';

function answer(id: unknown, input: unknown): { bad: boolean; value: unknown } {
  if (typeof id !== 'string') return { bad: true, value: { error: 'Give the id of a calculation as text.', path: 'id' } };
  const outcome = runCalc(id, input);
  return outcome.ok ? { bad: false, value: outcome.output } : { bad: true, value: { error: outcome.error, path: outcome.path } };
}

function readJson(text: string, what: string): { ok: true; value: unknown } | { ok: false; error: string } {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (problem) {
    return { ok: false, error: `${what} is not JSON (${(problem as Error).message}): check quotes and commas.` };
  }
}

function finish(value: unknown, code: number): never {
  process.stdout.write(JSON.stringify(value) + '\n', () => process.exit(code));
  return undefined as never;
}

function main([first, second]: string[]): void {
  if (!first || second === undefined) return finish({ error: "Write: calc <id> '<json>', or calc --batch <file>.", path: '' }, 2);
  if (first !== '--batch') {
    const json = readJson(second, 'The input');
    if (!json.ok) return finish({ error: json.error, path: '' }, 2);
    const { bad, value } = answer(first, json.value);
    return finish(value, bad ? 2 : 0);
  }
  let text: string;
  try {
    text = readFileSync(second, 'utf8');
  } catch {
    return finish({ error: `${second} cannot be read: check the path.`, path: '' }, 2);
  }
  const json = readJson(text, second);
  if (!json.ok) return finish({ error: json.error, path: '' }, 2);
  if (!Array.isArray(json.value)) return finish({ error: `${second} is not a JSON array of { id, input }.`, path: '' }, 2);
  finish(
    (json.value as { id?: unknown; input?: unknown }[]).map((one) => answer(one?.id, one?.input).value),
    0,
  );
}

main(process.argv.slice(2));
