import { useMemo, useRef } from 'react';
import { toast } from 'sonner';
import { nearPairs, SHADE_ORDERS, type ShadeOrder, sortShades } from '../../core/colour/compare.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../core/colour/shade.ts';
import { touchingShades } from '../../core/design/touching.ts';
import { CoreError } from '../../core/error.ts';
import { fileNameOf } from '../../core/formats/file-name.ts';
import {
  formatCardCsv,
  formatCardTokens,
  parseCardCsv,
  parseCardTokens,
} from '../../core/formats/shade-card.ts';
import { downloadText } from '../../kit/download.ts';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { TwoShades } from '../../kit/shade-name.tsx';
import { errorSentence } from '../../wording/error-sentence.ts';
import { plural } from '../../wording/measures.ts';
import { benchState, dispatch, useDesign } from '../state/bench-store.ts';
import { bandsUsing, removeShade, setShades } from '../state/shade-edits.ts';

const ORDER_NAMES: Readonly<Record<ShadeOrder, string>> = {
  hue: 'Round the hues',
  lightness: 'Light to dark',
  use: 'Most used first',
};

/** CIEDE2000 below which two shades are called near: most people do not see it side by side. */
const NEAR = 2.3;

/** Most pairs whose contrast is listed. */
const PAIRS = 8;

/** What can be done to the whole card: order it, merge what is alike, bring shades in, send them out. */
export function CardTools() {
  const design = useDesign();
  const { shades } = design;
  const touching = useMemo(() => touchingShades(design), [design]);
  const pairs = useMemo(() => nearPairs(shades, NEAR), [shades]);
  const picker = useRef<HTMLInputElement>(null);
  return (
    <section aria-label="The whole card" className="flex flex-col gap-3 border-rule border-t pt-3">
      <SelectField
        label="Order the card"
        value=""
        none="Choose an order…"
        options={SHADE_ORDERS.map((order) => ({ value: order, text: ORDER_NAMES[order] }))}
        onChange={(order: ShadeOrder) => {
          const sorted = sortShades(shades, order, (key) => bandsUsing(design, key));
          dispatch({ kind: 'edit', edit: setShades(sorted) });
        }}
      />
      {pairs.length > 0 && (
        <div>
          <span className="label">Hardly to be told apart</span>
          <ul className="m-0 list-none p-0">
            {pairs.map(({ one, other, difference }) => (
              <TwoShades key={`${one.key} ${other.key}`} one={one} other={other}>
                <span className="hint numbers">ΔE {difference.toFixed(1)}</span>
                <button
                  type="button"
                  className="button button-plain text-woad"
                  title={`${other.name} becomes ${one.name}`}
                  onClick={() => dispatch({ kind: 'edit', edit: removeShade(other.key, one.key) })}
                >
                  Merge
                </button>
              </TwoShades>
            ))}
          </ul>
        </div>
      )}
      {touching.length > 0 && (
        <div>
          <span className="label">Contrast where bands touch</span>
          <ul className="m-0 list-none p-0" aria-label="Contrast where bands touch">
            {touching.slice(0, PAIRS).map(({ one, other, contrast }) => (
              <TwoShades key={`${one.key} ${other.key}`} one={one} other={other}>
                <span className="numbers">{contrast.toFixed(1)} : 1</span>
              </TwoShades>
            ))}
          </ul>
          {touching.length > PAIRS && (
            <p className="hint">{touching.length - PAIRS} more stand further apart.</p>
          )}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <input
          ref={picker}
          type="file"
          accept=".csv,.json"
          className="hidden"
          aria-label="A shade card to bring in"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file !== undefined) void bringIn(file);
          }}
        />
        <button type="button" className="button" onClick={() => picker.current?.click()}>
          Bring in a card
        </button>
        <button type="button" className="button" onClick={() => sendCard('csv', formatCardCsv(shades))}>
          Card as CSV
        </button>
        <button
          type="button"
          className="button"
          onClick={() => sendCard('tokens.json', formatCardTokens(shades))}
        >
          As design tokens
        </button>
      </div>
    </section>
  );
}

function sendCard(ending: string, text: string): void {
  downloadText(
    fileNameOf({ name: `${benchState().history.present.name} shades`, file: `card.${ending}` }),
    text,
  );
}

/** Adds the shades of a file to the card; what is wrong with it is told, and nothing is changed. */
async function bringIn(file: File): Promise<void> {
  try {
    const text = await file.text();
    const read = /\.json$/i.test(file.name) ? parseCardTokens(text) : parseCardCsv(text);
    const { shades } = benchState().history.present;
    const added = newShades(shades, read);
    if (shades.length + added.length > MAX_SHADES) {
      throw new CoreError('shades/too-many', { shades: shades.length + added.length, most: MAX_SHADES });
    }
    dispatch({ kind: 'edit', edit: setShades([...shades, ...added]) });
    const known = read.length - added.length;
    toast(`Added ${plural(added.length, 'shade')}${known > 0 ? `; ${known} stood there already` : ''}.`);
  } catch (error) {
    toast.error(`${file.name}: ${errorSentence(error) ?? (error as Error).message}`, { duration: 20_000 });
  }
}

/** The shades that the card lacks, with letters that are free on it. */
export function newShades(card: readonly Shade[], read: readonly Shade[]): readonly Shade[] {
  const taken = new Set(card.map((shade) => shade.key));
  const known = (shade: Shade) => card.some(({ name, hex }) => name === shade.name && hex === shade.hex);
  return read
    .filter((shade) => !known(shade))
    .map((shade) => {
      const key = taken.has(shade.key) ? freeKey(taken) : shade.key;
      taken.add(key);
      return { ...shade, key };
    });
}
