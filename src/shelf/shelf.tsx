import '../workers/no-eval.ts';

import { QueryClient, QueryClientProvider, useQueryClient } from '@tanstack/react-query';
import { Search, Star } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Range, Shelf as ShelfContents, Summary } from '../contracts/shelf.ts';
import { type ShelfOrder, type ShelfView, WHOLE_SHELF } from '../contracts/shelf-wish.ts';
import type { Kind } from '../core/design/construction.ts';
import { type ByKind, KINDS } from '../core/design/constructions.ts';
import type { Design } from '../core/design/design-schema.ts';
import { BrokenPage } from '../kit/broken-part.tsx';
import { CommandMenu } from '../kit/commands/command-menu.tsx';
import { designCommands, startCommands } from '../kit/commands/shelf-commands.ts';
import { useCommandKey } from '../kit/commands/use-command-key.ts';
import { Choice } from '../kit/fields/choice.tsx';
import { beginFirst } from '../kit/kept/first-visit.ts';
import { useKeptFocus } from '../kit/kept-focus.ts';
import { Safely } from '../kit/safely.tsx';
import { Toasts } from '../kit/toasts.tsx';
import { KIND_NAMES, WORDS } from '../wording/construction-words.ts';
import { plural } from '../wording/measures.ts';
import { BinDialog } from './bin-dialog.tsx';
import { CollectionDialog } from './collection-dialog.tsx';
import { EmptyShelf } from './empty-shelf.tsx';
import { KeptDrafts } from './kept-drafts.tsx';
import { More } from './more.tsx';
import { MoveDialog } from './move-dialog.tsx';
import { NewDialog } from './new-dialog.tsx';
import { NewFromPicture } from './new-from-picture.tsx';
import { type ShelfActions, shelfActions } from './shelf-actions.ts';
import { ShelfHeader } from './shelf-header.tsx';
import { SwatchCard } from './swatch-card.tsx';
import { useDroppedFiles } from './use-dropped-files.ts';
import { useShelf } from './use-shelf.ts';

const client = new QueryClient();

/** The screen that holds all designs and ranges. */
export function Shelf({ initial }: { initial: ShelfContents }) {
  return (
    <QueryClientProvider client={client}>
      <Safely broken={(again) => <BrokenPage again={again} />}>
        <OpenShelf initial={initial} />
      </Safely>
      <Toasts />
    </QueryClientProvider>
  );
}

