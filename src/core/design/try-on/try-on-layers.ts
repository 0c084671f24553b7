import type { Bent } from '../../bend/bent.ts';
import { bentRows } from '../../paint/seen/bent-rows.ts';
import type { ClothLight } from '../../paint/seen/cloth-light.ts';
import { type ClothTile, clothTile } from '../../paint/seen/cloth-tile.ts';
import { exactRows } from '../../paint/seen/exact-rows.ts';
import type { SeenLayer } from '../../paint/seen/paint-scene.ts';
import type { SeenRows, SeenWindow } from '../../paint/seen/seen-window.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { BentLine } from '../../scene/bent-outline.ts';
import { polyline } from '../../shape/contour.ts';
import type { Figure } from '../../shape/figure.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import type { Place } from '../../shape/places.ts';
import type { TriedPart, TriedScene } from './compile-try-on.ts';

/** Gives the light of a repeat in a tile; whoever paints again and again keeps it. */
export type LightOf = (unit: RepeatUnit, tile: ClothTile) => ClothLight;

/** Gives the rows of a part again where they were painted before. @param name  holds all that its rows depend on, but its repeat */
export type Remember = (name: string, unit: RepeatUnit, rows: SeenRows) => SeenRows;

/** The cloth of a scene, part by part, as it is painted in a window. */
export function clothLayers(
  { parts, finest }: TriedScene,
  window: SeenWindow,
  lightOf: LightOf,
  remember?: Remember,
): readonly SeenLayer[] {
  return parts.flatMap((part): readonly SeenLayer[] => {
    const rows = partRows(part, { window, finest, lightOf });
    if (rows === undefined) return [];
    const { drawn, cloth, place, shading } = part;
    const name = () =>
      JSON.stringify([drawn.part.at, drawn.part.box, drawn.bends, place, shading, finest, window]);
    const known = remember === undefined ? rows : remember(name(), cloth!.unit, rows);
    return [{ figure: figureOf(drawn.outline), paint: { rows: known } }];
  });
}

/** How a part is painted. */
export interface PartWish {
  readonly window: SeenWindow;
  /** The finest that is seen, in millimetres; 0 from close to. */
  readonly finest: number;
  readonly lightOf: LightOf;
}

/** Rows of a part's cloth, in all of a window; undefined where it is bare or nothing of it is seen. */
export function partRows(
  { cloth, drawn, place, shading }: TriedPart,
  { window, finest, lightOf }: PartWish,
): SeenRows | undefined {
  if (cloth === undefined) return undefined;
  const { part, bends, bent, outline } = drawn;
  const inBox: SeenWindow = {
    ...window,
    corner: { x: window.corner.x - part.at.x, y: window.corner.y - part.at.y },
  };
  if (bends.length === 0 && finest === 0) {
    const reach = { x: part.box.width, y: part.box.height };
    const exact = exactRows({ unit: cloth.unit, size: cloth.size, place, window: inBox, reach });
    if (exact !== undefined) return exact;
  }
  const step = finestStep(bent, outline, part.at, 1 / window.perMillimetre);
  if (step === undefined) return undefined;
  const across = (place.scale * cloth.size.x) / step;
  const down = (place.scale * cloth.size.y) / step;
  const light = lightOf(cloth.unit, clothTile(across, down));
  return bentRows({ bent, cloth: { light, size: cloth.size }, place, window: inBox, shading, finest });
}

/** What lies within lines. */
export function figureOf(lines: readonly BentLine[]): Figure {
  return { kind: 'outline', contours: lines.map(({ places }) => polyline(places, true)) };
}

/** Places along each side of a part at which it is looked how finely its cloth is seen. */
const PLACES = 12;

/** The least way on flat cloth from one pixel to the next; undefined where nothing of it is seen. */
function finestStep(bent: Bent, outline: readonly BentLine[], at: Place, pixel: number): number | undefined {
  const { left, right, bottom, top } = boxOfFigure(figureOf(outline));
  const out = new Float64Array(2);
  const back = (x: number, y: number): Place => {
    bent.back(x - at.x, y - at.y, out);
    return { x: out[0]!, y: out[1]! };
  };
  let least: number | undefined;
  for (let up = 0; up <= PLACES; up += 1) {
    for (let along = 0; along <= PLACES; along += 1) {
      const x = left + ((right - left - pixel) * along) / PLACES;
      const y = bottom + ((top - bottom - pixel) * up) / PLACES;
      const here = back(x, y);
      const beside = back(x + pixel, y);
      const above = back(x, y + pixel);
      const steps = [
        Math.hypot(beside.x - here.x, beside.y - here.y),
        Math.hypot(above.x - here.x, above.y - here.y),
      ].filter((step) => step > 0);
      for (const step of steps) least = Math.min(least ?? Infinity, step);
    }
  }
  return least;
}
