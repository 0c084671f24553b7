import { useEffect, useId, useState } from 'react';
import { bandScale } from '../core/design/compile-design.ts';
import type { StripeDesign } from '../core/design/design-schema.ts';
import { formatBandWidths, parseBandWidths } from '../core/design/exchange/stripe-text.ts';
import { layWidths, periodOf } from '../core/design/stripe/compile-stripe.ts';
import type { Stripe } from '../core/design/stripe/stripe-schema.ts';
import { CoreError } from '../core/error.ts';
import { divide, toDecimal } from '../core/exact/rational.ts';
import { unitMillimetres } from '../core/units/band-width.ts';
import { Mistake } from '../kit/mistake.tsx';
import { dispatch } from './bench-store.ts';
import { setStripe } from './design-edits.ts';
import { useStripe } from './use-construction.ts';

type Read = Pick<Stripe, 'bands' | 'mirror'> | CoreError;

/** The bands of a stripe as text: live when it can be read, else with the place that cannot. */
export function BandWidthsField() {
  const id = useId();
  const design = useStripe();
  const written = formatBandWidths(design.construction);
  const [draft, setDraft] = useState<string>();
  const read = (text: string) => readWidths(text, design);
  // What is typed stays as typed while it says what the rail says, or cannot be read; work on the rail replaces it.
  // biome-ignore lint/correctness/useExhaustiveDependencies: looks again only when the bands have changed
  useEffect(() => {
    setDraft((old) => (old === undefined || saysElse(read(old), written) ? undefined : old));
  }, [written]);
  const text = draft ?? written;
  const result = draft === undefined ? undefined : read(draft);
  const error = result instanceof CoreError ? result : undefined;
  return (
    <div>
      <label htmlFor={id} className="label flex justify-between">
        <span>Bands: a letter a shade, and its width</span>
        <span>{periodText(design)}</span>
      </label>
      <textarea
        id={id}
        className="field numbers block field-sizing-content max-h-40 resize-none"
        rows={1}
        spellCheck={false}
        autoComplete="off"
        value={text}
        aria-invalid={error !== undefined}
        aria-describedby={`${id}-error`}
        onChange={(event) => {
          const next = event.target.value;
          setDraft(next);
          const parsed = read(next);
          if (!saysElse(parsed, written)) return;
          dispatch({ kind: 'edit', edit: setStripe(parsed), tag: 'widths' });
        }}
        onBlur={() => {
          if (error === undefined) setDraft(undefined);
          dispatch({ kind: 'settle' });
        }}
      />
      <div id={`${id}-error`} aria-live="polite">
        {error !== undefined && <Mistake text={text} error={error} />}
      </div>
    </div>
  );
}

function readWidths(text: string, { shades, construction }: StripeDesign): Read {
  try {
    const pivots = construction.mirror === 'doubled' ? 'doubled' : 'shared';
    return parseBandWidths(text, { keys: shades.map(({ key }) => key), pivots });
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}

function saysElse(read: Read, written: string): read is Exclude<Read, CoreError> {
  return !(read instanceof CoreError) && formatBandWidths(read) !== written;
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
