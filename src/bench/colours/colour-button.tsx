import { Popover } from 'radix-ui';
import { useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { normaliseHex } from '../../core/colour/hex.ts';
import type { Shade } from '../../core/colour/shade.ts';
import { dispatch } from '../state/bench-store.ts';

/** A shade's colour: picked, or typed as a name or a hex. */
export function ColourButton({ shade, onChange }: { shade: Shade; onChange: (hex: string) => void }) {
  const [draft, setDraft] = useState<string>();
  const typed = draft ?? shade.hex;
  return (
    <Popover.Root
      onOpenChange={() => {
        setDraft(undefined);
        dispatch({ kind: 'settle' });
      }}
    >
      <Popover.Trigger
        aria-label={`Colour of ${shade.name}, ${shade.hex}`}
        className="chip h-8 w-8"
        style={{ backgroundColor: shade.hex }}
      />
      <Popover.Portal>
        <Popover.Content
          side="left"
          sideOffset={12}
          className="z-50 rounded-card border border-rule bg-paper p-3 shadow-xl"
        >
          <HexColorPicker color={shade.hex} onChange={onChange} />
          <label className="label mt-3" htmlFor={`hex-${shade.key}`}>
            Colour
          </label>
          <input
            id={`hex-${shade.key}`}
            className="field numbers"
            value={typed}
            maxLength={9}
            aria-invalid={readHex(typed) === undefined}
            onChange={(event) => {
              setDraft(event.target.value);
              const hex = readHex(event.target.value);
              if (hex !== undefined) onChange(hex);
            }}
            onBlur={() => setDraft(undefined)}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function readHex(text: string): string | undefined {
  try {
    return normaliseHex(text);
  } catch {
    return undefined;
  }
}
