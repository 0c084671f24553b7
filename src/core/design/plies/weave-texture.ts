import { modulo } from '../../exact/modulo.ts';
import { buildWeave } from '../../thread/weaves/build-weave.ts';
import type { WeaveSpec } from '../../thread/weaves/weave-spec.ts';
import type { Design, MotifDesign } from '../design-schema.ts';
import type { Piece } from '../motif/motif-schema.ts';
import { usualPiece } from '../motif/usual-piece.ts';
import { newMotif } from '../new-design.ts';
import { isKind } from '../of-kind.ts';

/** Light on the top of a thread, and the shade on its sides. */
const SHADES = [
  { key: 'L', name: 'Light', hex: '#ffffff' },
  { key: 'S', name: 'Shade', hex: '#808080' },
] as const;

/** Threads are as wide as those of cloth of 24 to the inch. */
const STEP = '1/24in';

/**
 * A weave as light and shade alone: a rounded thread for each float, one step wide, 24 to the inch.
 * @throws CoreError of the weave; "motif/…" where it has more floats than a motif has pieces
 */
export function weaveTexture(weave: WeaveSpec, name: string): MotifDesign {
  const { ends, picks, up } = buildWeave(weave);
  const warp = Array.from({ length: ends }, (_, end) =>
    floatsOf(picks, (pick) => up[pick * ends + end] === 1).map(({ first, length }) => ({
      x: end,
      y: first,
      width: 1,
      height: length,
    })),
  );
  const weft = Array.from({ length: picks }, (_, pick) =>
    floatsOf(ends, (end) => up[pick * ends + end] === 0).map(({ first, length }) => ({
      x: first,
      y: pick,
      width: length,
      height: 1,
    })),
  );
  return newMotif({
    name,
    shades: SHADES,
    step: STEP,
    box: { width: String(ends), height: String(picks) },
    ground: 'S',
    pieces: [
      ...warp.flat().map((float, at) => threadOf(at + 1, float, '0')),
      ...weft.flat().map((float, at) => threadOf(warp.flat().length + at + 1, float, '90')),
    ],
  });
}

/** Whether a design is the texture of a weave, as far as it was not worked on. */
export function isWeaveTexture(design: Design): boolean {
  if (!isKind('motif', design)) return false;
  const { step, ground } = design.construction;
  return step === STEP && ground === 'S' && SHADES.every(({ key }, at) => design.shades[at]?.key === key);
}

interface Float {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A float from edge to edge of its thread, fading from a side over the light in the middle to the other side. */
function threadOf(id: number, { x, y, width, height }: Float, angle: string): Piece {
  const shape = { kind: 'rectangle' as const, width: String(width), height: String(height), radii: '0' };
  const middle = (from: number, length: number) => `${2 * from + length}/2`;
  return usualPiece(id, shape, middle(x, width), middle(y, height), {
    fade: { kind: 'along', shades: ['S', 'L', 'S'], over: 'piece', angle },
  });
}

/** Where a thread lies on top, round a repeat: a float that goes on over its end is one. */
function floatsOf(
  length: number,
  isOnTop: (at: number) => boolean,
): readonly { readonly first: number; readonly length: number }[] {
  const places = Array.from({ length }, (_, at) => at);
  if (places.every(isOnTop)) return [{ first: 0, length }];
  const firsts = places.filter((at) => isOnTop(at) && !isOnTop(modulo(at - 1, length)));
  return firsts.map((first) => {
    let long = 1;
    while (isOnTop(modulo(first + long, length))) long += 1;
    return { first, length: long };
  });
}
