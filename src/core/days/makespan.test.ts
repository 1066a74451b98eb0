import fc from 'fast-check';
import loadHighs from 'highs';
import { runCalc } from '../catalogue/run';
import { leastFinish, type Task } from './least-finish';

const task = (id: string, hours: number, after: string[] = [], crews: Record<string, number> = { gang: 1 }): Task => ({ id, hours, after, crews });
const finish = (input: unknown) => {
  const out = runCalc('days.makespan', input);
  return out.ok ? (out.output as { makespan: number }).makespan : out;
};

describe('by hand', () => {
  test('one after another where there is one gang, side by side where there are two', () => {
    const tasks = [task('a', 3), task('b', 4), task('c', 5)];
    expect(leastFinish(tasks, { gang: 1 }, [])).toBe(12);
    expect(leastFinish(tasks, { gang: 2 }, [])).toBe(7);
    expect(leastFinish(tasks, { gang: 3 }, [])).toBe(5);
    expect(leastFinish([], {}, [])).toBe(0);
  });
  test('what is not broken off waits for hours enough in a row; a shorter one goes before it', () => {
    expect(leastFinish([task('a', 3)], { gang: 1 }, [2])).toBe(6);
    expect(leastFinish([task('a', 3), task('b', 2)], { gang: 1 }, [2])).toBe(6);
    expect(leastFinish([task('a', 3), task('b', 2)], { gang: 1 }, [2, 2, 6])).toBe(6);
    expect(leastFinish([task('a', 3, ['b']), task('b', 2)], { gang: 1 }, [4])).toBe(8);
  });
  test('to wait with an open crane may be better than to take what is ready', () => {
    // The long one wants both people; taken late it holds all of the others up.
    const tasks = [task('short', 2), task('first', 1), task('long', 4, ['first'], { gang: 2 }), task('after', 3, ['long'])];
    expect(leastFinish(tasks, { gang: 2 }, [])).toBe(8);
    expect(leastFinish([...tasks, task('other', 3)], { gang: 2 }, [])).toBe(9);
  });
  test('what takes no time and nobody is over as soon as it may begin', () => {
    expect(leastFinish([task('a', 2), task('sign', 0, ['a'], {}), task('b', 1, ['sign'])], { gang: 1 }, [2])).toBe(4);
  });
});

describe('refused', () => {
  const one = { tasks: [task('a', 2)], crews: { gang: 1 }, closedHours: [] };
  test.each([
    ['a wait for what is not there', { ...one, tasks: [task('a', 2, ['z'])] }, 'tasks[0].after[0]', 'no task here'],
    ['a ring', { ...one, tasks: [task('a', 2, ['b']), task('b', 1, ['a'])] }, 'tasks', 'ring'],
    ['two of one id', { ...one, tasks: [task('a', 2), task('a', 1)] }, 'tasks[1].id', 'Two tasks'],
    ['a crew that is not there', { ...one, crews: {} }, 'tasks[0].crews.gang', 'not there'],
    ['a crew named as what every object has', { ...one, tasks: [task('a', 2, [], { toString: 1 })] }, 'tasks[0].crews.toString', 'not there'],
    ['more people than there are', { ...one, tasks: [task('a', 2, [], { gang: 2 })] }, 'tasks[0].crews.gang', 'never begin'],
    ['half an hour', { ...one, tasks: [task('a', 2.5)] }, 'tasks[0].hours', ''],
    ['an hour before the first', { ...one, closedHours: [-1] }, 'closedHours[0]', ''],
  ])('%s', (_, input, path, says) => {
    const out = runCalc('days.makespan', input);
    expect(out).toMatchObject({ ok: false, path });
    if (!out.ok) expect(out.error).toContain(says);
  });
  test('forty tasks that are all alike are found at once; nothing is called least that is not', () => {
    const alike = Array.from({ length: 40 }, (_, i) => task(`t${i}`, 3));
    expect(finish({ tasks: alike, crews: { gang: 4 }, closedHours: [] })).toBe(30);
    const mixed = Array.from({ length: 40 }, (_, i) =>
      task(`t${i}`, 1 + ((i * 7) % 11), i % 3 === 2 ? [`t${i - 1}`] : [], { gang: 1 + (i % 3), crane: (i * 5) % 2 }),
    );
    const out = runCalc('days.makespan', { tasks: mixed, crews: { gang: 4, crane: 1 }, closedHours: [8, 9, 10, 30, 31] });
    if (!out.ok) expect(out.error).toContain('was not found');
    else expect((out.output as { makespan: number }).makespan).toBeGreaterThan(50);
  });
});

