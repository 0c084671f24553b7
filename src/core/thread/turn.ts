import { modulo } from '../exact/modulo.ts';
import { layOut, type Sequence, threadCount } from './sequence.ts';

/** A sequence of threads that begins `by` threads later and comes round: ABCD turned by 1 is BCDA. */
export function turnThreads(threads: Uint16Array, by: number): Uint16Array {
  const first = modulo(by, threads.length);
  if (first === 0) return threads;
  const turned = new Uint16Array(threads.length);
  turned.set(threads.subarray(first));
  turned.set(threads.subarray(0, first), threads.length - first);
  return turned;
}

/** The same for bands: laid out, begun `by` threads later, no longer mirrored. A band that is cut stands at both ends. */
export function turnSequence(sequence: Sequence, by: number): Sequence {
  const all = threadCount(sequence);
  const first = modulo(by, all);
  if (first === 0) return sequence;
  const pieces = layOut(sequence).flatMap(({ shade, count, start }) => {
    const cut = Math.min(count, Math.max(0, first - start));
    return [
      { shade, count: cut, at: start + all },
      { shade, count: count - cut, at: start + cut },
    ];
  });
  const bands = pieces
    .filter(({ count }) => count > 0)
    .sort((a, b) => a.at - b.at)
    .map(({ shade, count }) => ({ shade, count }));
  return { bands, mirror: 'none' };
}
