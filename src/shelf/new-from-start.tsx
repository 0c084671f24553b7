import { useMemo, useState } from 'react';
import type { ByKind } from '../core/design/constructions.ts';
import type { Design } from '../core/design/design-schema.ts';
import { startsOf } from '../core/design/starts.ts';
import { TextField } from '../kit/fields/text-field.tsx';
import { StartGrid } from '../kit/start-grid.tsx';
import { wordsFor } from '../wording/construction-words.ts';
import { changedCard, type ShadeChanges } from './begun-card.ts';
import { type NewFormProps, StartForm } from './start-form.tsx';

/** Begins a design of any construction: an example in chosen colours, and a name. */
export function NewFromStart({
  kind,
  onClose,
  onMake,
}: NewFormProps<Design> & { readonly kind: keyof ByKind }) {
  const starts = useMemo(() => startsOf(kind).map((start) => ({ start, design: start.design(0) })), [kind]);
  const [chosen, setChosen] = useState({ start: starts[0]!.start, seed: 0 });
  const [name, setName] = useState('');
  const [changes, setChanges] = useState<ShadeChanges>({});
  const begun = useMemo(() => chosen.start.design(chosen.seed), [chosen]);
  const named = name.trim() === '' ? chosen.start.name : name.trim();
  const design = useMemo<Design>(
    () => ({ ...begun, name: named, shades: [...changedCard(begun.shades, changes)] }),
    [begun, named, changes],
  );
  const { construction } = design;
  return (
    <StartForm
      design={design}
      onClose={onClose}
      onMake={onMake}
      preview={{
        perThread: 2,
        words: wordsFor(construction).built(construction),
        waiting: '',
        shades: design.shades,
        changes,
        onChange: setChanges,
      }}
    >
      <TextField label="Name" value={name} onChange={setName} placeholder={chosen.start.name} />
      <StartGrid
        starts={starts}
        chosen={chosen.start}
        // The same one again: another seed, where that makes a difference.
        onChoose={(start) => setChosen({ start, seed: start === chosen.start ? chosen.seed + 1 : 0 })}
        onTake={() => onMake(design)}
        perThread={1}
        tall
      />
    </StartForm>
  );
}
