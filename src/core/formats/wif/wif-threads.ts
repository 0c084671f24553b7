import type { WifLines, WifMeasures, WifThreads } from './wif.ts';
import type { WifLine, WifSection } from './wif-sections.ts';
import { beyond, find, lists, wrongValue } from './wif-values.ts';

/** The colours and measures of one direction's threads. */
export function threadsOf(
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
