import { useState } from 'react';
import { toast } from 'sonner';
import { COLLECTION_FILE, type Job } from '../contracts/job.ts';
import type { Range, Summary } from '../contracts/shelf.ts';
import { multiply, rational, toText } from '../core/exact/rational.ts';
import { A_PAGE, COLLECTION_SCALE, parseCollectionScale } from '../core/formats/page/collection.ts';
import { Dialog } from '../kit/dialog.tsx';
import { DialogActions } from '../kit/dialog-actions.tsx';
import { NumberField } from '../kit/fields/number-field.tsx';
import { SwatchGrid } from '../kit/from-shelf/swatch-grid.tsx';
import { JobProgress } from '../kit/jobs/job-progress.tsx';
import { followJob, orderJob, saveJob } from '../kit/jobs/job-requests.ts';
import { plural } from '../wording/measures.ts';

interface CollectionDialogProps {
  readonly range: Range;
  readonly onClose: () => void;
}

/** The designs of a range on pages at one scale: which of them, and how large. */
export function CollectionDialog({ range: { name, count, designs }, onClose }: CollectionDialogProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [scale, setScale] = useState(COLLECTION_SCALE);
  const [mistaken, setMistaken] = useState(false);
  const [making, setMaking] = useState<Job | 'asking'>();
  const chosen = designs.filter((design) => !left.has(design.id));
  const turn = (design: string) => {
    const next = new Set(left);
    if (!next.delete(design)) next.add(design);
    setLeft(next);
  };
  const make = async ([first, ...others]: readonly Summary[]) => {
    setMaking('asking');
    try {
      const begun = await orderJob({
        designId: first!.id,
        version: first!.version,
        file: COLLECTION_FILE,
        query: String(new URLSearchParams({ title: name, scale })),
        others: others.map((design) => design.id),
      });
      const job = await followJob(begun, setMaking);
      if (job.state === 'failed') toast.error(job.trouble);
      if (job.state === 'done') {
        saveJob(job);
        onClose();
      }
    } catch (error) {
      toast.error((error as Error).message);
    }
    setMaking(undefined);
  };
  return (
    <Dialog open onOpenChange={onClose} title={`Collection sheet of “${name}”`} wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void make(chosen);
        }}
      >
        <SwatchGrid
          label="Designs on the sheet"
          designs={designs}
          isChosen={(id) => !left.has(id)}
          onChoose={turn}
          height="max-h-[44vh]"
        />
        <div className="flex flex-wrap items-end gap-4">
          <div className="w-[180px]">
            <NumberField
              label="Scale of all cloth"
              text={scale}
              resolve={(text) => `${toText(multiply(parseCollectionScale(text), rational(100)))}%`}
              onChange={setScale}
              onMistake={setMistaken}
            />
          </div>
          <p className="flex-1 pb-2 text-ash">{sheetWords(chosen.length)}</p>
        </div>
        {count > designs.length && (
          <p className="hint">
            {designs.length} of {count} designs hang so far. Hang more of the range to choose among all.
          </p>
        )}
        {making !== undefined && making !== 'asking' && <JobProgress job={making} />}
        <DialogActions
          action="Make the sheet"
          disabled={making !== undefined || mistaken || chosen.length === 0}
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}

function sheetWords(chosen: number): string {
  if (chosen === 0) return 'Choose at least one design.';
  const pages = Math.ceil(chosen / A_PAGE);
  return `${plural(chosen, 'design')} on ${plural(pages, 'page')} of A4, each with its name, number, size and shades.`;
}
