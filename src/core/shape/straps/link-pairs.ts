import { inSteps, type Step, type StrapTorus } from './strap-torus.ts';
import type { Link } from './strap-way.ts';

/** A link and another, moved by vectors of the lattice to where they may meet. */
export interface LinkPair {
  readonly one: Link;
  readonly other: Link;
  readonly step: Step;
}

/** Fields along each side of a cell. */
const MOST_FIELDS = 256;

/** Pairs of links that come through one field of the torus, each pair once. */
export function* nearPairs(links: readonly Link[], torus: StrapTorus): Iterable<LinkPair> {
  const count = Math.max(1, Math.min(MOST_FIELDS, Math.ceil(Math.sqrt(links.length))));
  const fields = new Map<number, { readonly index: number; readonly cell: Step }[]>();
  for (const [index, link] of links.entries()) {
    for (const [column, row] of fieldsOf(link, torus, count)) {
      const cell = [Math.floor(column / count), Math.floor(row / count)] as const;
      const name = (row - cell[1] * count) * count + (column - cell[0] * count);
      const known = fields.get(name);
      if (known === undefined) fields.set(name, [{ index, cell }]);
      else known.push({ index, cell });
    }
  }
  const seen = new Set<string>();
  for (const entries of fields.values()) {
    for (const [at, first] of entries.entries()) {
      for (const second of entries.slice(0, at + 1)) {
        const [one, other] = first.index <= second.index ? [first, second] : [second, first];
        const step = [one.cell[0] - other.cell[0], one.cell[1] - other.cell[1]] as const;
        // A link meets its own copies one way and back.
        const isBack = one.index === other.index && (step[0] < 0 || (step[0] === 0 && step[1] <= 0));
        const name = `${one.index} ${other.index} ${step}`;
        if (isBack || seen.has(name)) continue;
        seen.add(name);
        yield { one: links[one.index]!, other: links[other.index]!, step };
      }
    }
  }
}

/** Widened by so much of a field, so that links which meet at its border share one. */
const MARGIN = 1e-6;

/** Columns and rows, counted in fields of the plane, that a link comes through. */
function* fieldsOf(link: Link, torus: StrapTorus, count: number): Iterable<readonly [number, number]> {
  const inFields = (place: Link['from']) => {
    const { x, y } = inSteps(torus, place);
    return { x: x * count, y: y * count };
  };
  const one = inFields(link.from);
  const other = inFields(link.to);
  const [left, right] = one.x <= other.x ? [one, other] : [other, one];
  const isUpright = right.x - left.x < MARGIN;
  const rise = isUpright ? 0 : (right.y - left.y) / (right.x - left.x);
  for (let column = Math.floor(left.x - MARGIN); column <= Math.floor(right.x + MARGIN); column += 1) {
    const from = isUpright ? left.y : left.y + rise * (Math.max(left.x, column - MARGIN) - left.x);
    const to = isUpright ? right.y : left.y + rise * (Math.min(right.x, column + 1 + MARGIN) - left.x);
    const low = Math.floor(Math.max(Math.min(from, to), Math.min(left.y, right.y)) - MARGIN);
    const high = Math.floor(Math.min(Math.max(from, to), Math.max(left.y, right.y)) + MARGIN);
    for (let row = low; row <= high; row += 1) yield [column, row];
  }
}
