import type { Place } from '../../core/shape/places.ts';
import { type Camera, type ClothGeometry, type Piece, type Size, tileCorner } from './cloth-camera.ts';

/** A painted piece of cloth. */
export interface Patch {
  /** Goes up by one with every painting. */
  readonly serial: number;
  readonly bitmap: ImageBitmap;
  readonly piece: Piece;
  readonly geometry: ClothGeometry;
}

/** An upright box in CSS pixels. */
export interface Box extends Size {
  readonly left: number;
  readonly top: number;
}

export interface ClothScene {
  readonly view: Size;
  readonly pixelRatio: number;
  readonly camera: Camera;
  readonly geometry: ClothGeometry;
  readonly patch: Patch;
  readonly repeat: Box | undefined;
  /** Corners of what is drawn once. */
  readonly unit: readonly Place[] | undefined;
  /** Places that the cloth comes again at. */
  readonly lattice: readonly Place[];
  readonly fade: number;
  readonly fadeAround: readonly Place[];
}

/** Fills the view with the painted piece, repeated, and draws the outlines over it. */
export function drawCloth(context: CanvasRenderingContext2D, scene: ClothScene): void {
  const { view, pixelRatio, camera, geometry, patch } = scene;
  const [left, top] = tileCorner(camera, geometry.tile, pixelRatio);
  // Until the worker has painted the new size, the old piece is stretched to it.
  const scaleX = geometry.stepX / patch.geometry.stepX;
  const scaleY = geometry.stepY / patch.geometry.stepY;
  const pattern = context.createPattern(patch.bitmap, 'repeat')!;
  pattern.setTransform(
    new DOMMatrix([scaleX, 0, 0, scaleY, left + patch.piece.x * scaleX, top + patch.piece.y * scaleY]),
  );
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.imageSmoothingEnabled = scaleX < 1;
  // What is left clear lets nothing of the painting before show.
  context.clearRect(0, 0, context.canvas.width, context.canvas.height);
  context.fillStyle = pattern;
  context.fillRect(0, 0, Math.ceil(view.width * pixelRatio), Math.ceil(view.height * pixelRatio));
  context.setTransform(pixelRatio, 0, 0, pixelRatio, 0, 0);
  if (scene.fade > 0) fadeOutside(context, view, scene.fadeAround, scene.fade);
  if (scene.repeat !== undefined) outline(context, cornersOf(scene.repeat), '#20292b', [9, 6]);
  if (scene.unit !== undefined) outline(context, scene.unit, '#2c5f7c', []);
  for (const place of scene.lattice) ring(context, place);
}

function cornersOf({ left, top, width, height }: Box): readonly Place[] {
  return [
    { x: left, y: top },
    { x: left + width, y: top },
    { x: left + width, y: top + height },
    { x: left, y: top + height },
  ];
}

function fadeOutside(
  context: CanvasRenderingContext2D,
  view: Size,
  corners: readonly Place[],
  fade: number,
): void {
  context.beginPath();
  context.rect(0, 0, view.width, view.height);
  tracePolygon(context, corners);
  context.fillStyle = `rgb(245 241 232 / ${fade})`;
  context.fill('evenodd');
}

function tracePolygon(context: CanvasRenderingContext2D, corners: readonly Place[]): void {
  for (const [at, { x, y }] of corners.entries()) {
    if (at === 0) context.moveTo(x, y);
    else context.lineTo(x, y);
  }
  context.closePath();
}

/** CSS pixels from a place of the lattice to the ring round it. */
const RING = 4.5;

function ring(context: CanvasRenderingContext2D, { x, y }: Place): void {
  context.beginPath();
  context.arc(x, y, RING, 0, 2 * Math.PI);
  for (const [style, width] of [
    ['rgb(255 255 255 / 0.9)', 4],
    ['#96690b', 2],
  ] as const) {
    context.strokeStyle = style;
    context.lineWidth = width;
    context.stroke();
  }
}

function outline(
  context: CanvasRenderingContext2D,
  corners: readonly Place[],
  colour: string,
  dash: readonly number[],
): void {
  context.setLineDash(dash);
  context.beginPath();
  tracePolygon(context, corners);
  for (const [style, width] of [
    ['rgb(255 255 255 / 0.9)', 3.5],
    [colour, 1.5],
  ] as const) {
    context.strokeStyle = style;
    context.lineWidth = width;
    context.stroke();
  }
  context.setLineDash([]);
}