/** Tasks that wait only for those before them, so that there is no ring. */
const jobs = fc
  .array(
    fc.record({
      hours: fc.integer({ min: 1, max: 4 }),
      gang: fc.integer({ min: 0, max: 2 }),
      crane: fc.integer({ min: 0, max: 1 }),
      waits: fc.array(fc.nat(5), { maxLength: 2 }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((list) =>
    list.map(({ hours, gang, crane, waits }, i) =>
      task(`t${i}`, hours, i === 0 ? [] : [...new Set(waits.map((k) => `t${k % i}`))].slice(0, 2), { gang, crane }),
    ),
  );
const shut = fc.uniqueArray(fc.integer({ min: 0, max: 12 }), { maxLength: 4 });

/** A solver of whole numbers, each task begun at one of the hours at which it lies in open ones. */
const byHours = (highs: Awaited<ReturnType<typeof loadHighs>>, tasks: readonly Task[], crews: Record<string, number>, closed: readonly number[]) => {
  const horizon = 13 + tasks.reduce((sum, { hours }) => sum + hours, 0);
  const starts = tasks.map(({ hours }) =>
    Array.from({ length: horizon - hours + 1 }, (_, at) => at).filter((at) => !closed.some((shutHour) => shutHour >= at && shutHour < at + hours)),
  );
  const x = (i: number, at: number) => `x${i}_${at}`;
  const begun = (i: number, sign = '+') => starts[i]!.map((at) => `${sign} ${at} ${x(i, at)}`).join(' ');
  const rows: string[] = [];
  tasks.forEach(({ hours, after, id }, i) => {
    rows.push(`${starts[i]!.map((at) => x(i, at)).join(' + ')} = 1`);
    rows.push(`finish ${begun(i, '-')} >= ${hours}`);
    for (const other of after) {
      const k = tasks.findIndex((one) => one.id === other);
      rows.push(`${begun(i)} ${begun(k, '-')} >= ${tasks[k]!.hours}`);
    }
    expect(id).toBe(`t${i}`);
  });
  for (const [name, count] of Object.entries(crews))
    for (let hour = 0; hour < horizon; hour++) {
      const at = tasks.flatMap((one, i) =>
        (one.crews[name] ?? 0) === 0 ? [] : starts[i]!.filter((s) => s <= hour && hour < s + one.hours).map((s) => `${one.crews[name]} ${x(i, s)}`),
      );
      if (at.length > 0) rows.push(`${at.join(' + ')} <= ${count}`);
    }
  const model = `Minimize\n obj: finish\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinaries\n ${starts
    .flatMap((list, i) => list.map((at) => x(i, at)))
    .join(' ')}\nEnd`;
  const out = highs.solve(model);
  expect(out.Status).toBe('Optimal');
  return Math.round(out.ObjectiveValue);
};

test('a solver of whole numbers finds the same hour', async () => {
  const highs = await loadHighs();
  fc.assert(
    fc.property(jobs, shut, fc.integer({ min: 2, max: 3 }), (tasks, closed, gang) => {
      const crews = { gang, crane: 1 };
      expect(leastFinish(tasks, crews, closed)).toBe(byHours(highs, tasks, crews, closed));
    }),
    { numRuns: 60 },
  );
});

test('one more person, one wait less or one hour open more never end it later', () =>
  fc.assert(
    fc.property(jobs, shut, (tasks, closed) => {
      const least = leastFinish(tasks, { gang: 2, crane: 1 }, closed)!;
      expect(leastFinish(tasks, { gang: 3, crane: 1 }, closed)).toBeLessThanOrEqual(least);
      expect(leastFinish(tasks, { gang: 2, crane: 1 }, closed.slice(1))).toBeLessThanOrEqual(least);
      expect(
        leastFinish(
          tasks.map((one) => ({ ...one, after: one.after.slice(1) })),
          { gang: 2, crane: 1 },
          closed,
        ),
      ).toBeLessThanOrEqual(least);
    }),
    { numRuns: 300 },
  ));
