import { drawn, ink, line } from '../drawn.ts';
import { type Eye, inRoom, seenAt } from '../room.ts';
import type { Scene } from '../scene.ts';
import { along } from '../seam-line.ts';

/** A cloth on a table: its top in perspective, its front hanging down. */
export const tableCloth: Scene = {
  key: 'table-cloth',
  name: 'Table cloth',
  group: 'furnishing',
  numbers: [
    { key: 'width', label: 'Width of the table', usual: 1400, in: 'mm', least: 300, most: 4000 },
    { key: 'depth', label: 'Depth', usual: 900, in: 'mm', least: 300, most: 3000 },
    { key: 'overhang', label: 'Overhang', usual: 260, in: 'mm', least: 20, most: 700 },
  ],
  draw: ({ width, depth, overhang }) => {
    const wide = width!;
    const high = 740;
    const hang = overhang!;
    const eye: Eye = { at: { x: wide / 2, y: 1650 }, distance: 1900 };
    const far = seenAt(eye, [0, high, depth!]);
    const legs = [0.07, 0.87].flatMap((part) => {
      const x = part * wide;
      return [line(x, high - hang, x + 0.012 * wide, 0, x + 0.048 * wide, 0, x + 0.06 * wide, high - hang)];
    });
    return {
      size: { width: wide, height: far.y },
      parts: [
        {
          key: 'top',
          name: 'Top',
          at: { x: 0, y: 0 },
          box: { width: wide, height: depth! },
          bends: [
            inRoom(eye, [
              [0, high, 0],
              [wide, high, 0],
              [wide, high, depth!],
              [0, high, depth!],
            ]),
          ],
        },
        {
          key: 'front',
          name: 'Front',
          at: { x: 0, y: high - hang },
          box: { width: wide, height: hang },
          bends: [{ kind: 'folds', count: 9, depth: 14 }],
          ink: [ink('stitch', line(0, 18, wide, 18))],
        },
      ],
      ink: [
        ink('outline', ...legs),
        ink(
          'detail',
          ...drawn(
            `M${0.1 * wide} ${high - hang}L${0.1 * wide} ${Math.max(0, high - hang - 60)}L${0.9 * wide} ${Math.max(0, high - hang - 60)}L${0.9 * wide} ${high - hang}`,
          ),
        ),
      ],
      seams: [
        {
          name: 'Edge of the table',
          parts: ['top', 'front'],
          lines: [along(line(0, 0, wide, 0)), along(line(0, hang, wide, hang))],
        },
      ],
      dimensions: [
        { from: { x: wide, y: 0 }, to: { x: 0, y: 0 }, away: 70, number: 'width' },
        { from: { x: 0, y: high - hang }, to: { x: 0, y: high }, away: 70, number: 'overhang' },
      ],
    };
  },
};
