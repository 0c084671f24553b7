import { expect } from '@playwright/test';
import { PNG } from 'pngjs';
import { PLY_BLENDS } from '../../src/core/colour/ply-blend.ts';
import { randomNumbers } from '../../src/core/exact/random-numbers.ts';
import { rowBlender } from '../../src/core/paint/plies/blend-rows.ts';
import { testAlone } from './test.ts';

const SIDE = 32;

/** Opaque pixels of random colours, greys among them. */
function pixels(seed: number): Uint32Array {
  const next = randomNumbers(seed);
  const byte = () => [0, 255, 128, next() % 256, next() % 256, next() % 256][next() % 6]!;
  return Uint32Array.from({ length: SIDE * SIDE }, () => {
    const grey = byte();
    const [red, green, blue] = next() % 4 === 0 ? [grey, grey, grey] : [byte(), byte(), byte()];
    return ((255 << 24) | (blue << 16) | (green << 8) | red) >>> 0;
  });
}

/** A picture that a page can show. */
function pictureOf(row: Uint32Array): string {
  const png = new PNG({ width: SIDE, height: SIDE });
  png.data = Buffer.from(row.slice().buffer);
  return `data:image/png;base64,${PNG.sync.write(png).toString('base64')}`;
}

testAlone(
  'plies are blended as Chromium blends pictures by mix-blend-mode, to its rounding',
  async ({ page }) => {
    const under = pixels(1);
    const over = pixels(2);
    for (const strength of [1, 0.2]) {
      const pairs = PLY_BLENDS.map(
        (blend) => `<div style="position:relative;isolation:isolate;width:${SIDE}px;height:${SIDE}px">
        <img src="${pictureOf(under)}" style="position:absolute;left:0;top:0">
        <img src="${pictureOf(over)}" style="position:absolute;left:0;top:0;mix-blend-mode:${blend};opacity:${strength}">
      </div>`,
      );
      await page.setContent(`<body style="margin:0">${pairs.join('')}</body>`);
      await page.evaluate(() => Promise.all([...document.images].map((image) => image.decode())));
      const shot = PNG.sync.read(
        await page.screenshot({ clip: { x: 0, y: 0, width: SIDE, height: SIDE * PLY_BLENDS.length } }),
      );
      for (const [at, blend] of PLY_BLENDS.entries()) {
        const row = under.slice();
        rowBlender(blend, strength)(row, over);
        const ours = new Uint8Array(row.buffer);
        const theirs = shot.data.subarray(at * ours.length, (at + 1) * ours.length);
        const most = ours.reduce((worst, byte, place) => Math.max(worst, Math.abs(byte - theirs[place]!)), 0);
        // Chromium rounds both pictures to bytes apart where one is weaker, and the product of an exclusion before it is doubled.
        const isTwice = blend === 'exclusion' || strength < 1;
        expect(most, `${blend} at ${strength}`).toBeLessThanOrEqual(isTwice ? 2 : 1);
      }
    }
  },
);
