import type { Design } from '../../core/design/design-schema.ts';
import { DEMO_MOTIFS } from './demo-motifs.ts';
import { DEMO_PLAIDS } from './demo-plaids.ts';
import { DEMO_PLIES } from './demo-plies.ts';
import { triedOn } from './demo-scenes.ts';
import { DEMO_STRIPES } from './demo-stripes.ts';
import { DEMO_TILINGS } from './demo-tilings.ts';

/** A design of the demo, and the range that it hangs in. */
export interface Demo {
  readonly name: string;
  readonly number: string;
  readonly range: string;
  readonly design: () => Design;
}

const PLAIN: readonly Demo[] = [
  ...DEMO_PLAIDS,
  ...DEMO_STRIPES,
  ...DEMO_TILINGS,
  ...DEMO_MOTIFS,
  ...DEMO_PLIES,
];

/** A design before it is tried on anything. */
function plainDesign(number: string): Design {
  return PLAIN.find((demo) => demo.number === number)!.design();
}

/** The Larkmere Light Railway's cloth: an invented line's carriages, stations, uniform, tea room and boathouse. */
export const LARKMERE: readonly Demo[] = PLAIN.map((demo) => ({
  ...demo,
  design: () => triedOn(demo.design(), plainDesign),
}));
