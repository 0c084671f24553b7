import type { Shade } from '../../core/colour/shade.ts';
import type { LaidBand } from '../../core/thread/sequence.ts';
import { placeBand, type RailAxis } from './rail-geometry.ts';

interface Neighbours {
  readonly axis: RailAxis;
  /** Length of the rail in CSS pixels. */
  readonly seen: number;
  readonly laid: readonly LaidBand[];
  readonly shades: ReadonlyMap<string, Shade>;
  /** Whether nothing like it lies beside it. */
  readonly isAlone: boolean;
}

/** How strongly a repeat beside the one that is worked on shows. */
const FADED = 0.45;

/** Most blocks that are worth drawing one by one; a rail zoomed further out is drawn without gaps. */
const MOST_BLOCKS = 4000;

/** Draws the faded repeats to both sides of the sequence that is worked on. */
export function drawNeighbours(
  canvas: HTMLCanvasElement,
  { axis, seen, laid, shades, isAlone }: Neighbours,
): void {
  const pixelRatio = window.devicePixelRatio;
  const warp = axis.direction === 'warp';
  const breadth = warp ? canvas.clientHeight : canvas.clientWidth;
  canvas.width = Math.round((warp ? seen : breadth) * pixelRatio);
  canvas.height = Math.round((warp ? breadth : seen) * pixelRatio);
  const context = canvas.getContext('2d')!;
  context.scale(pixelRatio, pixelRatio);
  if (isAlone) return;
  context.globalAlpha = FADED;
  const last = laid.at(-1)!;
  const length = (last.start + last.count) * axis.step;
  const first = Math.floor(-axis.anchor / length);
  const beyond = Math.ceil((seen - axis.anchor) / length) + 1;
  const whole = (beyond - first) * laid.length > MOST_BLOCKS || length / laid.length < 3;
  for (let repeat = first; repeat <= beyond; repeat += 1) {
    const shifted = { ...axis, anchor: axis.anchor + repeat * length };
    const start = warp ? shifted.anchor : shifted.anchor - length;
    if (repeat === 0 || start > seen || start + length < 0) continue;
    for (const band of laid) drawBlock(context, shifted, band, shades.get(band.shade)!.hex, breadth, whole);
  }
}

function drawBlock(
  context: CanvasRenderingContext2D,
  axis: RailAxis,
  band: LaidBand,
  hex: string,
  breadth: number,
  whole: boolean,
): void {
  const { start, length } = placeBand(axis, band);
  const gap = whole ? 0 : length > 6 ? 1 : 0.5;
  const along = [start + gap, Math.max(0.5, length - 2 * gap)] as const;
  const across = [5, breadth - 10] as const;
  context.fillStyle = hex;
  context.beginPath();
  const [x, width, y, height] = axis.direction === 'warp' ? [...along, ...across] : [...across, ...along];
  context.roundRect(x, y, width, height, whole ? 0 : 3);
  context.fill();
}
