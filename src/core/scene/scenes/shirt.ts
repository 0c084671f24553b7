import { ellipse } from '../../shape/contour.ts';
import { drawn, ink, line, mirrored } from '../drawn.ts';
import { placed, seamOf } from '../placed.ts';
import type { Scene, ScenePart } from '../scene.ts';
import { along } from '../seam-line.ts';

/** Width and length of the shirt as it is drawn below, and the middle of its front. */
const CHEST = 536;
const LENGTH = 734;
const MIDDLE = 500;

const FRONT = 'M500 676L428 738L268 694C290 620 276 520 232 452C238 330 238 180 228 66C300 26 410 10 500 4Z';
const SLEEVE =
  'M268 694C226 690 186 660 166 606L34 206C66 178 104 164 146 160L232 452C276 520 290 620 268 694Z';
const CUFF = 'M34 206L14 148C46 120 84 106 126 102L146 160C104 164 66 178 34 206Z';
const COLLAR =
  'M428 738C450 760 550 760 572 738L592 704L520 646L500 676L480 646L408 704ZM444 734C464 716 536 716 556 734C540 744 460 744 444 734Z';
const ARMHOLE = 'M268 694C290 620 276 520 232 452';

/** A shirt from the front, buttoned. */
export const shirt: Scene = {
  key: 'shirt',
  name: 'Shirt',
  group: 'garment',
  numbers: [
    { key: 'chest', label: 'Half chest', usual: 540, in: 'mm', least: 150, most: 900 },
    { key: 'length', label: 'Length', usual: 740, in: 'mm', least: 200, most: 1200 },
  ],
  draw: ({ chest, length }) => {
    const x = chest! / CHEST;
    const y = length! / LENGTH;
    const middle = MIDDLE * x;
    const half = (key: string, name: string, path: string, isRight: boolean, grain: number): ScenePart => {
      const contours = drawn(path, x, y).map((each) => (isRight ? mirrored(each, middle) : each));
      return placed({ key, name, contours, grain: isRight ? -grain : grain });
    };
    const left = half('left-front', 'Left front', FRONT, false, 0);
    const right = half('right-front', 'Right front', FRONT, true, 0);
    const leftSleeve = half('left-sleeve', 'Left sleeve', SLEEVE, false, -19);
    const rightSleeve = half('right-sleeve', 'Right sleeve', SLEEVE, true, -19);
    const pocket = placed({
      key: 'pocket',
      name: 'Pocket',
      contours: drawn('M300 590L404 590L404 488L352 466L300 488Z', x, y),
    });
    const armhole = drawn(ARMHOLE, x, y);
    const leftArmhole = along(armhole[0]!);
    const rightArmhole = along(mirrored(armhole[0]!, middle));
    const front = along(line(middle, 8 * y, middle, 670 * y));
    const pocketEdge = along(line(300 * x, 490 * y, 300 * x, 590 * y));
    return {
      size: { width: 1000 * x, height: 760 * y },
      parts: [
        leftSleeve,
        rightSleeve,
        left,
        right,
        pocket,
        half('left-cuff', 'Left cuff', CUFF, false, 71),
        half('right-cuff', 'Right cuff', CUFF, true, 71),
        placed({ key: 'collar', name: 'Collar', contours: drawn(COLLAR, x, y), grain: 90 }),
      ],
      ink: [
        ink('stitch', line(middle - 17 * x, 8 * y, middle - 17 * x, 650 * y)),
        ink('stitch', line(middle + 17 * x, 8 * y, middle + 17 * x, 650 * y)),
        ink(
          'detail',
          ...[600, 505, 410, 315, 220, 125].map((up) => ellipse({ x: middle, y: up * y }, 6.5 * x, 6.5 * x)),
        ),
        ink('stitch', ...hem(x, y), ...hem(x, y).map((each) => mirrored(each, middle))),
        ink('stitch', line(304 * x, 566 * y, 400 * x, 566 * y)),
        ink('detail', ...creases(x, y), ...creases(x, y).map((each) => mirrored(each, middle))),
        ink('stitch', ...drawn('M414 700L480 654L500 682L520 654L586 700', x, y)),
      ],
      seams: [
        seamOf('Front edge', left, right, front),
        seamOf('Pocket', left, pocket, pocketEdge),
        seamOf('Left armhole', left, leftSleeve, leftArmhole),
        seamOf('Right armhole', right, rightSleeve, rightArmhole),
      ],
      dimensions: [
        { from: { x: 232 * x, y: 452 * y }, to: { x: 768 * x, y: 452 * y }, away: -500 * y, number: 'chest' },
        { from: { x: 1000 * x, y: 738 * y }, to: { x: 1000 * x, y: 4 * y }, away: 40, number: 'length' },
      ],
    };
  },
};

function hem(x: number, y: number) {
  return drawn('M231 82C300 42 410 26 500 20', x, y);
}

/** Where cloth is drawn in at the underarm and the elbow. */
function creases(x: number, y: number) {
  return drawn(
    'M238 448C262 430 284 420 306 414M240 430C258 412 274 402 290 396M116 404C134 396 150 394 164 398M96 346C118 344 140 350 156 360',
    x,
    y,
  );
}
