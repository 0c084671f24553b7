import { useMemo, useState } from 'react';
import type { TilingDesign } from '../core/design/design-schema.ts';
import { pixelOf } from '../core/design/lay/lay-schema.ts';
import { asKind } from '../core/design/of-kind.ts';
import { readDesign } from '../core/design/read-design.ts';
import { classShades, colouringOf } from '../core/design/tiling/colouring-of.ts';
import { littleTiling } from '../core/design/tiling/little-tiling.ts';
import { tilingOf } from '../core/design/tiling/shape-of-tiling.ts';
import type { TilingSpec } from '../core/design/tiling/tiling-schema.ts';
import { TILING_STARTS } from '../core/design/tiling/tiling-starts.ts';
import { NumberField } from '../kit/fields/number-field.tsx';
import { TextField } from '../kit/fields/text-field.tsx';
import { StartGrid } from '../kit/start-grid.tsx';
import { valueIfAny } from '../wording/attempt.ts';
import { inMillimetres, SIZE_NAMES, tilingText } from '../wording/tiling-words.ts';
import { changedCard, type ShadeChanges } from './begun-card.ts';
import { type NewFormProps, StartForm } from './start-form.tsx';

/** Square pixels of a little swatch, a millimetre each. */
const ROOM = 92 * 64;

const STARTS = TILING_STARTS.map((start) => ({ start, design: littleTiling(start.design(0), ROOM) }));

/** Begins a tiling: one of those that there are, and how long its sides are. */
export function NewTiling({ onClose, onMake }: NewFormProps<TilingDesign>) {
  const [chosen, setChosen] = useState(TILING_STARTS[0]!);
  const [name, setName] = useState('');
  const [size, setSize] = useState('20 mm');
  const [changes, setChanges] = useState<ShadeChanges>({});
  const start = useMemo(() => chosen.design(0), [chosen]);
  const shades = useMemo(() => changedCard(start.shades, changes), [start, changes]);
  const used = useMemo(() => usedKeys(start.construction), [start]);
  const design = useMemo(
    () =>
      valueIfAny(() => {
        const named = name.trim() === '' ? start.name : name.trim();
        const construction = { ...start.construction, size };
        return asKind('tiling', readDesign({ ...start, name: named, shades, construction }));
      }),
    [start, name, size, shades],
  );
  return (
    <StartForm
      design={design}
      onClose={onClose}
      onMake={onMake}
      preview={{
        perThread: 1,
        words: tilingText(start.construction),
        waiting: 'The tiling shows when its size can be read.',
        shades: shades.filter(({ key }) => used.has(key)),
        changes,
        onChange: setChanges,
      }}
    >
      <TextField label="Name" value={name} onChange={setName} placeholder={chosen.name} />
      <NumberField
        label={SIZE_NAMES[start.construction.measured]}
        text={size}
        resolve={(text) => inMillimetres(text, pixelOf(start.resolution))}
        onChange={setSize}
      />
      <StartGrid
        starts={STARTS}
        chosen={chosen}
        onChoose={(next) => {
          setChosen(next);
          setSize(next.design(0).construction.size);
        }}
        onTake={() => design !== undefined && onMake(design)}
        perThread={1}
        tall
      />
    </StartForm>
  );
}

/** The letters of the shades that some face has. */
function usedKeys(construction: TilingSpec): ReadonlySet<string> {
  const { classes } = colouringOf(tilingOf(construction), construction);
  const keys = classShades(construction);
  return new Set(Array.from({ length: classes }, (_, kind) => keys[kind % keys.length]!));
}
