import { useMemo } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { MadePiece } from '../../core/design/motif/layer.ts';
import { drawPiece } from './draw-piece.ts';

/** Room of a thumbnail. */
const WIDTH = 40;
const HEIGHT = 30;

interface PieceThumbnailProps {
  readonly made: MadePiece | undefined;
  readonly shades: readonly Shade[];
  /** The letter of what lies beneath; null where that is clear. */
  readonly ground: string | null;
}

/** A piece by itself, as large as its room allows. */
export function PieceThumbnail({ made, shades, ground }: PieceThumbnailProps) {
  const drawing = useMemo(() => (made === undefined ? undefined : drawPiece(made, shades)), [made, shades]);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={drawing?.view ?? `0 0 ${WIDTH} ${HEIGHT}`}
      className="flex-none rounded border border-rule bg-white"
      style={{ backgroundColor: shades.find(({ key }) => key === ground)?.hex }}
      aria-hidden="true"
      // biome-ignore lint/security/noDangerouslySetInnerHtml: paths that Vetro itself writes, of numbers and hex colours
      dangerouslySetInnerHTML={{ __html: drawing?.paths ?? '' }}
    />
  );
}
