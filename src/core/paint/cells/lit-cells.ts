import { hexOf, type Rgb, rgbOf } from '../../colour/hex.ts';
import { modulo } from '../../exact/modulo.ts';
import type { Cells } from '../../thread/cells.ts';
import { BRIGHTEST, endsOf, LEVELS, THROUGH, type ThreadLook, threadLights, UNDER } from './thread-light.ts';

/** Faces times ways of ending. */
const STATES = 8;

/**
 * Cloth whose threads are too small to be drawn: each cell in its shade at the mean light of its thread there, so
 * that floats, wales and the hand of a twill are seen from afar. Where threads are thinner than their space, what is
 * seen between them is taken to be of the same shade, and the table.
 */
export function litCells(cells: Cells, look: ThreadLook): Cells {
  const rows: Uint16Array[] = [];
  const over: Uint8Array[] = [];
  const known = new Map<string, number>();
  const rowAt = cells.rowAt.map((here, y) => {
    const above = cells.rowAt[modulo(y - 1, cells.height)]!;
    const below = cells.rowAt[modulo(y + 1, cells.height)]!;
    const name = `${above} ${here} ${below}`;
    let row = known.get(name);
    if (row === undefined) {
      row = rows.length;
      known.set(name, row);
      rows.push(litRow(cells, [above, here, below]));
      over.push(cells.over![here]!);
    }
    return row;
  });
  return { ...cells, shades: litShades(cells, look), rows, over, rowAt };
}

function litRow({ rows, over, width }: Cells, [above, here, below]: readonly number[]): Uint16Array {
  const up = over![above!]!;
  const row = over![here!]!;
  const down = over![below!]!;
  return rows[here!]!.map((shade, end) => {
    const warp = row[end] === 1;
    const ends = warp
      ? endsOf(up[end] !== 1, down[end] !== 1)
      : endsOf(row[end === 0 ? width - 1 : end - 1] === 1, row[end + 1 === width ? 0 : end + 1] === 1);
    return shade * STATES + (warp ? 4 : 0) + ends;
  });
}

function litShades({ shades }: Cells, look: ThreadLook): Cells['shades'] {
  const lights = threadLights(look);
  const through = rgbOf(THROUGH);
  return shades.flatMap((shade) =>
    Array.from({ length: STATES }, (_, state) => {
      const warp = state >= 4;
      const [share, other] = warp ? [look.warp, look.weft] : [look.weft, look.warp];
      const light = (lights.mean(warp, state % 4) / (LEVELS - 1)) * BRIGHTEST;
      const mixed = rgbOf(shade.hex).map((byte, part) => {
        const between = other * byte * UNDER + (1 - other) * through[part]!;
        return Math.min(255, Math.round(share * byte * light + (1 - share) * between));
      });
      return { ...shade, hex: hexOf(mixed as unknown as Rgb) };
    }),
  );
}
