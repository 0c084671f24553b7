import type { Shade } from '../colour/shade.ts';
import { UPRIGHT } from '../exact/slope.ts';
import type { Sequence } from '../thread/sequence.ts';
import type { WeaveSpec } from '../thread/weaves/weave-spec.ts';
import {
  DESIGN_FORMAT,
  DESIGN_VERSION,
  type Design,
  type Lay,
  type MotifDesign,
  type PlaidDesign,
  type StripeDesign,
  type TilingDesign,
} from './design-schema.ts';
import { STRAIGHT_LAY } from './lay/lay-schema.ts';
import { USUAL_PRINT } from './migrate-design.ts';
import type { Motif } from './motif/motif-schema.ts';
import type { CarriedPictures } from './picture-schema.ts';
import type { PrintChoice } from './plaid/plaid-schema.ts';
import type { Weave } from './plaid/weave-schema.ts';
import { USUAL_STRAPS } from './strap/strap-schema.ts';
import type { Stripe } from './stripe/stripe-schema.ts';
import type { LinesSpec, TilingColours, TilingSpec } from './tiling/tiling-schema.ts';
import { USUAL_YARN } from './yarn-schema.ts';

/** What every new design is made of; what is left out takes the usual value. */
interface CommonOrder {
  readonly name: string;
  readonly number?: string;
  readonly shades: readonly Shade[];
  readonly lay?: Partial<Lay> | undefined;
  readonly resolution?: string | undefined;
  /** Files of the pictures that it shows. */
  readonly pictures?: CarriedPictures | undefined;
}

/** What a new plaid is made of; what is left out takes the usual value. */
export interface PlaidOrder extends CommonOrder {
  readonly warp: Sequence;
  /** Undefined: follows the warp. */
  readonly weft?: Sequence | undefined;
  /** Threads by which a weft that follows begins later. */
  readonly turn?: number | undefined;
  readonly weave?: WeaveSpec | undefined;
  /** Given: it is printed, not woven. */
  readonly print?: PrintChoice | undefined;
}

/** A plaid's design document, checked later where it is read. */
export function newPlaid(order: PlaidOrder): PlaidDesign {
  const weave = order.weave ?? { kind: 'twill', over: 2, under: 2, hand: 'Z' };
  const copy = ({ bands, mirror }: Sequence) => ({ bands: bands.map((band) => ({ ...band })), mirror });
  return {
    ...beginning(order),
    construction: {
      kind: 'plaid',
      warp: copy(order.warp),
      weft: {
        follows: order.weft === undefined,
        turn: order.turn ?? 0,
        own: order.weft === undefined ? null : copy(order.weft),
      },
      crossing: order.print === undefined ? 'woven' : 'printed',
      weave: structuredWeave(weave),
      print: { ...(order.print ?? USUAL_PRINT) },
    },
  };
}

/** What a new stripe is made of; what is left out takes the usual value: upright bands in millimetres. */
export type StripeOrder = CommonOrder & Pick<Stripe, 'bands'> & Partial<Omit<Stripe, 'kind' | 'bands'>>;

/** A stripe's design document, checked later where it is read. */
export function newStripe(order: StripeOrder): StripeDesign {
  return {
    ...beginning(order),
    construction: {
      kind: 'stripe',
      bands: order.bands.map((band) => ({ ...band })),
      mirror: order.mirror ?? 'none',
      unit: order.unit ?? 'mm',
      slope: { ...(order.slope ?? UPRIGHT) },
      asked: order.asked ?? null,
      measured: order.measured ?? 'across',
      clear: order.clear ?? null,
    },
  };
}

/** What a new tiling is made of; what is left out takes the usual value: sides of 20 mm, faces alike by their sides. */
export type TilingOrder = CommonOrder &
  Pick<TilingSpec, 'form'> &
  Partial<Omit<TilingSpec, 'kind' | 'form' | 'colours' | 'lines'>> & {
    readonly lines?: readonly LinesOrder[];
    readonly colours?: TilingSpec['colours'] | PlainColours;
  };

/** Lines that go to every corner unless something else is said. */
export type LinesOrder = Omit<LinesSpec, 'every' | 'first'> & Partial<Pick<LinesSpec, 'every' | 'first'>>;

const ALL_CORNERS = { every: 1, first: 0 } as const;

/** Colours that need no more than their name. */
export type PlainColours = Exclude<TilingColours, 'rows' | 'hand'>;

/** A tiling's design document, checked later where it is read. */
export function newTiling(order: TilingOrder): TilingDesign {
  return {
    ...beginning(order),
    construction: {
      kind: 'tiling',
      form: { ...order.form },
      dual: order.dual ?? false,
      turn: order.turn ?? 0,
      stretch: order.stretch ?? '1',
      shear: order.shear ?? '0',
      diagonal: order.diagonal ?? '0',
      size: order.size ?? '20 mm',
      measured: order.measured ?? 'side',
      repeats: order.repeats ?? 1,
      colours: typeof order.colours === 'object' ? { ...order.colours } : { by: order.colours ?? 'sides' },
      faces: [...(order.faces ?? order.shades.map(({ key }) => key))],
      scatter: order.scatter ?? null,
      rings: (order.rings ?? []).map((ring) => ({ ...ring })),
      fade: order.fade ?? null,
      gaps: order.gaps ?? null,
      lines: (order.lines ?? []).map((each) => ({ ...ALL_CORNERS, ...each })),
      star: order.star ?? null,
      picture: order.picture ?? null,
      letters: order.letters ?? null,
    },
  };
}

/** What a new motif is made of; what is left out takes the usual value: steps of 5 mm, straight, later pieces on top. */
export type MotifOrder = CommonOrder &
  Pick<Motif, 'box' | 'pieces'> &
  Partial<Pick<Motif, 'step' | 'ground' | 'overlap' | 'straps' | 'vary'>>;

/** A motif's design document, checked later where it is read. */
export function newMotif(order: MotifOrder): MotifDesign {
  return {
    ...beginning(order),
    construction: {
      kind: 'motif',
      step: order.step ?? '5 mm',
      box: { ...order.box },
      ground: order.ground ?? null,
      pieces: JSON.parse(JSON.stringify(order.pieces)) as Motif['pieces'],
      overlap: order.overlap ?? 'pieces',
      straps: order.straps ?? USUAL_STRAPS,
      vary: { ...(order.vary ?? { boxes: 1, seed: 1 }) },
    },
  };
}

/** What every construction has. */
function beginning(order: CommonOrder): Omit<Design, 'construction'> {
  return {
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    name: order.name,
    number: order.number ?? '',
    notes: '',
    shades: order.shades.map((shade) => ({ ...shade })),
    colourways: [],
    lay: { ...STRAIGHT_LAY, ends: '24', picks: '24', per: 'in', unit: 'mm', ...order.lay },
    resolution: order.resolution ?? '300',
    tryOn: null,
    yarn: { ...USUAL_YARN, warp: { ...USUAL_YARN.warp }, weft: { ...USUAL_YARN.weft } },
    pictures: { ...order.pictures },
    kept: [],
  };
}

/** A weave as a document holds it: lists of its own. */
export function structuredWeave(spec: WeaveSpec): Weave {
  return JSON.parse(JSON.stringify(spec)) as Weave;
}
