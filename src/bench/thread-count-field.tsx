import { useEffect, useId, useState } from 'react';
import type { Shade } from '../core/colour/shade.ts';
import { pitchOf } from '../core/design/compile-design.ts';
import { CoreError } from '../core/error.ts';
import { multiply, rational } from '../core/exact/rational.ts';
import { formatThreadCount, parseThreadCount } from '../core/formats/thread-count.ts';
import { typedThreads } from '../core/thread/band.ts';
import { type Mirror, type Sequence, threadCount } from '../core/thread/sequence.ts';
import { Mistake } from '../kit/mistake.tsx';
import { lengthText, plural } from '../wording/measures.ts';
import { dispatch, useDesign } from './bench-store.ts';
import { type Direction, sequenceOf, setSequence } from './design-edits.ts';
import { usePlaid } from './use-construction.ts';

/** A sequence as thread counts: typed or pasted, live when it can be read, else with the place that cannot. */
export function ThreadCountField({ direction }: { direction: Direction }) {
  const id = useId();
  const design = useDesign();
  const sequence = sequenceOf(design, direction);
  const written = formatThreadCount(sequence);
  const [draft, setDraft] = useState<string>();
  const read = (text: string) => readCounts(text, design.shades, sequence.mirror);
  // What is typed stays as typed while it says what the rail says, or cannot be read; work on the rail replaces it.
  // biome-ignore lint/correctness/useExhaustiveDependencies: looks again only when the sequence has changed
  useEffect(() => {
    setDraft((old) => (old === undefined || saysElse(read(old), written) ? undefined : old));
  }, [written]);
  const text = draft ?? written;
  const result = draft === undefined ? undefined : read(draft);
  const error = result instanceof CoreError ? result : undefined;
  const typed = typedThreads(sequence.bands);
  const { construction, lay } = usePlaid();
  const printed = construction.crossing === 'printed';
  const one = printed ? 'step' : 'thread';
  const pitch = direction === 'warp' ? pitchOf(lay).x : pitchOf(lay).y;
  return (
    <div>
      <label htmlFor={id} className="label flex justify-between">
        <span>{direction === 'warp' ? 'Warp' : 'Weft, from the lower edge up'}</span>
        <span>
          {typed === threadCount(sequence)
            ? plural(typed, one)
            : `${typed} typed, ${plural(threadCount(sequence), one)} laid out`}
          {printed &&
            `, ${lengthText(multiply(rational(threadCount(sequence)), pitch), lay.unit)} ${lay.unit}`}
        </span>
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
          if (!saysElse(parsed, written)) return;
          dispatch({ kind: 'edit', edit: setSequence(direction, parsed), tag: `text-${direction}` });
        }}
        onBlur={() => {
          if (error === undefined) setDraft(undefined);
          dispatch({ kind: 'settle' });
        }}
      />
      <div id={`${id}-error`} aria-live="polite">
        {error !== undefined && <Mistake text={text} error={error} />}
      </div>
    </div>
  );
}

/** The sequence that a text says, or why it says none. */
function readCounts(text: string, shades: readonly Shade[], mirror: Mirror): Sequence | CoreError {
  try {
    const pivots = mirror === 'doubled' ? 'doubled' : 'shared';
    return parseThreadCount(text, { keys: shades.map((shade) => shade.key), pivots });
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}

function saysElse(read: Sequence | CoreError, written: string): read is Sequence {
  return !(read instanceof CoreError) && formatThreadCount(read) !== written;
}
