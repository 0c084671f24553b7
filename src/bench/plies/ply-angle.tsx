import { useEffect, useState } from 'react';
import { toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import type { AngleOffer } from '../../core/repeat/plies/ply-offers.ts';
import { DataTable } from '../../kit/data-table.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { degreesText } from '../../wording/lines.ts';
import { shortSizeText } from '../../wording/measures.ts';
import type { PlyPartProps } from './ply-part.tsx';
import { putPly } from './put-plies.ts';

interface PlyAngleProps extends PlyPartProps {
  readonly offers: readonly AngleOffer[];
  readonly isLowest: boolean;
  /** Hears near which angle offers are wished for. */
  readonly onWish: (degrees: number) => void;
}

/** The angle at which a ply lies: typed, then chosen among those near it at which it closes. */
export function PlyAngle({ design, ply: { slope }, at, offers, isLowest, onWish }: PlyAngleProps) {
  const now = slope === null ? '0' : (slope.asked ?? '0');
  const [asked, setAsked] = useState(now);
  useEffect(() => {
    setAsked(now);
    onWish(toNumber(readDegrees(now)));
  }, [now, onWish]);
  const isChosen = ({ slope: { up, across } }: AngleOffer) =>
    slope === null ? up === 0 : slope.up === up && slope.across === across;
  const level: AngleOffer | undefined = offers.find(({ slope: { up } }) => up === 0);
  if (isLowest) return null;
  return (
    <section aria-label="Angle" className="flex flex-col gap-2">
      <NumberField
        label="Turned by about, degrees"
        text={asked}
        resolve={(text) => String(Number(toNumber(readDegrees(text)).toFixed(3)))}
        onChange={(text) => {
          setAsked(text.trim());
          onWish(toNumber(readDegrees(text)));
        }}
        after={<span className="text-ash">°</span>}
      />
      {(asked !== '0' || slope !== null) && (
        <>
          {offers.length === 0 ? (
            <p className="hint">At no angle near this one does it come together with what lies beneath.</p>
          ) : (
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
          {slope !== null && level === undefined && (
            <button type="button" className="button self-start" onClick={() => putPly(at, { slope: null })}>
              Level again
            </button>
          )}
        </>
      )}
    </section>
  );
}

function turn(at: number, { slope: { up, across } }: AngleOffer, asked: string): void {
  putPly(at, { slope: up === 0 ? null : { up, across, asked } });
}
