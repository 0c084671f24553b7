import type { QueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { savedAnswer } from '../contracts/design.ts';
import type { Summary } from '../contracts/shelf.ts';
import type { Design } from '../core/design/design-schema.ts';
import { designFromFile, mostBytes } from '../core/design/exchange/read-file.ts';
import { CoreError } from '../core/error.ts';
import { decodeText } from '../kit/decode-text.ts';
import { postDesign } from '../kit/post-design.ts';
import { request } from '../kit/request.ts';
import { errorSentence } from '../wording/error-sentence.ts';
import { plural } from '../wording/measures.ts';

/** The shelf's key among the page's queries. */
export const SHELF = ['shelf'] as const;

/** What can be done to the designs on the shelf; each tells what went wrong and hangs the shelf anew. */
export function shelfActions(client: QueryClient) {
  const hangAnew = () => client.invalidateQueries({ queryKey: SHELF });
  const attempt = async (work: () => Promise<unknown>) => {
    try {
      await work();
    } catch (error) {
      toast.error((error as Error).message);
    }
    await hangAnew();
  };
  const restore = ({ id }: Pick<Summary, 'id'>) =>
    attempt(() => request('POST', `/api/designs/${id}/restore`));
  return {
    open: (design: Design) =>
      attempt(async () => {
        const { id } = savedAnswer.parse(await postDesign(design));
        window.location.assign(`/bench/${id}`);
      }),
    /** Adds a design and stays. @returns whether it is stored */
    add: async (design: Design): Promise<boolean> => {
      let stored = false;
      await attempt(async () => {
        await postDesign(design);
        stored = true;
      });
      return stored;
    },
    copy: ({ id, name }: Summary) =>
      attempt(async () => {
        await request('POST', `/api/designs/${id}/copy`);
        toast(`Duplicated “${name}”.`);
      }),
    rename: ({ id }: Summary, name: string) =>
      attempt(() => request('POST', `/api/designs/${id}/rename`, { name })),
    move: ({ id }: Summary, range: string) =>
      attempt(() => request('POST', `/api/designs/${id}/move`, { range })),
    remove: ({ id, name }: Summary) =>
      attempt(async () => {
        await request('DELETE', `/api/designs/${id}`);
        toast(`Deleted “${name}”.`, {
          // It stays until it is used or put away, so that nobody has to hurry.
          duration: Number.POSITIVE_INFINITY,
          closeButton: true,
          action: { label: 'Undo', onClick: () => void restore({ id }) },
        });
      }),
    restore,
    deleteForEver: ({ id }: Pick<Summary, 'id'>) => attempt(() => request('DELETE', `/api/bin/${id}`)),
    emptyBin: () => attempt(() => request('DELETE', '/api/bin')),
    favourite: ({ id, favourite }: Summary) =>
      attempt(() => request('POST', `/api/designs/${id}/favourite`, { favourite: !favourite })),
    /** Reads an archive; what it holds is looked at and chosen from on the page of backups. */
    bringArchive: (file: File) =>
      attempt(async () => {
        const waiting = toast.loading('Reading the archive…');
        try {
          const { bringArchive } = await import('../kit/uploads/bring-archive.ts');
          const { id } = await bringArchive(file);
          window.location.assign(`/backups?opened=${id}`);
        } finally {
          toast.dismiss(waiting);
        }
      }),
    importFiles: async (files: readonly File[]) => {
      const brought = await Promise.all(files.map(importFiles));
      const ids = brought.filter((id) => id !== undefined);
      if (ids.length === 1 && files.length === 1) window.location.assign(`/bench/${ids[0]}`);
      else if (ids.length > 0) toast(`Imported ${plural(ids.length, 'design')}.`);
      await hangAnew();
    },
  };
}

export type ShelfActions = ReturnType<typeof shelfActions>;

/** Reads one file and stores it; what is wrong with it is told and nothing is changed. */
async function importFiles(file: File): Promise<string | undefined> {
  try {
    const most = mostBytes(file.name);
    if (file.size > most) throw new CoreError('file/too-large', { size: file.size, most });
    const document = designFromFile(file.name, decodeText(await file.arrayBuffer()));
    return savedAnswer.parse(await postDesign(document)).id;
  } catch (error) {
    toast.error(`${file.name}: ${errorSentence(error) ?? (error as Error).message}`, { duration: 20_000 });
    return undefined;
  }
}
