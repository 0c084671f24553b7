import { useEffect } from 'react';
import { create } from 'zustand';
import type { PliesDesign } from '../../core/design/design-schema.ts';
import type { PlyReport } from '../../core/design/plies/plies-report.ts';
import type { OffersWish, PlyOffers } from '../../core/design/plies/ply-offers-of.ts';
import { type Attempt, outcomeOf } from '../../wording/attempt.ts';
import { useWorked } from '../state/use-worked.ts';

interface PliesFacts {
  /** Of each ply, the lowest first; undefined until it is known, and where they never come together. */
  readonly report: readonly PlyReport[] | undefined;
}

export const usePliesFacts = create<PliesFacts>(() => ({ report: undefined }));

/** Keeps what follows of the plies on the bench, for all that shows it. */
export function useKeptFacts(design: PliesDesign): void {
  const { construction, shades, resolution } = design;
  const answer = useWorked(
    design,
    async (api, plies) => api.plies(plies),
    JSON.stringify([construction, shades.length, resolution]),
  );
  const report = outcomeOf(answer);
  useEffect(() => usePliesFacts.setState({ report }), [report]);
}

/** What is offered for some plies, in their order; undefined until it is known. */
export function usePlyOffers(
  design: PliesDesign,
  wished: readonly OffersWish[],
): Attempt<readonly PlyOffers[]> | undefined {
  const { construction, resolution } = design;
  return useWorked(
    { design, wished },
    async (api, request) => api.plyOffers(request.design, request.wished),
    JSON.stringify([construction, resolution, wished]),
  );
}
