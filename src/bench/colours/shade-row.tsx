import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { SHADE_KEY, type Shade } from '../../core/colour/shade.ts';
import { ColourButton } from '../../kit/fields/colour-button.tsx';
import { SortableRow } from '../../kit/sortable-list.tsx';
import { plural } from '../../wording/measures.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { changeShade } from '../state/shade-edits.ts';

interface ShadeRowProps {
  readonly shade: Shade;
  readonly bands: number;
  readonly onRemove: (() => void) | undefined;
}

/** One shade of the card: taken up to be moved, its colour, letter and name. */
export function ShadeRow({ shade, bands, onRemove }: ShadeRowProps) {
  const change = (part: Partial<Shade>, what: string) =>
    dispatch({ kind: 'edit', edit: changeShade(shade.key, part), tag: `shade-${what}-${shade.key}` });
  return (
    <SortableRow id={shade.key} name={shade.name}>
      <ColourButton
        shade={shade}
        onChange={(hex) => change({ hex }, 'hex')}
        onSettle={() => dispatch({ kind: 'settle' })}
      />
      <KeyField shade={shade} />
      <input
        aria-label={`Name of shade ${shade.key}`}
        className="min-w-0 flex-1 rounded px-1.5 py-1 hover:bg-linen"
        value={shade.name}
        maxLength={120}
        onChange={(event) => event.target.value.trim() !== '' && change({ name: event.target.value }, 'name')}
        onBlur={() => dispatch({ kind: 'settle' })}
      />
      <span className="hint numbers whitespace-nowrap" title={`Used in ${plural(bands, 'place')}`}>
        ×{bands}
      </span>
      <button
        type="button"
        className="button button-plain text-ash"
        aria-label={`Remove ${shade.name}`}
        disabled={onRemove === undefined}
        onClick={onRemove}
      >
        <Trash2 size={15} aria-hidden="true" />
      </button>
    </SortableRow>
  );
}

/** The letters that stand for a shade in thread counts; kept once they are free to use. */
function KeyField({ shade }: { shade: Shade }) {
  const { shades } = useDesign();
  const [draft, setDraft] = useState<string>();
  const taken = shades.some((other) => other !== shade && other.key === draft);
  const wrong = draft !== undefined && (!SHADE_KEY.test(draft) || taken);
  return (
    <input
      aria-label={`Letter of ${shade.name}`}
      aria-invalid={wrong}
      title={taken ? 'Another shade has this letter' : 'Letter in thread counts'}
      className={`numbers min-h-6 w-9 rounded border px-1 py-0.5 text-center ${wrong ? 'border-madder text-madder' : 'border-rule'}`}
      value={draft ?? shade.key}
      maxLength={3}
      onChange={(event) => setDraft(event.target.value.toUpperCase())}
      onBlur={() => {
        if (draft !== undefined && !wrong && draft !== shade.key) {
          dispatch({ kind: 'edit', edit: changeShade(shade.key, { key: draft }) });
        }
        setDraft(undefined);
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
