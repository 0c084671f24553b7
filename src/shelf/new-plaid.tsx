import { useMemo, useState } from 'react';
import type { StartPoint } from '../core/design/construction.ts';
import type { PlaidDesign } from '../core/design/design-schema.ts';
import { PLAID_STARTS } from '../core/design/plaid/plaid-starts.ts';
import { threadCount } from '../core/thread/sequence.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { plural } from '../wording/measures.ts';
import { Field, type NewFormProps, StartForm } from './new-fields.tsx';
import { fieldsOf, type StartFields, startDesign } from './start-design.ts';
import { StartGrid } from './start-grid.tsx';

/** Begins a plaid from thread counts: typed, or taken from an example and changed. */
export function NewPlaid({ start = PLAID_STARTS[0]!, onClose, onMake }: NewFormProps<PlaidDesign>) {
  const [chosen, setChosen] = useState({ point: start, seed: 0 });
  const base = useMemo(() => chosen.point.design(chosen.seed), [chosen]);
  const [fields, setFields] = useState<StartFields>({ ...fieldsOf(base), name: '' });
  const result = useMemo(() => startDesign(base, fields), [base, fields]);
  const design = 'design' in result ? result.design : undefined;
  const errorOf = (field: string) => ('error' in result && result.field === field ? result.error : undefined);
  const set = (change: Partial<StartFields>) => setFields((old) => ({ ...old, ...change }));
  return (
    <StartForm design={design} onClose={onClose} onMake={onMake}>
      <div className="grid grid-cols-[minmax(0,1fr)_220px] gap-6">
        <div className="flex flex-col gap-3">
          <Field label="Name" value={fields.name} onChange={(name) => set({ name })} placeholder="Untitled" />
          <Field
            label="Warp: a letter a shade, and its threads; a slash marks the pivots"
            value={fields.warp}
            error={errorOf('warp')}
            onChange={(warp) => set({ warp })}
            counts
          />
          <Field
            label="Weft, from the lower edge up"
            value={fields.weft}
            error={errorOf('weft')}
            onChange={(weft) => set({ weft })}
            placeholder="Follows the warp"
            counts
          />
          <Field
            label="Woven as: plain, 2/2 Z, satin 8/3, herringbone 2/2 8, …"
            value={fields.weave}
            error={errorOf('weave')}
            onChange={(weave) => set({ weave })}
            counts
          />
        </div>
        <div>
          {design === undefined ? (
            <div className="grid h-[200px] w-[220px] place-items-center rounded border border-rule border-dashed p-4 text-center text-ash">
              The cloth shows when the counts can be read.
            </div>
          ) : (
            <>
              <ClothSwatch design={design} width={220} height={200} perThread={3} />
              <p className="hint mt-1">
                {plural(threadCount(design.construction.warp), 'end')} in the warp’s repeat
              </p>
            </>
          )}
        </div>
      </div>
      <Examples
        chosen={chosen.point}
        onChoose={(point) => {
          // The same one again: another seed, where that makes a difference.
          const seed = point === chosen.point ? chosen.seed + 1 : 0;
          setChosen({ point, seed });
          set(fieldsOf(point.design(seed)));
        }}
      />
    </StartForm>
  );
}

/** Examples of plaids; one fills the fields. */
export function Examples({
  chosen,
  onChoose,
}: {
  chosen: StartPoint<PlaidDesign> | undefined;
  onChoose: (point: StartPoint<PlaidDesign>) => void;
}) {
  const starts = useMemo(() => PLAID_STARTS.map((start) => ({ start, design: start.design(0) })), []);
  return <StartGrid starts={starts} chosen={chosen} onChoose={onChoose} perThread={2} />;
}
