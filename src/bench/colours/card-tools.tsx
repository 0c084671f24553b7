import { useMemo } from 'react';
import { toast } from 'sonner';
import { nearPairs, SHADE_ORDERS, type ShadeOrder, sortShades } from '../../core/colour/compare.ts';
import { touchingShades } from '../../core/design/touching.ts';
import { fileNameOf } from '../../core/formats/file-name.ts';
import { formatCardCsv, formatCardTokens } from '../../core/formats/shade-card.ts';
import { downloadText } from '../../kit/download.ts';
import { FileButton } from '../../kit/fields/file-button.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { TwoShades } from '../../kit/shade-name.tsx';
import { errorSentence } from '../../wording/error-sentence.ts';
import { benchState, dispatch, useDesign } from '../state/bench-store.ts';
import { bandsUsing, removeShade, setShades } from '../state/shade-edits.ts';
import { addShades, readCard } from './add-shades.ts';
import { PasteColours } from './paste-colours.tsx';

const ORDER_NAMES: Readonly<Record<ShadeOrder, string>> = {
  hue: 'By hue',
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
  return (
    <section aria-label="The whole card" className="flex flex-col gap-3 border-rule border-t pt-3">
      <SelectField
        label="Sort the shades"
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
          <span className="label">Similar shades</span>
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
      <PasteColours />
      <div className="flex flex-wrap gap-2">
        <FileButton
          text="Import shades"
          label="A shade card to import"
          accept=".csv,.json,.gpl,.css,.txt,.hex"
          onFiles={([file]) => void importFile(file!)}
        />
        <button type="button" className="button" onClick={() => sendCard('csv', formatCardCsv(shades))}>
          Export as CSV
        </button>
        <button
          type="button"
          className="button"
          onClick={() => sendCard('tokens.json', formatCardTokens(shades))}
        >
          Colour tokens (JSON)
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
async function importFile(file: File): Promise<void> {
  try {
    const text = await file.text();
    addShades(readCard(file.name, text));
  } catch (error) {
    toast.error(`${file.name}: ${errorSentence(error) ?? (error as Error).message}`, { duration: 20_000 });
  }
}
