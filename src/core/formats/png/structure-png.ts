import { CoreError } from '../../error.ts';
import type { Interlacing } from '../../thread/weave.ts';
import { MAX_PER_STEP } from '../picture-order.ts';
import { encodePng } from './encode-png.ts';
import type { Compressor, PngImage } from './png-image.ts';

/** How a structure is painted: on squared paper, or as a grey with clear ground to lie over a print. */
export type StructureLook = 'paper' | 'texture';

/** Colours of each look; the texture's second is clear. */
const PALETTES: Readonly<Record<StructureLook, readonly (readonly [number, number, number, number])[]>> = {
  paper: [
    [255, 253, 248, 255],
    [32, 41, 43, 255],
    [201, 196, 183, 255],
    [96, 100, 98, 255],
  ],
  texture: [
    [128, 128, 128, 0],
    [128, 128, 128, 255],
  ],
};

/** Pixels per metre when nothing else is said: 300 dpi. */
const USUAL = 11_811;

/**
 * One repeat of a structure as PNG, `scale` pixels a thread. On paper a square's lower and left line belong to it, the
 * heavier ones every eight squares from the lower left; a texture is grey where the warp lies on top, else clear.
 *
 * @throws CoreError "send/per-thread" {text, most}
 */
export function structureToPng(
  { ends, picks, up }: Interlacing,
  look: StructureLook,
  scale: number,
  compressor: Compressor,
): AsyncIterable<Uint8Array> {
  if (!(Number.isSafeInteger(scale) && scale >= 1 && scale <= MAX_PER_STEP)) {
    throw new CoreError('send/per-thread', { text: String(scale), most: MAX_PER_STEP });
  }
  const lined = look === 'paper' && scale >= 4;
  const rows = function* () {
    for (let y = 0; y < picks * scale; y += 1) {
      const pick = picks - 1 - Math.floor(y / scale);
      const lowest = lined && y % scale === scale - 1;
      yield Uint8Array.from({ length: ends * scale }, (_, x) => {
        const end = Math.floor(x / scale);
        const left = lined && x % scale === 0;
        if ((left && end % 8 === 0) || (lowest && pick % 8 === 0)) return 3;
        if (left || lowest) return 2;
        return up[pick * ends + end]!;
      });
    }
  };
  const palette = PALETTES[look];
  const image: PngImage = {
    width: ends * scale,
    height: picks * scale,
    pixelsPerMetre: { x: USUAL, y: USUAL },
    channels: 1,
    palette: Uint8Array.from(palette.flatMap((colour) => colour.slice(0, 3))),
    opacity: look === 'texture' ? Uint8Array.from(palette, ([, , , alpha]) => alpha) : undefined,
    period: { across: ends * scale, down: picks * scale },
    rows,
  };
  return encodePng(image, compressor);
}
