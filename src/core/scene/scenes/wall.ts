import { backward, ink, line, rectangle } from '../drawn.ts';
import type { Scene } from '../scene.ts';

/** A papered or painted wall with a window in it. */
export const wall: Scene = {
  key: 'wall',
  name: 'Wall with a window',
  group: 'room',
  numbers: [
    { key: 'width', label: 'Width', usual: 3600, in: 'mm', least: 500, most: 12_000 },
    { key: 'height', label: 'Height', usual: 2500, in: 'mm', least: 500, most: 6000 },
    { key: 'windowWidth', label: 'Window, width', usual: 1200, in: 'mm', least: 0, most: 8000 },
    { key: 'windowHeight', label: 'Window, height', usual: 1200, in: 'mm', least: 0, most: 4000 },
    { key: 'sill', label: 'Sill above the floor', usual: 900, in: 'mm', least: 0, most: 4000 },
  ],
  draw: ({ width, height, windowWidth, windowHeight, sill }) => {
    const wide = width!;
    const board = 120;
    const box = { width: wide, height: height! - board };
    // A window stays within its wall.
    const glass = {
      width: Math.min(windowWidth!, 0.96 * wide),
      height: Math.min(windowHeight!, 0.98 * height! - sill!),
    };
    const at = { x: (wide - glass.width) / 2, y: sill! };
    const hasWindow = glass.width > 100 && glass.height > 100 && sill! >= board;
    const inner = { x: at.x + 60, y: at.y + 60 };
    const pane = { width: glass.width - 120, height: glass.height - 120 };
    const middle = at.x + glass.width / 2;
    const hole = rectangle({ x: at.x, y: at.y - board }, glass);
    return {
      size: { width: wide, height: height! },
      parts: [
        {
          key: 'wall',
          name: 'Wall',
          at: { x: 0, y: board },
          box,
          outline: [
            rectangle({ x: 0, y: 0 }, box),
            ...(hasWindow ? [{ ...backward(closing(hole)), closed: true }] : []),
          ],
        },
      ],
      ink: [
        ink('outline', rectangle({ x: 0, y: 0 }, { width: wide, height: board })),
        ink('detail', line(0, board - 26, wide, board - 26)),
        ...(hasWindow
          ? [
              ink('outline', rectangle(at, glass), rectangle(inner, pane)),
              ink(
                'outline',
                rectangle({ x: at.x - 50, y: at.y - 44 }, { width: glass.width + 100, height: 44 }),
              ),
              ink(
                'detail',
                line(middle - 18, inner.y, middle - 18, inner.y + pane.height),
                line(middle + 18, inner.y, middle + 18, inner.y + pane.height),
              ),
              ink(
                'detail',
                line(inner.x, inner.y + 0.6 * pane.height, inner.x + pane.width, inner.y + 0.6 * pane.height),
              ),
            ]
          : []),
      ],
      seams: [],
      dimensions: [
        { from: { x: 0, y: height! }, to: { x: wide, y: height! }, away: 120, number: 'width' },
        { from: { x: 0, y: 0 }, to: { x: 0, y: height! }, away: 120, number: 'height' },
        ...(hasWindow
          ? [
              {
                from: { x: at.x, y: at.y + glass.height },
                to: { x: at.x + glass.width, y: at.y + glass.height },
                away: 110,
                number: 'windowWidth',
              },
              {
                from: { x: at.x + glass.width, y: at.y + glass.height },
                to: { x: at.x + glass.width, y: at.y },
                away: 130,
                number: 'windowHeight',
              },
            ]
          : []),
      ],
    };
  },
};

/** A closed outline as an open one that ends where it begins. */
function closing({ start, segments }: ReturnType<typeof rectangle>) {
  return { start, segments: [...segments, { kind: 'line' as const, to: start }], closed: false };
}
