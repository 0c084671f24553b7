import { ink, line } from '../drawn.ts';
import { type Eye, inRoom, roomLine, type Spot, seenAt } from '../room.ts';
import type { Scene, ScenePart, Seam } from '../scene.ts';
import { along } from '../seam-line.ts';

/** Heights of the seats, their backs and the luggage nets, and how deep a seat is; millimetres. */
const SEAT = 450;
const BACK = 1250;
const NET = 1700;
const DEEP = 520;

/** A railway compartment as it is seen from its door: seats on both sides, curtains at the window, a carpet. */
export const compartment: Scene = {
  key: 'compartment',
  name: 'Railway compartment',
  group: 'room',
  numbers: [
    { key: 'width', label: 'Width', usual: 1950, in: 'mm', least: 1200, most: 4000 },
    { key: 'depth', label: 'Depth', usual: 1900, in: 'mm', least: 800, most: 5000 },
    { key: 'height', label: 'Height', usual: 2250, in: 'mm', least: 1900, most: 3500 },
  ],
  draw: ({ width, depth, height }) => {
    const wide = width!;
    const far = depth!;
    const high = height!;
    const eye: Eye = { at: { x: wide / 2, y: 1350 }, distance: 2200 };
    const seen = (spots: readonly Spot[], closed = false) => roomLine(eye, spots, closed);
    const part = (
      key: string,
      name: string,
      box: ScenePart['box'],
      corners: readonly [Spot, Spot, Spot, Spot],
      before: ScenePart['bends'] = [],
    ): ScenePart => ({
      key,
      name,
      at: { x: 0, y: 0 },
      box,
      bends: [...before, inRoom(eye, corners)],
    });
    const backBox = { width: far, height: BACK - SEAT };
    const seatBox = { width: far, height: DEEP };
    const left = (x: number, y: number, z: number): Spot => [x, y, z];
    const right = (x: number, y: number, z: number): Spot => [wide - x, y, z];
    const curtainWide = 0.17 * wide;
    const [sill, lintel] = [900, 1900];
    const glass = { from: 0.24 * wide, to: 0.76 * wide };
    const curtainAt = (key: string, name: string, x: number): ScenePart =>
      part(
        key,
        name,
        { width: curtainWide, height: lintel - sill + 120 },
        [
          [x, sill - 60, far],
          [x + curtainWide, sill - 60, far],
          [x + curtainWide, lintel + 60, far],
          [x, lintel + 60, far],
        ],
        [{ kind: 'folds', count: 4, depth: 50 }],
      );
    const lines = (at: typeof left) => [
      ink(
        'outline',
        seen([at(0, NET, 0), at(0, NET, far)]),
        seen([at(330, NET - 60, 0), at(330, NET - 60, far)]),
      ),
      ink(
        'detail',
        ...[0.2, 0.4, 0.6, 0.8].map((z) => seen([at(0, NET, z * far), at(330, NET - 60, z * far)])),
      ),
      ink('outline', seen([at(DEEP, 0, 0), at(DEEP, SEAT - 30, 0)])),
      ink(
        'detail',
        ...[1 / 3, 2 / 3].map((z) => seen([at(60, SEAT + 20, z * far), at(40, BACK - 20, z * far)])),
      ),
      ink('outline', seen([at(0, BACK, 0), at(0, BACK + 90, 0), at(0, BACK + 90, far), at(0, BACK, far)])),
      ink('detail', seen([at(0, high, 0), at(0, high, far), at(0, 0, far)])),
    ];
    const seam = (side: string, name: string): Seam => ({
      name,
      parts: [`${side}-back`, `${side}-seat`],
      lines: [along(line(0, 0, far, 0)), along(line(0, DEEP, far, DEEP))],
    });
    return {
      size: { width: wide, height: high },
      parts: [
        part('carpet', 'Carpet', { width: wide - 2 * DEEP, height: far }, [
          [DEEP, 0, 0],
          [wide - DEEP, 0, 0],
          [wide - DEEP, 0, far],
          [DEEP, 0, far],
        ]),
        part('left-back', 'Left back', backBox, [
          left(0, SEAT, 0),
          left(0, SEAT, far),
          left(0, BACK, far),
          left(0, BACK, 0),
        ]),
        part('right-back', 'Right back', backBox, [
          right(0, SEAT, far),
          right(0, SEAT, 0),
          right(0, BACK, 0),
          right(0, BACK, far),
        ]),
        part('left-seat', 'Left seat', seatBox, [
          left(DEEP, SEAT, 0),
          left(DEEP, SEAT, far),
          left(0, SEAT, far),
          left(0, SEAT, 0),
        ]),
        part('right-seat', 'Right seat', seatBox, [
          right(DEEP, SEAT, far),
          right(DEEP, SEAT, 0),
          right(0, SEAT, 0),
          right(0, SEAT, far),
        ]),
        curtainAt('left-curtain', 'Left curtain', glass.from - 0.06 * wide),
        curtainAt('right-curtain', 'Right curtain', glass.to + 0.06 * wide - curtainWide),
      ],
      ink: [
        ...lines(left),
        ...lines(right),
        ink(
          'outline',
          seen([left(DEEP, 0, far), left(DEEP, SEAT, far)]),
          seen([right(DEEP, 0, far), right(DEEP, SEAT, far)]),
        ),
        ink(
          'outline',
          seen([
            [0, high, far],
            [wide, high, far],
          ]),
        ),
        ink(
          'outline',
          seen([
            [glass.from - 0.1 * wide, lintel + 80, far],
            [glass.to + 0.1 * wide, lintel + 80, far],
          ]),
        ),
        ink(
          'detail',
          seen([left(DEEP, SEAT - 90, 0), left(DEEP, SEAT - 90, far)]),
          seen([right(DEEP, SEAT - 90, 0), right(DEEP, SEAT - 90, far)]),
        ),
      ],
      behind: [
        ink(
          'outline',
          seen(
            [
              [glass.from, sill, far],
              [glass.to, sill, far],
              [glass.to, lintel, far],
              [glass.from, lintel, far],
            ],
            true,
          ),
        ),
        ink(
          'detail',
          seen(
            [
              [glass.from + 40, sill + 40, far],
              [glass.to - 40, sill + 40, far],
              [glass.to - 40, lintel - 40, far],
              [glass.from + 40, lintel - 40, far],
            ],
            true,
          ),
        ),
        ink(
          'detail',
          seen([
            [glass.from - 60, sill - 40, far],
            [glass.to + 60, sill - 40, far],
          ]),
        ),
      ],
      seams: [
        seam('left', 'Left back and seat'),
        seam('right', 'Right back and seat'),
        {
          name: 'Curtains',
          parts: ['left-curtain', 'right-curtain'],
          lines: [
            along(line(curtainWide, 0, curtainWide, lintel - sill + 120)),
            along(line(0, 0, 0, lintel - sill + 120)),
          ],
        },
      ],
      dimensions: [
        { from: { x: wide, y: 0 }, to: { x: 0, y: 0 }, away: 90, number: 'width' },
        { from: { x: 0, y: 0 }, to: { x: 0, y: seenAt(eye, [0, BACK, 0]).y }, away: 90 },
      ],
    };
  },
};
