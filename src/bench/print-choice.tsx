import { BLENDS, type Blend } from '../core/colour/blend.ts';
import { toDecimal, toText } from '../core/exact/rational.ts';
import { parseStrength } from '../core/thread/print.ts';
import { Choice } from '../kit/choice.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { dispatch } from './bench-store.ts';
import { setPrint } from './design-edits.ts';
import { usePlaid } from './use-construction.ts';

const NAMES: Readonly<Record<Blend, string>> = {
  normal: 'Plain cover',
  multiply: 'Multiply',
  screen: 'Screen',
  darken: 'Darken',
  lighten: 'Lighten',
};

/** How one set of stripes is printed over the other. */
export function PrintChoice() {
  const { print } = usePlaid().construction;
  const set = (change: Parameters<typeof setPrint>[0], tag?: string) =>
    dispatch({ kind: 'edit', edit: setPrint(change), ...(tag === undefined ? {} : { tag }) });
  return (
    <div className="flex flex-col gap-3">
      <label>
        <span className="label">Blend</span>
        <select
          className="field"
          value={print.blend}
          onChange={(event) => set({ blend: event.target.value as Blend })}
        >
          {Object.keys(BLENDS).map((blend) => (
            <option key={blend} value={blend}>
              {NAMES[blend as Blend]}
            </option>
          ))}
        </select>
      </label>
      <NumberField
        label="Strength, 0 to 1"
        text={print.strength}
        resolve={(text) => {
          const strength = parseStrength(text);
          const decimal = toDecimal(strength, 4);
          return text.trim() === toText(strength) ? toText(strength) : decimal;
        }}
        onChange={(strength) => set({ strength }, 'strength')}
      />
      <Choice
        label="On top"
        value={print.top}
        options={[
          { value: 'warp', text: 'The upright stripes' },
          { value: 'weft', text: 'The level stripes' },
        ]}
        onChange={(top) => set({ top })}
      />
    </div>
  );
}
