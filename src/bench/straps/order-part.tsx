import type { StrapReport } from '../../core/design/strap/strap-report.ts';
import type { Straps } from '../../core/design/strap/strap-schema.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { cellsText, strapLines } from '../../wording/strap-words.ts';
import { CrossingsPart } from './crossings-part.tsx';

const ORDERS = [
  { value: 'turns', text: 'Over and under in turn' },
  { value: 'family', text: 'One family over the other' },
  { value: 'plain', text: 'Plain weave' },
  { value: 'twill', text: 'Twill' },
  { value: 'basket', text: 'Basket' },
] as const;

type OrderName = (typeof ORDERS)[number]['value'];

const USUAL: Readonly<Record<OrderName, Straps['order']>> = {
  turns: { by: 'turns' },
  family: { by: 'family' },
  plain: { by: 'twill', over: 1, under: 1, climbs: 'right' },
  twill: { by: 'twill', over: 2, under: 2, climbs: 'right' },
  basket: { by: 'basket', straps: 2 },
};

function nameOf(order: Straps['order']): OrderName {
  return order.by === 'twill' && order.over === 1 && order.under === 1 ? 'plain' : order.by;
}

interface OrderPartProps {
  readonly straps: Straps;
  readonly report: StrapReport | null | undefined;
  readonly onChange: (change: Partial<Straps>, tag?: string) => void;
}

/** Which strap goes over which, whether that comes out, and the boxes that it takes. */
export function OrderPart({ straps, report, onChange }: OrderPartProps) {
  const { order, cells } = straps;
  const isOne = cells.across * cells.up === 1;
  return (
    <section aria-label="Over and under" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="text-[14px]">Over and under</h3>
      <SelectField
        label="Straps go"
        value={nameOf(order)}
        options={ORDERS}
        onChange={(name) => onChange({ order: USUAL[name] })}
      />
      {order.by === 'twill' && nameOf(order) === 'twill' && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Over"
            text={String(order.over)}
            resolve={(text) => String(threads(text))}
            onChange={(text) => onChange({ order: { ...order, over: threads(text) } }, 'over')}
          />
          <NumberField
            label="Under"
            text={String(order.under)}
            resolve={(text) => String(threads(text))}
            onChange={(text) => onChange({ order: { ...order, under: threads(text) } }, 'under')}
          />
          <div className="col-span-2">
            <Choice
              label="Climbs to the"
              value={order.climbs}
              options={[
                { value: 'right', text: 'Right' },
                { value: 'left', text: 'Left' },
              ]}
              onChange={(climbs) => onChange({ order: { ...order, climbs } })}
            />
          </div>
        </div>
      )}
      {order.by === 'basket' && (
        <Choice
          label="Straps together"
          value={String(order.straps)}
          options={['2', '3', '4'].map((count) => ({ value: count, text: count }))}
          onChange={(count) => onChange({ order: { by: 'basket', straps: Number(count) } })}
        />
      )}
      <CrossingsPart swapped={straps.swapped} turned={straps.turned} onChange={onChange} />
      {report !== undefined && report !== null && (
        <>
          <ul aria-label="How the straps cross" className="m-0 flex list-none flex-col gap-1 p-0 text-[13px]">
            {strapLines(report, straps).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          {!report.kept && report.needs !== null && (
            <button
              type="button"
              className="button"
              onClick={() => onChange({ cells: report.needs!, turned: [] })}
            >
              Repeat {cellsText(report.needs)}
            </button>
          )}
        </>
      )}
      {!isOne && (
        <button
          type="button"
          className="button"
          onClick={() => onChange({ cells: { across: 1, shift: 0, up: 1 }, turned: [] })}
        >
          Repeat one box
        </button>
      )}
    </section>
  );
}

/** Straps that go over or under together. */
function threads(text: string): number {
  return Math.min(7, Math.max(1, whole(text, 1)));
}
