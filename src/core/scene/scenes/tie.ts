import { drawn, ink } from '../drawn.ts';
import { placed } from '../placed.ts';
import type { Scene } from '../scene.ts';

const WIDTH = 90;
const LENGTH = 560;

/** A tie, cut on the bias and knotted. */
export const tie: Scene = {
  key: 'tie',
  name: 'Tie',
  group: 'garment',
  numbers: [
    { key: 'width', label: 'Width', usual: WIDTH, in: 'mm', least: 30, most: 150 },
    { key: 'length', label: 'Length', usual: LENGTH, in: 'mm', least: 150, most: 700 },
  ],
  draw: ({ width, length }) => {
    const x = width! / WIDTH;
    const y = length! / LENGTH;
    return {
      size: { width: 320 * x, height: 660 * y },
      parts: [
        placed({
          key: 'blade',
          name: 'Blade',
          grain: 45,
          contours: drawn('M144 506C140 380 126 210 115 62L160 0L205 62C194 210 180 380 176 506Z', x, y),
        }),
        placed({
          key: 'knot',
          name: 'Knot',
          grain: -45,
          contours: drawn(
            'M126 560C146 568 174 568 194 560C190 536 184 516 176 500C166 496 154 496 144 500C136 516 130 536 126 560Z',
            x,
            y,
          ),
        }),
      ],
      ink: [
        ink(
          'outline',
          ...drawn('M126 558L88 640C104 652 128 658 160 658C192 658 216 652 232 640L194 558', x, y),
        ),
        ink('outline', ...drawn('M88 640L40 566L122 500L134 532M232 640L280 566L198 500L186 532', x, y)),
        ink('detail', ...drawn('M100 632C118 620 140 616 160 616C180 616 202 620 220 632', x, y)),
        ink('detail', ...drawn('M152 498C152 470 156 440 160 414M142 556C146 540 150 522 152 504', x, y)),
        ink('stitch', ...drawn('M40 566L58 586M280 566L262 586', x, y)),
        ink('detail', ...drawn('M40 566C20 540 4 500 0 440M280 566C300 540 316 500 320 440', x, y)),
      ],
      seams: [],
      dimensions: [
        { from: { x: 205 * x, y: 0 }, to: { x: 115 * x, y: 0 }, away: 30, number: 'width' },
        { from: { x: 250 * x, y: 560 * y }, to: { x: 250 * x, y: 0 }, away: 20, number: 'length' },
      ],
    };
  },
};
