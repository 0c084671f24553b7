import { useState } from 'react';
import type { Shade } from '../core/colour/shade.ts';
import { parsePalette } from '../core/formats/palette.ts';
import { ColourButton } from '../kit/fields/colour-button.tsx';
import { attempt } from '../wording/attempt.ts';
import { type ShadeChanges, withChange } from './begun-card.ts';

interface NewCardProps {
  readonly shades: readonly Shade[];
  readonly changes: ShadeChanges;
  readonly onChange: (changes: ShadeChanges) => void;
}

/** The shades of a design that is begun: each letter's colour and name, to be changed, or all of them pasted as a list. */
export function NewCard({ shades, changes, onChange }: NewCardProps) {
  return (
    <section aria-label="Shade card" className="flex flex-col gap-1">
      <h3 className="text-[13px]">Shade card</h3>
      <ul className="m-0 max-h-[148px] list-none overflow-y-auto p-0">
        {shades.map((shade) => (
          <li key={shade.key} className="flex items-center gap-2 py-0.5">
            <ColourButton
              shade={shade}
              onChange={(hex) => onChange(withChange(changes, shade.key, { hex }))}
            />
            <span className="numbers w-6 text-center">{shade.key}</span>
            <input
              aria-label={`Name of shade ${shade.key}`}
              className="min-h-6 min-w-0 flex-1 rounded px-1.5 py-0.5 hover:bg-linen"
              value={shade.name}
              maxLength={120}
              onChange={(event) => {
                const name = event.target.value;
                if (name.trim() !== '') onChange(withChange(changes, shade.key, { name }));
              }}
            />
          </li>
        ))}
      </ul>
      <PastedColours shades={shades} changes={changes} onChange={onChange} />
    </section>
  );
}

/** A list of colours, for the shades in their order. */
function PastedColours({ shades, changes, onChange }: NewCardProps) {
  const [text, setText] = useState('');
  const read = text.trim() === '' ? undefined : attempt(() => parsePalette(text));
  const problem = read !== undefined && 'problem' in read ? read.problem : undefined;
  return (
    <div>
      <input
        aria-label="Colours as a list"
        placeholder="Paste: #24402f ivory…"
        className="field numbers min-h-7 py-0.5 text-[12.5px]"
        value={text}
        aria-invalid={problem !== undefined}
        onChange={(event) => {
          setText(event.target.value);
          const palette = attempt(() => parsePalette(event.target.value));
          if ('problem' in palette) return;
          const next = shades.slice(0, palette.value.length).reduce((all, { key }, at) => {
            const { name, hex } = palette.value[at]!;
            return withChange(all, key, name === '' ? { hex } : { hex, name });
          }, changes);
          onChange(next);
        }}
      />
      {problem !== undefined && <p className="mt-1 text-[12px] text-madder">{problem}</p>}
    </div>
  );
}
