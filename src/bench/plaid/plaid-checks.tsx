import type { PlaidDesign } from '../../core/design/design-schema.ts';
import { WeaveFactsPart } from '../weave/weave-facts-part.tsx';
import { BalancePart } from './balance-part.tsx';
import { YarnPart } from './yarn-part.tsx';

/** What there is to know of threads: the structure, the yarn of a piece, the balance of shades. */
export function PlaidChecks({ design, made }: { design: PlaidDesign; made: boolean }) {
  const woven = design.construction.crossing === 'woven';
  return (
    <>
      {woven && made && <WeaveFactsPart design={design} />}
      {woven && <YarnPart design={design} />}
      <BalancePart design={design} />
    </>
  );
}
