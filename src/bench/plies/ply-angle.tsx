import { useEffect } from 'react';
import { isNearEnough } from '../../core/design/lay/turn-offers.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import { type AngleOffer, MOST_SLOPE } from '../../core/repeat/plies/ply-offers.ts';
import { DataTable } from '../../kit/data-table.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { degreesText } from '../../wording/lines.ts';
import { shortSizeText } from '../../wording/measures.ts';
import type { TypedAngle } from '../state/use-typed-angle.ts';
import type { PlyPartProps } from './ply-part.tsx';
import { putPly } from './put-plies.ts';

interface PlyAngleProps extends PlyPartProps {
  readonly angle: TypedAngle;
  /** Undefined until they are known. */
  readonly offers: readonly AngleOffer[] | undefined;
  /** Whether they are of other numbers than those of now. */
  readonly isDue: boolean;
}

/** The angle at which a ply lies: typed where it closes there, else chosen among those near it at which it does. */
export function PlyAngle({ design, ply: { slope }, at, angle, offers, isDue }: PlyAngleProps) {
  const { asked, type, answer } = angle;
  // biome-ignore lint/correctness/useExhaustiveDependencies: an answer is of what was typed, not of when it was
  useEffect(() => {
    if (offers === undefined || isDue) return;
    answer((typed) => {
      const met = offers.find(isNearEnough);
      if (met === undefined) return undefined;
      turn(at, met, typed);
      return met.slope.up === 0 ? '0' : typed;
    });
  }, [offers, isDue]);
  const isChosen = ({ slope: { up, across } }: AngleOffer) =>
    slope === null ? up === 0 : slope.up === up && slope.across === across;
  return (
    <section aria-label="Angle" className="flex flex-col gap-2">
      <NumberField
        label="Turned by, degrees"
        text={asked}
        resolve={(text) => String(Number(toNumber(readDegrees(text)).toFixed(6)))}
        onChange={type}
        after={<span className="text-ash">°</span>}
      />
      {offers !== undefined && (asked !== '0' || slope !== null) && (
        <div className="found flex flex-col gap-2" aria-busy={isDue} inert={isDue}>
          {!offers.some(isNearEnough) && (
            <p className="hint">
              {offers.length === 0
                ? `At no angle near this one, on at most ${MOST_SLOPE} of its repeats, does it come together with what lies beneath.`
                : 'Near this angle it comes together with what lies beneath at these:'}
            </p>
          )}
          {offers.length > 0 && (
            <DataTable
              small
              head={['Angle that closes', `All repeat in, ${design.lay.unit}`]}
              rows={offers.map((offer) => ({
                key: `${offer.slope.up}/${offer.slope.across}`,
                title: `${offer.slope.up} repeats up on ${offer.slope.across} across`,
                chosen: isChosen(offer),
                cells: [
                  <button
                    key="angle"
                    type="button"
                    aria-pressed={isChosen(offer)}
                    aria-label={`Turn by ${degreesText(offer.degrees)}`}
                    className="min-h-6 min-w-8 text-left font-semibold text-woad"
                    onClick={() => turn(at, offer, asked)}
                  >
                    {degreesText(offer.degrees)}
                  </button>,
                  shortSizeText(offer.size, design.lay.unit),
                ],
              }))}
            />
          )}
          {slope !== null && !offers.some(({ slope: { up } }) => up === 0) && (
            <button type="button" className="button self-start" onClick={() => putPly(at, { slope: null })}>
              Level again
            </button>
          )}
        </div>
      )}
    </section>
  );
}

function turn(at: number, { slope: { up, across } }: AngleOffer, asked: string): void {
  putPly(at, { slope: up === 0 ? null : { up, across, asked } });
}
