import { dsvFormat } from 'd3-dsv';
import type { StripeDesign } from '../design-schema.ts';

/** The bands of a stripe as a table: shade, colour, width, unit, pivot; CRLF as RFC 4180 wants it. */
export function stripeToCsv({ construction, shades }: StripeDesign): string {
  const { bands, mirror, unit } = construction;
  const rows = bands.map(({ shade, width }, index) => {
    const { name, hex } = shades.find(({ key }) => key === shade)!;
    const pivot = mirror !== 'none' && (index === 0 || index === bands.length - 1) ? mirror : '';
    return [name, hex, width, unit, pivot];
  });
  const table = dsvFormat(',').formatRows([['shade', 'colour', 'width', 'unit', 'pivot'], ...rows]);
  return `${table.replaceAll('\n', '\r\n')}\r\n`;
}
