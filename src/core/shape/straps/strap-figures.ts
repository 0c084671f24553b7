import { polyline, shiftBy } from '../contour.ts';
import { moveFade } from '../fade-way.ts';
import { type Figure, moveFigure } from '../figure.ts';
import { type DipFade, dipFades, dipLines } from './dips.ts';
import { cellAt } from './strap-cells.ts';
import type { StrapCourse } from './strap-course.ts';
import { bodyLine, bodyWidth, dashedLine, edgeLines, type LineOf, lineAlong } from './strap-lines.ts';
import { overPasses, underPasses } from './strap-passes.ts';
import type { StrapStyle } from './strap-style.ts';
import { type Step, stepped } from './strap-torus.ts';
import { stretchOf } from './strap-way.ts';
import { type Stretch, stretchesOf } from './stretches.ts';
import { cutOf, type StrapCut, type UnderPass } from './under-cut.ts';

/** What a layer has the shade of: the strap, where it goes under, its middle line, or the edge line of a number. */
export type LayerShade = 'body' | 'dip' | 'centre' | number;

/** Figures of one shade, one for each strap or part of it. */
export interface StrapLayer {
  readonly shade: LayerShade;
  readonly parts: readonly Figure[];
}

/** What straps of one style are painted by. */
export interface StrapFigures {
  /** In painting order: the straps themselves, where they go under, edges, middle. */
  readonly layers: readonly StrapLayer[];
  /** Over the straps themselves. */
  readonly fades: readonly DipFade[];
  /** What lies over straps of later styles without a gap: painted once more after them, so that nothing shows between. */
  readonly patches: readonly StrapLayer[];
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
    const figures = made.get(name) ?? figuresOfStrap(course, strap, step, styles);
    made.set(name, figures);
    return figures;
  };
  return styles.map((_, style) =>
    together(
      net.straps.flatMap((strap, at) =>
        strap.style === style ? steps.map((step) => movedFigures(figuresOf(at, step), step, course)) : [],
      ),
    ),
  );
}

/** Figures of straps of one style: they have the same layers. */
function together(all: readonly StrapFigures[]): StrapFigures {
  const layersOf = (of: (figures: StrapFigures) => readonly StrapLayer[]) =>
    (all[0] === undefined ? [] : of(all[0])).map(({ shade }, at) => ({
      shade,
      parts: all.flatMap((figures) => of(figures)[at]!.parts),
    }));
  return {
    layers: layersOf(({ layers }) => layers),
    fades: all.flatMap(({ fades }) => fades),
    patches: layersOf(({ patches }) => patches),
  };
}

