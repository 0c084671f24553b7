import { ellipse } from '../../shape/contour.ts';
import { ink, line, rectangle } from '../drawn.ts';
import { seamOf } from '../placed.ts';
import type { Scene, ScenePart } from '../scene.ts';
import { along } from '../seam-line.ts';

/** A pair of curtains in folds, on a pole before a window. */
export const curtain: Scene = {
  key: 'curtain',
  name: 'Curtain',
  group: 'furnishing',
  numbers: [
    { key: 'width', label: 'Width of each, hung', usual: 700, in: 'mm', least: 100, most: 3000 },
    { key: 'drop', label: 'Drop', usual: 1900, in: 'mm', least: 200, most: 4000 },
    { key: 'apart', label: 'Between them', usual: 700, in: 'mm', least: 0, most: 4000 },
  ],
  draw: ({ width, drop, apart }) => {
    const wide = width!;
    const high = drop!;
    const between = apart!;
    const folds = Math.max(3, Math.round(wide / 110));
    const left = 120;
    const curtainAt = (key: string, name: string, x: number): ScenePart => ({
      key,
      name,
      at: { x, y: 0 },
      box: { width: wide, height: high },
      bends: [{ kind: 'folds', count: folds, depth: 60 }],
      ink: [ink('stitch', line(0, high - 70, wide, high - 70)), ink('stitch', line(0, 60, wide, 60))],
    });
    const one = curtainAt('left', 'Left curtain', left);
    const other = curtainAt('right', 'Right curtain', left + wide + between);
    const pole = high + 46;
    const end = 2 * left + 2 * wide + between;
    const rings = (x: number) =>
      Array.from({ length: folds + 1 }, (_, at) =>
        ellipse({ x: x + 8 + ((wide - 16) * at) / folds, y: pole - 14 }, 11, 26),
      );
    const sill = 0.34 * high;
    const frame = { x: left + 0.62 * wide, y: sill };
    const glass = { width: 0.76 * wide + between, height: high - sill - 40 };
    const middle = frame.x + glass.width / 2;
    return {
      size: { width: end, height: high + 90 },
      parts: [one, other],
      ink: [
        ink('outline', rectangle({ x: 40, y: pole - 8 }, { width: end - 80, height: 16 })),
        ink('outline', ellipse({ x: 26, y: pole }, 20, 20), ellipse({ x: end - 26, y: pole }, 20, 20)),
        ink('detail', ...rings(left), ...rings(left + wide + between)),
      ],
      behind:
        between > 120
          ? [ink('detail', ...seenBetween(frame, glass, middle, left + wide, left + wide + between))]
          : [],
      seams: [
        {
          ...seamOf('Where they meet', one, other, []),
          lines: [along(line(wide, 0, wide, high)), along(line(0, 0, 0, high))],
        },
      ],
      dimensions: [
        { from: { x: left, y: 0 }, to: { x: left, y: high }, away: 90, number: 'drop' },
        { from: { x: left + wide, y: 0 }, to: { x: left, y: 0 }, away: 80, number: 'width' },
        { from: { x: left + wide + between, y: 0 }, to: { x: left + wide, y: 0 }, away: 80, number: 'apart' },
      ],
    };
  },
};

/** What of a window's frame is seen between two curtains. */
function seenBetween(
  frame: { readonly x: number; readonly y: number },
  glass: { readonly width: number; readonly height: number },
  middle: number,
  from: number,
  to: number,
) {
  const top = frame.y + glass.height;
  const level = (y: number) => line(from, y, to, y);
  return [
    level(frame.y),
    level(frame.y + 34),
    level(top),
    level(top - 34),
    level(frame.y + 0.52 * glass.height),
    level(frame.y + 0.52 * glass.height + 24),
    line(middle - 14, frame.y + 34, middle - 14, top - 34),
    line(middle + 14, frame.y + 34, middle + 14, top - 34),
    level(frame.y - 26),
  ];
}
