import { useMemo } from 'react';
import { inColourway } from '../../core/design/colourway.ts';
import { type ShadePrint, shadePrints } from '../../core/print/shade-prints.ts';
import { SUBSTRATES, substrateOf } from '../../core/print/substrate.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { useDesign } from '../state/bench-store.ts';
import { PrintOrders } from './print-orders.tsx';
import { useSend } from './send-store.ts';

/** Differences from which a shade is seen to be another, and from which it is far off (CIEDE2000, common practice). */
const SEEN = 2;
const FAR = 6;

/** The cloth that a strike-off is printed on, and what becomes of each shade there. */
export function StrikeOffFields() {
  const design = useDesign();
  const wish = useSend();
  const prints = useMemo(() => {
    const known = design.colourways.some(({ name }) => name === wish.colourway);
    const { shades } = inColourway(design, known ? wish.colourway : '');
    return shadePrints(shades, substrateOf(wish.substrate));
  }, [design, wish.colourway, wish.substrate]);
  return (
    <>
      <SelectField
        label="Printed on"
        value={wish.substrate}
        options={SUBSTRATES.map(({ key, name }) => ({ value: key, text: name }))}
        onChange={(substrate) => useSend.setState({ substrate })}
      />
      <Choice
        label="The cloth is"
        value={wish.washed ? 'washed' : 'new'}
        options={[
          { value: 'new', text: 'New' },
          { value: 'washed', text: 'Washed, shrunk' },
        ]}
        onChange={(state) => useSend.setState({ washed: state === 'washed' })}
      />
      <span className="label -mb-2" id="shade-prints">
        Each shade, in print, and how far off
      </span>
      <table aria-labelledby="shade-prints" className="w-full border-collapse text-[13px]">
        <tbody>
          {prints.map((print) => (
            <PrintRow key={print.shade.key} print={print} />
          ))}
        </tbody>
      </table>
      <PrintOrders />
    </>
  );
}

function PrintRow({ print: { shade, printed, difference } }: { print: ShadePrint }) {
  return (
    <tr className="border-rule border-t">
      <td className="w-[76px] py-1">
        <span className="flex">
          <span className="h-6 w-8 rounded-l" style={{ backgroundColor: shade.hex }} title={shade.hex} />
          <span className="h-6 w-8 rounded-r" style={{ backgroundColor: printed }} title={printed} />
        </span>
      </td>
      <td className="py-1">{shade.name}</td>
      <td className="numbers py-1 text-right">
        ΔE {difference.toFixed(1)}
        <span className="block text-[11px] text-ash">{apartWords(difference)}</span>
      </td>
    </tr>
  );
}

function apartWords(difference: number): string {
  if (difference < SEEN) return 'hardly seen';
  return difference < FAR ? 'seen beside it' : 'another colour';
}
