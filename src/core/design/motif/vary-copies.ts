import { hexOf, rgbOf } from '../../colour/hex.ts';
import type { Shade } from '../../colour/shade.ts';
import { randomNumbers } from '../../exact/random-numbers.ts';
import { toNumber } from '../../exact/rational.ts';
import { shownPieces } from './made-pieces.ts';
import { parseShare } from './motif-numbers.ts';
import type { Motif, Piece } from './motif-schema.ts';

/** What to add to the index of a shade to have it lighter or darker. */
export type LightPaint = number;

/** Steps that a shade gets lighter by, and as many darker. */
const STEPS = 8;

/**
 * A card with lighter and darker shades behind its own, each of them under its own letter, and how much lighter each
 * copy is: by the seed, its piece, its place among the copies and its box.
 */
export function lightPaints(motif: Pick<Motif, 'pieces' | 'vary'>, shades: readonly Shade[]) {
  const { vary } = motif;
  const most = Math.max(
    ...shownPieces(motif).flatMap((piece) => (piece.vary === null ? [] : [toNumber(parseShare(piece.vary))])),
  );
  const levels = [...steps(), ...steps().map((step) => -step)];
  const all = [
    shades,
    ...levels.map((level) => shades.map((shade) => lighter(shade, (level / STEPS) * most))),
  ];
  const of = ({ id, vary: by }: Piece, copy: number, box: number): LightPaint => {
    if (by === null) return 0;
    const share = toNumber(parseShare(by)) / most;
    const random = randomNumbers(
      vary.seed ^ Math.imul(id, 0x85ebca6b) ^ Math.imul(copy * 144 + box + 1, 0xc2b2ae35),
    );
    random();
    const level = Math.round(((random() / 2 ** 32) * 2 - 1) * STEPS * share);
    return shades.length * (level >= 0 ? level : STEPS - level);
  };
  return { shades: all.flat(), of };
}

function steps(): readonly number[] {
  return Array.from({ length: STEPS }, (_, at) => at + 1);
}

/** Mixed with white by a part, or with black by a part below 0. */
function lighter(shade: Shade, by: number): Shade {
  const toward = by > 0 ? 255 : 0;
  const mixed = rgbOf(shade.hex).map((byte) => Math.round(byte + (toward - byte) * Math.abs(by)));
  return { ...shade, hex: hexOf(mixed as [number, number, number]) };
}
