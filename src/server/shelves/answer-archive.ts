import { createReadStream } from 'node:fs';
import { rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { sharedBackups } from '../backups/shared-backups.ts';
import { databaseFile } from '../db/open-database.ts';
import { sharedDatabase } from '../db/shared-database.ts';
import { ownFolder } from '../own-folder.ts';
import { sharedPools } from '../work/shared-pools.ts';

/** Reads an archive that was brought, and opens it beside this shelf. @throws CoreError "archive/…" */
export async function answerBrought(
  take: () => Promise<Uint8Array<ArrayBuffer>>,
  now: string,
): Promise<Response> {
  const db = await sharedDatabase();
  const { opened } = await sharedBackups();
  const folder = await ownFolder();
  try {
    const path = join(folder, 'brought.zip');
    await writeFile(path, await take());
    const known = await db
      .selectFrom('design')
      .select(['id', 'name', 'number'])
      .where('deleted_at', 'is', null)
      .execute();
    const shelf = await opened.open({
      kind: 'archive',
      title: '',
      fill: async (file) => {
        const { title, date: at } = await sharedPools().readArchive({ path, file, now, known });
        return { title, at };
      },
    });
    return Response.json(shelf, { headers: { 'cache-control': 'no-store' } });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** The shelf as an archive. Query: `bin` for what lies in the bin too, `range` for one range alone. */
export async function answerArchive(query: URLSearchParams, now: string): Promise<Response> {
  const folder = await ownFolder();
  const path = join(folder, 'shelf.zip');
  const drop = () => rm(folder, { recursive: true, force: true });
  try {
    const range = query.get('range') ?? undefined;
    await sharedPools().writeArchive({ file: databaseFile(), path, now, bin: query.has('bin'), range });
    const { size } = await stat(path);
    const stream = createReadStream(path);
    stream.once('close', () => void drop());
    return new Response(Readable.toWeb(stream) as ReadableStream, {
      headers: {
        'content-type': 'application/zip',
        'content-length': String(size),
        'content-disposition': `attachment; filename="Vetro shelf ${now.slice(0, 10)}.zip"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    await drop();
    throw error;
  }
}
