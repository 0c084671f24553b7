/** Red, green and blue, 0–255, not rounded. */
export type Levels = readonly [red: number, green: number, blue: number];

/**
 * Blend functions of all three channels together, on sRGB bytes. Source: W3C Compositing and Blending Level 1, §10.2
 * (non-separable blend modes).
 */
export const HUE_BLENDS = {
  hue: (under, over) => withLight(withSaturation(over, saturationOf(under)), lightOf(under)),
  saturation: (under, over) => withLight(withSaturation(under, saturationOf(over)), lightOf(under)),
  color: (under, over) => withLight(over, lightOf(under)),
  luminosity: (under, over) => withLight(under, lightOf(over)),
} as const satisfies Record<string, (under: Levels, over: Levels) => Levels>;

export type HueBlend = keyof typeof HUE_BLENDS;

/** Lum of the standard. */
function lightOf([red, green, blue]: Levels): number {
  return 0.3 * red + 0.59 * green + 0.11 * blue;
}

/** Sat of the standard. */
function saturationOf(levels: Levels): number {
  return Math.max(...levels) - Math.min(...levels);
}

/** SetLum of the standard. */
function withLight(levels: Levels, light: number): Levels {
  const by = light - lightOf(levels);
  return clipped([levels[0] + by, levels[1] + by, levels[2] + by]);
}

/** ClipColor of the standard: levels beyond what there is are drawn toward their light. */
function clipped(levels: Levels): Levels {
  const light = lightOf(levels);
  const least = Math.min(...levels);
  const most = Math.max(...levels);
  // A grey is beyond by no more than rounding: there is nothing to draw together.
  if (least === most) return [light, light, light];
  let [red, green, blue] = levels;
  const toward = (level: number, part: number) => light + (level - light) * part;
  if (least < 0) {
    const part = light / (light - least);
    [red, green, blue] = [toward(red, part), toward(green, part), toward(blue, part)];
  }
  if (most > 255) {
    const part = (255 - light) / (most - light);
    [red, green, blue] = [toward(red, part), toward(green, part), toward(blue, part)];
  }
  return [red, green, blue];
}

/** SetSat of the standard: the least level becomes 0, the most the saturation. */
function withSaturation(levels: Levels, saturation: number): Levels {
  const least = Math.min(...levels);
  const range = Math.max(...levels) - least;
  const stretched = (level: number) => (range === 0 ? 0 : ((level - least) * saturation) / range);
  return [stretched(levels[0]), stretched(levels[1]), stretched(levels[2])];
}
