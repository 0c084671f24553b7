import svgpath from 'svgpath';
import { CoreError } from '../error.ts';
import type { Contour, Segment } from '../shape/contour.ts';
import type { Place } from '../shape/places.ts';

/** Most characters and most pieces of a path that is read. */
export const MOST_PATH_TEXT = 400_000;
export const MOST_PATH_PIECES = 10_000;

/**
 * The outlines and lines of a path. Arcs and quadratic curves become cubic ones.
 * Source: W3C Scalable Vector Graphics (SVG) 2, §9.3 (path data).
 *
 * @param text  path data; its numbers are taken as they are, y upward or downward
 * @throws CoreError "path/text" {at, text} | "path/long" {length, most} | "path/pieces" {pieces, most} | "path/empty"
 */
export function readPath(text: string): readonly Contour[] {
  if (text.length > MOST_PATH_TEXT)
    throw new CoreError('path/long', { length: text.length, most: MOST_PATH_TEXT });
  const path = svgpath(text) as ReturnType<typeof svgpath> & { err: string; segments: readonly unknown[] };
  if (path.err !== '') throw new CoreError('path/text', { why: path.err.slice(0, 120) });
  if (path.segments.length === 0) throw new CoreError('path/empty', {});
  if (path.segments.length > MOST_PATH_PIECES) {
    throw new CoreError('path/pieces', { pieces: path.segments.length, most: MOST_PATH_PIECES });
  }
  const contours: { start: Place; segments: Segment[]; closed: boolean }[] = [];
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const [command, ...numbers] = segment as readonly [string, ...number[]];
      const here = { x, y };
      const at = (place: number): Place => ({ x: numbers[2 * place]!, y: numbers[2 * place + 1]! });
      if (command === 'M') {
        contours.push({ start: at(0), segments: [], closed: false });
        return;
      }
      const contour = contours.at(-1)!;
      if (command === 'Z') contour.closed = true;
      else goOn(contour, contours, segmentOf(command, here, numbers, at));
    });
  return contours.filter(({ segments }) => segments.length > 0);
}

/** What follows a closed outline without a move begins where that began. */
function goOn(
  contour: { start: Place; segments: Segment[]; closed: boolean },
  contours: { start: Place; segments: Segment[]; closed: boolean }[],
  segment: Segment,
): void {
  if (!contour.closed) contour.segments.push(segment);
  else contours.push({ start: contour.start, segments: [segment], closed: false });
}

function segmentOf(
  command: string,
  here: Place,
  numbers: readonly number[],
  at: (place: number) => Place,
): Segment {
  switch (command) {
    case 'H':
      return { kind: 'line', to: { x: numbers[0]!, y: here.y } };
    case 'V':
      return { kind: 'line', to: { x: here.x, y: numbers[0]! } };
    case 'Q':
      return {
        kind: 'curve',
        curve: { leave: toward(here, at(0)), arrive: toward(at(1), at(0)), to: at(1) },
      };
    case 'C':
      return { kind: 'curve', curve: { leave: at(0), arrive: at(1), to: at(2) } };
    default:
      return { kind: 'line', to: at(0) };
  }
}

/** Where a cubic curve's handle lies that does what a quadratic one's does. */
function toward(from: Place, handle: Place): Place {
  return { x: from.x + (2 / 3) * (handle.x - from.x), y: from.y + (2 / 3) * (handle.y - from.y) };
}
