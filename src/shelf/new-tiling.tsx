import { useMemo, useState } from 'react';
import type { TilingDesign } from '../core/design/design-schema.ts';
import { asKind } from '../core/design/of-kind.ts';
import { readDesign } from '../core/design/read-design.ts';
import { tilingOf } from '../core/design/tiling/shape-of-tiling.ts';
import type { TilingSpec } from '../core/design/tiling/tiling-schema.ts';
import { TILING_STARTS } from '../core/design/tiling/tiling-starts.ts';
import { cellArea } from '../core/exact/lattice.ts';
import { nearNumber } from '../core/exact/surd.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { NumberField } from '../kit/fields/number-field.tsx';
import { valueIfAny } from '../wording/attempt.ts';
import { inMillimetres, tilingText } from '../wording/tiling-words.ts';
import { Field, type NewFormProps, StartForm } from './new-fields.tsx';
import { StartGrid } from './start-grid.tsx';

/** Square pixels of a little swatch, and the faces and cells of which it shows at least so many. */
const ROOM = 92 * 64;
const FACES = 28;
const CELLS = 4;

/** A side of 1 in the little swatches. */
function littleSide(spec: TilingSpec): string {
  const { lattice, faces } = tilingOf(spec);
  const cells = Math.max(CELLS, FACES / faces.length);
  return `${Math.sqrt(ROOM / (cells * nearNumber(cellArea(lattice)))).toFixed(2)} mm`;
}

const STARTS = TILING_STARTS.map((start) => {
  const design = start.design(0);
  const { construction } = design;
  return { start, design: { ...design, construction: { ...construction, size: littleSide(construction) } } };
});

/** Begins a tiling: one of those that there are, and how long its sides are. */
export function NewTiling({ onClose, onMake }: NewFormProps<TilingDesign>) {
  const [chosen, setChosen] = useState(TILING_STARTS[0]!);
  const [name, setName] = useState('');
  const [size, setSize] = useState('20 mm');
  const design = useMemo(
    () =>
      valueIfAny(() => {
        const start = chosen.design(0);
        const named = name.trim() === '' ? start.name : name.trim();
        return asKind(
          'tiling',
          readDesign({ ...start, name: named, construction: { ...start.construction, size } }),
        );
      }),
    [chosen, name, size],
  );
  return (
    <StartForm design={design} onClose={onClose} onMake={onMake}>
      <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-6">
        <div className="flex flex-col gap-3">
          <Field label="Name" value={name} onChange={setName} placeholder={chosen.name} />
          <NumberField label="A side of 1 is" text={size} resolve={inMillimetres} onChange={setSize} />
        </div>
        {design !== undefined && (
          <div>
            <ClothSwatch design={design} width={220} height={132} perThread={1} />
            <p className="hint mt-1">{tilingText(design.construction)}</p>
          </div>
        )}
      </div>
      <StartGrid
        starts={STARTS}
        chosen={chosen}
        onChoose={(start) => {
          setChosen(start);
          setSize(start.design(0).construction.size);
        }}
        perThread={1}
        tall
      />
    </StartForm>
  );
}
