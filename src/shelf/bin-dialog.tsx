import { useCallback, useEffect, useState } from 'react';
import { toast } from 'sonner';
import { type Binned, binAnswer } from '../contracts/shelf.ts';
import { Dialog } from '../kit/dialog.tsx';
import { request } from '../kit/request.ts';
import { clockText } from '../wording/measures.ts';
import type { ShelfActions } from './shelf-actions.ts';

/** A swatch's size in CSS pixels. */
const SWATCH = { width: 120, height: 80 } as const;

interface BinDialogProps {
  readonly actions: ShelfActions;
  readonly onClose: () => void;
}

/** What was deleted: taken out again, or deleted for ever. */
export function BinDialog({ actions, onClose }: BinDialogProps) {
  const [binned, setBinned] = useState<readonly Binned[]>();
  const [sure, setSure] = useState(false);
  const look = useCallback(async () => {
    try {
      setBinned(binAnswer.parse(await request('GET', '/api/bin')));
    } catch (error) {
      toast.error((error as Error).message);
    }
  }, []);
  useEffect(() => void look(), [look]);
  const count = binned?.length ?? 0;
  return (
    <Dialog open onOpenChange={onClose} title="Bin" wide>
      {binned?.length === 0 && <p className="text-ash">The bin is empty.</p>}
      <ul className="m-0 max-h-[60vh] list-none overflow-y-auto p-0">
        {binned?.map((design) => (
          <li key={design.id} className="flex items-center gap-4 border-rule/70 border-b py-2">
            <img
              src={`/api/bin/${design.id}/swatch.png?across=${SWATCH.width}&down=${SWATCH.height}&times=2`}
              alt=""
              {...SWATCH}
              className="pinked block flex-none bg-linen"
            />
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold">{design.name}</span>
              <span className="block text-[12.5px] text-ash">
                {design.number} · deleted {clockText(design.deletedAt)}
              </span>
            </span>
            <button
              type="button"
              className="button"
              aria-label={`Restore ${design.name}`}
              onClick={() => void actions.restore(design).then(look)}
            >
              Restore
            </button>
            <button
              type="button"
              className="button text-madder"
              aria-label={`Delete for ever: ${design.name}`}
              onClick={() => void actions.deleteForEver(design).then(look)}
            >
              Delete for ever
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        {count > 0 && (
          <button
            type="button"
            className="button mr-auto text-madder"
            onClick={() => {
              if (!sure) setSure(true);
              else void actions.emptyBin().then(look);
            }}
          >
            {sure ? `Delete all ${count} for ever?` : 'Empty the bin'}
          </button>
        )}
        <button type="button" className="button" onClick={onClose}>
          Close
        </button>
      </div>
    </Dialog>
  );
}
