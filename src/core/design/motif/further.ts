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
 * Bands lie over each other from the outermost inward, so that no ground is let through between them. Where something further
 * in is left open, a band ends in the middle beneath the next one, or with it where that is the one left open.
 */
function withBands(
  made: MadePiece,
  making: Extract<Making, { kind: 'bands' }>,
  scale: MotifScale,
): MadePiece {
  const { side, corner } = making;
  const sign = side === 'outward' ? 1 : -1;
  const bands = making.bands.map(({ width, shade }) => ({
    width: toNumber(parseSteps(width, scale)),
    shade,
  }));
  const rim = (count: number, further = 0): Figure => {
    const reach = bands.slice(0, count).reduce((sum, { width }) => sum + width, 0);
    return count === 0 ? made.figure : growth(made.figure, sign * (reach + further), corner);
  };
  if (side === 'outward') {
    const isFilled = made.layers.every(({ paint }) => paint !== null);
    const layers = bands.map(({ shade }, at) => {
      const isOpenWithin = !isFilled || bands.slice(0, at).some((inner) => inner.shade === null);
      const isNextOpen = at === 0 ? !isFilled : bands[at - 1]!.shade === null;
      const figure = rim(at + 1);
      if (!isOpenWithin) return { figure, ...inShade(shade) };
      const hole = isNextOpen ? rim(at) : rim(at, -bands[at - 1]!.width / 2);
      return { figure: cut(figure, hole), ...inShade(shade) };
    });
    return { figure: rim(bands.length), layers: [...layers.reverse(), ...made.layers] };
  }
  // From the edge inward the bands take the outer part; what is left inside keeps its own shade.
  const inner = { ...made.layers.at(-1)!, figure: rim(bands.length) };
  const isInnerOpen = inner.paint === null;
  const layers = bands.map(({ shade }, at) => {
    const further = bands.slice(at + 1);
    const isOpenWithin = isInnerOpen || further.some((each) => each.shade === null);
    const isNextOpen = further.length === 0 ? isInnerOpen : further[0]!.shade === null;
    const figure = rim(at);
    if (!isOpenWithin) return { figure, ...inShade(shade) };
    const hole = isNextOpen ? rim(at + 1) : rim(at + 1, further[0]!.width / 2);
    return { figure: cut(figure, hole), ...inShade(shade) };
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
