import { mkdtemp, open, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CoreError } from '../../core/error.ts';
import {
  LIBRARY_NAMES,
  type LibraryKind,
  type LibraryWish,
  refuseSide,
} from '../../core/formats/library-wish.ts';
import type { PictureOrder } from '../../core/formats/picture-order.ts';
import { type PictureLook, tileRows, writeBytes } from '../../core/formats/tile-rows.ts';
import { blockUnit } from '../../core/repeat/block-unit.ts';
import { contentKind } from '../../core/repeat/contents.ts';
import type { RepeatUnit } from '../../core/repeat/repeat-unit.ts';
import { inOwnProcess } from './in-own-process.ts';
import { jpegWithDensity } from './jpeg-density.ts';

/** Largest painted tile that is handed to the image library, in bytes. */
const MOST_TILE = 2 ** 28;

/** A picture as it is asked for. */
export interface LibraryPicture {
  readonly unit: RepeatUnit;
  readonly order: PictureOrder;
  readonly kind: LibraryKind;
  readonly wish: LibraryWish;
  readonly look: PictureLook;
}

/**
 * A picture that the image library writes, piece by piece. It is written beside first, since some kinds go back to their
 * beginning when they end.
 * @param told  hears how many rows are written, about
 * @throws      CoreError "send/kind-side" | "send/tile-too-large" | "send/tiff-too-large"
 */
export function libraryPicture(
  { unit, order, kind, wish, look }: LibraryPicture,
  told: (rows: number) => void,
): AsyncIterable<Uint8Array> {
  refuseSide(kind, order);
  const channels = contentKind(unit.content).isClear(unit.content) ? 4 : 3;
  const tile = {
    width: Math.min(order.tile.width, order.width),
    height: Math.min(order.tile.height, order.height),
    channels,
  } as const;
  if (tile.width * tile.height * channels > MOST_TILE) {
    throw new CoreError('send/tile-too-large', {
      kind: LIBRARY_NAMES[kind],
      width: tile.width,
      height: tile.height,
    });
  }
  const { width, height, pixelsPerMetre } = order;
  return (async function* () {
    const folder = await mkdtemp(join(tmpdir(), 'vetro-'));
    const path = join(folder, `picture.${kind}`);
    try {
      const pixels = paintedTile(blockUnit(unit, order.block), order, look, channels);
      await inOwnProcess({ kind, wish, tile, width, height, pixelsPerMetre, path }, pixels, told);
      const file = await open(path);
      // Read on from what is open, so that nothing is left when the thread is ended in the middle of it.
      await rm(folder, { recursive: true, force: true }).catch(() => {});
      const bytes = kind === 'jpg' ? jpegWithDensity(file, pixelsPerMetre) : file.createReadStream();
      yield* bytes as AsyncIterable<Uint8Array>;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  })();
}

function paintedTile(unit: RepeatUnit, order: PictureOrder, look: PictureLook, channels: 3 | 4): Uint8Array {
  const line = Math.min(order.tile.width, order.width) * channels;
  const pixels = new Uint8Array(line * Math.min(order.tile.height, order.height));
  let at = 0;
  for (const row of tileRows(unit, order, look)) {
    writeBytes(row, pixels.subarray(at, at + line), channels);
    at += line;
  }
  return pixels;
}
