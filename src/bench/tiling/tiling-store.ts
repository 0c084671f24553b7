import { create } from 'zustand';
import type { TilingPlace } from './tiling-places.ts';

/** What of a tiling is chosen on the cloth; it belongs to the bench, not to the design. */
export const useTilingPlace = create<{ readonly place: TilingPlace | undefined }>(() => ({
  place: undefined,
}));
