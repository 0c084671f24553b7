import { parseRepeats, parseScale } from '../../core/design/lay/lay-numbers.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseWay } from '../../core/design/motif/motif-numbers.ts';
import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { plyStepName } from '../../core/design/plies/ply-step.ts';
import { ONE, toText } from '../../core/exact/rational.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { lengthText, portionText } from '../../wording/measures.ts';
import { useTypedAngle } from '../state/use-typed-angle.ts';
import { usePliesFacts, usePlyOffers } from './plies-facts.ts';
import { PlyAngle } from './ply-angle.tsx';
import { PlyOffersList } from './ply-offers-list.tsx';
import type { PlyPartProps } from './ply-part.tsx';
import { putPly } from './put-plies.ts';

const SCALES = [
  { value: 'factor', text: 'By a factor' },
  { value: 'count', text: 'So many to one of the lowest' },
] as const;

/** How large a ply's design lies, at which angle and how far it is moved. */
export function PlyPlacePart(props: PlyPartProps) {
  const { design, ply, at } = props;
  const angle = useTypedAngle(ply.slope === null ? '0' : (ply.slope.asked ?? '0'));
  const answer = usePlyOffers(design, [{ ply: at, degrees: angle.wished }]);
  // Those of another ply are none of this one's.
  const offers = answer.wished[0]?.ply === at ? answer.offers?.[0] : undefined;
  const isLowest = design.construction.plies.findIndex(({ content }) => content.kind === 'design') === at;
  return (
    <>
      <ScaleFields {...props} isLowest={isLowest} />
      {offers !== undefined && !isLowest && (
        <div className="found" aria-busy={answer.isDue} inert={answer.isDue}>
          <PlyOffersList offers={offers} ply={ply} at={at} unit={design.lay.unit} />
        </div>
      )}
      {!isLowest && <PlyAngle {...props} angle={angle} offers={offers?.angles} isDue={answer.isDue} />}
      <ShiftFields {...props} />
    </>
  );
}

function ScaleFields({ ply: { scale }, at, isLowest }: PlyPartProps & { readonly isLowest: boolean }) {
  return (
    <>
      {!isLowest && (
        <SelectField
          label="Size"
          value={scale.to}
          options={SCALES}
          onChange={(to) =>
            putPly(at, { scale: to === 'factor' ? { to, factor: '100%' } : { to, count: '1' } })
          }
        />
      )}
      {scale.to === 'factor' ? (
        <NumberField
          label="Factor"
          text={scale.factor}
          resolve={(text) => portionText(parseScale(text), 3)}
          onChange={(factor) => putPly(at, { scale: { to: 'factor', factor: factor.trim() } }, 'scale')}
        />
      ) : (
        <NumberField
          label="Repeats to one of the lowest"
          text={scale.count}
          resolve={(text) => toText(parseRepeats(text))}
          onChange={(count) => putPly(at, { scale: { to: 'count', count: count.trim() } }, 'scale')}
        />
      )}
    </>
  );
}

function ShiftFields({ design, ply: { shift, content }, at }: PlyPartProps) {
  const gap = usePliesFacts(({ report }) => report?.[at]?.gap);
  const scale = { step: ONE, pixel: pixelOf(design.resolution) };
  const put = (change: Partial<PlySpec['shift']>, tag?: string) =>
    putPly(at, { shift: { ...shift, ...change } }, tag);
  const resolve = (text: string) => {
    const way = parseWay(text, scale);
    return shift.in === 'length' ? lengthText(way, 'mm') : toText(way);
  };
  const steps = content.kind === 'design' ? plyStepName(content.design) : undefined;
  const isMoved = shift.x.trim() !== '0' || shift.y.trim() !== '0';
  return (
    <section aria-label="Shift" className="flex flex-col gap-2">
      <Choice
        label="Moved, counted in"
        value={shift.in}
        options={[
          { value: 'length', text: 'mm' },
          ...(steps === undefined ? [] : [{ value: 'steps' as const, text: steps }]),
          { value: 'repeats', text: 'its repeats' },
        ]}
        onChange={(to) => put({ in: to, x: '0', y: '0' })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="To the right"
          text={shift.x}
          resolve={resolve}
          onChange={(x) => put({ x: x.trim() }, 'shift')}
        />
        <NumberField
          label="Up"
          text={shift.y}
          resolve={resolve}
          onChange={(y) => put({ y: y.trim() }, 'shift')}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          disabled={gap === undefined}
          onClick={() => gap !== undefined && put({ in: 'repeats', ...gap })}
        >
          Into the gaps
        </button>
        {isMoved && (
          <button type="button" className="button" onClick={() => put({ x: '0', y: '0' })}>
            Back to the corner
          </button>
        )}
      </div>
    </section>
  );
}
