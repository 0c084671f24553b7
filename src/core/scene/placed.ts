import type { Contour } from '../shape/contour.ts';
import { boxOfFigure } from '../shape/figure-box.ts';
import type { Place } from '../shape/places.ts';
import { within } from './drawn.ts';
import type { ScenePart, Seam } from './scene.ts';

/** A part by its outline in the drawing; its box is as small as holds that. */
export function placed({
  contours,
  ...part
}: Pick<ScenePart, 'key' | 'name' | 'grain' | 'bends' | 'ink'> & {
  readonly contours: readonly Contour[];
}): ScenePart {
  const { left, right, bottom, top } = boxOfFigure({ kind: 'outline', contours });
  const at = { x: left, y: bottom };
  const inBox = part.ink?.map(({ weight, contours: lines }) => ({ weight, contours: within(at, lines) }));
  return {
    ...part,
    ...(inBox === undefined ? {} : { ink: inBox }),
    at,
    box: { width: right - left, height: top - bottom },
    outline: within(at, contours),
  };
}

/** A seam along one line of the drawing, where two parts lie beside each other. */
export function seamOf(name: string, one: ScenePart, other: ScenePart, places: readonly Place[]): Seam {
  const inBox = ({ at }: ScenePart) => places.map(({ x, y }) => ({ x: x - at.x, y: y - at.y }));
  return { name, parts: [one.key, other.key], lines: [inBox(one), inBox(other)] };
}
