import { type ReactNode, useEffect, useId, useState } from 'react';
import { errorSentence } from '../../wording/error-sentence.ts';

interface NumberFieldProps {
  readonly label: string;
  /** The text that is kept, as it was typed. */
  readonly text: string;
  /** Resolves a text, or throws a CoreError; what it returns is shown when it says more than the text. */
  readonly resolve: (text: string) => string;
  readonly onChange: (text: string) => void;
  /** Hears whether what stands in the field cannot be read, so that nothing is done with what was there before. */
  readonly onMistake?: (mistaken: boolean) => void;
  readonly after?: ReactNode;
  readonly hideLabel?: boolean;
}

/** A number as people type it: arithmetic and fractions, kept as typed, with what it comes to beside it. */
export function NumberField({
  label,
  text,
  resolve,
  onChange,
  onMistake,
  after,
  hideLabel,
}: NumberFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState(text);
  useEffect(() => setDraft(text), [text]);
  const result = attempt(resolve, draft);
  const mistaken = result.error !== undefined;
  useEffect(() => onMistake?.(mistaken), [onMistake, mistaken]);
  const shown = result.value !== undefined && result.value !== draft.trim() ? `= ${result.value}` : '';
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <div className="flex items-center gap-2">
        <input
          id={id}
          className="field numbers min-w-0"
          value={draft}
          inputMode="text"
          autoComplete="off"
          aria-invalid={mistaken}
          aria-describedby={`${id}-note`}
          onChange={(event) => {
            setDraft(event.target.value);
            if (attempt(resolve, event.target.value).error === undefined) onChange(event.target.value);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Escape') setDraft(text);
          }}
        />
        {after}
      </div>
      <p
        id={`${id}-note`}
        className={
          result.error ? 'mt-1.5 text-[12.5px] text-madder' : `hint numbers ${shown === '' ? '' : 'mt-1.5'}`
        }
      >
        {result.error ?? shown}
      </p>
    </div>
  );
}

function attempt(resolve: (text: string) => string, text: string): { value?: string; error?: string } {
  try {
    return { value: resolve(text) };
  } catch (error) {
    return { error: errorSentence(error) ?? 'That is not a number.' };
  }
}
