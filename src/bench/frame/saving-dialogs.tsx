import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '../../core/design/design-schema.ts';
import { Dialog } from '../../kit/dialog.tsx';
import {
  type Draft,
  designIn,
  draftKey,
  forgetDraft,
  heldDrafts,
  listDrafts,
  sameDocument,
} from '../../kit/kept/drafts.ts';
import { clockText } from '../../wording/measures.ts';
import { keepBoth, saveBeside, takeTheirs } from '../state/autosave.ts';
import { benchState, dispatch, useBenchState } from '../state/bench-store.ts';
import { adoptDraft } from '../state/keep-work.ts';

/** Told when the design was saved somewhere else in the meantime; nothing is written over until one is chosen. */
export function StaleDialog() {
  const saved = useBenchState((state) => state.saved);
  const later = () => dispatch({ kind: 'saving', saved: { kind: 'stale', asking: false } });
  return (
    <Dialog open={saved.kind === 'stale' && saved.asking} onOpenChange={later} title="Changed somewhere else">
      <p className="mb-4">
        Another window has saved this design since you opened it. Yours is still here and is not lost.
      </p>
      <div className="flex flex-col gap-2">
        <button type="button" className="button button-go" onClick={() => void told(keepBoth)}>
          Keep both: save mine as a new design
        </button>
        <button type="button" className="button" onClick={() => void takeTheirs()}>
          Take theirs, and leave mine
        </button>
      </div>
    </Dialog>
  );
}

async function told(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    toast.error((error as Error).message);
  }
}

/** A draft that can be gone on with: its page is not open any more, and the server does not have it. */
interface Offer {
  readonly draft: Draft;
  readonly design: Design;
}

/** Drafts of the open design; those that the server has by now are forgotten. */
async function offersOf(): Promise<readonly Offer[]> {
  const { id, stored } = benchState();
  const [drafts, held] = await Promise.all([listDrafts(id), heldDrafts()]);
  const offers: Offer[] = [];
  for (const draft of drafts) {
    if (draft.key === draftKey(id) || held.has(draft.key)) continue;
    const design = designIn(draft);
    // What a newer Vetro kept stays where it is; the shelf lists it.
    if (design === undefined) continue;
    if (sameDocument(stored, design)) await forgetDraft(draft.key);
    else offers.push({ draft, design });
  }
  return offers;
}

/** Offers what earlier pages could not save, one after the other; put off, it is offered again. */
export function DraftDialog() {
  const [offers, setOffers] = useState<readonly Offer[]>([]);
  const version = useBenchState((state) => state.version);
  useEffect(() => void offersOf().then(setOffers), []);
  const [offer] = offers;
  if (offer === undefined) return null;
  const { draft, design } = offer;
  const current = draft.version === version;
  const next = () => setOffers(offers.slice(1));
  const goOn = () => {
    adoptDraft(draft.key);
    dispatch({ kind: 'edit', edit: () => design });
    next();
  };
  const beside = async () => {
    const { id } = await saveBeside(design);
    await forgetDraft(draft.key);
    window.location.assign(`/bench/${id}`);
  };
  return (
    <Dialog open onOpenChange={next} title="There is work that was not saved">
      <p className="mb-4">
        A change of {clockText(draft.at)} could not be saved. It was kept in this browser.
        {current ? '' : ' The design has been saved somewhere else since.'}
      </p>
      <div className="flex flex-col gap-2">
        <button type="button" className="button button-go" onClick={current ? goOn : () => void told(beside)}>
          {current ? 'Go on with it' : 'Keep both: save it as a new design'}
        </button>
        <button
          type="button"
          className="button"
          onClick={() => {
            void forgetDraft(draft.key);
            next();
          }}
        >
          Delete it, and go on with what is saved
        </button>
      </div>
    </Dialog>
  );
}
