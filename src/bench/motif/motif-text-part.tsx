import { useRef, useState } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { cardWith } from '../../core/design/motif/text/motif-from-text.ts';
import { readMotifText } from '../../core/design/motif/text/read-motif-text.ts';
import { writeMotifText } from '../../core/design/motif/text/write-motif-text.ts';
import { CoreError } from '../../core/error.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { DialogActions } from '../../kit/dialog-actions.tsx';
import { Mistake } from '../../kit/fields/mistake.tsx';
import { dispatch } from '../state/bench-store.ts';

/** The whole motif as text, one piece a line: to read, to change, to copy from one design to another. */
export function MotifTextPart({ design }: { design: MotifDesign }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="button" onClick={() => setOpen(true)}>
        As text…
      </button>
      <Dialog open={open} onOpenChange={setOpen} title="The motif as text" wide>
        <MotifText design={design} onClose={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

function MotifText({ design, onClose }: { readonly design: MotifDesign; readonly onClose: () => void }) {
  const [text, setText] = useState(() => writeMotifText(design.construction, design.lay.arrangement));
  const field = useRef<HTMLTextAreaElement>(null);
  const read = attemptText(text);
  const error = read instanceof CoreError ? read : undefined;
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (read instanceof CoreError) {
          const { at, length } = read.facts as { at?: number; length?: number };
          field.current?.focus();
          if (at !== undefined) field.current?.setSelectionRange(at, at + (length ?? 0));
          return;
        }
        const { motif, arrangement } = read;
        const shades = cardWith(design.shades, motif);
        dispatch({
          kind: 'edit',
          edit: (now) => ({ ...now, shades, construction: motif, lay: { ...now.lay, arrangement } }),
        });
        onClose();
      }}
    >
      <label className="label" htmlFor="motif-text">
        One piece a line, the first lowest; behind bars, what is made of it further
      </label>
      <textarea
        id="motif-text"
        ref={field}
        className="field numbers h-[44vh] whitespace-pre text-[12.5px] leading-relaxed"
        spellCheck={false}
        wrap="off"
        value={text}
        aria-invalid={error !== undefined}
        onChange={(event) => setText(event.target.value)}
      />
      <div aria-live="polite">{error !== undefined && <Mistake text={text} error={error} />}</div>
      <DialogActions
        action={error === undefined ? 'Apply' : 'Show what is wrong'}
        disabled={false}
        onClose={onClose}
      >
        <button type="button" className="button" onClick={() => void navigator.clipboard.writeText(text)}>
          Copy all
        </button>
      </DialogActions>
    </form>
  );
}

/** The motif that a text says, or what is wrong with it. */
function attemptText(text: string) {
  try {
    return readMotifText(text);
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}
