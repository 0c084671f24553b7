import { useMemo, useState } from 'react';
import type { Design } from '../core/design/design-schema.ts';
import { designFromStart, START_POINTS, type StartPoint } from '../core/design/start-points.ts';
import { threadCount } from '../core/thread/sequence.ts';
import { Choice } from '../kit/choice.tsx';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { Dialog } from '../kit/dialog.tsx';
import { plural } from '../wording/measures.ts';
import { Field, StartForm } from './new-fields.tsx';
import { NewStripe } from './new-stripe.tsx';
import { NewTiling } from './new-tiling.tsx';
import { fieldsOf, type StartFields, startDesign } from './start-design.ts';
import { StartGrid } from './start-grid.tsx';

interface NewDialogProps {
  readonly start: StartPoint;
  readonly onClose: () => void;
  readonly onMake: (design: Design) => void;
}

const CONSTRUCTIONS = [
  { value: 'plaid', text: 'Threads: a plaid, a check, a weave' },
  { value: 'stripe', text: 'Bands: a stripe, at any angle' },
  { value: 'tiling', text: 'Faces: a tiling of polygons' },
] as const;

/** Begins a design of any construction. */
export function NewDialog({ start, onClose, onMake }: NewDialogProps) {
  const [kind, setKind] = useState<(typeof CONSTRUCTIONS)[number]['value']>('plaid');
  return (
    <Dialog open onOpenChange={onClose} title="New design" wide>
      <div className="flex flex-col gap-4">
        <Choice label="Made of" hideLabel value={kind} options={CONSTRUCTIONS} onChange={setKind} />
        {kind === 'plaid' ? (
          <NewPlaid start={start} onClose={onClose} onMake={onMake} />
        ) : kind === 'stripe' ? (
          <NewStripe onClose={onClose} onMake={onMake} />
        ) : (
          <NewTiling onClose={onClose} onMake={onMake} />
        )}
      </div>
    </Dialog>
  );
}

/** Begins a plaid from thread counts: typed, or taken from an example and changed. */
function NewPlaid({ start, onClose, onMake }: NewDialogProps) {
  const [chosen, setChosen] = useState({ point: start, seed: 0 });
  const base = useMemo(() => designFromStart(chosen.point.key, chosen.seed), [chosen]);
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
          set(fieldsOf(designFromStart(point.key, seed)));
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
  chosen: StartPoint | undefined;
  onChoose: (point: StartPoint) => void;
}) {
  const starts = useMemo(
    () => START_POINTS.map((start) => ({ start, design: designFromStart(start.key) })),
    [],
  );
  return <StartGrid starts={starts} chosen={chosen} onChoose={onChoose} perThread={2} />;
}
