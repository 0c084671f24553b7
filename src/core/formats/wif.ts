import { CoreError } from '../error.ts';
import { formatWif, type WifLine, type WifSection, wifSections } from './wif-sections.ts';

/** One direction of a weave file. */
export interface WifThreads {
  readonly count: number;
  /** For each thread, an index into the palette, from 0. */
  readonly colours: readonly number[];
  /** What one thread takes up, as written, and in what; undefined when the file does not say. */
  readonly spacing: { readonly value: string; readonly unit: 'cm' | 'in' } | undefined;
}

/** What a weave file says. Shafts and treadles count from 1. */
export interface Wif {
  readonly title: string;
  readonly shafts: number;
  readonly warp: WifThreads;
  readonly weft: WifThreads;
  /** For each end, its shaft; 0 for an end on none. */
  readonly threading: readonly number[];
  /** For each pick, the shafts that are lifted. */
  readonly lifts: readonly (readonly number[])[];
  /** The tie-up and treadling as written, when there are any with one treadle a pick. */
  readonly treadles:
    | { readonly tieup: readonly (readonly number[])[]; readonly treadling: readonly number[] }
    | undefined;
  /** "#rrggbb". */
  readonly palette: readonly string[];
  /** Sections that are not understood, kept as they were. */
  readonly kept: readonly {
    readonly section: string;
    readonly lines: readonly (readonly [string, string])[];
  }[];
}

/** Most threads each way. */
export const MAX_WIF_THREADS = 4096;

const KNOWN = [
  'wif',
  'contents',
  'color palette',
  'color table',
  'weaving',
  'warp',
  'weft',
  'text',
  'threading',
  'tieup',
  'treadling',
  'liftplan',
  'warp colors',
  'weft colors',
];

/**
 * Reads a weave file, forgivingly; sections beside threading and treadling (or lift plan) may be missing.
 * Source: Weaving Information File, version 1.1, 1997; from memory.
 *
 * @throws CoreError as `wifSections`, "wif/missing" {section}, "wif/value" {section, line, text},
 *         "wif/range" {section, line, value, most}, "wif/contradiction" {section, line, value, other}, "wif/several" {section, end}
 */
export function readWif(text: string): Wif {
  const sections = wifSections(text);
  const at = (name: string) => sections.get(name);
  const shafts = numberOf(at('weaving'), 'shafts', 1, 1000) ?? highest(at('threading'));
  const ends = numberOf(at('warp'), 'threads', 1, MAX_WIF_THREADS) ?? lastIndex(at('threading'));
  const picksBy = at('liftplan') ?? at('treadling');
  const picks = numberOf(at('weft'), 'threads', 1, MAX_WIF_THREADS) ?? lastIndex(picksBy);
  const threadingLines = needed(at('threading'), 'THREADING');
  const threading = lists(threadingLines, ends, shafts).map((list, end) => {
    if (list.length > 1) throw new CoreError('wif/several', { section: threadingLines.name, end: end + 1 });
    return list[0] ?? 0;
  });
  const plan = at('liftplan');
  const treadleCount = numberOf(at('weaving'), 'treadles', 0, 1000) ?? highest(at('treadling'));
  const tieup =
    plan === undefined ? lists(needed(at('tieup'), 'TIEUP'), Math.max(1, treadleCount), shafts) : [];
  const treadling =
    plan === undefined ? lists(needed(at('treadling'), 'TREADLING'), picks, Math.max(1, treadleCount)) : [];
  const rising = flag(at('weaving'), 'rising shed', true);
  const raised = (lifted: readonly number[]) =>
    rising
      ? lifted
      : Array.from({ length: shafts }, (_, index) => index + 1).filter((shaft) => !lifted.includes(shaft));
  const ties = tieup.map(raised);
  const lifts =
    plan === undefined
      ? treadling.map((pressed) =>
          pressed.length === 1 ? ties[pressed[0]! - 1]! : raised(together(pressed, tieup)),
        )
      : lists(plan, picks, shafts).map(raised);
  const single = plan === undefined && treadling.every((pressed) => pressed.length === 1);
  const palette = paletteOf(at('color table'), at('color palette'));
  return {
    title: at('text')?.lines.find(({ key }) => key.toLowerCase() === 'title')?.value ?? '',
    shafts,
    warp: threadsOf(at('warp'), at('warp colors'), ends, palette.length, 0),
    weft: threadsOf(at('weft'), at('weft colors'), picks, palette.length, Math.min(1, palette.length - 1)),
    threading,
    lifts,
    treadles: single ? { tieup: ties, treadling: treadling.map((pressed) => pressed[0]!) } : undefined,
    palette,
    kept: [...sections.entries()]
      .filter(([name]) => !KNOWN.includes(name))
      .map(([, { name, lines }]) => ({
        section: name,
        lines: lines.map(({ key, value }) => [key, value] as const),
      })),
  };
}

