import type { ClothLight, LightLevel } from './cloth-light.ts';

/** What of a tile one pixel of a picture sees: how far the tile goes by from this pixel to the next across, and down; tile pixels. */
export interface Footprint {
  acrossX: number;
  acrossY: number;
  downX: number;
  downY: number;
}

/** How a footprint is looked at: at so many places along its length, in a reduction and partly in the next. */
export interface LookPlan {
  taps: number;
  /** The finer of two reductions, and how much of the light is taken from the other. */
  fine: number;
  part: number;
  /** From place to place, in widths and heights of the tile. */
  stepX: number;
  stepY: number;
}

export function emptyPlan(): LookPlan {
  return { taps: 1, fine: 0, part: 0, stepX: 0, stepY: 0 };
}

/** Most places along a footprint at which light is taken; what is seen flatter than that is blurred across. */
const MOST_TAPS = 16;

/** What is longer than it is narrow by rounding alone is taken once. */
const ROUND = 1e-9;

/** Parts of a reduction that are too small to be looked up. */
const LITTLE = 1 / 32;

/**
 * Plans the mean light over a pixel's footprint, an ellipse: reductions as fine as it is narrow, taken at places along its
 * length, each mixed between pixels and between two reductions.
 * Source: J. McCormack et al., Feline: Fast Elliptical Lines for Anisotropic Texture Mapping, 1999, with evenly weighted places.
 */
export function planLook(cloth: ClothLight, foot: Footprint, plan: LookPlan): void {
  const { acrossX, acrossY, downX, downY } = foot;
  // How far the ellipse reaches across and up, and how it leans: the map from pixels to the tile, times its transpose.
  const wide = acrossX * acrossX + downX * downX;
  const high = acrossY * acrossY + downY * downY;
  const lean = acrossX * acrossY + downX * downY;
  // Its eigenvalues are the squares of how long and how narrow the ellipse is.
  const half = (wide + high) / 2;
  const spread = Math.sqrt(((wide - high) / 2) ** 2 + lean * lean);
  const long = Math.sqrt(half + spread);
  const short = Math.sqrt(Math.max(0, half - spread));
  const taps = Math.min(MOST_TAPS, Math.max(1, Math.ceil(long / Math.max(short, 1) - ROUND)));
  const level = Math.log2(Math.max(1, short, long / taps));
  const last = cloth.length - 1;
  const floor = Math.min(last, Math.floor(level));
  const part = floor === last ? 0 : level - floor;
  plan.taps = taps;
  plan.fine = part > 1 - LITTLE ? floor + 1 : floor;
  plan.part = part < LITTLE || part > 1 - LITTLE ? 0 : part;
  // The way of the ellipse's length, an eigenvector, in widths and heights of the tile.
  const { width, height } = cloth[0]!;
  const wayX = wide >= high ? half + spread - high : lean;
  const wayY = wide >= high ? lean : half + spread - wide;
  const size = Math.sqrt(wayX * wayX + wayY * wayY) || 1;
  plan.stepX = (long * wayX) / (size * width * taps);
  plan.stepY = (long * wayY) / (size * height * taps);
}

/**
 * The mean light that a plan sees at a place. A hot loop.
 * @param x    of the tile, in its widths, as y in its heights downward; it comes again and again
 * @param out  red, green, blue and opacity, as the levels have them
 */
export function lookAt(cloth: ClothLight, x: number, y: number, plan: LookPlan, out: Float64Array): void {
  const { taps, fine, part, stepX, stepY } = plan;
  out[0] = 0;
  out[1] = 0;
  out[2] = 0;
  out[3] = 0;
  const finer = cloth[fine]!;
  const weight = 1 / taps;
  const left = x - ((taps - 1) / 2) * stepX;
  const top = y - ((taps - 1) / 2) * stepY;
  if (part === 0) {
    for (let tap = 0; tap < taps; tap += 1)
      addLight(finer, left + tap * stepX, top + tap * stepY, weight, out);
    return;
  }
  const coarser = cloth[fine + 1]!;
  const some = weight * part;
  for (let tap = 0; tap < taps; tap += 1) {
    const atX = left + tap * stepX;
    const atY = top + tap * stepY;
    addLight(finer, atX, atY, weight - some, out);
    addLight(coarser, atX, atY, some, out);
  }
}

/** Adds light between four pixels of a reduction. */
function addLight(
  { width, height, light, isOpaque }: LightLevel,
  x: number,
  y: number,
  weight: number,
  out: Float64Array,
): void {
  const column = x * width - 0.5;
  const row = y * height - 0.5;
  const left = Math.floor(column);
  const top = Math.floor(row);
  const right = column - left;
  const down = (row - top) * weight;
  const up = weight - down;
  // Sides are powers of two, so that what lies a tile further is masked away, to the left and up too.
  const x0 = 4 * (left & (width - 1));
  const x1 = 4 * ((left + 1) & (width - 1));
  const y0 = 4 * width * (top & (height - 1));
  const y1 = 4 * width * ((top + 1) & (height - 1));
  const b = right * up;
  const a = up - b;
  const d = right * down;
  const c = down - d;
  const p = y0 + x0;
  const q = y0 + x1;
  const r = y1 + x0;
  const s = y1 + x1;
  out[0]! += a * light[p]! + b * light[q]! + c * light[r]! + d * light[s]!;
  out[1]! += a * light[p + 1]! + b * light[q + 1]! + c * light[r + 1]! + d * light[s + 1]!;
  out[2]! += a * light[p + 2]! + b * light[q + 2]! + c * light[r + 2]! + d * light[s + 2]!;
  // Most cloth lets nothing through.
  if (isOpaque) out[3]! += weight;
  else out[3]! += a * light[p + 3]! + b * light[q + 3]! + c * light[r + 3]! + d * light[s + 3]!;
}
