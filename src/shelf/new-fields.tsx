import { type ReactNode, useId } from 'react';
import type { StartPoint } from '../core/design/construction.ts';
import type { CoreError } from '../core/error.ts';
import { Mistake } from '../kit/fields/mistake.tsx';

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: CoreError | undefined;
  readonly placeholder?: string;
  readonly counts?: boolean;
}

/** A text that begins a design, with what is wrong in it. */
export function Field({ label, value, onChange, error, placeholder, counts = false }: FieldProps) {
  const id = useId();
  return (
    <div>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <input
        id={id}
        className={`field ${counts ? 'numbers' : ''}`}
        value={value}
        placeholder={placeholder}
        maxLength={counts ? undefined : 120}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={error !== undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      <div aria-live="polite">{error !== undefined && <Mistake text={value} error={error} />}</div>
    </div>
  );
}

/** What every form that begins a design is given. */
export interface NewFormProps<D> {
  /** The one to begin with, where it was chosen before. */
  readonly start?: StartPoint<D> | undefined;
  readonly onClose: () => void;
  readonly onMake: (design: D) => void;
}

interface StartFormProps<D> {
  /** What is made so far; undefined while it cannot be. */
  readonly design: D | undefined;
  readonly onClose: () => void;
  readonly onMake: (design: D) => void;
  readonly children: ReactNode;
}

/** What a design is begun from, and the two ways out: leave it, or take what it made to the bench. */
export function StartForm<D>({ design, onClose, onMake, children }: StartFormProps<D>) {
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (design !== undefined) onMake(design);
      }}
    >
      {children}
      <div className="flex justify-end gap-2">
        <button type="button" className="button" onClick={onClose}>
          Leave it
        </button>
        <button type="submit" className="button button-go" disabled={design === undefined}>
          Put it on the bench
        </button>
      </div>
    </form>
  );
}
