import type { Shade } from '../core/colour/shade.ts';
import { compile } from '../core/design/compile-design.ts';
import type { PlaidDesign } from '../core/design/design-schema.ts';
import { starterShades } from '../core/design/exchange/text-parts.ts';
import { asKind } from '../core/design/of-kind.ts';
import { readDesign } from '../core/design/read-design.ts';
import { CoreError } from '../core/error.ts';
import { formatThreadCount, parseThreadCount } from '../core/formats/thread-count.ts';
import { formatWeave, parseWeave } from '../core/thread/weaves/weave-text.ts';

/** What is typed to begin a design. */
export interface StartFields {
  readonly name: string;
  readonly warp: string;
  /** Empty: follows the warp. */
  readonly weft: string;
  readonly weave: string;
}

/** A design's sequences and weave as they are typed. */
export function fieldsOf({ construction }: PlaidDesign): Omit<StartFields, 'name'> {
  const { warp, weft, weave } = construction;
  return {
    warp: formatThreadCount(warp),
    weft: weft.follows || weft.own === null ? '' : formatThreadCount(weft.own),
    weave: formatWeave(weave),
  };
}

export type StartResult =
  | { readonly design: PlaidDesign }
  | { readonly field: 'warp' | 'weft' | 'weave'; readonly error: CoreError };

/** A design from what is typed over a start point, or the field that cannot be read and why. */
export function startDesign(start: PlaidDesign, { name, warp, weft, weave }: StartFields): StartResult {
  let field: 'warp' | 'weft' | 'weave' = 'warp';
  try {
    const pivots = start.construction.warp.mirror === 'doubled' ? 'doubled' : 'shared';
    const warpSequence = parseThreadCount(warp, { keys: undefined, pivots });
    field = 'weft';
    const own = weft.trim() === '' ? null : parseThreadCount(weft, { keys: undefined, pivots });
    field = 'weave';
    const twill = parseWeave(weave);
    const letters = [...warpSequence.bands, ...(own?.bands ?? [])].map((band) => band.shade);
    const design = asKind(
      'plaid',
      readDesign({
        ...start,
        name: name.trim() === '' ? 'Untitled' : name.trim(),
        shades: shadesFor(letters, start.shades),
        construction: {
          ...start.construction,
          warp: warpSequence,
          weft: { follows: own === null, turn: own === null ? start.construction.weft.turn : 0, own },
          weave: twill,
        },
      }),
    );
    compile(design);
    return { design };
  } catch (error) {
    if (error instanceof CoreError) return { field, error };
    throw error;
  }
}

/** One shade a letter: the one that is given, else a starter that is not taken. */
export function shadesFor(letters: readonly string[], given: readonly Shade[]): readonly Shade[] {
  const used = [...new Set(letters)];
  const taken = new Set(given.map((shade) => shade.hex));
  const spare = starterShades([...used, ...given.map((shade) => shade.key), ...'QXZ']).filter(
    (shade) => !taken.has(shade.hex),
  );
  const kept = given.filter((shade) => used.includes(shade.key));
  const added = used
    .filter((key) => !kept.some((shade) => shade.key === key))
    .map((key, index) => ({ ...spare[index % spare.length]!, key }));
  return [...kept, ...added];
}
