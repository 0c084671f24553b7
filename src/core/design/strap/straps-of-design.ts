import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';
import type { StrapReport } from './strap-report.ts';

/** How the straps of a design lie over each other; null where it has none. @throws CoreError of its construction */
export function strapsOfDesign(design: Design): StrapReport | null {
  return kindFor(design.construction).strapsOf?.(design) ?? null;
}
