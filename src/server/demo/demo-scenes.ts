import { compile } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { asContent } from '../../core/design/plies/lay-over.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { parseBend } from '../../core/design/try-on/bend-text.ts';
import { compileTryOn } from '../../core/design/try-on/compile-try-on.ts';
import { matchSeams, withMoved } from '../../core/design/try-on/match-seams.ts';
import type { PartSpec, TryOn } from '../../core/design/try-on/try-on-schema.ts';
import { USUAL_PART, usualTryOn } from '../../core/design/try-on/usual-try-on.ts';

/** What a design of the demo is tried on. */
interface DemoScene {
  readonly scene: string;
  readonly change?: Partial<TryOn>;
  /** Parts that are not as usual. */
  readonly parts?: Readonly<Record<string, Partial<PartSpec>>>;
  /** Numbers of other designs of the demo that the scene holds. */
  readonly cloths?: readonly string[];
  /** Whether the pattern is to go on across the seams. */
  readonly matched?: boolean;
}

/** By the designs' numbers. */
export const DEMO_SCENES: Readonly<Record<string, DemoScene>> = {
  // Third-class moquette
  'LLR 014': {
    scene: 'compartment',
    cloths: ['LLR 016'],
    parts: {
      'left-curtain': { cloth: 0 },
      'right-curtain': { cloth: 0 },
      carpet: { scale: { to: 'factor', factor: '2' } },
    },
  },
  // Lakeside saloon curtain
  'LLR 016': { scene: 'curtain', change: { person: '1720 mm' }, matched: true },
  // Waiting-room cushion
  'LLR 024': { scene: 'cushion' },
  // First-class rug
  'LLR 015': { scene: 'dress', matched: true, change: { person: '1680 mm' } },
  // Booking-hall floor
  'LLR 027': { scene: 'floor' },
  // Slipway roof scales
  'LLR 050': { scene: 'letters', change: { letters: { text: 'Lark', font: 'bricolage-bold' } } },
  // Waiting-room diamonds
  'LLR 070': {
    scene: 'rectangle',
    change: { numbers: { width: '420 mm', height: '520 mm' } },
    parts: {
      rectangle: { bends: ['waist -72% 36% 46%', 'waist 24% 100% 50%'].map(parseBend) },
    },
  },
};

/** A design with the scene that it is tried on. @param others  the demo's designs, by their numbers */
export function triedOn(design: Design, others: (number: string) => Design): Design {
  const wish = DEMO_SCENES[design.number];
  if (wish === undefined) return design;
  const tryOn: TryOn = {
    ...usualTryOn(wish.scene),
    ...wish.change,
    cloths: (wish.cloths ?? []).map((number) => ({ design: asContent(others(number)), from: null })),
    parts: Object.fromEntries(
      Object.entries(wish.parts ?? {}).map(([key, part]) => [key, { ...USUAL_PART, ...part }]),
    ),
  };
  return readDesign({ ...design, tryOn: wish.matched === true ? withMatched(design, tryOn) : tryOn });
}

function withMatched(design: Design, tryOn: TryOn): TryOn {
  const scene = compileTryOn(design, tryOn, { unitOf: (each) => compile(each) });
  return { ...tryOn, parts: withMoved(tryOn, matchSeams(scene)) };
}
