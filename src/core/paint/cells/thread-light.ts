import { CoreError } from '../../error.ts';

/** How the threads of a cloth are drawn. */
export interface ThreadLook {
  /** Share of its space that an end and a pick fill: above 0, at most 1. */
  readonly warp: number;
  readonly weft: number;
  /** Where light comes from, in degrees: 0 from the right, 90 from above. */
  readonly light: number;
  /** As it comes from finishing: fulled, so that threads close up, and their fibres show. */
  readonly finished: boolean;
}

/** Threads side by side without a gap, lit from the upper left. */
export const PLAIN_THREADS: ThreadLook = { warp: 1, weft: 1, light: 135, finished: false };

/** Ways of drawing cloth, by name. */
export const DRAWN = ['flat', 'threads', 'finished'] as const;
export type Drawn = (typeof DRAWN)[number];

/** How threads are drawn, or undefined for cloth that is drawn flat. */
export function threadLook(drawn: Drawn): ThreadLook | undefined {
  return drawn === 'flat' ? undefined : { ...PLAIN_THREADS, finished: drawn === 'finished' };
}

/**
 * Reads the name of a way of drawing.
 * @throws CoreError "paint/drawn" {text, known}
 */
export function parseDrawn(text: string): Drawn {
  const drawn = DRAWN.find((name) => name === text.trim().toLowerCase());
  if (drawn === undefined) throw new CoreError('paint/drawn', { text: text.slice(0, 40), known: [...DRAWN] });
  return drawn;
}

/** Steps of light; one thread is at most this many tones of its shade. */
export const LEVELS = 96;

/** Brightest light, as a multiple of the shade. */
export const BRIGHTEST = 1.2;

/** Light of a thread that is seen between others, going under. */
export const UNDER = 0.5;

/** What is seen through open cloth: a table in the shade. */
export const THROUGH = '#b8b09d';

/** Places told apart across and along a cell. */
const PLACES = 48;

/** Light of a surface that is turned away, and what is added to it where light falls straight on it. */
const AMBIENT = 0.42;
const DIRECT = 0.75;

/** Sine and cosine of the height at which light comes in, 50°. */
const HIGH = 0.766;
const LOW = 0.643;

/** How far threads bend and how dark they are where they go under, loom state and finished. Chosen by eye. */
const LOOM = { round: 0.9, dive: 0.85, dark: 0.8, edge: 0.35 } as const;
const FINISHED = { round: 0.6, dive: 0.5, dark: 0.45, edge: 0.16 } as const;

/** Light on threads that lie on top, at every place of a cell. */
export interface ThreadLights {
  /** @returns a level, 0 … LEVELS − 1, at `across` and `along`, both 0 … 1 (less than 1) */
  readonly at: (warp: boolean, ends: number, across: number, along: number) => number;
  /** The mean level of a whole cell. */
  readonly mean: (warp: boolean, ends: number) => number;
}

/** How a thread ends in a cell: 1 when it dives at the start (left, or top), 2 at the end. */
export function endsOf(before: boolean, after: boolean): number {
  return (before ? 1 : 0) + (after ? 2 : 0);
}

/** Works out light once for every place, face and way of ending. */
export function threadLights(look: ThreadLook): ThreadLights {
  const cells = PLACES * PLACES;
  const levels = Uint8Array.from({ length: 8 * cells }, (_, index) => {
    const along = ((index % PLACES) + 0.5) / PLACES;
    const across = ((Math.floor(index / PLACES) % PLACES) + 0.5) / PLACES;
    const ends = Math.floor(index / cells) % 4;
    const light = lightOf(index >= 4 * cells, ends, { across, along }, look);
    return Math.round((Math.min(light, BRIGHTEST) / BRIGHTEST) * (LEVELS - 1));
  });
  const first = (warp: boolean, ends: number) => ((warp ? 4 : 0) + ends) * cells;
  return {
    at: (warp, ends, across, along) =>
      levels[first(warp, ends) + Math.floor(across * PLACES) * PLACES + Math.floor(along * PLACES)]!,
    mean: (warp, ends) => {
      const from = first(warp, ends);
      return Math.round(levels.subarray(from, from + cells).reduce((sum, level) => sum + level, 0) / cells);
    },
  };
}

/** A round thread, bent down where it dives, under light from one side (Lambert's law) and from all around. */
function lightOf(
  warp: boolean,
  ends: number,
  { across, along }: { readonly across: number; readonly along: number },
  { light, finished }: ThreadLook,
): number {
  const { round, dive, dark, edge } = finished ? FINISHED : LOOM;
  const side = 2 * across - 1;
  const before = ends % 2 === 1 ? Math.max(0, 0.45 - along) / 0.45 : 0;
  const after = ends >= 2 ? Math.max(0, along - 0.55) / 0.45 : 0;
  const down = Math.max(before, after) ** 2;
  const bent = dive * (after * after - before * before);
  const [x, y] = warp ? [round * side, bent] : [bent, round * side];
  const up = Math.sqrt(Math.max(0.04, 1 - x * x - y * y));
  const angle = (light * Math.PI) / 180;
  const straight = Math.max(0, (x * Math.cos(angle) - y * Math.sin(angle)) * LOW + up * HIGH);
  return (AMBIENT + DIRECT * straight) * (1 - edge * side ** 4) * (1 - dark * down);
}
