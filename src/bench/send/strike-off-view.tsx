import { useState } from 'react';
import type { Job } from '../../contracts/job.ts';
import { substrateName, USUAL_SUBSTRATE } from '../../core/print/substrate.ts';
import { clockText } from '../../wording/measures.ts';
import type { Size } from '../cloth/cloth-camera.ts';
import { useBenchState } from '../state/bench-store.ts';
import { useSend } from './send-store.ts';
import { cameBack, usePrinted } from './use-printed.ts';

/** Pixels an inch at which both are shown: about true size, fine enough that threads are seen. */
const DPI = 150;

/** Room around the two, and between them, in CSS pixels. */
const MARGIN = 28;
const GAP = 20;
const CAPTION = 40;

/** The design beside what comes of it in print, both of the same piece at the same size. */
export function StrikeOffView({ view }: { view: Size }) {
  const id = useBenchState((state) => state.id);
  const version = useBenchState((state) => state.version);
  const { substrate, washed, colourway, strikeOff } = useSend();
  const came = usePrinted(({ orders }) => cameBack(orders));
  const width = Math.floor((view.width - 2 * MARGIN - GAP) / 2);
  const height = Math.floor(view.height - 2 * MARGIN - CAPTION);
  if (width < 40 || height < 40) return null;
  const query = new URLSearchParams({
    v: String(version),
    dpi: String(DPI),
    size: `${width} x ${height} px`,
  });
  if (colourway !== '') query.set('colourway', colourway);
  const printed = new URLSearchParams(query);
  printed.set('substrate', substrate);
  if (washed) printed.set('washed', '');
  const folder = `/api/designs/${id}/files`;
  const name = substrateName(substrate);
  return (
    <div className="flex h-full items-start justify-center gap-5 p-7">
      <Piece title="As it is designed" src={`${folder}/tile.png?${query}`} width={width} height={height} />
      {strikeOff === 'came' && came !== undefined ? (
        <Piece title={cameWords(came)} src={`/api/jobs/${came.id}/file`} width={width} height={height} />
      ) : (
        <Piece
          title={`In print on ${name.toLowerCase()}${washed ? ', washed' : ''}`}
          src={`${folder}/strike-off.png?${printed}`}
          width={width}
          height={height}
        />
      )}
    </div>
  );
}

/** What came back is of the design as it stood when it was ordered. */
function cameWords({ query, madeAt }: Job): string {
  const cloth = substrateName(new URLSearchParams(query).get('substrate') ?? USUAL_SUBSTRATE).toLowerCase();
  return `From the print house on ${cloth}, ordered ${clockText(madeAt, new Date(madeAt))}`;
}

interface PieceProps extends Size {
  readonly title: string;
  readonly src: string;
}

function Piece({ title, src, width, height }: PieceProps) {
  const [shown, setShown] = useState('');
  return (
    <figure className="m-0" style={{ width }}>
      <div className="overflow-hidden bg-paper shadow-[0_4px_18px_rgb(32_41_43/0.25)]" style={{ height }}>
        <img
          src={src}
          alt={title}
          className={`block max-w-none transition-opacity motion-reduce:transition-none ${shown === src ? '' : 'opacity-60'}`}
          onLoad={() => setShown(src)}
        />
      </div>
      <figcaption className="mt-2 text-center font-semibold text-[14px]">{title}</figcaption>
    </figure>
  );
}
