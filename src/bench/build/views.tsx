import type { ReactNode } from 'react';
import type { ByKind, Construction } from '../../core/design/constructions.ts';
import type { Design, DesignOf } from '../../core/design/design-schema.ts';
import type { Rectangle } from '../../core/exact/vector.ts';
import type { PixelFit } from '../../core/repeat/pixel-fit.ts';
import type { ClothView } from '../cloth/cloth-store.ts';
import { MotifHand } from '../motif/hand/motif-hand.tsx';
import { MotifBuild } from '../motif/motif-build.tsx';
import { MotifFactsPart } from '../motif/motif-facts-part.tsx';
import { MOTIF_KEYS } from '../motif/motif-keys.ts';
import { MotifLayPart } from '../motif/motif-lay.tsx';
import { PlaidBuild } from '../plaid/plaid-build.tsx';
import { PlaidChecks } from '../plaid/plaid-checks.tsx';
import { PliesBuild } from '../plies/plies-build.tsx';
import { PliesChecks } from '../plies/plies-checks.tsx';
import { PliesHand } from '../plies/plies-hand.tsx';
import { useDesign } from '../state/bench-store.ts';
import type { KeyList } from '../state/key-list.ts';
import { AngleHandle } from '../stripe/angle-handle.tsx';
import { StripeBalancePart } from '../stripe/stripe-balance-part.tsx';
import { StripeBuild } from '../stripe/stripe-build.tsx';
import { GrowthView } from '../tiling/growth-view.tsx';
import { isGrowing } from '../tiling/is-growing.ts';
import { RatioFitsPart } from '../tiling/ratio-fits-part.tsx';
import { TilingBuild } from '../tiling/tiling-build.tsx';
import { TilingFactsPart } from '../tiling/tiling-facts-part.tsx';
import { TilingHand } from '../tiling/tiling-hand.tsx';
import { TILING_KEYS } from '../tiling/tiling-keys.ts';
import { DRAFT_KEYS } from '../weave/draft-keys.ts';
import { DraftView } from '../weave/draft-view.tsx';

/** What the bench shows of a construction. Another one is another room with one of these. */
interface ConstructionView<C extends Construction> {
  /** The panel of the Build step. */
  readonly Build: () => ReactNode;
  /** What is laid over the cloth on the Build step, to be taken hold of. */
  readonly Handles?: (props: { readonly design: DesignOf<C> }) => ReactNode;
  /** What stands in the place of the cloth on the Build step; undefined: the cloth. */
  readonly workOf?: (design: DesignOf<C>, cloth: ClothView) => (() => ReactNode) | undefined;
  /** What the Lay step asks of it; left out where its repeats only lie straight. */
  readonly Lay?: () => ReactNode;
  /** What the Check step says below the proof; `made` tells whether there is a cloth. */
  readonly Checks: (props: { readonly design: DesignOf<C>; readonly made: boolean }) => ReactNode;
  /** Keys that only work there. */
  readonly keys?: KeyList;
  /** Whole-pixel sizes that keep the ratio, where a repeat has no threads. */
  readonly RatioFits?: (props: { readonly exact: Rectangle; readonly now: PixelFit }) => ReactNode;
}

const VIEWS: { readonly [K in keyof ByKind]: ConstructionView<ByKind[K]> } = {
  plaid: {
    Build: PlaidBuild,
    workOf: (design, { draft }) =>
      draft && design.construction.crossing === 'woven' ? DraftView : undefined,
    Checks: PlaidChecks,
    keys: DRAFT_KEYS,
  },
  stripe: {
    Build: StripeBuild,
    Handles: AngleHandle,
    Checks: StripeBalancePart,
    RatioFits: RatioFitsPart,
  },
  tiling: {
    Build: TilingBuild,
    Handles: TilingHand,
    workOf: ({ construction }, { growing }) => (isGrowing(construction, growing) ? GrowthView : undefined),
    Checks: TilingFactsPart,
    keys: TILING_KEYS,
    RatioFits: RatioFitsPart,
  },
  motif: {
    Build: MotifBuild,
    Handles: MotifHand,
    keys: MOTIF_KEYS,
    Lay: MotifLayPart,
    Checks: MotifFactsPart,
    RatioFits: RatioFitsPart,
  },
  plies: {
    Build: PliesBuild,
    Handles: PliesHand,
    Checks: PliesChecks,
    RatioFits: RatioFitsPart,
  },
};

/** Keys that only work on some construction. */
export const KEYS_OF_CONSTRUCTIONS: readonly KeyList[] = Object.values(VIEWS).flatMap(
  ({ keys }: { readonly keys?: KeyList }) => keys ?? [],
);

/** What the bench shows of a design, whichever its construction. */
export function viewFor<C extends Construction>(design: DesignOf<C>): ConstructionView<C> {
  return VIEWS[design.construction.kind] as unknown as ConstructionView<C>;
}

/** What the Check step says of the design on the bench below the proof. */
export function ConstructionChecks({ made }: { made: boolean }) {
  const design = useDesign();
  const { Checks } = viewFor(design);
  return <Checks design={design} made={made} />;
}

/** What is laid over the cloth of the design on the bench, to be taken hold of. */
export function ConstructionHandles({ design }: { design: Design }) {
  const { Handles } = viewFor(design);
  return Handles === undefined ? null : <Handles design={design} />;
}
