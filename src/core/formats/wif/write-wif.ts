import { rgbOf } from '../../colour/hex.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { toDecimal } from '../../exact/rational.ts';
import type { Wif, WifKept, WifLines, WifThreads } from './wif.ts';
import { formatWif, linesText, type WrittenSection } from './wif-sections.ts';

/** Writes a weave file that `readWif` reads back: sections in their usual order, ranges 0 … 255, rising shed. */
export function writeWif({
  title,
  shafts,
  warp,
  weft,
  threading,
  lifts,
  treadles,
  palette,
  kept,
}: Wif): string {
  const own: WrittenSection[] = [
    {
      section: 'COLOR PALETTE',
      body: linesText([
        ['Entries', String(palette.length)],
        ['Form', 'RGB'],
        ['Range', '0,255'],
      ]),
    },
    {
      section: 'COLOR TABLE',
      body: numbered(palette.map((hex) => [...rgbOf(hex)])),
    },
    {
      section: 'WEAVING',
      body: linesText([
        ['Shafts', String(shafts)],
        ['Treadles', String(treadles?.tieup.length ?? 0)],
        ['Rising Shed', 'true'],
      ]),
    },
    { section: 'WARP', body: linesText(threadLines(warp)) },
    { section: 'WEFT', body: linesText(threadLines(weft)) },
    { section: 'THREADING', body: numbered(threading) },
    ...(treadles === undefined
      ? [{ section: 'LIFTPLAN', body: numbered(lifts) }]
      : [
          { section: 'TIEUP', body: numbered(treadles.tieup) },
          { section: 'TREADLING', body: numbered(treadles.treadling) },
        ]),
    ...directionLines('WARP', warp),
    ...directionLines('WEFT', weft),
    ...(title === '' ? [] : [{ section: 'TEXT', body: linesText([['Title', title]]) }]),
  ];
  const sections = withKept(own, kept);
  return formatWif([
    {
      section: 'WIF',
      body: linesText([
        ['Version', '1.1'],
        ['Date', 'April 20, 1997'],
        ['Source Program', 'Vetro'],
      ]),
    },
    { section: 'CONTENTS', body: linesText(sections.map(({ section }) => [section, 'true'])) },
    ...sections,
  ]);
}

/** A line for each thread, numbered from 1; an empty list is written as 0. A file has thousands. */
function numbered(lists: readonly (number | readonly number[])[]): string {
  let text = '';
  for (let index = 0; index < lists.length; index += 1) {
    const list = lists[index]!;
    text += `${index + 1}=${typeof list === 'number' ? list : list.join() || '0'}\r\n`;
  }
  return text;
}

function threadLines({ count, measures }: WifThreads): WifLines {
  const { unit, spacing, thickness, spacings, thicknesses } = measures;
  const measured =
    spacing !== undefined || thickness !== undefined || spacings.length + thicknesses.length > 0;
  return [
    ['Threads', String(count)],
    ['Color', '1'],
    ...(measured ? [['Units', unit === 'in' ? 'Inches' : 'Centimeters'] as const] : []),
    ...(spacing === undefined ? [] : [['Spacing', decimal(spacing)] as const]),
    ...(thickness === undefined ? [] : [['Thickness', decimal(thickness)] as const]),
  ];
}

/** The sections with a line for each thread, or for some. */
function directionLines(name: 'WARP' | 'WEFT', { colours, measures }: WifThreads): readonly WrittenSection[] {
  const single = (what: string, lines: WifLines) =>
    lines.length === 0
      ? []
      : [{ section: `${name} ${what}`, body: linesText(lines.map(([key, value]) => [key, decimal(value)])) }];
  return [
    { section: `${name} COLORS`, body: numbered(colours.map((colour) => colour + 1)) },
    ...single('SPACING', measures.spacings),
    ...single('THICKNESS', measures.thicknesses),
  ];
}

/** A measure as a decimal: spacings are handed in so short that they read back, others as long as they are. */
function decimal(text: string): string {
  return toDecimal(parseExact(text), 15);
}

/** Kept lines go where they came from: to the end of a section of ours, or into one of their own. */
function withKept(own: readonly WrittenSection[], kept: readonly WifKept[]): readonly WrittenSection[] {
  const linesFor = (name: string) =>
    kept.filter(({ section }) => section.toUpperCase() === name).flatMap(({ lines }) => lines);
  const names = new Set(own.map(({ section }) => section));
  return [
    ...own.map(({ section, body }) => ({ section, body: body + linesText(linesFor(section)) })),
    ...kept
      .filter(({ section }) => !names.has(section.toUpperCase()))
      .map(({ section, lines }) => ({ section, body: linesText(lines) })),
  ];
}
