import { Clipper64, ClipType, FillRule, type Paths64 } from 'clipper2-ts';
import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { paintedBefore, repeatsInto } from '../../repeat/copy-order.ts';
import type { Marks, RepeatUnit } from '../../repeat/repeat-unit.ts';
import { hullOf } from '../../shape/contour.ts';
import type { Grid } from '../../shape/grid.ts';
import { areaOfPlaces, type Place } from '../../shape/places.ts';
import { resolveEndless, resolveFigure } from '../../shape/resolve-figure.ts';
import type { MotifDesign } from '../design-schema.ts';
import { pixelOf } from '../lay.ts';
import { compileMotif } from './compile-motif.ts';
import { layBox, scaleOf } from './lay-box.ts';
import { madePieces, usedBy } from './made-pieces.ts';
import { nameOf } from './piece-name.ts';

/** An edge of the box. */
export type BoxEdge = 'left' | 'right' | 'top' | 'bottom';

/** A piece that reaches over edges of the box, and comes in again where the lay carries it. */
export interface Crossing {
  readonly id: number;
  /** What it is called in a sentence. */
  readonly piece: string;
  readonly edges: readonly BoxEdge[];
}

export interface MotifFacts {
  readonly pieces: number;
  readonly crossings: readonly Crossing[];
  /**
   * Share of the cloth of each shade by its letter, and of what is left clear; they add up to 1. What fades counts for
   * its shades as if it went evenly from one to the next; shadows change no shade.
   */
  readonly shares: readonly { readonly key: string | null; readonly share: number }[];
}

/** Parts of the longer side of a repeat that areas are counted in: a share is right to some millionths. */
const PARTS = 2 ** 20;

/** @throws CoreError as `compileMotif` */
export function motifFacts(design: MotifDesign): MotifFacts {
  const { construction, resolution, shades } = design;
  const pixel = pixelOf(resolution);
  return {
    pieces: construction.pieces.length,
    crossings: crossingsOf(design),
    shares: byKey(compileMotif(construction, { shades, pixel })),
  };
}

/** Lighter and darker copies of a shade count for it. */
function byKey(unit: RepeatUnit<Marks>): MotifFacts['shares'] {
  const { shades } = unit.content.base;
  const sums = new Map<string | null, number>();
  for (const { shade, share } of sharesOf(unit)) {
    const key = shade === undefined ? null : shades[shade]!.key;
    sums.set(key, (sums.get(key) ?? 0) + share);
  }
  return [...sums].map(([key, share]) => ({ key, share }));
}

/** The same as JSON: shares by their letters, "clear" for what is left clear. */
export function motifReport(design: MotifDesign) {
  const { pieces, crossings, shares } = motifFacts(design);
  return {
    pieces,
    crossings,
    shares: Object.fromEntries(shares.map(({ key, share }) => [key ?? 'clear', share])),
  };
}

function crossingsOf({ construction, resolution }: MotifDesign): readonly Crossing[] {
  const scale = scaleOf(construction, pixelOf(resolution));
  const { width, height } = layBox(construction, scale);
  const size = { x: toNumber(width), y: toNumber(height) };
  const used = usedBy(construction);
  return [...madePieces(construction, scale)].flatMap(([piece, { layers }]) => {
    if (piece.hidden || used.has(piece.id)) return [];
    const solid = layers.filter(({ paint }) => paint?.shadow === undefined);
    const places = solid.flatMap(({ figure }) =>
      figure.kind === 'outline' ? figure.contours.flatMap(hullOf) : polygonPlaces(figure, size),
    );
    const edges = edgesOver(places, size);
    return edges.length === 0 ? [] : [{ id: piece.id, piece: nameOf(piece), edges }];
  });
}

/** Less than any length that counts, in millimetres. */
const NOTHING = 1e-6;

function edgesOver(places: readonly Place[], size: Place): readonly BoxEdge[] {
  const reaches: Readonly<Record<BoxEdge, (place: Place) => boolean>> = {
    left: ({ x }) => x < -NOTHING,
    right: ({ x }) => x > size.x + NOTHING,
    top: ({ y }) => y > size.y + NOTHING,
    bottom: ({ y }) => y < -NOTHING,
  };
  return (Object.keys(reaches) as BoxEdge[]).filter((edge) => places.some(reaches[edge]));
}

