import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  Tooltip,
  type TooltipItem,
} from 'chart.js';
import { useEffect, useRef } from 'react';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** One part of the bars: its colour, and its size in each bar. */
export interface BarPart {
  readonly name: string;
  readonly hex: string;
  readonly sizes: readonly number[];
}

interface BarChartProps {
  /** What the chart shows, for those who cannot see it; the table behind it says the rest. */
  readonly title: string;
  readonly bars: readonly string[];
  readonly parts: readonly BarPart[];
  /** What a size is, in words. */
  readonly sizeText: (size: number) => string;
  readonly height: number;
  /** Bars upright, side by side, or level and stacked. */
  readonly upright?: boolean;
  /** Whether upright bars have their names below them; for a few short ones. */
  readonly named?: boolean;
}

/** Bars of shades, with a table behind them for screen readers. */
export function BarChart({
  title,
  bars,
  parts,
  sizeText,
  height,
  upright = false,
  named = false,
}: BarChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const chart = new Chart(canvas.current!, chartOf({ bars, parts, sizeText, upright, named }));
    return () => chart.destroy();
  }, [bars, parts, sizeText, upright, named]);
  return (
    <figure className="m-0">
      <div style={{ height }}>
        <canvas ref={canvas} role="img" aria-label={title} />
      </div>
      <div className="sr-only">
        <table>
          <caption>{title}</caption>
          <thead>
            <tr>
              <td />
              {bars.map((bar) => (
                <th key={bar}>{bar}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {parts.map(({ name, sizes }, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
              <tr key={index}>
                <th scope="row">{name}</th>
                {sizes.map((size, bar) => (
                  <td key={bars[bar]}>{sizeText(size)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </figure>
  );
}

type Look = Pick<BarChartProps, 'bars' | 'parts' | 'sizeText'> &
  Required<Pick<BarChartProps, 'upright' | 'named'>>;

function chartOf({ bars, parts, sizeText, upright, named }: Look) {
  const font = { family: '"Instrument Sans Variable", sans-serif', size: 12 };
  return {
    type: 'bar' as const,
    data: {
      labels: [...bars],
      datasets: parts.map(({ name, hex, sizes }) => ({
        label: name,
        data: [...sizes],
        backgroundColor: hex,
        borderColor: 'rgb(32 41 43 / 0.25)',
        borderWidth: 0.5,
        barPercentage: upright ? 1 : 0.8,
        categoryPercentage: upright ? 0.94 : 0.9,
      })),
    },
    options: {
      animation: false as const,
      maintainAspectRatio: false,
      indexAxis: upright ? ('x' as const) : ('y' as const),
      scales: {
        x: {
          stacked: true,
          display: named,
          grid: { display: false },
          border: { display: false },
          ticks: { font },
        },
        y: {
          stacked: true,
          display: !upright,
          grid: { display: false },
          border: { display: false },
          ticks: { font },
        },
      },
      plugins: {
        tooltip: {
          callbacks: {
            label: (item: TooltipItem<'bar'>) => `${item.dataset.label ?? ''}: ${sizeText(Number(item.raw))}`,
          },
        },
      },
    },
  };
}
