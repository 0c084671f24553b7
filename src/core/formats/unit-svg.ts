import { CoreError } from '../error.ts';
import { divide, type Rational, toDecimal } from '../exact/rational.ts';
import type { Rectangle } from '../exact/vector.ts';
import { type RepeatUnit, repeatSize } from '../repeat/repeat-unit.ts';
import type { Cells } from '../thread/cells.ts';

/** Most rectangles of one drawing; beyond it a picture is the better file. */
export const MAX_SVG_BOXES = 1_000_000;

/**
 * Writes one repeat, or a sheet of repeats of the given size in millimetres, as SVG at true size. One step of the
 * grid is one user unit; touching shapes share whole coordinates and are drawn without antialiasing.
 *
 * @throws CoreError "svg/too-many" {boxes, most} | "svg/no-repeat"
 */
export function unitToSvg(unit: RepeatUnit, title: string, sheet?: Rectangle): string {
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('svg/no-repeat', {});
  const { width, height } = unit.content;
  const shapes = drawCells(unit.content);
  const box = sheet ?? size;
  const view = sheet === undefined ? `0 0 ${width} ${height}` : viewOf(unit, sheet);
  const body =
    sheet === undefined
      ? shapes
      : `<defs><pattern id="repeat" width="${width}" height="${height}" patternUnits="userSpaceOnUse">${shapes}</pattern></defs>\n<rect width="100%" height="100%" fill="url(#repeat)"/>`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${length(box.width)}" height="${length(box.height)}" ` +
    `viewBox="${view}" preserveAspectRatio="none" shape-rendering="crispEdges">\n` +
    `<title>${escapeXml(title)}</title>\n${body}\n</svg>\n`
  );
}

function viewOf({ pitch }: RepeatUnit, sheet: Rectangle): string {
  const steps = (size: Rational, step: Rational) => toDecimal(divide(size, step), 6);
  return `0 0 ${steps(sheet.width, pitch.x)} ${steps(sheet.height, pitch.y)}`;
}

function length(millimetres: Rational): string {
  return `${toDecimal(millimetres, 6)}mm`;
}

function escapeXml(text: string): string {
  return text.replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign]!);
}

/** A box of one shade in whole cells. */
interface Box {
  readonly shade: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  height: number;
}

/** One path a shade; runs of a row that go on unchanged below are drawn as one box. */
function drawCells(cells: Cells): string {
  const done: string[][] = cells.shades.map(() => []);
  let open = new Map<string, Box>();
  let boxes = 0;
  for (let y = 0; y <= cells.height; y += 1) {
    const next = new Map<string, Box>();
    for (const run of y < cells.height ? runsOf(cells.rows[cells.rowAt[y]!]!) : []) {
      const name = `${run.shade} ${run.x} ${run.width}`;
      const box = open.get(name) ?? { ...run, y, height: 0 };
      box.height += 1;
      next.set(name, box);
      if (!open.delete(name)) boxes += 1;
    }
    if (boxes > MAX_SVG_BOXES) throw new CoreError('svg/too-many', { boxes, most: MAX_SVG_BOXES });
    for (const box of open.values()) done[box.shade]!.push(pathOf(box));
    open = next;
  }
  return cells.shades
    .map(({ hex }, shade) => ({ hex, d: done[shade]!.join('') }))
    .filter(({ d }) => d !== '')
    .map(({ hex, d }) => `<path fill="${hex}" d="${d}"/>`)
    .join('\n');
}

function pathOf({ x, y, width, height }: Box): string {
  return `M${x} ${y}h${width}v${height}h-${width}z`;
}

function* runsOf(row: Uint16Array): Iterable<{ shade: number; x: number; width: number }> {
  for (let x = 0, end = 0; x < row.length; x = end) {
    while (end < row.length && row[end] === row[x]) end += 1;
    yield { shade: row[x]!, x, width: end - x };
  }
}
