import { checkDesign } from '../core/design/check-design.ts';
import { kindOf } from '../core/design/design-facts.ts';
import type { Design } from '../core/design/design-schema.ts';
import { CoreError } from '../core/error.ts';
import { rollWithin } from '../core/paint/paint-roll.ts';

/** Every write is checked, so its proof is painted small: some 500 × 500 pixels. */
const QUICK_ROLL = rollWithin({ sharp: 1 << 18, averaged: 1 << 18 });

/** The columns that are found from a document whenever it is written. */
export function summarise(design: Design) {
  const { verdict, ends, picks } = repeatOf(design);
  const kind = kindOf(design);
  const shades = design.shades.map((shade) => shade.name).join(' ');
  const size = `${ends}x${picks} ${ends} × ${picks}`;
  return {
    name: design.name,
    number: design.number,
    kind,
    document: JSON.stringify(design),
    verdict,
    ends,
    picks,
    search: `${design.name} ${design.number} ${kind} ${shades} ${size}`.toLowerCase(),
  };
}

/** A document that cannot be woven is kept all the same; it is Open and has no repeat. */
function repeatOf(design: Design): { verdict: string; ends: number; picks: number } {
  try {
    const { verdict, repeat } = checkDesign(design, design.resolution, QUICK_ROLL);
    return { verdict, ends: Number(repeat?.width.n ?? 0n), picks: Number(repeat?.height.n ?? 0n) };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { verdict: 'Open', ends: 0, picks: 0 };
  }
}
