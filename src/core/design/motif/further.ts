import { toNumber } from '../../exact/rational.ts';
import type { Motion } from '../../shape/contour.ts';
import type { Figure } from '../../shape/figure.ts';
import {
  copied,
  inShade,
  type LayerPaint,
  type MadePiece,
  mapFigures,
  movePiece,
  oneLayer,
} from './layer.ts';
import { motionsOf } from './making-motions.ts';
import type { Making } from './making-schema.ts';
import { type MotifScale, parseSteps, parseStepsOrNone } from './motif-numbers.ts';

/** What is made further is made with. */
export interface MakingContext {
  readonly scale: MotifScale;
  /** The figure of another piece. */
  readonly figureOf: (id: number) => Figure;
  /** What a figure of the piece is painted with. */
  readonly paintOf: (figure: Figure) => LayerPaint | null;
}

/** What is made of a piece by one making. @throws CoreError of its numbers, and as `copied` and `figureOf` */
export function further(made: MadePiece, making: Making, context: MakingContext): MadePiece {
  const { scale, figureOf, paintOf } = context;
  switch (making.kind) {
    case 'copies':
    case 'round':
    case 'mirror':
    case 'grid':
      return copied(made, movedBy(making, scale));
    case 'bands':
      return withBands(made, making, scale);
    case 'rounded': {
      const radius = toNumber(parseStepsOrNone(making.radius, scale));
      return mapFigures(made, (of) => ({ kind: 'rounded', of, radius }));
    }
    case 'moved':
      return movePiece(made, movedBy(making, scale)[0]!);
    case 'join': {
      const others = making.with.map(figureOf);
      const figure: Figure = { kind: 'join', parts: [made.figure, ...others] };
      return oneLayer(figure, paintOf(figure));
    }
    case 'cut':
    case 'overlap': {
      const { kind } = making;
      const others = making.with.map(figureOf);
      return mapFigures(made, (figure) => ({ kind, parts: [figure, ...others] }));
    }
    case 'divide':
      return divided(made, making, context);
    default:
      return making satisfies never;
  }
}

function movedBy(making: Making, scale: MotifScale): readonly Motion[] {
  return motionsOf(making, scale)!.map(({ motion }) => motion);
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
    return { figure: growth(made.figure, sign * reach, corner), ...inShade(shade) };
  });
  if (side === 'outward') {
    const isPainted = made.layers.every(({ paint }) => paint !== null);
    const layers = grown.map((band, at) => {
      const inner = at === 0 ? made : grown[at - 1]!;
      const isOpen = at === 0 ? !isPainted : grown[at - 1]!.paint === null;
      return isOpen ? { ...band, figure: cut(band.figure, inner.figure) } : band;
    });
    return { figure: grown.at(-1)!.figure, layers: [...layers.reverse(), ...made.layers] };
  }
  // From the edge inward the bands take the outer part; what is left inside keeps its own shade.
  const rims = [made, ...grown];
  const inner = { ...made.layers.at(-1)!, figure: grown.at(-1)!.figure };
  const layers = bands.map(({ shade }, at) => {
    const isOpen = at + 1 < bands.length ? bands[at + 1]!.shade === null : inner.paint === null;
    const { figure } = rims[at]!;
    return { ...inShade(shade), figure: isOpen ? cut(figure, rims[at + 1]!.figure) : figure };
  });
  return { figure: made.figure, layers: [...layers, inner] };
}

/** Pixels by which one part of a divided piece runs under the other: no ground shows between them. */
const UNDERLAP = 2;

/** What lies in other pieces takes another shade; where that is left open, it is cut away. */
function divided(
  made: MadePiece,
  { with: ids, shade }: Extract<Making, { kind: 'divide' }>,
  { scale, figureOf }: MakingContext,
): MadePiece {
  const others: Figure = { kind: 'join', parts: ids.map(figureOf) };
  const outside = (by: Figure) => mapFigures(made, (figure) => cut(figure, by));
  if (shade === null) return outside(others);
  const inside: Figure = { kind: 'overlap', parts: [made.figure, others] };
  // Not under all of it, as its own shade would show along their common edge.
  const { layers } = outside(growth(others, -UNDERLAP * toNumber(scale.pixel), 'sharp'));
  return { figure: made.figure, layers: [...layers, { figure: inside, ...inShade(shade) }] };
}

function growth(of: Figure, by: number, corner: 'round' | 'sharp' | 'flat'): Figure {
  return { kind: 'grown', of, by, corner };
}

function cut(figure: Figure, by: Figure): Figure {
  return { kind: 'cut', parts: [figure, by] };
}
