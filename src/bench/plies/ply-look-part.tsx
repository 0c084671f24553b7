import { PLY_BLENDS } from '../../core/colour/ply-blend.ts';
import { plyName } from '../../core/design/plies/plies-report.ts';
import type { PlyContent } from '../../core/design/plies/plies-schema.ts';
import { isWeaveTexture } from '../../core/design/plies/weave-texture.ts';
import { multiply, rational, round, toDecimal } from '../../core/exact/rational.ts';
import { parseStrength } from '../../core/thread/print.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { Slider } from '../../kit/fields/slider.tsx';
import { blendName } from '../../wording/ply-words.ts';
import { keepLook, type LastLook, type Over } from './last-looks.ts';
import type { PlyPartProps } from './ply-part.tsx';
import { putPly } from './put-plies.ts';

const BLENDS = PLY_BLENDS.map((value) => ({ value, text: blendName(value) }));

interface LookFieldsProps {
  readonly look: LastLook;
  readonly onChange: (change: Partial<LastLook>, tag?: string) => void;
}

/** How a ply is blended with what lies beneath, and how strongly. */
export function LookFields({ look: { blend, strength }, onChange }: LookFieldsProps) {
  const percent = Number(round(multiply(parseStrength(strength), rational(100))));
  return (
    <>
      <SelectField
        label="Blend"
        value={blend}
        options={BLENDS}
        onChange={(next) => onChange({ blend: next })}
      />
      <div className="grid grid-cols-[88px_minmax(0,1fr)] items-start gap-3">
        <NumberField
          label="Strength"
          text={strength}
          resolve={(text) => `${toDecimal(multiply(parseStrength(text), rational(100)), 3)}%`}
          onChange={(next) => onChange({ strength: next.trim() }, 'strength')}
        />
        <Slider
          label="Per cent"
          value={percent}
          range={[0, 100]}
          onChange={(next) => onChange({ strength: `${next}%` }, 'strength')}
        />
      </div>
    </>
  );
}

/** How a ply is seen: blended, and everywhere or only inside another one. */
export function PlyLookPart({ design, ply, at }: PlyPartProps) {
  const { plies } = design.construction;
  const others = plies.flatMap(({ content }, other) =>
    other === at
      ? []
      : [{ value: String(other), text: `Only inside ply ${other + 1}, ${plyName(content, design.shades)}` }],
  );
  return (
    <>
      <LookFields
        look={ply}
        onChange={(change, tag) => {
          putPly(at, change, tag);
          const over = overOf(ply.content);
          if (over !== undefined) keepLook(over, { ...ply, ...change });
        }}
      />
      {others.length > 0 && (
        <SelectField
          label="Seen"
          value={ply.clip === null ? 'all' : String(ply.clip)}
          options={[{ value: 'all', text: 'Everywhere' }, ...others]}
          onChange={(next) => putPly(at, { clip: next === 'all' ? null : Number(next) })}
        />
      )}
    </>
  );
}

/** As what the look of a ply is remembered for the next one; a weave that was laid over is not told from other designs. */
function overOf(content: PlyContent): Over | undefined {
  if (content.kind !== 'design') return content.kind;
  if (isWeaveTexture(content.design)) return 'texture';
  return content.from === null ? undefined : 'shelf';
}
