// Makes the pictures that ship with Vetro, all of them made up: bands of colour with seeded noise and light over them.
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import sharp from 'sharp';

const WIDTH = 960;
const HEIGHT = 640;

/** A small generator of numbers 0 … 1; the same seed always gives the same. Source: G. Marsaglia, xorshift, 2003. */
function numbers(seed) {
  let state = seed;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/** Smooth noise over the plane: a few waves of different lengths and directions. */
function waves(seed, count, longest) {
  const next = numbers(seed);
  const all = Array.from({ length: count }, (_, index) => {
    const angle = next() * Math.PI;
    const length = longest / (1 + index);
    return {
      x: Math.cos(angle) / length,
      y: Math.sin(angle) / length,
      phase: next() * 7,
      size: 1 / (1 + index),
    };
  });
  return (x, y) =>
    all.reduce(
      (sum, wave) => sum + wave.size * Math.sin(2 * Math.PI * (x * wave.x + y * wave.y) + wave.phase),
      0,
    );
}

function mix(a, b, part) {
  return a.map((value, channel) => value + (b[channel] - value) * part);
}

/** Colours at places 0 … 1, mixed between. */
function ramp(stops, at) {
  const last = stops.findIndex(([place]) => place >= at);
  if (last <= 0) return stops[last === 0 ? 0 : stops.length - 1][1];
  const [[from, a], [to, b]] = [stops[last - 1], stops[last]];
  return mix(a, b, (at - from) / (to - from));
}

const lake = (() => {
  const sky = waves(11, 6, 900);
  const water = waves(29, 9, 160);
  const stops = [
    [0, [38, 52, 84]],
    [0.22, [96, 92, 128]],
    [0.38, [214, 142, 112]],
    [0.46, [246, 206, 142]],
    [0.5, [44, 58, 52]],
    [0.56, [30, 42, 46]],
    [0.6, [196, 158, 132]],
    [0.74, [92, 112, 136]],
    [1, [26, 44, 62]],
  ];
  return (x, y) => {
    const down = y / HEIGHT;
    const bend = down < 0.48 ? sky(x, y) * 0.012 : water(x * 0.25, y * 3) * 0.02;
    return ramp(stops, Math.min(1, Math.max(0, down + bend)));
  };
})();

const heather = (() => {
  const slope = waves(5, 7, 500);
  const tuft = waves(17, 14, 40);
  const stops = [
    [0, [122, 138, 96]],
    [0.25, [98, 108, 62]],
    [0.45, [126, 84, 118]],
    [0.6, [164, 104, 146]],
    [0.75, [104, 66, 92]],
    [0.88, [70, 76, 48]],
    [1, [52, 46, 40]],
  ];
  return (x, y) => {
    const at = y / HEIGHT + slope(x, y) * 0.06 + tuft(x, y) * 0.035;
    return ramp(stops, Math.min(1, Math.max(0, at)));
  };
})();

const boiler = (() => {
  const steel = waves(3, 4, 700);
  const edges = [0, 0.16, 0.19, 0.47, 0.5, 0.53, 0.58, 0.8, 0.83, 1];
  const colours = [
    [36, 64, 47],
    [199, 154, 59],
    [30, 54, 40],
    [140, 47, 37],
    [199, 154, 59],
    [38, 43, 45],
    [36, 64, 47],
    [199, 154, 59],
    [28, 32, 34],
  ];
  return (x, y) => {
    const at = x / WIDTH;
    const band = Math.max(0, edges.findIndex((edge) => edge > at) - 1);
    const [from, to] = [edges[band], edges[band + 1] ?? 1];
    // Each band is round, and shines a little left of its middle.
    const across = (at - from) / (to - from);
    const light =
      0.62 + 0.75 * Math.max(0, 1 - ((across - 0.4) / 0.6) ** 2) ** 2 * (0.55 + 0.1 * steel(x, y));
    return colours[band].map((value) => value * light);
  };
})();

mkdirSync('public/pictures', { recursive: true });
for (const [name, colourAt] of Object.entries({
  'lake-at-dusk': lake,
  'heather-bank': heather,
  'boiler-and-brass': boiler,
})) {
  const grain = numbers(name.length * 7919);
  const pixels = new Uint8ClampedArray(WIDTH * HEIGHT * 3);
  for (let y = 0; y < HEIGHT; y += 1) {
    for (let x = 0; x < WIDTH; x += 1) {
      const noise = (grain() - 0.5) * 10;
      pixels.set(
        colourAt(x, y).map((value) => value + noise),
        (y * WIDTH + x) * 3,
      );
    }
  }
  await sharp(pixels, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
    .jpeg({ quality: 80, mozjpeg: true })
    .toFile(`public/pictures/${name}.jpg`);
}

/** The lake steamer, as a start point carries it: 208 × 240, which fills a hexagon across its flats. */
const STEAMER = `<svg xmlns="http://www.w3.org/2000/svg" width="208" height="240" viewBox="0 0 208 240">
  <rect width="208" height="132" fill="#e9d9b4"/>
  <circle cx="148" cy="74" r="26" fill="#d3934a"/>
  <path d="M0 96 40 62 78 98 118 70 160 106 208 82V140H0z" fill="#7d9488"/>
  <path d="M0 118 50 100 112 124 170 108 208 122V146H0z" fill="#4f6f63"/>
  <rect y="136" width="208" height="104" fill="#2c5f7c"/>
  <path d="M0 168q26-12 52 0t52 0 52 0 52 0v10q-26-12-52 0t-52 0-52 0-52 0z" fill="#7fa6b8"/>
  <path d="M0 200q26-12 52 0t52 0 52 0 52 0v10q-26-12-52 0t-52 0-52 0-52 0z" fill="#4c7f99"/>
  <path d="M38 138H172q-4 26-22 30H62q-18-6-24-30z" fill="#7a2f24"/>
  <path d="M38 138H172l-2 8H41z" fill="#f4ead2"/>
  <rect x="72" y="112" width="66" height="26" fill="#f4ead2"/>
  <path d="M80 118h10v12H80zM98 118h10v12H98zM116 118h10v12h-10z" fill="#2c5f7c"/>
  <rect x="96" y="78" width="18" height="34" fill="#20292b"/>
  <rect x="96" y="84" width="18" height="8" fill="#b0442f"/>
  <path d="M106 70q14-18 34-14t34-16q-6 26-32 28t-30 10z" fill="#fffdf8"/>
  <path d="M92 140a18 18 0 1 1 36 0z" fill="#d3934a"/>
  <path d="M160 138V104h3v34z" fill="#20292b"/>
  <path d="M163 104h22l-6 6 6 6h-22z" fill="#b0442f"/>
</svg>`;

const steamer = await sharp(Buffer.from(STEAMER))
  .removeAlpha()
  .png({ palette: true, colours: 64 })
  .toBuffer();
const { width, height } = await sharp(steamer).metadata();
const hash = createHash('sha256').update(steamer).digest('hex');
writeFileSync(
  'src/core/design/lake-steamer.ts',
  `import type { PictureFile } from '../shape/picture.ts';
import type { PaintPicture } from './picture-schema.ts';

/** A made-up picture for a start point; scripts/make-pictures.mjs draws it. */
export const LAKE_STEAMER: PaintPicture = {
  hash: '${hash}',
  name: 'Lake steamer',
  width: ${width},
  height: ${height},
  fit: 'filling',
};

export const LAKE_STEAMER_FILE: PictureFile = {
  type: 'image/png',
  base64:
    '${steamer.toString('base64')}',
};
`,
);
