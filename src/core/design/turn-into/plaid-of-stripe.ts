import { divide } from '../../exact/rational.ts';
import { roundEdges } from '../../thread/runs.ts';
import { checkSequence } from '../../thread/sequence.ts';
import { widthMillimetres } from '../../units/band-width.ts';
import { parseDensity, threadPitch } from '../../units/density.ts';
import type { Lay, PlaidDesign, StripeDesign } from '../design-schema.ts';
import { bandScale } from '../lay/lay-schema.ts';
import { newPlaid } from '../new-design.ts';

/**
 * A stripe as a plaid: its bands in threads of a density, both ways, in 2/2 twill. Edges are rounded to whole threads, not
 * widths, so that the whole is rounded once; shades, colourways, name and notes stay.
 *
 * @throws CoreError of the widths and the density, "run/zero" {band} where a band would have no thread,
 *         "sequence/threads"
 */
export function plaidOfStripe(
  design: StripeDesign,
  { density, per }: { readonly density: string; readonly per: Lay['per'] },
): PlaidDesign {
  const { bands, mirror, unit } = design.construction;
  const thread = threadPitch(parseDensity(density), per);
  const scale = bandScale(design);
  const counts = roundEdges(bands.map(({ width }) => divide(widthMillimetres(width, unit, scale), thread)));
  const warp = { bands: bands.map(({ shade }, at) => ({ shade, count: counts[at]! })), mirror };
  checkSequence(warp);
  return {
    ...design,
    construction: newPlaid({ name: design.name, shades: design.shades, warp }).construction,
    lay: { ...design.lay, ends: density, picks: density, per },
  };
}
