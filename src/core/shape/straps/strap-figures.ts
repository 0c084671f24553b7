import { polyline, shiftBy } from '../contour.ts';
import { type FadeWay, moveFade } from '../fade-way.ts';
import { type Figure, moveFigure } from '../figure.ts';
import { dipFades, dipLines } from './dips.ts';
import { cellAt, cellCount } from './strap-cells.ts';
import type { StrapCourse } from './strap-course.ts';
import type { StrapEdge, StrapStyle } from './strap-style.ts';
import { addSteps, NO_STEP, type Step, stepped } from './strap-torus.ts';
import { roundStep, type StrapWay, stretchOf } from './strap-way.ts';
import { stretchesOf } from './stretches.ts';
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
  /** What lies over straps of later styles without a gap: painted once more after them, so that nothing shows between. */
  readonly patches: StrapPatches;
}

/** Body, edges and middle of short parts of straps. */
export interface StrapPatches {
  readonly body: readonly Figure[];
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
      patches: {
        body: all.flatMap(({ patches }) => patches.body),
        edges: style.edges.map((_, edge) => all.flatMap(({ patches }) => patches.edges[edge]!)),
        centre: all.flatMap(({ patches }) => patches.centre),
      },
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
    patches: {
      body: move(figures.patches.body),
      edges: figures.patches.edges.map(move),
      centre: move(figures.patches.centre),
    },
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
  const { width, ends, gap, dip, centre } = style;
  const passes = style.crosses === false ? [] : underPasses(course, strap, step);
  const half = (pass: UnderPass) => {
    const over = pass.over.strap.style;
    const { width: wide } = styles[over]!;
    // Without a gap it goes on beneath another style: edges that only met would let the ground through.
    return wide / 2 + gap - (gap === 0 && over !== way.strap.style ? wide / 4 : 0);
  };
  const cutsBy = (past: number) =>
    passes.map((pass) => cutOf(pass, { under: width / 2, over: half(pass) + past }, net));
  const cuts = cutsBy(0);
  const capped = way.strap.comes === null;
  const stretches = stretchesOf(net, strap, width);
  const drawn = (figureOf: (line: (wide: number) => Figure) => Figure, by = cuts) =>
    stretches.map(({ contour, isCutBy }) => {
      const line = (wide: number): Figure => ({
        kind: 'line',
        contour,
        width: wide,
        ends,
        capped,
        dashes: null,
      });
      return cutBy(
        figureOf(line),
        by.filter((_, at) => isCutBy(passes[at]!)),
      );
    });
  /** A figure where a strap goes under, cut there and at the passages next to it. */
  const cutNear = (figure: Figure, at: number) => cutBy(figure, cuts.slice(Math.max(0, at - 1), at + 2));
  const dips = passes.flatMap((pass, at) => {
    const isFirstRound = pass.along >= 0 && (pass.along < way.length || capped);
    return isFirstRound ? [{ pass, at }] : [];
  });
  return {
    // A shade covers where the strap ends: nothing of its own shows there.
    body: drawn((line) => line(bodyWidth(style)), dip?.kind === 'shade' ? cutsBy(dip.length / 3) : cuts),
    dips:
      dip?.kind === 'lines'
        ? dips.flatMap(({ pass, at }) =>
            dipLines(pass, dip, half(pass), net.torus).map((each) => cutNear(each, at)),
          )
        : [],
    fades:
      dip?.kind === 'shade'
        ? dips.flatMap(({ pass, at }) =>
            dipFades(pass, { width: bodyWidth(style), length: dip.length, half: half(pass) }, net.torus).map(
              ({ figure, way: fade }) => ({ figure: cutNear(figure, at), way: fade }),
            ),
          )
        : [],
    edges: style.edges.map((edge) => drawn((line) => edgeFigure(style, edge, line))),
    centre:
      centre === null
        ? []
        : centre.dashes === null
          ? drawn((line) => line(centre.width))
          : [cutBy(dashedLine(way, centre), cuts)],
    patches: patchesOf(course, strap, step, styles),
  };
}

function cutBy(figure: Figure, cuts: readonly Figure[]): Figure {
  return cuts.length === 0 ? figure : { kind: 'cut', parts: [figure, ...cuts] };
}

