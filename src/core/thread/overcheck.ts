import { CoreError } from '../error.ts';
import { modulo } from '../exact/modulo.ts';
import { type Band, typedThreads } from './band.ts';
import type { Bands } from './edit-bands.ts';
import { layOut, type Sequence } from './sequence.ts';

/**
 * Lays a thin line into a sett without changing its total: typed threads `at` … `at` + count − 1 take the line's shade,
 * away from the bands that they lie in. A mirrored sett carries the line's reflection too; where pivots are shared, one
 * that is cut becomes the pivot that remains about the same axis.
 *
 * @throws CoreError "overcheck/place" {at, count, threads}
 */
export function layLine(sequence: Sequence, at: number, line: Band): Bands {
  const { bands, mirror } = sequence;
  const threads = typedThreads(bands);
  if (!Number.isSafeInteger(at) || at < 0 || line.count < 1 || at + line.count > threads) {
    throw new CoreError('overcheck/place', { at, count: line.count, threads });
  }
  return mirror === 'shared' ? layMirrored(sequence, at, line) : layPlain(bands, at, line);
}

function layPlain(bands: Bands, at: number, line: Band): Bands {
  const end = at + line.count;
  const laid: Band[] = [];
  let start = 0;
  for (const band of bands) {
    const before = Math.min(band.count, Math.max(0, at - start));
    const after = Math.min(band.count, Math.max(0, start + band.count - end));
    if (before > 0) laid.push({ ...band, count: before });
    if (start <= at && at < start + band.count) laid.push(line);
    if (after > 0) laid.push({ ...band, count: after });
    start += band.count;
  }
  return laid;
}

/**
 * Lays line and reflection into the threads as they are laid out, then reads the half from the axis of the first pivot
 * to that of the last, half a repeat on.
 */
function layMirrored(sequence: Sequence, at: number, line: Band): Bands {
  const threads = layOut(sequence).flatMap(({ shade, count }) => Array<string>(count).fill(shade));
  const first = sequence.bands[0]!.count;
  const all = threads.length;
  for (let thread = at; thread < at + line.count; thread += 1) {
    threads[thread] = line.shade;
    threads[modulo(first - 1 - thread, all)] = line.shade;
  }
  const shadeAt = (thread: number) => threads[modulo(thread, all)]!;
  const axis = Math.floor(first / 2);
  const far = Math.floor((first + all) / 2);
  const start = runStart(shadeAt, axis, all);
  const half: Band[] = [];
  for (let thread = start; thread < start + all; ) {
    let end = thread + 1;
    while (end < start + all && shadeAt(end) === shadeAt(thread)) end += 1;
    half.push({ shade: shadeAt(thread), count: end - thread });
    if (end > far) break;
    thread = end;
  }
  return half;
}

/** Where the run begins that holds a thread; the thread itself when all are of one shade. */
function runStart(shadeAt: (thread: number) => string, thread: number, all: number): number {
  let start = thread;
  while (thread - start < all && shadeAt(start - 1) === shadeAt(thread)) start -= 1;
  return start;
}
