import { adler32, joinAdler32, repeatAdler32 } from './adler32.ts';
import { type Compressor, lineLength, type PngImage } from './png-image.ts';
import { along, equalLine, fullLines, periodLines } from './png-lines.ts';
import { repeatedRun, WINDOW } from './repeated-run.ts';

/** Some rows, deflated so that they may stand behind any others. */
export interface CodedRows {
  readonly bytes: Uint8Array;
  readonly rows: number;
  /** Adler-32 of what they inflate to, and how long that is. */
  readonly sum: number;
  readonly length: number;
}

/** Bytes of a row that are worth copying rather than coding. */
const WORTH = 1024;

/** Bytes that are deflated at a time where rows are written in full. */
const BATCH = 1 << 20;

/** Whether a row's period can be coded once and copied along the row. */
function isRunCoded(image: PngImage): boolean {
  const period = image.period.across * image.channels;
  return period <= WINDOW && lineLength(image) - 1 - period >= WORTH;
}

/**
 * The rows of a picture up to its period down. The first looks at no row above.
 * @param cut  rows behind which none are coded together with those before
 */
export function codedBand(image: PngImage, compressor: Compressor, cut: number): Iterable<CodedRows> {
  return isRunCoded(image) ? runCoded(image, compressor) : fullyCoded(image, compressor, cut);
}

/** Row by row: one period of it, and a run that copies it to the row's end, which is the same for every row. */
function* runCoded(image: PngImage, { piece }: Compressor): Iterable<CodedRows> {
  const length = lineLength(image);
  const period = image.period.across * image.channels;
  const run = repeatedRun(period, length - 1 - period);
  const equal = equalRow(length);
  let before: Uint8Array = new Uint8Array(0);
  for (const line of periodLines(image)) {
    if (line === undefined) {
      before = new Uint8Array(0);
      yield equal;
      continue;
    }
    yield { bytes: joined([piece(line, before), run]), rows: 1, sum: sumAlong(line, length), length };
    before = endOf(line, length);
  }
}

/** A row that is equal to the one above: its filter byte, a zero, and that zero again. */
function equalRow(length: number): CodedRows {
  const start = equalLine(2);
  // A stored block: its length, and the complement of that. Source: RFC 1951, §3.2.4.
  const stored = [0, 2, 0, 0xfd, 0xff, ...start];
  const sum = joinAdler32(
    adler32(start),
    repeatAdler32(adler32(new Uint8Array(1)), 1, length - 2),
    length - 2,
  );
  return { bytes: joined([stored, repeatedRun(1, length - 2)]), rows: 1, sum, length };
}

/** Adler-32 of a row that goes on by its period. */
function sumAlong(line: Uint8Array, length: number): number {
  const once = line.subarray(1);
  const left = length - line.length;
  const times = Math.floor(left / once.length);
  const rest = once.subarray(0, left % once.length);
  const copies = repeatAdler32(adler32(once), once.length, times);
  const start = joinAdler32(adler32(line), copies, once.length * times);
  return joinAdler32(start, adler32(rest), rest.length);
}

/** The end of a row that goes on by its period: as much of it as the next row finds its like in. */
function endOf(line: Uint8Array, length: number): Uint8Array {
  const period = line.length - 1;
  const kept = Math.min(length - 1, 2 * period, WINDOW);
  const phase = (length - 1 - kept) % period;
  return along(line, 1 + phase + kept).subarray(1 + phase);
}

/** Rows in full, about a megabyte at a time. */
function* fullyCoded(image: PngImage, { piece }: Compressor, cut: number): Iterable<CodedRows> {
  let made = 0;
  let lines: Uint8Array[] = [];
  let before: Uint8Array = new Uint8Array(0);
  const most = Math.max(1, Math.floor(BATCH / lineLength(image)));
  const coded = (): CodedRows => {
    const raw = joined(lines);
    const bytes = piece(raw, before);
    before = raw.subarray(-WINDOW);
    const rows = lines.length;
    lines = [];
    return { bytes, rows, sum: adler32(raw), length: raw.length };
  };
  for (const line of fullLines(image)) {
    lines.push(line);
    made += 1;
    if (lines.length === most || made === cut) yield coded();
  }
  if (lines.length > 0) yield coded();
}

export function joined(parts: readonly ArrayLike<number>[]): Uint8Array {
  const bytes = new Uint8Array(parts.reduce((length, part) => length + part.length, 0));
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
}
