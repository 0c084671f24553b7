import { toDecimal } from '../../exact/rational.ts';
import type { Drawing } from './drawing.ts';
import { svgText } from './drawn-path.ts';
import { PLACES } from './length-text.ts';

/** One repeat of a drawing as a pattern, which is placed in millimetres and goes on without end. */
export function* drawPattern(
  drawing: Drawing,
  { id, transform, names }: { readonly id: string; readonly transform: string; readonly names: string },
): Iterable<string> {
  yield `<pattern id="${id}" width="${drawing.width}" height="${drawing.height}" patternUnits="userSpaceOnUse" ` +
    `patternTransform="${transform} scale(${stepText(drawing)})">\n`;
  yield* shapesNamed(drawing, names);
  yield '</pattern>\n';
}

/** Millimetres of a drawing's step, across and down. */
export function stepText({ step }: Drawing): string {
  return [step.x, step.y].map((each) => toDecimal(each, PLACES)).join(' ');
}

/** The shapes of a drawing, what they call by name under names that begin with one of their own. */
export function* shapesNamed({ shapes, crisp }: Drawing, names: string): Iterable<string> {
  if (crisp) yield '<g shape-rendering="crispEdges">\n';
  for (const piece of svgText(shapes)) yield piece.replace(/(\bid="|url\(#|href="#)/g, `$1${names}-`);
  if (crisp) yield '</g>\n';
}
