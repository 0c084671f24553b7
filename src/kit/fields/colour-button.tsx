import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { normaliseHex } from '../../core/colour/hex.ts';
import { hexOfName } from '../../core/colour/name-of.ts';
import type { Shade } from '../../core/colour/shade.ts';

interface ColourButtonProps {
  readonly shade: Pick<Shade, 'name' | 'hex'>;
  readonly onChange: (hex: string) => void;
  /** Told when the choice is opened or done with. */
  readonly onSettle?: () => void;
}

/** A shade's colour: picked, or typed as a name or a hex. */
export function ColourButton({ shade: { name, hex }, onChange, onSettle }: ColourButtonProps) {
  const [draft, setDraft] = useState<string>();
  const id = useId();
  const typed = draft ?? hex;
  return (
    <Popover.Root
      onOpenChange={() => {
        setDraft(undefined);
        onSettle?.();
      }}
    >
      <Popover.Trigger
        type="button"
        aria-label={`Colour of ${name}, ${hex}`}
        className="chip h-8 w-8"
        style={{ backgroundColor: hex }}
      />
      <Popover.Portal>
        <Popover.Content
          side="left"
          sideOffset={12}
          collisionPadding={8}
          aria-label={`Colour of ${name}`}
          className="z-[60] rounded-card border border-rule bg-paper p-3 shadow-xl"
        >
          <HexColorPicker color={hex} onChange={onChange} />
          <label className="label mt-3" htmlFor={id}>
            Colour
          </label>
          <input
            id={id}
            className="field numbers"
            value={typed}
            maxLength={30}
            aria-invalid={readColour(typed) === undefined}
            onChange={(event) => {
              setDraft(event.target.value);
              const read = readColour(event.target.value);
              if (read !== undefined) onChange(read);
            }}
            onBlur={() => setDraft(undefined)}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A hex value or a colour's name; undefined while it is neither. */
function readColour(text: string): string | undefined {
  try {
    return normaliseHex(text);
  } catch {
    return hexOfName(text);
  }
}
