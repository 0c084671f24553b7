import { MessageChannel } from 'node:worker_threads';
import type { Pools } from './pools.ts';
import { pouredFrom } from './pour.ts';
import { type Rows, TASKS } from './tasks.ts';

/** The same work without threads, for development and tests, where there is no built worker. */
export const workHere: Pools = {
  file: (design, file, query) => {
    const { port1, port2 } = new MessageChannel();
    return pouredFrom(port1, TASKS.file({ design, file, query: String(query), port: port2 }));
  },
  make: (order, { told }) => {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (rows: Rows) => told({ ...rows, stands: '' }));
    return TASKS.make({ ...order, port: port2 });
  },
  print: (order) => TASKS.print(order),
  picture: (bytes) => TASKS.picture(bytes),
  keep: (bytes) => TASKS.keep(bytes),
  pixels: (file) => TASKS.pixels(file),
  prove: (design) => TASKS.prove(design),
  read: (text) => TASKS.read(text),
  readBody: (text) => TASKS.readBody(text),
  backUp: (order) => TASKS.backUp(order),
  checkSecond: (order) => TASKS.checkSecond(order),
  openBackup: (order) => TASKS.openBackup(order),
  writeArchive: (order) => TASKS.writeArchive(order),
  readArchive: (order) => TASKS.readArchive(order),
  close: () => Promise.resolve(),
};
