import { useCallback, useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { Shelf } from '../contracts/shelf.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { downloadText } from '../kit/download.ts';
import { type Draft, designIn, forgetDraft, heldDrafts, listDrafts } from '../kit/kept/drafts.ts';
import { clockText } from '../wording/measures.ts';
import type { ShelfActions } from './shelf-actions.ts';

interface KeptDraftsProps {
  readonly shelf: Shelf;
  readonly actions: ShelfActions;
}

/** Work that this browser keeps and the server does not have, of pages that are not open any more. */
export function KeptDrafts({ shelf, actions }: KeptDraftsProps) {
  const [drafts, setDrafts] = useState<readonly Draft[]>([]);
  const look = useCallback(async () => {
    const [kept, held] = await Promise.all([listDrafts(), heldDrafts()]);
    setDrafts(kept.filter(({ key }) => !held.has(key)));
  }, []);
  useEffect(() => {
    void look();
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [look]);
  if (drafts.length === 0) return null;
  const hung = new Set(shelf.ranges.flatMap(({ designs }) => designs.map(({ id }) => id)));
  return (
    <section aria-label="Kept in this browser" className="mx-[26px] mt-4 rounded-card bg-weld-pale px-4 py-3">
      <h2 className="text-[15px] text-weld">Kept in this browser, not saved</h2>
      <ul className="m-0 mt-1 list-none p-0">
        {drafts.map((draft) => (
          <DraftRow
            key={draft.key}
            draft={draft}
            isHung={hung.has(draft.id)}
            actions={actions}
            onGone={() => void forgetDraft(draft.key).then(look)}
          />
        ))}
      </ul>
    </section>
  );
}

interface DraftRowProps {
  readonly draft: Draft;
  readonly isHung: boolean;
  readonly actions: ShelfActions;
  readonly onGone: () => void;
}

function DraftRow({ draft, isHung, actions, onGone }: DraftRowProps) {
  const design = designIn(draft);
  const saveAsNew = async () => {
    if (design !== undefined && (await actions.add({ ...design, number: '' }))) {
      onGone();
      toast(`Saved “${design.name}” as a new design.`);
    }
  };
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
      {design !== undefined && (
        <ClothSwatch design={design} width={72} height={44} perThread={1} decorative />
      )}
      <span className="font-semibold">{draft.name}</span>
      <span className="text-ash">{clockText(draft.at)}</span>
      {design === undefined && <span className="text-ash">kept by a newer Vetro</span>}
      <span className="flex-1" />
      {isHung && design !== undefined && (
        <a className="button no-underline" href={`/bench/${draft.id}`}>
          Open
        </a>
      )}
      {design === undefined ? (
        <button
          type="button"
          className="button"
          onClick={() => downloadText(`${draft.name}.json`, JSON.stringify(draft.document))}
        >
          Download
        </button>
      ) : (
        <button type="button" className="button" onClick={() => void saveAsNew()}>
          Save as a new design
        </button>
      )}
      <button type="button" className="button button-plain ml-6 text-madder" onClick={onGone}>
        Delete
      </button>
    </li>
  );
}
