import { drawn, ink, line } from '../drawn.ts';
import { placed, seamOf } from '../placed.ts';
import type { Scene } from '../scene.ts';
import { along } from '../seam-line.ts';

const WIDTH = 680;
const LENGTH = 900;

/** An apron with a bib and a pocket. */
export const apron: Scene = {
  key: 'apron',
  name: 'Apron',
  group: 'garment',
  numbers: [
    { key: 'width', label: 'Width', usual: 700, in: 'mm', least: 200, most: 1500 },
    { key: 'length', label: 'Length', usual: LENGTH, in: 'mm', least: 250, most: 1500 },
  ],
  draw: ({ width, length }) => {
    const x = width! / WIDTH;
    const y = length! / LENGTH;
    const body = placed({
      key: 'apron',
      name: 'Apron',
      contours: drawn(
        'M220 900L480 900C492 780 530 690 664 618C690 420 700 200 690 14C470 -4 230 -4 10 14C0 200 10 420 36 618C170 690 208 780 220 900Z',
        x,
        y,
      ),
    });
    const pocket = placed({
      key: 'pocket',
      name: 'Pocket',
      contours: drawn(
        'M200 520L500 520L496 316C496 296 484 288 466 286L234 286C216 288 204 296 204 316Z',
        x,
        y,
      ),
    });
    return {
      size: { width: 700 * x, height: 1080 * y },
      parts: [body, pocket],
      ink: [
        ink(
          'stitch',
          ...drawn(
            'M234 886L466 886M232 886C222 786 184 706 52 632M468 886C478 786 516 706 648 632M24 30C240 14 460 14 676 30',
            x,
            y,
          ),
        ),
        ink('stitch', ...drawn('M203 500L497 500', x, y)),
        ink('stitch', line(350 * x, 520 * y, 350 * x, 286 * y)),
        ink(
          'outline',
          ...drawn(
            'M232 900C226 1010 276 1072 350 1072C424 1072 474 1010 468 900L446 900C452 1000 412 1050 350 1050C288 1050 248 1000 254 900Z',
            x,
            y,
          ),
        ),
        ink(
          'outline',
          ...drawn(
            'M664 618C700 600 716 560 700 500C690 460 704 420 716 404L700 396C682 420 676 460 686 504C694 550 688 578 662 596ZM36 618C0 600 -16 560 0 500C10 460 -4 420 -16 404L0 396C18 420 24 460 14 504C6 550 12 578 38 596Z',
            x,
            y,
          ),
        ),
        ink(
          'detail',
          ...drawn(
            'M130 640C118 560 104 470 96 400M570 640C582 560 596 470 604 400M150 260C140 190 136 120 136 60M560 260C570 190 574 120 574 60',
            x,
            y,
          ),
        ),
      ],
      seams: [
        seamOf('Pocket, side', body, pocket, along(line(200 * x, 520 * y, 204 * x, 316 * y))),
        seamOf('Pocket, foot', body, pocket, along(line(234 * x, 286 * y, 466 * x, 286 * y))),
      ],
      dimensions: [
        { from: { x: 690 * x, y: 14 * y }, to: { x: 10 * x, y: 14 * y }, away: 60, number: 'width' },
        { from: { x: 0, y: 0 }, to: { x: 0, y: 900 * y }, away: 60, number: 'length' },
      ],
    };
  },
};
