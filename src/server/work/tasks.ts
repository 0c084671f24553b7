import type { MessagePort } from 'node:worker_threads';
import type { PrintOrder } from '../../contracts/print-house.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { readDesignText } from '../../core/design/read-design.ts';
import { NO_PICTURES, type Picture, type Pictures } from '../../core/shape/picture.ts';
import type { MadeBackup, WholeBackupOrder } from '../backups/backup-task.ts';
import type { OpenBackupOrder } from '../backups/open-backup.ts';
import type { SecondOrder } from '../backups/second-place.ts';
import { bodyWithDesign } from '../body-with-design.ts';
import type { ReadyPicture } from '../pictures/keep-picture.ts';
import type { PackedPicture } from '../pictures/pack-picture.ts';
import { printOrderOf, tileQuery } from '../print-house/print-wish.ts';
import { type Proven, provenOf } from '../proving/proven.ts';
import { makeFile } from '../sending/make-file.ts';
import { sendFile } from '../sending/send-file.ts';
import { writeStream } from '../sending/write-stream.ts';
import type { ArchiveFacts, ReadArchiveOrder } from '../shelves/read-archive.ts';
import type { ArchiveOrder } from '../shelves/write-archive.ts';
import { pourInto } from './pour.ts';

/** A file that is asked for, and the port that its bytes go to. */
export interface FileOrder {
  readonly design: Design;
  readonly file: string;
  readonly query: string;
  readonly port: MessagePort;
}

/** A file that is to be made at a path, and the port that hears of its rows. */
export interface MakeOrder extends FileOrder {
  /** Further designs, for a file that holds several. */
  readonly others: readonly Design[];
  readonly path: string;
}

/** What is to be printed, and where its file is put meanwhile. */
export interface ReadyPrint {
  readonly design: Design;
  readonly kind: PrintOrder['kind'];
  readonly query: string;
  readonly path: string;
}

/** Rows of a file that are made, and how many there are. */
export interface Rows {
  readonly made: number;
  readonly of: number;
}

/** Milliseconds between two times that rows are told. */
const EVERY = 200;

/** Work that takes long or much memory: it runs in threads of its own, never on the server's event loop. */
export const TASKS = {
  prove: async (design: Design): Promise<Proven> => provenOf(design, await picturesIn(design)),
  file: ({ design, file, query, port }: FileOrder): Promise<void> =>
    pourInto(port, async () =>
      sendFile({ design, file, query: new URLSearchParams(query), pictures: await picturesIn(design) }),
    ),
  make: async ({ design, others, file, query, path, port }: MakeOrder): Promise<void> => {
    let last = 0;
    const told = (made: number, of: number) => {
      const now = Date.now();
      if (now - last < EVERY) return;
      last = now;
      port.postMessage({ made, of } satisfies Rows);
    };
    try {
      const asked = new URLSearchParams(query);
      const further = await Promise.all(
        others.map(async (each) => ({ design: each, pictures: await picturesIn(each) })),
      );
      const pictures = await picturesIn(design);
      const { pieces } = makeFile({ design, others: further, file, query: asked, pictures, told });
      await writeStream(path, pieces, file);
    } finally {
      port.close();
    }
  },
  print: async ({ design, kind, query, path }: ReadyPrint): Promise<PrintOrder> => {
    const wish = { design, kind, query: new URLSearchParams(query) };
    const pictures = await picturesIn(design);
    const order = printOrderOf(wish, pictures);
    const { pieces } = makeFile({ design, file: 'tile.png', query: tileQuery(wish), pictures });
    await writeStream(path, pieces, 'tile.png');
    return order;
  },
  /** A document as text, as it is read: up to date, in order, and without what does not belong in it. */
  read: async (text: string): Promise<string> => JSON.stringify(readDesignText(text)),
  /** A request's body as text, whose document is read. */
  readBody: async (text: string): Promise<string> => JSON.stringify(bodyWithDesign(text)),
  // Only a thread that reads pictures loads what reads them.
  picture: async (bytes: Uint8Array): Promise<PackedPicture> =>
    (await import('../pictures/pack-picture.ts')).packPicture(bytes),
  keep: async (bytes: Uint8Array): Promise<ReadyPicture> =>
    (await import('../pictures/keep-picture.ts')).readyPicture(bytes),
  pixels: async (file: Uint8Array): Promise<Omit<Picture, 'file'>> =>
    (await import('../pictures/decoded-pictures.ts')).decodePicture(file),
  // So with what copies and moves shelves.
  backUp: async (order: WholeBackupOrder): Promise<MadeBackup> =>
    (await import('../backups/backup-task.ts')).backUp(order),
  checkSecond: async (order: SecondOrder): Promise<void> =>
    (await import('../backups/second-place.ts')).checkSecond(order),
  openBackup: async (order: OpenBackupOrder): Promise<string> =>
    (await import('../backups/open-backup.ts')).openBackup(order),
  writeArchive: async (order: ArchiveOrder): Promise<number> =>
    (await import('../shelves/write-archive.ts')).writeArchive(order),
  readArchive: async (order: ReadArchiveOrder): Promise<ArchiveFacts> =>
    (await import('../shelves/read-archive.ts')).readArchive(order),
} as const;

/** The pictures that a design shows and carries. */
async function picturesIn(design: Design): Promise<Pictures> {
  if (Object.keys(design.pictures).length === 0) return NO_PICTURES;
  return (await import('../pictures/decoded-pictures.ts')).decodedPictures(design);
}

export type TaskName = keyof typeof TASKS;
export type Order<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type Result<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
