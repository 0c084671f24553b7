import type { MixingTables } from '../colour/mixing.ts';
import type { Partition } from '../faces/partition.ts';
import type { Marks } from '../repeat/repeat-unit.ts';
import { isVaried } from '../shape/fill.ts';
import { gridOf } from '../shape/grid.ts';
import type { Outline } from '../shape/outline-of.ts';
import type { Place } from '../shape/places.ts';
import { figuresLight, type LitFigure } from './figures-light.ts';
import { type LightPainter, NOTHING, overLine, rowOf } from './light-rows.ts';
import type { PaintWindow } from './painting.ts';
import { walkPartition, walkPolygons } from './partition-edges.ts';
import { lightOf } from './partition-painter.ts';
import { picturesLight } from './picture-light.ts';
import { resolvedOutline } from './resolved-shapes.ts';
import { edgeLight } from './row-light.ts';
import { CHANNELS } from './row-sums.ts';
import { variedFaces } from './varied-faces.ts';

/** The light of a shade of some faces. */
type ShadeLight = (shade: number) => Float64Array;

function shadeLight(base: Partition, tables: MixingTables): ShadeLight {
  const light = lightOf(base, tables);
  return (shade) => light.subarray(shade * CHANNELS, (shade + 1) * CHANNELS);
}

/** The light of faces: by exact coverage, then what fades among them. */
export function facesLight(
  base: Partition,
  window: PaintWindow,
  tables: MixingTables,
): readonly LightPainter[] {
  const [only, ...others] = base.faces;
  if (only !== undefined && others.length === 0 && !isVaried(only.fill)) return oneFace(base, window, tables);
  const faces = edgeLight(walkPartition(base, window), lightOf(base, tables), window);
  return [overLine(faces), ...variedFaces(base, shadeLight(base, tables), window, picturesLight(tables))];
}

/** A single face covers everything: there is no edge. */
function oneFace(
  base: Partition,
  { tile, width }: PaintWindow,
  tables: MixingTables,
): readonly LightPainter[] {
  const { fill } = base.faces[0]!;
  if (fill.kind === 'clear') return [];
  const row = rowOf(shadeLight(base, tables)(fill.shade), Math.min(width, tile.width));
  return [(_, line) => line.set(row)];
}

/**
 * The light of marks over faces, each by its coverage: shapes of the torus first, figures over them.
 * @param pitch  lengths of one repeat in millimetres
 */
export function marksLight(
  { base, marks, rows }: Marks,
  pitch: Place,
  window: PaintWindow,
  tables: MixingTables,
): readonly LightPainter[] {
  const grid = gridOf(window.tile, pitch);
  const lightAt = shadeLight(base, tables);
  const lightOf = picturesLight(tables);
  const figures: LitFigure[] = [];
  const painters: LightPainter[] = [];
  for (const { shape, shade, fade, picture, soft } of marks) {
    const light = shade === null ? NOTHING : lightAt(shade);
    if (shape.kind === 'figure') {
      figures.push({
        shape,
        light,
        ...(fade && { fade: { lights: fade.shades.map(lightAt), way: fade.way } }),
        ...(picture && { picture: { shown: picture, lightOf } }),
        ...(soft && { soft }),
      });
    } else painters.push(outlinePainter(resolvedOutline(shape, grid), light, window));
  }
  return figures.length === 0 ? painters : [...painters, figuresLight(figures, rows, grid, window)];
}

/** Lays the light of an outline over a line. */
function outlinePainter(
  { holes, polygons }: Outline,
  light: Float64Array,
  window: PaintWindow,
): LightPainter {
  const walked = walkPolygons(polygons, window);
  // Holes take away from what fills everything.
  const inside = holes ? light.map((channel) => -channel) : light;
  const lights = Float64Array.of(...inside, ...NOTHING);
  return overLine(edgeLight(walked, lights, window), holes ? light : NOTHING);
}
