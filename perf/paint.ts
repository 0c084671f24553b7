import { createCanvas } from '@napi-rs/canvas';
import { compileUnit } from '../src/core/design/compile-design.ts';
import { newPlaid } from '../src/core/design/new-design.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { fillCells } from './cell-boxes.ts';
import { line, race } from './timing.ts';

/** Painting a cloth of 4096 × 4096 threads at one pixel a thread. */
const THREADS = 4096;

const unit = compileUnit(
  newPlaid({
    name: 'Large',
    shades: ['#24402f', '#8c2f25', '#c79a3b', '#efe6cf', '#2e4c63', '#262b2d'].map((hex, index) => ({
      key: 'ABCDEF'[index]!,
      name: hex,
      hex,
    })),
    warp: { bands: bandsOf(THREADS), mirror: 'none' },
    weave: { kind: 'twill', over: 2, under: 2, hand: 'Z' },
  }),
);

/** Bands of 3 to 13 threads that fill the given number. */
function bandsOf(threads: number) {
  const bands = [];
  for (let left = threads, index = 0; left > 0; index += 1) {
    const count = Math.min(left, 3 + ((index * 7) % 11));
    bands.push({ shade: 'ABCDEF'[(index * 5) % 6]!, count });
    left -= count;
  }
  return bands;
}

const tile = { width: THREADS, height: THREADS };
const out = new Uint32Array(THREADS * THREADS);
const ours = () => {
  const painting = preparePainting(unit, { tile, width: THREADS, offset: { x: 0, y: 0 }, look: 'flat' });
  paintRows(painting, 0, THREADS, out);
};
const source = Buffer.alloc(out.byteLength, 7);
const target = Buffer.alloc(out.byteLength);
const canvas = createCanvas(THREADS, THREADS);
const context = canvas.getContext('2d');

function drawOnCanvas(): void {
  fillCells(context, unit.content, 1);
  // The library may draw late; asking for pixels makes it finish.
  context.getImageData(0, 0, 1, 1);
}

if (unit.content.width !== THREADS) throw new Error(`expected ${THREADS} ends, got ${unit.content.width}`);
const quick = race(7, { ours, copy: () => source.copy(target) });
const slow = race(2, { ours, canvas: drawOnCanvas });
console.log(`\nPainting ${THREADS} × ${THREADS} threads, 1 px a thread (${quick.ours.toFixed(0)} ms)`);
line('time, as a multiple of Buffer.copy of the same bytes', quick.ours / quick.copy, 'at most 8');
line(
  'times faster than a canvas library (@napi-rs/canvas) drawing the same cells',
  slow.canvas / slow.ours,
  'at least 10',
);
