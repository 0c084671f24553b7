import { createCanvas, ImageData } from '@napi-rs/canvas';
import { compile } from '../src/core/design/compile-design.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { ORIGIN } from '../src/core/exact/plane.ts';
import { ONE, type Rational, rational } from '../src/core/exact/rational.ts';
import { scaleSurd, surd } from '../src/core/exact/surd.ts';
import { paintRows, paintTile, preparePainting } from '../src/core/paint/painting.ts';
import { layPlies } from '../src/core/repeat/plies/lay-plies.ts';
import type { Ply, RepeatUnit } from '../src/core/repeat/repeat-unit.ts';
import { line, race } from './timing.ts';

/** Three plies on 2048 × 2048 px: a plaid, octagons and squares by multiply, a twill by overlay. */
const SIDE = 2048;
const out = new Uint32Array(SIDE * SIDE);

/** As large as so many millimetres a side. */
function sized(unit: RepeatUnit, millimetres: number): RepeatUnit {
  const per = (count: Rational) => scaleSurd(surd(rational(millimetres)), rational(count.d, count.n));
  return { ...unit, pitch: { x: per(unit.repeat!.width), y: per(unit.repeat!.height) } };
}

function ply(unit: RepeatUnit, change: Partial<Ply> = {}): Omit<Ply, 'times'> {
  return { unit, shift: ORIGIN, blend: 'normal', strength: ONE, clip: null, shown: true, ...change };
}

const PLIES = [
  ply(sized(compile(designFromStart('plaid', 'madras')), 64)),
  ply(sized(compile(designFromStart('tiling', '4.8.8')), 32), {
    blend: 'multiply',
    strength: rational(3, 5),
  }),
  ply(sized(compile(designFromStart('plaid', 'twill')), 16), {
    blend: 'overlay',
    strength: rational(1, 5),
  }),
];
const unit = layPlies(PLIES);
const tile = { width: SIDE, height: SIDE };

function paint(): void {
  const painting = preparePainting(unit, { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' });
  paintRows(painting, 0, SIDE, out);
}

/** The same three tiles, painted beforehand, which the canvas is not asked for. */
const pictures = unit.content.plies.map(({ unit: one, times }) => {
  const small = { width: SIDE / times.across, height: SIDE / times.down };
  const canvas = createCanvas(small.width, small.height);
  const bytes = new Uint8ClampedArray(paintTile(one, small));
  canvas.getContext('2d').putImageData(new ImageData(bytes, small.width, small.height), 0, 0);
  return canvas;
});

let theirs: Uint8ClampedArray = new Uint8ClampedArray();

function canvas(): void {
  const context = createCanvas(SIDE, SIDE).getContext('2d');
  for (const [at, picture] of pictures.entries()) {
    const { blend, strength } = PLIES[at]!;
    context.globalAlpha = Number(strength.n) / Number(strength.d);
    context.globalCompositeOperation = blend === 'normal' ? 'source-over' : blend;
    context.fillStyle = context.createPattern(picture, 'repeat')!;
    context.fillRect(0, 0, SIDE, SIDE);
  }
  // Painted at once, not when it is next asked for.
  theirs = context.getImageData(0, 0, SIDE, SIDE).data;
}

paint();
canvas();
const ours = new Uint8Array(out.buffer);
let most = 0;
for (let at = 0; at < ours.length; at += 1) most = Math.max(most, Math.abs(ours[at]! - theirs[at]!));
const kinds = new Set(new Uint32Array(theirs.buffer)).size;
console.log(`${kinds} colours; the same pictures within ${most} levels`);

const took = race(5, { ours: paint, canvas });
line('three plies painted and blended, their tiles with them', took.ours / took.canvas, 'at most 1 × canvas');
