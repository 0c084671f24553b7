import { checkDesign } from '../core/design/check-design.ts';
import { kindOf } from '../core/design/design-facts.ts';
import { type Design, isPlaid } from '../core/design/design-schema.ts';
import { CoreError } from '../core/error.ts';
import { multiply, toNumber } from '../core/exact/rational.ts';
import { rollWithin } from '../core/paint/paint-roll.ts';
import { nearSize } from '../core/repeat/repeat-unit.ts';
import { plural, shortSizeText } from '../wording/measures.ts';

/** Every write is checked, so its proof is painted small: some 500 × 500 pixels. */
const QUICK_ROLL = rollWithin({ sharp: 1 << 18, averaged: 1 << 18 });

/** The columns that are found from a document whenever it is written. */
export function summarise(design: Design) {
  const { verdict, size, area } = repeatOf(design);
  const kind = kindOf(design);
  const shades = design.shades.map((shade) => shade.name).join(' ');
  return {
    name: design.name,
    number: design.number,
    kind,
    document: JSON.stringify(design),
    verdict,
    size,
    area,
    search: [design.name, design.number, kind, shades, size, size.replaceAll(' × ', 'x')]
      .join(' ')
      .toLowerCase(),
  };
}

/** A document that cannot be woven is kept all the same; it is Open and has no repeat. */
function repeatOf(design: Design): { verdict: string; size: string; area: number } {
  try {
    const { verdict, repeat, size } = checkDesign(design, design.resolution, QUICK_ROLL);
    if (repeat === null || size === null) return { verdict, size: '', area: 0 };
    const near = nearSize(size);
    const area = toNumber(multiply(near.width, near.height));
    const words = isPlaid(design)
      ? `${repeat.width.n} × ${plural(Number(repeat.height.n), 'thread')}`
      : shortSizeText(size, design.lay.unit);
    return { verdict, size: words, area };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { verdict: 'Open', size: '', area: 0 };
  }
}
