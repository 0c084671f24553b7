import type { Dashes } from './figure.ts';
import type { Place } from './places.ts';

/**
 * The dashes of a line, as pieces of it. Dash and gap are stretched alike, so that they go a whole number of times: along
 * an endless line with a gap after each dash, else with a dash at both ends.
 *
 * @param scale  units of the places in one unit of the lengths
 */
export function dashesAlong<P extends Place>(
  places: readonly P[],
  closed: boolean,
  { length, gap, endless }: Dashes,
  scale: number,
): Place[][] {
  const line: readonly Place[] = closed ? [...places, places[0]!] : places;
  const ways = line.slice(1).map(({ x, y }, at) => Math.hypot(x - line[at]!.x, y - line[at]!.y));
  const total = ways.reduce((sum, way) => sum + way, 0);
  const ending = endless ? 0 : gap * scale;
  const count = Math.max(1, Math.round((total + ending) / ((length + gap) * scale)));
  const stretch = total / (count * (length + gap) * scale - ending);
  return Array.from({ length: count }, (_, at) => {
    const from = at * (length + gap) * scale * stretch;
    return pieceOf(line, ways, from, Math.min(total, from + length * scale * stretch));
  });
}

/** What lies between two ways along a line. */
function pieceOf(line: readonly Place[], ways: readonly number[], from: number, to: number): Place[] {
  const piece: Place[] = [];
  let gone = 0;
  for (const [at, way] of ways.entries()) {
    const along = (distance: number) => between(line[at]!, line[at + 1]!, (distance - gone) / way);
    if (gone <= from && from < gone + way) piece.push(along(from));
    if (gone > from && gone < to) piece.push(line[at]!);
    if (gone < to && to <= gone + way) piece.push(along(to));
    gone += way;
  }
  return piece;
}

function between(one: Place, other: Place, part: number): Place {
  return { x: Math.round(one.x + (other.x - one.x) * part), y: Math.round(one.y + (other.y - one.y) * part) };
}
