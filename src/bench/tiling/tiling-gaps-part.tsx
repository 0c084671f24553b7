import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { inMillimetres } from '../../wording/tiling-words.ts';
import { putTiling } from './put-tiling.ts';

/** Gaps between faces, by an exact distance. */
export function GapsPart({ design }: { design: TilingDesign }) {
  const { gaps } = design.construction;
  const pixel = pixelOf(design.resolution);
  const change = (more: Partial<NonNullable<typeof gaps>>, tag?: string) =>
    gaps !== null && putTiling({ gaps: { ...gaps, ...more } }, tag);
  return (
    <FoldOut title="Gaps between faces" state={gaps === null ? '' : gaps.by}>
      <CheckField
        text="Inset every face"
        on={gaps !== null}
        onChange={(on) =>
          putTiling({ gaps: on ? { by: '1 mm', corner: '0', shade: design.shades.at(-1)!.key } : null })
        }
      />
      {gaps !== null && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Inset"
              text={gaps.by}
              resolve={(text) => inMillimetres(text, pixel)}
              onChange={(text) => change({ by: text.trim() }, 'gap')}
            />
            <NumberField
              label="Corners rounded by"
              text={gaps.corner}
              resolve={(text) => inMillimetres(text, pixel, parseLengthOrNone)}
              onChange={(text) => change({ corner: text.trim() }, 'corner')}
            />
          </div>
          <ShadeSelect
            label="Shade of the gaps"
            shade={gaps.shade}
            shades={design.shades}
            onChange={(shade) => change({ shade })}
          />
        </>
      )}
    </FoldOut>
  );
}
