import { isWoven, type PlaidDesign } from '../../core/design/design-schema.ts';
import { WeaveFactsPart } from '../weave/weave-facts-part.tsx';
import { BalancePart } from './balance-part.tsx';
import { YarnPart } from './yarn-part.tsx';

/** What there is to know of threads: the structure, the yarn of a piece, the balance of shades. */
export function PlaidChecks({ design, made }: { design: PlaidDesign; made: boolean }) {
  return (
    <>
      {isWoven(design) && made && <WeaveFactsPart design={design} />}
      {isWoven(design) && <YarnPart design={design} />}
      <BalancePart design={design} />
    </>
  );
}
