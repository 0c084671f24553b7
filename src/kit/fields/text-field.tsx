import { useId } from 'react';
import type { CoreError } from '../../core/error.ts';
import { Mistake } from './mistake.tsx';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: CoreError | undefined;
  readonly placeholder?: string;
  /** Numbers and letters, in the type of numbers, of any length; else a name. */
  readonly counts?: boolean;
}

/** A field that holds the text as it is typed, with what is wrong in it. */
export function TextField({ label, value, onChange, error, placeholder, counts = false }: TextFieldProps) {
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
