/** Work of whole hours that wants people for all of its time. */
export interface Task {
  id: string;
  hours: number;
  after: readonly string[];
  crews: Readonly<Record<string, number>>;
}

/** The search is given up past so many places tried: nothing is called the least that was not proved to be. */
const MOST_PLACES = 100_000;

interface Open {
  /** first hour at or after `hour` from which `hours` of them are open one after the other */
  from: (hour: number, hours: number) => number;
}

function opening(closedHours: readonly number[]): Open {
  const closed = [...new Set(closedHours)].sort((a, b) => a - b);
  return {
    from(hour, hours) {
      let start = hour;
      for (const shut of closed) {
        if (shut < start) continue;
        if (shut >= start + hours) break;
        start = shut + 1;
      }
      return start;
    },
  };
}

/** Each task after what it waits for; null: they wait for one another in a ring. */
export function inOrder(tasks: readonly Task[]): Task[] | null {
  const order: Task[] = [];
  const done = new Set<string>();
  let left = [...tasks];
  while (left.length > 0) {
    const ready = left.filter(({ after }) => after.every((id) => done.has(id)));
    if (ready.length === 0) return null;
    for (const task of ready) done.add(task.id);
    order.push(...ready);
    left = left.filter(({ id }) => !done.has(id));
  }
  return order;
}

/**
 * The least hour by which every task can be done; null: not proved within the search.
 *
 * A schedule in which no task could begin earlier by itself is among the best. Taken in the order of their starts, each
 * task of such a one begins as soon as what it waits for, the people taken by those before it and the open hours allow.
 * So tasks are placed in every such order, starts never going back; an order is left as soon as what is still to do, one
 * after another or by the people it wants, cannot end before the best found. Two orders that have placed the same tasks
 * and left the same people busy until the same hours go on alike: the second is not followed.
 *
 * Who calls it makes sure that no task waits for one that is not there, that none wait in a ring, and that no task wants
 * more people than there are.
 */
export function leastFinish(tasks: readonly Task[], crews: Readonly<Record<string, number>>, closedHours: readonly number[]): number | null {
  const order = inOrder(tasks);
  if (!order) throw new Error('Tasks that wait for one another have no order.');
  const n = order.length;
  if (n === 0) return 0;
  const open = opening(closedHours);
  const index = new Map(order.map(({ id }, i) => [id, i]));
  const before = order.map(({ after }) => after.map((id) => index.get(id)!));
  const names = Object.keys(crews);
  const wants = order.map((task) => names.map((name) => task.crews[name] ?? 0));
  const there = names.map((name) => crews[name]!);
  const hours = order.map((task) => task.hours);

  const start: number[] = Array.from({ length: n }, () => -1);
  const end: number[] = Array.from({ length: n }, () => -1);

  /** First start at or after `from` at which the people are free for all of its hours. */
  const placeOf = (i: number, from: number): number => {
    let at = open.from(from, hours[i]!);
    for (;;) {
      let later = at;
      for (let c = 0; c < names.length && later === at; c++) {
        if (wants[i]![c] === 0) continue;
        // People are taken from the starts of those placed before on, and those starts are no later than this one’s.
        let taken = 0;
        let soonest = Infinity;
        for (let k = 0; k < n; k++)
          if (start[k]! >= 0 && end[k]! > at && wants[k]![c]! > 0) {
            taken += wants[k]![c]!;
            soonest = Math.min(soonest, end[k]!);
          }
        if (taken + wants[i]![c]! > there[c]!) later = soonest;
      }
      if (later === at) return at;
      at = open.from(later, hours[i]!);
    }
  };

  /** What waits for each, at the least until the last of them is done, whoever there is: open hours only. */
  const soonestEnd = (given: readonly number[], floor: number): number => {
    let last = 0;
    const ends: number[] = [];
    for (let i = 0; i < n; i++) {
      if (given[i]! >= 0) ends[i] = given[i]!;
      else {
        const ready = before[i]!.reduce((late, k) => Math.max(late, ends[k]!), floor);
        ends[i] = open.from(ready, hours[i]!) + hours[i]!;
      }
      last = Math.max(last, ends[i]!);
    }
    return last;
  };
  const closed = new Set(closedHours);
  /** Hour by which so many hours of all of a crew’s people are worked off, those already placed left at their work. */
  const peopleEnd = (from: number): number => {
    let last = 0;
    for (let c = 0; c < names.length; c++) {
      let left = 0;
      for (let i = 0; i < n; i++) if (start[i]! < 0) left += wants[i]![c]! * hours[i]!;
      if (left === 0) continue;
      let hour = from;
      for (; left > 0; hour++) {
        if (closed.has(hour)) continue;
        let free = there[c]!;
        for (let k = 0; k < n; k++) if (start[k]! >= 0 && start[k]! <= hour && end[k]! > hour) free -= wants[k]![c]!;
        left -= free;
      }
      last = Math.max(last, hour);
    }
    return last;
  };

  // How much has to follow a task: of those that may begin, the one with most behind it is tried first.
  const behind: number[] = Array.from({ length: n }, () => 0);
  for (let i = n - 1; i >= 0; i--) {
    behind[i]! += hours[i]!;
    for (const k of before[i]!) behind[k] = Math.max(behind[k]!, behind[i]!);
  }

  let best = Infinity;
  let places = 0;
  const floorOfAll = Math.max(soonestEnd(start, 0), peopleEnd(0));
  const seen = new Set<string>();

  const follow = (placed: number, now: number, finish: number): boolean => {
    if (placed === n) {
      best = Math.min(best, finish);
      return true;
    }
    if (++places > MOST_PLACES) return false;
    if (Math.max(finish, soonestEnd(end, now), peopleEnd(now)) >= best) return true;
    const key = `${now}|${end.map((at) => (at < 0 ? '-' : String(Math.max(at, now)))).join()}`;
    if (seen.has(key)) return true;
    seen.add(key);
    const next: { i: number; at: number }[] = [];
    for (let i = 0; i < n; i++) {
      if (start[i]! >= 0 || before[i]!.some((k) => start[k]! < 0)) continue;
      next.push({
        i,
        at: placeOf(
          i,
          before[i]!.reduce((late, k) => Math.max(late, end[k]!), now),
        ),
      });
    }
    next.sort((a, b) => a.at - b.at || behind[b.i]! - behind[a.i]!);
    for (const { i, at } of next) {
      start[i] = at;
      end[i] = at + hours[i]!;
      const went = follow(placed + 1, at, Math.max(finish, end[i]!));
      start[i] = -1;
      end[i] = -1;
      if (!went) return false;
      if (best <= floorOfAll) return true;
    }
    return true;
  };
  return follow(0, 0, 0) ? best : null;
}
