import type { TilingDesign } from '../src/core/design/design-schema.ts';
import { newTiling } from '../src/core/design/new-design.ts';
import type { LinesSpec } from '../src/core/design/tiling/tiling-schema.ts';
import { SHADES } from './ringed-octagons.ts';

/** Hexagons, squares and triangles of 1 mm, none of which is like another: 1728 faces in one repeat. */
export function scatteredFloor(over: Partial<Parameters<typeof newTiling>[0]> = {}): TilingDesign {
  return newTiling({
    name: 'Floor',
    shades: SHADES,
    form: { kind: 'regular', name: '3.4.6.4' },
    scatter: { times: 12, seed: 3, share: '2/3', by: '1/5' },
    size: '1 mm',
    ...over,
  });
}

/** Flat dashes along sides, each half as long as its place. */
export function dashedSides(of: string, width: string, shade: string, count: number): LinesSpec {
  const dashes = { count, share: '1/2' };
  return { what: 'sides', of, width, shade, ends: 'flat', dashes, skip: 1, every: 1, first: 0 };
}

/** Corners of a polygon in pixels, for a canvas. */
export type Points = readonly (readonly [number, number])[];

/** A polygon wherever it comes into a repeat of a square of so many pixels. */
export function everywhere(points: Points, side: number): readonly Points[] {
  const shifts = (values: readonly number[]) =>
    [-side, 0, side].filter((by) => Math.max(...values) + by > 0 && Math.min(...values) + by < side);
  return shifts(points.map(([, y]) => y)).flatMap((down) =>
    shifts(points.map(([x]) => x)).map((right) => points.map(([x, y]) => [x + right, y + down] as const)),
  );
}

/** Faces for a canvas: a shade each, and its polygon wherever it comes into the repeat. */
export interface CanvasFace {
  readonly hex: string;
  readonly copies: readonly Points[];
}

/** What of a canvas' drawing is asked for here. */
interface Filler {
  fillStyle: unknown;
  readonly beginPath: () => void;
  readonly lineTo: (x: number, y: number) => void;
  readonly fill: () => void;
  readonly fillRect: (x: number, y: number, width: number, height: number) => void;
}

/** Fills faces one after another over a ground, as a canvas library does it. */
export function fillFaces(context: Filler, faces: readonly CanvasFace[], ground: string, side: number): void {
  context.fillStyle = ground;
  context.fillRect(0, 0, side, side);
  for (const { hex, copies } of faces) {
    context.fillStyle = hex;
    for (const points of copies) {
      context.beginPath();
      for (const [x, y] of points) context.lineTo(x, y);
      context.fill();
    }
  }
}
