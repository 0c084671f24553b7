import { useState } from 'react';
import { toast } from 'sonner';
import type { Range } from '../contracts/shelf.ts';
import { multiply, rational, toText } from '../core/exact/rational.ts';
import { fileNameOf } from '../core/formats/file-name.ts';
import { A_PAGE, COLLECTION_SCALE, parseCollectionScale } from '../core/formats/page/collection.ts';
import { Dialog } from '../kit/dialog.tsx';
import { DialogActions } from '../kit/dialog-actions.tsx';
import { download } from '../kit/download.ts';
import { NumberField } from '../kit/fields/number-field.tsx';
import { SmallSwatch } from '../kit/from-shelf/small-swatch.tsx';
import { requestFile } from '../kit/request.ts';
import { plural } from '../wording/measures.ts';

interface CollectionDialogProps {
  readonly range: Range;
  readonly onClose: () => void;
}

/** The designs of a range on pages at one scale: which of them, and how large. */
export function CollectionDialog({ range: { id, name, count, designs }, onClose }: CollectionDialogProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [scale, setScale] = useState(COLLECTION_SCALE);
  const [making, setMaking] = useState(false);
  const chosen = designs.filter((design) => !left.has(design.id));
  const turn = (design: string) => {
    const next = new Set(left);
    if (!next.delete(design)) next.add(design);
    setLeft(next);
  };
  const make = async () => {
    setMaking(true);
    const query = new URLSearchParams({ scale });
    // All of a range are more than those that hang so far.
    if (left.size > 0) query.set('designs', chosen.map((design) => design.id).join());
    try {
      const file = await requestFile(`/api/ranges/${id}/collection.pdf?${query}`);
      download(fileNameOf({ name, file: 'collection.pdf' }), file);
      onClose();
    } catch (error) {
      toast.error((error as Error).message);
      setMaking(false);
    }
  };
  const shown = left.size === 0 ? count : chosen.length;
  const pages = Math.ceil(shown / A_PAGE);
  return (
    <Dialog open onOpenChange={onClose} title={`Collection sheet of “${name}”`} wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <fieldset
          aria-label="Designs on the sheet"
          className="m-0 grid max-h-[44vh] grid-cols-[repeat(auto-fill,minmax(108px,1fr))] content-start gap-1 overflow-y-auto border-0 p-0"
        >
          {designs.map((design) => (
            <SmallSwatch
              key={design.id}
              design={design}
              chosen={!left.has(design.id)}
              onChoose={() => turn(design.id)}
            />
          ))}
        </fieldset>
        <div className="flex flex-wrap items-end gap-4">
          <div className="w-[180px]">
            <NumberField
              label="Scale of all cloth"
              text={scale}
              resolve={(text) => `${toText(multiply(parseCollectionScale(text), rational(100)))} %`}
              onChange={setScale}
            />
          </div>
          <p className="flex-1 pb-2 text-ash">
            {shown === 0
              ? 'Choose at least one design.'
              : `${plural(shown, 'design')} on ${plural(pages, 'page')} of A4, each with its name, number, size and shades.`}
          </p>
        </div>
        <DialogActions
          action={making ? 'Making it…' : 'Make the sheet'}
          disabled={making || shown === 0}
          onClose={onClose}
        />
      </form>
    </Dialog>
  );
}
