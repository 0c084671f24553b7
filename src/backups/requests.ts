import { zipSync } from 'fflate';
import {
  type BackupsState,
  backupsSchema,
  type OpenedShelf,
  openedSchema,
  type Taken,
  type TakeRequest,
  takenSchema,
} from '../contracts/backups.ts';
import { request } from '../kit/request.ts';

export const readState = async (): Promise<BackupsState> =>
  backupsSchema.parse(await request('GET', '/api/backups'));

export const makeOne = async (): Promise<BackupsState> =>
  backupsSchema.parse(await request('POST', '/api/backups'));

export const nameSecond = async (folder: string): Promise<BackupsState> =>
  backupsSchema.parse(await request('POST', '/api/backups/second', { folder }));

export const openBackup = async (name: string): Promise<OpenedShelf> =>
  openedSchema.parse(await request('POST', `/api/backups/${name}/open`));

export const lookAgain = async (id: string): Promise<OpenedShelf> =>
  openedSchema.parse(await request('GET', `/api/opened/${id}`));

export const takeFrom = async (id: string, wish: TakeRequest): Promise<Taken> =>
  takenSchema.parse(await request('POST', `/api/opened/${id}/take`, wish));

export const howFar = async (id: string): Promise<Taken> =>
  takenSchema.parse(await request('GET', `/api/opened/${id}/take`));

export const stopTaking = (id: string): Promise<unknown> => request('DELETE', `/api/opened/${id}/take`);

/** Files that were chosen as one archive: a zip as it is, documents of a folder as one. */
export async function archiveOf(files: readonly File[]): Promise<Blob> {
  const [first] = files;
  if (files.length === 1 && first!.name.toLowerCase().endsWith('.zip')) return first!;
  const documents = files.filter(({ name }) => name.endsWith('.json'));
  const entries = await Promise.all(
    documents.map(
      async (file): Promise<[string, Uint8Array]> => [
        file.webkitRelativePath || file.name,
        new Uint8Array(await file.arrayBuffer()),
      ],
    ),
  );
  return new Blob([new Uint8Array(zipSync(Object.fromEntries(entries), { level: 0 }))]);
}
