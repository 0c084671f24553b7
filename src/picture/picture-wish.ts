import { nameWithin } from '../core/colour/free-name.ts';
import { freeKey, MAX_SHADES, type Shade } from '../core/colour/shade.ts';
import { CoreError } from '../core/error.ts';
import { exactDecimal } from '../core/exact/exact-decimal.ts';
import { rational } from '../core/exact/rational.ts';
import { bandsOfLine, type LineBand, type LineOutcome } from '../core/picture/bands-of-line.ts';
import { type BlockGrid, coarsen } from '../core/picture/block-grid.ts';
import { blocksOnLine, type Place } from '../core/picture/blocks-on-line.ts';
import { shareOut } from '../core/picture/share-out.ts';
import { MAX_BANDS, MAX_COUNT } from '../core/thread/band.ts';
import type { BandUnit } from '../core/units/band-width.ts';

/** What is wished of a picture; all of it stays live until it is taken. */
export interface PictureWish {
  /** A side of a block, in blocks of the grid that the server made. */
  readonly times: number;
  readonly from: Place;
  readonly to: Place;
  /** CIEDE2000 below which colours become one. */
  readonly merge: number;
  /** Most shades. */
  readonly shades: number;
  readonly widths: 'picture' | 'equal';
  /** Units of all bands together; whole. */
  readonly total: number;
  readonly unit: BandUnit;
}

/** Bands that a picture's line makes, with their amounts in parts of the unit. */
export interface PictureBand extends LineBand {
  readonly count: number;
}

/** Parts of each unit that bands of a picture are whole in: whole pixels and threads, else about a tenth of a millimetre. */
const PARTS: Readonly<Record<BandUnit, number>> = { mm: 10, cm: 100, in: 100, pt: 10, px: 1, thread: 1 };

/** Parts of a unit that a picture gives. */
export function partsOf(unit: BandUnit): number {
  return PARTS[unit];
}

/** A band's width in its unit, as it is typed. */
export function widthOf({ count }: Pick<PictureBand, 'count'>, unit: BandUnit): string {
  return exactDecimal(rational(count, partsOf(unit)));
}

/** What a line over a picture comes to. */
export interface PictureOutcome extends Omit<LineOutcome, 'bands'> {
  readonly bands: readonly PictureBand[];
}

/** @throws CoreError "picture/bands" {bands, most} */
export function bandsFromPicture(grid: BlockGrid, wish: PictureWish): PictureOutcome {
  const pieces = blocksOnLine(coarsen(grid, wish.times), wish.from, wish.to);
  const { bands, ...outcome } = bandsOfLine(pieces, {
    merge: wish.merge,
    shades: Math.min(wish.shades, MAX_SHADES),
  });
  const parts = partsOf(wish.unit);
  if (bands.length > MAX_BANDS || bands.length > wish.total * parts) {
    throw new CoreError('picture/bands', {
      bands: bands.length,
      most: Math.min(MAX_BANDS, wish.total * parts),
    });
  }
  const lengths = bands.map(({ length }) => (wish.widths === 'equal' ? 1 : length));
  const counts = shareOut(lengths, Math.min(MAX_COUNT, wish.total * parts));
  return { ...outcome, bands: bands.map((band, index) => ({ ...band, count: counts[index]! })) };
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
