import type { MessagePort } from 'node:worker_threads';
import type { Design } from '../../core/design/design-schema.ts';
import type { PackedPicture } from '../pictures/pack-picture.ts';
import { type Proven, provenOf } from '../proving/proven.ts';
import { sendFile } from '../sending/send-file.ts';
import { pourInto } from './pour.ts';

/** A file that is asked for, and the port that its bytes go to. */
export interface FileOrder {
  readonly design: Design;
  readonly file: string;
  readonly query: string;
  readonly port: MessagePort;
}

/** Work that takes long or much memory: it runs in threads of its own, never on the server's event loop. */
export const TASKS = {
  prove: (design: Design): Promise<Proven> => Promise.resolve(provenOf(design)),
  file: ({ design, file, query, port }: FileOrder): Promise<void> =>
    pourInto(port, () => sendFile(design, file, new URLSearchParams(query))),
  // Only a thread that reads pictures loads what reads them.
  picture: async (bytes: Uint8Array): Promise<PackedPicture> =>
    (await import('../pictures/pack-picture.ts')).packPicture(bytes),
} as const;

export type TaskName = keyof typeof TASKS;
export type Order<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type Result<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
