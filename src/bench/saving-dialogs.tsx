import { useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '../core/design/design-schema.ts';
import { Dialog } from '../kit/dialog.tsx';
import { findDraft, forgetDraft, saveBeside } from './autosave.ts';
import { benchState, dispatch, useBenchState } from './bench-store.ts';

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
        <button
          type="button"
          className="button button-go"
          onClick={() => void keepBoth(benchState().history.present)}
        >
          Keep both: save mine as a new design
        </button>
        <button type="button" className="button" onClick={takeTheirs}>
          Take theirs, and leave mine
        </button>
      </div>
    </Dialog>
  );
}

async function keepBoth(design: Design): Promise<void> {
  try {
    const { id } = await saveBeside(design);
    window.location.assign(`/bench/${id}`);
  } catch (error) {
    toast.error((error as Error).message);
  }
}

function takeTheirs(): void {
  forgetDraft(benchState().id);
  window.location.reload();
}

/** Offers what an earlier visit could not save. */
export function DraftDialog() {
  const [draft, setDraft] = useState(findDraft);
  const version = useBenchState((state) => state.version);
  if (draft === undefined) return null;
  const current = draft.version === version;
  const goOn = () => {
    if (current) dispatch({ kind: 'edit', edit: () => draft.design });
    else void keepBoth(draft.design);
    setDraft(undefined);
  };
  const leave = () => {
    forgetDraft(benchState().id);
    setDraft(undefined);
  };
  return (
    <Dialog open onOpenChange={() => setDraft(undefined)} title="There is work that was not saved">
      <p className="mb-4">
        The last time this design was open here, its last change could not be saved. It was kept in this
        browser.
        {current ? '' : ' The design has been saved somewhere else since.'}
      </p>
      <div className="flex flex-col gap-2">
        <button type="button" className="button button-go" onClick={goOn}>
          {current ? 'Go on with it' : 'Keep both: save it as a new design'}
        </button>
        <button type="button" className="button" onClick={leave}>
          Leave it, and go on with what is saved
        </button>
      </div>
    </Dialog>
  );
}
