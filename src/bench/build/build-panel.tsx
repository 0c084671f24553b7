import { LayOverPart } from '../plies/lay-over-part.tsx';
import { useDesign } from '../state/bench-store.ts';
import { viewFor } from './views.tsx';

/** The unit: the numbers of this construction, and what may be laid over it. */
export function BuildPanel() {
  const { Build } = viewFor(useDesign());
  return (
    <>
      <Build />
      <LayOverPart />
    </>
  );
}