/** Corners of a figure that is worked out from others, y upward in millimetres. */
function polygonPlaces(figure: Parameters<typeof resolveFigure>[0], size: Place): readonly Place[] {
  const grid = fineGrid(size);
  return resolveFigure(figure, grid).flatMap((polygon) =>
    polygon.map(({ x, y }) => ({ x: x / grid.scale.x, y: (grid.height - y) / grid.scale.y })),
  );
}

function fineGrid(size: Place): Grid {
  const scale = PARTS / Math.max(size.x, size.y);
  const width = Math.round(size.x * scale);
  const height = Math.round(size.y * scale);
  return { width, height, pitch: size, scale: { x: width / size.x, y: height / size.y } };
}

/** What is seen of each shade: every copy less what lies over it, from the top down. */
function sharesOf({ content, pitch }: RepeatUnit<Marks>) {
  const size = { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
  const grid = fineGrid(size);
  const box: Paths64 = [
    [
      { x: 0, y: 0 },
      { x: grid.width, y: 0 },
      { x: grid.width, y: grid.height },
      { x: 0, y: grid.height },
    ],
  ];
  let free = box;
  const areas = new Map<number | undefined, number>();
  for (const { polygons, parts } of copiesFromTop(content, grid)) {
    const area = areaOf(clip(ClipType.Intersection, free, polygons));
    for (const { shade, part } of parts) areas.set(shade, (areas.get(shade) ?? 0) + area * part);
    free = clip(ClipType.Difference, free, polygons);
    if (free.length === 0) break;
  }
  const { fill } = content.base.faces[0]!;
  const ground = fill.kind === 'clear' ? undefined : fill.shade;
  areas.set(ground, (areas.get(ground) ?? 0) + areaOf(free));
  const whole = [...areas.values()].reduce((sum, area) => sum + area, 0);
  return [...areas].filter(([, area]) => area > 0).map(([shade, area]) => ({ shade, share: area / whole }));
}

function copiesFromTop({ marks, rows }: Marks, grid: Grid) {
  const before = paintedBefore(rows);
  const copies = marks.flatMap(({ shape, shade, fade, soft }, index) => {
    if (shape.kind !== 'figure' || soft !== undefined) return [];
    const polygons = shape.endless ? resolveEndless(shape.figure, grid) : resolveFigure(shape.figure, grid);
    const xs = polygons.flatMap((polygon) => polygon.map(({ x }) => x));
    const ys = polygons.flatMap((polygon) => polygon.map(({ y }) => y));
    if (xs.length === 0) return [];
    const [left, right] = [least(xs), -least(xs.map((x) => -x))];
    const [top, bottom] = [least(ys), -least(ys.map((y) => -y))];
    return repeatsInto(left, right - left, grid.width, grid.width).flatMap((across) =>
      repeatsInto(top, bottom - top, grid.height, grid.height).map((down) => ({
        index,
        row: shape.row,
        piece: shape.piece,
        endless: shape.endless,
        right: across,
        up: -down,
        parts: partsOf(fade?.shades ?? [shade]),
        polygons: polygons.map((polygon) =>
          polygon.map(({ x, y }) => ({ x: x + across * grid.width, y: y + down * grid.height })),
        ),
      })),
    );
  });
  return copies.sort((one, other) => before(other, one));
}

/** What each shade has of an even way through several. */
function partsOf(shades: readonly number[]): readonly { readonly shade: number; readonly part: number }[] {
  if (shades.length === 1) return [{ shade: shades[0]!, part: 1 }];
  const whole = shades.length - 1;
  return shades.map((shade, at) => ({ shade, part: (at === 0 || at === whole ? 0.5 : 1) / whole }));
}

function least(values: readonly number[]): number {
  return values.reduce((low, value) => Math.min(low, value), Infinity);
}

function clip(how: ClipType, subject: Paths64, by: readonly (readonly Place[])[]): Paths64 {
  const clipper = new Clipper64();
  clipper.addSubject(subject);
  clipper.addClip(by.map((path) => [...path]));
  const made: Paths64 = [];
  clipper.execute(how, FillRule.NonZero, made);
  return made;
}

function areaOf(paths: Paths64): number {
  return paths.reduce((sum, path) => sum + areaOfPlaces(path), 0);
}
