import { toNumber } from '../../exact/rational.ts';
import type { Marks, RepeatUnit } from '../../repeat/repeat-unit.ts';
import { hullOf } from '../../shape/contour.ts';
import type { Figure } from '../../shape/figure.ts';
import type { Place } from '../../shape/places.ts';
import { resolveFigure } from '../../shape/resolve-figure.ts';
import type { PlaneSymmetry } from '../../tiling/plane-group.ts';
import type { MotifDesign } from '../design-schema.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { type StrapReport, strapJson, strapReport } from '../strap/strap-report.ts';
import { compileMotif } from './compile-motif.ts';
import { layBox, nearRepeat, scaleOf } from './lay-box.ts';
import { madePieces, shownPieces } from './made-pieces.ts';
import { parseSteps } from './motif-numbers.ts';
import { nameOf } from './piece-name.ts';
import { motifSymmetry } from './seen/motif-symmetry.ts';
import { areaOfPaths, fineGrid, gridOfUnit, seenRegions } from './seen/seen-regions.ts';
import { type Thinnest, thinnestOf } from './seen/thinnest.ts';
import { strapsOfMotif, stylesOf } from './straps/motif-straps.ts';
import { strapPieces } from './straps/strap-pieces.ts';

/** An edge of the box. */
export type BoxEdge = 'left' | 'right' | 'top' | 'bottom';

/** A piece that reaches over edges of the box, and comes in again where the lay carries it. */
export interface Crossing {
  readonly id: number;
  /** What it is called in a sentence. */
  readonly piece: string;
  readonly edges: readonly BoxEdge[];
}

export interface MotifFacts extends Thinnest {
  readonly pieces: number;
  readonly crossings: readonly Crossing[];
  /**
   * Share of the cloth of each shade by its letter, of "picture", and of "clear", which is left so; they add up to 1. What
   * fades counts for its shades as if it went evenly from one to the next; shadows change no shade.
   */
  readonly shares: readonly { readonly key: string; readonly share: number }[];
  /** What carries it onto itself; undefined where it was not looked for. */
  readonly symmetry: PlaneSymmetry | undefined;
  /** How its straps lie over each other; null where it has none. */
  readonly straps: StrapReport | null;
}

/** @throws CoreError as `compileMotif` */
export function motifFacts(design: MotifDesign): MotifFacts {
  const { construction, resolution, shades, lay } = design;
  const { arrangement } = lay;
  const unit = compileMotif(construction, { shades, arrangement, pixel: pixelOf(resolution) });
  return {
    pieces: construction.pieces.length,
    crossings: crossingsOf(design),
    shares: byKey(unit),
    symmetry: motifSymmetry(unit),
    straps: strapsReport(design),
    ...thinnestOf(unit),
  };
}

/** @throws CoreError as `strapsOfMotif` */
export function strapsReport({ construction, resolution, lay }: MotifDesign): StrapReport | null {
  if (strapPieces(construction).length === 0) return null;
  const scale = scaleOf(construction, pixelOf(resolution));
  const laid = layBox(construction, lay.arrangement, scale);
  const report = strapReport(strapsOfMotif(construction, laid, scale), stylesOf(construction, scale));
  const { kept, needs } = report;
  if (kept || needs === null) return report;
  const straps = { ...construction.straps, cells: needs };
  const { x, y } = nearRepeat(layBox({ ...construction, straps }, lay.arrangement, scale));
  return { ...report, becomes: { width: x, height: y } };
}

/** Lighter and darker copies of a shade count for it. */
function byKey(unit: RepeatUnit<Marks>): MotifFacts['shares'] {
  const { shades } = unit.content.base;
  const sums = new Map<string, number>();
  for (const { paths, parts } of seenRegions(unit, gridOfUnit(unit))) {
    const area = areaOfPaths(paths);
    for (const { shade, part } of parts) {
      const key = typeof shade === 'number' ? shades[shade]!.key : shade;
      sums.set(key, (sums.get(key) ?? 0) + area * part);
    }
  }
  const whole = [...sums.values()].reduce((sum, area) => sum + area, 0);
  return [...sums].filter(([, area]) => area > 0).map(([key, area]) => ({ key, share: area / whole }));
}

/** The same as JSON. */
export function motifReport(design: MotifDesign) {
  const { pieces, crossings, shares, symmetry, smallestWidth, smallestGap, straps } = motifFacts(design);
  return {
    pieces,
    overEdges: crossings,
    ...(straps === null ? {} : strapJson(straps)),
    smallestWidth,
    smallestGap,
    group: symmetry?.group ?? null,
    shares: Object.fromEntries(shares.map(({ key, share }) => [key, share])),
  };
}

function crossingsOf({ construction, resolution }: MotifDesign): readonly Crossing[] {
  const scale = scaleOf(construction, pixelOf(resolution));
  const [x, y] = [construction.box.width, construction.box.height].map((text) =>
    toNumber(parseSteps(text, scale)),
  ) as [number, number];
  const size = { x, y };
  const made = madePieces(construction, scale);
  return shownPieces(construction).flatMap((piece) => {
    const solid = made.get(piece)!.layers.filter(({ paint }) => paint?.shadow === undefined);
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
function polygonPlaces(figure: Figure, size: Place): readonly Place[] {
  const grid = fineGrid(size);
  return resolveFigure(figure, grid).flatMap((polygon) =>
    polygon.map(({ x, y }) => ({ x: x / grid.scale.x, y: (grid.height - y) / grid.scale.y })),
  );
}
