import type { StripeDesign } from '../../core/design/design-schema.ts';
import { parseBandWidths } from '../../core/design/exchange/stripe-text.ts';
import { formatBandWidths } from '../../core/design/exchange/write-stripe-text.ts';
import { bandScale } from '../../core/design/lay.ts';
import { layWidths, periodOf } from '../../core/design/stripe/compile-stripe.ts';
import { CoreError } from '../../core/error.ts';
import { divide, toDecimal } from '../../core/exact/rational.ts';
import { unitMillimetres } from '../../core/units/band-width.ts';
import { LiveTextField } from '../../kit/fields/live-text-field.tsx';
import { dispatch } from '../state/bench-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { setStripe } from './stripe-edits.ts';

/** The bands of a stripe as letters and widths. */
export function BandWidthsField() {
  const design = useDesignOf('stripe');
  const { construction, shades } = design;
  return (
    <LiveTextField
      label="Bands: a letter a shade, and its width"
      note={periodText(design)}
      written={formatBandWidths(construction)}
      read={(text) =>
        parseBandWidths(text, {
          keys: shades.map(({ key }) => key),
          pivots: construction.mirror === 'doubled' ? 'doubled' : 'shared',
        })
      }
      write={formatBandWidths}
      onChange={(read) => dispatch({ kind: 'edit', edit: setStripe(read), tag: 'widths' })}
      onLeave={() => dispatch({ kind: 'settle' })}
    />
  );
}

/** One period in the stripe's unit, laid out. */
function periodText(design: StripeDesign): string {
  const { unit } = design.construction;
  const scale = bandScale(design);
  try {
    const period = divide(periodOf(layWidths(design.construction, scale)), unitMillimetres(unit, scale));
    return `${toDecimal(period, 4)} ${unit === 'thread' ? 'threads' : unit} a period`;
  } catch (error) {
    if (error instanceof CoreError) return '';
    throw error;
  }
}
