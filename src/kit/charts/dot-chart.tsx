import {
  Chart,
  LinearScale,
  LogarithmicScale,
  PointElement,
  ScatterController,
  Tooltip,
  type TooltipItem,
} from 'chart.js';
import { useEffect, useRef } from 'react';

Chart.register(ScatterController, PointElement, LinearScale, LogarithmicScale, Tooltip);

/** One dot; both numbers above zero, but that a y of zero lies on the floor. */
export interface Dot {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly chosen: boolean;
}

interface DotChartProps {
  /** What the chart shows; whoever uses it has a table of the same beside it. */
  readonly title: string;
  readonly xTitle: string;
  readonly yTitle: string;
  /** What stands behind a number of y. */
  readonly yUnit: string;
  readonly dots: readonly Dot[];
  readonly onChoose: (index: number) => void;
  readonly height: number;
}

/** Dots on two logarithmic scales; a click chooses one. */
export function DotChart({ title, xTitle, yTitle, yUnit, dots, onChoose, height }: DotChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const choose = useRef(onChoose);
  useEffect(() => {
    choose.current = onChoose;
  });
  useEffect(() => {
    const chart = new Chart(
      canvas.current!,
      chartOf({ xTitle, yTitle, yUnit, dots }, (index) => choose.current(index)),
    );
    return () => chart.destroy();
  }, [xTitle, yTitle, yUnit, dots]);
  return (
    <div style={{ height }}>
      <canvas ref={canvas} role="img" aria-label={title} />
    </div>
  );
}

const INK = '#20292b';
const WOAD = '#2c5f7c';

function chartOf(
  { xTitle, yTitle, yUnit, dots }: Pick<DotChartProps, 'xTitle' | 'yTitle' | 'yUnit' | 'dots'>,
  choose: (index: number) => void,
) {
  const font = { family: '"Instrument Sans Variable", sans-serif', size: 11 };
  const seen = dots.map(({ y }) => y).filter((y) => y > 0);
  const floor = Math.min(0.001, ...seen) / 3;
  const axis = (text: string) => ({
    type: 'logarithmic' as const,
    title: { display: true, text, font, color: '#6b7472' },
    grid: { color: 'rgb(32 41 43 / 0.08)' },
    ticks: {
      font,
      color: '#6b7472',
      maxRotation: 0,
      callback: (value: number | string) => (isPower(Number(value)) ? String(Number(value)) : ''),
    },
  });
  return {
    type: 'scatter' as const,
    data: {
      datasets: [
        {
          data: dots.map(({ x, y }) => ({ x, y: Math.max(floor, y) })),
          pointRadius: dots.map(({ chosen }) => (chosen ? 6 : 4)),
          pointHoverRadius: 7,
          pointBackgroundColor: dots.map(({ chosen }) => (chosen ? WOAD : '#fffdf8')),
          pointBorderColor: dots.map(({ chosen }) => (chosen ? WOAD : INK)),
          pointBorderWidth: 1.5,
        },
      ],
    },
    options: {
      animation: false as const,
      maintainAspectRatio: false,
      scales: { x: axis(xTitle), y: { ...axis(yTitle), min: floor / 1.5 } },
      onClick: (_: unknown, hit: readonly { readonly index: number }[]) => {
        if (hit[0] !== undefined) choose(hit[0].index);
      },
      plugins: {
        tooltip: {
          callbacks: {
            label: ({ dataIndex }: TooltipItem<'scatter'>) =>
              `${dots[dataIndex]!.name}: ${Number(dots[dataIndex]!.y.toPrecision(3))}${yUnit}`,
          },
        },
      },
    },
  };
}

function isPower(value: number): boolean {
  const power = Math.log10(value);
  return Math.abs(power - Math.round(power)) < 1e-9;
}
