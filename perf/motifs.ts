import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import { compile } from '../src/core/design/compile-design.ts';
import type { MotifDesign } from '../src/core/design/design-schema.ts';
import type { Piece } from '../src/core/design/motif/motif-schema.ts';
import { usualPiece } from '../src/core/design/motif/usual-piece.ts';
import { newMotif } from '../src/core/design/new-design.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { randomNumbers } from '../src/core/exact/random-numbers.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import type { RepeatUnit } from '../src/core/repeat/repeat-unit.ts';
import { line, median, race } from './timing.ts';

/** Motifs on 2048 × 2048 px, compiled and painted, against the same shapes on a canvas, for the whole window. */
const SIDE = 2048;
const out = new Uint32Array(SIDE * SIDE);

/** @param across  repeats across the window */
function paint(unit: RepeatUnit, across: number): void {
  const tile = { width: SIDE / across, height: SIDE / across };
  const window = { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' as const };
  const painting = preparePainting(unit, window);
  // Rows of a repeat come again.
  paintRows(painting, 0, tile.height, out);
  for (let at = tile.height * SIDE; at < out.length; at *= 2) {
    out.copyWithin(at, 0, Math.min(at, out.length - at));
  }
}

function fresh(): SKRSContext2D {
  return createCanvas(SIDE, SIDE).getContext('2d');
}

/** The library may draw late; asking for pixels makes it finish. */
function finish(context: SKRSContext2D): void {
  context.getImageData(0, 0, SIDE, SIDE);
}

const scales = designFromStart('motif', 'fish-scale') as MotifDesign;
const REPEATS = 8;

/** The same discs, row by row from the top, as lower rows lie on top. */
function canvasScales(): void {
  const context = fresh();
  const hexes = Object.fromEntries(scales.shades.map(({ key, hex }) => [key, hex]));
  const step = SIDE / REPEATS / 8;
  const disc = (x: number, y: number, across: number, hex: string) => {
    context.fillStyle = hex;
    context.beginPath();
    context.arc(x, y, (across / 2) * step, 0, 2 * Math.PI);
    context.fill();
  };
  for (let row = -1; row <= 2 * REPEATS; row += 1) {
    for (let column = -1; column <= REPEATS; column += 1) {
      const x = (8 * column + 4 + (row % 2 === 0 ? 0 : 4)) * step;
      const y = (4 * row + 2) * step;
      disc(x, y, 8, hexes['C']!);
      disc(x, y, 7.5, hexes['B']!);
      disc(x, y, 16 / 3, hexes['Z']!);
      disc(x, y, 8 / 3, hexes['O']!);
    }
  }
  finish(context);
}

const fish = race(9, { ours: () => paint(compile(scales), REPEATS), canvas: canvasScales });
console.log(`\nA fish scale of three rings on ${SIDE} × ${SIDE} px (${fish.ours.toFixed(0)} ms)`);
line('times faster than a canvas library (@napi-rs/canvas)', fish.canvas / fish.ours, 'at least 3');

/** Different pieces, none like another. */
const COUNT = 2_000;
const random = randomNumbers(7);
const among = (count: number) => random() % count;
const pieces: Piece[] = Array.from({ length: COUNT }, (_, at) => {
  const size = String(1 + among(30) / 10);
  const shape =
    at % 2 === 0
      ? ({ kind: 'disc', across: size } as const)
      : ({ kind: 'polygon', sides: 3 + among(6), measured: 'radius', size } as const);
  const way = () => `${among(1000)}/10`;
  return usualPiece(at + 1, shape, way(), way(), { turn: String(among(360)), shade: 'BRG'[among(3)]! });
});
const many = newMotif({
  name: 'Many',
  shades: ['#efe6cf', '#2e4c63', '#8c2f25', '#24402f'].map((hex, at) => ({
    key: 'CBRG'[at]!,
    name: hex,
    hex,
  })),
  box: { width: '100', height: '100' },
  ground: 'C',
  pieces,
});

function canvasMany(): void {
  const context = fresh();
  const step = SIDE / 100;
  const hexes = Object.fromEntries(many.shades.map(({ key, hex }) => [key, hex]));
  for (const { shape, x, y, turn, shade } of many.construction.pieces) {
    const [px, py] = [number(x) * step, SIDE - number(y) * step];
    context.fillStyle = hexes[shade!]!;
    for (const dx of [-SIDE, 0, SIDE]) {
      for (const dy of [-SIDE, 0, SIDE]) {
        const reach = 4 * step;
        const isSeen =
          px + dx > -reach && px + dx < SIDE + reach && py + dy > -reach && py + dy < SIDE + reach;
        if (!isSeen) continue;
        context.beginPath();
        if (shape.kind === 'disc') {
          context.arc(px + dx, py + dy, (Number(shape.across) / 2) * step, 0, 2 * Math.PI);
        } else if (shape.kind === 'polygon') {
          for (let corner = 0; corner < shape.sides; corner += 1) {
            const angle = (Number(turn) / 180 + 0.5 + (2 * corner) / shape.sides) * Math.PI;
            const radius = Number(shape.size) * step;
            context.lineTo(px + dx + radius * Math.cos(angle), py + dy - radius * Math.sin(angle));
          }
        }
        context.fill();
      }
    }
  }
  finish(context);
}

function number(text: string): number {
  const [n, d = '1'] = text.split('/');
  return Number(n) / Number(d);
}

const lots = race(7, { ours: () => paint(compile(many), 1), canvas: canvasMany });
console.log(`\n${COUNT} different pieces on ${SIDE} × ${SIDE} px (${lots.ours.toFixed(0)} ms)`);
line('times faster than a canvas library (@napi-rs/canvas)', lots.canvas / lots.ours, 'at least 1');

/** What a drag of one of thirty pieces takes from the number to the pixels, at the size of a bench. */
const some = newMotif({
  ...many,
  shades: many.shades,
  box: { width: '20', height: '20' },
  ground: 'C',
  pieces: pieces.slice(0, 30),
});
const FRAME = 1000 / 60;
const bench = { width: 512, height: 512 };
const canvasOfBench = new Uint32Array(bench.width * bench.height);
const drags = Array.from({ length: 50 }, (_, at) => {
  const [first, ...others] = some.construction.pieces;
  const moved = { ...first!, x: `${at}/10` };
  const design = { ...some, construction: { ...some.construction, pieces: [moved, ...others] } };
  const start = performance.now();
  const window = { tile: bench, width: bench.width, offset: { x: 0, y: 0 }, look: 'flat' as const };
  paintRows(preparePainting(compile(design), window), 0, bench.height, canvasOfBench);
  return performance.now() - start;
});
console.log(
  `\nA drag of one of 30 pieces, ${bench.width} × ${bench.height} px (${median(drags).toFixed(1)} ms)`,
);
line('median, in frames of a sixtieth of a second', median(drags) / FRAME, 'under 2');
line('worst of 50, in frames', Math.max(...drags) / FRAME, 'under 2');
