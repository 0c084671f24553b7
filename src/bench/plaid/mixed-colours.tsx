import { useMemo } from 'react';
import { nameWithin } from '../../core/colour/free-name.ts';
import { freeKey, MAX_SHADES } from '../../core/colour/shade.ts';
import { balanceOf, type ShadeShare } from '../../core/design/balance.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { percentText } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';
import { setShades } from '../state/shade-edits.ts';
import { useDesignOf } from '../state/use-construction.ts';

interface MixedColour {
  readonly hex: string;
  /** The first two shades that make it. */
  readonly name: string;
  readonly share: number;
}

/** Each colour once, whichever shades make it, the largest share first. */
function mixedColours(cloth: readonly ShadeShare[]): readonly MixedColour[] {
  const found = new Map<string, MixedColour>();
  for (const { shade, share } of cloth) {
    const { hex } = shade;
    const { name = shade.name, share: before = 0 } = found.get(hex) ?? {};
    found.set(hex, { hex, name, share: before + toNumber(share) });
  }
  return [...found.values()].sort((a, b) => b.share - a.share);
}

/** The colours that come of a print, with their shares of the cloth; each can be put on the card. */
export function MixedColours() {
  const design = useDesignOf('plaid');
  const { shades } = design;
  const mixed = useMemo(() => mixedColours(valueIfAny(() => balanceOf(design).cloth) ?? []), [design]);
  if (mixed.length === 0) return null;
  return (
    <section aria-label="Mixed colours">
      <h3 className="mb-1 text-[14px]">Colours that come of it</h3>
      <ul className="m-0 max-h-48 list-none overflow-y-auto p-0">
        {mixed.map(({ name, hex, share }) => (
          <li key={hex} className="flex items-center gap-2 py-0.5">
            <span className="chip h-5 w-5 flex-none" style={{ backgroundColor: hex }} />
            <span className="min-w-0 flex-1 truncate text-[13px]" title={name}>
              {name}
            </span>
            <span className="numbers text-[12.5px]">{hex}</span>
            <span className="numbers w-14 text-right text-[12.5px]">{percentText(share)}</span>
            <button
              type="button"
              className="button button-plain min-h-6 px-1 text-woad"
              aria-label={`Keep ${hex} on the card`}
              disabled={shades.length >= MAX_SHADES || shades.some((shade) => shade.hex === hex)}
              onClick={() => {
                const added = {
                  key: freeKey(new Set(shades.map((shade) => shade.key))),
                  name: nameWithin(shades, hex),
                  hex,
                };
                dispatch({ kind: 'edit', edit: setShades([...shades, added]) });
              }}
            >
              Keep
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
