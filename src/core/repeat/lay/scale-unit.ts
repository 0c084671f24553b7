import { scalePoint } from '../../exact/plane.ts';
import { multiply, type Rational, subtract } from '../../exact/rational.ts';
import { multiplySurds, nearFraction, type Surd, surdToNumber } from '../../exact/surd.ts';
import type { FadeWay } from '../../shape/fade-way.ts';
import { framed } from '../../shape/inset.ts';
import type { PicturePlace } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import { scaleFigure } from '../../shape/scale-figure.ts';
import type { Frame, Inset, Mark, Shape } from '../../shape/shape.ts';
import type { Content, RepeatUnit } from '../repeat-unit.ts';

/** How a pattern is made larger or smaller. */
export interface Scaling {
  readonly factor: Surd;
  /** Whether lines and outlines get wider with it; else they stay as wide as they are. */
  readonly lines: boolean;
}

/** A pattern larger or smaller. What is counted in repeats stays; what is measured in millimetres goes with it. */
export function scaleUnit(unit: RepeatUnit, { factor, lines }: Scaling): RepeatUnit {
  const { pitch } = unit;
  const near: NearScaling = {
    by: surdToNumber(factor),
    exact: nearFraction(factor),
    lines,
  };
  return {
    ...unit,
    pitch: { x: multiplySurds(pitch.x, factor), y: multiplySurds(pitch.y, factor) },
    content: scaledContent(unit.content, near, { factor, lines }),
  };
}

interface NearScaling {
  readonly by: number;
  readonly exact: Rational;
  readonly lines: boolean;
}

function scaledContent(content: Content, scaling: NearScaling, { factor, lines }: Scaling): Content {
  switch (content.kind) {
    case 'cells':
    case 'partition':
      return content;
    case 'marks':
      return { ...content, marks: content.marks.map((mark) => scaledMark(mark, scaling)) };
    case 'plies':
      return {
        ...content,
        plies: content.plies.map((ply) => ({
          ...ply,
          unit: scaleUnit(ply.unit, { factor, lines }),
          shift: scalePoint(ply.shift, factor),
        })),
      };
    default:
      return content satisfies never;
  }
}

function scaledMark({ shape, fade, picture, soft, ...mark }: Mark, scaling: NearScaling): Mark {
  const { by } = scaling;
  return {
    ...mark,
    shape: scaledShape(shape, scaling),
    ...(fade && { fade: { ...fade, way: scaledFade(fade.way, by) } }),
    ...(picture && { picture: { ...picture, place: scaledPicture(picture.place, by) } }),
    ...(soft && { soft: { ...soft, deviation: soft.deviation * by } }),
  };
}

function scaledShape(shape: Shape, { by, exact, lines }: NearScaling): Shape {
  switch (shape.kind) {
    case 'figure':
      return { ...shape, figure: scaleFigure(shape.figure, { by, lines: lines ? by : 1 }) };
    case 'stroke':
      return lines ? { ...shape, width: multiply(shape.width, exact) } : shape;
    case 'frames':
      return { ...shape, parts: shape.parts.map((part) => scaledFrame(part, exact, lines)) };
    case 'cut':
      return { ...shape, parts: shape.parts.map((part) => scaledInset(part, exact)) };
    default:
      return shape satisfies never;
  }
}

/** A band with the whole; where lines keep their width it keeps that, beside an edge that is scaled. */
function scaledFrame({ outer, ...inner }: Frame, factor: Rational, lines: boolean): Frame {
  const edge = { by: multiply(outer.by, factor), corner: multiply(outer.corner, factor) };
  if (lines) return { ...scaledInset(inner, factor), outer: edge };
  return framed(inner.corners, edge, subtract(inner.by, outer.by));
}

function scaledInset({ corners, by, corner }: Inset, factor: Rational): Inset {
  return { corners, by: multiply(by, factor), corner: multiply(corner, factor) };
}

function scaledFade(way: FadeWay, by: number): FadeWay {
  const every = way.every && {
    ...scaledPlace(way.every, by),
    ...(way.every.at && { at: scaledPlace(way.every.at, by) }),
  };
  if (way.kind === 'outward') {
    return { ...way, middle: scaledPlace(way.middle, by), radius: way.radius * by, every };
  }
  return { ...way, from: scaledPlace(way.from, by), to: scaledPlace(way.to, by), every };
}

function scaledPicture({ corner, across, down, ends }: PicturePlace, by: number): PicturePlace {
  return {
    corner: scaledPlace(corner, by),
    across: scaledPlace(across, by),
    down: scaledPlace(down, by),
    ends,
  };
}

function scaledPlace({ x, y }: Place, by: number): Place {
  return { x: x * by, y: y * by };
}
