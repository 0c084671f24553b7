import type { TilingSpec } from '../../core/design/tiling/tiling-schema.ts';
import { whole } from '../../kit/fields/whole.ts';
import { dispatch } from '../state/bench-store.ts';
import { setTiling } from './tiling-edits.ts';

/** Changes a tiling on the bench; changes of one tag that follow each other are undone together. */
export function putTiling(change: Partial<TilingSpec>, tag?: string): void {
  dispatch({ kind: 'edit', edit: setTiling(change), ...(tag === undefined ? {} : { tag: `tiling-${tag}` }) });
}

/** Resolves a text that its reader takes, as it was typed. */
export function keptBy(read: (text: string) => unknown): (text: string) => string {
  return (text) => {
    read(text);
    return text.trim();
  };
}

/** A whole number between two others. */
export function few(text: string, least: number, most: number): number {
  return Math.min(most, whole(text, least));
}
