import { drawn, ink, line, mirrored } from '../drawn.ts';
import { placed, seamOf } from '../placed.ts';
import type { Scene, ScenePart } from '../scene.ts';
import { along } from '../seam-line.ts';

/** Waist and length of the dress as it is drawn below, and the middle of its front. */
const WAIST = 300;
const LENGTH = 1050;
const MIDDLE = 400;

const BODICE =
  'M400 962C368 962 332 990 322 1046L238 1026C256 960 240 892 202 850C226 790 244 720 250 650L400 640Z';
const SLEEVE = 'M238 1026C188 1018 142 960 116 878C142 856 172 846 202 850C240 892 256 960 238 1026Z';
const SIDE_PANEL = 'M250 650L336 642C330 430 300 200 262 20C180 30 100 50 36 84C110 300 210 480 250 650Z';
const MIDDLE_PANEL =
  'M336 642L400 640L464 642C470 430 500 200 538 20C450 2 350 2 262 20C300 200 330 430 336 642Z';

/** A dress from the front: a bodice of two halves, a skirt of three panels, short sleeves. */
export const dress: Scene = {
  key: 'dress',
  name: 'Dress',
  group: 'garment',
  numbers: [
    { key: 'waist', label: 'Half waist', usual: WAIST, in: 'mm', least: 120, most: 700 },
    { key: 'length', label: 'Length', usual: LENGTH, in: 'mm', least: 300, most: 1700 },
  ],
  draw: ({ waist, length }) => {
    const x = waist! / WAIST;
    const y = length! / LENGTH;
    const middle = MIDDLE * x;
    const half = (key: string, name: string, path: string, isRight: boolean, grain = 0): ScenePart => {
      const contours = drawn(path, x, y).map((each) => (isRight ? mirrored(each, middle) : each));
      return placed({ key, name, contours, grain: isRight ? -grain : grain });
    };
    const seamLine = (path: string, isRight = false) => {
      const [contour] = drawn(path, x, y);
      return along(isRight ? mirrored(contour!, middle) : contour!);
    };
    const left = half('left-bodice', 'Left bodice', BODICE, false);
    const right = half('right-bodice', 'Right bodice', BODICE, true);
    const leftPanel = half('left-panel', 'Left panel', SIDE_PANEL, false);
    const rightPanel = half('right-panel', 'Right panel', SIDE_PANEL, true);
    const middlePanel = placed({
      key: 'middle-panel',
      name: 'Middle panel',
      contours: drawn(MIDDLE_PANEL, x, y),
    });
    const leftSleeve = half('left-sleeve', 'Left sleeve', SLEEVE, false, -24);
    const rightSleeve = half('right-sleeve', 'Right sleeve', SLEEVE, true, -24);
    const waistBeside = 'M250 650L336 642';
    const waistInside = 'M336 642L400 640';
    const panel = 'M336 642C330 430 300 200 262 20';
    return {
      size: { width: 800 * x, height: LENGTH * y },
      parts: [leftPanel, middlePanel, rightPanel, leftSleeve, rightSleeve, left, right],
      ink: [
        ink(
          'stitch',
          ...drawn('M40 96C104 62 182 42 264 32C350 14 450 14 536 32C618 42 696 62 760 96', x, y),
        ),
        ink('stitch', ...drawn('M332 1040C342 1000 372 974 400 974C428 974 458 1000 468 1040', x, y)),
        ink('stitch', ...drawn('M122 888C146 868 174 858 200 862M678 888C654 868 626 858 600 862', x, y)),
        ink(
          'detail',
          ...drawn(
            'M306 652C312 720 318 760 326 790M494 652C488 720 482 760 474 790M280 648C270 560 244 440 206 320M520 648C530 560 556 440 594 320M382 636C380 560 372 440 358 330M418 636C420 560 428 440 442 330M150 250C138 200 120 150 100 112M650 250C662 200 680 150 700 112',
            x,
            y,
          ),
        ),
        ink('detail', line(250 * x, 656 * y, 400 * x, 646 * y, 550 * x, 656 * y)),
      ],
      seams: [
        seamOf('Front', left, right, seamLine('M400 640L400 962')),
        seamOf('Waist, left', left, leftPanel, seamLine(waistBeside)),
        seamOf('Waist, left of the middle', left, middlePanel, seamLine(waistInside)),
        seamOf('Waist, right of the middle', right, middlePanel, seamLine(waistInside, true)),
        seamOf('Waist, right', right, rightPanel, seamLine(waistBeside, true)),
        seamOf('Left panel', middlePanel, leftPanel, seamLine(panel)),
        seamOf('Right panel', middlePanel, rightPanel, seamLine(panel, true)),
        seamOf('Left armhole', left, leftSleeve, seamLine('M238 1026C256 960 240 892 202 850')),
        seamOf('Right armhole', right, rightSleeve, seamLine('M238 1026C256 960 240 892 202 850', true)),
      ],
      dimensions: [
        { from: { x: 250 * x, y: 650 * y }, to: { x: 550 * x, y: 650 * y }, away: 436 * y, number: 'waist' },
        { from: { x: 800 * x, y: LENGTH * y }, to: { x: 800 * x, y: 0 }, away: 30, number: 'length' },
      ],
    };
  },
};
