import type { CoreError } from '../../core/error.ts';
import { sentenceFor } from '../../wording/sentences.ts';

/** Characters shown to each side of the place that is wrong. */
const AROUND = 60;

/** What is wrong with a text, and under it the text with the place marked. */
export function Mistake({ text, error }: { text: string; error: CoreError }) {
  const { at, length } = error.facts;
  const placed = typeof at === 'number' && typeof length === 'number' && length > 0;
  return (
    <div className="mt-1 text-[12.5px] text-madder">
      <p>{sentenceFor(error.code, error.facts)}</p>
      {placed && (
        <p className="numbers mt-1 max-h-20 overflow-auto whitespace-pre-wrap rounded-md bg-madder-pale px-2 py-1 text-ink">
          {text.slice(Math.max(0, at - AROUND), at)}
          <mark className="rounded-sm bg-madder px-0.5 text-white">{text.slice(at, at + length)}</mark>
          {text.slice(at + length, at + length + AROUND)}
        </p>
      )}
    </div>
  );
}
