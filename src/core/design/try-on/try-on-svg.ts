import { CoreError } from '../../error.ts';
import type { Compressor } from '../../formats/png/png-image.ts';
import { escapeXml } from '../../formats/svg/escape-xml.ts';
import { encoded } from '../../formats/svg/flattened-svg.ts';
import { lengthText } from '../../formats/svg/length-text.ts';
import { drawPattern } from '../../formats/svg/pattern-svg.ts';
import { writePath } from '../../formats/svg/svg-path.ts';
import { drawUnit } from '../../formats/svg/unit-svg.ts';
import type { SeenWindow } from '../../paint/seen/seen-window.ts';
import type { BentLine } from '../../scene/bent-outline.ts';
import type { DrawnLine } from '../../scene/draw-part.ts';
import type { InkWeight } from '../../scene/scene.ts';
import type { DrawnDimension } from '../../scene/whole-drawing.ts';
import { polyline, traceContour } from '../../shape/contour.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import type { Sink } from '../../shape/sink.ts';
import type { TriedPart, TriedScene } from './compile-try-on.ts';
import { dimensionShapes } from './dimension-shapes.ts';
import { FAINT_INK, INK, MEASURE_INK, PAPER, WEIGHTS } from './ink-layers.ts';
import { type OrderedTryOn, orderTryOn, type TryOnOrder } from './order-try-on.ts';
import { partPng } from './part-png.ts';
import { figureOf, type LightOf } from './try-on-layers.ts';

export interface TryOnSvgWish {
  readonly title: string;
  readonly lightOf: LightOf;
  readonly compressor: Compressor;
  /** RFC 4648, §4, with padding. */
  readonly base64: (bytes: Uint8Array) => string;
}

/** Lines as path data, from the window's upper left corner, y downward. */
type PathText = (lines: readonly BentLine[]) => string;

/**
 * A scene as a drawing: what lies flat is its repeat as a pattern in the part's outline, what is bent a picture at the
 * resolution that is asked for.
 * @throws CoreError as `orderTryOn`
 */
export function tryOnSvg(tried: TriedScene, order: TryOnOrder, wish: TryOnSvgWish): AsyncIterable<string> {
  const ordered = orderTryOn(tried, order);
  const { width, height } = sizeOf(ordered);
  return (async function* () {
    yield `<svg xmlns="http://www.w3.org/2000/svg" width="${lengthText(width / order.smaller)}mm" height="${lengthText(height / order.smaller)}mm" ` +
      `viewBox="0 0 ${lengthText(width)} ${lengthText(height)}">\n<title>${escapeXml(wish.title)}</title>\n`;
    if (order.drawn) yield `<rect width="100%" height="100%" fill="${PAPER}"/>\n`;
    yield* drawTried(tried, ordered, { drawn: order.drawn, wish });
    yield '</svg>\n';
  })();
}

/** Of what is drawn, in millimetres of the thing. */
export function sizeOf({ window }: OrderedTryOn): { readonly width: number; readonly height: number } {
  return { width: window.width / window.perMillimetre, height: window.height / window.perMillimetre };
}

/** The shapes of a scene, from the upper left of what is drawn. */
export async function* drawTried(
  tried: TriedScene,
  ordered: OrderedTryOn,
  { drawn, wish }: { readonly drawn: boolean; readonly wish: TryOnSvgWish },
): AsyncIterable<string> {
  const { window, line, drawing } = ordered;
  const { width } = sizeOf(ordered);
  const trace = (draw: (sink: Sink) => void) =>
    writePath({ x: width, y: window.corner.y }, { x: -window.corner.x, y: 0 }, draw);
  const path: PathText = (lines) =>
    trace((sink) => {
      for (const { places, closed } of lines) traceContour(polyline(places, closed), sink);
    });
  if (drawn) yield* inkSvg(drawing.behind, line, path);
  for (const [at, part] of tried.parts.entries()) yield* partSvg(part, at, { ordered, tried, path, wish });
  if (!drawn) return;
  yield* inkSvg(drawing.ink, line, path);
  if (drawing.person !== undefined) yield strokeSvg(path([drawing.person]), FAINT_INK, line, '');
  for (const dimension of drawing.dimensions) yield dimensionSvg(dimension, line, { path, trace });
}

interface PartPlace {
  readonly ordered: OrderedTryOn;
  readonly tried: TriedScene;
  readonly path: PathText;
  readonly wish: TryOnSvgWish;
}

