import { CoreError } from '../error.ts';

/** Pictures that an image library writes from a painted tile. */
export const LIBRARY_KINDS = ['jpg', 'tif', 'webp'] as const;
export type LibraryKind = (typeof LIBRARY_KINDS)[number];

/**
 * Most pixels a side. Sources: ITU-T T.81, B.2.2, has sixteen bits a side, of which the usual JPEG library takes 65 500
 * (JPEG_MAX_DIMENSION); WebP container specification, fourteen bits. A TIFF is bound by its length.
 */
export const MOST_SIDE: Readonly<Record<LibraryKind, number>> = {
  jpg: 65_500,
  webp: 16_383,
  tif: Number.POSITIVE_INFINITY,
};

export const LIBRARY_NAMES: Readonly<Record<LibraryKind, string>> = {
  jpg: 'JPEG',
  tif: 'TIFF',
  webp: 'WebP',
};

export interface LibraryWish {
  /** 1 to 100, for a JPEG and a WebP; a WebP of 100 loses nothing. */
  readonly quality: number;
  /** Whether a JPEG's colours are as fine as its light, or half as fine each way. */
  readonly chroma: 'full' | 'half';
  /** Whether the sRGB profile is embedded. */
  readonly profile: boolean;
  readonly compression: 'lzw' | 'deflate';
}

/** A wish as it is written: what is left out is usual. */
export interface LibraryText {
  readonly quality?: string | undefined;
  readonly chroma?: string | undefined;
  readonly compression?: string | undefined;
  readonly profile: boolean;
}

/** @throws CoreError "send/quality" | "send/chroma" | "send/compression" {text} */
export function readLibraryWish({
  quality = '90',
  chroma = 'full',
  compression = 'lzw',
  profile,
}: LibraryText): LibraryWish {
  if (!/^\d{1,3}$/.test(quality.trim()) || !(Number(quality) >= 1 && Number(quality) <= 100)) {
    throw new CoreError('send/quality', { text: quality });
  }
  if (chroma !== 'full' && chroma !== 'half') throw new CoreError('send/chroma', { text: chroma });
  if (compression !== 'lzw' && compression !== 'deflate') {
    throw new CoreError('send/compression', { text: compression });
  }
  return { quality: Number(quality), chroma, profile, compression };
}

/** @throws CoreError "send/kind-side" {kind, width, height, most} */
export function refuseSide(
  kind: LibraryKind,
  { width, height }: { readonly width: number; readonly height: number },
): void {
  const most = MOST_SIDE[kind];
  if (Math.max(width, height) > most) {
    throw new CoreError('send/kind-side', { kind: LIBRARY_NAMES[kind], width, height, most });
  }
}
