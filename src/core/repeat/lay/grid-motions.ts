import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import type { RepeatUnit } from '../repeat-unit.ts';
import type { Arranged } from './arranged.ts';
import { placesOf } from './box-places.ts';
import type { BoxStand } from './group-blocks.ts';
import type { Pivots } from './lay-cells.ts';
import { standWay } from './stands.ts';

/** A motion that carries pixels of a tile onto pixels: (x, y) ↦ across·x + up·y + at, y upward from the lower left corner. */
export interface GridMotion {
  readonly across: { readonly x: number; readonly y: number };
  readonly up: { readonly x: number; readonly y: number };
  readonly at: { readonly x: number; readonly y: number };
}

/** A tile, and the motions of a lay that keep its pixels. */
export interface GridMotions {
  readonly tile: { readonly width: number; readonly height: number };
  readonly motions: readonly GridMotion[];
}

/** Most pixels of a tile that is painted for them. */
const MOST_PIXELS = 1 << 17;

/**
 * The motions of a lay beside its shifts, on a tile whose pixels they keep.
 * @param built  the unit before it was laid: one repeat of it, or the box of a motif, in threads or in millimetres
 * @param laid   the unit that was made of it
 * @returns      undefined where the lay has none
 */
export function gridMotions(
  arranged: Arranged,
  built: { readonly width: number; readonly height: number },
  laid: RepeatUnit,
  pivots: Pivots,
): GridMotions | undefined {
  if (arranged.kind === 'sixty') return sixtyMotionsOn(arranged.group, laid);
  const { places, across, up } = placesOf(arranged);
  const stands = new Map(places.map((place) => [place.stand, place] as const));
  stands.delete('same');
  if (stands.size === 0) return undefined;
  const isThreads = laid.grid.step === 'thread';
  const less = (isMirror: boolean, threads: number) =>
    isThreads && isMirror && pivots === 'shared' && threads > 1 ? 1 : 0;
  // In steps: threads, or parts of a box where there are none.
  const box = isThreads ? built : { width: 1, height: 1 };
  const step = {
    x: box.width - less(arranged.mirrors.upright, box.width),
    y: box.height - less(arranged.mirrors.level, box.height),
  };
  const steps = { x: toNumber(across) * step.x, y: toNumber(up) * step.y };
  const pixels = pixelsOfStep(isThreads ? 1 : built.height / built.width, steps, isThreads, arranged.square);
  const motions = [...stands.values()].map(({ x, y, stand }): GridMotion => {
    const corner = cornerOf(stand, { x: box.width * pixels.x, y: box.height * pixels.y });
    return {
      across: standWay({ x: 1, y: 0 }, stand),
      up: standWay({ x: 0, y: 1 }, stand),
      at: {
        x: corner.x + toNumber(x) * step.x * pixels.x,
        y: corner.y + toNumber(y) * step.y * pixels.y,
      },
    };
  });
  return {
    tile: { width: Math.round(steps.x * pixels.x), height: Math.round(steps.y * pixels.y) },
    motions,
  };
}

/** Whole pixels of a step each way, so that a tile is not too large. */
function pixelsOfStep(
  ratio: number,
  steps: { readonly x: number; readonly y: number },
  isThreads: boolean,
  isSquare: boolean,
): { readonly x: number; readonly y: number } {
  const most = Math.sqrt(MOST_PIXELS / (steps.x * steps.y * ratio));
  const x = Math.max(1, Math.min(isThreads ? 4 : 400, Math.floor(most)));
  return { x, y: isThreads || isSquare ? x : Math.max(1, Math.round(x * ratio)) };
}

/** Where a stand carries the corner of a box that lies at the lower left. */
function cornerOf(stand: BoxStand, size: { readonly x: number; readonly y: number }) {
  const across = standWay({ x: 1, y: 0 }, stand);
  const up = standWay({ x: 0, y: 1 }, stand);
  return {
    x: Math.max(0, -across.x) * size.x + Math.max(0, -up.x) * size.x,
    y: Math.max(0, -across.y) * size.y + Math.max(0, -up.y) * size.y,
  };
}

/** Half turns and upright and level mirrors through the lattice's corner at the lower left; turns by 60° keep no pixels. */
function sixtyMotionsOn(group: string, laid: RepeatUnit): GridMotions | undefined {
  const half = group === 'p6' || group === 'p6mm';
  const level = group === 'p31m' || group === 'p6mm';
  const upright = group === 'p3m1' || group === 'p6mm';
  const still = { x: 0, y: 0 };
  const motions: GridMotion[] = [
    ...(half ? [{ across: { x: -1, y: 0 }, up: { x: 0, y: -1 }, at: still }] : []),
    ...(level ? [{ across: { x: 1, y: 0 }, up: { x: 0, y: -1 }, at: still }] : []),
    ...(upright ? [{ across: { x: -1, y: 0 }, up: { x: 0, y: 1 }, at: still }] : []),
  ];
  if (motions.length === 0) return undefined;
  const ratio = surdToNumber(laid.pitch.y) / surdToNumber(laid.pitch.x);
  const width = Math.floor(Math.sqrt(MOST_PIXELS / ratio));
  return { tile: { width, height: Math.round(width * ratio) }, motions };
}
