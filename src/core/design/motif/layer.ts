import { CoreError } from '../../error.ts';
import type { Motion } from '../../shape/contour.ts';
import { type FadeWay, moveFade } from '../../shape/fade-way.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import { movePicture, type ShownPicture } from '../../shape/picture.ts';
import { MAX_COPIES } from './making-schema.ts';

/** What a layer is painted with, shades by their letters. */
export interface LayerPaint {
  /** With a fade, the shade that it is known by; null for none, beneath a picture. */
  readonly shade: string | null;
  readonly fade?: { readonly shades: readonly string[]; readonly way: FadeWay | OverRepeat };
  /** Over the shade or the fade. */
  readonly picture?: ShownPicture;
  /** Blurred and moved, in millimetres, whichever way its copy is turned. */
  readonly shadow?: {
    readonly x: number;
    readonly y: number;
    readonly deviation: number;
    readonly strength: number;
  };
}

/** A fade over the whole repeat, whose size is known where boxes are laid. */
export type OverRepeat =
  | { readonly kind: 'repeat-along'; readonly angle: number }
  | { readonly kind: 'repeat-outward' };

/** One figure of a piece as it is painted; null is not painted. */
export interface Layer {
  readonly figure: Figure;
  readonly paint: LayerPaint | null;
  /** Which of the piece's copies it belongs to. */
  readonly copy: number;
}

/** A piece as it is made: all of it as one figure, and its layers in painting order. */
export interface MadePiece {
  readonly figure: Figure;
  readonly layers: readonly Layer[];
}

/** All of a piece as one layer in one paint. */
export function oneLayer(figure: Figure, paint: LayerPaint | null): MadePiece {
  return { figure, layers: [{ figure, paint, copy: 0 }] };
}

export function mapFigures({ figure, layers }: MadePiece, change: (figure: Figure) => Figure): MadePiece {
  return {
    figure: change(figure),
    layers: layers.map((layer) => ({ ...layer, figure: change(layer.figure) })),
  };
}

export function movePiece(made: MadePiece, motion: Motion): MadePiece {
  return {
    figure: moveFigure(made.figure, motion),
    layers: made.layers.map((layer) => moveLayer(layer, motion)),
  };
}

export function moveLayer({ figure, paint, copy }: Layer, motion: Motion): Layer {
  return { figure: moveFigure(figure, motion), paint: paint && movePaint(paint, motion), copy };
}

function movePaint(paint: LayerPaint, motion: Motion): LayerPaint {
  const { fade, picture } = paint;
  return {
    ...paint,
    ...(fade && !isOverRepeat(fade.way) && { fade: { ...fade, way: moveFade(fade.way, motion) } }),
    ...(picture && { picture: { ...picture, place: movePicture(picture.place, motion) } }),
  };
}

export function isOverRepeat(way: FadeWay | OverRepeat): way is OverRepeat {
  return way.kind === 'repeat-along' || way.kind === 'repeat-outward';
}

/** Each copy with all its layers over the one before. @throws CoreError "motif/copies" {copies, most} */
export function copied({ figure, layers }: MadePiece, motions: readonly Motion[]): MadePiece {
  const copies = motions.length * layers.length;
  if (copies > MAX_COPIES) throw new CoreError('motif/copies', { copies, most: MAX_COPIES });
  const before = 1 + layers.reduce((most, { copy }) => Math.max(most, copy), 0);
  return {
    figure: { kind: 'join', parts: motions.map((motion) => moveFigure(figure, motion)) },
    layers: motions.flatMap((motion, at) =>
      layers.map((layer) => ({ ...moveLayer(layer, motion), copy: layer.copy + at * before })),
    ),
  };
}

/** A layer of one copy in a shade. */
export function inShade(shade: string | null): Omit<Layer, 'figure'> {
  return { paint: shade === null ? null : { shade }, copy: 0 };
}
