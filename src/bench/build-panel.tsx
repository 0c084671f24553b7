import { Plus } from 'lucide-react';
import { useState } from 'react';
import { parseTurn } from '../core/design/exchange/counts-text.ts';
import { insertBand } from '../core/thread/edit-bands.ts';
import { Choice } from '../kit/choice.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { plural } from '../wording/measures.ts';
import { lateSentence } from '../wording/verdict.ts';
import { BandList } from './band-list.tsx';
import { dispatch, useBenchState, useDesign } from './bench-store.ts';
import {
  type Direction,
  editBands,
  sequenceOf,
  setCrossing,
  setFollows,
  setMirror,
  setTurn,
} from './design-edits.ts';
import { Panel } from './panel.tsx';
import { PrintChoice } from './print-choice.tsx';
import { ReworkDialog } from './rework-dialog.tsx';
import { ThreadCountField } from './thread-count-field.tsx';
import { useThreadFacts } from './use-thread-facts.ts';
import { WeaveChoice } from './weave-choice.tsx';

const MIRRORS = [
  { value: 'none', text: 'No' },
  { value: 'shared', text: 'Sharing them' },
  { value: 'doubled', text: 'Doubling them' },
] as const;

/** The unit: two sequences and how they are woven. */
export function BuildPanel() {
  const { crossing, weft } = useDesign().construction;
  const { follows, turn } = weft;
  const selection = useBenchState((state) => state.selection);
  const worked: Direction = follows ? 'warp' : (selection?.direction ?? 'warp');
  return (
    <Panel
      title="Build"
      purpose={
        crossing === 'woven'
          ? 'Two sequences, crossed thread by thread.'
          : 'Two sets of stripes, one printed over the other.'
      }
    >
      <SequencePart direction="warp" open={worked === 'warp'} />
      <Choice
        label="Weft"
        value={follows ? 'follows' : 'own'}
        options={[
          { value: 'follows', text: 'Follows the warp' },
          { value: 'own', text: 'Its own' },
        ]}
        onChange={(choice) => {
          dispatch({ kind: 'edit', edit: setFollows(choice === 'follows') });
          dispatch({ kind: 'select', selection: undefined });
        }}
      />
      {follows ? (
        <NumberField
          label="Turned by, in threads"
          text={String(turn)}
          resolve={(text) => String(parseTurn(text))}
          onChange={(text) => dispatch({ kind: 'edit', edit: setTurn(parseTurn(text)), tag: 'turn' })}
        />
      ) : (
        <SequencePart direction="weft" open={worked === 'weft'} />
      )}
      <Choice
        label="Crossed by"
        value={crossing}
        options={[
          { value: 'woven', text: 'Weaving' },
          { value: 'printed', text: 'Printing one over the other' },
        ]}
        onChange={(next) => dispatch({ kind: 'edit', edit: setCrossing(next) })}
      />
      {crossing === 'woven' ? <WeaveChoice /> : <PrintChoice />}
    </Panel>
  );
}

/** One sequence as text, with its pivots; the bands as a list when it is the one being worked on. */
function SequencePart({ direction, open }: { direction: Direction; open: boolean }) {
  const design = useDesign();
  const sequence = sequenceOf(design, direction);
  const selection = useBenchState((state) => state.selection);
  const [reworking, setReworking] = useState(false);
  const facts = useThreadFacts();
  const late = facts && lateSentence(facts[direction], direction === 'warp' ? 'end' : 'pick');
  const last = sequence.bands.length - 1;
  const after = selection?.direction === direction ? selection.band : last;
  return (
    <div className="flex flex-col gap-3">
      <div>
        <ThreadCountField direction={direction} />
        {late !== undefined && <p className="mt-1 text-[12.5px] text-weld">{late}</p>}
      </div>
      <Choice
        label={direction === 'warp' ? 'Turns back at its pivots' : 'Weft turns back at its pivots'}
        value={sequence.mirror}
        options={MIRRORS}
        onChange={(mirror) => dispatch({ kind: 'edit', edit: setMirror(direction, mirror) })}
      />
      {open ? (
        <>
          <BandList direction={direction} />
          <div className="flex gap-2">
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
                  insertBand(bands, after + 1, { shade: next.key, count: 4 }),
                );
                dispatch({ kind: 'edit', edit, select: { direction, band: after + 1 } });
              }}
            >
              <Plus size={16} aria-hidden="true" /> Add a band
            </button>
            <button type="button" className="button" onClick={() => setReworking(true)}>
              Rework…
            </button>
          </div>
          {reworking && <ReworkDialog direction={direction} onClose={() => setReworking(false)} />}
        </>
      ) : (
        <button
          type="button"
          className="button button-plain self-start text-woad"
          onClick={() => dispatch({ kind: 'select', selection: { direction, band: 0 } })}
        >
          Show its {plural(sequence.bands.length, 'band')}
        </button>
      )}
    </div>
  );
}
