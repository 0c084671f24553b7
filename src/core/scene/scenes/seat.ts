import { drawn, ink, line } from '../drawn.ts';
import { placed, seamOf } from '../placed.ts';
import type { Scene, ScenePart } from '../scene.ts';
import { along } from '../seam-line.ts';

const WIDTH = 1140;
const HEIGHT = 1028;

/** An upholstered seat for two in a wooden frame. */
export const seat: Scene = {
  key: 'seat',
  name: 'Upholstered seat',
  group: 'furnishing',
  numbers: [
    { key: 'width', label: 'Width', usual: 1200, in: 'mm', least: 400, most: 3000 },
    { key: 'height', label: 'Height', usual: 1050, in: 'mm', least: 400, most: 2000 },
  ],
  draw: ({ width, height }) => {
    const x = width! / WIDTH;
    const y = height! / HEIGHT;
    const part = (key: string, name: string, path: string, across: number, up: number): ScenePart =>
      placed({
        key,
        name,
        contours: drawn(path, x, y),
        bends: [{ kind: 'form', across, up }],
      });
    const left = part(
      'back-left',
      'Back, left',
      'M110 520L600 520L600 976C480 1004 270 1006 124 980C112 840 108 680 110 520Z',
      40,
      50,
    );
    const right = part(
      'back-right',
      'Back, right',
      'M600 520L1090 520C1092 680 1088 840 1076 980C930 1006 720 1004 600 976Z',
      40,
      50,
    );
    const cushion = part(
      'seat',
      'Seat',
      'M84 372C84 350 92 342 110 340L1090 340C1108 342 1116 350 1116 372L1112 496C1110 512 1104 520 1090 520L110 520C96 520 90 512 88 496Z',
      12,
      80,
    );
    const front = part('front', 'Front', 'M92 340L1108 340L1104 214L96 214Z', 0, 30);
    return {
      size: { width: 1200 * x, height: HEIGHT * y },
      parts: [left, right, cushion, front],
      ink: [
        ink(
          'outline',
          ...drawn(
            'M100 520C96 690 102 850 112 996C260 1036 480 1036 600 1006C720 1036 940 1036 1088 996C1098 850 1104 690 1100 520',
            x,
            y,
          ),
        ),
        ink(
          'outline',
          ...drawn(
            'M60 610C40 610 30 596 30 578C30 560 42 548 60 548L100 548M1140 610C1160 610 1170 596 1170 578C1170 560 1158 548 1140 548L1100 548M60 610L104 616M1140 610L1096 616M44 552C40 440 46 330 60 210L92 210M1156 552C1160 440 1154 330 1140 210L1108 210',
            x,
            y,
          ),
        ),
        ink('outline', ...drawn('M60 210L1140 210L1136 164L64 164Z', x, y)),
        ink(
          'outline',
          ...drawn(
            'M76 164C72 110 78 60 84 0L112 0C112 60 120 110 128 164M1124 164C1128 110 1122 60 1116 0L1088 0C1088 60 1080 110 1072 164M586 164L588 60L612 60L614 164',
            x,
            y,
          ),
        ),
        ink(
          'detail',
          ...drawn('M128 548C210 540 500 540 586 548M614 548C700 540 990 540 1072 548M600 540L600 968', x, y),
        ),
        ink('detail', line(90 * x, 330 * y, 1110 * x, 330 * y)),
        ink(
          'detail',
          ...drawn(
            'M112 500C120 512 140 516 170 516M1088 500C1080 512 1060 516 1030 516M104 372C120 356 150 352 190 350M1096 372C1080 356 1050 352 1010 350',
            x,
            y,
          ),
        ),
        ink('stitch', line(96 * x, 226 * y, 1104 * x, 226 * y)),
      ],
      seams: [
        seamOf('Middle of the back', left, right, along(line(600 * x, 520 * y, 600 * x, 976 * y))),
        seamOf('Back and seat, left', left, cushion, along(line(110 * x, 520 * y, 600 * x, 520 * y))),
        seamOf('Back and seat, right', right, cushion, along(line(600 * x, 520 * y, 1090 * x, 520 * y))),
        seamOf('Seat and front', cushion, front, along(line(110 * x, 340 * y, 1090 * x, 340 * y))),
      ],
      dimensions: [
        { from: { x: 1170 * x, y: 0 }, to: { x: 30 * x, y: 0 }, away: 60, number: 'width' },
        { from: { x: 20 * x, y: 0 }, to: { x: 20 * x, y: HEIGHT * y }, away: 40, number: 'height' },
      ],
    };
  },
};