/** Dashes are counted from the strap's start to its end, once each. */
function dashedLine({ strap }: StrapWay, { width, dashes }: NonNullable<StrapStyle['centre']>): Figure {
  const { points, comes } = strap;
  const isRing = comes !== null && comes[0] === 0 && comes[1] === 0;
  const places = points.map(({ place }) => place);
  const contour = polyline(isRing ? places.slice(0, -1) : places, isRing);
  return { kind: 'line', contour, width, ends: 'sharp', capped: false, dashes };
}

/** Where a line lies at the very edge, the strap ends under its middle: nothing of it shows outside. */
function bodyWidth({ width, edges }: StrapStyle): number {
  const rim = edges.filter(({ inset }) => inset === 0).reduce((most, edge) => Math.max(most, edge.width), 0);
  return width - Math.min(rim, width / 2);
}

/** Short parts of a strap where it lies, without a gap, over straps that are painted after it. */
function patchesOf(
  course: StrapCourse,
  strap: number,
  step: Step,
  styles: readonly StrapStyle[],
): StrapPatches {
  const { net } = course;
  const way = net.ways[strap]!;
  const style = styles[way.strap.style]!;
  const { width, ends, centre } = style;
  const contours = overPasses(course, strap, step).flatMap(({ under, along, sine, cosine }) => {
    const { width: wide, gap } = styles[under]!;
    if (gap > 0 || under <= way.strap.style || style.crosses === false) return [];
    const reach = ((wide / 2) * (1 + PATCHED) + (width / 2) * Math.abs(cosine)) / Math.abs(sine);
    return [polyline(stretchOf(way, along - reach, along + reach, net.torus), false)];
  });
  const drawn = (figureOf: (line: (wide: number) => Figure) => Figure) =>
    contours.map((contour) =>
      figureOf((wide) => ({ kind: 'line', contour, width: wide, ends, capped: false, dashes: null })),
    );
  return {
    body: drawn((line) => line(bodyWidth(style))),
    edges: style.edges.map((edge) => drawn((line) => edgeFigure(style, edge, line))),
    centre: centre === null || centre.dashes !== null ? [] : drawn((line) => line(centre.width)),
  };
}

/** Parts of the half width of the strap beneath by which a patch reaches beyond it. */
const PATCHED = 1 / 4;

/** A line along both edges. */
function edgeFigure(
  { width }: StrapStyle,
  { inset, width: wide }: StrapEdge,
  line: (wide: number) => Figure,
): Figure {
  const outer = width - 2 * inset;
  return outer > 2 * wide ? { kind: 'cut', parts: [line(outer), line(outer - 2 * wide)] } : line(outer);
}

/** Where a strap goes over another, by the other's style. */
function overPasses(course: StrapCourse, strap: number, step: Step) {
  const { net, solved, over } = course;
  const count = cellCount(solved.cells);
  return net.routes[strap]!.flatMap(({ crossing, which }) => {
    const { passages } = net.crossings[crossing]!;
    const cell = cellAt(solved.cells, addSteps(passages[which].step, step));
    if (over[crossing * count + cell] !== which) return [];
    const { sine, cosine } = underPass(net, { crossing, which, round: 0, step: NO_STEP });
    const under = net.straps[passages[which === 0 ? 1 : 0].strap]!.style;
    return [{ under, along: passages[which].along, sine, cosine }];
  });
}

/** Where a strap goes under; where it comes round, a round before and after as well. */
function underPasses(course: StrapCourse, strap: number, step: Step): readonly UnderPass[] {
  const { net, solved, over } = course;
  const count = cellCount(solved.cells);
  const way = net.ways[strap]!;
  return (way.strap.comes === null ? [0] : [-1, 0, 1]).flatMap((round) =>
    net.routes[strap]!.flatMap(({ crossing, which }) => {
      const { step: by } = net.crossings[crossing]!.passages[which];
      const reached = roundStep(way, round);
      const cell = cellAt(solved.cells, addSteps(by, addSteps(step, reached)));
      if (over[crossing * count + cell] === which) return [];
      return [underPass(net, { crossing, which, round, step: reached })];
    }),
  );
}
