import { kindFor } from './constructions.ts';
import type { Design } from './design-schema.ts';

/** Whether a design's repeat is counted in threads; else it is only measured. */
export function inThreads({ construction }: Design): boolean {
  return kindFor(construction).step === 'thread';
}
