import type { StrapSpec } from './strap-schema.ts';

type Map = (key: string, path: readonly (string | number)[]) => string;

/** A strap with a shade in the place of each that it names. */
export function mapStrap(strap: StrapSpec, to: Map): StrapSpec {
  const { edges, centre, dip } = strap;
  return {
    ...strap,
    edges: edges.map((edge, at) => ({ ...edge, shade: to(edge.shade, ['edges', at, 'shade']) })),
    centre: centre && { ...centre, shade: to(centre.shade, ['centre', 'shade']) },
    dip: dip && { ...dip, shade: to(dip.shade, ['dip', 'shade']) },
  };
}
