import type { ClothLight, LightLevel } from './cloth-light.ts';

/** What of a tile one pixel of a picture sees: how far the tile goes by from this pixel to the next across, and down; tile pixels. */
export interface Footprint {
  acrossX: number;
  acrossY: number;
  downX: number;
  downY: number;
}

/** Most places along a footprint at which light is taken; what is seen flatter than that is blurred across. */
const MOST_TAPS = 16;

/**
 * The mean light over a pixel's footprint, an ellipse: reductions as fine as it is narrow, taken at places along its length,
 * each mixed between pixels and between two reductions.
 * Source: J. McCormack et al., Feline: Fast Elliptical Lines for Anisotropic Texture Mapping, 1999, with evenly weighted places.
 *
 * @param x    of the tile, in its widths, as y in its heights downward; it comes again and again
 * @param out  red, green, blue and opacity, as the levels have them
 */
export function lightSeen(cloth: ClothLight, x: number, y: number, foot: Footprint, out: Float64Array): void {
  const { acrossX, acrossY, downX, downY } = foot;
  // Singular values of the map from pixels to the tile: how long and how wide the ellipse is that a pixel becomes.
  const sum = acrossX * acrossX + acrossY * acrossY + downX * downX + downY * downY;
  const area = acrossX * downY - acrossY * downX;
  const spread = Math.sqrt(Math.max(0, sum * sum - 4 * area * area));
  const long = Math.sqrt((sum + spread) / 2);
  const short = Math.sqrt(Math.max(0, (sum - spread) / 2));
  const taps = Math.min(MOST_TAPS, Math.max(1, Math.ceil(long / Math.max(short, 1))));
  const level = Math.log2(Math.max(1, short, long / taps));
  out.fill(0);
  if (taps === 1) {
    addLight(cloth, x, y, level, 1, out);
    return;
  }
  // Along the longer axis: the direction that the map stretches most.
  const turn =
    0.5 *
    Math.atan2(
      2 * (acrossX * acrossY + downX * downY),
      acrossX * acrossX + downX * downX - acrossY * acrossY - downY * downY,
    );
  const { width, height } = cloth[0]!;
  const stepX = (long * Math.cos(turn)) / width;
  const stepY = (long * Math.sin(turn)) / height;
  for (let tap = 0; tap < taps; tap += 1) {
    const way = (tap + 0.5) / taps - 0.5;
    addLight(cloth, x + way * stepX, y + way * stepY, level, 1 / taps, out);
  }
}

/** Adds light between two reductions. */
function addLight(
  cloth: ClothLight,
  x: number,
  y: number,
  level: number,
  weight: number,
  out: Float64Array,
): void {
  const fine = Math.min(cloth.length - 1, Math.floor(level));
  const part = Math.min(1, level - fine);
  addBetween(cloth[fine]!, x, y, weight * (1 - part), out);
  if (part > 0) addBetween(cloth[Math.min(cloth.length - 1, fine + 1)]!, x, y, weight * part, out);
}

/** Adds light between four pixels. */
function addBetween(
  { width, height, light }: LightLevel,
  x: number,
  y: number,
  weight: number,
  out: Float64Array,
): void {
  const column = (x - Math.floor(x)) * width - 0.5;
  const row = (y - Math.floor(y)) * height - 0.5;
  const left = Math.floor(column);
  const top = Math.floor(row);
  const right = column - left;
  const down = row - top;
  const x0 = (left + width) & (width - 1);
  const x1 = (left + 1) & (width - 1);
  const y0 = ((top + height) & (height - 1)) * width;
  const y1 = ((top + 1) & (height - 1)) * width;
  const a = weight * (1 - right) * (1 - down);
  const b = weight * right * (1 - down);
  const c = weight * (1 - right) * down;
  const d = weight * right * down;
  for (let channel = 0; channel < 4; channel += 1) {
    out[channel]! +=
      a * light[4 * (y0 + x0) + channel]! +
      b * light[4 * (y0 + x1) + channel]! +
      c * light[4 * (y1 + x0) + channel]! +
      d * light[4 * (y1 + x1) + channel]!;
  }
}
