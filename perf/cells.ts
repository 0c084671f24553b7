import { createCanvas } from '@napi-rs/canvas';
import { compileUnit } from '../src/core/design/compile-design.ts';
import { newPlaid } from '../src/core/design/new-design.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { fillCells } from './cell-boxes.ts';
import { line, race } from './timing.ts';

/** Cells that are not whole pixels: 320 × 320 threads of 9.375 px on 3000 × 3000 px. */
const THREADS = 320;
const SIDE = 3000;

const HEXES = ['#24402f', '#8c2f25', '#c79a3b', '#efe6cf', '#2e4c63', '#262b2d'];
const bands = Array.from({ length: 40 }, (_, at) => ({ shade: 'ABCDEF'[(at * 5) % 6]!, count: 8 }));
const unit = compileUnit(
  newPlaid({
    name: 'Plaid',
    shades: HEXES.map((hex, index) => ({ key: 'ABCDEF'[index]!, name: hex, hex })),
    warp: { bands, mirror: 'none' },
    weave: { kind: 'twill', over: 2, under: 2, hand: 'Z' },
  }),
);
const { content } = unit;
if (content.width !== THREADS) throw new Error(`expected ${THREADS} ends, got ${content.width}`);

const out = new Uint32Array(SIDE * SIDE);
const tile = { width: SIDE, height: SIDE };

function ours(): void {
  paintRows(preparePainting(unit, { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' }), 0, SIDE, out);
}

const context = createCanvas(SIDE, SIDE).getContext('2d');

function canvas(): void {
  fillCells(context, content, SIDE / THREADS);
  // The library may draw late; asking for pixels makes it finish.
  context.getImageData(0, 0, SIDE, SIDE);
}

const times = race(7, { ours, canvas });
console.log(
  `\nPainting ${SIDE} × ${SIDE} px of threads of ${SIDE / THREADS} px (${times.ours.toFixed(0)} ms)`,
);
line(
  'times faster than a canvas library (@napi-rs/canvas) drawing its cells as boxes',
  times.canvas / times.ours,
  'at least 3',
);
