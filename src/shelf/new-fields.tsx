import { useId } from 'react';
import type { CoreError } from '../core/error.ts';
import { Mistake } from '../kit/mistake.tsx';

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

/** Leave the dialog, or take what it made to the bench. */
export function StartButtons({ ready, onClose }: { ready: boolean; onClose: () => void }) {
  return (
    <div className="flex justify-end gap-2">
      <button type="button" className="button" onClick={onClose}>
        Leave it
      </button>
      <button type="submit" className="button button-go" disabled={!ready}>
        Put it on the bench
      </button>
    </div>
  );
}
