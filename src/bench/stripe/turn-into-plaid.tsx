import { useMemo, useState } from 'react';
import type { Lay, StripeDesign } from '../../core/design/design-schema.ts';
import { plaidOfStripe } from '../../core/design/turn-into/plaid-of-stripe.ts';
import { formatThreadCount } from '../../core/formats/thread-count.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import { DENSITY_BASES, parseDensity } from '../../core/units/density.ts';
import { ClothSwatch } from '../../kit/cloth-swatch.tsx';
import { Dialog } from '../../kit/dialog.tsx';
import { DialogActions } from '../../kit/dialog-actions.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { attempt } from '../../wording/attempt.ts';
import { plural } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';

/** Crosses a stripe's bands with themselves, in threads of a density. */
export function TurnIntoPlaid({ design }: { design: StripeDesign }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="button self-start" onClick={() => setOpen(true)}>
        Turn this stripe into a plaid…
      </button>
      {open && <TurnDialog design={design} onClose={() => setOpen(false)} />}
    </>
  );
}

function TurnDialog({ design, onClose }: { design: StripeDesign; onClose: () => void }) {
  const [density, setDensity] = useState(design.lay.ends);
  const [per, setPer] = useState<Lay['per']>(design.lay.per);
  const made = useMemo(() => attempt(() => plaidOfStripe(design, { density, per })), [design, density, per]);
  const plaid = 'value' in made ? made.value : undefined;
  return (
    <Dialog open onOpenChange={onClose} title="Turn this stripe into a plaid">
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (plaid === undefined) return;
          dispatch({ kind: 'edit', edit: () => plaid });
          dispatch({ kind: 'select', selection: undefined });
          onClose();
        }}
      >
        <div className="grid grid-cols-2 items-start gap-3">
          <NumberField
            label="Threads"
            text={density}
            resolve={(text) => {
              parseDensity(text);
              return text.trim();
            }}
            onChange={setDensity}
          />
          <Choice
            label="per"
            value={per}
            options={DENSITY_BASES.map((base) => ({ value: base, text: base === 'in' ? 'inch' : base }))}
            onChange={setPer}
          />
        </div>
        {plaid === undefined ? (
          <p role="alert" className="text-madder">
            {'problem' in made ? made.problem : ''}
          </p>
        ) : (
          <div>
            <ClothSwatch design={plaid} width={392} height={150} perThread={2} />
            <p className="numbers mt-2 max-h-16 overflow-y-auto">
              {formatThreadCount(plaid.construction.warp)}
            </p>
            <p className="hint">
              {plural(threadCount(plaid.construction.warp), 'end')} a repeat, edges rounded to whole threads.
              Undo takes it back.
            </p>
          </div>
        )}
        <DialogActions action="Apply" disabled={plaid === undefined} onClose={onClose} />
      </form>
    </Dialog>
  );
}
