import { escapeXml } from '../../formats/svg/escape-xml.ts';
import { lengthText } from '../../formats/svg/length-text.ts';
import type { Design } from '../design-schema.ts';
import type { TriedScene } from './compile-try-on.ts';
import { FAINT_INK, INK, PAPER } from './ink-layers.ts';
import { layOutTryOn, orderTryOn, type TryOnOrder } from './order-try-on.ts';
import { drawTried, sizeOf, type TryOnSvgWish } from './try-on-svg.ts';

/** A4 (ISO 216), its margin, and the strip along its foot that is the ticket; millimetres. */
const PAGE = { short: 210, long: 297, margin: 12, ticket: 40 } as const;

/** Scales that drawings are commonly made at (ISO 5455: 1, 2, 5 and tens of them). */
const SCALES = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000] as const;

/** Most shades on the ticket. */
const MOST_SHADES = 16;

/** A scene on a sheet of paper at the largest common scale that it fits in, with a ticket below it. @throws CoreError as `orderTryOn` */
export function tryOnPage(
  tried: TriedScene,
  { dpi }: Pick<TryOnOrder, 'dpi'>,
  { design, ...files }: { readonly design: Design } & Omit<TryOnSvgWish, 'title'>,
): AsyncIterable<string> {
  const { smaller, ordered, page, room } = onPage(tried, dpi);
  const { width, height } = sizeOf(ordered);
  const x = PAGE.margin + (room.width - width / smaller) / 2;
  const y = PAGE.margin + (room.height - height / smaller) / 2;
  const wish = { title: design.name, ...files };
  return (async function* () {
    yield `<svg xmlns="http://www.w3.org/2000/svg" width="${page.width}mm" height="${page.height}mm" viewBox="0 0 ${page.width} ${page.height}">\n` +
      `<title>${escapeXml(design.name)}</title>\n<rect width="100%" height="100%" fill="${PAPER}"/>\n` +
      `<svg x="${lengthText(x)}" y="${lengthText(y)}" width="${lengthText(width / smaller)}" height="${lengthText(height / smaller)}" viewBox="0 0 ${lengthText(width)} ${lengthText(height)}">\n`;
    yield* drawTried(tried, ordered, { drawn: true, wish });
    yield '</svg>\n';
    yield* ticket(tried, design, { page, smaller });
    yield '</svg>\n';
  })();
}

/** The largest scale at which a scene fits on a page, which lies as the scene does. @throws CoreError as `orderTryOn` */
function onPage(tried: TriedScene, dpi: TryOnOrder['dpi']) {
  const { width, height } = sizeOf(layOutTryOn(tried, { dpi, smaller: 1, drawn: true }));
  const isWide = width > height;
  const page = { width: isWide ? PAGE.long : PAGE.short, height: isWide ? PAGE.short : PAGE.long };
  const room = {
    width: page.width - 2 * PAGE.margin,
    height: page.height - 2 * PAGE.margin - PAGE.ticket,
  };
  const fits = (smaller: number) => {
    // Lines are never thinner than can be seen, so that what is round a drawing grows a little as it is made smaller.
    const size = sizeOf(layOutTryOn(tried, { dpi, smaller, drawn: true }));
    return size.width / smaller <= room.width && size.height / smaller <= room.height;
  };
  const smaller = SCALES.find(fits) ?? SCALES.at(-1)!;
  return { smaller, ordered: orderTryOn(tried, { dpi, smaller, drawn: true }), page, room };
}

/** What the drawing is of, its shades, its scale, and a bar to measure by. */
function* ticket(
  tried: TriedScene,
  design: Design,
  {
    page,
    smaller,
  }: { readonly page: { readonly width: number; readonly height: number }; readonly smaller: number },
): Iterable<string> {
  const top = page.height - PAGE.margin - PAGE.ticket;
  const x = PAGE.margin;
  const right = page.width - PAGE.margin;
  const size = tried.parts.find(({ cloth }) => cloth?.cloth === 'design')?.cloth?.size;
  yield `<g font-family="'Instrument Sans', sans-serif" fill="${INK}">\n`;
  yield `<path d="M${x} ${top}H${right}" stroke="${INK}" stroke-width="0.3"/>\n`;
  yield text(x, top + 8, 5, design.number === '' ? design.name : `${design.number} · ${design.name}`);
  yield text(x, top + 14, 3.2, `${tried.scene.name}, drawn at 1 : ${smaller}`);
  if (size !== undefined) yield text(x, top + 19, 3.2, `Repeat ${short(size.x)} × ${short(size.y)} mm`);
  for (const [at, { name, hex }] of design.shades.slice(0, MOST_SHADES).entries()) {
    const left = x + (at % 8) * ((right - x) / 8);
    const low = top + 23 + Math.floor(at / 8) * 8.5;
    yield `<rect x="${lengthText(left)}" y="${lengthText(low)}" width="5" height="5" fill="${hex}" stroke="${FAINT_INK}" stroke-width="0.1"/>\n`;
    yield text(left + 6, low + 3.4, 2.3, name.slice(0, 16));
  }
  yield* bar(right, top + 9, smaller);
  yield '</g>\n';
}

/** A bar of a round length of the thing, about forty millimetres on paper. */
function* bar(right: number, y: number, smaller: number): Iterable<string> {
  const long = 40;
  const left = right - long;
  yield `<path d="M${left} ${y}H${right}M${left} ${y - 1.5}V${y + 1.5}M${left + long / 2} ${y - 1}V${y + 1}M${right} ${y - 1.5}V${y + 1.5}" stroke="${INK}" stroke-width="0.3" fill="none"/>\n`;
  yield text(left - 0.8, y + 5, 2.6, '0');
  yield text(right - 16, y + 5, 2.6, `${long * smaller} mm`);
}

function text(x: number, y: number, size: number, words: string): string {
  return `<text x="${lengthText(x)}" y="${lengthText(y)}" font-size="${size}">${escapeXml(words)}</text>\n`;
}

function short(length: number): string {
  return String(Number(length.toFixed(2)));
}
