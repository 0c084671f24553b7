import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import type { LettersSpec } from '../../core/design/tiling/tiling-schema.ts';
import { letters as outlinesOf } from '../../core/shape/letters/letters.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { plural } from '../../wording/measures.ts';
import { FONT_NAMES } from '../../wording/motif-words.ts';
import { inMillimetres } from '../../wording/tiling-words.ts';
import { putTiling } from './put-tiling.ts';

const FONTS = Object.entries(FONT_NAMES).map(([value, text]) => ({
  value: value as LettersSpec['font'],
  text,
}));

const WAYS = [
  { value: 'upright', text: 'Upright' },
  { value: 'turned', text: 'Turned with each face' },
] as const;

export interface LettersPartProps {
  readonly design: TilingDesign;
  readonly faceOptions: readonly { readonly value: string; readonly text: string }[];
}

/** Letters in the middle of faces. */
export function LettersPart({ design, faceOptions }: LettersPartProps) {
  const { letters } = design.construction;
  const pixel = pixelOf(design.resolution);
  const usual: LettersSpec = {
    text: 'L',
    font: 'bricolage-bold',
    height: '8 mm',
    shade: design.shades.at(-1)!.key,
    turned: false,
    of: null,
  };
  const change = (more: Partial<LettersSpec>, tag?: string) =>
    putTiling({ letters: { ...(letters ?? usual), ...more } }, tag);
  return (
    <FoldOut title="Letters in faces" state={letters === null ? '' : letters.text}>
      <CheckField
        text="Letters in the middle of faces"
        on={letters !== null}
        onChange={(on) => putTiling({ letters: on ? usual : null })}
      />
      {letters !== null && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Letters"
              text={letters.text}
              resolve={(text) => {
                outlinesOf(text, letters.font, 1);
                return plural([...text].length, 'letter');
              }}
              onChange={(text) => change({ text: text.slice(0, 60) }, 'letters')}
            />
            <SelectField
              label="Font"
              value={letters.font}
              options={FONTS}
              onChange={(font) => change({ font })}
            />
            <NumberField
              label="Height of capitals"
              text={letters.height}
              resolve={(text) => inMillimetres(text, pixel)}
              onChange={(text) => change({ height: text.trim() }, 'letters-height')}
            />
            <ShadeSelect
              label="Shade of the letters"
              shade={letters.shade}
              shades={design.shades}
              onChange={(shade) => change({ shade })}
            />
          </div>
          <Choice
            label="They stand"
            value={letters.turned ? 'turned' : 'upright'}
            options={WAYS}
            onChange={(how) => change({ turned: how === 'turned' })}
          />
          <SelectField
            label="Letters in"
            value={letters.of ?? ''}
            options={faceOptions}
            onChange={(of) => change({ of: of === '' ? null : of })}
          />
        </>
      )}
    </FoldOut>
  );
}
