import { CoreError } from '../error.ts';
import type { Bent, FlatBox } from './bent.ts';

/** Swollen or narrowed to a waist. */
export interface WaistBend {
  readonly kind: 'waist';
  /** By what part it is wider there, above 0, or narrower, below 0. */
  readonly share: number;
  /** How high that is, as a part of the height. */
  readonly at: number;
  /** How far it is felt up and down from there, as a part of the height. */
  readonly reach: number;
}

/**
 * Level lines keep their heights and are stretched about the middle, most at one height and less and less by a cosine away
 * from it.
 * @throws CoreError "bend/folds-over" {x, y} where nothing would be left of the width; "bend/range" {least, most}
 */
export function waisted({ share, at, reach }: WaistBend, { width, height }: FlatBox): Bent {
  if (!(share > -1)) throw new CoreError('bend/folds-over', { x: width / 2, y: at * height });
  if (!(share <= MOST)) throw new CoreError('bend/range', { least: -1, most: MOST });
  if (!(reach > 0 && reach <= MOST && Math.abs(at) <= MOST)) {
    throw new CoreError('bend/range', { least: 0, most: MOST });
  }
  const middle = width / 2;
  const wide = (y: number) => {
    const away = Math.min(1, Math.abs(y - at * height) / (reach * height));
    return 1 + (share * (1 + Math.cos(Math.PI * away))) / 2;
  };
  return {
    there: (x, y, out) => {
      out[0] = middle + (x - middle) * wide(y);
      out[1] = y;
    },
    back: (x, y, out) => {
      out[0] = middle + (x - middle) / wide(y);
      out[1] = y;
    },
  };
}

const MOST = 4;
