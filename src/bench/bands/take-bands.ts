import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { shadesUsed } from '../../core/design/shades-used.ts';
import type { BandUnit } from '../../core/units/band-width.ts';
import { type PictureBand, widthOf, withColours } from '../../picture/picture-wish.ts';
import { measuresOf, sequenceOf, setMeasuredBands, setSequence } from '../state/band-edits.ts';
import type { Edit } from '../state/design-edits.ts';
import { setShades } from '../state/shade-edits.ts';

/** What a design's bands are measured in. */
export function unitOf(design: Design): BandUnit {
  return measuresOf(design)?.unit ?? 'thread';
}

/** Puts a picture's bands in the place of a sequence; shades that no band uses any more go, others stay. */
export function takeBands(direction: Direction, bands: readonly PictureBand[]): Edit {
  return (design) => {
    const card = withColours(
      design.shades,
      bands.map(({ hex }) => hex),
    );
    const keyOf = (hex: string) => card.find((shade) => shade.hex === hex)!.key;
    const withCard = setShades(card)(design);
    const mirror = 'none';
    if (measuresOf(withCard) === undefined) {
      const { bands: _, ...rest } = sequenceOf(withCard, direction);
      const counted = bands.map(({ hex, count }) => ({ shade: keyOf(hex), count }));
      return withoutIdle(setSequence(direction, { ...rest, mirror, bands: counted })(withCard), design);
    }
    const unit = unitOf(withCard);
    const wide = bands.map((band) => ({ shade: keyOf(band.hex), width: widthOf(band, unit) }));
    return withoutIdle(setMeasuredBands(wide)(withCard), design);
  };
}

/** Takes off the card what the bands before used and nothing uses now. */
function withoutIdle(design: Design, before: Design): Design {
  const used = new Set(shadesUsed(design.construction).map(({ key }) => key));
  const was = new Set(shadesUsed(before.construction).map(({ key }) => key));
  const kept = design.shades.filter(({ key }) => used.has(key) || !was.has(key));
  return kept.length === design.shades.length ? design : setShades(kept)(design);
}
