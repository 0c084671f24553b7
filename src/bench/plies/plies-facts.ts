import { useEffect } from 'react';
import { create } from 'zustand';
import type { PliesDesign } from '../../core/design/design-schema.ts';
import type { PlyReport } from '../../core/design/plies/plies-report.ts';
import type { OffersWish, PlyOffers } from '../../core/design/plies/ply-offers-of.ts';
import { outcomeOf } from '../../wording/attempt.ts';
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

/** What is offered for some plies, and what that was worked out for. */
interface ShownOffers {
  /** In the order in which they were wished; undefined until they are known, and where there are none. */
  readonly offers: readonly PlyOffers[] | undefined;
  readonly wished: readonly OffersWish[];
  /** Whether they are of other numbers than those of now. */
  readonly isDue: boolean;
}

/** What is offered for some plies of a design. */
export function usePlyOffers(design: PliesDesign, wished: readonly OffersWish[]): ShownOffers {
  const { construction, resolution } = design;
  const key = JSON.stringify([construction, resolution, wished]);
  const answer = useWorked(
    { design, wished, key },
    async (api, request) => api.plyOffers(request.design, request.wished),
    key,
  );
  return {
    offers: outcomeOf(answer),
    wished: answer?.request.wished ?? [],
    isDue: answer?.request.key !== key,
  };
}
