import { CoreError } from '../error.ts';
import { divide, ONE, type Rational, toDecimal, toNumber } from '../exact/rational.ts';
import { nearFraction } from '../exact/surd.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import { facesOf, nearSize, type RepeatUnit, repeatSize } from '../repeat/repeat-unit.ts';
import type { Cells } from '../thread/cells.ts';
import { escapeXml } from './escape-xml.ts';
import { drawLayer } from './layers-svg.ts';
import { drawPartition, PLACES } from './partition-svg.ts';

/** Most rectangles of one drawing; beyond it a picture is the better file. */
export const MAX_SVG_BOXES = 1_000_000;

/** How much is drawn, and how. */
export interface DrawingWish {
  /** Size in millimetres of a sheet of repeats; left out, one repeat is drawn. */
  readonly sheet?: Rectangle | undefined;
  /** How far, in millimetres, a face runs under its neighbours; left out, as far as does no harm. */
  readonly underlap?: Rational | undefined;
}

/**
 * Writes one repeat, or a sheet of repeats of the given size in millimetres, as SVG at true size. One step of the
 * grid is one user unit, for a partition a millimetre; cells share whole coordinates and are drawn without antialiasing.
 *
 * @throws CoreError "svg/too-many" {boxes, most} | "svg/no-repeat"
 */
export function unitToSvg(unit: RepeatUnit, title: string, wish: DrawingWish = {}): string {
  return [...unitToSvgPieces(unit, title, wish)].join('');
}

/**
 * The same piece by piece, since a drawing of many faces is long. What is wrong is told before the first piece.
 * @throws CoreError as `unitToSvg`
 */
export function unitToSvgPieces(
  unit: RepeatUnit,
  title: string,
  { sheet, underlap }: DrawingWish = {},
): Iterable<string> {
  const exact = repeatSize(unit);
  if (exact === null) throw new CoreError('svg/no-repeat', {});
  const size = nearSize(exact);
  const { shapes, width, height, step, crisp } = drawUnit(unit, underlap);
  const box = sheet ?? size;
  const view = sheet === undefined ? `0 0 ${width} ${height}` : viewOf(step, sheet);
  const head =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${length(box.width)}" height="${length(box.height)}" ` +
    `viewBox="${view}" preserveAspectRatio="none"${crisp ? ' shape-rendering="crispEdges"' : ''}>\n` +
    `<title>${escapeXml(title)}</title>\n`;
  const [before, behind] =
    sheet === undefined
      ? ['', '']
      : [
          `<defs><pattern id="repeat" width="${width}" height="${height}" patternUnits="userSpaceOnUse">`,
          '</pattern></defs>\n<rect width="100%" height="100%" fill="url(#repeat)"/>\n',
        ];
  return gathered(
    (function* () {
      yield head + before;
      yield* shapes;
      yield `${behind}</svg>\n`;
    })(),
  );
}

/** Characters of a piece that is handed on. */
const PIECE = 1 << 16;

/** Short pieces put together to longer ones. */
function* gathered(pieces: Iterable<string>): Iterable<string> {
  let text = '';
  for (const piece of pieces) {
    text += piece;
    if (text.length < PIECE) continue;
    yield text;
    text = '';
  }
  if (text !== '') yield text;
}

/** The shapes of one repeat, in user units of `step` millimetres. */
interface Drawing {
  readonly shapes: Iterable<string>;
  readonly width: string;
  readonly height: string;
  readonly step: Vector;
  /** Whether all edges are upright or level and lie on whole units, and are to be drawn so. */
  readonly crisp: boolean;
}

/** Cells are drawn in threads, a partition in millimetres. */
function drawUnit(unit: RepeatUnit, underlap: Rational | undefined): Drawing {
  const { content, pitch } = unit;
  switch (content.kind) {
    case 'cells': {
      const step = { x: nearFraction(pitch.x), y: nearFraction(pitch.y) };
      const [width, height] = [String(content.width), String(content.height)];
      return { shapes: drawCells(content), width, height, step, crisp: true };
    }
    case 'partition':
    case 'stack': {
      const size = nearSize(repeatSize(unit)!);
      const [width, height] = [toDecimal(size.width, PLACES), toDecimal(size.height, PLACES)];
      const step = { x: ONE, y: ONE };
      const base = facesOf(content);
      const lengths = { x: toNumber(size.width), y: toNumber(size.height) };
      const layers = content.kind === 'stack' ? content.layers : [];
      const shapes = (function* () {
        yield* drawPartition(base, size, underlap);
        for (const [index, layer] of layers.entries())
          yield `${drawLayer(layer, index, base.shades, lengths)}\n`;
      })();
      return { shapes, width, height, step, crisp: false };
    }
    default:
      return content satisfies never;
  }
}

function viewOf(step: Vector, sheet: Rectangle): string {
  const steps = (size: Rational, one: Rational) => toDecimal(divide(size, one), PLACES);
  return `0 0 ${steps(sheet.width, step.x)} ${steps(sheet.height, step.y)}`;
}

function length(millimetres: Rational): string {
  return `${toDecimal(millimetres, PLACES)}mm`;
}

/** One path a shade; runs of a row that go on unchanged below are drawn as one box. */
function drawCells(cells: Cells): readonly string[] {
  const { width, height, rows, rowAt } = cells;
  const runs = rows.map(runsOf);
  const paths: string[][] = cells.shades.map(() => []);
  const top = new Uint32Array(width);
  let boxes = 0;
  let above: Runs | undefined;
  for (let y = 0; y <= height; y += 1) {
    const here = y < height ? runs[rowAt[y]!]! : undefined;
    if (here === above) continue;
    for (const x of above?.starts ?? []) {
      if (here !== undefined && goesOn(above!, here, x)) continue;
      paths[above!.shadeAt[x]!]!.push(
        `M${x} ${top[x]}h${above!.lengthAt[x]}v${y - top[x]!}h-${above!.lengthAt[x]}z`,
      );
      boxes += 1;
    }
    if (boxes > MAX_SVG_BOXES) throw new CoreError('svg/too-many', { boxes, most: MAX_SVG_BOXES });
    for (const x of here?.starts ?? []) {
      if (above === undefined || !goesOn(above, here!, x)) top[x] = y;
    }
    above = here;
  }
  return cells.shades
    .map(({ hex }, shade) => ({ hex, d: paths[shade]!.join('') }))
    .filter(({ d }) => d !== '')
    .map(({ hex, d }) => `<path fill="${hex}" d="${d}"/>\n`);
}

/** A row as runs of one shade. */
interface Runs {
  readonly starts: readonly number[];
  /** Cells of the run that starts at each place; 0 where none does. */
  readonly lengthAt: Uint32Array;
  readonly shadeAt: Uint16Array;
}

function runsOf(row: Uint16Array): Runs {
  const starts: number[] = [];
  const lengthAt = new Uint32Array(row.length);
  for (let x = 0, end = 0; x < row.length; x = end) {
    while (end < row.length && row[end] === row[x]) end += 1;
    starts.push(x);
    lengthAt[x] = end - x;
  }
  return { starts, lengthAt, shadeAt: row };
}

/** Whether the run that starts at `x` is the same in both rows. */
function goesOn(above: Runs, here: Runs, x: number): boolean {
  return above.lengthAt[x] === here.lengthAt[x] && above.shadeAt[x] === here.shadeAt[x];
}
