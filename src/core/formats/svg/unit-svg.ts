import { CoreError } from '../../error.ts';
import { divide, multiply, ONE, type Rational, toDecimal, toNumber } from '../../exact/rational.ts';
import { nearFraction } from '../../exact/surd.ts';
import type { Rectangle, Vector } from '../../exact/vector.ts';
import { type Content, type Marks, nearSize, type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { joinedText } from '../joined-text.ts';
import { UNSHRUNK } from '../shrinkage.ts';
import { drawCells } from './cells-svg.ts';
import type { Drawing } from './drawing.ts';
import { type DrawnPiece, svgText } from './drawn-path.ts';
import { type DrawnWindow, ONE_REPEAT } from './drawn-window.ts';
import { escapeXml } from './escape-xml.ts';
import { drawFigures, type ShadedFigure } from './figures-svg.ts';
import { PLACES } from './length-text.ts';
import { drawShape } from './marks-svg.ts';
import { drawPartition } from './partition-svg.ts';
import { PicturesSvg } from './picture-svg.ts';
import { drawPlies } from './plies-svg.ts';
import { drawVaried } from './varied-svg.ts';

/** How much is drawn, and how. */
export interface DrawingWish {
  /** Size in millimetres of a sheet of repeats; left out, one repeat is drawn. */
  readonly sheet?: Rectangle | undefined;
  /** How far, in millimetres, a face runs under its neighbours; left out, as far as does no harm. */
  readonly underlap?: Rational | undefined;
  /** What all lengths are multiplied by, each way. */
  readonly stretch?: Vector | undefined;
}

/**
 * Writes one repeat, or a sheet of repeats of the given size in millimetres, as SVG at true size. One step of the
 * grid is one user unit, for a partition a millimetre; cells share whole coordinates and are drawn without antialiasing.
 *
 * @throws CoreError "svg/too-many" {boxes, most} | "svg/no-repeat"
 */
export function unitToSvg(unit: RepeatUnit, title: string, wish: DrawingWish = {}): string {
  return joinedText(unitToSvgPieces(unit, title, wish));
}

/**
 * The same piece by piece, since a drawing of many faces is long. What is wrong is told before the first piece.
 * @throws CoreError as `unitToSvg`
 */
export function unitToSvgPieces(
  unit: RepeatUnit,
  title: string,
  { sheet, underlap, stretch = UNSHRUNK }: DrawingWish = {},
): Iterable<string> {
  const exact = repeatSize(unit);
  if (exact === null) throw new CoreError('svg/no-repeat', {});
  const size = nearSize(exact);
  const { shapes, width, height, step, crisp } = drawUnit(unit, { underlap });
  const box = sheet ?? size;
  const view = sheet === undefined ? `0 0 ${width} ${height}` : viewOf(step, sheet);
  const head =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${length(multiply(box.width, stretch.x))}" height="${length(multiply(box.height, stretch.y))}" ` +
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
      yield* svgText(shapes);
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

/** How far faces run under their neighbours, and what is drawn. */
export interface DrawingRoom extends Pick<DrawingWish, 'underlap'> {
  /** Left out, one repeat; of faces and marks more can be drawn at once, in their order. */
  readonly window?: DrawnWindow;
}

/** How each kind of content is drawn: cells in threads, all else in millimetres. */
const DRAWERS: {
  readonly [K in Content['kind']]: (
    unit: RepeatUnit<Extract<Content, { kind: K }>>,
    room: DrawingRoom,
  ) => Drawing;
} = {
  cells: ({ content, pitch }) => {
    const step = { x: nearFraction(pitch.x), y: nearFraction(pitch.y) };
    const width = String(content.width);
    const height = String(content.height);
    return { shapes: drawCells(content), width, height, step, crisp: true };
  },
  partition: (unit, room) => drawFaces(unit, { base: unit.content, marks: [] }, room),
  marks: (unit, room) => drawFaces(unit, unit.content, room),
  plies: (unit, { underlap }) => {
    const { width, height } = nearSize(repeatSize(unit)!);
    return {
      shapes: drawPlies(unit, (each) => drawUnit(each, { underlap })),
      width: toDecimal(width, PLACES),
      height: toDecimal(height, PLACES),
      step: { x: ONE, y: ONE },
      crisp: false,
    };
  },
};

/** The shapes of one repeat, or of what else is asked for. @throws CoreError as `unitToSvg` */
export function drawUnit(unit: RepeatUnit, room: DrawingRoom = {}): Drawing {
  return DRAWERS[unit.content.kind](unit as never, room);
}

function drawFaces(
  unit: RepeatUnit,
  { base, marks, rows }: Omit<Marks, 'kind'>,
  { underlap, window = ONE_REPEAT }: DrawingRoom,
): Drawing {
  const size = nearSize(repeatSize(unit)!);
  const lengths = { x: toNumber(size.width), y: toNumber(size.height) };
  const shapes = (function* (): Iterable<DrawnPiece> {
    yield* drawPartition(base, size, { underlap, window });
    const pictures = new PicturesSvg();
    yield* drawVaried(base, { pitch: lengths, window }, pictures);
    const figures: ShadedFigure[] = [];
    for (const { shape, ...paint } of marks) {
      const { shade } = paint;
      if (shape.kind === 'figure') figures.push({ shape, ...paint });
      else if (shade !== null) yield drawShape(shape, base.shades[shade]!.hex, { pitch: lengths, window });
    }
    yield* drawFigures(figures, rows, { shades: base.shades, pitch: lengths, window, pictures });
  })();
  const width = toDecimal(size.width, PLACES);
  const height = toDecimal(size.height, PLACES);
  return { shapes, width, height, step: { x: ONE, y: ONE }, crisp: false };
}

function viewOf(step: Vector, sheet: Rectangle): string {
  const steps = (size: Rational, one: Rational) => toDecimal(divide(size, one), PLACES);
  return `0 0 ${steps(sheet.width, step.x)} ${steps(sheet.height, step.y)}`;
}

function length(millimetres: Rational): string {
  return `${toDecimal(millimetres, PLACES)}mm`;
}
