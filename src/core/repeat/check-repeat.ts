import { isWhole, type Rational } from '../exact/rational.ts';
import { isRational, nearFraction } from '../exact/surd.ts';
import type { Rectangle } from '../exact/vector.ts';
import type { ClosingCount } from '../thread/closing-counts.ts';
import type { PlaneGroup } from '../tiling/plane-group.ts';
import { pixelsIn } from '../units/resolution.ts';
import type { NumberProof } from './close-numbers.ts';
import { closeNumbers } from './contents.ts';
import { type FittingResolution, fittingResolutions } from './fitting-resolutions.ts';
import type { JoinsFound } from './join.ts';
import { isWholePixels, MAX_PIXELS, type PixelFit, pixelFits } from './pixel-fit.ts';
import {
  type GridCut,
  gridCuts,
  nearSize,
  type RepeatUnit,
  repeatSize,
  type TrueSize,
} from './repeat-unit.ts';

/**
 * Exact: closes in numbers and in whole pixels. Fitted: closes in numbers, rounded to whole pixels by a stated
 * amount. Open: does not repeat.
 */
export type Verdict = 'Exact' | 'Fitted' | 'Open';

/** What painting twice showed. */
export interface PaintedProof {
  /** Size of the tile that was painted, in pixels. */
  readonly width: number;
  readonly height: number;
  readonly comparedBytes: number;
  /** Bytes that differ after the second painting is rolled back by half a tile each way. */
  readonly differingBytes: number;
  /** Pixels that take anything of a ground laid under the faces, clear ones filled; null for cells, which have no edges. */
  readonly leakingPixels: number | null;
}

/** Paints one repeat at the given pixels twice, half a tile apart, and compares. */
export type PaintRoll = (unit: RepeatUnit, tile: { width: number; height: number }) => PaintedProof;

export type OpenReason =
  | 'no-repeat'
  | 'threads'
  | 'numbers'
  | 'pixels-vanish'
  | 'pixels-too-many'
  | 'painted'
  | 'leaks';

/** What came of looking for the group that a lay copies by. */
export interface LaidProof {
  readonly asked: PlaneGroup;
  /** Found by looking at what was laid; null where it was not looked for. */
  readonly found: PlaneGroup | null;
  /** A painted tile compared with its images; null where no motion keeps its pixels. */
  readonly images: ImagesProof | null;
}

/** What comparing a painted tile with its images under motions showed. */
export interface ImagesProof {
  readonly width: number;
  readonly height: number;
  /** Motions beside shifts that keep the pixels. */
  readonly motions: number;
  readonly comparedBytes: number;
  /** Bytes that differ by more than rounding does. */
  readonly differingBytes: number;
}

export interface RepeatReport {
  readonly verdict: Verdict;
  /** The first thing that keeps the design open; undefined when nothing does. */
  readonly open: OpenReason | undefined;
  readonly dpi: Rational;
  /** Steps of its lattice that would cut a thread. */
  readonly cuts: readonly ThreadCut[];
  /** In steps of the grid: threads. */
  readonly repeat: Rectangle | null;
  readonly size: TrueSize | null;
  readonly numbers: NumberProof;
  readonly pixels: {
    /** True size of the repeat at this resolution; the nearest fraction below where it is irrational. */
    readonly exact: Rectangle | null;
    /** Pixels of one step of the grid, across and up: of a thread. */
    readonly perStep: { readonly x: Rational; readonly y: Rational };
    /** Whether every cell has whole pixels, so that no pixel mixes two. */
    readonly crisp: boolean;
    /** The nearest whole-pixel size first. */
    readonly fits: readonly PixelFit[];
  };
  readonly painted: PaintedProof | null;
  /** Of designs that are copied by a plane group. */
  readonly laid: LaidProof | null;
  /** Where it meets itself and looks otherwise on either side; of a unit alone it is not known. */
  readonly joins: JoinsFound;
  /** Resolutions at which threads or repeat come out whole; empty when they do already. */
  readonly offers: readonly FittingResolution[];
}

/** A step of a lay that would cut threads, and what closes. */
export interface ThreadCut extends GridCut {
  /** The ply that it is of, counted from 1; undefined where there are none. */
  readonly ply?: number;
  /** Numbers of threads laid out that close, with the bands that have them; none where it is not known. */
  readonly closing: readonly ClosingCount[];
  /** Other steps that close, as they are typed. */
  readonly steps: readonly string[];
}

/** Where the lay of a unit, or of its plies, would cut threads. */
export function threadCuts(unit: RepeatUnit): readonly ThreadCut[] {
  const own = gridCuts(unit).map((cut) => ({ ...cut, closing: [], steps: [] }));
  if (unit.content.kind !== 'plies') return own;
  return unit.content.plies.flatMap((ply, at) =>
    threadCuts(ply.unit).map((cut) => ({ ...cut, ply: at + 1 })),
  );
}

/** How many whole-pixel sizes a report lists. */
const FITS = 4;

/**
 * The repeat check: what a unit's repeat is, why it closes, and what rounding to pixels costs.
 * @param numbers  a proof that knows more than the unit's own cells, where the construction has one
 */
export function checkRepeat(
  unit: RepeatUnit,
  dpi: Rational,
  roll: PaintRoll,
  numbers = closeNumbers(unit),
): RepeatReport {
  const size = repeatSize(unit);
  const near = size && nearSize(size);
  const perStep = {
    x: pixelsIn(nearFraction(unit.pitch.x), dpi),
    y: pixelsIn(nearFraction(unit.pitch.y), dpi),
  };
  const crisp = unit.grid.step === 'thread' && isWhole(perStep.x) && isWhole(perStep.y);
  const exact = near && { width: pixelsIn(near.width, dpi), height: pixelsIn(near.height, dpi) };
  const whole = exact !== null && isWholePixels(exact) && isRational(size!.width) && isRational(size!.height);
  const fits = exact === null ? [] : pixelFits(exact, FITS);
  const tile = fits[0];
  const paintable = tile !== undefined && tile.width <= MAX_PIXELS && tile.height <= MAX_PIXELS;
  const painted = paintable ? roll(unit, tile) : null;
  const cuts = threadCuts(unit);
  const open = openReason({ numbers, cuts, exact, tile, painted });
  return {
    verdict: open !== undefined ? 'Open' : whole ? 'Exact' : 'Fitted',
    open,
    dpi,
    cuts,
    repeat: unit.repeat,
    size,
    numbers,
    pixels: { exact, perStep, crisp, fits },
    painted,
    laid: null,
    joins: { joins: [], closed: [] },
    offers: crisp ? [] : fittingResolutions(unit, dpi),
  };
}

interface Findings {
  readonly numbers: NumberProof;
  readonly cuts: readonly ThreadCut[];
  readonly exact: Rectangle | null;
  readonly tile: PixelFit | undefined;
  readonly painted: PaintedProof | null;
}

function openReason({ numbers, cuts, exact, tile, painted }: Findings): OpenReason | undefined {
  if (cuts.length > 0) return 'threads';
  if (!numbers.closed) return 'numbers';
  if (exact === null) return 'no-repeat';
  if (tile === undefined) return 'pixels-vanish';
  if (painted === null) return 'pixels-too-many';
  if (painted.differingBytes !== 0) return 'painted';
  return painted.leakingPixels === null || painted.leakingPixels === 0 ? undefined : 'leaks';
}
