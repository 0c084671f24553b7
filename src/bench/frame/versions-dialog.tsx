import { useCallback, useEffect, useState } from 'react';
import { toast } from 'sonner';
import { type Revision, revisionAnswer, revisionsAnswer } from '../../contracts/revision.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { NameInPlace } from '../../kit/fields/name-in-place.tsx';
import { request } from '../../kit/request.ts';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { clockText } from '../../wording/measures.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState, dispatch } from '../state/bench-store.ts';

/** A swatch's size in CSS pixels. */
const SWATCH = { width: 150, height: 110 } as const;

/** The earlier states of the design: looked at, named, and taken back. */
export function VersionsDialog({ onClose }: { onClose: () => void }) {
  const [revisions, setRevisions] = useState<readonly Revision[]>();
  const [name, setName] = useState('');
  const path = `/api/designs/${benchState().id}/revisions`;
  const look = useCallback(async () => {
    try {
      await saveNow();
      setRevisions(revisionsAnswer.parse(await request('GET', path)));
    } catch (error) {
      toast.error((error as Error).message);
    }
  }, [path]);
  useEffect(() => void look(), [look]);
  const keep = async () => {
    await saveNow();
    await request('POST', path, { name: name.trim() }).catch((error: Error) => toast.error(error.message));
    setName('');
    await look();
  };
  return (
    <Dialog open onOpenChange={onClose} title="Versions" wide>
      <form
        className="mb-4 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') void keep();
        }}
      >
        <label className="flex-1">
          <span className="label">Name for the design as it is now</span>
          <input
            className="field"
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <button type="submit" className="button button-go" disabled={name.trim() === ''}>
          Keep it
        </button>
      </form>
      {revisions?.length === 0 && (
        <p className="text-ash">
          None yet. One is kept for every ten minutes of work, and whenever you name one.
        </p>
      )}
      <ul className="m-0 grid max-h-[56vh] list-none grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-4 overflow-y-auto p-1">
        {revisions?.map((revision) => (
          <RevisionCard
            key={revision.id}
            revision={revision}
            path={`${path}/${revision.id}`}
            onNamed={() => void look()}
            onRestored={onClose}
          />
        ))}
      </ul>
    </Dialog>
  );
}

interface RevisionCardProps {
  readonly revision: Revision;
  readonly path: string;
  readonly onNamed: () => void;
  readonly onRestored: () => void;
}

function RevisionCard({ revision: { name, at }, path, onNamed, onRestored }: RevisionCardProps) {
  const times = Math.min(4, Math.ceil(usePixelRatio()));
  const when = clockText(at);
  const words = name === '' ? when : name;
  return (
    <li>
      <img
        src={`${path}/swatch.png?across=${SWATCH.width}&down=${SWATCH.height}&times=${times}`}
        alt={`The cloth as it was: ${words}`}
        {...SWATCH}
        className="pinked block bg-linen"
      />
      <NameInPlace
        label={`Name of the version of ${when}`}
        name={name === '' ? 'Unnamed' : name}
        className={`mt-1 w-full rounded px-1 font-semibold hover:bg-linen ${name === '' ? 'text-ash' : ''}`}
        onDone={(typed) => {
          if (typed === undefined || typed === name) return;
          request('PUT', path, { name: typed })
            .then(onNamed)
            .catch((error: Error) => toast.error(error.message));
        }}
      />
      <div className="flex items-center justify-between px-1">
        <span className="text-[12.5px] text-ash">{when}</span>
        <button
          type="button"
          className="button button-plain text-woad"
          aria-label={`Restore ${words}`}
          onClick={() => void restore(path, words).then((done) => done && onRestored())}
        >
          Restore
        </button>
      </div>
    </li>
  );
}

/** Takes an earlier state back as a change, so that undo takes it away again. @returns whether it is back */
async function restore(path: string, words: string): Promise<boolean> {
  try {
    const document = readDesign(revisionAnswer.parse(await request('GET', path)).document);
    dispatch({ kind: 'edit', edit: (now) => ({ ...document, number: now.number }) });
    dispatch({ kind: 'select', selection: undefined });
    toast(`Restored “${words}”. Undo takes it back.`);
    return true;
  } catch (error) {
    toast.error((error as Error).message);
    return false;
  }
}