/** The shafts that several treadles are tied to. */
function together(pressed: readonly number[], tieup: readonly (readonly number[])[]): number[] {
  return [...new Set(pressed.flatMap((treadle) => tieup[treadle - 1]!))].sort((a, b) => a - b);
}

function needed(section: WifSection | undefined, name: string): WifSection {
  if (section === undefined) throw new CoreError('wif/missing', { section: name });
  return section;
}

function find(section: WifSection | undefined, key: string): WifLine | undefined {
  return section?.lines.find((line) => line.key.toLowerCase() === key);
}

function flag(section: WifSection | undefined, key: string, usual: boolean): boolean {
  const line = find(section, key);
  if (line === undefined) return usual;
  if (/^(true|on|yes|1)$/i.test(line.value)) return true;
  if (/^(false|off|no|0)$/i.test(line.value)) return false;
  throw wrongValue(section!, line);
}

function wrongValue({ name }: WifSection, { line, value }: WifLine): CoreError {
  return new CoreError('wif/value', { section: name, line, text: value.slice(0, 60) });
}

/** A whole number of a section, or undefined when it is not written. */
function numberOf(
  section: WifSection | undefined,
  key: string,
  least: number,
  most: number,
): number | undefined {
  const line = find(section, key);
  if (line === undefined) return undefined;
  if (!/^\d{1,9}$/.test(line.value)) throw wrongValue(section!, line);
  const value = Number(line.value);
  if (value < least || value > most)
    throw new CoreError('wif/range', { section: section!.name, line: line.line, value, most });
  return value;
}

/** Largest value of any line; 0 where there are none. */
function highest(section: WifSection | undefined): number {
  const values = (section?.lines ?? []).flatMap(({ value }) => wholeNumbers(value));
  return values.reduce((most, value) => Math.max(most, value), 0);
}

/** Largest key that is a number. */
function lastIndex(section: WifSection | undefined): number {
  const keys = (section?.lines ?? []).flatMap(({ key }) => wholeNumbers(key));
  return keys.reduce((most, key) => Math.max(most, key), 0);
}

function wholeNumbers(text: string): number[] {
  return [...text.matchAll(/\d{1,9}/g)].map(([digits]) => Number(digits));
}

/** For each place from 1 to `count`, its list of numbers 1 … most, 0 standing for none; places that are not written are empty. */
function lists(section: WifSection, count: number, most: number): number[][] {
  if (count > MAX_WIF_THREADS)
    throw new CoreError('wif/range', { section: section.name, line: 0, value: count, most: MAX_WIF_THREADS });
  const all = Array.from({ length: count }, (): number[] => []);
  for (const line of section.lines) {
    if (!/^\d{1,9}$/.test(line.key) || !/^[\d,\s]*$/.test(line.value)) throw wrongValue(section, line);
    const place = Number(line.key);
    if (place < 1 || place > count) {
      throw new CoreError('wif/contradiction', {
        section: section.name,
        line: line.line,
        value: place,
        other: count,
      });
    }
    const values = all[place - 1]!;
    values.length = 0;
    for (const part of line.value.split(',')) {
      const value = Number(part);
      if (value > most)
        throw new CoreError('wif/range', { section: section.name, line: line.line, value, most });
      if (value > 0) values.push(value);
    }
  }
  return all;
}

/** Colours of the table, their range brought to 0 … 255; black and white where there is none. */
function paletteOf(table: WifSection | undefined, about: WifSection | undefined): string[] {
  if (table === undefined || table.lines.length === 0) return ['#000000', '#ffffff'];
  const [low, high] = rangeOf(about);
  const entries = numberOf(about, 'entries', 1, 10_000) ?? lastIndex(table);
  const palette = Array.from({ length: entries }, () => '#000000');
  for (const line of table.lines) {
    const parts = line.value.split(',').map((part) => Number(part.trim()));
    if (
      !/^\d{1,9}$/.test(line.key) ||
      parts.length !== 3 ||
      parts.some((part) => !(part >= low && part <= high))
    ) {
      throw wrongValue(table, line);
    }
    const place = Number(line.key);
    if (place < 1 || place > entries) {
      throw new CoreError('wif/contradiction', {
        section: table.name,
        line: line.line,
        value: place,
        other: entries,
      });
    }
    const byte = (part: number) => Math.round(((part - low) / (high - low)) * 255);
    palette[place - 1] = `#${parts.map((part) => byte(part).toString(16).padStart(2, '0')).join('')}`;
  }
  return palette;
}

