import { asPlaid, type Design } from '../../core/design/design-schema.ts';
import { structuredWeave } from '../../core/design/new-design.ts';
import type { Crossed, Plaid, PrintChoice } from '../../core/design/plaid/plaid-schema.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import type { Edit } from './design-edits.ts';

/** Lets the weft follow the warp, or go its own way: the way it had before, or the warp's to begin with. */
export function setFollows(follows: boolean): Edit {
  return (design) => {
    const { warp, weft } = asPlaid(design).construction;
    if (weft.follows === follows) return design;
    return withPlaid(design, { weft: { ...weft, follows, own: follows ? weft.own : (weft.own ?? warp) } });
  };
}

export function setTurn(turn: number): Edit {
  return (design) => withPlaid(design, { weft: { ...asPlaid(design).construction.weft, turn } });
}

export function setCrossing(crossing: Crossed): Edit {
  return (design) => withPlaid(design, { crossing });
}

export function setPrint(change: Partial<PrintChoice>): Edit {
  return (design) => withPlaid(design, { print: { ...asPlaid(design).construction.print, ...change } });
}

export function setWeave(weave: WeaveSpec): Edit {
  return (design) => withPlaid(design, { weave: structuredWeave(weave) });
}

function withPlaid(design: Design, change: Partial<Plaid>): Design {
  return { ...design, construction: { ...asPlaid(design).construction, ...change } };
}
