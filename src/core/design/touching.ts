import { shadeContrast } from '../colour/compare.ts';
import type { Shade } from '../colour/shade.ts';
import type { Mirror } from '../thread/sequence.ts';
import { kindFor } from './constructions.ts';
import type { Design } from './design-schema.ts';

/** Two shades whose bands lie side by side, and how far they stand apart. */
export interface Touching {
  readonly one: Shade;
  readonly other: Shade;
  /** 1 … 21. */
  readonly contrast: number;
}

/** Every two shades whose bands touch somewhere round the repeat, the least contrast first. */
export function touchingShades(design: Design): readonly Touching[] {
  const { construction, shades } = design;
  const { banded } = kindFor(construction);
  const sequences = (banded?.railsOf(construction) ?? []).map((direction) =>
    banded!.sequenceOf(construction, direction, design),
  );
  const pairs = new Map<string, Touching>();
  for (const { bands, mirror } of sequences) {
    const keys = bands.map(({ shade }) => shade);
    for (const [a, b] of neighbours(keys, mirror)) {
      const name = [a, b].sort().join(' ');
      if (a === b || pairs.has(name)) continue;
      const [one, other] = [a, b].map((key) => shades.find((shade) => shade.key === key)!) as [Shade, Shade];
      pairs.set(name, { one, other, contrast: shadeContrast(one, other) });
    }
  }
  return [...pairs.values()].sort((a, b) => a.contrast - b.contrast);
}

/** A mirrored sequence turns back; one that is not goes on from its last band to its first. */
function neighbours(keys: readonly string[], mirror: Mirror): readonly (readonly [string, string])[] {
  const pairs = keys.slice(1).map((key, index) => [keys[index]!, key] as const);
  return mirror === 'none' ? [...pairs, [keys.at(-1)!, keys[0]!]] : pairs;
}
