import { type Design, isStripe } from '../../core/design/design-schema.ts';
import { steppedSequence, widthOnRail } from '../../core/design/stripe/stepped-bands.ts';
import { divide, ONE, round } from '../../core/exact/rational.ts';
import type { Band } from '../../core/thread/band.ts';
import { plural } from '../../wording/measures.ts';

/** How the amounts of a rail are written: threads of a sequence, or the widths of a stripe. */
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
  if (!isStripe(design)) return THREADS;
  const { unit } = design.construction;
  const { step } = steppedSequence(design);
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
