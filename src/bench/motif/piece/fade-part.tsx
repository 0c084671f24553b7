import type { Shade } from '../../../core/colour/shade.ts';
import type { PieceFade } from '../../../core/design/motif/motif-schema.ts';
import { MAX_FADE_SHADES } from '../../../core/shape/fade-way.ts';
import { Choice } from '../../../kit/fields/choice.tsx';
import { FadeShades } from '../../../kit/fields/fade-shades.tsx';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { FADE_AGAIN, READ_NUMBERS } from '../../../wording/motif-words.ts';

const WAYS = [
  { value: 'along', text: 'In a direction' },
  { value: 'outward', text: 'From the middle' },
] as const;

const OVERS = [
  { value: 'piece', text: 'The piece' },
  { value: 'repeat', text: 'The whole repeat' },
] as const;

interface FadePartProps {
  readonly fade: PieceFade;
  readonly shades: readonly Shade[];
  readonly onChange: (fade: PieceFade, tag?: string) => void;
}

/** The shades that a piece fades through, and which way. */
export function FadePart({ fade, shades, onChange }: FadePartProps) {
  return (
    <section aria-label="Fade" className="flex flex-col gap-3 rounded-lg border border-rule p-3">
      <FadeShades
        keys={fade.shades}
        shades={shades}
        most={MAX_FADE_SHADES}
        onChange={(next) => onChange({ ...fade, shades: next })}
      />
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
      {fade.over === 'repeat' && <p className="hint">{FADE_AGAIN}</p>}
    </section>
  );
}
