import { useDeferredValue, useMemo, useState } from 'react';
import { MAX_SHADES, type Shade } from '../core/colour/shade.ts';
import { divide, multiply, rational, toNumber } from '../core/exact/rational.ts';
import { coarsen } from '../core/picture/block-grid.ts';
import { type BandScale, type BandUnit, unitMillimetres } from '../core/units/band-width.ts';
import { Dialog } from '../kit/dialog.tsx';
import { DialogActions } from '../kit/dialog-actions.tsx';
import { Choice } from '../kit/fields/choice.tsx';
import { NumberField } from '../kit/fields/number-field.tsx';
import { Slider } from '../kit/fields/slider.tsx';
import { whole } from '../kit/fields/whole.ts';
import { attempt } from '../wording/attempt.ts';
import { PICTURE_NOTE_WORDS } from '../wording/picture-words.ts';
import { firstWish, mostTimes } from './first-wish.ts';
import { Outcome } from './outcome.tsx';
import { PictureChooser } from './picture-chooser.tsx';
import type { OpenPicture } from './picture-source.ts';
import { PictureView } from './picture-view.tsx';
import {
  bandsFromPicture,
  type PictureBand,
  type PictureOutcome,
  type PictureWish,
  partsOf,
  withColours,
} from './picture-wish.ts';

/** What is taken from a picture. */
interface Taken {
  readonly bands: readonly PictureBand[];
  /** The card with a shade for each of their colours. */
  readonly shades: readonly Shade[];
  readonly wish: PictureWish;
}

interface PictureDialogProps {
  readonly title: string;
  /** What the button that takes it says. */
  readonly action: string;
  /** Shades that there are already. */
  readonly card: readonly Shade[];
  /** How wide bands are to begin with; undefined: only shades are taken. */
  readonly bands: { readonly unit: BandUnit; readonly total: number } | undefined;
  /** Millimetres of pixels and threads, where the unit can be chosen. */
  readonly scale?: BandScale;
  /** A picture that is there already. */
  readonly file?: File;
  readonly onTake: (taken: Taken) => void;
  readonly onClose: () => void;
}

/** Bands, or only shades, from a line over a picture. */
export function PictureDialog(props: PictureDialogProps) {
  const { title, file, onClose } = props;
  const [picture, setPicture] = useState<OpenPicture>();
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={picture === undefined ? title : `${title}: ${picture.name}`}
      full
    >
      {picture === undefined ? (
        <PictureChooser onOpen={setPicture} {...(file !== undefined && { file })} />
      ) : (
        <PictureWork {...props} key={picture.name} picture={picture} onOther={() => setPicture(undefined)} />
      )}
    </Dialog>
  );
}

interface PictureWorkProps extends PictureDialogProps {
  readonly picture: OpenPicture;
  readonly onOther: () => void;
}

function PictureWork({
  picture,
  card: given,
  bands: asked,
  scale,
  action,
  onTake,
  onClose,
  onOther,
}: PictureWorkProps) {
  const { grid, notes } = picture;
  const [wish, setWish] = useState(() => firstWish(picture, asked ?? { unit: 'px', total: 1000 }));
  const set = (change: Partial<PictureWish>) => setWish((old) => ({ ...old, ...change }));
  const blocks = useMemo(() => coarsen(grid, wish.times), [grid, wish.times]);
  // Bands follow the hand as fast as they can; the line itself is never late.
  const deferred = useDeferredValue(wish);
  const made = useMemo(() => attempt(() => bandsFromPicture(grid, deferred)), [grid, deferred]);
  const outcome = 'value' in made ? made.value : NOTHING;
  const { bands } = outcome;
  const card = useMemo(
    () => attempt(() => withColours(given, new Set(bands.map(({ hex }) => hex)))),
    [given, bands],
  );
  const problem = 'problem' in made ? made.problem : 'problem' in card ? card.problem : undefined;
  const middle = { x: grid.width / 2, y: grid.height / 2 };
  const { unit } = wish;
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (problem !== undefined || 'problem' in card) return;
        onTake({ bands, shades: card.value, wish });
        onClose();
      }}
    >
      <div className="grid grid-cols-[600px_minmax(0,1fr)] gap-6 max-[1000px]:grid-cols-1">
        <div className="grid place-items-center">
          <PictureView grid={blocks} from={wish.from} to={wish.to} onLine={(from, to) => set({ from, to })} />
        </div>
        <div className="flex flex-col gap-3">
          <div className="flex gap-2">
            <button
              type="button"
              className="button"
              onClick={() => set({ from: { x: 0, y: middle.y }, to: { x: grid.width, y: middle.y } })}
            >
              Across the middle
            </button>
            <button
              type="button"
              className="button"
              onClick={() => set({ from: { x: middle.x, y: 0 }, to: { x: middle.x, y: grid.height } })}
            >
              Down the middle
            </button>
          </div>
          <Slider
            label="Block size"
            value={wish.times}
            range={[1, mostTimes(picture)]}
            text={`${wish.times * grid.block} px of ${Math.min(grid.width, grid.height)}`}
            onChange={(times) => set({ times })}
          />
          <Slider
            label="Merge similar colours"
            value={wish.merge}
            range={[0, 30]}
            text={wish.merge === 0 ? 'none are' : `ΔE ${wish.merge}`}
            onChange={(merge) => set({ merge })}
          />
          <Slider
            label="Shades, at most"
            value={wish.shades}
            range={[1, MAX_SHADES]}
            text={String(wish.shades)}
            onChange={(shades) => set({ shades })}
          />
          {asked !== undefined && (
            <>
              <Choice
                label="Widths"
                value={wish.widths}
                options={[
                  { value: 'picture', text: 'As in the picture' },
                  { value: 'equal', text: 'All equal' },
                ]}
                onChange={(widths) => set({ widths })}
              />
              {scale !== undefined && (
                <Choice
                  label="Unit"
                  value={unit}
                  options={UNITS.map((value) => ({ value, text: unitText(value) }))}
                  onChange={(next) => set({ unit: next, total: converted(wish, next, scale) })}
                />
              )}
              <NumberField
                label={`All bands together, ${unitText(unit)}`}
                text={String(wish.total)}
                resolve={(text) => String(whole(text, 1))}
                onChange={(text) => set({ total: whole(text, 1) })}
              />
            </>
          )}
          {notes.map((note) => (
            <p key={note} className="hint">
              {PICTURE_NOTE_WORDS[note]}
            </p>
          ))}
        </div>
      </div>
      <Outcome outcome={outcome} parts={partsOf(unit)} unit={unitText(unit)} />
      {problem !== undefined && (
        <p role="alert" className="rounded-lg bg-madder-pale px-3 py-2 text-madder">
          {problem}
        </p>
      )}
      <DialogActions action={action} disabled={problem !== undefined} onClose={onClose}>
        <button type="button" className="button mr-auto" onClick={onOther}>
          Another picture
        </button>
      </DialogActions>
    </form>
  );
}

/** Units that a picture's bands may be given in. */
const UNITS = ['mm', 'in', 'px', 'thread'] as const;

function unitText(unit: BandUnit): string {
  return unit === 'thread' ? 'threads' : unit;
}

/** About the same width in another unit, whole. */
function converted({ total, unit }: PictureWish, next: BandUnit, scale: BandScale): number {
  const width = multiply(rational(total), divide(unitMillimetres(unit, scale), unitMillimetres(next, scale)));
  return Math.max(1, Math.round(toNumber(width)));
}

/** The same each time, so that nothing is worked out anew for it. */
const NOTHING: PictureOutcome = { bands: [], colours: 0, furthest: 0 };
