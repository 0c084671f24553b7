import { MAX_WIF_THREADS, type Wif, type WifKept } from './wif.ts';
import { paletteOf } from './wif-palette.ts';
import { type WifSection, wifSections } from './wif-sections.ts';
import { threadsOf } from './wif-threads.ts';
import { flag, highest, lastIndex, lists, MAX_NUMBERED, needed, numberOf } from './wif-values.ts';

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
