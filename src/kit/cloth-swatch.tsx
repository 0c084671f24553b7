import { useEffect, useRef } from 'react';
import { compile, picturesUsed } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { type Rational, toNumber } from '../core/exact/rational.ts';
import { paintRows, preparePainting } from '../core/paint/painting.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../core/repeat/repeat-unit.ts';
import { NO_PICTURES, type Pictures } from '../core/shape/picture.ts';
import { valueIfAny } from '../wording/attempt.ts';
import { loadPictures } from './pictures/load-pictures.ts';
import { usePixelRatio } from './use-pixel-ratio.ts';

interface ClothSwatchProps {
  readonly design: Design;
  readonly width: number;
  readonly height: number;
  /** CSS pixels a thread, whole. */
  readonly perThread: number;
  /** Where words beside it say what it is. */
  readonly decorative?: boolean;
}

/** A small true crop of a design's cloth, painted here; for designs that are not stored yet. */
export function ClothSwatch({ design, width, height, perThread, decorative = false }: ClothSwatchProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pixelRatio = usePixelRatio();
  useEffect(() => {
    const element = canvas.current!;
    element.width = Math.round(width * pixelRatio);
    element.height = Math.round(height * pixelRatio);
    const step = Math.max(1, Math.round(perThread * pixelRatio));
    if (picturesUsed(design).length === 0) {
      drawSwatch(element, design, step, NO_PICTURES);
      return;
    }
    let isOver = false;
    void loadPictures(design).then((pictures) => !isOver && drawSwatch(element, design, step, pictures));
    return () => {
      isOver = true;
    };
  }, [design, width, height, perThread, pixelRatio]);
  return (
    <canvas
      ref={canvas}
      {...(decorative ? { 'aria-hidden': true } : { role: 'img', 'aria-label': `Cloth of ${design.name}` })}
      className="pinked block"
      style={{ width, height }}
    />
  );
}

/** Numbers that make no cloth leave the swatch empty; what is wrong with them is told where they are typed. */
function drawSwatch(element: HTMLCanvasElement, design: Design, step: number, pictures: Pictures): void {
  const image = valueIfAny(() => {
    const unit = compile(design, pictures);
    const tile = tileOf(unit, step);
    const offset = { x: 0, y: -element.height };
    const painting = preparePainting(unit, { tile, width: element.width, offset, look: 'flat' });
    const pixels = new ImageData(element.width, element.height);
    paintRows(painting, 0, element.height, new Uint32Array(pixels.data.buffer));
    return pixels;
  });
  if (image !== undefined) element.getContext('2d')!.putImageData(image, 0, 0);
}

/** One repeat in whole pixels; what has no threads is shown with a millimetre for one. */
function tileOf(unit: RepeatUnit, step: number): { width: number; height: number } {
  const { grid } = unit;
  if (grid.step === 'thread') return { width: grid.ends * step, height: grid.picks * step };
  const { width, height } = nearSize(repeatSize(unit)!);
  const pixels = (side: Rational) => Math.max(1, Math.round(toNumber(side) * step));
  return { width: pixels(width), height: pixels(height) };
}
