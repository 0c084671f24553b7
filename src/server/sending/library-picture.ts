import { open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { type LibraryKind, type LibraryWish, refuseSide } from '../../core/formats/library-wish.ts';
import type { PictureOrder } from '../../core/formats/picture-order.ts';
import { unitToPng } from '../../core/formats/png/unit-png.ts';
import type { PictureLook } from '../../core/formats/tile-rows.ts';
import type { RepeatUnit } from '../../core/repeat/repeat-unit.ts';
import { ownFolder } from '../own-folder.ts';
import { inOwnProcess } from './in-own-process.ts';
import { jpegWithDensity } from './jpeg-density.ts';
import { nodeCompressor } from './node-compressor.ts';
import { writeStream } from './write-stream.ts';

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
 * @throws      CoreError "send/kind-side" | "send/tiff-too-large" | "file/full"
 */
export function libraryPicture(
  { unit, order, kind, wish, look }: LibraryPicture,
  told: (rows: number) => void,
): AsyncIterable<Uint8Array> {
  refuseSide(kind, order);
  const { width, height, pixelsPerMetre, perMillimetre } = order;
  return (async function* () {
    const folder = await ownFolder();
    const path = join(folder, `picture.${kind}`);
    const tile = join(folder, 'tile.png');
    const tileSize = {
      width: Math.min(order.tile.width, width),
      height: Math.min(order.tile.height, height),
    };
    try {
      await writeStream(
        tile,
        unitToPng(unit, { ...order, ...tileSize }, nodeCompressor, look.look, look.mixing),
      );
      await inOwnProcess({ kind, wish, tile, path, tileSize, width, height, perMillimetre }, told);
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
