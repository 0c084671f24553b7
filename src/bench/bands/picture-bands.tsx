import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { typedThreads } from '../../core/thread/band.ts';
import { PictureDialog } from '../../picture/picture-dialog.tsx';
import { measuresOf, railsOf, sequenceOf } from '../state/band-edits.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { takeBands, unitOf } from './take-bands.ts';

/** A sequence's bands from a line over a picture. */
export function PictureBands({ direction, onClose }: { direction: Direction; onClose: () => void }) {
  const design = useDesign();
  return (
    <PictureDialog
      title="Bands from a picture"
      action="Use these bands"
      card={design.shades}
      bands={{ unit: unitOf(design), total: firstTotal(design) }}
      onClose={onClose}
      onTake={({ bands, wish: { from, to } }) => {
        // Bands that lie one above the other begin below; those of a line that goes down are turned to lie as they do in it.
        const upward = direction === 'weft' || railsOf(design)[0] === 'weft';
        const ordered = upward && to.y > from.y ? [...bands].reverse() : bands;
        dispatch({ kind: 'edit', edit: takeBands(direction, ordered) });
        dispatch({ kind: 'select', selection: undefined });
      }}
    />
  );
}

/** As much as the sequence has now, but enough for some bands. */
function firstTotal(design: Design): number {
  const steps = typedThreads(sequenceOf(design, 'warp').bands);
  const measures = measuresOf(design);
  if (measures === undefined) return Math.max(48, steps);
  const { n, d } = measures.step;
  return Math.max(20, Math.round((steps * Number(n)) / Number(d)));
}
