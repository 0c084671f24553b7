import type { Design } from '../../../core/design/design-schema.ts';
import { toNumber } from '../../../core/exact/rational.ts';
import { type PagePlan, planPages } from '../../../core/formats/page/page-plan.ts';
import type { RepeatUnit } from '../../../core/repeat/repeat-unit.ts';
import { repeatSize } from '../../../core/repeat/repeat-unit.ts';
import type { Pictures } from '../../../core/shape/picture.ts';
import { sizeText } from '../../../wording/measures.ts';
import { shrinkageText } from '../../../wording/sheet-words.ts';
import { provenOf } from '../../proving/proven.ts';
import { lookOf, scaleOf, stretchOf } from '../query-wishes.ts';
import type { Cloth } from './cloth-blocks.ts';
import { pageWishOf } from './pdf-wish.ts';
import type { TicketLine } from './ticket-page.ts';

export interface PdfMaking {
  readonly design: Design;
  readonly unit: RepeatUnit;
  readonly query: URLSearchParams;
  readonly pictures: Pictures;
  readonly told: (made: number, of: number) => void;
}

/**
 * A PDF of a design at true size. Query: `size` or `repeats`, `paper`, `bleed`, `marks`, `overlap`, `ticket=none`, `shrink`,
 * `dpi` and `drawn` where the cloth is a picture.
 * @throws CoreError as `planPages`, before the first piece
 */
export function pdfFile(making: PdfMaking): AsyncIterable<Uint8Array> {
  const { design, unit, query, told } = making;
  const wish = pageWishOf(design, unit, query);
  const look = { scale: scaleOf(design, query), look: lookOf(query), stretch: stretchOf(query) };
  const plan = planPages(wish);
  const ticket = query.get('ticket') === 'none' ? undefined : ticketOf(making);
  return (async function* () {
    const { writePdf } = await import('./write-pdf.ts');
    yield await writePdf({ design, unit, plan, wish, look, ticket, at: new Date() }, told);
  })();
}

const KINDS: Readonly<Record<Cloth['kind'], string>> = {
  drawing: 'drawn, sharp at any scale',
  threads: 'one square a thread',
  picture: 'as a picture',
};

function ticketOf({ design, unit, query, pictures }: PdfMaking) {
  return (kind: Cloth['kind'], plan: PagePlan): readonly TicketLine[] => {
    const { verdict } = provenOf(design, pictures);
    const stretch = stretchOf(query);
    const grows = toNumber(stretch.x) !== 1 || toNumber(stretch.y) !== 1;
    const pages = plan.across * plan.down;
    return [
      ['Repeat', sizeText(repeatSize(unit)!, design.lay.unit).replace('≈', 'about')],
      ['Repeat check', verdict],
      [
        'Cloth',
        kind === 'picture' ? `${KINDS.picture}, ${query.get('dpi') ?? design.resolution} dpi` : KINDS[kind],
      ],
      ...(pages > 1 ? [['Pages', `${plan.across} × ${plan.down}, to be put together`] as const] : []),
      ...(grows ? [['For shrinkage', shrinkageText(stretch)] as const] : []),
      ...(query.get('colourway') ? [['Colourway', query.get('colourway')!] as const] : []),
    ];
  };
}
