import type { Direction } from '../../core/design/construction.ts';
import type { Bands } from '../../core/thread/edit-bands.ts';
import { moveBand, removeBand, setCount, setShade, splitBand } from '../../core/thread/edit-bands.ts';
import type { KeyWords } from '../state/key-list.ts';

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

/** A press on a rail: its bands, the selected one, and the key. */
interface Press extends RailSetting {
  readonly bands: Bands;
  readonly band: number;
  readonly pressed: RailKey;
}

/** What a key does; undefined when it is another key. Ways of the hand have none. */
interface RailAction extends KeyWords {
  readonly press?: (press: Press) => Partial<RailResult> | undefined;
}

export const RAIL_KEYS: readonly RailAction[] = [
  {
    keys: '← → or ↑ ↓',
    what: 'go along the rail',
    press: (press) => {
      const band = stepped(press);
      return band === undefined || press.pressed.alt ? undefined : { band };
    },
  },
  {
    keys: 'Home, End',
    what: 'go to the first band, the last',
    press: ({ bands, pressed: { key } }) => {
      if (key === 'Home') return { band: 0 };
      return key === 'End' ? { band: bands.length - 1 } : undefined;
    },
  },
  {
    keys: 'Alt and an arrow',
    what: 'move the band',
    press: (press) => {
      const band = stepped(press);
      if (band === undefined || !press.pressed.alt) return undefined;
      return { band, bands: moveBand(press.bands, press.band, band) };
    },
  },
  {
    keys: '+ −',
    what: 'one thread more or less; ten with Shift',
    press: ({ bands, band, pressed, direction, per = 1 }) => {
      const more = changeOf(pressed);
      if (more === 0) return undefined;
      const count = bands[band]!.count + more * per;
      return { bands: setCount(bands, band, count), tag: `count-${direction}-${band}` };
    },
  },
  {
    keys: '0–9',
    what: 'type the band’s count',
    press: ({ bands, band, pressed, direction, typed: before, per = 1 }) => {
      if (!/^\d$/.test(pressed.key)) return undefined;
      const typed = (before + pressed.key).slice(-6);
      const count = Number(typed);
      return {
        bands: count >= 1 ? setCount(bands, band, count * per) : bands,
        tag: `digits-${direction}-${band}`,
        typed,
      };
    },
  },
  {
    keys: 'Delete',
    what: 'remove the band',
    press: ({ bands, band, pressed: { key } }) => {
      if (key !== 'Delete' && key !== 'Backspace') return undefined;
      const left = removeBand(bands, band);
      return { bands: left, band: Math.min(band, left.length - 1) };
    },
  },
  {
    keys: 'Enter or a double click',
    what: 'split the band',
    press: ({ bands, band, pressed }) =>
      pressed.key === 'Enter' ? { bands: splitBand(bands, band) } : undefined,
  },
  {
    keys: 'A–Z',
    what: 'give the band the shade of that letter',
    press: ({ bands, band, pressed, keys }) => {
      const shade = pressed.key.toUpperCase();
      return keys.includes(shade) ? { bands: setShade(bands, band, shade) } : undefined;
    },
  },
  { keys: 'Drag an edge', what: 'trade threads with the neighbour; with Alt grow the whole' },
  { keys: 'Drag a band', what: 'move it' },
];

/**
 * @returns      undefined when the key means nothing to a rail
 */
export function pressRailKey(
  bands: Bands,
  band: number,
  pressed: RailKey,
  setting: RailSetting,
): RailResult | undefined {
  for (const { press } of RAIL_KEYS) {
    const result = press?.({ ...setting, bands, band, pressed });
    if (result !== undefined) return { bands, band, tag: undefined, typed: '', ...result };
  }
  return undefined;
}

/** The band that an arrow key goes to: the warp runs to the right, the weft upward. */
function stepped({ bands, band, pressed: { key }, direction }: Press): number | undefined {
  if (key === (direction === 'warp' ? 'ArrowRight' : 'ArrowUp')) return Math.min(bands.length - 1, band + 1);
  if (key === (direction === 'warp' ? 'ArrowLeft' : 'ArrowDown')) return Math.max(0, band - 1);
  return undefined;
}

/** Plus and minus: one thread, ten with Shift. Where plus itself needs Shift, the key's place tells. */
function changeOf({ key, code, shift }: RailKey): number {
  if (code === 'Equal' && (key === '+' || key === '=')) return shift ? 10 : 1;
  if (code === 'Minus' && (key === '-' || key === '_')) return shift ? -10 : -1;
  if (key === '+' || key === '*') return shift ? 10 : 1;
  if (key === '-' || key === '_') return shift ? -10 : -1;
  return 0;
}
