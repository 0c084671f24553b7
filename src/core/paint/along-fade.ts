import { modulo } from '../exact/modulo.ts';
import type { FadeWay } from '../shape/fade-way.ts';
import type { Place } from '../shape/places.ts';

/** Pixels of one repeat, and of a millimetre. */
export interface PixelGrid {
  readonly tile: { readonly width: number; readonly height: number };
  readonly scale: Place;
}

/**
 * How far along a fade the middles of a figure's pixels lie.
 * @param first  the figure's first pixel, from the upper left of the repeat
 */
export function alongFade(way: FadeWay, first: Place, grid: PixelGrid): (x: number, y: number) => number {
  const { tile, scale } = grid;
  const down = ({ x, y }: Place): Place => ({ x: x * scale.x, y: tile.height - y * scale.y });
  const inRepeat = repeated(way, grid);
  if (way.kind === 'outward') {
    const middle = down(way.middle);
    return (x, y) => {
      const place = inRepeat(first.x + x, first.y + y);
      const across = (place.x + 0.5 - middle.x) / scale.x;
      const up = (place.y + 0.5 - middle.y) / scale.y;
      return Math.hypot(across, up) / way.radius;
    };
  }
  const from = down(way.from);
  const to = down(way.to);
  const square = (to.x - from.x) ** 2 + (to.y - from.y) ** 2;
  const perX = square === 0 ? 0 : (to.x - from.x) / square;
  const perY = square === 0 ? 0 : (to.y - from.y) / square;
  return (x, y) => {
    const place = inRepeat(first.x + x, first.y + y);
    return (place.x + 0.5 - from.x) * perX + (place.y + 0.5 - from.y) * perY;
  };
}

/** Pixels in the one repeat of a fade that comes again in each; the repeat at the lower left is the one. */
function repeated({ every }: FadeWay, { tile, scale }: PixelGrid): (x: number, y: number) => Place {
  if (every === null) return (x, y) => ({ x, y });
  const width = Math.round(every.x * scale.x);
  const height = Math.round(every.y * scale.y);
  const left = Math.round((every.at?.x ?? 0) * scale.x);
  const top = tile.height - height - Math.round((every.at?.y ?? 0) * scale.y);
  return (x, y) => ({ x: left + modulo(x - left, width), y: top + modulo(y - top, height) });
}
