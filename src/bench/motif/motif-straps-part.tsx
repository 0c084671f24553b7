import type { MotifDesign } from '../../core/design/design-schema.ts';
import { OrderPart } from '../straps/order-part.tsx';
import { useStraps } from '../straps/use-straps.ts';
import { putMotif } from './put-motif.ts';

/** Which of the motif's straps goes over which. */
export function MotifStrapsPart({ design }: { design: MotifDesign }) {
  const { straps } = design.construction;
  const report = useStraps(design);
  return (
    <OrderPart
      straps={straps}
      report={report}
      onChange={(change, tag) => putMotif({ straps: { ...straps, ...change } }, tag)}
    />
  );
}