async function* partSvg(part: TriedPart, at: number, place: PartPlace): AsyncIterable<string> {
  const { drawn, cloth } = part;
  if (cloth === undefined) return;
  const outline = place.path(drawn.outline);
  const isFlat = drawn.bends.length === 0 && place.tried.finest === 0;
  const pattern = isFlat ? patternSvg(part, at, place.ordered.window) : undefined;
  if (pattern !== undefined) {
    yield '<defs>';
    yield* pattern;
    yield `</defs>\n<path d="${outline}" fill="url(#cloth-${at})"/>\n`;
    return;
  }
  const { window } = place.ordered;
  const { left, right, bottom, top } = boxOfFigure(figureOf(drawn.outline));
  const pixel = 1 / window.perMillimetre;
  // A pixel more all round, so that the outline cuts through whole ones.
  const piece: SeenWindow = {
    perMillimetre: window.perMillimetre,
    width: Math.ceil((right - left) / pixel) + 2,
    height: Math.ceil((top - bottom) / pixel) + 2,
    corner: { x: left - pixel, y: top + pixel },
  };
  yield `<clipPath id="part-${at}"><path d="${outline}"/></clipPath>\n`;
  yield `<image clip-path="url(#part-${at})" x="${lengthText(piece.corner.x - window.corner.x)}" y="${lengthText(window.corner.y - piece.corner.y)}" ` +
    `width="${lengthText(piece.width * pixel)}" height="${lengthText(piece.height * pixel)}" preserveAspectRatio="none" href="data:image/png;base64,`;
  const { lightOf, compressor, base64 } = place.wish;
  yield* encoded(partPng(part, piece, { finest: place.tried.finest, lightOf, compressor }), base64);
  yield '"/>\n';
}

/** The repeat as a pattern that lies as the part's cloth does; undefined where it would be too many shapes. */
function patternSvg(
  { drawn: { part }, cloth, place }: TriedPart,
  at: number,
  window: SeenWindow,
): readonly string[] | undefined {
  const { unit, size } = cloth!;
  const x = part.at.x + place.shift.x - window.corner.x;
  const y = window.corner.y - part.at.y - place.shift.y;
  const turned = `translate(${lengthText(x)} ${lengthText(y)}) rotate(${lengthText(-place.degrees)})`;
  const scaled = `scale(${lengthText(place.scale)}) translate(0 ${lengthText(-size.y)})`;
  try {
    return [
      ...drawPattern(drawUnit(unit), {
        id: `cloth-${at}`,
        transform: `${turned} ${scaled}`,
        names: `c${at}`,
      }),
    ];
  } catch (error) {
    if (error instanceof CoreError && error.code === 'svg/too-many') return undefined;
    throw error;
  }
}

function* inkSvg(ink: readonly DrawnLine[], line: number, path: PathText): Iterable<string> {
  for (const weight of ['stitch', 'detail', 'outline'] as const satisfies readonly InkWeight[]) {
    const lines = ink.filter((each) => each.weight === weight).flatMap((each) => each.lines);
    if (lines.length === 0) continue;
    const dashes =
      weight === 'stitch' ? ` stroke-dasharray="${lengthText(4 * line)} ${lengthText(3 * line)}"` : '';
    yield strokeSvg(path(lines), INK, WEIGHTS[weight] * line, dashes);
  }
}

function strokeSvg(data: string, hex: string, width: number, more: string): string {
  return (
    `<path d="${data}" fill="none" stroke="${hex}" stroke-width="${lengthText(width)}" ` +
    `stroke-linecap="round" stroke-linejoin="round"${more}/>\n`
  );
}

function dimensionSvg(
  dimension: DrawnDimension,
  line: number,
  { path, trace }: { readonly path: PathText; readonly trace: (draw: (sink: Sink) => void) => string },
): string {
  const { lines, card, text, thin } = dimensionShapes(dimension, line);
  const written = trace((sink) => {
    for (const contour of text.contours) traceContour(contour, sink);
  });
  return (
    strokeSvg(path(lines), MEASURE_INK, thin, '') +
    `<path d="${path([card])}" fill="${PAPER}" stroke="${MEASURE_INK}" stroke-width="${lengthText(thin)}"/>\n` +
    `<path d="${written}" fill="${MEASURE_INK}"/>\n`
  );
}
