import type { Shade } from '../core/colour/shade.ts';
import { compile } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { starterShades } from '../core/design/exchange/counts-text.ts';
import { newPlaid } from '../core/design/new-design.ts';
import { CoreError } from '../core/error.ts';
import { parseShadeList } from '../core/formats/shade-list.ts';
import { parseThreadCount } from '../core/formats/thread-count.ts';
import { parseTwill } from '../core/thread/weave.ts';

/** What is typed to begin a design. */
export interface StartFields {
  readonly name: string;
  readonly warp: string;
  /** Empty: follows the warp. */
  readonly weft: string;
  readonly weave: string;
  /** Shades that the letters stand for; letters without one take a starter. */
  readonly shades: string;
}

export type StartResult =
  | { readonly design: Design }
  | { readonly field: 'warp' | 'weft' | 'weave'; readonly error: CoreError };

/** A design from what is typed, or the field that cannot be read and why. */
export function startDesign({ name, warp, weft, weave, shades }: StartFields): StartResult {
  let field: 'warp' | 'weft' | 'weave' = 'warp';
  try {
    const pivots = 'shared';
    const warpSequence = parseThreadCount(warp, { keys: undefined, pivots });
    field = 'weft';
    const weftSequence = weft.trim() === '' ? undefined : parseThreadCount(weft, { keys: undefined, pivots });
    field = 'weave';
    const twill = parseTwill(weave);
    const letters = [...warpSequence.bands, ...(weftSequence?.bands ?? [])].map((band) => band.shade);
    const design = newPlaid({
      name: name.trim() === '' ? 'Untitled' : name.trim(),
      shades: shadesFor(letters, parseShadeList(shades)),
      warp: warpSequence,
      weft: weftSequence,
      weave: twill,
    });
    compile(design);
    return { design };
  } catch (error) {
    if (error instanceof CoreError) return { field, error };
    throw error;
  }
}

/** One shade a letter: the one that is given, else a starter that is not taken. */
function shadesFor(letters: readonly string[], given: readonly Shade[]): readonly Shade[] {
  const used = new Set(letters);
  const kept = given.filter((shade) => used.has(shade.key));
  const open = [...used].filter((letter) => !kept.some((shade) => shade.key === letter));
  const taken = new Set(kept.map((shade) => shade.hex));
  const starters = starterShades([...used]).filter((shade) => open.includes(shade.key));
  const added = starters.map((shade, index) =>
    taken.has(shade.hex) ? { ...shade, hex: EXTRA[index % EXTRA.length]! } : shade,
  );
  return [...used].map((letter) => [...kept, ...added].find((shade) => shade.key === letter)!);
}

/** Shades for letters whose starter another letter has already. */
const EXTRA = ['#b86f52', '#5f6b43', '#6d4f63', '#b4c5c6', '#d9b8a4'];
