import { useMemo } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import {
  type Balance,
  balanceOf,
  type DirectionBalance,
  type ShadeShare,
} from '../../core/design/balance.ts';
import type { PlaidDesign } from '../../core/design/design-schema.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { layOut } from '../../core/thread/sequence.ts';
import { BarChart, type BarPart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { Measure } from '../../kit/panel.tsx';
import { ShadeName } from '../../kit/shade-name.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { percentText, plural } from '../../wording/measures.ts';

const BARS = ['Warp', 'Weft', 'Cloth'];

/** How much there is of each shade, and what is the same as what. */
export function BalancePart({ design }: { design: PlaidDesign }) {
  const balance = useMemo(() => valueIfAny(() => balanceOf(design)), [design]);
  const parts = useMemo(() => balance && shareParts(balance), [balance]);
  const widths = useMemo(() => widthParts(design), [design]);
  if (balance === undefined || parts === undefined) return null;
  const { warp, weft, cloth, sameTurned } = balance;
  return (
    <section aria-label="Balance" className="flex flex-col gap-2 border-rule border-t pt-3">
      <h3 className="text-[14px]">Balance</h3>
      <BarChart title="Shares of each shade" bars={BARS} parts={parts} sizeText={percentText} height={96} />
      <DataTable
        head={['Shade', 'Ends', 'Picks', 'Cloth']}
        rows={rowsOf(balance).map(({ shade, ends, picks, share }) => ({
          key: shade.key,
          cells: [
            <ShadeName key="shade" shade={shade} more={` ${shade.hex}`} />,
            ends,
            picks,
            share === undefined ? '' : percentText(share),
          ],
        }))}
      />
      <h3 className="mt-2 text-[14px]">Bands along the warp’s repeat</h3>
      <BarChart
        title="Threads of each band along the warp"
        {...widths}
        sizeText={threads}
        height={72}
        upright
      />
      <dl className="m-0 flex flex-col gap-1.5">
        <Measure name="Largest and smallest band, warp">{extremes(warp)}</Measure>
        <Measure name="Largest and smallest band, weft">{extremes(weft)}</Measure>
        <Measure name="Reads the same backward">{bothWays(warp.symmetric, weft.symmetric)}</Measure>
        <Measure name="The same turned by 90°">
          {sameTurned === undefined ? 'too large to try' : sameTurned ? 'yes' : 'no'}
        </Measure>
        <Measure name="Colours on the cloth">{cloth.length}</Measure>
      </dl>
    </section>
  );
}

interface Row {
  readonly shade: Shade;
  readonly ends: number | undefined;
  readonly picks: number | undefined;
  readonly share: number | undefined;
}

/** One row for each shade of the card that is used, then those that printing makes; names need not differ. */
function rowsOf({ warp, weft, cloth }: Balance): readonly Row[] {
  const find = (shares: readonly ShadeShare[], key: string) => shares.find((each) => each.shade.key === key);
  const used = new Map([...warp.shares, ...weft.shares, ...cloth].map(({ shade }) => [shade.key, shade]));
  return [...used].map(([key, shade]) => {
    const onCloth = find(cloth, key);
    return {
      shade,
      ends: find(warp.shares, key)?.count,
      picks: find(weft.shares, key)?.count,
      share: onCloth && toNumber(onCloth.share),
    };
  });
}

function shareParts({ warp, weft, cloth }: Balance): readonly BarPart[] {
  const part = ({ shade, share }: ShadeShare, bar: number): BarPart => ({
    name: shade.name,
    hex: shade.hex,
    sizes: BARS.map((_, index) => (index === bar ? toNumber(share) : 0)),
  });
  return [warp.shares, weft.shares, cloth].flatMap((shares, bar) => shares.map((share) => part(share, bar)));
}

/** Most bands that are drawn as bars. */
const DRAWN = 120;

function widthParts({ construction, shades }: PlaidDesign): {
  bars: readonly string[];
  parts: readonly BarPart[];
} {
  const laid = layOut(construction.warp).slice(0, DRAWN);
  return {
    bars: laid.map((band, index) => `${index + 1}. ${band.shade}`),
    parts: shades.map(({ key, name, hex }) => ({
      name,
      hex,
      sizes: laid.map((band) => (band.shade === key ? band.count : 0)),
    })),
  };
}

function threads(count: number): string {
  return plural(count, 'thread');
}

function extremes({ largest, smallest }: DirectionBalance): string {
  return `${largest.shade}${largest.count}, ${smallest.shade}${smallest.count}`;
}

function bothWays(warp: boolean, weft: boolean): string {
  if (warp && weft) return 'both';
  return warp ? 'warp only' : weft ? 'weft only' : 'neither';
}
