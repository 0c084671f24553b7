import type { LibraryKind, LibraryWish } from '../../core/formats/library-wish.ts';

/** A picture that the image library writes: our painted tile, again and again. */
export interface LibraryOrder {
  readonly kind: LibraryKind;
  readonly wish: LibraryWish;
  /** The painted tile, in whole pixels. */
  readonly tile: { readonly width: number; readonly height: number; readonly channels: 3 | 4 };
  readonly width: number;
  readonly height: number;
  readonly pixelsPerMetre: { readonly x: number; readonly y: number };
  /** The file that is written, in a folder of its own. */
  readonly path: string;
}
