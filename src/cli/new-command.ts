import { compile } from '../core/design/compile-design.ts';
import { asStripe, type Design, type StripeDesign } from '../core/design/design-schema.ts';
import { parsePrint, parseTurn } from '../core/design/exchange/counts-text.ts';
import {
  parseBandUnit,
  parseBandWidths,
  parseDirection,
  parseMeasured,
} from '../core/design/exchange/stripe-text.ts';
import {
  checkPivots,
  parseDensityPair,
  pivotsOf,
  starterShades,
} from '../core/design/exchange/text-parts.ts';
import { newPlaid, newStripe } from '../core/design/new-design.ts';
import { readDesign, writeDesignText } from '../core/design/read-design.ts';
import { designFromStart } from '../core/design/start-points.ts';
import { atAngle } from '../core/design/stripe/at-angle.ts';
import { readDegrees } from '../core/design/stripe/stripe-schema.ts';
import { stripeFromStart } from '../core/design/stripe-starts.ts';
import { parseProportion, parseSize } from '../core/design/tiling/tiling-schema.ts';
import { tilingFromStart } from '../core/design/tiling-starts.ts';
import { CoreError } from '../core/error.ts';
import { toNumber } from '../core/exact/rational.ts';
import { type Slope, slopeDegrees } from '../core/exact/slope.ts';
import { parseShadeList } from '../core/formats/shade-list.ts';
import { parseThreadCount } from '../core/formats/thread-count.ts';
import { buildWeave } from '../core/thread/weaves/build-weave.ts';
import type { WeaveSpec } from '../core/thread/weaves/weave-spec.ts';
import { parseWeave, weaveName } from '../core/thread/weaves/weave-text.ts';
import { linesText, missText } from '../wording/lines.ts';
import { readText } from './read-design-file.ts';
import { EXIT, tell, writeText } from './run.ts';

export interface NewPlaidOptions {
  readonly name?: string;
  readonly number?: string;
  readonly from?: string;
  readonly seed?: string;
  readonly warp?: string;
  readonly weft?: string;
  readonly shades?: string;
  readonly turn?: string;
  readonly weave?: string;
  readonly print?: string;
  readonly pivots: string;
  readonly density?: string;
  readonly resolution?: string;
  readonly output?: string;
}

export interface NewStripeOptions {
  readonly name?: string;
  readonly number?: string;
  readonly bands?: string;
  readonly from?: string;
  readonly shades?: string;
  readonly unit: string;
  readonly slope?: string;
  readonly angle?: string;
  readonly measured: string;
  readonly clear?: string;
  readonly pivots: string;
  readonly density?: string;
  readonly resolution?: string;
  readonly output?: string;
}

/** `vetro new stripe`: a design document from band widths. */
export function newStripeCommand(options: NewStripeOptions): number {
  const design = options.from === undefined ? fromWidths(options) : changedStripe(options.from, options);
  const turn = options.angle === undefined ? {} : atAngle(design, options.angle);
  const turned = readDesign({ ...design, construction: { ...design.construction, ...turn } });
  compile(turned);
  writeText(options.output, writeDesignText(turned));
  if (options.angle !== undefined) tell(takenAngle(options.angle, asStripe(turned).construction.slope));
  return EXIT.fine;
}

/** An angle seldom repeats as it was asked for: which one was taken for it, and by how much it misses. */
function takenAngle(asked: string, slope: Slope): string {
  const degrees = slopeDegrees(slope);
  const miss = degrees - toNumber(readDegrees(asked));
  return `Asked for ${asked.trim()}°: taken ${linesText(slope)} (${missText(miss)}).`;
}

/** A start point under another name, number or resolution. */
function changedStripe(from: string, { name, number, resolution }: NewStripeOptions): StripeDesign {
  const start = stripeFromStart(from);
  return asStripe(
    readDesign({
      ...start,
      name: name ?? start.name,
      number: number ?? start.number,
      resolution: resolution ?? start.resolution,
    }),
  );
}

