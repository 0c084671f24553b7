import type { SeamFit } from '../core/scene/seam-fit.ts';

/** Millimetres within which a pattern goes on across a seam: no eye sees it. */
export const MATCHED = 0.15;

/** How a pattern goes on across a seam. */
export function seamSentence(name: string, { off, left }: SeamFit): string {
  if (off <= MATCHED) return `${name}: the pattern goes on.`;
  if (left <= MATCHED) return `${name}: off by ${millimetres(off)}; a shift closes it.`;
  return `${name}: off by up to ${millimetres(off)}; at best ${millimetres(left)}, since the parts lie at different angles or are bent differently.`;
}

export function millimetres(length: number): string {
  return `${Number(length.toFixed(length < 10 ? 1 : 0))} mm`;
}
