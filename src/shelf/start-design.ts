import { compile } from '../core/design/compile-design.ts';
import type { PlaidDesign } from '../core/design/design-schema.ts';
import { asKind } from '../core/design/of-kind.ts';
import { readDesign } from '../core/design/read-design.ts';
import { CoreError } from '../core/error.ts';
import { formatThreadCount, parseThreadCount, shadeWords } from '../core/formats/thread-count.ts';
import { formatWeave, parseWeave } from '../core/thread/weaves/weave-text.ts';
import { begunCard, changedCard, type ShadeChanges } from './begun-card.ts';

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

/** The shades of a plaid that is begun. */
export function shadesTyped(
  start: PlaidDesign,
  { warp, weft }: Pick<StartFields, 'warp' | 'weft'>,
  changes: ShadeChanges,
) {
  return begunCard(start.shades, [...shadeWords(warp), ...shadeWords(weft)], changes);
}

/** What a plaid is called that nobody named: as its start point, while its counts are that one’s. */
export function plaidName(start: PlaidDesign, typed: Omit<StartFields, 'name'>): string {
  const own = fieldsOf(start);
  const isSame = own.warp === typed.warp && own.weft === typed.weft && own.weave === typed.weave;
  return isSame ? start.name : 'Untitled';
}

/** A design from what is typed over a start point, or the field that cannot be read and why. */
export function startDesign(
  start: PlaidDesign,
  { name, warp, weft, weave }: StartFields,
  changes: ShadeChanges,
): StartResult {
  let field: 'warp' | 'weft' | 'weave' = 'warp';
  const plainName = plaidName(start, { warp, weft, weave });
  // Words name the shades as they were before they got other colours, and with them other names.
  const card = shadesTyped(start, { warp, weft }, {});
  try {
    const pivots = start.construction.warp.mirror === 'doubled' ? 'doubled' : 'shared';
    const warpSequence = parseThreadCount(warp, { card, pivots });
    field = 'weft';
    const own = weft.trim() === '' ? null : parseThreadCount(weft, { card, pivots });
    field = 'weave';
    const twill = parseWeave(weave);
    const design = asKind(
      'plaid',
      readDesign({
        ...start,
        name: name.trim() === '' ? plainName : name.trim(),
        shades: changedCard(card, changes),
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
