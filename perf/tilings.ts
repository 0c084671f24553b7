import { createCanvas } from '@napi-rs/canvas';
import { Resvg } from '@resvg/resvg-js';
import { compileUnit } from '../src/core/design/compile-design.ts';
import { newTiling } from '../src/core/design/new-design.ts';
import { surdToNumber } from '../src/core/exact/surd.ts';
import { checkPartition, cornerAt } from '../src/core/faces/check-partition.ts';
import { unitToSvg } from '../src/core/formats/svg/unit-svg.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { partitionIn } from '../src/core/repeat/contents.ts';
import { ringedOctagons, SHADES } from './ringed-octagons.ts';
import { everywhere, fillFaces, scatteredFloor } from './scattered-floor.ts';
import { line, race } from './timing.ts';

/** Bricks that come level after 997 rows, scattered over so many of their own cells each way. */
function ofCells(times: number) {
  return newTiling({
    name: 'Large',
    shades: SHADES,
    form: { kind: 'bricks', height: '1/2', step: '498/997' },
    colours: 'faces',
    scatter: { times, seed: 1, share: '1/2', by: '1/10' },
    size: '1 mm',
  });
}

console.log('\nA tiling compiled and proven');
let before: { faces: number; time: number } | undefined;
compileUnit(ofCells(1));
for (const times of [1, 3, 10]) {
  const design = ofCells(times);
  let faces = 0;
  const { time } = race(times > 5 ? 1 : 3, {
    time: () => {
      const base = partitionIn(compileUnit(design));
      faces = base.faces.length;
      if (!checkPartition(base).closed) throw new Error('expected it closed');
    },
  });
  const expected = (from: number) => (faces * Math.log(faces)) / (from * Math.log(from));
  const grown =
    before === undefined
      ? ''
      : `, ${(time / before.time).toFixed(1)} times what ${before.faces} take (n log n: ${expected(before.faces).toFixed(1)})`;
  console.log(`${faces} faces: ${time.toFixed(0)} ms${grown}`);
  before = { faces, time };
}

/** A floor of different faces on so many pixels each way. */
const SIDE = 2048;
const floor = compileUnit(scatteredFloor());
const base = partitionIn(floor);
const tile = { width: SIDE, height: SIDE };
const out = new Uint32Array(SIDE * SIDE);
const svg = unitToSvg(floor, 'Floor', { underlap: { n: 0n, d: 1n } }).replace(
  /width="[\d.]+mm" height="[\d.]+mm"/,
  `width="${SIDE}" height="${SIDE}"`,
);
/** Points for the canvas, made beforehand, of each face wherever it comes into the repeat. */
const faces = base.faces.map(({ corners, fill }) => {
  const points = corners.map((corner) => {
    const { x, y } = cornerAt(base, corner);
    return [surdToNumber(x) * SIDE, (1 - surdToNumber(y)) * SIDE] as const;
  });
  return { hex: base.shades[fill.shade]!.hex, copies: everywhere(points, SIDE) };
});

const painted = race(12, {
  ours: () =>
    paintRows(
      preparePainting(floor, { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' }),
      0,
      SIDE,
      out,
    ),
  canvas: () => canvas('#203040'),
  resvg: () => new Resvg(svg).render().pixels.length,
});

/** The same faces by a canvas library, over a ground. */
function canvas(ground: string): Uint8ClampedArray {
  const context = createCanvas(SIDE, SIDE).getContext('2d');
  fillFaces(context, faces, ground, SIDE);
  // The library may draw late; asking for pixels makes it finish.
  return context.getImageData(0, 0, SIDE, SIDE).data;
}

/** Pixels that are not the same over two grounds: those that let it through. */
function leaking(): { pixels: number; share: number } {
  const [one, other] = [canvas('#ff00ff'), canvas('#00ff00')];
  let [differing, mixed] = [0, 0];
  const pure = new Set(base.shades.map(({ hex }) => Number.parseInt(hex.slice(1), 16)));
  for (let at = 0; at < one.length; at += 4) {
    const pixel = (one[at]! << 16) | (one[at + 1]! << 8) | one[at + 2]!;
    if (!pure.has(pixel)) mixed += 1;
    if (one[at] !== other[at] || one[at + 1] !== other[at + 1]) differing += 1;
  }
  return { pixels: differing, share: differing / Math.max(1, mixed) };
}

const leaks = leaking();
console.log(`\n${base.faces.length} different faces on ${SIDE} × ${SIDE} (${painted.ours.toFixed(0)} ms)`);
line(
  'times faster than the faster of a canvas library and an SVG renderer',
  Math.min(painted.canvas, painted.resvg) / painted.ours,
  'at least 4',
);
line('times faster than the SVG renderer', painted.resvg / painted.ours, 'at least 1.5');
console.log(
  `The canvas library lets the ground through at ${leaks.pixels} pixels, ${(leaks.share * 100).toFixed(0)} % of those on edges; ours at none, having no ground.`,
);

/** What a slider's drag asks for: a view of 900 × 620 pixels of 4.8.8 with rings, from its numbers to its pixels. */
const view = { width: 900, height: 620 };
const dragged = race(15, {
  ours: () => {
    const unit = compileUnit(ringedOctagons());
    const repeat = { width: 146, height: 146 };
    const rows = new Uint32Array(repeat.width * repeat.height);
    const window = { tile: repeat, width: repeat.width, offset: { x: 0, y: 0 }, look: 'flat' } as const;
    paintRows(preparePainting(unit, window), 0, repeat.height, rows);
  },
});
console.log(
  `\nFrom numbers to a repainted repeat of 4.8.8 with rings, which fills ${view.width} × ${view.height}: ${dragged.ours.toFixed(1)} ms (two frames: 33)`,
);
