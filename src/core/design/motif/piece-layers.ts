import { CoreError } from '../../error.ts';
import { toNumber } from '../../exact/rational.ts';
import { mirrorIn, STILL, shiftBy, thenMotion, turnAbout } from '../../shape/contour.ts';
import { type FadeWay, fadeAlong, fadeOutward } from '../../shape/fade-way.ts';
import type { Dashes, Figure } from '../../shape/figure.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import { placesOfFigure } from '../../shape/figure-places.ts';
import type { Grid } from '../../shape/grid.ts';
import { lineThrough } from '../../shape/line-figures.ts';
import { type Pictures, placePicture } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import { resolveFigure } from '../../shape/resolve-figure.ts';
import { shownPicture } from '../picture-schema.ts';
import { further } from './further.ts';
import { fadesOverRepeat, goesOn } from './goes-on.ts';
import { inShade, type LayerPaint, type MadePiece, movePiece, type OverRepeat, oneLayer } from './layer.ts';
import { linePlaces } from './line-places.ts';
import type { Making } from './making-schema.ts';
import {
  type MotifScale,
  parseDegrees,
  parseShare,
  parseSteps,
  parseStepsOrNone,
  parseWay,
} from './motif-numbers.ts';
import type { LineShape, Piece, PieceFade, PieceOutline, PieceShadow, PieceShape } from './motif-schema.ts';
import { nameOf } from './piece-name.ts';
import { buildShape, isNumberShape } from './shapes.ts';

/** What a piece is made with besides. */
export interface PieceContext {
  readonly scale: MotifScale;
  readonly pictures: Pictures;
  /** The figure of another piece. @throws CoreError "motif/missing" | "motif/circular" */
  readonly figureOf: (id: number, from: Piece) => Figure;
}

/**
 * A piece's shape turned and placed, then everything that is made of it further, in millimetres from the lower left of
 * the box.
 *
 * @throws CoreError of its numbers, its shape and `figureOf`; "motif/copies" {copies, most} | "motif/vanished" {piece} | "motif/picture" {piece}
 */
export function layersOf(piece: Piece, context: PieceContext): MadePiece {
  const { scale, figureOf, pictures } = context;
  const way = (text: string) => toNumber(parseWay(text, scale));
  const turned = turnAbout({ x: 0, y: 0 }, toNumber(parseDegrees(piece.turn)));
  const mirrored = piece.mirrored ? mirrorIn({ x: 0, y: 0 }, 90) : STILL;
  const motion = thenMotion(thenMotion(mirrored, turned), shiftBy(way(piece.x), way(piece.y)));
  const shape = figureOfShape(piece.shape, scale);
  let made = movePiece(oneLayer(shape, paintOf(piece, shape, pictures)), motion);
  let isShaded = piece.shadow === null;
  const shaded = (light: MadePiece) => (isShaded ? light : withShadow(light, piece.shadow!, scale));
  for (const making of piece.made) {
    // Each copy has a shadow of its own, which falls on the copies before.
    if (COPIES.includes(making.kind)) {
      made = shaded(made);
      isShaded = true;
    }
    made = further(made, making, {
      scale,
      figureOf: (id) => figureOf(id, piece),
      paintOf: (figure) => paintOf(piece, figure, pictures),
    });
    if (TAKES_AWAY.includes(making.kind) && resolveFigure(made.figure, PROBE).length === 0) {
      throw new CoreError('motif/vanished', { piece: nameOf(piece) });
    }
  }
  if (piece.outline !== null) made = withOutline(made, piece.outline, scale);
  return shaded(made);
}

/** What makes several of one. */
const COPIES: readonly Making['kind'][] = ['copies', 'round', 'mirror', 'grid'];

/** What a piece is painted with. */
function paintOf(piece: Piece, figure: Figure, pictures: Pictures): LayerPaint | null {
  const beneath = shadeOrFade(piece, figure);
  const { picture } = piece;
  if (picture === null) return beneath;
  if (goesOn(piece.shape)) throw new CoreError('motif/picture', { piece: nameOf(piece) });
  const place = placePicture(boxOfFigure(figure), picture, picture.fit);
  return { ...(beneath ?? { shade: null }), picture: shownPicture(picture, place, pictures) };
}