function movedFigures(
  { layers, fades, patches }: StrapFigures,
  step: Step,
  { net }: StrapCourse,
): StrapFigures {
  const { x, y } = stepped(net.torus, { x: 0, y: 0 }, step);
  const motion = shiftBy(x, y);
  const move = ({ shade, parts }: StrapLayer): StrapLayer => ({
    shade,
    parts: parts.map((figure) => moveFigure(figure, motion)),
  });
  return {
    layers: layers.map(move),
    fades: fades.map(({ figure, way }) => ({
      figure: moveFigure(figure, motion),
      way: moveFade(way, motion),
    })),
    patches: patches.map(move),
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
  const passes = style.crosses === false ? [] : underPasses(course, strap, step);
  const halfOf = (pass: UnderPass) => halfCut(style, pass, styles);
  const cutsBy = (past: number) =>
    passes.map((pass) => cutOf(pass, { under: style.width / 2, over: halfOf(pass) + past }, net));
  const cuts = cutsBy(0);
  const stretches = stretchesOf(net, strap, style.width);
  const capped = way.strap.comes === null;
  const cutIn = ({ isCutBy }: Stretch, figure: Figure, by = cuts) => cutBy(figure, by.filter(isCutBy));
  const drawn = (figureOf: (line: LineOf) => Figure, by = cuts) =>
    stretches.map((stretch) => cutIn(stretch, figureOf(lineAlong(stretch.contour, style, capped)), by));
  const { dip, edges, centre } = style;
  // A shade covers where the strap ends: nothing of its own shows there.
  const bodyCuts = dip?.kind === 'shade' ? cutsBy(dip.length / 3) : cuts;
  const layers: readonly StrapLayer[] = [
    { shade: 'body', parts: drawn((line) => bodyLine(style, line), bodyCuts) },
    ...(dip?.kind !== 'lines'
      ? []
      : [
          {
            shade: 'dip' as const,
            // Put together before they are cut: each cut is found once.
            parts: stretches.flatMap((stretch) => {
              const parts = passes
                .filter(stretch.holds)
                .flatMap((pass) => dipLines(pass, dip, halfOf(pass), net.torus));
              return parts.length === 0 ? [] : [cutIn(stretch, { kind: 'join', parts })];
            }),
          },
        ]),
    ...edges.map((edge, shade) => ({ shade, parts: drawn((line) => edgeLines(style, edge, line)) })),
    ...(centre === null
      ? []
      : [
          {
            shade: 'centre' as const,
            parts:
              centre.dashes === null
                ? drawn((line) => line(centre.width))
                : [cutBy(dashedLine(way, centre), cuts)],
          },
        ]),
  ];
  const fades =
    dip?.kind !== 'shade'
      ? []
      : passes.flatMap((pass, at) => {
          if (!stretches.some(({ holds }) => holds(pass))) return [];
          const sizes = { width: bodyWidth(style), length: dip.length, half: halfOf(pass) };
          // Cut where it goes under, and at the passages next to that.
          const near = cuts.slice(Math.max(0, at - 1), at + 2);
          return dipFades(pass, sizes, net.torus).map(({ figure, way: fade }) => ({
            figure: cutBy(figure, near),
            way: fade,
          }));
        });
  return { layers, fades, patches: patchesOf(course, strap, step, styles) };
}

function cutBy(figure: Figure, cuts: readonly StrapCut[]): Figure {
  return cuts.length === 0 ? figure : { kind: 'cut', parts: [figure, ...cuts.map((cut) => cut.figure)] };
}

/** Half of what is taken from a strap along the one above: its width and a gap on each side. */
function halfCut({ gap }: StrapStyle, pass: UnderPass, styles: readonly StrapStyle[]): number {
  const over = pass.over.strap.style;
  const { width } = styles[over]!;
  // Without a gap it goes on beneath another style: edges that only met would let the ground through.
  const isTucked = gap === 0 && over !== pass.way.strap.style;
  return width / 2 + gap - (isTucked ? width / 4 : 0);
}

/** Parts of the half width of the strap beneath by which a patch reaches beyond it. */
const PATCHED = 1 / 4;

/** Short parts of a strap where it lies, without a gap, over straps that are painted after it. */
function patchesOf(
  course: StrapCourse,
  strap: number,
  step: Step,
  styles: readonly StrapStyle[],
): readonly StrapLayer[] {
  const { net } = course;
  const way = net.ways[strap]!;
  const style = styles[way.strap.style]!;
  const { width, edges, centre } = style;
  const lines = overPasses(course, strap, step).flatMap(({ under, along, sine, cosine }) => {
    const beneath = styles[under]!;
    if (beneath.gap > 0 || under <= way.strap.style || style.crosses === false) return [];
    const across = (beneath.width / 2) * (1 + PATCHED) + (width / 2) * Math.abs(cosine);
    const reach = across / Math.abs(sine);
    const places = stretchOf(way, along - reach, along + reach, net.torus);
    return [lineAlong(polyline(places, false), style, false)];
  });
  return [
    { shade: 'body', parts: lines.map((line) => bodyLine(style, line)) },
    ...edges.map((edge, shade) => ({ shade, parts: lines.map((line) => edgeLines(style, edge, line)) })),
    ...(centre === null || centre.dashes !== null
      ? []
      : [{ shade: 'centre' as const, parts: lines.map((line) => line(centre.width)) }]),
  ];
}
