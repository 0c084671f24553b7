import { nameWithin } from '../../colour/free-name.ts';
import { freeKey, MAX_SHADES, SHADE_KEY, type Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { readWif } from '../../formats/wif/read-wif.ts';
import type { Wif, WifThreads } from '../../formats/wif/wif.ts';
import type { Band } from '../../thread/band.ts';
import type { Sequence } from '../../thread/sequence.ts';
import { smallestPeriod } from '../../thread/smallest-period.ts';
import type { Interlacing } from '../../thread/weave.ts';
import { draftFromLifts, draftOf } from '../../thread/weaves/draft.ts';
import type { Draft } from '../../thread/weaves/weave-spec.ts';
import type { Lay, PlaidDesign } from '../design-schema.ts';
import { newPlaid } from '../new-design.ts';
import { densityOf } from './wif-density.ts';
import { keptMeasures, SHADES, unitsIn } from './wif-measures.ts';

/**
 * A new design from a weave file: its colours in runs, its threading, tie-up and treadling as a draft. What the design
 * has no place for is kept.
 *
 * @throws CoreError of `readWif` and of the draft
 */
export function designFromWif(text: string, name: string): PlaidDesign {
  const wif = readWif(text);
  const named = wif.kept.find(({ section }) => section.toUpperCase() === SHADES);
  // A palette may have hundreds of colours: those that threads use, and those that have a name here.
  const namedColours = (named?.lines ?? []).map(([place]) => Number(place) - 1);
  const colours = [
    ...wif.warp.colours,
    ...wif.weft.colours,
    ...namedColours.filter((at) => at in wif.palette),
  ];
  const used = [...new Set(colours)].sort((a, b) => a - b);
  const shades = shadesOf(used, wif.palette, named?.lines ?? []);
  const keyOf = (colour: number) => shades.get(colour)!.key;
  const design = newPlaid({
    name: (wif.title.trim() || name).slice(0, 120),
    shades: [...shades.values()],
    warp: sequenceOf(wif.warp, keyOf),
    weft: sequenceOf(wif.weft, keyOf),
    weave: { kind: 'draft', ...draftFor(wif) },
    lay: layOf(wif),
  });
  return {
    ...design,
    kept: [
      ...wif.kept.filter((each) => each !== named),
      ...keptMeasures('WARP', wif.warp.measures),
      ...keptMeasures('WEFT', wif.weft.measures),
    ].map(({ section, lines }) => ({ section, lines: lines.map(([key, value]) => [key, value]) })),
  };
}

/** Runs of one colour, over the smallest number of threads after which the colours come round. */
function sequenceOf({ colours }: WifThreads, keyOf: (colour: number) => string): Sequence {
  const period = smallestPeriod(Uint16Array.from(colours));
  const bands: Band[] = [];
  for (let from = 0; from < period; ) {
    let to = from + 1;
    while (to < period && colours[to] === colours[from]) to += 1;
    bands.push({ shade: keyOf(colours[from]!), count: to - from });
    from = to;
  }
  return { bands, mirror: 'none' };
}

function shadesOf(
  used: readonly number[],
  palette: readonly string[],
  named: readonly (readonly [string, string])[],
): ReadonlyMap<number, Shade> {
  if (used.length > MAX_SHADES)
    throw new CoreError('shades/too-many', { shades: used.length, most: MAX_SHADES });
  const shades = new Map<number, Shade>();
  const taken = new Set<string>();
  for (const colour of used) {
    const hex = palette[colour]!;
    const [key, ...words] = (named.find(([place]) => place === String(colour + 1))?.[1] ?? '').split(' ');
    const own = key !== undefined && SHADE_KEY.test(key) && !taken.has(key) ? key : freeKey(taken);
    taken.add(own);
    shades.set(colour, { key: own, name: words.join(' ') || nameWithin([...shades.values()], hex), hex });
  }
  return shades;
}

/**
 * Tie-up and treadling as they are, else from the lift plan. Ends on several shafts, or on none, have no place in a
 * draft: what they weave is drafted anew.
 */
function draftFor({ threading, treadles, lifts }: Wif): Draft {
  if (threading.every((shafts) => shafts.length === 1)) {
    const single = threading.map((shafts) => shafts[0]!);
    return treadles === undefined ? draftFromLifts(single, lifts) : { threading: single, ...treadles };
  }
  return draftOf(liftedBy(threading, lifts));
}

/** What ends that hang on any shafts weave: raised where one of their shafts is. A file may have millions of crossings. */
function liftedBy(threading: Wif['threading'], lifts: Wif['lifts']): Interlacing {
  const ends = threading.length;
  const picks = lifts.length;
  const up = new Uint8Array(ends * picks);
  const most = threading.reduce((all, shafts) => shafts.reduce((a, b) => Math.max(a, b), all), 0);
  // For each shaft, the ends on it: a pick raises whole lists.
  const onShaft: number[][] = Array.from({ length: most + 1 }, () => []);
  threading.forEach((shafts, end) => {
    for (const shaft of shafts) onShaft[shaft]!.push(end);
  });
  lifts.forEach((shafts, pick) => {
    for (const shaft of shafts) for (const end of onShaft[shaft] ?? []) up[pick * ends + end] = 1;
  });
  return { ends, picks, up };
}

function layOf({ warp, weft }: Wif): Partial<Lay> {
  if (warp.measures.spacing === undefined) return {};
  const per = warp.measures.unit;
  const density = ({ measures: { spacing, unit } }: WifThreads, usual: string) =>
    spacing === undefined ? usual : densityOf(spacing, unitsIn(unit, per));
  const ends = density(warp, '24');
  return { ends, picks: density(weft, ends), per, unit: per === 'in' ? 'in' : 'mm' };
}
