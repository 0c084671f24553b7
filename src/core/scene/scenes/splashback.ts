import { ellipse } from '../../shape/contour.ts';
import { ink, line } from '../drawn.ts';
import { type Eye, inRoom, roomLine, type Spot, seenAt } from '../room.ts';
import type { Scene } from '../scene.ts';
import { along } from '../seam-line.ts';

/** Tiles above a worktop, round the corner of a kitchen. */
export const splashback: Scene = {
  key: 'splashback',
  name: 'Splashback',
  group: 'room',
  numbers: [
    { key: 'side', label: 'Along the side wall', usual: 1800, in: 'mm', least: 200, most: 6000 },
    { key: 'back', label: 'Along the back wall', usual: 1500, in: 'mm', least: 200, most: 6000 },
    { key: 'height', label: 'Height', usual: 600, in: 'mm', least: 100, most: 1600 },
  ],
  draw: ({ side, back, height }) => {
    const long = side!;
    const wide = back!;
    const low = 900;
    const top = low + height!;
    const eye: Eye = { at: { x: 0.72 * wide, y: 1500 }, distance: 2400 };
    const corner = (y: number): Spot => [0, y, long];
    const seen = (spots: readonly Spot[], closed = false) => roomLine(eye, spots, closed);
    const deep = Math.min(600, 0.6 * wide);
    const shelf = Math.min(340, 0.4 * wide);
    const turn = Math.max(0, long - 600);
    const high = top + 700;
    const upright = (x: number, from: number, to: number, z: number) =>
      seen([
        [x, from, z],
        [x, to, z],
      ]);
    const hob = seenAt(eye, [0.56 * wide, low, long - 260]);
    return {
      size: { width: seenAt(eye, [wide, 0, long]).x, height: seenAt(eye, [0, high, 0]).y },
      parts: [
        {
          key: 'side',
          name: 'Side wall',
          at: { x: 0, y: 0 },
          box: { width: long, height: height! },
          bends: [inRoom(eye, [[0, low, 0], corner(low), corner(top), [0, top, 0]])],
        },
        {
          key: 'back',
          name: 'Back wall',
          at: { x: 0, y: 0 },
          box: { width: wide, height: height! },
          bends: [inRoom(eye, [corner(low), [wide, low, long], [wide, top, long], corner(top)])],
        },
      ],
      ink: [
        // Cupboards under a worktop, along both walls.
        ink(
          'outline',
          seen(
            [
              [0, 0, 0],
              [deep, 0, 0],
              [deep, low, 0],
              [0, low, 0],
            ],
            true,
          ),
        ),
        ink(
          'outline',
          seen([
            [deep, low, 0],
            [deep, low, turn],
            [wide, low, turn],
            [wide, 0, turn],
            [deep, 0, turn],
            [deep, 0, 0],
          ]),
        ),
        ink(
          'outline',
          seen([
            [deep, 0, turn],
            [deep, low, turn],
          ]),
        ),
        ink(
          'detail',
          seen([
            [0, low - 40, 0],
            [deep, low - 40, 0],
            [deep, low - 40, turn],
            [wide, low - 40, turn],
          ]),
        ),
        ink(
          'detail',
          seen([
            [deep, 100, 0],
            [deep, 100, turn],
            [wide, 100, turn],
          ]),
        ),
        ink(
          'detail',
          ...[0.36, 0.72].map((part) =>
            seen([
              [deep, 100, part * turn],
              [deep, low - 40, part * turn],
            ]),
          ),
        ),
        ink(
          'detail',
          ...[1 / 3, 2 / 3].map((part) => upright(deep + part * (wide - deep), 100, low - 40, turn)),
        ),
        ink('detail', ellipse(hob, 80, 24), ellipse({ x: hob.x + 200, y: hob.y - 3 }, 62, 18)),
        // And above, less deep.
        ink(
          'outline',
          seen(
            [
              [0, top, 0],
              [shelf, top, 0],
              [shelf, high, 0],
              [0, high, 0],
            ],
            true,
          ),
        ),
        ink(
          'outline',
          seen([
            [shelf, top, 0],
            [shelf, top, long - shelf],
            [wide, top, long - shelf],
            [wide, high, long - shelf],
            [shelf, high, long - shelf],
            [shelf, high, 0],
          ]),
        ),
        ink('outline', upright(shelf, top, high, long - shelf)),
        ink('detail', ...[1 / 3, 2 / 3].map((part) => upright(shelf, top, high, part * (long - shelf)))),
        ink(
          'detail',
          ...[1 / 3, 2 / 3].map((part) => upright(shelf + part * (wide - shelf), top, high, long - shelf)),
        ),
      ],
      seams: [
        {
          name: 'Corner',
          parts: ['side', 'back'],
          lines: [along(line(long, 0, long, height!)), along(line(0, 0, 0, height!))],
        },
      ],
      dimensions: [
        { from: seenAt(eye, [0, low, 0]), to: seenAt(eye, [0, top, 0]), away: 90, number: 'height' },
      ],
    };
  },
};
