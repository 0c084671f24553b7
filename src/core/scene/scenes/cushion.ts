import { drawn, ink } from '../drawn.ts';
import type { Scene } from '../scene.ts';

/** A square cushion with piped edges. */
export const cushion: Scene = {
  key: 'cushion',
  name: 'Cushion',
  group: 'furnishing',
  numbers: [
    { key: 'width', label: 'Width', usual: 450, in: 'mm', least: 100, most: 1500 },
    { key: 'height', label: 'Height', usual: 450, in: 'mm', least: 100, most: 1500 },
  ],
  draw: ({ width, height }) => {
    const x = width! / 100;
    const y = height! / 100;
    const edge = 'M0 0C28 4.6 72 4.6 100 0C95.4 28 95.4 72 100 100C72 95.4 28 95.4 0 100C4.6 72 4.6 28 0 0Z';
    return {
      size: { width: width!, height: height! },
      parts: [
        {
          key: 'cushion',
          name: 'Cushion',
          at: { x: 0, y: 0 },
          box: { width: width!, height: height! },
          outline: drawn(edge, x, y),
          bends: [{ kind: 'form', across: 80, up: 80 }],
          ink: [
            ink(
              'detail',
              ...drawn(
                'M2.6 2.6C29 6.6 71 6.6 97.4 2.6C93.4 29 93.4 71 97.4 97.4C71 93.4 29 93.4 2.6 97.4C6.6 71 6.6 29 2.6 2.6Z',
                x,
                y,
              ),
            ),
            ink(
              'detail',
              ...drawn(
                'M4 4C9 12 15 18 21 22M5 4C13 8 19 11 25 13M96 4C91 12 85 18 79 22M95 4C87 8 81 11 75 13M4 96C9 88 15 82 21 78M96 96C91 88 85 82 79 78M95 96C87 92 81 89 75 87',
                x,
                y,
              ),
            ),
          ],
        },
      ],
      ink: [],
      seams: [],
      dimensions: [
        { from: { x: width!, y: 0 }, to: { x: 0, y: 0 }, away: 50, number: 'width' },
        { from: { x: 0, y: 0 }, to: { x: 0, y: height! }, away: 50, number: 'height' },
      ],
    };
  },
};
