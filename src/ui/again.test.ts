import { jest } from '@jest/globals';
import { again, onWaits, waits } from './again';

const gone = () => Object.assign(new Error('Failed to load chunk a.js'), { name: 'ChunkLoadError' });

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a part that is here is read once, and nobody waits', async () => {
  const read = jest.fn(async () => 'part');
  await expect(again(read)).resolves.toBe('part');
  expect(read).toHaveBeenCalledTimes(1);
  expect(waits()).toBe(false);
});

test('while the server is away it is asked again, every two seconds; who listens is told when it begins and when it is over', async () => {
  const said: boolean[] = [];
  const stop = onWaits(() => said.push(waits()));
  let here = false;
  const read = jest.fn(async () => {
    if (!here) throw gone();
    return 'part';
  });
  const asked = again(read);
  await jest.advanceTimersByTimeAsync(1999);
  expect(read).toHaveBeenCalledTimes(1);
  expect(waits()).toBe(true);
  await jest.advanceTimersByTimeAsync(4001);
  expect(read).toHaveBeenCalledTimes(4);
  here = true;
  await jest.advanceTimersByTimeAsync(2000);
  await expect(asked).resolves.toBe('part');
  expect(said).toEqual([true, false]);
  stop();
});

test('of two that wait the notice stays until the last is here', async () => {
  const open = { a: false, b: false };
  const read = (which: 'a' | 'b') => async () => {
    if (!open[which]) throw gone();
    return which;
  };
  const both = [again(read('a')), again(read('b'))];
  await jest.advanceTimersByTimeAsync(100);
  open.a = true;
  await jest.advanceTimersByTimeAsync(2000);
  await expect(both[0]).resolves.toBe('a');
  expect(waits()).toBe(true);
  open.b = true;
  await jest.advanceTimersByTimeAsync(2000);
  await expect(both[1]).resolves.toBe('b');
  expect(waits()).toBe(false);
});

test('a part that is broken is not asked for again: the fault is told', async () => {
  const read = jest.fn(async () => {
    throw new Error('cannot read properties of undefined');
  });
  await expect(again(read)).rejects.toThrow('cannot read properties');
  expect(read).toHaveBeenCalledTimes(1);
  expect(waits()).toBe(false);
});

test('who no longer listens is not told', async () => {
  const said: boolean[] = [];
  const stop = onWaits(() => said.push(waits()));
  stop();
  let times = 0;
  const asked = again(async () => {
    times += 1;
    if (times === 1) throw gone();
    return times;
  });
  await jest.advanceTimersByTimeAsync(2000);
  await expect(asked).resolves.toBe(2);
  expect(said).toEqual([]);
});
