import { createCanvas } from '@napi-rs/canvas';
import { compileUnit } from '../src/core/design/compile-design.ts';
import { newStripe } from '../src/core/design/new-design.ts';
import { slope } from '../src/core/exact/slope.ts';
import { surdToNumber } from '../src/core/exact/surd.ts';
import { cornerAt } from '../src/core/faces/check-partition.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { line, race } from './timing.ts';

/** A stripe of 300 bands at a slope, 2048 × 2048 px, against the same polygons on a canvas. */
const SIDE = 2048;
const HEXES = ['#2e4c63', '#efe6cf', '#8c2f25', '#c79a3b', '#24402f'];
const shades = HEXES.map((hex, index) => ({ key: 'ABCDE'[index]!, name: hex, hex }));
const bands = Array.from({ length: 300 }, (_, at) => ({
  shade: 'ABCDE'[at % 5]!,
  width: String(1 + ((at * 7) % 5)),
}));
const unit = compileUnit(newStripe({ name: 'Many', shades, bands, slope: slope(7, 10) }));
const out = new Uint32Array(SIDE * SIDE);

/** @param height  of the repeat; rows of a square one come again ten rows further, those of a lower one never */
function paint(height: number): void {
  const tile = { width: SIDE, height };
  const window = { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' as const };
  paintRows(preparePainting(unit, window), 0, height, out);
}

/** Points for the canvas, made beforehand. */
const faces = unit.content.faces.map(({ corners, fill }) => ({
  hex: shades[fill.shade]!.hex,
  points: corners.map((corner) => {
    const { x, y } = cornerAt(unit.content, corner);
    return [surdToNumber(x) * SIDE, (1 - surdToNumber(y)) * SIDE] as const;
  }),
}));

function canvas(): void {
  const context = createCanvas(SIDE, SIDE).getContext('2d');
  for (const { hex, points } of faces) {
    context.fillStyle = hex;
    for (const shift of [-SIDE, 0]) {
      context.beginPath();
      for (const [x, y] of points) context.lineTo(x + shift, y);
      context.fill();
    }
  }
  // The library may draw late; asking for pixels makes it finish.
  context.getImageData(0, 0, SIDE, SIDE);
}

const times = race(12, { rolled: () => paint(SIDE), swept: () => paint(SIDE - 1), canvas });
console.log(
  `\n300 bands at a slope on ${SIDE} × ${SIDE} px (${times.swept.toFixed(0)} ms, rolled ${times.rolled.toFixed(0)} ms)`,
);
line('times faster than a canvas library (@napi-rs/canvas)', times.canvas / times.swept, 'at least 3');
line('with rows that come again rolled', times.canvas / times.rolled, 'at least 3');
