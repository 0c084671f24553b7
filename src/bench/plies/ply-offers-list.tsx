import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import type { PlyOffers, PlyScaleOffer } from '../../core/design/plies/ply-offers-of.ts';
import { withThreads } from '../../core/design/plies/with-threads.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { shortSizeText } from '../../wording/measures.ts';
import { factorText } from '../../wording/ply-words.ts';
import { putPly } from './put-plies.ts';

interface PlyOffersListProps {
  readonly offers: PlyOffers;
  readonly ply: PlySpec;
  readonly at: number;
  readonly unit: LengthUnit;
}

/** Numbers near those of a ply at which all repeat sooner, each on one click, with the repeat that they would have. */
export function PlyOffersList({ offers, ply, at, unit }: PlyOffersListProps) {
  if (!hasOffers(offers)) return null;
  const { whole, scales, counts } = offers;
  const take = ({ count }: PlyScaleOffer) => putPly(at, { scale: { to: 'count', count } });
  // The whole number stands by itself.
  const others = scales.filter(({ count }) => count !== whole?.count);
  const { content } = ply;
  return (
    <section aria-label="Numbers that close" className="flex flex-col gap-1 text-[13px]">
      {whole !== null && (
        <button type="button" className="button self-start" onClick={() => take(whole)}>
          {/^\d+$/.test(whole.count)
            ? `${whole.count} to one of the lowest`
            : `One to ${whole.count.split('/')[1]} of the lowest`}
        </button>
      )}
      <ul className="m-0 flex list-none flex-col p-0">
        {others.map((offer) => (
          <Offer key={offer.count} name={factorText(offer.factor)} onTake={() => take(offer)}>
            {shortSizeText(offer.size, unit)}
          </Offer>
        ))}
        {content.kind === 'design' &&
          counts.map(({ count, common }) => (
            <Offer
              key={`threads ${count}`}
              name={`${count} threads`}
              onTake={() => {
                const design = withThreads(content.design, count);
                if (design !== undefined) putPly(at, { content: { ...content, design } });
              }}
            >
              {common} threads
            </Offer>
          ))}
      </ul>
    </section>
  );
}

/** Whether there is any number that closes. */
export function hasOffers({ whole, scales, counts }: PlyOffers): boolean {
  return whole !== null || scales.length > 0 || counts.length > 0;
}

interface OfferProps {
  readonly name: string;
  readonly children: React.ReactNode;
  readonly onTake: () => void;
}

function Offer({ name, children, onTake }: OfferProps) {
  return (
    <li className="flex items-center justify-between gap-2 border-rule border-t">
      <button
        type="button"
        className="min-h-7 text-left font-semibold text-woad"
        aria-label={`Take ${name}`}
        onClick={onTake}
      >
        {name}
      </button>
      <span className="numbers text-ash">{children}</span>
    </li>
  );
}
