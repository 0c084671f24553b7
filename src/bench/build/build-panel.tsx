import { useDesign } from '../state/bench-store.ts';
import { viewFor } from './views.tsx';

/** The unit: the numbers of this construction. */
export function BuildPanel() {
  const { Build } = viewFor(useDesign());
  return <Build />;
}