function fromWidths(options: NewStripeOptions): StripeDesign {
  if (options.bands === undefined) throw new CoreError('start/no-bands');
  const shades = options.shades === undefined ? undefined : parseShadeList(options.shades);
  const keys = shades?.map(({ key }) => key);
  const pivots = pivotsOf(options.pivots);
  const bands = parseBandWidths(options.bands, { keys, pivots });
  checkPivots([pivots], [bands.mirror]);
  const order = newStripe({
    name: options.name ?? 'Untitled',
    number: options.number ?? '',
    shades: shades ?? starterShades(bands.bands.map(({ shade }) => shade)),
    ...bands,
    unit: parseBandUnit(options.unit),
    slope: parseDirection(options.slope ?? 'down'),
    measured: parseMeasured(options.measured),
    clear: options.clear?.toUpperCase() ?? null,
    lay: options.density === undefined ? undefined : parseDensityPair(options.density),
    resolution: options.resolution,
  });
  return asStripe(readDesign(order));
}

/** `vetro new plaid`: a design document from thread counts. */
export function newPlaidCommand(options: NewPlaidOptions): number {
  writeText(options.output, writeDesignText(plaidFrom(options)));
  return EXIT.fine;
}

/** From counts, or from a start point that counts and other options change. */
function plaidFrom(options: NewPlaidOptions): Design {
  if (options.from === undefined) return fromCounts(options);
  if (options.warp !== undefined) throw new CoreError('start/and-counts', { key: options.from });
  const start = designFromStart(options.from, options.seed === undefined ? 0 : parseSeed(options.seed));
  const { name, number, weave, print, density, resolution } = options;
  const { construction, lay } = start;
  const changed = readDesign({
    ...start,
    name: name ?? start.name,
    number: number ?? start.number,
    resolution: resolution ?? start.resolution,
    construction: {
      ...construction,
      ...(weave === undefined ? {} : { crossing: 'woven', weave: parseWeave(weave) }),
      ...(print === undefined ? {} : { crossing: 'printed', print: parsePrint(print) }),
    },
    lay: density === undefined ? lay : { ...lay, ...parseDensityPair(density) },
  });
  compile(changed);
  return changed;
}

function parseSeed(text: string): number {
  if (!/^\d{1,9}$/.test(text)) throw new CoreError('start/seed', { text });
  return Number(text);
}

function fromCounts(options: NewPlaidOptions): Design {
  const pivots = pivotsOf(options.pivots);
  const listed = options.shades === undefined ? undefined : parseShadeList(options.shades);
  const read = (text: string) => parseThreadCount(text, { keys: listed?.map(({ key }) => key), pivots });
  if (options.warp === undefined) throw new CoreError('start/nothing');
  const warp = read(options.warp);
  const weft = options.weft === undefined ? undefined : read(options.weft);
  checkPivots([pivots], [warp.mirror, weft?.mirror ?? 'none']);
  const letters = [...warp.bands, ...(weft?.bands ?? [])].map(({ shade }) => shade);
  const design = readDesign(
    newPlaid({
      name: options.name ?? 'Untitled',
      number: options.number ?? '',
      shades: listed ?? starterShades(letters),
      warp,
      weft,
      turn: options.turn === undefined ? 0 : parseTurn(options.turn),
      weave: parseWeave(options.weave ?? '2/2Z'),
      print: options.print === undefined ? undefined : parsePrint(options.print),
      lay: parseDensityPair(options.density ?? '24/in'),
      resolution: options.resolution,
    }),
  );
  compile(design);
  return design;
}

export interface NewWeaveOptions {
  readonly name?: string;
  readonly weave?: string;
  readonly twill?: string;
  readonly z?: boolean;
  readonly s?: boolean;
  readonly satin?: string;
  readonly matrix?: string;
  readonly shades?: string;
  readonly density?: string;
  readonly output?: string;
}

/** `vetro new weave`: a design document from a structure. */
export function newWeaveCommand(options: NewWeaveOptions): number {
  const weave = weaveOf(options);
  const { ends, picks } = buildWeave(weave);
  const shades = options.shades === undefined ? starterShades(['A', 'B']) : parseShadeList(options.shades);
  const [warp, weft] = [shades[0]!.key, (shades[1] ?? shades[0]!).key];
  const design = readDesign(
    newPlaid({
      name: options.name ?? weaveName(weave),
      shades,
      warp: { bands: [{ shade: warp, count: ends }], mirror: 'none' },
      weft: { bands: [{ shade: weft, count: picks }], mirror: 'none' },
      weave,
      lay: parseDensityPair(options.density ?? '24/in'),
    }),
  );
  writeText(options.output, writeDesignText(design));
  return EXIT.fine;
}

