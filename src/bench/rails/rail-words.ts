import type { Design } from '../../core/design/design-schema.ts';
import { widthOnRail } from '../../core/design/stripe/stepped-bands.ts';
import { divide, ONE, round } from '../../core/exact/rational.ts';
import type { Band } from '../../core/thread/band.ts';
import { plural } from '../../wording/measures.ts';
import { measuresOf } from '../state/band-edits.ts';

/** How the amounts of a rail are written: threads of a sequence, or widths. */
export interface RailWords {
  /** On a band. */
  readonly countText: (band: Band) => string;
  /** In words: "12 threads", "12.5 mm". */
  readonly amountText: (band: Band) => string;
  /** Steps of the rail in one of what is typed. */
  readonly perKey: number;
}

const THREADS: RailWords = {
  countText: ({ count }) => String(count),
  amountText: ({ count }) => plural(count, 'thread'),
  perKey: 1,
};

export function wordsOf(design: Design): RailWords {
  const measures = measuresOf(design);
  if (measures === undefined) return THREADS;
  const { unit, step } = measures;
  const countText = (band: Band) => widthOnRail(band, step);
  return {
    countText,
    amountText: (band) => {
      const width = countText(band);
      if (/[a-z"]/i.test(width)) return width;
      return unit === 'thread' ? `${width} threads` : `${width} ${unit}`;
    },
    perKey: Math.max(1, Number(round(divide(ONE, step)))),
  };
}
