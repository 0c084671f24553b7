import { useRef } from 'react';
import type { Direction } from '../../core/design/construction.ts';
import { editBands, sequenceOf } from '../state/band-edits.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { pressRailKey } from './rail-keys.ts';
import { wordsOf } from './rail-words.ts';

/** Milliseconds within which digits belong to one number. */
const TYPING = 1200;

/** Hears the keys of a rail, of which one band is worked. */
export function useRailKeys(direction: Direction, band: number): (event: React.KeyboardEvent) => void {
  const design = useDesign();
  const typed = useRef({ digits: '', at: 0 });
  const sequence = sequenceOf(design, direction);
  return (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.key === 'Tab') return;
    const now = event.timeStamp;
    const digits = now - typed.current.at < TYPING ? typed.current.digits : '';
    const keys = design.shades.map((shade) => shade.key);
    const pressed = { key: event.key, code: event.code, shift: event.shiftKey, alt: event.altKey };
    const result = pressRailKey(sequence.bands, band, pressed, {
      direction,
      typed: digits,
      keys,
      per: wordsOf(design).perKey,
    });
    if (result === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    typed.current = { digits: result.typed, at: now };
    const edit = editBands(direction, () => result.bands);
    const select = { direction, band: result.band };
    if (result.bands === sequence.bands) dispatch({ kind: 'select', selection: select });
    else dispatch({ kind: 'edit', edit, select, ...(result.tag === undefined ? {} : { tag: result.tag }) });
  };
}
