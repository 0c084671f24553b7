import { type MixingTables, mixingTables } from '../colour/mixing.ts';
import { modulo } from '../exact/modulo.ts';
import { hasClear, type Partition } from '../faces/partition.ts';
import type { Marks } from '../repeat/repeat-unit.ts';
import { type Grid, gridOf } from '../shape/grid.ts';
import type { Place } from '../shape/places.ts';
import type { Mark, PlacedFigure, TorusShape } from '../shape/shape.ts';
import { opaqueFigureRows } from './opaque-figure-rows.ts';
import { OpaqueLine } from './opaque-line.ts';
import { overlaid } from './overlaid-figures.ts';
import { packShades } from './pack-shades.ts';
import type { PaintWindow, RowPainter } from './painting.ts';
import { walkPartition, walkPolygons } from './partition-edges.ts';
import { hasVaried, lightOf } from './partition-painter.ts';
import { resolvedOutline } from './resolved-shapes.ts';
import { CHANNELS, WHOLE } from './row-sums.ts';
import { coverRows } from './sweep/cover-rows.ts';
import { MixedLight } from './sweep/mixed-light.ts';
import { sweeperOf } from './sweep/sweep-painter.ts';

/** A shape all of one shade. */
interface Shaded<Shape> {
  readonly shape: Shape;
  readonly shade: number;
}

/** A shade as marks are laid in it. */
export interface ShadePaint {
  readonly pixel: number;
  /** CHANNELS numbers. */
  readonly light: Float64Array;
}

/** Lays one row of marks over a line. */
type LayRow = (row: number, line: OpaqueLine) => void;

/**
 * Paints marks of one shade each over opaque faces: what they cover whole is that shade's pixel, and light is mixed at
 * their edges alone. The same bytes as by their light.
 *
 * @param pitch  lengths of one repeat in millimetres
 * @returns      undefined where anything fades, is soft, clear or shows a picture, and where numbers are too large
 */
export function paintOpaqueMarks(
  { base, marks, rows }: Marks,
  window: PaintWindow,
  pitch: Place,
): RowPainter | undefined {
  if (hasClear(base) || hasVaried(base) || !marks.every(isPlain)) return undefined;
  const { tile, width, mixing } = window;
  const across = Math.min(width, tile.width);
  const tables = mixingTables(mixing);
  const grid = gridOf(tile, pitch);
  const paints = shadePaints(base, tables);
  const beneath = facesBeneath(base, paints, window, tables);
  const outlines = marks.flatMap((mark) => asOutline(mark) ?? []);
  const layOutlines = outlines.flatMap((each) => outlineRows(each, paints, grid, window) ?? []);
  if (beneath === undefined || layOutlines.length < outlines.length) return undefined;
  const figures = marks.flatMap((mark) => asFigure(mark) ?? []);
  const layFigures = overlaid<Shaded<PlacedFigure>, OpaqueLine>(figures, {
    rows,
    grid,
    window,
    ready: ({ shade }, standing, sums) => ({
      left: standing.left,
      top: standing.top,
      across: standing.across,
      down: standing.down,
      layRow: opaqueFigureRows(standing, paints[shade]!, sums),
    }),
  });
  const line = new OpaqueLine(across, tables, beneath.mixed);
  return (row, out, at) => {
    const pixels = out.subarray(at, at + across);
    beneath.paintRow(modulo(row, tile.height), pixels);
    line.begin(pixels);
    for (const layRow of layOutlines) layRow(row, line);
    layFigures(row, line);
    line.finish();
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

function isPlain({ shade, fade, picture, soft }: Mark): boolean {
  return shade !== null && fade === undefined && picture === undefined && soft === undefined;
}

function asOutline({ shape, shade }: Mark): Shaded<TorusShape> | undefined {
  return shape.kind === 'figure' || shade === null ? undefined : { shape, shade };
}

function asFigure({ shape, shade }: Mark): Shaded<PlacedFigure> | undefined {
  return shape.kind === 'figure' && shade !== null ? { shape, shade } : undefined;
}

function shadePaints(base: Partition, tables: MixingTables): readonly ShadePaint[] {
  const lights = lightOf(base, tables);
  return [...packShades(base.shades)].map((pixel, shade) => ({
    pixel,
    light: lights.subarray(shade * CHANNELS, (shade + 1) * CHANNELS),
  }));
}

/** What marks are laid over, and the light of those of its pixels that are mixed. */
interface Beneath {
  readonly paintRow: (row: number, pixels: Uint32Array) => void;
  readonly mixed?: MixedLight;
}

function facesBeneath(
  base: Partition,
  paints: readonly ShadePaint[],
  window: PaintWindow,
  tables: MixingTables,
): Beneath | undefined {
  const { ground, tile, width } = window;
  const [face, ...others] = base.faces;
  if (face !== undefined && others.length === 0 && ground === undefined) {
    const { pixel } = paints[face.fill.shade]!;
    return { paintRow: (_, pixels) => pixels.fill(pixel) };
  }
  const mixed = new MixedLight(Math.min(width, tile.width));
  const sweeper = sweeperOf(
    walkPartition(base, window),
    lightOf(base, tables, ground),
    window,
    tables,
    mixed,
  );
  return (
    sweeper && {
      paintRow: (row, pixels) => {
        sweeper.paint(row);
        pixels.set(sweeper.pixels);
      },
      mixed,
    }
  );
}

function outlineRows(
  { shape, shade }: Shaded<TorusShape>,
  paints: readonly ShadePaint[],
  grid: Grid,
  window: PaintWindow,
): LayRow | undefined {
  const { holes, polygons } = resolvedOutline(shape, grid);
  const runsOf = coverRows(walkPolygons(polygons, window), window);
  const { pixel, light } = paints[shade]!;
  if (runsOf === undefined) return undefined;
  return (row, line) => {
    const { count, ends, covers } = runsOf(row);
    for (let run = 0, from = 0; run < count; run += 1) {
      const to = ends[run]!;
      const cover = holes ? WHOLE - covers[run]! : covers[run]!;
      if (cover === WHOLE) line.fill(from, to, pixel);
      else if (cover > 0) line.mix(from, to, light, cover / WHOLE);
      from = to;
    }
  };
}
