import { parseExact } from '../exact/parse-exact.ts';
import { toDecimal } from '../exact/rational.ts';
import type { Wif, WifKept, WifLines, WifThreads } from './wif.ts';
import { formatWif } from './wif-sections.ts';

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
  const own: WifKept[] = [
    {
      section: 'COLOR PALETTE',
      lines: [
        ['Entries', String(palette.length)],
        ['Form', 'RGB'],
        ['Range', '0,255'],
      ],
    },
    {
      section: 'COLOR TABLE',
      lines: palette.map((hex, index) => [
        String(index + 1),
        [1, 3, 5].map((from) => Number.parseInt(hex.slice(from, from + 2), 16)).join(','),
      ]),
    },
    {
      section: 'WEAVING',
      lines: [
        ['Shafts', String(shafts)],
        ['Treadles', String(treadles?.tieup.length ?? 0)],
        ['Rising Shed', 'true'],
      ],
    },
    { section: 'WARP', lines: threadLines(warp) },
    { section: 'WEFT', lines: threadLines(weft) },
    { section: 'THREADING', lines: numbered(threading) },
    ...(treadles === undefined
      ? [{ section: 'LIFTPLAN', lines: numbered(lifts) }]
      : [
          { section: 'TIEUP', lines: numbered(treadles.tieup) },
          { section: 'TREADLING', lines: numbered(treadles.treadling.map((treadle) => [treadle])) },
        ]),
    ...directionLines('WARP', warp),
    ...directionLines('WEFT', weft),
    ...(title === '' ? [] : [{ section: 'TEXT', lines: [['Title', title]] as const }]),
  ];
  const sections = withKept(own, kept);
  return formatWif([
    {
      section: 'WIF',
      lines: [
        ['Version', '1.1'],
        ['Date', 'April 20, 1997'],
        ['Source Program', 'Vetro'],
      ],
    },
    { section: 'CONTENTS', lines: sections.map(({ section }) => [section, 'true']) },
    ...sections,
  ]);
}

function numbered(lists: readonly (readonly number[])[]): WifLines {
  return lists.map((list, index) => [String(index + 1), list.join(',') || '0']);
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
function directionLines(name: 'WARP' | 'WEFT', { colours, measures }: WifThreads): readonly WifKept[] {
  const single = (what: string, lines: WifLines) =>
    lines.length === 0
      ? []
      : [{ section: `${name} ${what}`, lines: lines.map(([key, value]) => [key, decimal(value)] as const) }];
  return [
    { section: `${name} COLORS`, lines: numbered(colours.map((colour) => [colour + 1])) },
    ...single('SPACING', measures.spacings),
    ...single('THICKNESS', measures.thicknesses),
  ];
}

function decimal(text: string): string {
  return toDecimal(parseExact(text), 6);
}

/** Kept lines go where they came from: to the end of a section of ours, or into one of their own. */
function withKept(own: readonly WifKept[], kept: readonly WifKept[]): readonly WifKept[] {
  const linesFor = (name: string) =>
    kept.filter(({ section }) => section.toUpperCase() === name).flatMap(({ lines }) => lines);
  const names = new Set(own.map(({ section }) => section));
  return [
    ...own.map(({ section, lines }) => ({ section, lines: [...lines, ...linesFor(section)] })),
    ...kept.filter(({ section }) => !names.has(section.toUpperCase())),
  ];
}
