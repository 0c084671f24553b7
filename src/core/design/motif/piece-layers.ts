import { CoreError } from '../../error.ts';
import { toNumber } from '../../exact/rational.ts';
import { type Motion, mirrorIn, STILL, shiftBy, thenMotion, turnAbout } from '../../shape/contour.ts';
import { type Dashes, type Figure, moveFigure } from '../../shape/figure.ts';
import type { Grid } from '../../shape/grid.ts';
import { lineThrough } from '../../shape/line-figures.ts';
import { resolveFigure } from '../../shape/resolve-figure.ts';
import { MAX_COPIES, type Making } from './making-schema.ts';
import { type MotifScale, parseDegrees, parseSteps, parseStepsOrNone, parseWay } from './motif-numbers.ts';
import type { LineShape, Piece, PieceOutline, PieceShape } from './motif-schema.ts';
import { nameOf } from './piece-name.ts';
import { buildShape, isNumberShape } from './shapes.ts';

/** One figure of a piece in one shade, by its letter; null is not painted. */
export interface Layer {
  readonly figure: Figure;
  readonly shade: string | null;
}

/** A piece as it is made: all of it as one figure, and its layers in painting order. */
export interface MadePiece {
  readonly figure: Figure;
  readonly layers: readonly Layer[];
}

/** What a piece is made with besides. */
export interface PieceContext {
  readonly scale: MotifScale;
  /** The figure of another piece. @throws CoreError "motif/missing" | "motif/circular" */
  readonly figureOf: (id: number, from: Piece) => Figure;
}

/**
 * A piece's shape turned and placed, then everything that is made of it further, in millimetres from the lower left of
 * the box.
 *
 * @throws CoreError of its numbers, its shape and `figureOf`; "motif/copies" {copies, most} | "motif/vanished" {piece}
 */
export function layersOf(piece: Piece, context: PieceContext): MadePiece {
  const { scale } = context;
  const way = (text: string) => toNumber(parseWay(text, scale));
  const turned = turnAbout({ x: 0, y: 0 }, toNumber(parseDegrees(piece.turn)));
  const mirrored = piece.mirrored ? mirrorIn({ x: 0, y: 0 }, 90) : STILL;
  const motion = thenMotion(thenMotion(mirrored, turned), shiftBy(way(piece.x), way(piece.y)));
  const figure = moveFigure(figureOfShape(piece.shape, scale), motion);
  let made: MadePiece = { figure, layers: [{ figure, shade: piece.shade }] };
  for (const making of piece.made) {
    made = further(made, making, piece, context);
    if (TAKES_AWAY.includes(making.kind) && resolveFigure(made.figure, PROBE).length === 0) {
      throw new CoreError('motif/vanished', { piece: nameOf(piece) });
    }
  }
  if (piece.outline === null) return made;
  return withOutline(made, piece.outline, scale);
}

/** What may leave nothing of a piece. */
const TAKES_AWAY: readonly Making['kind'][] = ['cut', 'overlap', 'rounded'];

/** Hundredths of a millimetre: what is left of a piece there is something. */
const PROBE: Grid = { width: 0, height: 0, pitch: { x: 1, y: 1 }, scale: { x: 100, y: 100 } };

function figureOfShape(shape: PieceShape, scale: MotifScale): Figure {
  return isNumberShape(shape) ? buildShape(shape, scale) : lineFigure(shape, scale);
}

