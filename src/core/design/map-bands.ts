import type { ShadePath } from './construction.ts';

/** Bands and whatever stands beside them, with a shade in the place of each band's. @param at  where they stand */
export function mapBands<B extends { readonly shade: string }, T extends { readonly bands: readonly B[] }>(
  part: T & { readonly bands: readonly B[] },
  at: ShadePath,
  to: (key: string, path: ShadePath) => string,
): T {
  const bands = part.bands.map((band, index) => ({
    ...band,
    shade: to(band.shade, [...at, 'bands', index, 'shade']),
  }));
  return { ...part, bands };
}
