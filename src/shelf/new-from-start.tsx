import { useMemo, useState } from 'react';
import type { ByKind } from '../core/design/constructions.ts';
import type { Design } from '../core/design/design-schema.ts';
import { startsOf } from '../core/design/starts.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { wordsFor } from '../wording/construction-words.ts';
import { Field, type NewFormProps, StartForm } from './new-fields.tsx';
import { StartGrid } from './start-grid.tsx';

/** Begins a design of any construction: an example, and a name. */
export function NewFromStart({
  kind,
  onClose,
  onMake,
}: Omit<NewFormProps<Design>, 'start'> & { readonly kind: keyof ByKind }) {
  const starts = useMemo(() => startsOf(kind).map((start) => ({ start, design: start.design(0) })), [kind]);
  const [key, setKey] = useState(starts[0]!.start.key);
  const [name, setName] = useState('');
  const chosen = starts.find(({ start }) => start.key === key)!;
  const named = name.trim() === '' ? chosen.start.name : name.trim();
  const design = useMemo(() => ({ ...chosen.design, name: named }), [chosen, named]);
  const { construction } = design;
  return (
    <StartForm design={design} onClose={onClose} onMake={onMake}>
      <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-6">
        <Field label="Name" value={name} onChange={setName} placeholder={chosen.start.name} />
        <div>
          <ClothSwatch design={design} width={220} height={132} perThread={2} />
          <p className="hint mt-1">{wordsFor(construction).built(construction)}</p>
        </div>
      </div>
      <StartGrid
        starts={starts}
        chosen={chosen.start}
        onChoose={(start) => setKey(start.key)}
        perThread={1}
      />
    </StartForm>
  );
}
