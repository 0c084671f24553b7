import sharp from 'sharp';
import { bandsOfLine } from '../src/core/picture/bands-of-line.ts';
import { coarsen } from '../src/core/picture/block-grid.ts';
import { blocksOnLine } from '../src/core/picture/blocks-on-line.ts';
import { readPicture } from '../src/server/pictures/read-picture.ts';
import { line, median } from './timing.ts';

/** A picture of 24 megapixels to bands, against the image library's own resize to the same blocks. */
const [WIDTH, HEIGHT] = [6000, 4000];
const pixels = new Uint8Array(WIDTH * HEIGHT * 3);
for (let at = 0; at < pixels.length; at += 1) {
  const [x, y] = [Math.floor(at / 3) % WIDTH, Math.floor(at / 3 / WIDTH)];
  pixels[at] = 128 + 90 * Math.sin(x / 200 + (at % 3)) + 30 * Math.sin(y / 90) + ((at * 2654435761) % 7);
}
const image = sharp(pixels, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } });

console.log('\nA picture of 24 megapixels to bands');
for (const [format, bytes] of [
  ['PNG', await image.clone().png({ compressionLevel: 1 }).toBuffer()],
  ['JPEG', await image.clone().jpeg({ quality: 90 }).toBuffer()],
] as const) {
  const { grid } = await readPicture(bytes);
  const [ours, theirs, inLight]: [number[], number[], number[]] = [[], [], []];
  const size = [grid.columns, grid.rows, { fit: 'fill', fastShrinkOnLoad: false }] as const;
  for (let round = 0; round < 4; round += 1) {
    ours.push(await timed(() => toBands(bytes)));
    theirs.push(
      await timed(() => sharp(bytes).resize(grid.columns, grid.rows, { fit: 'fill' }).raw().toBuffer()),
    );
    const linear = sharp(bytes).pipelineColourspace('scrgb');
    inLight.push(
      await timed(() =>
        linear
          .resize(...size)
          .raw()
          .toBuffer(),
      ),
    );
  }
  line(
    `${format}: time, as a multiple of sharp's resize to ${grid.columns} × ${grid.rows} (${median(ours).toFixed(0)} ms)`,
    median(ours) / median(theirs),
    'at most 1.5',
  );
  line(
    `${format}: the same of its resize in linear light, as ours is`,
    median(ours) / median(inLight),
    'at most 1.5',
  );
}

async function toBands(bytes: Uint8Array): Promise<void> {
  const { grid } = await readPicture(bytes);
  const pieces = blocksOnLine(coarsen(grid, 10), { x: 0, y: 2000 }, { x: WIDTH, y: 2000 });
  const { bands } = bandsOfLine(pieces, { merge: 4, shades: 8 });
  if (bands.length < 2) throw new Error(`expected bands, got ${bands.length}`);
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}
