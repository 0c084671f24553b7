import { useMemo } from 'react';
import { type Rational, toDecimal, toNumber } from '../../core/exact/rational.ts';
import { type RatioFit, ratioFits } from '../../core/repeat/pixel-fit.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { DotChart } from '../../kit/charts/charts.tsx';
import { DataTable } from '../../kit/data-table.tsx';
import { millionthsText, perMetreText } from '../../wording/measures.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { setResolution } from '../state/design-edits.ts';

interface RatioFitsPartProps {
  /** Size of the repeat in pixels, before it is rounded. */
  readonly exact: { readonly width: Rational; readonly height: Rational };
  /** As it is rounded now. */
  readonly now: { readonly width: number; readonly height: number };
}

/** A chart of fewer dots says less than the table. */
const FEW = 3;

/** Whole-pixel repeats that keep the ratio, what each misses against how large it is; one click takes one. */
export function RatioFitsPart({ exact, now }: RatioFitsPartProps) {
  const { resolution } = useDesign();
  const fits = useMemo(() => ratioFits(exact, parseResolution(resolution)), [exact, resolution]);
  const dots = useMemo(
    () =>
      fits.map((fit) => ({
        name: `${fit.width} × ${fit.height}`,
        x: fit.width,
        y: Math.abs(toNumber(fit.errorRatio)) * 1e6,
        chosen: fit.width === now.width && fit.height === now.height,
      })),
    [fits, now],
  );
  const dpi = (fit: RatioFit) => toDecimal(fit.dpi, 6);
  return (
    <div>
      <h3 className="mb-1 text-[14px]">Pixels that keep the ratio</h3>
      {dots.length > FEW && (
        <DotChart
          title="Error of the ratio against the repeat in pixels"
          xTitle="repeat across, pixels"
          yTitle="error, ppm"
          yUnit=" ppm"
          dots={dots}
          onChoose={(index) => dispatch({ kind: 'edit', edit: setResolution(dpi(fits[index]!)) })}
          height={132}
        />
      )}
      <DataTable
        small
        head={['Repeat', 'Error, ppm', 'At dpi', 'Choose']}
        rows={fits.map((fit) => ({
          key: `${fit.width} ${fit.height} ${toNumber(fit.errorRatio)}`,
          title: perMetreText(fit.errorRatio),
          cells: [
            `${fit.width} × ${fit.height}`,
            millionthsText(fit.errorRatio),
            Number(Number(dpi(fit)).toFixed(2)),
            <button
              key="use"
              type="button"
              className="button button-plain text-woad"
              aria-label={`Use ${fit.width} × ${fit.height}`}
              onClick={() => dispatch({ kind: 'edit', edit: setResolution(dpi(fit)) })}
            >
              Use
            </button>,
          ],
        }))}
      />
      <p className="hint mt-1">A ppm is a thousandth of a millimetre in a metre of cloth.</p>
    </div>
  );
}
