import { useMemo } from 'react';
import { toast } from 'sonner';
import { CoreError } from '../../core/error.ts';
import type { Interlacing } from '../../core/thread/weave.ts';
import { buildWeave } from '../../core/thread/weaves/build-weave.ts';
import { draftSize } from '../../core/thread/weaves/draft.ts';
import {
  editMatrix,
  MATRIX_EDITS,
  type MatrixEdit,
  matrixRows,
  parseMatrix,
  resizeMatrix,
} from '../../core/thread/weaves/matrix.ts';
import { THREADINGS, type Threading, threadingOf } from '../../core/thread/weaves/threadings.ts';
import { weaveDraft } from '../../core/thread/weaves/weave-draft.ts';
import { MAX_MATRIX } from '../../core/thread/weaves/weave-spec.ts';
import { LiveTextField } from '../../kit/fields/live-text-field.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { attempt } from '../../wording/attempt.ts';
import { dispatch } from '../state/bench-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { putDraft, putStructure } from './draft-work.ts';
import { FloatMarks } from './float-marks.tsx';

/** Most cells of a structure that is shown as text. */
const MOST_ROWS = 10_000;

const NAMES: Readonly<Record<MatrixEdit, string>> = {
  left: 'Shift left',
  right: 'Shift right',
  up: 'Shift up',
  down: 'Shift down',
  invert: 'Swap faces',
  'mirror-across': 'Mirror across',
  'mirror-up': 'Mirror up',
  turn: 'Quarter turn',
  'double-ends': 'Double the ends',
  'double-picks': 'Double the picks',
  counterchange: 'Counterchange',
};

/** What can be done to the whole structure while its draft is shown. */
export function StructureTools() {
  const { construction } = useDesignOf('plaid');
  const structure = useMemo(() => buildWeave(construction.weave), [construction.weave]);
  const put = (change: (structure: Interlacing) => Interlacing, tag?: string) =>
    putStructure(() => change(structure), tag);
  const size = (text: string) => {
    const value = whole(text, 1);
    if (value > MAX_MATRIX) throw new CoreError('weave/size', { text, least: 1, most: MAX_MATRIX });
    return value;
  };
  return (
    <section aria-label="The whole structure" className="flex flex-col gap-3 border-rule border-y py-3">
      <div className="grid grid-cols-2 gap-1.5">
        {MATRIX_EDITS.map((edit) => (
          <button
            key={edit}
            type="button"
            className="button px-2 text-[12.5px]"
            onClick={() => put((matrix) => editMatrix(matrix, edit))}
          >
            {NAMES[edit]}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Ends of the structure"
          text={String(structure.ends)}
          resolve={(text) => String(size(text))}
          onChange={(text) => put((matrix) => resizeMatrix(matrix, size(text), matrix.picks), 'ends')}
        />
        <NumberField
          label="Picks of the structure"
          text={String(structure.picks)}
          resolve={(text) => String(size(text))}
          onChange={(text) => put((matrix) => resizeMatrix(matrix, matrix.ends, size(text)), 'picks')}
        />
      </div>
      {structure.up.length <= MOST_ROWS && (
        <LiveTextField
          label="As rows, # or 1 where the warp lies on top"
          note=""
          written={matrixRows(structure).join('\n')}
          read={(text) => parseMatrix(text.trim().split(/\s+/))}
          write={(matrix) => matrixRows(matrix).join('\n')}
          onChange={(matrix) => put(() => matrix, 'rows')}
          onLeave={() => dispatch({ kind: 'settle' })}
        />
      )}
      <ThreadingChoice />
      <FloatMarks />
    </section>
  );
}

const THREADING_NAMES: Readonly<Record<Threading, string>> = {
  straight: 'Straight',
  pointed: 'Pointed',
  broken: 'Broken',
  rosepath: 'Rosepath',
  blocks: 'Blocks of two shafts',
};

/** Puts a known threading on the shafts that the draft has; tie-up and treadling stay. */
function ThreadingChoice() {
  const { construction } = useDesignOf('plaid');
  const put = (kind: Threading) => {
    const made = attempt(() => {
      const draft = weaveDraft(construction.weave);
      return { ...draft, threading: threadingOf(kind, draftSize(draft).shafts) };
    });
    if ('problem' in made) toast.error(made.problem);
    else putDraft(made.value);
  };
  return (
    <SelectField
      label="Thread its shafts"
      value=""
      none="Choose a threading…"
      options={THREADINGS.map((kind) => ({ value: kind, text: THREADING_NAMES[kind] }))}
      onChange={put}
    />
  );
}
