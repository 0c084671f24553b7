import type { Shade } from '../../core/colour/shade.ts';
import { RemoveButton } from '../remove-button.tsx';
import { ShadeSelect } from './shade-select.tsx';

interface FadeShadesProps {
  readonly keys: readonly string[];
  readonly shades: readonly Shade[];
  readonly most: number;
  readonly onChange: (keys: string[]) => void;
}

/** The shades that a fade goes through, at least two, in their order. */
export function FadeShades({ keys, shades, most, onChange }: FadeShadesProps) {
  return (
    <>
      <ol className="m-0 flex list-none flex-col gap-2 p-0">
        {keys.map((key, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: shades of a fade have no identity but their place
          <li key={at} className="grid grid-cols-[minmax(0,1fr)_30px] items-end gap-2">
            <ShadeSelect
              label={`Shade ${at + 1} of the fade`}
              shade={key}
              shades={shades}
              onChange={(next) => onChange(keys.with(at, next))}
            />
            <RemoveButton
              label={`Remove shade ${at + 1} of the fade`}
              disabled={keys.length === 2}
              onClick={() => onChange(keys.filter((_, other) => other !== at))}
            />
          </li>
        ))}
      </ol>
      {keys.length < most && (
        <button type="button" className="button self-start" onClick={() => onChange([...keys, keys[0]!])}>
          One more shade
        </button>
      )}
    </>
  );
}
