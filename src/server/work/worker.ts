import { outcomeOf } from './outcome.ts';
import { type Order, TASKS, type TaskName } from './tasks.ts';

/** What a thread of the pools does with an order. */
export default function work<Name extends TaskName>({ name, order }: { name: Name; order: Order<Name> }) {
  const task = TASKS[name] as (order: Order<Name>) => Promise<unknown>;
  return outcomeOf(() => task(order));
}
