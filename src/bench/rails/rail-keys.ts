import type { Direction } from '../../core/design/construction.ts';
import type { Bands } from '../../core/thread/edit-bands.ts';
import { moveBand, removeBand, setCount, setShade, splitBand } from '../../core/thread/edit-bands.ts';

/** A key that was pressed on a rail. */
export interface RailKey {
  readonly key: string;
  readonly code: string;
  readonly shift: boolean;
  readonly alt: boolean;
}

/** What a key does to the bands: which bands come out, which is selected, and what is part of one undo step. */
export interface RailResult {
  readonly bands: Bands;
  readonly band: number;
  readonly tag: string | undefined;
  /** Digits typed so far, when the key was one. */
  readonly typed: string;
}

export interface RailSetting {
  readonly direction: Direction;
  /** Digits typed just before, so that 1 and 2 make 12. */
  readonly typed: string;
  /** Keys of the shade card. */
  readonly keys: readonly string[];
  /** Steps of the rail in one of what is typed; 1 for threads. */
  readonly per?: number;
}

/**
 * @returns      undefined when the key means nothing to a rail
 */
export function pressRailKey(
  bands: Bands,
  band: number,
  pressed: RailKey,
  { direction, typed, keys, per = 1 }: RailSetting,
): RailResult | undefined {
  const plain = { bands, band, tag: undefined, typed: '' };
  const step = stepOf(pressed, direction);
  if (step !== 0) {
    const next = Math.min(bands.length - 1, Math.max(0, band + step));
    return { ...plain, band: next, bands: pressed.alt ? moveBand(bands, band, next) : bands };
  }
  const more = changeOf(pressed);
  if (more !== 0) {
    return {
      ...plain,
      bands: setCount(bands, band, bands[band]!.count + more * per),
      tag: `count-${direction}-${band}`,
    };
  }
  if (/^\d$/.test(pressed.key)) {
    const digits = (typed + pressed.key).slice(-6);
    return {
      ...plain,
      bands: Number(digits) >= 1 ? setCount(bands, band, Number(digits) * per) : bands,
      tag: `digits-${direction}-${band}`,
      typed: digits,
    };
  }
  switch (pressed.key) {
    case 'Delete':
    case 'Backspace': {
      const left = removeBand(bands, band);
      return { ...plain, bands: left, band: Math.min(band, left.length - 1) };
    }
    case 'Enter':
      return { ...plain, bands: splitBand(bands, band) };
    case 'Home':
      return { ...plain, band: 0 };
    case 'End':
      return { ...plain, band: bands.length - 1 };
  }
  const shade = pressed.key.toUpperCase();
  return keys.includes(shade) ? { ...plain, bands: setShade(bands, band, shade) } : undefined;
}

/** Arrow keys: the warp runs to the right, the weft upward. */
function stepOf({ key }: RailKey, direction: Direction): -1 | 0 | 1 {
  if (key === (direction === 'warp' ? 'ArrowRight' : 'ArrowUp')) return 1;
  if (key === (direction === 'warp' ? 'ArrowLeft' : 'ArrowDown')) return -1;
  return 0;
}

/** Plus and minus: one thread, ten with Shift. Where plus itself needs Shift, the key's place tells. */
function changeOf({ key, code, shift }: RailKey): number {
  if (code === 'Equal' && (key === '+' || key === '=')) return shift ? 10 : 1;
  if (code === 'Minus' && (key === '-' || key === '_')) return shift ? -10 : -1;
  if (key === '+' || key === '*') return shift ? 10 : 1;
  if (key === '-' || key === '_') return shift ? -10 : -1;
  return 0;
}
