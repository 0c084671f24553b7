import { type Contour, polyline, shiftBy } from '../contour.ts';
import { type FadeWay, moveFade } from '../fade-way.ts';
import { type Figure, moveFigure } from '../figure.ts';
import { dipFades, dipLines } from './dips.ts';
import { cellAt, cellCount } from './strap-cells.ts';
import type { StrapCourse } from './strap-course.ts';
import type { StrapStyle } from './strap-style.ts';
import { addSteps, NO_STEP, type Step, stepped } from './strap-torus.ts';
import { roundStep, stretchOf } from './strap-way.ts';
import { cutOf, type UnderPass, underPass } from './under-cut.ts';

/** What straps of one style are painted by, in painting order: a figure for each strap. */
export interface StrapFigures {
  readonly body: readonly Figure[];
  /** Where they go under. */
  readonly dips: readonly Figure[];
  readonly fades: readonly { readonly figure: Figure; readonly way: FadeWay }[];
  /** By their lines. */
  readonly edges: readonly (readonly Figure[])[];
  readonly centre: readonly Figure[];
}

/**
 * All straps of a repeat, cut where they go under, in millimetres.
 *
 * @param styles  by their numbers
 * @param steps   of the lattice that lead to each of its cells in the repeat
 */
export function strapFigures(
  course: StrapCourse,
  styles: readonly StrapStyle[],
  steps: readonly Step[],
): readonly StrapFigures[] {
  const { net, solved } = course;
  const made = new Map<string, StrapFigures>();
  const figuresOf = (strap: number, step: Step): StrapFigures => {
    const name = `${strap} ${cellAt(solved.cells, step)}`;
    const known = made.get(name);
    if (known !== undefined) return known;
    const figures = figuresOfStrap(course, strap, step, styles);
    made.set(name, figures);
    return figures;
  };
  return styles.map((style, index): StrapFigures => {
    const all = net.straps.flatMap((strap, at) =>
      strap.style === index ? steps.map((step) => movedFigures(figuresOf(at, step), step, course)) : [],
    );
    return {
      body: all.flatMap(({ body }) => body),
      dips: all.flatMap(({ dips }) => dips),
      fades: all.flatMap(({ fades }) => fades),
      edges: style.edges.map((_, edge) => all.flatMap(({ edges }) => edges[edge]!)),
      centre: all.flatMap(({ centre }) => centre),
    };
  });
}

function movedFigures(figures: StrapFigures, step: Step, { net }: StrapCourse): StrapFigures {
  const { x, y } = stepped(net.torus, { x: 0, y: 0 }, step);
  const motion = shiftBy(x, y);
  const move = (some: readonly Figure[]) => some.map((figure) => moveFigure(figure, motion));
  return {
    body: move(figures.body),
    dips: move(figures.dips),
    fades: figures.fades.map(({ figure, way }) => ({
      figure: moveFigure(figure, motion),
      way: moveFade(way, motion),
    })),
    edges: figures.edges.map(move),
    centre: move(figures.centre),
  };
}

/** One strap as it is noted, its crossings as they are so many vectors of the lattice further. */
function figuresOfStrap(
  course: StrapCourse,
  strap: number,
  step: Step,
  styles: readonly StrapStyle[],
): StrapFigures {
  const { net } = course;
  const way = net.ways[strap]!;
  const style = styles[way.strap.style]!;
  const { width, ends, gap } = style;
  const half = (pass: UnderPass) => styles[pass.over.strap.style]!.width / 2 + gap;
  const passes = underPasses(course, strap, step);
  const cuts = passes.map((pass) => cutOf(pass, { under: width / 2, over: half(pass) }, net));
  const less = (figure: Figure): Figure =>
    cuts.length === 0 ? figure : { kind: 'cut', parts: [figure, ...cuts] };
  const contour = middleLine(course, strap, width);
  const capped = way.strap.comes === null;
  const line = (wide: number): Figure => ({ kind: 'line', contour, width: wide, ends, capped, dashes: null });
  const band = (outer: number, inner: number): Figure => ({ kind: 'cut', parts: [line(outer), line(inner)] });
  const own = passes.filter(({ along }) => along >= 0 && (along < way.length || capped));
  const { dip, centre } = style;
  return {
    body: [less(line(bodyWidth(style)))],
    dips:
      dip?.kind === 'lines'
        ? own.flatMap((pass) => dipLines(pass, dip, half(pass), net.torus).map(less))
        : [],
    fades:
      dip?.kind === 'shade'
        ? own.flatMap((pass) =>
            dipFades(pass, { width: bodyWidth(style), length: dip.length, half: half(pass) }, net.torus).map(
              ({ figure, way: fade }) => ({ figure: less(figure), way: fade }),
            ),
          )
        : [],
    edges: style.edges.map(({ inset, width: wide }) => {
      const outer = width - 2 * inset;
      return [less(outer > 2 * wide ? band(outer, outer - 2 * wide) : line(outer))];
    }),
    centre:
      centre === null
        ? []
        : [
            less({
              ...(line(centre.width) as Extract<Figure, { kind: 'line' }>),
              ...dashed(course, strap, centre),
            }),
          ],
  };
}

/** Where a line lies at the very edge, the strap ends under its middle: nothing of it shows outside. */
function bodyWidth({ width, edges }: StrapStyle): number {
  const rim = edges.filter(({ inset }) => inset === 0).reduce((most, edge) => Math.max(most, edge.width), 0);
  return width - Math.min(rim, width / 2);
}

/** A strap that comes round elsewhere is drawn further at both ends, under what it goes on in. */
function middleLine({ net }: StrapCourse, strap: number, beyond: number): Contour {
  const way = net.ways[strap]!;
  const { comes, points } = way.strap;
  if (comes === null)
    return polyline(
      points.map(({ place }) => place),
      false,
    );
  if (comes[0] === 0 && comes[1] === 0)
    return polyline(
      points.slice(0, -1).map(({ place }) => place),
      true,
    );
  return polyline(stretchOf(way, -beyond, way.length + beyond, net.torus), false);
}

type Centre = NonNullable<StrapStyle['centre']>;

/** Dashes are counted from the strap's start to its end, once each. */
function dashed({ net }: StrapCourse, strap: number, { dashes }: Centre) {
  if (dashes === null) return {};
  const { points, comes } = net.straps[strap]!;
  const isRing = comes !== null && comes[0] === 0 && comes[1] === 0;
  const places = points.map(({ place }) => place);
  return { dashes, contour: polyline(isRing ? places.slice(0, -1) : places, isRing) };
}

/** Where a strap goes under; where it comes round elsewhere, a round before and after as well. */
function underPasses(course: StrapCourse, strap: number, step: Step): readonly UnderPass[] {
  const { net, solved, over } = course;
  const count = cellCount(solved.cells);
  const way = net.ways[strap]!;
  const { comes } = way.strap;
  const isOn = comes !== null && (comes[0] !== 0 || comes[1] !== 0);
  return (isOn ? [-1, 0, 1] : [0]).flatMap((round) =>
    net.routes[strap]!.flatMap(({ crossing, which }) => {
      const { passages } = net.crossings[crossing]!;
      const passage = passages[which];
      const reached = roundStep(way, round);
      const cell = cellAt(solved.cells, addSteps(passage.step, addSteps(step, reached)));
      if (over[crossing * count + cell] === which) return [];
      const other = passages[1 - which]!;
      return [underPass(net, { passage, other, round, step: isOn ? reached : NO_STEP })];
    }),
  );
}
