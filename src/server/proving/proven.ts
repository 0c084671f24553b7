import { createHash } from 'node:crypto';
import { checkDesign } from '../../core/design/check-design.ts';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { multiply, toNumber } from '../../core/exact/rational.ts';
import { rollWithin } from '../../core/paint/paint-roll.ts';
import { nearSize } from '../../core/repeat/repeat-unit.ts';
import type { Pictures } from '../../core/shape/picture.ts';
import { plural, shortSizeText } from '../../wording/measures.ts';

/** What the shelf keeps of a design's repeat check. */
export interface Proven {
  /** Unchecked: the check was stopped because it took too long or too much memory. */
  readonly verdict: 'Exact' | 'Fitted' | 'Open' | 'Unchecked';
  /** One repeat in words; empty when there is none. */
  readonly size: string;
  /** Its area in square millimetres. */
  readonly area: number;
}

/** Every write is checked, so its proof is painted small: some 500 × 500 pixels. */
const QUICK_ROLL = rollWithin({ sharp: 1 << 18, averaged: 1 << 18 });

/** Checks a design. One that cannot be made is kept all the same; it is Open and has no repeat. */
export function provenOf(design: Design, pictures?: Pictures): Proven {
  try {
    const { verdict, repeat, size } = checkDesign(design, { roll: QUICK_ROLL, pictures });
    if (repeat === null || size === null) return { verdict, size: '', area: 0 };
    const near = nearSize(size);
    const area = toNumber(multiply(near.width, near.height));
    const words = inThreads(design)
      ? `${repeat.width.n} × ${plural(Number(repeat.height.n), 'thread')}`
      : shortSizeText(size, design.lay.unit);
    return { verdict, size: words, area };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { verdict: 'Open', size: '', area: 0 };
  }
}

/** Names what a check looks at: designs of one name are proven once. Names and colourways are not looked at. */
export function proofName({ construction, shades, lay, resolution }: Design): string {
  const seen = [construction, shades.map(({ key, hex }) => [key, hex]), lay, resolution];
  return createHash('sha256').update(JSON.stringify(seen)).digest('base64');
}