function OpenShelf({ initial }: { initial: ShelfContents }) {
  const [view, setView] = useState<ShelfView>(WHOLE_SHELF);
  const { shelf, more } = useShelf(initial, view);
  const queries = useQueryClient();
  const actions = useMemo(() => shelfActions(queries), [queries]);
  const [begun, setBegun] = useState<keyof ByKind>();
  const [picture, setPicture] = useState<File | 'choose'>();
  const [moving, setMoving] = useState<Summary>();
  const [binOpen, setBinOpen] = useState(false);
  const [searching, setSearching] = useState(false);
  const [search] = useState(() => () => setSearching(true));
  const picker = useRef<HTMLInputElement>(null);
  useCommandKey(search);
  useKeptFocus();
  const { ranges, total } = shelf;
  const make = (design: Design) => {
    if (total === 0) beginFirst();
    void actions.open(design);
  };
  const commandsOf = () => [
    ...(Object.keys(KINDS) as (keyof ByKind)[]).map((kind) => ({
      group: 'Actions',
      text: `New design: ${WORDS[kind].begun}`,
      also: WORDS[kind].about,
      run: () => setBegun(kind),
    })),
    { group: 'Actions', text: 'New design: From a photograph', run: () => setPicture('choose') },
    { group: 'Actions', text: 'Import files', run: () => picker.current?.click() },
    { group: 'Actions', text: 'Open the bin', run: () => setBinOpen(true) },
    ...startCommands((sentence) => toast.error(sentence)),
  ];
  /** A picture goes to its bands; other files are designs. */
  const importFiles = (files: readonly File[]) => {
    const archive = files.find(({ name }) => /\.zip$/i.test(name));
    if (archive !== undefined) return void actions.bringArchive(archive);
    const pictures = files.filter(({ type }) => type.startsWith('image/'));
    const others = files.filter((file) => !pictures.includes(file));
    if (pictures.length > 0) setPicture(pictures[0]);
    if (others.length > 0) void actions.importFiles(others);
  };
  useDroppedFiles(importFiles);
  return (
    <div className="min-h-dvh pb-16">
      <ShelfHeader
        binned={shelf.binned}
        picker={picker}
        onSearch={search}
        onBin={() => setBinOpen(true)}
        onImport={importFiles}
        onNew={() => setBegun('plaid')}
      />
      <main>
        <KeptDrafts actions={actions} />
        {shelf.unreadable > 0 && (
          <p role="status" className="mx-[26px] mt-4 rounded-card bg-weld-pale px-4 py-2 text-weld">
            {plural(shelf.unreadable, 'design')} cannot be read by this Vetro. Nothing of it is deleted:
            update Vetro, or look into the database.
          </p>
        )}
        {total === 0 ? (
          <EmptyShelf onNew={setBegun} onPicture={() => setPicture('choose')} />
        ) : (
          <>
            <FindBar title={shelf.title} view={view} onChange={setView} />
            {ranges.map((range) => (
              <RangeRow key={range.id} range={range} actions={actions} onMove={setMoving} />
            ))}
            {more !== undefined && <More shown={shelf} onMore={more} />}
            {ranges.length === 0 && (
              <p className="px-[26px] py-12 text-center text-ash">
                No design matches “{view.search}”{view.kind === 'all' ? '' : ` among the ${view.kind}s`}.{' '}
                <button
                  type="button"
                  className="text-woad underline"
                  onClick={() => setView({ ...WHOLE_SHELF, order: view.order })}
                >
                  Show all {total}
                </button>
              </p>
            )}
          </>
        )}
      </main>
      {begun !== undefined && <NewDialog kind={begun} onClose={() => setBegun(undefined)} onMake={make} />}
      {picture !== undefined && (
        <NewFromPicture
          {...(picture !== 'choose' && { file: picture })}
          onClose={() => setPicture(undefined)}
          onMake={make}
        />
      )}
      <CommandMenu
        open={searching}
        onOpenChange={setSearching}
        commandsOf={commandsOf}
        moreOf={designCommands}
      />
      {binOpen && <BinDialog actions={actions} onClose={() => setBinOpen(false)} />}
      {moving !== undefined && (
        <MoveDialog
          design={moving}
          ranges={shelf.rangeNames}
          onClose={() => setMoving(undefined)}
          onMove={(range) => {
            void actions.move(moving, range);
            setMoving(undefined);
          }}
        />
      )}
    </div>
  );
}

const ORDER_NAMES: Readonly<Record<ShelfOrder, string>> = {
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
      <button
        type="button"
        aria-pressed={view.favourites}
        className="button aria-pressed:border-woad aria-pressed:bg-woad-pale aria-pressed:text-woad"
        onClick={() => onChange({ ...view, favourites: !view.favourites })}
      >
        <Star size={15} aria-hidden="true" /> Favourites
      </button>
      <select
        aria-label="Order"
        className="field w-auto"
        value={view.order}
        onChange={(event) => onChange({ ...view, order: event.target.value as ShelfOrder })}
      >
        {Object.entries(ORDER_NAMES).map(([order, name]) => (
          <option key={order} value={order}>
            {name}
          </option>
        ))}
      </select>
      <label className="relative w-[230px]">
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
  const [collecting, setCollecting] = useState(false);
  return (
    <section className="px-[26px] pt-3.5" aria-label={range.name || 'In no range'}>
      <h2 className="flex items-baseline gap-2.5 text-[17px]">
        {range.name || 'In no range'}
        <small className="font-normal font-text text-[13px] text-ash">
          {plural(range.count, 'design')}, all at half true size
        </small>
        {range.id !== '' && (
          <button
            type="button"
            className="py-1 font-normal font-text text-[13px] text-woad underline"
            onClick={() => setCollecting(true)}
          >
            Collection sheet…
          </button>
        )}
      </h2>
      <ul className="m-0 mt-2.5 flex list-none flex-wrap gap-x-[22px] gap-y-5 p-0">
        {range.designs.map((design) => (
          <SwatchCard key={design.id} design={design} actions={actions} onMove={() => onMove(design)} />
        ))}
      </ul>
      {collecting && <CollectionDialog range={range} onClose={() => setCollecting(false)} />}
    </section>
  );
}
