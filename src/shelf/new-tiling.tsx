import { useMemo, useState } from 'react';
import { asTiling, type TilingDesign } from '../core/design/design-schema.ts';
import { readDesign } from '../core/design/read-design.ts';
import { parseSize } from '../core/design/tiling/tiling-schema.ts';
import { TILING_STARTS, tilingFromStart } from '../core/design/tiling-starts.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { valueIfAny } from '../wording/attempt.ts';
import { lengthText } from '../wording/measures.ts';
import { tilingText } from '../wording/tiling-words.ts';
import { Field, StartForm } from './new-fields.tsx';
import { StartGrid } from './start-grid.tsx';

interface NewTilingProps {
  readonly onClose: () => void;
  readonly onMake: (design: TilingDesign) => void;
}

/** Size of a side in the little swatches, so that some repeats are seen. */
const LITTLE = '9 mm';

const STARTS = TILING_STARTS.map((start) => {
  const design = tilingFromStart(start.key);
  return { start, design: { ...design, construction: { ...design.construction, size: LITTLE } } };
});

/** Begins a tiling: one of those that there are, and how long its sides are. */
export function NewTiling({ onClose, onMake }: NewTilingProps) {
  const [chosen, setChosen] = useState(TILING_STARTS[0]!);
  const [name, setName] = useState('');
  const [size, setSize] = useState('20 mm');
  const design = useMemo(
    () =>
      valueIfAny(() => {
        const start = tilingFromStart(chosen.key);
        const named = name.trim() === '' ? start.name : name.trim();
        return asTiling(readDesign({ ...start, name: named, construction: { ...start.construction, size } }));
      }),
    [chosen, name, size],
  );
  return (
    <StartForm design={design} onClose={onClose} onMake={onMake}>
      <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-6">
        <div className="flex flex-col gap-3">
          <Field label="Name" value={name} onChange={setName} placeholder={chosen.name} />
          <NumberField
            label="A side of 1 is"
            text={size}
            resolve={(text) => `${lengthText(parseSize(text), 'mm')} mm`}
            onChange={setSize}
          />
        </div>
        {design !== undefined && (
          <div>
            <ClothSwatch design={design} width={220} height={200} perThread={1} />
            <p className="hint mt-1">{tilingText(design.construction)}</p>
          </div>
        )}
      </div>
      <StartGrid
        starts={STARTS}
        chosen={chosen}
        onChoose={(start) => {
          setChosen(start);
          setSize(start.order.size ?? '20 mm');
        }}
        perThread={1}
      />
    </StartForm>
  );
}
