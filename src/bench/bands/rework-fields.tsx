import { useId } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { Rework, ReworkWish } from './rework-wish.ts';

type Text = 'first' | 'by' | 'bands' | 'times' | 'factor' | 'at' | 'count' | 'width';
type Field = Text | 'shade' | 'other' | 'larger';

/** What each kind of rework asks for, and what it calls it. */
const FIELDS: Readonly<Record<Rework, readonly (readonly [Field, string])[]>> = {
  run: [
    ['first', 'First width, threads'],
    ['by', 'Step, ratio or second width'],
    ['bands', 'Bands'],
    ['shade', 'Shade'],
    ['other', 'In turn with'],
  ],
  line: [
    ['shade', 'Shade of the line'],
    ['count', 'Threads of the line'],
    ['at', 'Begins after thread'],
  ],
  scale: [['factor', 'Times']],
  fit: [
    ['times', 'Repeats'],
    ['width', 'In a width of'],
    ['larger', 'Rather a thread larger'],
  ],
  reverse: [],
  rotate: [['times', 'Bands later']],
  repeat: [['times', 'Times']],
  space: [
    ['shade', 'Shade of the spacer'],
    ['count', 'Threads of the spacer'],
  ],
  trade: [
    ['shade', 'This shade'],
    ['other', 'with this one'],
  ],
};

interface ReworkFieldsProps {
  readonly wish: ReworkWish;
  readonly shades: readonly Shade[];
  readonly onChange: (change: Partial<ReworkWish>) => void;
}

/** The fields of the chosen rework. */
export function ReworkFields({ wish, shades, onChange }: ReworkFieldsProps) {
  const id = useId();
  return (
    <div className="grid grid-cols-2 gap-3">
      {FIELDS[wish.kind].map(([field, label]) => (
        <div key={field}>
          <label className="label" htmlFor={`${id}-${field}`}>
            {label}
          </label>
          {field === 'larger' ? (
            <input
              id={`${id}-${field}`}
              type="checkbox"
              className="accent-woad"
              checked={wish.larger}
              onChange={(event) => onChange({ larger: event.target.checked })}
            />
          ) : field === 'shade' || field === 'other' ? (
            <select
              id={`${id}-${field}`}
              className="field"
              value={wish[field]}
              onChange={(event) => onChange({ [field]: event.target.value })}
            >
              {shades.map(({ key, name }) => (
                <option key={key} value={key}>
                  {key} {name}
                </option>
              ))}
            </select>
          ) : (
            <input
              id={`${id}-${field}`}
              className="field numbers"
              value={wish[field]}
              autoComplete="off"
              onChange={(event) => onChange({ [field]: event.target.value })}
            />
          )}
        </div>
      ))}
    </div>
  );
}
