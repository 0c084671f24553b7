import { Copy, Eye, EyeOff } from 'lucide-react';
import type { PliesDesign } from '../../core/design/design-schema.ts';
import { plyName } from '../../core/design/plies/plies-report.ts';
import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { MOST_PLIES } from '../../core/repeat/plies/lay-plies.ts';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { RowButton, SortableList, SortableRow } from '../../kit/sortable-list.tsx';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { contentWord, lookText } from '../../wording/ply-words.ts';
import { movedPly, withoutPly, withPlyTwice } from './plies-edits.ts';
import { choosePly, usePlies } from './plies-store.ts';
import { PlyThumbnail } from './ply-thumbnail.tsx';
import { putPlies, putPly } from './put-plies.ts';
import { usePlyThumbnails } from './use-ply-thumbnails.ts';

/** The plies as they lie, the highest at the top; one of them is chosen. */
export function PlyList({ design }: { design: PliesDesign }) {
  const { construction, shades } = design;
  const { plies } = construction;
  const last = plies.length - 1;
  const upward = plies.map((_, at) => last - at);
  const thumbnails = usePlyThumbnails(design, usePixelRatio());
  const nameOf = (at: number) => `Ply ${at + 1}, ${plyName(plies[at]!.content, shades)}`;
  return (
    <section aria-label="Plies">
      <SortableList
        // No number of a list that is sorted may be 0.
        ids={upward.map((at) => at + 1)}
        what="the ply"
        nameOf={(id) => nameOf(id - 1)}
        onMove={(from, to) => {
          putPlies(movedPly(construction, upward[from]!, upward[to]!));
          choosePly(upward[to]);
        }}
      >
        {upward.map((at) => (
          <PlyRow
            key={at}
            at={at}
            ply={plies[at]!}
            name={nameOf(at)}
            design={design}
            image={thumbnails[at]}
            onDuplicate={
              plies.length < MOST_PLIES
                ? () => {
                    putPlies(withPlyTwice(construction, at));
                    choosePly(at + 1);
                  }
                : undefined
            }
            onRemove={() => {
              putPlies(withoutPly(construction, at));
              choosePly(undefined);
            }}
          />
        ))}
      </SortableList>
    </section>
  );
}

interface PlyRowProps {
  readonly at: number;
  readonly ply: PlySpec;
  readonly name: string;
  readonly design: PliesDesign;
  readonly image: ImageBitmap | undefined;
  readonly onDuplicate: (() => void) | undefined;
  readonly onRemove: () => void;
}

function PlyRow({ at, ply, name, design, image, onDuplicate, onRemove }: PlyRowProps) {
  const chosen = usePlies((state) => state.chosen === at);
  const { shown, content } = ply;
  const short = plyName(content, design.shades);
  return (
    <SortableRow id={at + 1} name={name} className={chosen ? 'bg-woad-pale' : 'bg-paper'}>
      <button
        type="button"
        aria-pressed={chosen}
        className={`flex min-w-0 flex-1 items-center gap-2 text-left ${shown ? '' : 'opacity-50'}`}
        onClick={() => choosePly(chosen ? undefined : at)}
      >
        <PlyThumbnail content={content} shades={design.shades} image={image} />
        <span className="min-w-0 flex-1 leading-tight">
          <span className="block truncate" title={short}>
            <span className="numbers text-ash">{at + 1}</span> {short}
          </span>
          <span className="block truncate text-[11.5px] text-ash">
            {contentWord(content)} · {lookText(ply)}
          </span>
        </span>
      </button>
      <span className="flex flex-none">
        <RowButton
          label={`${shown ? 'Hide' : 'Show'} ${name}`}
          icon={shown ? Eye : EyeOff}
          onClick={() => putPly(at, { shown: !shown })}
        />
        {chosen && onDuplicate !== undefined && (
          <RowButton label={`Duplicate ${name}`} icon={Copy} onClick={onDuplicate} />
        )}
        {chosen && (
          <RemoveButton
            label={`Remove ${name}`}
            disabled={design.construction.plies.length === 1}
            onClick={onRemove}
          />
        )}
      </span>
    </SortableRow>
  );
}
