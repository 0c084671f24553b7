import type { Straps } from '../../core/design/strap/strap-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { plural } from '../../wording/measures.ts';
import { useCrossings } from './straps-store.ts';

type ByHand = Pick<Straps, 'swapped' | 'turned'>;

interface CrossingsPartProps extends ByHand {
  readonly onChange: (change: Partial<ByHand>) => void;
}

/** Every strap where the other is, or single crossings by hand. */
export function CrossingsPart({ swapped, turned, onChange }: CrossingsPartProps) {
  const isShown = useCrossings(({ shown }) => shown);
  return (
    <>
      <CheckField text="Over and under exchanged" on={swapped} onChange={(on) => onChange({ swapped: on })} />
      <CheckField
        text="Crossings on the cloth, to be turned by hand"
        on={isShown}
        onChange={(shown) => useCrossings.setState({ shown })}
      />
      {turned.length > 0 && (
        <div className="flex items-baseline justify-between gap-3">
          <span className="hint">{plural(turned.length, 'crossing')} turned by hand</span>
          <button type="button" className="button" onClick={() => onChange({ turned: [] })}>
            Turn them back
          </button>
        </div>
      )}
    </>
  );
}
