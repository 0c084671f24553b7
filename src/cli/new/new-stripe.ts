import { type Command, Option } from 'commander';
import { cardWith } from '../../core/colour/shade-words.ts';
import { compile } from '../../core/design/compile-design.ts';
import type { StripeDesign } from '../../core/design/design-schema.ts';
import {
  parseBandUnit,
  parseBandWidths,
  parseDirection,
  parseMeasured,
} from '../../core/design/exchange/stripe-text.ts';
import { checkPivots, parseDensityPair, pivotsOf } from '../../core/design/exchange/text-parts.ts';
import { newStripe } from '../../core/design/new-design.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { atAngle } from '../../core/design/stripe/at-angle.ts';
import { STRIPE_STARTS } from '../../core/design/stripe/stripe-starts.ts';
import { CoreError } from '../../core/error.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';
import { type Slope, slopeDegrees } from '../../core/exact/slope.ts';
import { parseShadeList } from '../../core/formats/shade-list.ts';
import { shadeWords } from '../../core/formats/thread-count.ts';
import { linesText, missText } from '../../wording/lines.ts';
import { density } from '../density-option.ts';
import { EXIT, run, tell, writeText } from '../run.ts';

/** `vetro new stripe` and its options. */
export function addNewStripe(make: Command): void {
  make
    .command('stripe')
    .description('bands side by side in exact widths, at any slope')
    .option('--bands <widths>', 'widths of the bands, such as "A12.5 B6" or "A/12 B6 C/4"')
    .addOption(
      new Option('--from <start>', `begin from ${STRIPE_STARTS.map(({ key }) => key).join(', ')}`).conflicts([
        'bands',
        'slope',
        'shades',
      ]),
    )
    .option('--unit <unit>', 'what widths are in: mm, cm, in, pt, px or thread', 'mm')
    .addOption(
      new Option('--slope <slope>', 'down, across, or rise over run such as 7/10').conflicts('angle'),
    )
    .option('--angle <degrees>', 'the slope nearest that angle whose repeat is small')
    .option('--measured <how>', 'across the lines, or along the edge', 'across')
    .option('--clear <letter>', 'a shade whose bands are left clear')
    .option('--shades <list>', 'shades, such as "A=#20304a,B=#c8a24a Signal ochre"')
    .option('--pivots <convention>', 'shared or doubled', 'shared')
    .addOption(density())
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options) => run(() => newStripeCommand(options)));
}

interface NewStripeOptions {
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
function newStripeCommand(options: NewStripeOptions): number {
  const design = options.from === undefined ? fromWidths(options) : changedStripe(options.from, options);
  const turn = options.angle === undefined ? {} : atAngle(design, options.angle);
  const turned = readDesign({ ...design, construction: { ...design.construction, ...turn } });
  compile(turned);
  writeText(options.output, writeDesignText(turned));
  if (options.angle !== undefined)
    tell(takenAngle(options.angle, asKind('stripe', turned).construction.slope));
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
  const start = designFromStart('stripe', from);
  return asKind(
    'stripe',
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
  const shades =
    options.shades === undefined ? cardWith([], shadeWords(options.bands)) : parseShadeList(options.shades);
  const pivots = pivotsOf(options.pivots);
  const bands = parseBandWidths(options.bands, { card: shades, pivots });
  checkPivots([pivots], [bands.mirror]);
  const order = newStripe({
    name: options.name ?? 'Untitled',
    number: options.number ?? '',
    shades,
    ...bands,
    unit: parseBandUnit(options.unit),
    slope: parseDirection(options.slope ?? 'down'),
    measured: parseMeasured(options.measured),
    clear: options.clear?.toUpperCase() ?? null,
    lay: options.density === undefined ? undefined : parseDensityPair(options.density),
    resolution: options.resolution,
  });
  return asKind('stripe', readDesign(order));
}
