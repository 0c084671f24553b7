import { useMemo } from 'react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { uprightTurns } from '../../core/design/tiling/shape-of-tiling.ts';
import { parseDiagonal, parsePart, parseProportion } from '../../core/design/tiling/tiling-numbers.ts';
import { MEASURED_SIZES } from '../../core/design/tiling/tiling-schema.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { inMillimetres, SIZE_NAMES } from '../../wording/tiling-words.ts';
import { few, keptBy, putTiling } from './put-tiling.ts';

/** How large a tiling is, how it lies, and how it is stretched. */
export function TilingShape({ design: { construction, resolution } }: { design: TilingDesign }) {
  const { form, dual, turn, stretch, shear, diagonal, size, measured, repeats } = construction;
  const turns = useMemo(
    () => valueIfAny(() => uprightTurns({ form, dual, stretch, shear, diagonal })) ?? [],
    [form, dual, stretch, shear, diagonal],
  );
  const shown = turns.includes(turn) ? turns : [...turns, turn].sort((a, b) => a - b);
  return (
    <>
      <SelectField
        label="Its size is its"
        value={measured}
        options={MEASURED_SIZES.map((value) => ({ value, text: SIZE_NAMES[value] }))}
        onChange={(of) => putTiling({ measured: of })}
      />
      <div className={measured === 'repeat' ? 'grid grid-cols-[minmax(0,1fr)_90px] gap-3' : ''}>
        <NumberField
          label={SIZE_NAMES[measured]}
          text={size}
          resolve={(text) => inMillimetres(text, pixelOf(resolution))}
          onChange={(text) => putTiling({ size: text }, 'size')}
        />
        {measured === 'repeat' && (
          <NumberField
            label="Repeats"
            text={String(repeats)}
            resolve={(text) => String(few(text, 1, 10_000))}
            onChange={(text) => putTiling({ repeats: few(text, 1, 10_000) }, 'repeats')}
          />
        )}
      </div>
      <SelectField
        label="Turned by"
        value={String(turn)}
        options={shown.map((steps) => ({
          value: String(steps),
          // Of what is not closed yet nothing is known.
          text: `${steps * 15}°${turns.length === 0 || turns.includes(steps) ? '' : ', without an upright repeat'}`,
        }))}
        onChange={(steps) => putTiling({ turn: Number(steps) })}
      />
      <div className="grid grid-cols-3 gap-3">
        <NumberField
          label="Stretch"
          text={stretch}
          resolve={keptBy(parseProportion)}
          onChange={(text) => putTiling({ stretch: text.trim() }, 'stretch')}
        />
        <NumberField
          label="Slant"
          text={shear}
          resolve={keptBy(parsePart)}
          onChange={(text) => putTiling({ shear: text.trim() }, 'shear')}
        />
        <NumberField
          label="Straighten"
          text={diagonal}
          resolve={keptBy(parseDiagonal)}
          onChange={(text) => putTiling({ diagonal: text.trim() }, 'diagonal')}
        />
      </div>
      <p className="hint">
        Stretch multiplies heights: 3/4 makes diamonds of squares on their corners. Slant moves each repeat by
        that part of its width beside the one below. Straighten a diagonal of so many repeats, up/across, and
        it lies level.
      </p>
    </>
  );
}
