import type { Kind, StartPoint } from '../core/design/construction.ts';
import type { PlaidDesign } from '../core/design/design-schema.ts';
import { KIND_NAMES } from '../wording/construction-words.ts';
import '../workers/no-eval.ts';

import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { Search } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Toaster } from 'sonner';
import { type Range, type Shelf as ShelfContents, type Summary, shelfSchema } from '../contracts/shelf.ts';
import { PLAID_STARTS } from '../core/design/plaid/plaid-starts.ts';
import { BrokenPage } from '../kit/broken-part.tsx';
import { Choice } from '../kit/fields/choice.tsx';
import { Mark } from '../kit/mark.tsx';
import { request } from '../kit/request.ts';
import { Safely } from '../kit/safely.tsx';
import { plural } from '../wording/measures.ts';
import { KeptDrafts } from './kept-drafts.tsx';
import { MoveDialog } from './move-dialog.tsx';
import { NewDialog } from './new-dialog.tsx';
import { Examples } from './new-plaid.tsx';
import { SHELF, type ShelfActions, shelfActions } from './shelf-actions.ts';
import { countDesigns, hang, type Order, type ShelfView } from './shelf-state.ts';
import { SwatchCard } from './swatch-card.tsx';

const client = new QueryClient();

/** The screen that holds all designs and ranges. */
export function Shelf({ initial }: { initial: ShelfContents }) {
  return (
    <QueryClientProvider client={client}>
      <Safely broken={(again) => <BrokenPage again={again} />}>
        <OpenShelf initial={initial} />
      </Safely>
      <Toaster position="bottom-left" />
    </QueryClientProvider>
  );
}

/** Milliseconds after which a verdict that is still out is asked for again. */
const CHECKING_AGAIN = 2000;

function isChecking(shelf: ShelfContents | undefined): boolean {
  return shelf?.ranges.some(({ designs }) => designs.some(({ verdict }) => verdict === 'Checking')) ?? false;
}

function OpenShelf({ initial }: { initial: ShelfContents }) {
  const { data: shelf } = useQuery({
    queryKey: SHELF,
    queryFn: async () => shelfSchema.parse(await request('GET', '/api/shelf')),
    initialData: initial,
    // While a check goes on, its verdict is looked for.
    refetchInterval: ({ state }) => (isChecking(state.data) ? CHECKING_AGAIN : false),
  });
  const queries = useQueryClient();
  const actions = useMemo(() => shelfActions(queries), [queries]);
  const [view, setView] = useState<ShelfView>({ search: '', kind: 'all', order: 'range' });
  const [start, setStart] = useState<StartPoint<PlaidDesign>>();
  const [moving, setMoving] = useState<Summary>();
  const ranges = useMemo(() => hang(shelf, view), [shelf, view]);
  const total = countDesigns(shelf);
  return (
    <section
      aria-label="Shelf"
      className="min-h-dvh pb-16"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        if (event.dataTransfer.files.length > 0) void actions.bringIn([...event.dataTransfer.files]);
      }}
    >
      <ShelfHeader actions={actions} onNew={() => setStart(PLAID_STARTS[0])} />
      <KeptDrafts shelf={shelf} actions={actions} />
      {shelf.unreadable > 0 && (
        <p role="status" className="mx-[26px] mt-4 rounded-card bg-weld-pale px-4 py-2 text-weld">
          {plural(shelf.unreadable, 'design')} cannot be read by this Vetro. Nothing of it is deleted: update
          Vetro, or look into the database.
        </p>
      )}
      {total === 0 ? (
        <EmptyShelf onStart={setStart} />
      ) : (
        <>
          <FindBar title={shelf.title} view={view} onChange={setView} />
          {ranges.map((range) => (
            <RangeRow key={range.id} range={range} actions={actions} onMove={setMoving} />
          ))}
          {ranges.length === 0 && (
            <p className="px-[26px] py-12 text-center text-ash">
              No design matches “{view.search}”{view.kind === 'all' ? '' : ` among the ${view.kind}s`}.{' '}
              <button
                type="button"
                className="text-woad underline"
                onClick={() => setView({ ...view, search: '', kind: 'all' })}
              >
                Show all {total}
              </button>
            </p>
          )}
        </>
      )}
      {start !== undefined && (
        <NewDialog
          start={start}
          onClose={() => setStart(undefined)}
          onMake={(design) => void actions.open(design)}
        />
      )}
      {moving !== undefined && (
        <MoveDialog
          design={moving}
          ranges={shelf.ranges.map((range) => range.name).filter((name) => name !== '')}
          onClose={() => setMoving(undefined)}
          onMove={(range) => {
            void actions.move(moving, range);
            setMoving(undefined);
          }}
        />
      )}
    </section>
  );
}

