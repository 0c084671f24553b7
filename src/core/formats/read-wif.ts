import { CoreError } from '../error.ts';
import {
  MAX_WIF_THREADS,
  type Wif,
  type WifKept,
  type WifLines,
  type WifMeasures,
  type WifThreads,
} from './wif.ts';
import { type WifLine, type WifSection, wifSections } from './wif-sections.ts';

/** The keys of each section that are understood; in the others all are, being numbers of threads, or ours to write. */
const KNOWN: ReadonlyMap<string, readonly string[] | 'all'> = new Map(
  Object.entries<readonly string[] | 'all'>({
    wif: 'all',
    contents: 'all',
    'color palette': ['entries', 'form', 'range'],
    'color table': 'all',
    weaving: ['shafts', 'treadles', 'rising shed'],
    warp: ['threads', 'color', 'units', 'spacing', 'thickness'],
    weft: ['threads', 'color', 'units', 'spacing', 'thickness'],
    text: ['title'],
    threading: 'all',
    tieup: 'all',
    treadling: 'all',
    liftplan: 'all',
    'warp colors': 'all',
    'weft colors': 'all',
    'warp spacing': 'all',
    'weft spacing': 'all',
    'warp thickness': 'all',
    'weft thickness': 'all',
  }),
);

/**
 * Reads a weave file, forgivingly; sections beside threading and treadling (or lift plan) may be missing.
 * Source: Weaving Information File, version 1.1, 1997; from memory.
 *
 * @throws CoreError as `wifSections`, "wif/missing" {section}, "wif/value" {section, line, text},
 *         "wif/range" {section, line, value, most}, "wif/contradiction" {section, line, value, other}
 */
export function readWif(text: string): Wif {
  const sections = wifSections(text);
  const at = (name: string) => sections.get(name);
  const shafts = numberOf(at('weaving'), 'shafts', 1, MAX_NUMBERED) ?? highest(at('threading'));
  const ends =
    numberOf(at('warp'), 'threads', 1, MAX_WIF_THREADS) ?? lastIndex(at('threading'), MAX_WIF_THREADS);
  const picksBy = at('liftplan') ?? at('treadling');
  const picks = numberOf(at('weft'), 'threads', 1, MAX_WIF_THREADS) ?? lastIndex(picksBy, MAX_WIF_THREADS);
  const threadingLines = needed(at('threading'), 'THREADING');
  const threading = lists(threadingLines, ends, shafts);
  const plan = at('liftplan');
  const treadleCount = numberOf(at('weaving'), 'treadles', 0, MAX_NUMBERED) ?? highest(at('treadling'));
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
    warp: threadsOf(sections, 'warp', ends, palette.length),
    weft: threadsOf(sections, 'weft', picks, palette.length),
    threading,
    lifts,
    treadles: single ? { tieup: ties, treadling: treadling.map((pressed) => pressed[0]!) } : undefined,
    palette,
    kept: [...sections].flatMap(([name, section]) => keptOf(name, section)),
  };
}

/** The lines of a section that are not understood, as a section of its own. */
function keptOf(name: string, { name: section, lines }: WifSection): readonly WifKept[] {
  const known = KNOWN.get(name);
  if (known === 'all') return [];
  const kept = lines.filter(({ key }) => !(known?.includes(key.toLowerCase()) ?? false));
  if (known !== undefined && kept.length === 0) return [];
  return [{ section, lines: kept.map(({ key, value }) => [key, value] as const) }];
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
  const { name, line: at } = { name: section!.name, line: line.line };
  if (value < least) throw new CoreError('wif/too-small', { section: name, line: at, value, least });
  if (value > most) throw new CoreError('wif/range', { section: name, line: at, value, most });
  return value;
}

/** Most shafts, and most treadles. */
const MAX_NUMBERED = 1000;

/** Largest value of any line; 0 where there are none. @throws CoreError "wif/range" */
function highest(section: WifSection | undefined): number {
  let most = 0;
  for (const { value, line } of section?.lines ?? []) {
    for (const each of wholeNumbers(value)) most = Math.max(most, each);
    if (most > MAX_NUMBERED) {
      throw new CoreError('wif/range', { section: section!.name, line, value: most, most: MAX_NUMBERED });
    }
  }
  return most;
}

/** Largest key that is a number. @throws CoreError "wif/range" beyond what a file may hold */
function lastIndex(section: WifSection | undefined, most: number): number {
  let last = 0;
  for (const { key, line } of section?.lines ?? []) {
    for (const each of wholeNumbers(key)) last = Math.max(last, each);
    if (last > most) {
      throw new CoreError('wif/range', { section: section!.name, line, value: last, most });
    }
  }
  return last;
}

function wholeNumbers(text: string): number[] {
  return [...text.matchAll(/\d{1,9}/g)].map(([digits]) => Number(digits));
}

/** A place that is not written. */
const NONE: readonly number[] = [];

