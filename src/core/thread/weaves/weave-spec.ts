import type { Hand, Twill } from '../weave.ts';

/** Most ends or picks of one structure. */
export const MAX_MATRIX = 512;

/** Most ends or picks of one draft. */
export const MAX_DRAFT = 4096;

/** Most shafts of a draft, and most treadles; with more different lifts than those it is woven by a lift plan. */
export const MAX_SHAFTS = 32;
export const MAX_TREADLES = 64;

/**
 * How a structure is built, as numbers. A `line` is a run of overs and unders in turn, beginning with an over, an even
 * number of them: 2/2, 3/1/1/2.
 */
export type SimpleWeave =
  | ({ readonly kind: 'twill' } & Twill)
  /** A line shifted by `step` ends each pick. */
  | { readonly kind: 'line'; readonly line: readonly number[]; readonly step: number; readonly hand: Hand }
  /** A line shifted by the steps of a list in turn: broken, undulating and curved twills. */
  | { readonly kind: 'steps'; readonly line: readonly number[]; readonly steps: readonly number[] }
  /** Plain weave with its picks (warp rib) or its ends (weft rib) grouped a and b. */
  | { readonly kind: 'rib'; readonly face: 'warp' | 'weft'; readonly a: number; readonly b: number }
  /** Blocks of ends × picks, over and under in turn. */
  | { readonly kind: 'hopsack'; readonly ends: number; readonly picks: number }
  | {
      readonly kind: 'turned';
      readonly line: readonly number[];
      /** Ends after which the twill turns back. */
      readonly run: number;
      readonly turn: TwillTurn;
    }
  | { readonly kind: 'satin'; readonly ends: number; readonly step: number; readonly face: 'warp' | 'weft' }
  /** Ridges of floats round hollows, on a pointed threading of `size` shafts. */
  | { readonly kind: 'honeycomb'; readonly size: number }
  /** Irregular, by a seed, with no float above `most`. */
  | { readonly kind: 'crepe'; readonly size: number; readonly seed: number; readonly most: number }
  /** A satin in `tones` pieces side by side, from weft-faced to warp-faced. */
  | { readonly kind: 'shaded'; readonly ends: number; readonly step: number; readonly tones: number }
  /** Two plain cloths, one above the other; stitched, the lower is tied to the upper. */
  | { readonly kind: 'double'; readonly stitched: boolean }
  /** As drawn: rows of # (warp up) and . from the top, the first pick below. */
  | { readonly kind: 'matrix'; readonly rows: readonly string[] }
  | ({ readonly kind: 'draft' } & Draft);

/**
 * How a twill turns back: at a point, where one end stands alone; or at a cut, the other way complemented so that every
 * over meets an under (of an uneven twill its other face), or with its face kept.
 */
export const TWILL_TURNS = ['point', 'complemented', 'kept'] as const;
export type TwillTurn = (typeof TWILL_TURNS)[number];

/**
 * Any structure. In blocks, each letter of a profile (rows from the top) stands for a whole number of repeats of its
 * own structure, all blocks equally large.
 */
export type WeaveSpec =
  | SimpleWeave
  | {
      readonly kind: 'blocks';
      readonly profile: readonly string[];
      readonly weaves: readonly { readonly letter: string; readonly weave: SimpleWeave }[];
    };

/** A loom's setting: shafts and treadles are counted from 1. */
export interface Draft {
  /** For each end, its shaft. */
  readonly threading: readonly number[];
  /** For each treadle, or for each different lift of a lift plan, the shafts that it lifts. */
  readonly tieup: readonly (readonly number[])[];
  /** For each pick, its treadle. */
  readonly treadling: readonly number[];
}
