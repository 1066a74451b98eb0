import { Type } from 'typebox';
import { defineCalc, refuse } from '../calc/define';
import { closed } from '../calc/fields';
import { phrase } from '../calc/work';
import { inOrder, leastFinish } from './least-finish';

const id = () => Type.String({ minLength: 1, maxLength: 64 });
const people = (description: string) => Type.Record(Type.String(), Type.Integer({ minimum: 0, maximum: 1000 }), { description });

/** The least whole hour by which all tasks can be done by the crews there are. */
export const daysMakespan = defineCalc({
  id: 'days.makespan',
  title: 'Least hours for all tasks',
  input: closed({
    tasks: Type.Array(
      closed({
        id: id(),
        hours: Type.Integer({ minimum: 0, maximum: 1000, description: 'one after the other, never broken off' }),
        after: Type.Array(id(), { maxItems: 40, description: 'tasks that are done before it begins' }),
        crews: people('of each crew, how many it takes for all of its hours'),
      }),
      { maxItems: 40 },
    ),
    crews: people('how many of each there are'),
    closedHours: Type.Array(Type.Integer({ minimum: 0, maximum: 9000 }), { maxItems: 9000, description: 'hour h is from h to h + 1' }),
  }),
  output: closed({ makespan: Type.Integer({ minimum: 0, description: 'end of the last task' }) }),
  source: { basis: 'practice', text: 'Every order of the tasks that can matter; each task lies in open hours' },
  compute({ tasks, crews, closedHours }) {
    const known = new Set(tasks.map((task) => task.id));
    tasks.forEach((task, i) => {
      if (tasks.findIndex(({ id }) => id === task.id) < i) refuse(`tasks[${i}].id`, `Two tasks are called “${task.id}”: give each an id of its own.`);
      task.after.forEach((other, k) => {
        if (!known.has(other)) refuse(`tasks[${i}].after[${k}]`, `“${task.id}” waits for “${other}”, which is no task here.`);
      });
      for (const [name, count] of Object.entries(task.crews)) {
        if (!Object.hasOwn(crews, name))
          refuse(`tasks[${i}].crews.${name}`, `“${task.id}” takes ${count} of “${name}”, a crew that is not there: say how many there are.`);
        if (count > crews[name]!)
          refuse(`tasks[${i}].crews.${name}`, `“${task.id}” takes ${count} of “${name}”, and there are ${crews[name]}: it can never begin.`);
      }
    });
    if (!inOrder(tasks)) refuse('tasks', 'Some tasks wait for one another in a ring: none of them can begin. Take one of the waits out.');
    const makespan = leastFinish(tasks, crews, closedHours);
    if (makespan === null)
      refuse(
        'tasks',
        `The least finish of these ${tasks.length} tasks was not found: too many orders of them are as good. Join tasks that follow one another, or take fewer.`,
      );
    return { makespan: makespan! };
  },
  work: (i, o) => [
    {
      label: 'Tasks',
      numbers: phrase`${String(i.tasks.length)} tasks of ${String(i.tasks.reduce((sum, { hours }) => sum + hours, 0))} hours, ${String(new Set(i.closedHours).size)} hours closed`,
      result: `${o.makespan} h`,
    },
  ],
});
