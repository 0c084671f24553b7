import { type ReactNode, useEffect, useId, useState } from 'react';
import { CoreError } from '../../core/error.ts';
import { sentenceFor } from '../../wording/sentences.ts';
import { Mistake } from './mistake.tsx';
import { useRefusedDraft } from './refused-drafts.ts';

interface LiveTextFieldProps<T> {
  readonly label: ReactNode;
  /** What stands at the label's right end. */
  readonly note: ReactNode;
  /** The value as text, as it is now. */
  readonly written: string;
  /** Reads a text, or throws a CoreError with the place. */
  readonly read: (text: string) => T;
  readonly write: (value: T) => string;
  readonly onChange: (value: T) => void;
  /** Hears when the field is left. */
  readonly onLeave: () => void;
}

/**
 * Notation as text: typed or pasted, live when it can be read, else with the place that cannot. What is typed stays as
 * typed while it says what is written, or cannot be read; a change from elsewhere replaces it.
 */
export function LiveTextField<T>(props: LiveTextFieldProps<T>) {
  const { label, note, written, write, onChange, onLeave } = props;
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const read = (text: string) => attempt(() => props.read(text));
  const saysElse = (result: T | CoreError): result is T =>
    !(result instanceof CoreError) && write(result) !== written;
  // biome-ignore lint/correctness/useExhaustiveDependencies: looks again only when what is written has changed
  useEffect(() => {
    setDraft((old) => (old === undefined || saysElse(read(old)) ? undefined : old));
  }, [written]);
  const text = draft ?? written;
  const result = draft === undefined ? undefined : read(draft);
  const error = result instanceof CoreError ? result : undefined;
  const refused =
    error === undefined ? undefined : { draft: text, sentence: sentenceFor(error.code, error.facts) };
  const kept = useRefusedDraft(typeof label === 'string' ? label : '', written, refused);
  useEffect(() => {
    if (kept !== undefined) setDraft(kept);
  }, [kept]);
  return (
    <div>
      <label htmlFor={id} className="label flex justify-between">
        <span>{label}</span>
        <span>{note}</span>
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
          if (saysElse(parsed)) onChange(parsed);
        }}
        onBlur={() => {
          if (error === undefined) setDraft(undefined);
          onLeave();
        }}
      />
      <div id={`${id}-error`} aria-live="polite">
        {error !== undefined && <Mistake text={text} error={error} />}
      </div>
    </div>
  );
}

function attempt<T>(work: () => T): T | CoreError {
  try {
    return work();
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}
