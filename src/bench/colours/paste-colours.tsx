import { useState } from 'react';
import { parsePalette } from '../../core/formats/palette.ts';
import { attempt } from '../../wording/attempt.ts';
import { addShades, shadesOf } from './add-shades.ts';

/** A list of colours, typed or pasted, whose shades join the card. */
export function PasteColours() {
  const [text, setText] = useState('');
  const read = text.trim() === '' ? undefined : attempt(() => parsePalette(text));
  const problem = read !== undefined && 'problem' in read ? read.problem : undefined;
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (read === undefined || 'problem' in read) return;
        addShades(shadesOf(read.value));
        setText('');
      }}
    >
      <label className="label mb-0" htmlFor="paste-colours">
        Colours as a list: hex values, names, a palette
      </label>
      <div className="flex gap-2">
        <input
          id="paste-colours"
          className="field numbers"
          placeholder="#24402f, ivory…"
          value={text}
          autoComplete="off"
          aria-invalid={problem !== undefined}
          onChange={(event) => setText(event.target.value)}
        />
        <button type="submit" className="button" disabled={read === undefined || problem !== undefined}>
          Add
        </button>
      </div>
      {problem !== undefined && <p className="text-[12.5px] text-madder">{problem}</p>}
    </form>
  );
}
