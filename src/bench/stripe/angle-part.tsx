import { useId, useMemo, useState } from 'react';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { atAngle, inSquare, offersFor } from '../../core/design/stripe/at-angle.ts';
import { stripeSquare } from '../../core/design/stripe/compile-stripe.ts';
import type { SlopeOffer } from '../../core/design/stripe/slope-offers.ts';
import { ONE, toDecimal, toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import { parseSlope, type Slope, sameSlope, slopeDegrees, slopeText } from '../../core/exact/slope.ts';
import { isRational, nearFraction } from '../../core/exact/surd.ts';
import { fromMillimetres, parseLength } from '../../core/units/length.ts';
import { DotChart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { degreesText, missText } from '../../wording/lines.ts';
import { lengthText, sideText } from '../../wording/measures.ts';
import { dispatch } from '../state/bench-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { setStripe } from './stripe-edits.ts';

/** The angle of a stripe: typed, dragged or chosen among the slopes that repeat. */
export function AnglePart() {
  const design = useDesignOf('stripe');
  const { slope, asked, measured } = design.construction;
  const wished = asked === null ? slopeDegrees(slope) : toNumber(readDegrees(asked));
  const offers = useMemo(() => valueIfAny(() => offersFor(design, wished)) ?? [], [design, wished]);
  const set = (change: Parameters<typeof setStripe>[0], tag?: string) =>
    dispatch({ kind: 'edit', edit: setStripe(change), ...(tag === undefined ? {} : { tag }) });
  return (
    <section aria-label="Angle" className="flex flex-col gap-3 border-rule border-y py-3">
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Angle, degrees"
          text={asked ?? degreesText(slopeDegrees(slope)).replace('°', '').replace('−', '-')}
          resolve={resolveDegrees}
          onChange={(text) => {
            const change = valueIfAny(() => atAngle(design, text));
            if (change !== undefined) set(change, 'angle');
          }}
          after={<span className="text-ash">°</span>}
        />
        <NumberField
          label="Slope, rise / run"
          text={slopeText(slope)}
          resolve={(text) => slopeText(parseSlope(text))}
          onChange={(text) => set({ slope: { ...parseSlope(text) }, asked: null }, 'slope')}
        />
      </div>
      {asked !== null && (
        <p className="text-[13px]">
          You asked for {asked}°. Slope {slopeText(slope)} is {degreesText(slopeDegrees(slope))}:{' '}
          {missText(slopeDegrees(slope) - wished)}.
        </p>
      )}
      <Choice
        label="Widths are measured"
        value={measured}
        options={[
          { value: 'across', text: 'Across the lines' },
          { value: 'edge', text: 'Along the upper edge' },
        ]}
        onChange={(next) => set({ measured: next })}
      />
      {measured === 'across' && !isRational(stripeSquare(ONE, slope, measured)) && (
        <p className="hint">
          Measured across, this slope’s repeat has a root in it and is rounded in pixels. Measured along the
          edge it is exact; across, the slopes 3/4 and 5/12 are.
        </p>
      )}
      <Offers offers={offers} chosen={slope} onChoose={(chosen) => set({ slope: { ...chosen } })} />
      <SquareForm />
    </section>
  );
}

interface OffersProps {
  readonly offers: readonly SlopeOffer[];
  readonly chosen: Slope;
  readonly onChoose: (slope: Slope) => void;
}

/** What each slope near the wish misses, against what it costs: as a chart to look at and a table to take from. */
function Offers({ offers, chosen, onChoose }: OffersProps) {
  const { unit } = useDesignOf('stripe').lay;
  const dots = useMemo(
    () =>
      offers.map(({ slope, error, square }) => ({
        name: slopeText(slope),
        x: toNumber(fromMillimetres(nearFraction(square), unit)),
        y: Math.abs(error),
        chosen: sameSlope(slope, chosen),
      })),
    [offers, chosen, unit],
  );
  if (offers.length === 0) return null;
  return (
    <div>
      <h3 className="mb-1 text-[14px]">Slopes that repeat</h3>
      <DotChart
        title="Error of each slope against the square it repeats in"
        xTitle={`square repeat, ${unit}`}
        yTitle="error, degrees"
        yUnit="°"
        dots={dots}
        onChoose={(index) => onChoose(offers[index]!.slope)}
        height={132}
      />
      <DataTable
        small
        head={['Slope', 'Angle', 'Error', `Square, ${unit}`]}
        rows={offers.map(({ slope, degrees, error, square, repeat }) => ({
          key: slopeText(slope),
          title: `Upright repeat ${sideText(repeat.width, unit)} × ${sideText(repeat.height, unit)} ${unit}`,
          chosen: sameSlope(slope, chosen),
          cells: [
            <button
              key="slope"
              type="button"
              className="min-h-6 min-w-8 text-left font-semibold text-woad"
              aria-label={`Use slope ${slopeText(slope)}`}
              aria-pressed={sameSlope(slope, chosen)}
              onClick={() => onChoose(slope)}
            >
              {slopeText(slope)}
            </button>,
            degreesText(degrees),
            missText(error),
            toDecimal(fromMillimetres(nearFraction(square), unit), unit === 'mm' ? 1 : 3),
          ],
        }))}
      />
    </div>
  );
}

/** 45° in a square: a side, a number of periods, and one click. */
function SquareForm() {
  const id = useId();
  const design = useDesignOf('stripe');
  const { unit } = design.lay;
  const pixel = pixelOf(design.resolution);
  const [side, setSide] = useState(unit === 'in' ? '4 in' : '100 mm');
  const [periods, setPeriods] = useState('7');
  const read = () => ({ side: parseLength(side, unit, pixel), periods: whole(periods, 1) });
  return (
    <fieldset className="m-0 flex flex-col gap-2 border-0 p-0" aria-labelledby={`${id}-title`}>
      <h3 id={`${id}-title`} className="text-[14px]">
        45° in a square
      </h3>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Side of the square"
          text={side}
          resolve={(text) => `${lengthText(parseLength(text, unit, pixel), unit)} ${unit}`}
          onChange={setSide}
        />
        <NumberField
          label="Repeats of the bands along each edge"
          text={periods}
          resolve={(text) => String(whole(text, 1))}
          onChange={setPeriods}
        />
      </div>
      <button
        type="button"
        className="button self-start"
        onClick={() => {
          const wish = read();
          dispatch({ kind: 'edit', edit: setStripe(inSquare(design, wish.side, wish.periods)) });
        }}
      >
        Scale the bands into it
      </button>
    </fieldset>
  );
}

function resolveDegrees(text: string): string {
  return toDecimal(readDegrees(text), 6);
}
