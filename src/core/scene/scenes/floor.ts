import { ink } from '../drawn.ts';
import { type Eye, inRoom, roomLine, type Spot, seenAt } from '../room.ts';
import type { Scene } from '../scene.ts';

/** A floor as it is seen by who stands before it. */
export const floor: Scene = {
  key: 'floor',
  name: 'Floor',
  group: 'room',
  numbers: [
    { key: 'width', label: 'Width', usual: 3000, in: 'mm', least: 500, most: 12_000 },
    { key: 'depth', label: 'Depth', usual: 3600, in: 'mm', least: 500, most: 20_000 },
    { key: 'eye', label: 'Height of the eye', usual: 1600, in: 'mm', least: 300, most: 4000 },
  ],
  draw: ({ width, depth, eye: eyeHeight }) => {
    const wide = width!;
    const far = depth!;
    const eye: Eye = { at: { x: wide / 2, y: eyeHeight! }, distance: 2600 };
    const high = Math.max(2500, eyeHeight! + 400);
    const wall = (spots: readonly Spot[], closed = false) => roomLine(eye, spots, closed);
    const door = 0.62 * wide;
    return {
      size: { width: wide, height: Math.max(seenAt(eye, [0, high, far]).y, 0.75 * high) },
      parts: [
        {
          key: 'floor',
          name: 'Floor',
          at: { x: 0, y: 0 },
          box: { width: wide, height: far },
          bends: [
            inRoom(eye, [
              [0, 0, 0],
              [wide, 0, 0],
              [wide, 0, far],
              [0, 0, far],
            ]),
          ],
        },
      ],
      ink: [
        ink(
          'outline',
          wall([
            [0, 0, far],
            [0, high, far],
            [wide, high, far],
            [wide, 0, far],
          ]),
        ),
        ink(
          'detail',
          wall([
            [0, 120, 0],
            [0, 120, far],
            [wide, 120, far],
            [wide, 120, 0],
          ]),
        ),
        ink(
          'outline',
          wall([
            [door, 0, far],
            [door, 2050, far],
            [door + 820, 2050, far],
            [door + 820, 0, far],
          ]),
        ),
        ink(
          'detail',
          wall([
            [door + 70, 0, far],
            [door + 70, 1980, far],
            [door + 750, 1980, far],
            [door + 750, 0, far],
          ]),
        ),
        ink(
          'detail',
          wall(
            [
              [door + 170, 200, far],
              [door + 650, 200, far],
              [door + 650, 900, far],
              [door + 170, 900, far],
            ],
            true,
          ),
        ),
        ink(
          'detail',
          wall(
            [
              [door + 170, 1060, far],
              [door + 650, 1060, far],
              [door + 650, 1850, far],
              [door + 170, 1850, far],
            ],
            true,
          ),
        ),
        ink(
          'detail',
          wall([
            [door + 690, 1010, far],
            [door + 720, 1010, far],
          ]),
        ),
      ],
      seams: [],
      dimensions: [{ from: { x: wide, y: 0 }, to: { x: 0, y: 0 }, away: 110, number: 'width' }],
    };
  },
};
