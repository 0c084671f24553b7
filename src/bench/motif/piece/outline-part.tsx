import type { Shade } from '../../../core/colour/shade.ts';
import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import type { LineShape, PieceOutline } from '../../../core/design/motif/motif-schema.ts';
import { CheckField } from '../../../kit/fields/check-field.tsx';
import { Choice } from '../../../kit/fields/choice.tsx';
import { LINE_ENDS } from '../../../kit/fields/line-ends.ts';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../../kit/fields/shade-select.tsx';
import { READ_NUMBERS } from '../../../wording/motif-words.ts';
import { usualOutline } from '../motif-edits.ts';

const SIDES = [
  { value: 'inside', text: 'Inside' },
  { value: 'on', text: 'On the edge' },
  { value: 'outside', text: 'Outside' },
] as const;

interface OutlinePartProps {
  readonly outline: PieceOutline | null;
  readonly shades: readonly Shade[];
  readonly scale: MotifScale;
  readonly onChange: (outline: PieceOutline | null, tag?: string) => void;
}

/** A line along the edge of a piece. */
export function OutlinePart({ outline, shades, scale, onChange }: OutlinePartProps) {
  const size = (text: string) => READ_NUMBERS.size(text, scale);
  return (
    <>
      <CheckField
        text="Outlined"
        on={outline !== null}
        onChange={(on) => onChange(on ? usualOutline(shades.at(-1)!.key) : null)}
      />
      {outline !== null && (
        <section aria-label="Outline" className="flex flex-col gap-3 rounded-lg border border-rule p-3">
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Width of the outline"
              text={outline.width}
              resolve={size}
              onChange={(width) => onChange({ ...outline, width: width.trim() }, 'outline')}
            />
            <ShadeSelect
              label="Shade of the outline"
              shade={outline.shade}
              shades={shades}
              onChange={(shade) => onChange({ ...outline, shade })}
            />
          </div>
          <Choice
            label="Side of the edge"
            value={outline.side}
            options={SIDES}
            onChange={(side) => onChange({ ...outline, side })}
          />
          <Choice
            label="Corners"
            value={outline.ends}
            options={LINE_ENDS}
            onChange={(ends) => onChange({ ...outline, ends })}
          />
          <DashesFields
            dashes={outline.dashes}
            scale={scale}
            onChange={(dashes, tag) => onChange({ ...outline, dashes }, tag)}
          />
        </section>
      )}
    </>
  );
}

interface DashesFieldsProps {
  readonly dashes: LineShape['dashes'];
  readonly scale: MotifScale;
  readonly onChange: (dashes: LineShape['dashes'], tag?: string) => void;
}

/** Dashes that go a whole number of times. */
export function DashesFields({ dashes, scale, onChange }: DashesFieldsProps) {
  const size = (text: string) => READ_NUMBERS.size(text, scale);
  return (
    <>
      <CheckField
        text="Dashed, whole dashes all along"
        on={dashes !== null}
        onChange={(on) => onChange(on ? { length: '1/2', gap: '1/4' } : null)}
      />
      {dashes !== null && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Dash"
            text={dashes.length}
            resolve={size}
            onChange={(length) => onChange({ ...dashes, length: length.trim() }, 'dash')}
          />
          <NumberField
            label="Gap"
            text={dashes.gap}
            resolve={size}
            onChange={(gap) => onChange({ ...dashes, gap: gap.trim() }, 'gap')}
          />
        </div>
      )}
    </>
  );
}
