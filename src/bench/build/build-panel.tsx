import type { Construction } from '../../core/design/design-schema.ts';
import { PlaidBuild } from '../plaid/plaid-build.tsx';
import { useDesign } from '../state/bench-store.ts';
import { StripeBuild } from '../stripe/stripe-build.tsx';
import { TilingBuild } from '../tiling/tiling-build.tsx';

/** What the Build step shows for each construction. */
const BUILDS: Readonly<Record<Construction['kind'], () => React.ReactNode>> = {
  plaid: PlaidBuild,
  stripe: StripeBuild,
  tiling: TilingBuild,
};

/** The unit: the numbers of this construction. */
export function BuildPanel() {
  const Build = BUILDS[useDesign().construction.kind];
  return <Build />;
}
