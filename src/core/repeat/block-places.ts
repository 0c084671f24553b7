import type { Point } from '../exact/plane.ts';
import { rational } from '../exact/rational.ts';
import { addSurds, scaleSurd, surd } from '../exact/surd.ts';
import type { PicturePlace } from '../shape/picture.ts';
import type { Place } from '../shape/places.ts';
import type { Block } from './block-cells.ts';

/** A repeat of a block, counted from its lower left. */
export interface BlockPlace {
  readonly i: number;
  readonly j: number;
}

/** Every place of a block, row by row from below. */
export function placesIn({ across, down }: Block): readonly BlockPlace[] {
  return Array.from({ length: across * down }, (_, at) => ({ i: at % across, j: Math.floor(at / across) }));
}

/** A point in repeats, in the repeat at (i, j), in blocks. */
export function movedInto({ x, y }: Point, { i, j }: BlockPlace, { across, down }: Block): Point {
  return {
    x: scaleSurd(addSurds(x, surd(rational(i))), rational(1, across)),
    y: scaleSurd(addSurds(y, surd(rational(j))), rational(1, down)),
  };
}

/** The same of a place in doubles. */
export function movedPlace({ x, y }: Place, { i, j }: BlockPlace, { across, down }: Block): Place {
  return { x: (x + i) / across, y: (y + j) / down };
}

/** The same of a picture. */
export function blockPicture(picture: PicturePlace, place: BlockPlace, block: Block): PicturePlace {
  const way = ({ x, y }: Place) => ({ x: x / block.across, y: y / block.down });
  return {
    ...picture,
    corner: movedPlace(picture.corner, place, block),
    across: way(picture.across),
    down: way(picture.down),
  };
}
