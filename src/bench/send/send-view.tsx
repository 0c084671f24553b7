import { useEffect, useMemo, useRef } from 'react';
import { inColourway } from '../../core/design/colourway.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { Rational } from '../../core/exact/rational.ts';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { useSize } from '../../kit/use-size.ts';
import { lengthText } from '../../wording/measures.ts';
import type { Size } from '../cloth/cloth-camera.ts';
import { useDesign } from '../state/bench-store.ts';
import { FileText } from './file-text.tsx';
import { drawnAs, isPicture, isRaster, isStructure, readWish, useSend, useSendOrder } from './send-store.ts';
import { StrikeOffView } from './strike-off-view.tsx';
import { StructureView } from './structure-view.tsx';
import { type SendPreview, useSendPreview } from './use-send-preview.ts';

/** Room left around the picture for its measures, in CSS pixels. */
const MARGIN = 64;

/** What will be sent, with its measures along its edges. */
export function SendView() {
  const host = useRef<HTMLDivElement>(null);
  const view = useSize(host);
  const wish = useSend();
  return (
    <div ref={host} className="relative min-h-0 min-w-0 overflow-hidden bg-[#ebe5d8]">
      {wish.file === 'strike' ? (
        <StrikeOffView view={view} />
      ) : isPicture(wish.file) ? (
        <PictureView view={view} />
      ) : isStructure(wish.file) ? (
        <StructureView />
      ) : (
        <FileText />
      )}
    </div>
  );
}

function PictureView({ view }: { view: Size }) {
  const design = useDesign();
  const wish = useSend();
  const pixelRatio = usePixelRatio();
  const ask = useMemo(() => {
    const numbers = readWish(wish, design);
    if ('problem' in numbers) return undefined;
    const room = (side: number) => Math.max(0, side - 2 * MARGIN) * pixelRatio;
    const shown = inColourway(design, knownColourway(design, wish.colourway));
    return {
      design: shown,
      numbers: numbers.value,
      drawn: drawnAs(wish, design),
      room: { width: room(view.width), height: room(view.height) },
    };
  }, [design, wish, view, pixelRatio]);
  const preview = useSendPreview(ask);
  if (preview === undefined) return null;
  if ('problem' in preview) return <p className="p-10 text-center text-madder">{preview.problem}</p>;
  return <Measured preview={preview} pixelRatio={pixelRatio} />;
}

/** A colourway that was chosen and is there no more leaves the design as it is. */
function knownColourway({ colourways }: Design, name: string): string {
  return colourways.some((each) => each.name === name) ? name : '';
}

interface MeasuredProps {
  readonly preview: SendPreview;
  readonly pixelRatio: number;
}

function Measured({ preview, pixelRatio }: MeasuredProps) {
  const { ordered, scale } = preview;
  const { order, size } = ordered;
  const design = useDesign();
  const { lay } = design;
  const { file } = useSend();
  const isDue = useSendOrder((each) => each.isDue);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => drawSheet(canvas.current!, preview), [preview]);
  const width = (order.width * scale) / pixelRatio;
  const height = (order.height * scale) / pixelRatio;
  const measure = (pixels: number, length: Rational) =>
    `${isRaster(file) ? `${pixels} px · ` : ''}${lengthText(length, lay.unit)} ${lay.unit}`;
  return (
    <div className="grid h-full place-items-center">
      <div className="relative" style={{ width, height }}>
        <canvas
          ref={canvas}
          role="img"
          aria-label="What will be sent"
          className="block h-full w-full bg-paper shadow-[0_4px_18px_rgb(32_41_43/0.25)]"
        />
        <span aria-busy={isDue} className="found numbers -top-7 absolute inset-x-0 text-center">
          {measure(order.width, size.width)}
        </span>
        <span
          aria-busy={isDue}
          className="found numbers -left-7 absolute top-1/2 -translate-x-1/2 -translate-y-1/2 -rotate-90 whitespace-nowrap"
        >
          {measure(order.height, size.height)}
        </span>
      </div>
    </div>
  );
}

/** Fills the sheet with the painted repeat, stretched by less than a pixel to its exact share. */
function drawSheet(canvas: HTMLCanvasElement, { ordered: { order }, scale, tile }: SendPreview): void {
  canvas.width = Math.max(1, Math.round(order.width * scale));
  canvas.height = Math.max(1, Math.round(order.height * scale));
  const context = canvas.getContext('2d')!;
  const pattern = context.createPattern(tile, 'repeat')!;
  pattern.setTransform(
    new DOMMatrix([
      (order.tile.width * scale) / order.block.across / tile.width,
      0,
      0,
      (order.tile.height * scale) / order.block.down / tile.height,
      0,
      0,
    ]),
  );
  context.fillStyle = pattern;
  context.fillRect(0, 0, canvas.width, canvas.height);
}
