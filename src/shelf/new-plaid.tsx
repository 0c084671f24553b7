import { useMemo, useState } from 'react';
import type { PlaidDesign } from '../core/design/design-schema.ts';
import { PLAID_STARTS } from '../core/design/plaid/plaid-starts.ts';
import { threadCount } from '../core/thread/sequence.ts';
import { TextField } from '../kit/fields/text-field.tsx';
import { StartGrid } from '../kit/start-grid.tsx';
import { plural } from '../wording/measures.ts';
import type { ShadeChanges } from './begun-card.ts';
import { fieldsOf, plaidName, type StartFields, shadesTyped, startDesign } from './start-design.ts';
import { type NewFormProps, StartForm } from './start-form.tsx';

const STARTS = PLAID_STARTS.map((start) => ({ start, design: start.design(0) }));

/** Begins a plaid from thread counts: typed, or taken from an example and changed. */
export function NewPlaid({ onClose, onMake }: NewFormProps<PlaidDesign>) {
  const [chosen, setChosen] = useState({ point: PLAID_STARTS[0]!, seed: 0 });
  const base = useMemo(() => chosen.point.design(chosen.seed), [chosen]);
  const [fields, setFields] = useState<StartFields>({ ...fieldsOf(base), name: '' });
  const [changes, setChanges] = useState<ShadeChanges>({});
  const result = useMemo(() => startDesign(base, fields, changes), [base, fields, changes]);
  const design = 'design' in result ? result.design : undefined;
  const errorOf = (field: string) => ('error' in result && result.field === field ? result.error : undefined);
  const set = (change: Partial<StartFields>) => setFields((old) => ({ ...old, ...change }));
  return (
    <StartForm
      design={design}
      onClose={onClose}
      onMake={onMake}
      preview={{
        perThread: 3,
        words:
          design === undefined
            ? ''
            : `${plural(threadCount(design.construction.warp), 'end')} in the warp’s repeat`,
        waiting: 'The cloth shows when the counts can be read.',
        shades: shadesTyped(base, fields, changes),
        changes,
        onChange: setChanges,
      }}
    >
      <TextField
        label="Name"
        value={fields.name}
        onChange={(name) => set({ name })}
        placeholder={plaidName(base, fields)}
      />
      <TextField
        label="Warp: a letter or a colour, and its threads; a slash marks the pivots"
        value={fields.warp}
        error={errorOf('warp')}
        onChange={(warp) => set({ warp })}
        counts
      />
      <TextField
        label="Weft, from the lower edge up"
        value={fields.weft}
        error={errorOf('weft')}
        onChange={(weft) => set({ weft })}
        placeholder="Follows the warp"
        counts
      />
      {base.construction.crossing === 'woven' && (
        <TextField
          label="Weave: plain, 2/2 twill, 8-end satin, herringbone 2/2 8, …"
          value={fields.weave}
          error={errorOf('weave')}
          onChange={(weave) => set({ weave })}
          counts
        />
      )}
      <StartGrid
        starts={STARTS}
        chosen={chosen.point}
        onChoose={(point) => {
          // The same one again: another seed, where that makes a difference.
          const seed = point === chosen.point ? chosen.seed + 1 : 0;
          setChosen({ point, seed });
          set(fieldsOf(point.design(seed)));
        }}
        onTake={() => design !== undefined && onMake(design)}
        perThread={2}
      />
    </StartForm>
  );
}
