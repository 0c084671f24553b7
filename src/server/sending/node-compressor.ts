import { pipeline, Readable } from 'node:stream';
import { constants, createDeflate, deflateRawSync } from 'node:zlib';
import type { Compressor } from '../../core/formats/png/png-image.ts';

/** Bytes handed to zlib at a time. */
const BATCH = 1 << 18;

/** Node's zlib as the PNG writer's compressor. */
export const nodeCompressor: Compressor = {
  stream: async function* stream(raw) {
    const deflate = createDeflate({ level: 6, chunkSize: 1 << 16 });
    // Errors reach the reader below through the deflate stream, which pipeline destroys with them.
    pipeline(Readable.from(batches(raw), { objectMode: false }), deflate, () => {});
    for await (const piece of deflate) yield piece as Uint8Array;
  },
  piece: (raw, before) =>
    deflateRawSync(raw, {
      level: 6,
      finishFlush: constants.Z_FULL_FLUSH,
      ...(before.length > 0 && { dictionary: before }),
    }),
};

/** What a flattened drawing is made with. */
export const NODE_FILES = {
  compressor: nodeCompressor,
  base64: (bytes: Uint8Array) => Buffer.from(bytes).toString('base64'),
} as const;

function* batches(raw: Iterable<Uint8Array>): Iterable<Uint8Array> {
  let batch: Uint8Array[] = [];
  let size = 0;
  for (const piece of raw) {
    batch.push(piece);
    size += piece.length;
    if (size >= BATCH) {
      yield Buffer.concat(batch);
      batch = [];
      size = 0;
    }
  }
  if (size > 0) yield Buffer.concat(batch);
}
