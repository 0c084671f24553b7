import type { LibraryKind, LibraryWish } from '../../core/formats/library-wish.ts';

/** A picture that the image library writes: our painted tile, again and again. */
export interface LibraryOrder {
  readonly kind: LibraryKind;
  readonly wish: LibraryWish;
  /** The painted tile as PNG, as far as the picture shows it, and the file that is written; both in one folder of their own. */
  readonly tile: string;
  readonly path: string;
  /** Of the tile, and of the picture. */
  readonly tileSize: { readonly width: number; readonly height: number };
  readonly width: number;
  readonly height: number;
  readonly perMillimetre: { readonly x: number; readonly y: number };
}
