import { useEffect } from 'react';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import { sequenceOf } from '../state/band-edits.ts';
import type { Camera, ClothGeometry } from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';
import type { Patch } from './draw-cloth.ts';
import { type Box, drawCloth } from './draw-cloth.ts';

interface ClothDrawing {
  readonly design: Design;
  readonly camera: Camera;
  readonly geometry: ClothGeometry | undefined;
  readonly patch: Patch | undefined;
  readonly pixelRatio: number;
}

/** Draws the painted repeat as an endless fill, with the outlines and the fade that are wished. */
export function useClothDrawing(
  canvas: React.RefObject<HTMLCanvasElement | null>,
  { design, camera, geometry, patch, pixelRatio }: ClothDrawing,
): void {
  const { view, repeat, outlineRepeat, outlineUnit, fade } = useCloth();
  const threads = inThreads(design);
  useEffect(() => {
    if (patch === undefined || geometry === undefined || view.width === 0) return;
    const element = canvas.current!;
    const width = Math.round(view.width * pixelRatio);
    const height = Math.round(view.height * pixelRatio);
    if (element.width !== width) element.width = width;
    if (element.height !== height) element.height = height;
    const laidOut = threads
      ? {
          ends: threadCount(sequenceOf(design, 'warp')),
          picks: threadCount(sequenceOf(design, 'weft')),
        }
      : repeat!;
    const unit = boxOf(camera, geometry, laidOut);
    drawCloth(element.getContext('2d')!, {
      view,
      pixelRatio,
      camera: camera,
      geometry,
      patch,
      repeat: outlineRepeat && repeat !== undefined ? boxOf(camera, geometry, repeat) : undefined,
      unit: outlineUnit ? unit : undefined,
      fade,
      fadeAround: unit,
    });
    element.dataset['patch'] = String(patch.serial);
    element.dataset['painted'] = String(Number(element.dataset['painted'] ?? 0) + 1);
  }, [
    patch,
    geometry,
    view,
    camera,
    pixelRatio,
    outlineRepeat,
    outlineUnit,
    fade,
    repeat,
    design,
    threads,
    canvas.current,
  ]);
}

function boxOf(
  camera: Camera,
  { stepX, stepY }: ClothGeometry,
  threads: { ends: number; picks: number },
): Box {
  const width = threads.ends * stepX;
  const height = threads.picks * stepY;
  return { left: camera.x, top: camera.y - height, width, height };
}
