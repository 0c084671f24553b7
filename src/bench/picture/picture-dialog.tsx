import { useDeferredValue, useMemo, useState } from 'react';
import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { coarsen } from '../../core/picture/block-grid.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { Slider } from '../../kit/fields/slider.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { attempt } from '../../wording/attempt.ts';
import { measuresOf, railsOf } from '../state/band-edits.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { setShades } from '../state/shade-edits.ts';
import { firstWish, mostTimes } from './first-wish.ts';
import { Outcome } from './outcome.tsx';
import { PictureChooser } from './picture-chooser.tsx';
import type { OpenPicture } from './picture-source.ts';
import { PictureView } from './picture-view.tsx';
import {
  bandsFromPicture,
  type PictureBand,
  type PictureWish,
  partsOf,
  takeBands,
  withColours,
} from './picture-wish.ts';

interface PictureDialogProps {
  /** The sequence that takes the bands; undefined: only the shades are added to the card. */
  readonly direction: Direction | undefined;
  readonly onClose: () => void;
}

/** Bands, or only shades, from a line over a picture. */
export function PictureDialog({ direction, onClose }: PictureDialogProps) {
  const [picture, setPicture] = useState<OpenPicture>();
  const title = direction === undefined ? 'Shades from a picture' : 'Bands from a picture';
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={picture === undefined ? title : `${title}: ${picture.name}`}
      full
    >
      {picture === undefined ? (
        <PictureChooser onOpen={setPicture} />
      ) : (
        <PictureWork
          key={picture.name}
          picture={picture}
          direction={direction}
          onClose={onClose}
          onOther={() => setPicture(undefined)}
        />
      )}
    </Dialog>
  );
}

const NOTES: Readonly<Record<OpenPicture['notes'][number], string>> = {
  turned: 'It was turned upright, as the camera noted.',
  'first-of-many': 'It moves; its first picture is taken.',
  'laid-on-white': 'What is transparent in it lies on white.',
};

interface PictureWorkProps extends PictureDialogProps {
  readonly picture: OpenPicture;
  readonly onOther: () => void;
}

function PictureWork({ picture, direction, onClose, onOther }: PictureWorkProps) {
  const design = useDesign();
  const { grid, notes } = picture;
  const [wish, setWish] = useState(() => firstWish(picture, design));
  const set = (change: Partial<PictureWish>) => setWish((old) => ({ ...old, ...change }));
  const blocks = useMemo(() => coarsen(grid, wish.times), [grid, wish.times]);
  // Bands follow the hand as fast as they can; the line itself is never late.
  const deferred = useDeferredValue(wish);
  const made = useMemo(
    () => attempt(() => bandsFromPicture(grid, deferred, design)),
    [grid, deferred, design],
  );
  const bands = 'value' in made ? made.value : NO_BANDS;
  const card = useMemo(
    () => attempt(() => withColours(design.shades, new Set(bands.map(({ hex }) => hex)))),
    [design.shades, bands],
  );
  const problem = 'problem' in made ? made.problem : 'problem' in card ? card.problem : undefined;
  const middle = { x: grid.width / 2, y: grid.height / 2 };
  const unit = measuresOf(design)?.unit ?? 'thread';
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (problem !== undefined || 'problem' in card) return;
        const edit =
          direction === undefined
            ? setShades(card.value)
            : takeBands(direction, inOrder(design, direction, bands, wish));
        dispatch({ kind: 'edit', edit });
        dispatch({ kind: 'select', selection: undefined });
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
            label="Side of a block"
            value={wish.times}
            range={[1, mostTimes(picture)]}
            text={`${wish.times * grid.block} px of ${Math.min(grid.width, grid.height)}`}
            onChange={(times) => set({ times })}
          />
          <Slider
            label="Neighbours are one below a difference of"
            value={wish.merge}
            range={[0, 30]}
            text={wish.merge === 0 ? 'none are' : `ΔE ${wish.merge}`}
            onChange={(merge) => set({ merge })}
          />
          <Slider
            label="Shades, at most"
            value={wish.shades}
            range={[1, 40]}
            text={String(wish.shades)}
            onChange={(shades) => set({ shades })}
          />
          {direction !== undefined && (
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
              <NumberField
                label={`All bands together, ${unit === 'thread' ? 'threads' : unit}`}
                text={String(wish.total)}
                resolve={(text) => String(whole(text, 1))}
                onChange={(text) => set({ total: whole(text, 1) })}
              />
            </>
          )}
          {notes.map((note) => (
            <p key={note} className="hint">
              {NOTES[note]}
            </p>
          ))}
        </div>
      </div>
      <Outcome bands={bands} parts={partsOf(design)} unit={unit} />
      {problem !== undefined && (
        <p role="alert" className="rounded-lg bg-madder-pale px-3 py-2 text-madder">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="button mr-auto" onClick={onOther}>
          Another picture
        </button>
        <button type="button" className="button" onClick={onClose}>
          Leave it
        </button>
        <button type="submit" className="button button-go" disabled={problem !== undefined}>
          {direction === undefined ? 'Add these shades' : 'Take these bands'}
        </button>
      </div>
    </form>
  );
}

/** Bands that lie one above the other begin below; those of a line that goes down are turned to lie as they do in it. */
function inOrder(
  design: Design,
  direction: Direction,
  bands: readonly PictureBand[],
  { from, to }: PictureWish,
): readonly PictureBand[] {
  const upward = direction === 'weft' || railsOf(design)[0] === 'weft';
  return upward && to.y > from.y ? [...bands].reverse() : bands;
}

/** The same empty list each time, so that nothing is worked out anew for it. */
const NO_BANDS: readonly PictureBand[] = [];
