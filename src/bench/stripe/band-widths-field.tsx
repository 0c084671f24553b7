import type { StripeDesign } from '../../core/design/design-schema.ts';
import { parseBandWidths } from '../../core/design/exchange/stripe-text.ts';
import { formatBandWidths } from '../../core/design/exchange/write-stripe-text.ts';
import { bandScale } from '../../core/design/lay/lay-schema.ts';
import { layWidths, periodOf } from '../../core/design/stripe/compile-stripe.ts';
import { divide, toDecimal } from '../../core/exact/rational.ts';
import { unitMillimetres } from '../../core/units/band-width.ts';
import { LiveTextField } from '../../kit/fields/live-text-field.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { useTypedCard } from '../bands/use-typed-card.ts';
import { dispatch } from '../state/bench-store.ts';
import { onCard } from '../state/shade-edits.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { setStripe } from './stripe-edits.ts';

/** The bands of a stripe as letters and widths. */
export function BandWidthsField() {
  const design = useDesignOf('stripe');
  const { construction, shades } = design;
  const typing = useTypedCard(shades);
  return (
    <LiveTextField
      label="Bands: a letter or a colour, and its width"
      note={periodText(design)}
      written={formatBandWidths(construction)}
      read={(text) => {
        const card = typing.cardFor(text);
        const pivots = construction.mirror === 'doubled' ? 'doubled' : 'shared';
        return { card, ...parseBandWidths(text, { card, pivots }) };
      }}
      write={formatBandWidths}
      onChange={({ card, ...read }) => {
        typing.typed();
        dispatch({ kind: 'edit', edit: onCard(card, setStripe(read)), tag: 'widths' });
      }}
      onLeave={() => {
        typing.leave();
        dispatch({ kind: 'settle' });
      }}
    />
  );
}

/** One repeat of the bands in the stripe's unit, laid out. */
function periodText(design: StripeDesign): string {
  const text = valueIfAny(() => measuredText(design));
  return text === undefined ? '' : `${text} a repeat`;
}

/** "12.5 mm": the bands once through, laid out, in the stripe's unit. @throws CoreError of the widths */
export function measuredText({ construction, ...scale }: StripeDesign): string {
  const { unit } = construction;
  const measures = bandScale(scale);
  const period = divide(periodOf(layWidths(construction, measures)), unitMillimetres(unit, measures));
  return `${toDecimal(period, 4)} ${unit === 'thread' ? 'threads' : unit}`;
}
