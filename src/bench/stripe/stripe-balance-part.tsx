import { useMemo } from 'react';
import type { StripeDesign } from '../../core/design/design-schema.ts';
import { bandScale } from '../../core/design/lay/lay-schema.ts';
import { type StripeBalance, stripeBalance } from '../../core/design/stripe/stripe-balance.ts';
import { divide, type Rational, toDecimal, toNumber } from '../../core/exact/rational.ts';
import { unitMillimetres } from '../../core/units/band-width.ts';
import { BarChart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { Measure } from '../../kit/panel.tsx';
import { ShadeName } from '../../kit/shade-name.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { percentText } from '../../wording/measures.ts';

const BARS = ['Cloth'];

/** Most bands that are drawn as bars. */
const DRAWN = 120;

/** How much there is of each shade of a stripe, and what is the same as what. */
export function StripeBalancePart({ design }: { design: StripeDesign }) {
  const balance = useMemo(() => valueIfAny(() => stripeBalance(design)), [design]);
  const shares = useMemo(
    () => balance?.shares.map(({ shade, share }) => ({ ...shade, sizes: [toNumber(share)] })) ?? [],
    [balance],
  );
  const widths = useMemo(() => balance && widthParts(design, balance), [design, balance]);
  if (balance === undefined || widths === undefined) return null;
  const width = widthTextFor(design);
  const { largest, smallest } = balance;
  return (
    <section aria-label="Balance" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Balance</h3>
      <BarChart title="Shares of each shade" bars={BARS} parts={shares} sizeText={percentText} height={44} />
      <DataTable
        head={['Shade', 'Width', 'Cloth']}
        rows={balance.shares.map(({ shade, width: all, share }) => ({
          key: shade.key,
          cells: [
            <ShadeName
              key="shade"
              shade={shade}
              more={shade.key === design.construction.clear ? ' (transparent)' : ''}
            />,
            width(all),
            percentText(toNumber(share)),
          ],
        }))}
      />
      <h3 className="mt-2 text-[14px]">Bands along their repeat</h3>
      <BarChart title="Width of each band along the repeat" {...widths} height={72} upright />
      <dl className="m-0 flex flex-col gap-1.5">
        <Measure name="One repeat of the bands">{width(balance.period)}</Measure>
        <Measure name="Widest and narrowest band">
          {`${largest.shade} ${width(largest.width)}, ${smallest.shade} ${width(smallest.width)}`}
        </Measure>
        <Measure name="Reads the same backward">{balance.symmetric ? 'yes' : 'no'}</Measure>
      </dl>
    </section>
  );
}

/** Writes millimetres in the stripe's unit. */
function widthTextFor(design: StripeDesign): (width: Rational) => string {
  const { unit } = design.construction;
  const one = unitMillimetres(unit, bandScale(design));
  return (width) => `${toDecimal(divide(width, one), 3)} ${unit === 'thread' ? 'threads' : unit}`;
}

function widthParts(design: StripeDesign, { laid }: StripeBalance) {
  const drawn = laid.slice(0, DRAWN);
  const { unit } = design.construction;
  const one = unitMillimetres(unit, bandScale(design));
  return {
    bars: drawn.map((band, index) => `${index + 1}. ${band.shade}`),
    parts: design.shades.map(({ key, name, hex }) => ({
      name,
      hex,
      sizes: drawn.map((band) => (band.shade === key ? toNumber(divide(band.width, one)) : 0)),
    })),
    sizeText: (size: number) => `${Number(size.toFixed(3))} ${unit}`,
  };
}
