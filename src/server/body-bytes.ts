import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { CoreError } from '../core/error.ts';

/** Bytes of all bodies that are on their way; one more is refused until others are read. */
const MOST_HELD = 600_000_000;

/** Seconds without a byte after which a body is given up. */
const MOST_SILENT = 30;

export interface BodyLimits {
  /** Of this body, in bytes. */
  readonly most: number;
  readonly mostHeld?: number;
  /** Seconds. */
  readonly mostSilent?: number;
}

let held = 0;

/**
 * The body of a request, in memory of its own. What counts is what has come: bodies that stall keep nobody else out.
 * @throws CoreError "request/too-large" {most} | "request/stalled" {seconds} | "server/busy"
 */
export async function bodyBytes(
  request: Request,
  { most, mostHeld = MOST_HELD, mostSilent = MOST_SILENT }: BodyLimits,
): Promise<Uint8Array<ArrayBuffer>> {
  const tooLarge = new CoreError('request/too-large', { most });
  if (Number(request.headers.get('content-length')) > most) throw tooLarge;
  if (request.body === null) return new Uint8Array(0);
  const body = Readable.fromWeb(request.body as NodeStream<Uint8Array>);
  const giveUp = () => body.destroy(new CoreError('request/stalled', { seconds: mostSilent }));
  const silence = setTimeout(giveUp, mostSilent * 1000);
  const pieces: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const piece of body as AsyncIterable<Uint8Array>) {
      silence.refresh();
      size += piece.length;
      held += piece.length;
      if (size > most) throw tooLarge;
      if (held > mostHeld) throw new CoreError('server/busy');
      pieces.push(piece);
    }
    return joined(pieces, size);
  } finally {
    clearTimeout(silence);
    held -= size;
  }
}

function joined(pieces: readonly Uint8Array[], size: number): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const piece of pieces) {
    bytes.set(piece, at);
    at += piece.length;
  }
  return bytes;
}
