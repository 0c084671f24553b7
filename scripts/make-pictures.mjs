// Makes the pictures that ship with Vetro, all of them made up: bands of colour with seeded noise and light over them.
import { mkdirSync } from 'node:fs';
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
