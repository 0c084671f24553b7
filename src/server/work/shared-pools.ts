import { workHere } from './here.ts';
import { makePools, type Pools } from './pools.ts';

let made: Pools | undefined;

/** The server's pools of threads; VETRO_WORKER names the built worker, without which the work is done here. */
export function sharedPools(): Pools {
  const worker = process.env['VETRO_WORKER'];
  made ??= worker === undefined ? workHere : makePools(worker);
  return made;
}
