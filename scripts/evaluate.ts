/** evaluate <plan.json> [--move ID] → the report as JSON, or one move of it whole. Exit 0 clear or tight, 1 stop or missing, 2 unreadable. */
import { readFileSync } from 'node:fs';
import { openPlanText } from '../src/core/document/open';
import { reportMove, reportWithFixes } from '../src/core/view/report';
import { dayOf } from '../src/core/units/day';

function finish(value: unknown, code: number): void {
  process.stdout.write(JSON.stringify(value, null, 2) + '\n', () => process.exit(code));
}

function main(path: string | undefined, ...rest: string[]): void {
  if (!path) return finish({ error: 'Write: evaluate <plan.json>.', path: '' }, 2);
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    return finish({ error: `${path} cannot be read: check the path.`, path: '' }, 2);
  }
  const opened = openPlanText(text);
  if (!opened.ok) return finish({ error: opened.faults[0]?.error ?? 'unreadable', path: opened.faults[0]?.path ?? '', faults: opened.faults }, 2);
  const today = dayOf(new Date());
  if (rest[0] === '--move') {
    const move = reportMove(opened.plan, today, rest[1] ?? '');
    if (!move)
      return finish(
        {
          error: `The plan has no move “${rest[1] ?? ''}”: use one of ${opened.plan.moves
            .map(({ id }) => id)
            .slice(0, 20)
            .join(', ')}.`,
          path: 'moves',
        },
        2,
      );
    return finish(move, move.checks.some(({ verdict }) => verdict === 'stop' || verdict === 'missing') ? 1 : 0);
  }
  const result = reportWithFixes(opened.plan, today);
  finish(result, result.verdict === 'stop' || result.verdict === 'missing' ? 1 : 0);
}

main(process.argv[2], ...process.argv.slice(3));
