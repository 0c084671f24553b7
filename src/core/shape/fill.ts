import type { ShownPicture } from './picture.ts';
import type { Place } from './places.ts';

/** One shade all over. */
export interface PlainFill {
  readonly kind: 'shade';
  /** Index into the shades of what it fills. */
  readonly shade: number;
}

/** Nothing: what lies beneath is seen. It is still known by a shade. */
export interface ClearFill {
  readonly kind: 'clear';
  readonly shade: number;
}

/** Shades that go over into each other at even steps along a way; counted by the shade that would lie there without. */
export interface FadeFill {
  readonly kind: 'fade';
  readonly shade: number;
  readonly shades: readonly number[];
  /** From the first shade to the last, in repeats. */
  readonly from: Place;
  readonly to: Place;
}

/** A picture over the shade that lies there without; its place is in repeats. */
export interface PictureFill extends ShownPicture {
  readonly kind: 'picture';
  readonly shade: number;
}

/** What a face shows. */
export type Fill = PlainFill | ClearFill | FadeFill | PictureFill;

/** Whether it is another at each place. */
export function isVaried(fill: Fill): fill is FadeFill | PictureFill {
  return fill.kind === 'fade' || fill.kind === 'picture';
}
