import { useCallback, useEffect, useState } from 'react';
import { toast } from 'sonner';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { downloadText } from '../kit/download.ts';
import { type Draft, designIn, forgetDraft, heldDrafts, listDrafts } from '../kit/kept/drafts.ts';
import { request } from '../kit/request.ts';
import { clockText } from '../wording/measures.ts';
import type { ShelfActions } from './shelf-actions.ts';

interface KeptDraftsProps {
  readonly actions: ShelfActions;
}

/** Work that this browser keeps and the server does not have, of pages that are not open any more. */
export function KeptDrafts({ actions }: KeptDraftsProps) {
  const [drafts, setDrafts] = useState<readonly Draft[]>([]);
  const [hung, setHung] = useState<ReadonlySet<string>>(new Set());
  const look = useCallback(async () => {
    const [kept, held] = await Promise.all([listDrafts(), heldDrafts()]);
    const left = kept.filter(({ key }) => !held.has(key));
    setDrafts(left);
    setHung(await hungAmong(left.map(({ id }) => id)));
  }, []);
  useEffect(() => {
    void look();
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [look]);
  if (drafts.length === 0) return null;
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

/** Those of some designs that hang on the shelf. */
async function hungAmong(ids: readonly string[]): Promise<ReadonlySet<string>> {
  const found = await Promise.all(
    [...new Set(ids)].map((id) =>
      request('GET', `/api/designs/${id}`).then(
        () => [id],
        () => [],
      ),
    ),
  );
  return new Set(found.flat());
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
