import type { Compressor } from '../core/formats/png/png-image.ts';

/** The browser's zlib as the PNG writer's compressor. */
export const browserCompressor: Compressor = {
  stream: async function* stream(raw) {
    const rows = raw[Symbol.iterator]();
    const bytes = new ReadableStream<BufferSource>({
      pull: (controller) => {
        const { done, value } = rows.next();
        if (done === true) controller.close();
        else controller.enqueue(Uint8Array.from(value));
      },
    });
    const reader = bytes.pipeThrough(new CompressionStream('deflate')).getReader();
    for (let read = await reader.read(); !read.done; read = await reader.read()) yield read.value;
  },
  piece: () => {
    throw new Error('a scene has no band that comes again');
  },
};

/** Bytes that are turned into letters at a time. */
const PIECE = 1 << 15;

/** RFC 4648, §4, with padding. */
export function browserBase64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += PIECE) {
    text += String.fromCharCode(...bytes.subarray(at, at + PIECE));
  }
  return btoa(text);
}
