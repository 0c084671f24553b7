import type { FileHandle } from 'node:fs/promises';

/** Bytes of the marker that begins a JPEG, and of a JFIF segment with its own marker. Source: JFIF 1.02. */
const START = 2;
const SEGMENT = 18;

/**
 * A JPEG with its resolution: what was written, and in front of it a JFIF segment, which the image library leaves out.
 * @param file            closed when it was read
 * @param pixelsPerMetre  written as whole pixels an inch, 1 to 65 535
 */
export async function* jpegWithDensity(
  file: FileHandle,
  pixelsPerMetre: { readonly x: number; readonly y: number },
): AsyncIterable<Uint8Array> {
  yield jfif(pixelsPerMetre);
  const from = (await beginsWithJfif(file)) ? START + SEGMENT : START;
  yield* file.createReadStream({ start: from }) as AsyncIterable<Uint8Array>;
}

function jfif({ x, y }: { readonly x: number; readonly y: number }): Uint8Array {
  const perInch = (perMetre: number) => Math.max(1, Math.min(65_535, Math.round(perMetre * 0.0254)));
  const bytes = Buffer.alloc(START + SEGMENT);
  // The start, the segment's marker and length, its name, version 1.02, pixels an inch; no thumbnail.
  bytes.set([0xff, 0xd8, 0xff, 0xe0, 0, SEGMENT - 2]);
  bytes.write('JFIF\0', 6, 'latin1');
  bytes.set([1, 2, 1], 11);
  bytes.writeUInt16BE(perInch(x), 14);
  bytes.writeUInt16BE(perInch(y), 16);
  return bytes;
}

async function beginsWithJfif(file: FileHandle): Promise<boolean> {
  const head = Buffer.alloc(START + SEGMENT);
  await file.read(head, 0, head.length, 0);
  return head.toString('latin1', 6, 10) === 'JFIF';
}
