import { useMemo, useState } from 'react';
import type { Shade } from '../core/colour/shade.ts';
import type { StripeDesign } from '../core/design/design-schema.ts';
import { parseBandWidths } from '../core/design/exchange/stripe-text.ts';
import { formatBandWidths } from '../core/design/exchange/write-stripe-text.ts';
import { bandScale } from '../core/design/lay/lay-schema.ts';
import { asKind } from '../core/design/of-kind.ts';
import { readDesign } from '../core/design/read-design.ts';
import { inUnit } from '../core/design/stripe/in-unit.ts';
import { STRIPE_STARTS } from '../core/design/stripe/stripe-starts.ts';
import { CoreError } from '../core/error.ts';
import { shadeWords } from '../core/formats/thread-count.ts';
import { BAND_UNITS } from '../core/units/band-width.ts';
import { Choice } from '../kit/fields/choice.tsx';
import { TextField } from '../kit/fields/text-field.tsx';
import { StartGrid } from '../kit/start-grid.tsx';
import { linesText } from '../wording/lines.ts';
import { begunCard, changedCard, type ShadeChanges } from './begun-card.ts';
import { type NewFormProps, StartForm } from './start-form.tsx';

const STARTS = STRIPE_STARTS.map((start) => ({ start, design: start.design(0) }));

/** Begins a stripe from widths: typed, or taken from an example and changed. */
export function NewStripe({ onClose, onMake }: NewFormProps<StripeDesign>) {
  const [chosen, setChosen] = useState(STRIPE_STARTS[0]!);
  const start = useMemo(() => chosen.design(0), [chosen]);
  const [name, setName] = useState('');
  const [bands, setBands] = useState(formatBandWidths(start.construction));
  const [unit, setUnit] = useState(start.construction.unit);
  const isSame = bands === formatBandWidths(start.construction) && unit === start.construction.unit;
  const plain = isSame ? start.name : 'Untitled';
  const [changes, setChanges] = useState<ShadeChanges>({});
  const card = useMemo(() => begunCard(start.shades, shadeWords(bands), {}), [start, bands]);
  const shades = useMemo(() => changedCard(card, changes), [card, changes]);
  const made = useMemo(
    () => attempt(start, { name, plain, bands, unit, card, shades }),
    [start, name, plain, bands, unit, card, shades],
  );
  const error = made instanceof CoreError ? made : undefined;
  const design = made instanceof CoreError ? undefined : made;
  return (
    <StartForm
      design={design}
      onClose={onClose}
      onMake={onMake}
      preview={{
        perThread: 2,
        words: design === undefined ? '' : `Direction: ${linesText(design.construction.slope)}`,
        waiting: 'The stripe shows when the widths can be read.',
        shades: shades,
        changes,
        onChange: setChanges,
      }}
    >
      <TextField label="Name" value={name} onChange={setName} placeholder={plain} />
      <TextField
        label="Bands: a letter or a colour, and its width; a slash marks the pivots"
        value={bands}
        error={error}
        onChange={setBands}
        counts
      />
      <Choice
        label="Unit"
        value={unit}
        options={BAND_UNITS.map((each) => ({ value: each, text: each === 'thread' ? 'threads' : each }))}
        onChange={(next) => {
          if (design !== undefined) {
            const same = inUnit(design.construction, next, bandScale(design));
            setBands(formatBandWidths({ ...design.construction, ...same }));
          }
          setUnit(next);
        }}
      />
      <StartGrid
        starts={STARTS}
        chosen={chosen}
        onChoose={(each) => {
          const next = each.design(0);
          setChosen(each);
          setBands(formatBandWidths(next.construction));
          setUnit(next.construction.unit);
        }}
        onTake={() => design !== undefined && onMake(design)}
        perThread={1}
      />
    </StartForm>
  );
}

interface Typed {
  readonly name: string;
  /** What it is called while nobody names it. */
  readonly plain: string;
  readonly bands: string;
  readonly unit: StripeDesign['construction']['unit'];
  /** The card that words name shades of, and the same with other colours. */
  readonly card: readonly Shade[];
  readonly shades: readonly Shade[];
}

/** A stripe from what is typed over a start point, or why it cannot be read. */
function attempt(
  start: StripeDesign,
  { name, plain, bands, unit, card, shades }: Typed,
): StripeDesign | CoreError {
  try {
    const { construction } = start;
    const pivots = construction.mirror === 'doubled' ? 'doubled' : 'shared';
    const read = parseBandWidths(bands, { card, pivots });
    return asKind(
      'stripe',
      readDesign({
        ...start,
        name: name.trim() === '' ? plain : name.trim(),
        shades,
        construction: { ...construction, ...read, unit },
      }),
    );
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}