/** The one way of saying a structure that was used. */
function weaveOf({ weave, twill, s, satin, matrix }: NewWeaveOptions): WeaveSpec {
  const said = [weave, twill, satin, matrix].filter((each) => each !== undefined);
  if (said.length !== 1) throw new CoreError('start/weave', { ways: said.length });
  if (twill !== undefined) return parseWeave(`${twill} ${s === true ? 'S' : 'Z'}`);
  if (satin !== undefined) return parseWeave(`satin ${satin}`);
  return parseWeave(matrix === undefined ? weave! : `rows ${readText(matrix)}`);
}

export interface NewTilingOptions {
  readonly name?: string;
  readonly number?: string;
  readonly config?: string;
  readonly from?: string;
  readonly rhombus?: string;
  readonly dual?: boolean;
  readonly side?: string;
  readonly repeat?: string;
  readonly turn?: string;
  readonly stretch?: string;
  readonly lean?: string;
  readonly level?: string;
  readonly gaps?: string;
  readonly lines?: string;
  readonly colours?: string;
  readonly shades?: string;
  readonly resolution?: string;
  readonly output?: string;
}

/** `vetro new tiling`: a design document from a tiling and the length of its sides. */
export function newTilingCommand(options: NewTilingOptions): number {
  const { config, from, rhombus, side, repeat, turn, colours, name, number, resolution } = options;
  const { stretch, lean, level, gaps, lines } = options;
  const said = [config, from, rhombus].filter((each) => each !== undefined);
  if (said.length !== 1) throw new CoreError('start/tiling', { ways: said.length });
  const start = tilingFromStart(config ?? from ?? 'diamonds');
  const shades = options.shades === undefined ? start.shades : parseShadeList(options.shades);
  parseSize(side ?? repeat ?? start.construction.size);
  // What lies over the faces takes the last shade.
  const over = shades.at(-1)!.key;
  const design = readDesign({
    ...start,
    name: name ?? start.name,
    number: number ?? start.number,
    resolution: resolution ?? start.resolution,
    shades,
    construction: {
      ...start.construction,
      ...(rhombus === undefined ? {} : { form: rhombusOf(rhombus) }),
      ...(options.dual === true ? { dual: true } : {}),
      ...(side === undefined ? {} : { size: side, measured: 'side' }),
      ...(repeat === undefined ? {} : { size: repeat, measured: 'repeat' }),
      ...(turn === undefined ? {} : { turn: parseTurned(turn) }),
      ...(colours === undefined ? {} : { colours: { by: colours } }),
      ...(stretch === undefined ? {} : { stretch }),
      ...(lean === undefined ? {} : { shear: lean }),
      ...(level === undefined ? {} : { diagonal: level }),
      ...(gaps === undefined ? {} : { gaps: { by: gaps, corner: '0', shade: over } }),
      ...(lines === undefined ? {} : { lines: [{ ...SIDE_LINES, width: lines, shade: over }] }),
      faces: shades.map(({ key }) => key),
    },
  });
  compile(design);
  writeText(options.output, writeDesignText(design));
  return EXIT.fine;
}

/** Lines along all sides, whole and round at their ends. */
const SIDE_LINES = { what: 'sides', of: null, ends: 'round', dashes: null, skip: 1 } as const;

function rhombusOf(text: string): { kind: 'rhombus'; across: string; up: string } {
  const [across = '', up = '1'] = text.split(':');
  parseProportion(across);
  parseProportion(up);
  return { kind: 'rhombus', across: across.trim(), up: up.trim() };
}

/** Steps of 15° in a number of degrees. */
function parseTurned(text: string): number {
  const degrees = Number(text);
  if (!/^\d{1,3}$/.test(text) || degrees % 15 !== 0 || degrees >= 360)
    throw new CoreError('tiling/degrees', { text });
  return degrees / 15;
}
