import { createCanvas, ImageData, Path2D } from '@napi-rs/canvas';
import { compile } from '../src/core/design/compile-design.ts';
import type { Design } from '../src/core/design/design-schema.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { compileTryOn } from '../src/core/design/try-on/compile-try-on.ts';
import { clothLayers } from '../src/core/design/try-on/try-on-layers.ts';
import { USUAL_PART, usualTryOn } from '../src/core/design/try-on/usual-try-on.ts';
import { paintTile } from '../src/core/paint/painting.ts';
import type { ClothLight } from '../src/core/paint/seen/cloth-light.ts';
import { type ClothTile, lightOfUnit } from '../src/core/paint/seen/cloth-tile.ts';
import { prepareScene } from '../src/core/paint/seen/paint-scene.ts';
import { rowMemory } from '../src/core/paint/seen/remembered-rows.ts';
import type { SeenWindow } from '../src/core/paint/seen/seen-window.ts';
import type { RepeatUnit } from '../src/core/repeat/repeat-unit.ts';
import { line, median, race } from './timing.ts';

/** Two curtains in folds on 1200 × 800 px, as after a drag that moved the cloth of one: the repeat and its light are kept. */
const WINDOW: SeenWindow = { width: 1200, height: 800, perMillimetre: 0.4, corner: { x: -400, y: 1960 } };
const COARSE = 3;

const plaid = designFromStart('plaid', 'madras');
const unit = compile(plaid);
const lights = new Map<string, ClothLight>();
const lightOf = (each: RepeatUnit, tile: ClothTile) => {
  const name = `${tile.width} × ${tile.height}`;
  const light = lights.get(name) ?? lightOfUnit(each, tile);
  lights.set(name, light);
  return light;
};

const memory = rowMemory(96_000_000);

function scene(design: Design, shift: number) {
  const part = { ...USUAL_PART, shift: { x: `${shift} mm`, y: '0 mm' } };
  const tryOn = { ...usualTryOn('curtain'), parts: { left: part } };
  return compileTryOn(design, tryOn, { unitOf: () => unit });
}

function paint(coarse: number, shift: number): Uint8ClampedArray {
  const window = {
    ...WINDOW,
    width: Math.ceil(WINDOW.width / coarse),
    height: Math.ceil(WINDOW.height / coarse),
    perMillimetre: WINDOW.perMillimetre / coarse,
  };
  const out = new Uint8ClampedArray(4 * window.width * window.height);
  const layers = clothLayers(scene(plaid, shift), window, lightOf, (name, _, rows) =>
    memory.remember(name, rows),
  );
  prepareScene(layers, window).paintRows(0, window.height, out);
  return out;
}

/** The same two parts filled flat with the painted repeat as a pattern. */
const { parts } = scene(plaid, 0);
const size = parts[0]!.cloth!.size;
const tile = {
  width: Math.round(size.x * WINDOW.perMillimetre),
  height: Math.round(size.y * WINDOW.perMillimetre),
};
const repeat = createCanvas(tile.width, tile.height);
repeat
  .getContext('2d')
  .putImageData(new ImageData(new Uint8ClampedArray(paintTile(unit, tile)), tile.width, tile.height), 0, 0);
const paths = parts.map(({ drawn }) => {
  const corners = drawn.outline[0]!.places.map(
    ({ x, y }) =>
      `${(x - WINDOW.corner.x) * WINDOW.perMillimetre} ${(WINDOW.corner.y - y) * WINDOW.perMillimetre}`,
  );
  return new Path2D(`M${corners.join('L')}Z`);
});
let theirs: Uint8ClampedArray = new Uint8ClampedArray();

function canvas(): void {
  const context = createCanvas(WINDOW.width, WINDOW.height).getContext('2d');
  context.fillStyle = context.createPattern(repeat, 'repeat')!;
  for (const path of paths) context.fill(path);
  // Painted at once, not when it is next asked for.
  theirs = context.getImageData(0, 0, WINDOW.width, WINDOW.height).data;
}

const covered = (bytes: Uint8ClampedArray) =>
  bytes.reduce((sum, byte, at) => sum + (at % 4 === 3 && byte > 0 ? 1 : 0), 0);
canvas();
console.log(`${covered(paint(1, 0))} pixels of cloth, and ${covered(theirs)} of the canvas`);

let shift = 0;

/** Paints after one more move of the hand. */
function moved(coarse: number): void {
  shift += 1;
  paint(coarse, shift);
}

const took = race(7, {
  fine: () => moved(1),
  coarse: () => moved(COARSE),
  canvas,
});
const each = Array.from({ length: 15 }, () => {
  const start = performance.now();
  moved(1);
  return performance.now() - start;
});
console.log(
  `finely ${median(each).toFixed(0)} ms in the middle, coarsely ${took.coarse.toFixed(0)}, the canvas ${took.canvas.toFixed(1)}`,
);
line(
  'two bent parts repainted after a drag, coarsely as while it goes on',
  took.coarse / took.canvas,
  'at most 4 × canvas',
);
line('the same finely, when it ends', took.fine / took.canvas, 'at most 4 × canvas');
line('finely, in tenths of a second', median(each) / 100, 'below 1');