function rangeOf(about: WifSection | undefined): readonly [number, number] {
  const line = find(about, 'range');
  if (line === undefined) return [0, 255];
  const [low, high] = line.value.split(',').map((part) => Number(part.trim()));
  if (!(low !== undefined && high !== undefined && high > low)) throw wrongValue(about!, line);
  return [low, high];
}

function threadsOf(
  about: WifSection | undefined,
  colours: WifSection | undefined,
  count: number,
  palette: number,
  usual: number,
): WifThreads {
  const line = find(about, 'color');
  const first = line === undefined ? usual : Number(line.value.split(',')[0]) - 1;
  if (!(first >= 0 && first < palette)) throw wrongValue(about!, line!);
  const own = colours === undefined ? [] : lists(colours, count, palette);
  return {
    count,
    colours: Array.from({ length: count }, (_, thread) => (own[thread]?.[0] ?? first + 1) - 1),
    spacing: spacingOf(about),
  };
}

function spacingOf(about: WifSection | undefined): WifThreads['spacing'] {
  const line = find(about, 'spacing');
  if (line === undefined) return undefined;
  if (!/^\d*\.?\d+$/.test(line.value) || !(Number(line.value) > 0)) throw wrongValue(about!, line);
  const unit = find(about, 'units')?.value.toLowerCase() ?? 'centimeters';
  if (unit === 'decipoints') return { value: `${line.value}/720`, unit: 'in' };
  return { value: line.value, unit: unit.startsWith('in') ? 'in' : 'cm' };
}

/** Writes a weave file that `readWif` reads back: sections in their usual order, ranges 0 … 255, rising shed. */
export function writeWif(wif: Wif): string {
  const { title, shafts, warp, weft, threading, lifts, treadles, palette, kept } = wif;
  const numbered = (lists: readonly (readonly number[] | number)[]) =>
    lists.map((list, index): readonly [string, string] => [
      String(index + 1),
      typeof list === 'number' ? String(list) : list.join(',') || '0',
    ]);
  const colourLines = ({ colours }: WifThreads) => numbered(colours.map((colour) => colour + 1));
  const threads = ({ count, spacing }: WifThreads): (readonly [string, string])[] => [
    ['Threads', String(count)],
    ['Color', '1'],
    ...(spacing === undefined
      ? []
      : ([
          ['Units', spacing.unit === 'in' ? 'Inches' : 'Centimeters'],
          ['Spacing', spacing.value],
        ] as const)),
  ];
  const body: { name: string; lines: readonly (readonly [string, string])[] }[] = [
    {
      name: 'COLOR PALETTE',
      lines: [
        ['Entries', String(palette.length)],
        ['Form', 'RGB'],
        ['Range', '0,255'],
      ],
    },
    {
      name: 'COLOR TABLE',
      lines: palette.map((hex, index) => [
        String(index + 1),
        [1, 3, 5].map((from) => Number.parseInt(hex.slice(from, from + 2), 16)).join(','),
      ]),
    },
    {
      name: 'WEAVING',
      lines: [
        ['Shafts', String(shafts)],
        ['Treadles', String(treadles?.tieup.length ?? 0)],
        ['Rising Shed', 'true'],
      ],
    },
    { name: 'WARP', lines: threads(warp) },
    { name: 'WEFT', lines: threads(weft) },
    { name: 'THREADING', lines: numbered(threading) },
    ...(treadles === undefined
      ? [{ name: 'LIFTPLAN', lines: numbered(lifts) }]
      : [
          { name: 'TIEUP', lines: numbered(treadles.tieup) },
          { name: 'TREADLING', lines: numbered(treadles.treadling) },
        ]),
    { name: 'WARP COLORS', lines: colourLines(warp) },
    { name: 'WEFT COLORS', lines: colourLines(weft) },
    ...(title === '' ? [] : [{ name: 'TEXT', lines: [['Title', title]] as const }]),
    ...kept.map(({ section, lines }) => ({ name: section, lines })),
  ];
  return formatWif([
    {
      name: 'WIF',
      lines: [
        ['Version', '1.1'],
        ['Date', 'April 20, 1997'],
        ['Source Program', 'Vetro'],
      ],
    },
    { name: 'CONTENTS', lines: body.map(({ name }) => [name, 'true']) },
    ...body,
  ]);
}
