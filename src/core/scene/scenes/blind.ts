import { drawn, ink, line, rectangle } from '../drawn.ts';
import type { Scene } from '../scene.ts';

/** A Roman blind before a window. */
export const blind: Scene = {
  key: 'blind',
  name: 'Blind',
  group: 'furnishing',
  numbers: [
    { key: 'width', label: 'Width', usual: 900, in: 'mm', least: 150, most: 4000 },
    { key: 'drop', label: 'Drop', usual: 1000, in: 'mm', least: 150, most: 4000 },
    { key: 'panels', label: 'Panels', usual: 4, in: 'count', least: 1, most: 20 },
  ],
  draw: ({ width, drop, panels }) => {
    const wide = width!;
    const high = drop!;
    const count = Math.round(panels!);
    const [x, low] = [80, 0.42 * high + 60];
    const rods = Array.from({ length: count - 1 }, (_, at) => (high * (at + 1)) / count);
    const sill = 60;
    const top = low + high;
    return {
      size: { width: wide + 2 * x, height: top + 60 },
      parts: [
        {
          key: 'blind',
          name: 'Blind',
          at: { x, y: low },
          box: { width: wide, height: high },
          ink: [
            ink('detail', ...rods.map((y) => line(0, y, wide, y))),
            ink('stitch', ...rods.map((y) => line(0, y - 10, wide, y - 10))),
            ink('stitch', line(0, 24, wide, 24)),
          ],
        },
      ],
      ink: [
        ink('outline', rectangle({ x: x - 6, y: top }, { width: wide + 12, height: 34 })),
        ink('outline', rectangle({ x: x - 40, y: sill - 34 }, { width: wide + 80, height: 34 })),
        ink('detail', line(x - 20, sill, x - 20, top + 50, x + wide + 20, top + 50, x + wide + 20, sill)),
        ink('detail', line(x + 20, sill, x + 20, low), line(x + wide - 20, sill, x + wide - 20, low)),
        ink('detail', line(x + 20, sill + 20, x + wide - 20, sill + 20)),
        ink(
          'detail',
          line(x + wide / 2 - 12, sill + 20, x + wide / 2 - 12, low),
          line(x + wide / 2 + 12, sill + 20, x + wide / 2 + 12, low),
        ),
        ink(
          'detail',
          ...drawn(
            `M${x + wide - 50} ${low}L${x + wide - 50} ${low - 0.2 * high}M${x + wide - 56} ${low - 0.2 * high}L${x + wide - 44} ${low - 0.2 * high}L${x + wide - 40} ${low - 0.2 * high - 44}L${x + wide - 60} ${low - 0.2 * high - 44}Z`,
          ),
        ),
      ],
      seams: [],
      dimensions: [
        { from: { x, y: top + 60 }, to: { x: x + wide, y: top + 60 }, away: 50, number: 'width' },
        { from: { x, y: low }, to: { x, y: top }, away: 110, number: 'drop' },
      ],
    };
  },
};
