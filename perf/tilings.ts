import { createCanvas } from '@napi-rs/canvas';
import { compile } from '../src/core/design/compile-design.ts';
import { newTiling } from '../src/core/design/new-design.ts';
import { surdToNumber } from '../src/core/exact/surd.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { checkPartition, cornerAt } from '../src/core/tiling/check-partition.ts';
import { line, race } from './timing.ts';

const SHADES = [
  { key: 'A', name: 'Dark', hex: '#203040' },
  { key: 'B', name: 'Light', hex: '#f0e8d0' },
];

/** A tiling of about so many faces: leaning triangles come level only after as many cells as the lean's divisor. */
function ofFaces(faces: number) {
  return newTiling({
    name: 'Large',
    shades: SHADES,
    form: { kind: 'triangles', height: '1', tip: `1/${faces / 2}` },
    size: '1 mm',
  });
}

console.log('\nA tiling compiled and proven');
let before: number | undefined;
compile(ofFaces(200));
for (const faces of [200, 600, 1800]) {
  const design = ofFaces(faces);
  const { time } = race(3, { time: () => checkPartition(compile(design).content) });
  const grown =
    before === undefined
      ? ''
      : `, ${(time / before).toFixed(1)} times what a third of it takes (n log n: 3.4)`;
  console.log(`${faces} faces: ${time.toFixed(0)} ms${grown}`);
  before = time;
}

/** 2048 × 2048 pixels of octagons and squares, against the canvas library filling the same polygons. */
const SIDE = 2048;
const floor = compile(
  newTiling({ name: 'Floor', shades: SHADES, form: { kind: 'regular', name: '4.8.8' }, size: '1 mm' }),
);
/** Repeats along a side: about 2000 faces. */
const TIMES = 32;
const tile = { width: SIDE / TIMES, height: SIDE / TIMES };
const out = new Uint32Array(SIDE * SIDE);
const painted = race(5, {
  ours: () =>
    paintRows(
      preparePainting(floor, { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' }),
      0,
      SIDE,
      out,
    ),
  canvas,
});

function canvas(): void {
  const context = createCanvas(SIDE, SIDE).getContext('2d');
  for (const { corners, shade } of floor.content.faces) {
    const points = corners.map((corner) => {
      const { x, y } = cornerAt(floor.content, corner);
      return [surdToNumber(x), 1 - surdToNumber(y)] as const;
    });
    context.fillStyle = SHADES[shade]!.hex;
    for (let row = -1; row <= TIMES; row += 1) {
      for (let column = -1; column <= TIMES; column += 1) {
        context.beginPath();
        for (const [x, y] of points) context.lineTo((x + column) * tile.width, (y + row) * tile.height);
        context.fill();
      }
    }
  }
  // The library may draw late; asking for pixels makes it finish.
  context.getImageData(0, 0, 1, 1);
}

console.log(
  `\nOctagons and squares, ${2 * TIMES * TIMES} faces on ${SIDE} × ${SIDE} (${painted.ours.toFixed(0)} ms)`,
);
line(
  'painted as a repeat: times faster than a canvas library (which lets the ground through)',
  painted.canvas / painted.ours,
  'at least 1.5',
);
