import { nameWithin } from '../../core/colour/free-name.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../core/colour/shade.ts';
import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { shadesUsed } from '../../core/design/shades-used.ts';
import { CoreError } from '../../core/error.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { rational } from '../../core/exact/rational.ts';
import { bandsOfLine, type LineBand } from '../../core/picture/bands-of-line.ts';
import { type BlockGrid, coarsen } from '../../core/picture/block-grid.ts';
import { blocksOnLine, type Place } from '../../core/picture/blocks-on-line.ts';
import { shareOut } from '../../core/picture/share-out.ts';
import { MAX_BANDS, MAX_COUNT } from '../../core/thread/band.ts';
import { measuresOf, sequenceOf, setMeasuredBands, setSequence } from '../state/band-edits.ts';
import type { Edit } from '../state/design-edits.ts';
import { setShades } from '../state/shade-edits.ts';

/** What is wished of a picture; all of it stays live until it is taken. */
export interface PictureWish {
  /** A side of a block, in blocks of the grid that the server made. */
  readonly times: number;
  readonly from: Place;
  readonly to: Place;
  /** CIEDE2000 below which neighbours become one band. */
  readonly merge: number;
  /** Most shades. */
  readonly shades: number;
  readonly widths: 'picture' | 'equal';
  /** Threads, or units of a stripe, of all bands together; whole. */
  readonly total: number;
}

/** Bands that a picture's line makes, with their amounts: threads, or tenths of a stripe's unit. */
export interface PictureBand extends LineBand {
  readonly count: number;
}

/** Parts of their unit that measured widths from a picture are whole in. */
const PARTS = 10;

/** Parts of what bands are counted or measured in that a picture gives. */
export function partsOf(design: Design): number {
  return measuresOf(design) === undefined ? 1 : PARTS;
}

/** @throws CoreError "picture/bands" {bands, most} */
export function bandsFromPicture(grid: BlockGrid, wish: PictureWish, design: Design): readonly PictureBand[] {
  const pieces = blocksOnLine(coarsen(grid, wish.times), wish.from, wish.to);
  const bands = bandsOfLine(pieces, { merge: wish.merge, shades: Math.min(wish.shades, MAX_SHADES) });
  const parts = partsOf(design);
  if (bands.length > MAX_BANDS || bands.length > wish.total * parts) {
    throw new CoreError('picture/bands', {
      bands: bands.length,
      most: Math.min(MAX_BANDS, wish.total * parts),
    });
  }
  const lengths = bands.map(({ length }) => (wish.widths === 'equal' ? 1 : length));
  const counts = shareOut(lengths, Math.min(MAX_COUNT, wish.total * parts));
  return bands.map((band, index) => ({ ...band, count: counts[index]! }));
}

/** The different shades of some bands, each its share of the whole. */
export function shadesOfBands(bands: readonly PictureBand[]): readonly { hex: string; share: number }[] {
  const all = bands.reduce((sum, { count }) => sum + count, 0);
  const shares = new Map<string, number>();
  for (const { hex, count } of bands) shares.set(hex, (shares.get(hex) ?? 0) + count / all);
  return [...shares].map(([hex, share]) => ({ hex, share }));
}

/**
 * The card with shades for some colours: those of it that are the same are taken, others are added.
 * @throws CoreError "shades/too-many" {shades, most}
 */
export function withColours(shades: readonly Shade[], hexes: Iterable<string>): readonly Shade[] {
  const card = [...shades];
  for (const hex of hexes) {
    if (card.some((shade) => shade.hex === hex)) continue;
    const key = freeKey(new Set(card.map((shade) => shade.key)));
    card.push({ key, name: nameWithin(card, hex), hex });
  }
  if (card.length > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: card.length, most: MAX_SHADES });
  }
  return card;
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
    const wide = bands.map(({ hex, count }) => ({
      shade: keyOf(hex),
      width: exactDecimal(rational(count, PARTS)),
    }));
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