function shadeOrFade({ shade, fade, shape }: Piece, figure: Figure): LayerPaint | null {
  if (fade === null) return shade === null ? null : { shade };
  const way = fadesOverRepeat(fade, shape) ? overRepeat(fade) : overPlaces(fade, placesOfFigure(figure));
  return { shade: shade ?? fade.shades[0]!, fade: { shades: fade.shades, way } };
}

function overRepeat(fade: PieceFade): OverRepeat {
  if (fade.kind === 'outward') return { kind: 'repeat-outward' };
  return { kind: 'repeat-along', angle: toNumber(parseDegrees(fade.angle)) };
}

function overPlaces(fade: PieceFade, places: readonly Place[]): FadeWay {
  if (fade.kind === 'outward') return fadeOutward(places, null);
  return fadeAlong(places, toNumber(parseDegrees(fade.angle)), null);
}

/** All of it once more beneath, in one shade, soft and moved where it is painted. */
function withShadow({ figure, layers }: MadePiece, shadow: PieceShadow, scale: MotifScale): MadePiece {
  const paint: LayerPaint = {
    shade: shadow.shade,
    shadow: {
      x: toNumber(parseWay(shadow.x, scale)),
      y: toNumber(parseWay(shadow.y, scale)),
      deviation: toNumber(parseStepsOrNone(shadow.softness, scale)),
      strength: toNumber(parseShare(shadow.strength)),
    },
  };
  return { figure, layers: [{ figure, paint, copy: 0 }, ...layers] };
}

/** What may leave nothing of a piece. */
const TAKES_AWAY: readonly Making['kind'][] = ['cut', 'overlap', 'rounded'];

/** Hundredths of a millimetre: what is left of a piece there is something. */
const PROBE: Grid = { width: 0, height: 0, pitch: { x: 1, y: 1 }, scale: { x: 100, y: 100 } };

function figureOfShape(shape: PieceShape, scale: MotifScale): Figure {
  return isNumberShape(shape) ? buildShape(shape, scale) : lineFigure(shape, scale);
}

function lineFigure(shape: LineShape, scale: MotifScale): Figure {
  const { run, width, ends, dashes } = shape;
  // A line that goes on is drawn out into its neighbours, so that it meets them as at any other point.
  const isDrawnOut = run === 'onward' && width !== null && dashes === null;
  const contour = lineThrough(linePlaces(shape, scale), run, isDrawnOut ? 1 : 0);
  if (width === null) return { kind: 'outline', contours: [{ ...contour, closed: true }] };
  return {
    kind: 'line',
    contour,
    width: toNumber(parseSteps(width, scale)),
    ends,
    capped: !isDrawnOut,
    dashes: dashesOf(dashes, run !== 'open', scale),
  };
}

/** A line along the edge: over everything else of the piece, or beneath it where it lies outside, so that no ground shows between them. */
function withOutline(made: MadePiece, outline: PieceOutline, scale: MotifScale): MadePiece {
  const { side, ends, shade } = outline;
  const length = (text: string) => toNumber(parseSteps(text, scale));
  const width = length(outline.width) * (side === 'on' ? 1 : 2);
  const dashes = dashesOf(outline.dashes, true, scale);
  const { figure: of, layers } = made;
  const edge: Figure = { kind: 'edge', of, width, ends, dashes };
  const line = (figure: Figure) => ({ figure, ...inShade(shade) });
  if (side === 'on') return { ...made, layers: [...layers, line(edge)] };
  if (side === 'inside')
    return { ...made, layers: [...layers, line({ kind: 'overlap', parts: [edge, of] })] };
  const isFilled = layers.every(({ paint }) => paint !== null && paint.shade !== null);
  if (!isFilled) return { ...made, layers: [...layers, line({ kind: 'cut', parts: [edge, of] })] };
  return { ...made, layers: [line(edge), ...layers] };
}

function dashesOf(dashes: LineShape['dashes'], endless: boolean, scale: MotifScale): Dashes | null {
  if (dashes === null) return null;
  const length = (text: string) => toNumber(parseSteps(text, scale));
  return { length: length(dashes.length), gap: length(dashes.gap), endless };
}
