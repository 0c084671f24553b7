import '../workers/no-eval.ts';

import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { BackupsState, OpenedShelf, Taken, TakeRequest } from '../contracts/backups.ts';
import { BrokenPage } from '../kit/broken-part.tsx';
import { PageHeader } from '../kit/page-header.tsx';
import { Safely } from '../kit/safely.tsx';
import { Toasts } from '../kit/toasts.tsx';
import { bringArchive } from '../kit/uploads/bring-archive.ts';
import { clockText } from '../wording/measures.ts';
import { takenWords } from '../wording/shelf-words.ts';
import { BackupList } from './backup-list.tsx';
import { MoveShelf } from './move-shelf.tsx';
import { OpenedShelfView } from './opened-shelf.tsx';
import {
  archiveOf,
  howFar,
  lookAgain,
  makeOne,
  nameSecond,
  openBackup,
  readState,
  stopTaking,
  takeFrom,
} from './requests.ts';
import { SecondPlace } from './second-place.tsx';

const client = new QueryClient();
const STATE = ['backups'];

/** Milliseconds between two looks at how far taking is. */
const ASK_AGAIN = 300;

/** The screen on which a shelf is backed up, brought back and moved. */
export function Backups({ initial }: { initial: BackupsState }) {
  return (
    <QueryClientProvider client={client}>
      <Safely broken={(again) => <BrokenPage again={again} />}>
        <OpenBackups initial={initial} />
      </Safely>
      <Toasts />
    </QueryClientProvider>
  );
}

function OpenBackups({ initial }: { initial: BackupsState }) {
  const queries = useQueryClient();
  const { data: state } = useQuery({ queryKey: STATE, queryFn: readState, initialData: initial });
  const [opened, setOpened] = useState<{ readonly name: string; readonly shelf: OpenedShelf }>();
  const [busy, setBusy] = useState('');
  const id = opened?.shelf.id;
  const [taken, setTaken] = useState<Taken>();
  /** Does one thing at a time, and tells what went wrong. */
  const act = async (words: string, work: () => Promise<void>) => {
    setBusy(words);
    try {
      await work();
    } catch (error) {
      toast.error((error as Error).message, { duration: 20_000 });
    }
    setBusy('');
    await queries.invalidateQueries({ queryKey: STATE });
  };
  const bring = (files: readonly File[]) =>
    act('Reading the archive…', async () => {
      setOpened({ name: '', shelf: await bringArchive(await archiveOf(files)) });
    });
  const compare = useCallback(async () => {
    if (id === undefined) return;
    const shelf = await lookAgain(id);
    setOpened((was) => (was?.shelf.id === id ? { ...was, shelf } : was));
  }, [id]);
  const take = async (wish: TakeRequest): Promise<boolean> => {
    let isTaken = false;
    await act('Taking…', async () => {
      let now = await takeFrom(id!, wish);
      for (; now.state === 'taking'; now = await howFar(id!)) {
        setTaken(now);
        await new Promise((later) => setTimeout(later, ASK_AGAIN));
      }
      setTaken(undefined);
      isTaken = now.state === 'taken';
      if (now.state === 'taken') toast.success(takenWords(now), { duration: 20_000 });
      if (now.state === 'stopped') toast('Stopped. Nothing was changed.');
      if (now.state === 'failed') toast.error(now.problem, { duration: 20_000 });
      await compare();
    });
    return isTaken;
  };
  // Whoever comes back may have worked on the shelf meanwhile.
  useEffect(() => {
    const look = () => void compare().catch(() => undefined);
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [compare]);
  // A shelf that was brought elsewhere is looked at here.
  useEffect(() => {
    const brought = new URLSearchParams(window.location.search).get('opened');
    if (brought === null) return;
    lookAgain(brought).then(
      (shelf) => setOpened({ name: '', shelf }),
      (error: Error) => toast.error(error.message),
    );
  }, []);
  const [last] = state.backups;
  return (
    <>
      <PageHeader here="Backups" />
      <main className="mx-auto grid max-w-[1320px] grid-cols-[400px_minmax(0,1fr)] gap-6 px-6 py-7 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-5">
          <section aria-label="Backups" className="rounded-card bg-paper px-5 py-4">
            <div className="mb-2 flex items-baseline gap-3">
              <h1 className="m-0 flex-1 text-[22px]">Backups</h1>
              <button
                type="button"
                className="button"
                disabled={busy !== ''}
                onClick={() => void act('Backing up…', async () => void (await makeOne()))}
              >
                Back up now
              </button>
            </div>
            {state.trouble.map((sentence) => (
              <p
                key={sentence}
                role="alert"
                className="my-2 rounded-card bg-madder-pale px-3 py-2 text-madder"
              >
                {sentence}
              </p>
            ))}
            <p role="status" className="mt-0 mb-2 text-[13.5px] text-ash">
              {busy !== ''
                ? busy
                : last === undefined
                  ? 'None yet.'
                  : `Last one ${clockText(last.at)}. Every hour in which something changed.`}
            </p>
            <BackupList
              state={state}
              opened={opened?.name}
              busy={busy !== ''}
              onOpen={(name) =>
                void act('Opening the backup…', async () =>
                  setOpened({ name, shelf: await openBackup(name) }),
                )
              }
            />
            <p className="mt-3 mb-0 break-all text-[12.5px] text-ash">In {state.folder}</p>
          </section>
          <section aria-label="Second place" className="rounded-card bg-paper px-5 py-4">
            <h2 className="mt-0 mb-2 text-[17px]">Second place</h2>
            <SecondPlace
              state={state}
              busy={busy !== ''}
              onName={(folder) => void act('Copying…', async () => void (await nameSecond(folder)))}
            />
          </section>
          <section aria-label="Move the shelf" className="rounded-card bg-paper px-5 py-4">
            <h2 className="mt-0 mb-2 text-[17px]">Move the shelf</h2>
            <MoveShelf busy={busy !== ''} onFiles={(files) => void bring(files)} />
          </section>
        </div>
        {opened === undefined ? (
          <p className="m-0 self-start rounded-card bg-paper p-8 text-ash">
            Look into a backup to see what it holds that is missing or different now, and to bring it back:
            one design, a range, or the whole shelf.
          </p>
        ) : (
          <OpenedShelfView
            key={opened.shelf.id}
            shelf={opened.shelf}
            taken={taken}
            onTake={take}
            onStop={() => void stopTaking(opened.shelf.id)}
          />
        )}
      </main>
    </>
  );
}
