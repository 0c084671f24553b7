import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { Direction } from '../../core/design/construction.ts';
import { closingCounts } from '../../core/thread/closing-counts.ts';
import { insertBand } from '../../core/thread/edit-bands.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { lateSentence } from '../../wording/verdict.ts';
import { wordsOf } from '../rails/rail-words.ts';
import { editBands, sequenceOf, setMirror, setSequence } from '../state/band-edits.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { BandList } from './band-list.tsx';
import { PictureBands } from './picture-bands.tsx';
import { ReworkDialog } from './rework-dialog.tsx';
import { useThreadFacts } from './use-thread-facts.ts';

const MIRRORS = [
  { value: 'none', text: 'No' },
  { value: 'shared', text: 'End bands once' },
  { value: 'doubled', text: 'End bands twice' },
] as const;

interface SequencePartProps {
  readonly direction: Direction;
  /** The field that its text is typed in. */
  readonly children: ReactNode;
}

/** One sequence as text, with its pivots and its bands as a list. */
export function SequencePart({ direction, children }: SequencePartProps) {
  const design = useDesign();
  const sequence = sequenceOf(design, direction);
  const selection = useBenchState((state) => state.selection);
  const [added, setAdded] = useState(0);
  const [reworking, setReworking] = useState(false);
  const [picturing, setPicturing] = useState(false);
  const facts = useThreadFacts();
  const late = facts && lateSentence(facts[direction], direction === 'warp' ? 'end' : 'pick');
  const closing =
    late === undefined || facts === undefined ? [] : closingCounts(sequence, facts[direction].weave);
  const last = sequence.bands.length - 1;
  const after = selection?.direction === direction ? selection.band : last;
  return (
    <div className="flex flex-col gap-3">
      <div>
        {children}
        {late !== undefined && (
          <div className="mt-1 text-[12.5px] text-weld">
            <p>{late}</p>
            {closing.map(({ threads, bands }) => (
              <button
                key={threads}
                type="button"
                className="button button-plain mr-2 text-woad"
                onClick={() =>
                  dispatch({ kind: 'edit', edit: setSequence(direction, { ...sequence, bands }) })
                }
              >
                Scale it to {threads}
              </button>
            ))}
          </div>
        )}
      </div>
      <Choice
        label={direction === 'warp' ? 'Mirrored' : 'Weft mirrored'}
        value={sequence.mirror}
        options={MIRRORS}
        onChange={(mirror) => dispatch({ kind: 'edit', edit: setMirror(direction, mirror) })}
      />

      <BandList direction={direction} asked={added} />
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button self-start"
          onClick={() => {
            const shade = sequence.bands[after]!.shade;
            const next =
              design.shades[
                (design.shades.findIndex(({ key }) => key === shade) + 1) % design.shades.length
              ]!;
            const edit = editBands(direction, (bands) =>
              insertBand(bands, after + 1, { shade: next.key, count: 4 * wordsOf(design).perKey }),
            );
            dispatch({ kind: 'edit', edit, select: { direction, band: after + 1 } });
            setAdded((count) => count + 1);
          }}
        >
          <Plus size={16} aria-hidden="true" /> Add a band
        </button>
        <button type="button" className="button" onClick={() => setReworking(true)}>
          Rework…
        </button>
        <button type="button" className="button" onClick={() => setPicturing(true)}>
          From a picture…
        </button>
      </div>
      {picturing && <PictureBands direction={direction} onClose={() => setPicturing(false)} />}
      {reworking && <ReworkDialog direction={direction} onClose={() => setReworking(false)} />}
    </div>
  );
}
