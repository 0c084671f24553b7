import type { WifSection } from './wif-sections.ts';
import { beyond, find, lastIndex, numberOf, wrongValue } from './wif-values.ts';

/** Most colours of a table. */
const MAX_COLOURS = 10_000;

/** Colours of the table, their range brought to 0 … 255; black and white where there is none. */
export function paletteOf(table: WifSection | undefined, about: WifSection | undefined): string[] {
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
