import type { Shade } from '../colour/shade.ts';
import type { Sequence } from '../thread/sequence.ts';
import type { Twill } from '../thread/weave.ts';
import { DESIGN_FORMAT, DESIGN_VERSION, type Design, type Lay } from './design-schema.ts';
import { USUAL_PRINT } from './migrate-design.ts';
import type { PrintChoice } from './plaid/plaid-schema.ts';

/** What a new plaid is made of; what is left out takes the usual value. */
export interface PlaidOrder {
  readonly name: string;
  readonly number?: string;
  readonly shades: readonly Shade[];
  readonly warp: Sequence;
  /** Undefined: follows the warp. */
  readonly weft?: Sequence | undefined;
  /** Threads by which a weft that follows begins later. */
  readonly turn?: number | undefined;
  readonly weave?: Twill | undefined;
  /** Given: it is printed, not woven. */
  readonly print?: PrintChoice | undefined;
  readonly lay?: Partial<Lay> | undefined;
  readonly resolution?: string | undefined;
}

/** A plaid's design document, checked later where it is read. */
export function newPlaid(order: PlaidOrder): Design {
  const weave = order.weave ?? { over: 2, under: 2, hand: 'Z' };
  const copy = ({ bands, mirror }: Sequence) => ({ bands: bands.map((band) => ({ ...band })), mirror });
  return {
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    name: order.name,
    number: order.number ?? '',
    shades: order.shades.map((shade) => ({ ...shade })),
    colourways: [],
    construction: {
      kind: 'plaid',
      warp: copy(order.warp),
      weft: {
        follows: order.weft === undefined,
        turn: order.turn ?? 0,
        own: order.weft === undefined ? null : copy(order.weft),
      },
      crossing: order.print === undefined ? 'woven' : 'printed',
      weave: { kind: 'twill', ...weave },
      print: { ...(order.print ?? USUAL_PRINT) },
    },
    lay: { kind: 'straight', ends: '24', picks: '24', per: 'in', unit: 'mm', ...order.lay },
    resolution: order.resolution ?? '300',
  };
}