function lineFigure({ points, run, width, ends, dashes }: LineShape, scale: MotifScale): Figure {
  const places = points.map(({ x, y, bend, radius }) => ({
    x: toNumber(parseWay(x, scale)),
    y: toNumber(parseWay(y, scale)),
    bend,
    radius: toNumber(parseStepsOrNone(radius, scale)),
  }));
  // A line that goes on is drawn out into its neighbours, so that it meets them as at any other point.
  const isDrawnOut = run === 'onward' && width !== null && dashes === null;
  const contour = lineThrough(places, run, isDrawnOut ? 1 : 0);
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

function further(
  made: MadePiece,
  making: Making,
  piece: Piece,
  { scale, figureOf }: PieceContext,
): MadePiece {
  const way = (text: string) => toNumber(parseWay(text, scale));
  switch (making.kind) {
    case 'copies': {
      const { count, x, y } = making;
      return copied(
        made,
        Array.from({ length: count }, (_, at) => shiftBy(at * way(x), at * way(y))),
      );
    }
    case 'round': {
      const { count, x, y, by } = making;
      const middle = { x: way(x), y: way(y) };
      const angle = by === null ? 360 / count : toNumber(parseDegrees(by));
      return copied(
        made,
        Array.from({ length: count }, (_, at) => turnAbout(middle, at * angle)),
      );
    }
    case 'mirror': {
      const { x, y, angle } = making;
      return copied(made, [STILL, mirrorIn({ x: way(x), y: way(y) }, toNumber(parseDegrees(angle)))]);
    }
    case 'grid': {
      const { across, up, x, y } = making;
      return copied(
        made,
        Array.from({ length: across * up }, (_, at) =>
          shiftBy((at % across) * way(x), Math.floor(at / across) * way(y)),
        ),
      );
    }
    case 'bands':
      return withBands(made, making, scale);
    case 'rounded': {
      const radius = toNumber(parseStepsOrNone(making.radius, scale));
      return mapFigures(made, (of) => ({ kind: 'rounded', of, radius }));
    }
    case 'moved':
      return mapFigures(made, (figure) => moveFigure(figure, shiftBy(way(making.x), way(making.y))));
    case 'join': {
      const others = making.with.map((id) => figureOf(id, piece));
      const figure: Figure = { kind: 'join', parts: [made.figure, ...others] };
      return { figure, layers: [{ figure, shade: piece.shade }] };
    }
    case 'cut':
    case 'overlap': {
      const { kind } = making;
      const others = making.with.map((id) => figureOf(id, piece));
      return mapFigures(made, (figure) => ({ kind, parts: [figure, ...others] }));
    }
    default:
      return making satisfies never;
  }
}

function mapFigures({ figure, layers }: MadePiece, change: (figure: Figure) => Figure): MadePiece {
  return {
    figure: change(figure),
    layers: layers.map((layer) => ({ ...layer, figure: change(layer.figure) })),
  };
}

/** Each copy with all its layers over the one before. */
function copied({ figure, layers }: MadePiece, motions: readonly Motion[]): MadePiece {
  const copies = motions.length * layers.length;
  if (copies > MAX_COPIES) throw new CoreError('motif/copies', { copies, most: MAX_COPIES });
  return {
    figure: { kind: 'join', parts: motions.map((motion) => moveFigure(figure, motion)) },
    layers: motions.flatMap((motion) =>
      layers.map((layer) => ({ ...layer, figure: moveFigure(layer.figure, motion) })),
    ),
  };
}

/**
 * Bands lie over each other from the outermost inward, so that no ground is let through between them; where the next
 * one is left open, a band is cut by it.
 */
function withBands(
  made: MadePiece,
  making: Extract<Making, { kind: 'bands' }>,
  scale: MotifScale,
): MadePiece {
  const { side, corner, bands } = making;
  const sign = side === 'outward' ? 1 : -1;
  let reach = 0;
  const grown = bands.map(({ width, shade }) => {
    reach += toNumber(parseSteps(width, scale));
    return { figure: growth(made.figure, sign * reach, corner), shade };
  });
  if (side === 'outward') {
    const own = made.layers.every(({ shade }) => shade !== null) ? 'own' : null;
    const layers = grown.map((band, at) => {
      const inner = at === 0 ? { figure: made.figure, shade: own } : grown[at - 1]!;
      return inner.shade === null ? { ...band, figure: cut(band.figure, inner.figure) } : band;
    });
    return { figure: grown.at(-1)!.figure, layers: [...layers.reverse(), ...made.layers] };
  }
  // From the edge inward the bands take the outer part; what is left inside keeps its own shade.
  const rims = [{ figure: made.figure, shade: null as string | null }, ...grown];
  const inner = { figure: grown.at(-1)!.figure, shade: made.layers.at(-1)!.shade };
  const layers = bands.map(({ shade }, at) => {
    const next = at + 1 < bands.length ? bands[at + 1]!.shade : inner.shade;
    const { figure } = rims[at]!;
    return { shade, figure: next === null ? cut(figure, rims[at + 1]!.figure) : figure };
  });
  return { figure: made.figure, layers: [...layers, inner] };
}

function growth(of: Figure, by: number, corner: 'round' | 'sharp' | 'flat'): Figure {
  return { kind: 'grown', of, by, corner };
}

function cut(figure: Figure, by: Figure): Figure {
  return { kind: 'cut', parts: [figure, by] };
}

/** A line along the edge, over everything else of the piece. */
function withOutline(made: MadePiece, outline: PieceOutline, scale: MotifScale): MadePiece {
  const { side, ends, shade } = outline;
  const length = (text: string) => toNumber(parseSteps(text, scale));
  const width = length(outline.width) * (side === 'on' ? 1 : 2);
  const dashes = dashesOf(outline.dashes, true, scale);
  const edge: Figure = { kind: 'edge', of: made.figure, width, ends, dashes };
  const figure = side === 'on' ? edge : sideOf(edge, made.figure, side);
  return { ...made, layers: [...made.layers, { figure, shade }] };
}

function sideOf(edge: Figure, of: Figure, side: 'inside' | 'outside'): Figure {
  return { kind: side === 'inside' ? 'overlap' : 'cut', parts: [edge, of] };
}

function dashesOf(dashes: LineShape['dashes'], endless: boolean, scale: MotifScale): Dashes | null {
  if (dashes === null) return null;
  const length = (text: string) => toNumber(parseSteps(text, scale));
  return { length: length(dashes.length), gap: length(dashes.gap), endless };
}
