import { useEffect } from 'react';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { Place } from '../../core/shape/places.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import type { Measured } from '../../workers/cloth-worker.ts';
import { sequenceOf } from '../state/band-edits.ts';
import type { Camera, ClothGeometry, Size } from './cloth-camera.ts';
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
  const { view, repeat, outlineRepeat, outlineUnit, outlineLattice, fade } = useCloth();
  const isSetts = inThreads(design) && design.lay.arrangement.kind === 'straight';
  useEffect(() => {
    if (patch === undefined || geometry === undefined || view.width === 0) return;
    const element = canvas.current!;
    const width = Math.round(view.width * pixelRatio);
    const height = Math.round(view.height * pixelRatio);
    if (element.width !== width) element.width = width;
    if (element.height !== height) element.height = height;
    const { toView } = placesOn(camera, geometry);
    // Weave and sett may come round together only after several setts.
    const unit = (isSetts ? boxOfSetts(design) : repeat!.box).map(toView);
    drawCloth(element.getContext('2d')!, {
      view,
      pixelRatio,
      camera: camera,
      geometry,
      patch,
      repeat: outlineRepeat && repeat !== undefined ? boxOf(camera, geometry, repeat) : undefined,
      unit: outlineUnit ? unit : undefined,
      lattice: outlineLattice ? latticeIn(view, camera, geometry, repeat!) : [],
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
    outlineLattice,
    fade,
    repeat,
    design,
    isSetts,
    canvas.current,
  ]);
}

/** Corners of one sett each way, in threads. */
function boxOfSetts(design: Design): readonly Place[] {
  const ends = threadCount(sequenceOf(design, 'warp'));
  const picks = threadCount(sequenceOf(design, 'weft'));
  return [
    { x: 0, y: 0 },
    { x: ends, y: 0 },
    { x: ends, y: picks },
    { x: 0, y: picks },
  ];
}

/** Between steps of the cloth and places of the view. */
function placesOn(camera: Camera, { stepX, stepY }: ClothGeometry) {
  return {
    toView: ({ x, y }: Place): Place => ({ x: camera.x + x * stepX, y: camera.y - y * stepY }),
    toCloth: ({ x, y }: Place): Place => ({ x: (x - camera.x) / stepX, y: (camera.y - y) / stepY }),
  };
}

/** Most places of a lattice that are worth seeing. */
const MOST_PLACES = 2_000;

/** Where in the view the lattice comes by; none where it is too fine to be told apart. */
function latticeIn(
  view: Size,
  camera: Camera,
  geometry: ClothGeometry,
  { lattice: [across, up] }: Measured,
): readonly Place[] {
  const { toView, toCloth } = placesOn(camera, geometry);
  const area = across.x * up.y - across.y * up.x;
  const corners = [
    { x: 0, y: 0 },
    { x: view.width, y: 0 },
    { x: 0, y: view.height },
    { x: view.width, y: view.height },
  ].map(toCloth);
  const inSteps = corners.map(({ x, y }) => ({
    i: (x * up.y - y * up.x) / area,
    j: (y * across.x - x * across.y) / area,
  }));
  const range = (values: readonly number[]) =>
    [Math.floor(Math.min(...values)), Math.ceil(Math.max(...values))] as const;
  const [firstI, lastI] = range(inSteps.map(({ i }) => i));
  const [firstJ, lastJ] = range(inSteps.map(({ j }) => j));
  if ((lastI - firstI + 1) * (lastJ - firstJ + 1) > MOST_PLACES) return [];
  const places: Place[] = [];
  for (let i = firstI; i <= lastI; i += 1) {
    for (let j = firstJ; j <= lastJ; j += 1) {
      places.push(toView({ x: i * across.x + j * up.x, y: i * across.y + j * up.y }));
    }
  }
  return places;
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
