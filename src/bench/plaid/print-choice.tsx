import { PRINT_BLENDS, type PrintBlend } from '../../core/colour/blend.ts';
import type { Lay } from '../../core/design/design-schema.ts';
import { pitchOf, pixelOf } from '../../core/design/lay/lay-schema.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { divide, type Rational, rational, toDecimal, toText } from '../../core/exact/rational.ts';
import { parseStrength } from '../../core/thread/print.ts';
import { parseDensity } from '../../core/units/density.ts';
import { fromMillimetres, parseLength } from '../../core/units/length.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { lengthText } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';
import { setLay } from '../state/design-edits.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { MixedColours } from './mixed-colours.tsx';
import { setPrint } from './plaid-edits.ts';

const NAMES: Readonly<Record<PrintBlend, string>> = {
  normal: 'Plain cover',
  multiply: 'Multiply',
  screen: 'Screen',
  darken: 'Darken',
  lighten: 'Lighten',
};

/** Millimetres in a centimetre. */
const TEN = rational(10);

/** What one count of a print measures: its bands are lengths, counted in steps. */
function stepText(lay: Lay): string {
  return exactDecimal(fromMillimetres(pitchOf(lay).x, lay.unit));
}

/** @throws CoreError as `parseLength`, or "density/range" for steps that are too fine */
function stepLength(text: string, { unit }: Lay, pixel: Rational): Rational {
  const step = parseLength(text, unit, pixel);
  parseDensity(toText(divide(TEN, step)));
  return step;
}

/** How one set of stripes is printed over the other. */
export function PrintChoice() {
  const { construction, lay, resolution, shades } = useDesignOf('plaid');
  const pixel = pixelOf(resolution);
  const { print } = construction;
  const set = (change: Parameters<typeof setPrint>[0], tag?: string) =>
    dispatch({ kind: 'edit', edit: setPrint(change), ...(tag === undefined ? {} : { tag }) });
  return (
    <div className="flex flex-col gap-3">
      <SelectField
        label="Blend"
        value={print.blend}
        options={PRINT_BLENDS.map((blend) => ({ value: blend, text: NAMES[blend] }))}
        onChange={(blend) => set({ blend })}
      />
      <ShadeSelect
        label="Ground"
        shade={print.ground ?? ''}
        shades={shades}
        none="White"
        onChange={(ground) => set({ ground: ground === '' ? null : ground })}
      />
      <NumberField
        label="Strength"
        text={print.strength}
        resolve={(text) => {
          const strength = parseStrength(text);
          const decimal = toDecimal(strength, 4);
          return text.trim() === toText(strength) ? toText(strength) : decimal;
        }}
        onChange={(strength) => set({ strength }, 'strength')}
      />
      <NumberField
        label={`Widths are counted in steps of, ${lay.unit}`}
        text={stepText(lay)}
        resolve={(text) => lengthText(stepLength(text, lay, pixel), lay.unit)}
        onChange={(text) => {
          const threads = toText(divide(TEN, stepLength(text, lay, pixel)));
          dispatch({ kind: 'edit', edit: setLay({ ends: threads, picks: threads, per: 'cm' }), tag: 'step' });
        }}
      />
      <p className="hint">
        A band may have a strength of its own, such as A12@60%. Where such bands meet, the stronger lies over
        the weaker.
      </p>
      <Choice
        label="On top"
        value={print.top}
        options={[
          { value: 'warp', text: 'The upright stripes' },
          { value: 'weft', text: 'The level stripes' },
        ]}
        onChange={(top) => set({ top })}
      />
      <MixedColours />
    </div>
  );
}
