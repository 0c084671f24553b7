import { type ComponentProps, lazy, Suspense } from 'react';

/** Charts and their library are fetched when the first one is seen, so that the page is there sooner. */
const Bars = lazy(async () => ({ default: (await import('./bar-chart.tsx')).BarChart }));
const Dots = lazy(async () => ({ default: (await import('./dot-chart.tsx')).DotChart }));

export type { BarPart } from './bar-chart.tsx';

/** Bars of shades. Its room is kept until it is there. */
export function BarChart(props: ComponentProps<typeof Bars>) {
  return (
    <Suspense fallback={<div style={{ height: props.height }} />}>
      <Bars {...props} />
    </Suspense>
  );
}

/** Dots between two scales. Its room is kept until it is there. */
export function DotChart(props: ComponentProps<typeof Dots>) {
  return (
    <Suspense fallback={<div style={{ height: props.height }} />}>
      <Dots {...props} />
    </Suspense>
  );
}
