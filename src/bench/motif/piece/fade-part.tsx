import type { Shade } from '../../../core/colour/shade.ts';
import type { PieceFade } from '../../../core/design/motif/motif-schema.ts';
import { Choice } from '../../../kit/fields/choice.tsx';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../../kit/fields/shade-select.tsx';
import { RemoveButton } from '../../../kit/remove-button.tsx';
import { READ_NUMBERS } from '../../../wording/motif-words.ts';

const WAYS = [
  { value: 'along', text: 'In a direction' },
  { value: 'outward', text: 'From the middle' },
] as const;

const OVERS = [
  { value: 'piece', text: 'The piece' },
  { value: 'repeat', text: 'The whole repeat' },
] as const;

/** Most shades of a fade. */
const MOST = 12;

interface FadePartProps {
  readonly fade: PieceFade;
  readonly shades: readonly Shade[];
  readonly onChange: (fade: PieceFade, tag?: string) => void;
}

/** The shades that a piece fades through, and which way. */
export function FadePart({ fade, shades, onChange }: FadePartProps) {
  const keys = fade.shades;
  const put = (next: string[]) => onChange({ ...fade, shades: next });
  return (
    <section aria-label="Fade" className="flex flex-col gap-3 rounded-lg border border-rule p-3">
      <ol className="m-0 flex list-none flex-col gap-2 p-0">
        {keys.map((key, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: shades of a fade have no identity but their place
          <li key={at} className="grid grid-cols-[minmax(0,1fr)_30px] items-end gap-2">
            <ShadeSelect
              label={`Shade ${at + 1} of the fade`}
              shade={key}
              shades={shades}
              onChange={(next) => put(keys.with(at, next))}
            />
            <RemoveButton
              label={`Remove shade ${at + 1} of the fade`}
              disabled={keys.length === 2}
              onClick={() => put(keys.filter((_, other) => other !== at))}
            />
          </li>
        ))}
      </ol>
      {keys.length < MOST && (
        <button type="button" className="button" onClick={() => put([...keys, keys[0]!])}>
          One more shade
        </button>
      )}
      <Choice
        label="The fade goes"
        value={fade.kind}
        options={WAYS}
        onChange={(kind) => {
          const { shades: same, over } = fade;
          onChange(
            kind === 'along' ? { kind, shades: same, over, angle: '90' } : { kind, shades: same, over },
          );
        }}
      />
      {fade.kind === 'along' && (
        <NumberField
          label="Direction, degrees"
          text={fade.angle}
          resolve={READ_NUMBERS.degrees}
          onChange={(angle) => onChange({ ...fade, angle: angle.trim() }, 'fade-angle')}
        />
      )}
      <Choice
        label="Over"
        value={fade.over}
        options={OVERS}
        onChange={(over) => onChange({ ...fade, over })}
      />
      {fade.over === 'repeat' && (
        <p className="hint">
          It begins anew in each repeat: end with the shade that it begins with, and no edge is seen.
        </p>
      )}
    </section>
  );
}
