import { replaceShade } from '../thread/edit-bands.ts';
import type { Plaid } from './plaid/plaid-schema.ts';
import type { Stripe } from './stripe/stripe-schema.ts';
import type { TilingSpec } from './tiling/tiling-schema.ts';

/** Where a construction names a shade. */
export interface ShadeUse {
  /** From the construction down. */
  readonly path: readonly (string | number)[];
  readonly key: string;
}

/** Every place where a shade is named, those of a weft that rests included. */
export function shadesUsed(construction: Plaid | Stripe | TilingSpec): readonly ShadeUse[] {
  switch (construction.kind) {
    case 'plaid': {
      const { warp, weft } = construction;
      return [
        ...inBands(['warp', 'bands'], warp.bands),
        ...inBands(['weft', 'own', 'bands'], weft.own?.bands ?? []),
      ];
    }
    case 'stripe': {
      const { bands, clear } = construction;
      return [...inBands(['bands'], bands), ...(clear === null ? [] : [{ path: ['clear'], key: clear }])];
    }
    case 'tiling':
      return [
        ...construction.faces.map((key, index) => ({ path: ['faces', index], key })),
        ...construction.rings.flatMap(({ shade }, index) =>
          shade === null ? [] : [{ path: ['rings', index, 'shade'], key: shade }],
        ),
        ...(construction.colours.by === 'hand'
          ? construction.colours.shades.map((key, index) => ({ path: ['colours', 'shades', index], key }))
          : []),
        ...(construction.fade?.shades ?? []).map((key, index) => ({ path: ['fade', 'shades', index], key })),
        ...(construction.gaps === null ? [] : [{ path: ['gaps', 'shade'], key: construction.gaps.shade }]),
        ...construction.lines.map(({ shade }, index) => ({ path: ['lines', index, 'shade'], key: shade })),
      ];
    default:
      return construction satisfies never;
  }
}

function inBands(path: readonly string[], bands: readonly { readonly shade: string }[]): readonly ShadeUse[] {
  return bands.map(({ shade }, index) => ({ path: [...path, index, 'shade'], key: shade }));
}

/** The same construction with one shade in the place of another. */
export function withShadeReplaced(
  construction: Plaid | Stripe | TilingSpec,
  from: string,
  to: string,
): Plaid | Stripe | TilingSpec {
  const within = <B extends { readonly shade: string }, T extends { readonly bands: readonly B[] }>(
    part: T & { readonly bands: readonly B[] },
  ) => ({ ...part, bands: [...replaceShade(part.bands, from, to)] });
  switch (construction.kind) {
    case 'plaid': {
      const { warp, weft } = construction;
      return { ...construction, warp: within(warp), weft: { ...weft, own: weft.own && within(weft.own) } };
    }
    case 'stripe': {
      const clear = construction.clear === from ? to : construction.clear;
      return { ...within(construction), clear };
    }
    case 'tiling':
      return tilingWithShadeReplaced(construction, from, to);
    default:
      return construction satisfies never;
  }
}

function tilingWithShadeReplaced(tiling: TilingSpec, from: string, to: string): TilingSpec {
  const other = (key: string) => (key === from ? to : key);
  const { colours, fade, gaps } = tiling;
  return {
    ...tiling,
    faces: tiling.faces.map(other),
    rings: tiling.rings.map((ring) => (ring.shade === from ? { ...ring, shade: to } : ring)),
    colours: colours.by === 'hand' ? { ...colours, shades: colours.shades.map(other) } : colours,
    fade: fade && { ...fade, shades: fade.shades.map(other) },
    gaps: gaps && { ...gaps, shade: other(gaps.shade) },
    lines: tiling.lines.map((each) => ({ ...each, shade: other(each.shade) })),
  };
}
