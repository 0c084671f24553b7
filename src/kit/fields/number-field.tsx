import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { errorSentence } from '../../wording/error-sentence.ts';
import { useRefusedDraft } from './refused-drafts.ts';

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

/**
 * A number as people type it: arithmetic and fractions, kept as typed, with what it comes to beside it. Where the number is
 * stored and not its text, what is typed stays while it says what is stored, or cannot be read and is still worked on.
 */
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
  const input = useRef<HTMLInputElement>(null);
  // What is being typed, read once a key; undefined where the field shows what is stored.
  const [typed, setTyped] = useState<Typed>();
  // Whether what is stored now is what this field has just handed on, however it is written there.
  const isOwn = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looks again only when what is stored has changed
  useEffect(() => {
    if (isOwn.current || typed === undefined || typed.draft === text) return;
    const isHalfTyped = typed.error !== undefined && document.activeElement === input.current;
    if (!isHalfTyped) setTyped(undefined);
  }, [text]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was handed on is stored in the same turn
  useEffect(() => {
    isOwn.current = false;
  }, [typed]);
  const { draft, ...result } = typed ?? { draft: text, ...attempt(resolve, text) };
  const refused = typed?.error === undefined ? undefined : { draft: typed.draft, sentence: typed.error };
  const kept = useRefusedDraft(label, text, refused);
  // biome-ignore lint/correctness/useExhaustiveDependencies: given back once, when the field comes
  useEffect(() => {
    if (kept !== undefined) setTyped({ draft: kept, ...attempt(resolve, kept) });
  }, [kept]);
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
          ref={input}
          id={id}
          className="field numbers min-w-0"
          value={draft}
          inputMode="text"
          autoComplete="off"
          aria-invalid={mistaken}
          aria-describedby={`${id}-note`}
          onChange={(event) => {
            const draft = event.target.value;
            const result = attempt(resolve, draft);
            setTyped({ draft, ...result });
            if (result.error !== undefined || draft === text) return;
            isOwn.current = true;
            onChange(draft);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Escape') setTyped(undefined);
          }}
          onBlur={() => {
            if (!mistaken) setTyped(undefined);
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

interface Result {
  readonly value?: string;
  readonly error?: string;
}

interface Typed extends Result {
  readonly draft: string;
}

function attempt(resolve: (text: string) => string, text: string): Result {
  try {
    return { value: resolve(text) };
  } catch (error) {
    return { error: errorSentence(error) ?? 'That is not a number.' };
  }
}