function ShelfHeader({ actions, onNew }: { actions: ShelfActions; onNew: () => void }) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <header className="flex h-12 items-center gap-3.5 border-rule border-b bg-paper px-[18px]">
      <Mark />
      <span className="font-[650] font-heading text-[20px]">Vetro</span>
      <b className="font-semibold">Shelf</b>
      <span className="flex-1" />
      <input
        ref={picker}
        type="file"
        multiple
        accept=".json,.csv,.txt,.wif"
        className="hidden"
        aria-label="Files to bring in"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) void actions.bringIn(files);
        }}
      />
      <button type="button" className="button" onClick={() => picker.current?.click()}>
        Bring in a file
      </button>
      <button type="button" className="button button-go" onClick={onNew}>
        New design
      </button>
    </header>
  );
}

const ORDER_NAMES: Readonly<Record<Order, string>> = {
  range: 'In their ranges',
  name: 'By name',
  newest: 'Last worked on first',
  repeat: 'Smallest repeat first',
};

interface FindBarProps {
  readonly title: string;
  readonly view: ShelfView;
  readonly onChange: (view: ShelfView) => void;
}

function FindBar({ title, view, onChange }: FindBarProps) {
  return (
    <div className="flex flex-wrap items-center gap-3 px-[26px] pt-4 pb-1.5">
      <h1 className="mr-auto text-[27px]">{title}</h1>
      <Choice
        label="Kinds"
        hideLabel
        value={view.kind}
        options={[
          { value: 'all', text: 'All' },
          ...(Object.keys(KIND_NAMES) as Kind[]).map((value) => ({ value, text: KIND_NAMES[value] })),
        ]}
        onChange={(kind) => onChange({ ...view, kind })}
      />
      <select
        aria-label="Order"
        className="field w-auto"
        value={view.order}
        onChange={(event) => onChange({ ...view, order: event.target.value as Order })}
      >
        {Object.entries(ORDER_NAMES).map(([order, name]) => (
          <option key={order} value={order}>
            {name}
          </option>
        ))}
      </select>
      <label className="relative w-[300px]">
        <Search size={15} aria-hidden="true" className="absolute top-2.5 left-3 text-ash" />
        <input
          type="search"
          aria-label="Search the shelf"
          placeholder="Name, shade, number, size…"
          className="field pl-9"
          value={view.search}
          onChange={(event) => onChange({ ...view, search: event.target.value })}
        />
      </label>
    </div>
  );
}

interface RangeRowProps {
  readonly range: Range;
  readonly actions: ShelfActions;
  readonly onMove: (design: Summary) => void;
}

function RangeRow({ range, actions, onMove }: RangeRowProps) {
  return (
    <section className="px-[26px] pt-3.5" aria-label={range.name || 'In no range'}>
      <h2 className="flex items-baseline gap-2.5 text-[17px]">
        {range.name || 'In no range'}
        <small className="font-normal font-text text-[13px] text-ash">
          {plural(range.designs.length, 'design')}, all at half true size
        </small>
      </h2>
      <ul className="m-0 mt-2.5 flex list-none flex-wrap gap-x-[22px] gap-y-5 p-0">
        {range.designs.map((design) => (
          <SwatchCard key={design.id} design={design} actions={actions} onMove={() => onMove(design)} />
        ))}
      </ul>
    </section>
  );
}

/** What to do when nothing hangs here. */
function EmptyShelf({ onStart }: { onStart: (start: StartPoint<PlaidDesign>) => void }) {
  return (
    <div className="mx-auto mt-14 max-w-[720px] rounded-card bg-paper p-8 shadow-[0_6px_22px_rgb(32_41_43/0.14)]">
      <h1 className="text-[24px]">Nothing hangs here yet</h1>
      <p className="mt-2 mb-5">
        A design begins with two sequences of threads. Write one as letters and counts, such as{' '}
        <code className="numbers">A/12 B6 C/4</code>: twelve threads of A, six of B, four of C, turning back
        on the bands with a slash. Vetro crosses it with the weft, shows the cloth, and says exactly how it
        repeats.
      </p>
      <Examples chosen={undefined} onChoose={onStart} />
      <p className="mt-5 text-ash">
        Or drop a file here: thread counts as text (.txt), a table (.csv, with the columns shade and count), a
        weave file (.wif), or a Vetro design (.json).
      </p>
    </div>
  );
}
