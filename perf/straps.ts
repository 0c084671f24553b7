import { createCanvas } from '@napi-rs/canvas';
import { compile } from '../src/core/design/compile-design.ts';
import type { TilingDesign } from '../src/core/design/design-schema.ts';
import { tilingFromStart } from '../src/core/design/tiling/tiling-starts.ts';
import { surdToNumber } from '../src/core/exact/surd.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { marksOver, partitionIn } from '../src/core/repeat/contents.ts';
import { gridOf } from '../src/core/shape/grid.ts';
import { resolveEndless } from '../src/core/shape/resolve-figure.ts';
import { line, median, race } from './timing.ts';

/** Star patterns with straps on 2048 × 2048 px, compiled and painted, against the same cut straps on a canvas. */
const SIDE = 2048;
const out = new Uint32Array(SIDE * SIDE);

const begun = tilingFromStart('stars-and-rosettes');
const faces = begun.shades.slice(0, 1).map(({ key }) => key);

function starsAt(angle: string): TilingDesign {
  const { construction } = begun;
  return { ...begun, construction: { ...construction, faces, star: { ...construction.star!, angle } } };
}

const unit = compile(starsAt('55'));
const ratio = surdToNumber(unit.pitch.y) / surdToNumber(unit.pitch.x);
const tile = { width: SIDE / 8, height: Math.round((SIDE / 8) * ratio) };
const PER_REPEAT = 12;
const count = Math.round(PER_REPEAT * 8 * (SIDE / tile.height));

function paint(): void {
  const window = { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' as const };
  const painting = preparePainting(compile(starsAt('55')), window);
  // Rows of a repeat come again.
  paintRows(painting, 0, tile.height, out);
  for (let at = tile.height * SIDE; at < out.length; at *= 2) {
    out.copyWithin(at, 0, Math.min(at, out.length - at));
  }
}

/** Every mark as polygons of one repeat, in pixels, with its shade: made beforehand, which the canvas is not asked for. */
const grid = gridOf(tile, { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) });
const { shades } = partitionIn(unit)!;
const drawn = marksOver(unit.content).flatMap(({ shape, shade }) =>
  shape.kind === 'figure' && shade !== null
    ? [
        {
          hex: shades[shade]!.hex,
          polygons: resolveEndless(shape.figure, grid).map((polygon) =>
            polygon.map(({ x, y }) => ({ x: x / 256, y: y / 256 })),
          ),
        },
      ]
    : [],
);

function canvas(): void {
  const context = createCanvas(SIDE, SIDE).getContext('2d');
  context.fillStyle = shades[0]!.hex;
  context.fillRect(0, 0, SIDE, SIDE);
  for (const { hex, polygons } of drawn) {
    context.fillStyle = hex;
    for (let top = 0; top < SIDE; top += tile.height) {
      for (let left = 0; left < SIDE; left += tile.width) {
        context.beginPath();
        for (const polygon of polygons) {
          polygon.forEach(({ x, y }, at) => {
            if (at === 0) context.moveTo(left + x, top + y);
            else context.lineTo(left + x, top + y);
          });
          context.closePath();
        }
        context.fill();
      }
    }
  }
  // The library may draw late; asking for pixels makes it finish.
  context.getImageData(0, 0, SIDE, SIDE);
}

const both = race(5, { ours: paint, canvas });
console.log(
  `\nStars with straps on 4.6.12, ${count} faces on ${SIDE} × ${SIDE} px (${both.ours.toFixed(0)} ms)`,
);
line('times faster than a canvas library (@napi-rs/canvas)', both.canvas / both.ours, 'at least 1');

const FRAME = 1000 / 60;
const bench = { width: 256, height: Math.round(256 * ratio) };
const canvasOfBench = new Uint32Array(bench.width * bench.height);
const slides = Array.from({ length: 50 }, (_, at) => {
  const design = starsAt(String(40 + at / 2));
  const start = performance.now();
  const window = { tile: bench, width: bench.width, offset: { x: 0, y: 0 }, look: 'flat' as const };
  paintRows(preparePainting(compile(design), window), 0, bench.height, canvasOfBench);
  return performance.now() - start;
});
console.log(
  `\nThe angle slid, to one repeat of ${bench.width} × ${bench.height} px (${median(slides).toFixed(1)} ms)`,
);
line('median, in frames of a sixtieth of a second', median(slides) / FRAME, 'under 2');
line('worst of 50, in frames', Math.max(...slides) / FRAME, 'under 2');
