import { CoreError } from '../../error.ts';
import { draftToSvg } from '../../formats/svg/draft-svg.ts';
import type { Interlacing } from '../../thread/weave.ts';
import { buildWeave } from '../../thread/weaves/build-weave.ts';
import { weaveDraft } from '../../thread/weaves/weave-draft.ts';
import type { Draft, WeaveSpec } from '../../thread/weaves/weave-spec.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { threadsOfPlaid } from '../plaid/compile-plaid.ts';

/** One repeat of the structure, as its numbers say it. */
export function structureOf({ construction }: PlaidDesign): Interlacing {
  return buildWeave(construction.weave);
}

/** The structure of a woven design on squared paper, as a drawing. */
export function plaidToPaperSvg(design: PlaidDesign): string {
  return draftToSvg({ structure: structureOf(design), title: design.name });
}

/** The draft of a woven design as a drawing; only the structure where it needs more shafts than a draft has. */
export function plaidToDraftSvg(design: PlaidDesign): string {
  const structure = structureOf(design);
  const { construction, shades, name } = design;
  const { warp, weft } = threadsOfPlaid(construction, shades);
  const colours = (threads: Uint16Array, count: number) =>
    Array.from({ length: count }, (_, at) => shades[threads[at % threads.length]!]!.hex);
  return draftToSvg({
    structure,
    draft: draftIfAny(construction.weave),
    colours: { warp: colours(warp, structure.ends), weft: colours(weft, structure.picks) },
    title: name,
  });
}

function draftIfAny(weave: WeaveSpec): Draft | undefined {
  try {
    return weaveDraft(weave);
  } catch (error) {
    if (error instanceof CoreError && error.code === 'draft/too-many') return undefined;
    throw error;
  }
}
