import { drawn, ink, line } from '../drawn.ts';
import { placed, seamOf } from '../placed.ts';
import type { Scene } from '../scene.ts';
import { along } from '../seam-line.ts';

const WIDTH = 364;
const HEIGHT = 420;

/** A bag with two handles. */
export const toteBag: Scene = {
  key: 'tote-bag',
  name: 'Tote bag',
  group: 'garment',
  numbers: [
    { key: 'width', label: 'Width', usual: 380, in: 'mm', least: 100, most: 900 },
    { key: 'height', label: 'Height', usual: HEIGHT, in: 'mm', least: 100, most: 900 },
  ],
  draw: ({ width, height }) => {
    const x = width! / WIDTH;
    const y = height! / HEIGHT;
    const body = placed({
      key: 'bag',
      name: 'Bag',
      contours: drawn(
        'M8 4C130 -4 250 -4 372 4C382 140 384 290 376 420C250 414 130 414 4 420C-4 290 -2 140 8 4Z',
        x,
        y,
      ),
    });
    const handle = placed({
      key: 'handle',
      name: 'Handle',
      contours: drawn(
        'M88 352L88 416C88 560 118 690 190 690C262 690 292 560 292 416L292 352L264 352L264 416C264 560 240 660 190 660C140 660 116 560 116 416L116 352Z',
        x,
        y,
      ),
    });
    return {
      size: { width: 380 * x, height: 700 * y },
      parts: [body, handle],
      ink: [
        ink('outline', ...drawn('M104 417C112 570 138 640 190 640C242 640 268 570 276 417', x, y)),
        ink('stitch', ...drawn('M6 392C130 386 250 386 376 392', x, y)),
        ink(
          'stitch',
          ...drawn(
            'M92 356L112 356L112 386L92 386ZM92 356L112 386M112 356L92 386M268 356L288 356L288 386L268 386ZM268 356L288 386M288 356L268 386',
            x,
            y,
          ),
        ),
        ink(
          'detail',
          ...drawn(
            'M8 4C20 40 26 80 26 120M372 4C360 40 354 80 354 120M26 4C40 22 52 34 70 44M354 4C340 22 328 34 310 44M60 400C54 330 56 270 64 220M322 400C328 330 326 270 318 220',
            x,
            y,
          ),
        ),
      ],
      seams: [seamOf('Handle, left', body, handle, along(line(88 * x, 352 * y, 88 * x, 412 * y)))],
      dimensions: [
        { from: { x: 372 * x, y: 0 }, to: { x: 8 * x, y: 0 }, away: 30, number: 'width' },
        { from: { x: 0, y: 0 }, to: { x: 0, y: 420 * y }, away: 30, number: 'height' },
      ],
    };
  },
};
