import { useId } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { BandUnit } from '../../core/units/band-width.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { ColourButton } from '../../kit/fields/colour-button.tsx';
import { TextField } from '../../kit/fields/text-field.tsx';
import { NEW_SHADE, type Rework, type ReworkWish } from './rework-wish.ts';

type Text = 'first' | 'by' | 'bands' | 'times' | 'factor' | 'at' | 'count' | 'width';
type Field = Text | 'shade' | 'other' | 'larger' | 'atWrap';

/** What each kind of rework asks for, and what it calls it; `…` stands for the unit. */
const FIELDS: Readonly<Record<Rework, readonly (readonly [Field, string])[]>> = {
  run: [
    ['first', 'First width, …'],
    ['by', 'Step, ratio or second width'],
    ['bands', 'Bands'],
    ['shade', 'Shade'],
    ['other', 'In turn with'],
  ],
  line: [
    ['shade', 'Shade of the line'],
    ['count', 'Width of the line, …'],
    ['at', 'Begins after, …'],
  ],
  scale: [['factor', 'Times']],
  fit: [
    ['times', 'Repeats'],
    ['width', 'In a width of'],
    ['larger', 'Round up by a thread'],
  ],
  reverse: [],
  rotate: [['times', 'Bands later']],
  repeat: [['times', 'Times']],
  space: [
    ['shade', 'Shade of the spacer'],
    ['count', 'Width of the spacer, …'],
    ['atWrap', 'Also where the bands begin again'],
  ],
  trade: [
    ['shade', 'This shade'],
    ['other', 'with this one'],
  ],
};

interface ReworkFieldsProps {
  readonly wish: ReworkWish;
  readonly shades: readonly Shade[];
  /** What bare numbers are in. */
  readonly unit: BandUnit;
  readonly onChange: (change: Partial<ReworkWish>) => void;
}

/** The fields of the chosen rework. */
export function ReworkFields({ wish, shades, unit, onChange }: ReworkFieldsProps) {
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      {FIELDS[wish.kind].map(([field, words]) => {
        const label = words.replace('…', unit === 'thread' ? 'threads' : unit);
        switch (field) {
          case 'larger':
          case 'atWrap':
            return (
              <CheckField
                key={field}
                text={label}
                on={wish[field]}
                onChange={(on) => onChange({ [field]: on })}
              />
            );
          case 'shade':
          case 'other':
            return (
              <ShadeField
                key={field}
                label={label}
                field={field}
                wish={wish}
                shades={shades}
                onChange={onChange}
              />
            );
          default:
            return (
              <TextField
                key={field}
                label={label}
                value={wish[field]}
                onChange={(text) => onChange({ [field]: text })}
                counts
              />
            );
        }
      })}
    </div>
  );
}

interface ShadeFieldProps extends Omit<ReworkFieldsProps, 'unit'> {
  readonly label: string;
  readonly field: 'shade' | 'other';
}

/** One of the card's shades, or a new one in any colour. */
function ShadeField({ label, field, wish, shades, onChange }: ShadeFieldProps) {
  const id = useId();
  return (
    <div>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <div className="flex gap-2">
        <select
          id={id}
          className="field"
          value={wish[field]}
          onChange={(event) => onChange({ [field]: event.target.value })}
        >
          {shades.map(({ key, name }) => (
            <option key={key} value={key}>
              {key} {name}
            </option>
          ))}
          <option value={NEW_SHADE}>A new shade…</option>
        </select>
        {wish[field] === NEW_SHADE && (
          <ColourButton
            shade={{ name: 'the new shade', hex: wish.colour }}
            onChange={(colour) => onChange({ colour })}
          />
        )}
      </div>
    </div>
  );
}
