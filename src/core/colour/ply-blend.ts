import { SEPARABLE_BLENDS, type SeparableBlend } from './blend.ts';
import { HUE_BLENDS, type HueBlend } from './blend-hues.ts';

/** Ways in which a ply is blended with those beneath, in the order of the standard. */
export type PlyBlend = SeparableBlend | HueBlend;

export const PLY_BLENDS = [
  ...Object.keys(SEPARABLE_BLENDS),
  ...Object.keys(HUE_BLENDS),
] as readonly PlyBlend[];

export function isHueBlend(blend: PlyBlend): blend is HueBlend {
  return Object.hasOwn(HUE_BLENDS, blend);
}
