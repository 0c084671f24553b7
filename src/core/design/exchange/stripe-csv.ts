import { formatWidthCsv } from '../../formats/band-csv.ts';
import type { StripeDesign } from '../design-schema.ts';

/** The bands of a stripe as a table: shade, colour, width, unit, pivot. */
export function stripeToCsv({ construction, shades }: StripeDesign): string {
  const { bands, mirror, unit } = construction;
  return formatWidthCsv(
    bands.map(({ shade, width }, index) => {
      const { name, hex } = shades.find(({ key }) => key === shade)!;
      const pivot = mirror !== 'none' && (index === 0 || index === bands.length - 1) ? mirror : '';
      return { shade: name, colour: hex, width, unit, pivot };
    }),
  );
}
