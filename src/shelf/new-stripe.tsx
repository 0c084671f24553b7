import { useMemo, useState } from 'react';
import type { StripeDesign } from '../core/design/design-schema.ts';
import { parseBandWidths } from '../core/design/exchange/stripe-text.ts';
import { formatBandWidths } from '../core/design/exchange/write-stripe-text.ts';
import { asKind } from '../core/design/of-kind.ts';
import { readDesign } from '../core/design/read-design.ts';
import { STRIPE_STARTS } from '../core/design/stripe/stripe-starts.ts';
import { CoreError } from '../core/error.ts';
import { BAND_UNITS } from '../core/units/band-width.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { Choice } from '../kit/fields/choice.tsx';
import { linesText } from '../wording/lines.ts';
import { Field, type NewFormProps, StartForm } from './new-fields.tsx';
import { shadesFor } from './start-design.ts';
import { StartGrid } from './start-grid.tsx';

const STARTS = STRIPE_STARTS.map((start) => ({ start, design: start.design(0) }));

/** Begins a stripe from widths: typed, or taken from an example and changed. */
export function NewStripe({ onClose, onMake }: NewFormProps<StripeDesign>) {
  const [chosen, setChosen] = useState(STRIPE_STARTS[0]!);
  const start = useMemo(() => chosen.design(0), [chosen]);
  const [name, setName] = useState('');
  const [bands, setBands] = useState(formatBandWidths(start.construction));
  const [unit, setUnit] = useState(start.construction.unit);
  const made = useMemo(() => attempt(start, { name, bands, unit }), [start, name, bands, unit]);
  const error = made instanceof CoreError ? made : undefined;
  const design = made instanceof CoreError ? undefined : made;
  return (
    <StartForm design={design} onClose={onClose} onMake={onMake}>
      <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-6">
        <div className="flex flex-col gap-3">
          <Field label="Name" value={name} onChange={setName} placeholder="Untitled" />
          <Field
            label="Bands: a letter a shade, and its width; a slash marks the pivots"
            value={bands}
            error={error}
            onChange={setBands}
            counts
          />
          <Choice
            label="Widths are in"
            value={unit}
            options={BAND_UNITS.map((each) => ({ value: each, text: each === 'thread' ? 'threads' : each }))}
            onChange={setUnit}
          />
        </div>
        {design === undefined ? (
          <div className="grid h-[200px] w-[220px] place-items-center rounded border border-rule border-dashed p-4 text-center text-ash">
            The stripe shows when the widths can be read.
          </div>
        ) : (
          <div>
            <ClothSwatch design={design} width={220} height={200} perThread={2} />
            <p className="hint mt-1">Lines: {linesText(design.construction.slope)}</p>
          </div>
        )}
      </div>
      <StartGrid
        starts={STARTS}
        chosen={chosen}
        onChoose={(each) => {
          const next = each.design(0);
          setChosen(each);
          setBands(formatBandWidths(next.construction));
          setUnit(next.construction.unit);
        }}
        perThread={1}
      />
    </StartForm>
  );
}

interface Typed {
  readonly name: string;
  readonly bands: string;
  readonly unit: StripeDesign['construction']['unit'];
}

/** A stripe from what is typed over a start point, or why it cannot be read. */
function attempt(start: StripeDesign, { name, bands, unit }: Typed): StripeDesign | CoreError {
  try {
    const { construction } = start;
    const pivots = construction.mirror === 'doubled' ? 'doubled' : 'shared';
    const read = parseBandWidths(bands, { keys: undefined, pivots });
    return asKind(
      'stripe',
      readDesign({
        ...start,
        name: name.trim() === '' ? 'Untitled' : name.trim(),
        shades: shadesFor(
          read.bands.map(({ shade }) => shade),
          start.shades,
        ),
        construction: { ...construction, ...read, unit },
      }),
    );
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}