/** For each place from 1 to `count`, its list of numbers 1 … most, 0 standing for none; places that are not written are empty. */
function lists(section: WifSection, count: number, most: number): (readonly number[])[] {
  if (count > MAX_WIF_THREADS)
    throw new CoreError('wif/range', { section: section.name, line: 0, value: count, most: MAX_WIF_THREADS });
  const all: (readonly number[])[] = new Array(count).fill(NONE);
  const ones: (readonly number[] | undefined)[] = [];
  for (const line of section.lines) {
    const place = wholeOf(line.key, 0, line.key.length);
    if (place < 0) throw wrongValue(section, line);
    if (place < 1 || place > count) throw beyond(section, line, count);
    const value = wholeOf(line.value, 0, line.value.length);
    // Nearly all lines name one shaft, treadle or colour: those of one number share their list.
    if (value > 0 && value <= most) {
      ones[value] ??= [value];
      all[place - 1] = ones[value];
    } else all[place - 1] = listOf(section, line, most);
  }
  return all;
}

/** The numbers of one line, parted by commas, without the zeros. */
function listOf(section: WifSection, line: WifLine, most: number): number[] {
  const text = line.value;
  const values: number[] = [];
  for (let from = 0; from <= text.length; ) {
    const comma = text.indexOf(',', from);
    const to = comma === -1 ? text.length : comma;
    const value = wholeOf(text, from, to);
    if (value < 0 && text.slice(from, to).trim() !== '') throw wrongValue(section, line);
    if (value > most)
      throw new CoreError('wif/range', { section: section.name, line: line.line, value, most });
    if (value > 0) values.push(value);
    from = to + 1;
  }
  return values;
}

/** The whole number in a piece of a text, blanks round it left out; −1 where it is none. A file has thousands. */
function wholeOf(text: string, from: number, to: number): number {
  let [first, last] = [from, to];
  while (first < last && text.charCodeAt(first) <= 32) first += 1;
  while (last > first && text.charCodeAt(last - 1) <= 32) last -= 1;
  if (first === last || last - first > 9) return -1;
  let value = 0;
  for (let at = first; at < last; at += 1) {
    const digit = text.charCodeAt(at) - 48;
    if (digit < 0 || digit > 9) return -1;
    value = value * 10 + digit;
  }
  return value;
}

/** Most colours of a table. */
const MAX_COLOURS = 10_000;

/** Colours of the table, their range brought to 0 … 255; black and white where there is none. */
function paletteOf(table: WifSection | undefined, about: WifSection | undefined): string[] {
  if (table === undefined || table.lines.length === 0) return ['#000000', '#ffffff'];
  const [low, high] = rangeOf(about);
  const entries = numberOf(about, 'entries', 1, MAX_COLOURS) ?? lastIndex(table, MAX_COLOURS);
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
      throw beyond(table, line, entries);
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
  sections: ReadonlyMap<string, WifSection>,
  way: 'warp' | 'weft',
  count: number,
  palette: number,
): WifThreads {
  const about = sections.get(way);
  const line = find(about, 'color');
  const usual = way === 'warp' ? 0 : Math.min(1, palette - 1);
  const first = line === undefined ? usual : Number(line.value.split(',')[0]) - 1;
  if (!(first >= 0 && first < palette)) throw wrongValue(about!, line!);
  const colours = sections.get(`${way} colors`);
  const own = colours === undefined ? [] : lists(colours, count, palette);
  return {
    count,
    colours: Array.from({ length: count }, (_, thread) => (own[thread]?.[0] ?? first + 1) - 1),
    measures: measuresOf(sections, way, count),
  };
}

/** Decipoints, of which an inch has 720, become fractions of one. */
function measuresOf(
  sections: ReadonlyMap<string, WifSection>,
  way: 'warp' | 'weft',
  count: number,
): WifMeasures {
  const about = sections.get(way);
  const unit = find(about, 'units')?.value.toLowerCase() ?? 'centimeters';
  const measure = (section: WifSection, line: WifLine) => {
    if (!/^\d*\.?\d+$/.test(line.value) || !(Number(line.value) > 0)) throw wrongValue(section, line);
    return unit === 'decipoints' ? `${line.value}/720` : line.value;
  };
  const one = (key: string) => {
    const line = find(about, key);
    return line === undefined ? undefined : measure(about!, line);
  };
  const single = (name: string): WifLines => {
    const section = sections.get(`${way} ${name}`);
    return (section?.lines ?? []).map((line) => {
      if (!/^\d{1,9}$/.test(line.key)) throw wrongValue(section!, line);
      if (Number(line.key) > count) throw beyond(section!, line, count);
      return [line.key, measure(section!, line)] as const;
    });
  };
  return {
    unit: unit.startsWith('in') || unit === 'decipoints' ? 'in' : 'cm',
    spacing: one('spacing'),
    thickness: one('thickness'),
    spacings: single('spacing'),
    thicknesses: single('thickness'),
  };
}

function beyond({ name }: WifSection, { key, line }: WifLine, other: number): CoreError {
  return new CoreError('wif/contradiction', { section: name, line, value: Number(key), other });
}
