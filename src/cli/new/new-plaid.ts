import type { Command } from 'commander';
import { cardWith } from '../../core/colour/shade-words.ts';
import { compile } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { parsePrint, parseTurn } from '../../core/design/exchange/counts-text.ts';
import { checkPivots, parseDensityPair, pivotsOf } from '../../core/design/exchange/text-parts.ts';
import { newPlaid } from '../../core/design/new-design.ts';
import { PLAID_STARTS } from '../../core/design/plaid/plaid-starts.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { CoreError } from '../../core/error.ts';
import { parseShadeList } from '../../core/formats/shade-list.ts';
import { parseThreadCount, shadeWords } from '../../core/formats/thread-count.ts';
import { parseWeave } from '../../core/thread/weaves/weave-text.ts';
import { density } from '../density-option.ts';
import { EXIT, run, writeText } from '../run.ts';
import { parseSeed } from '../seed.ts';

/** `vetro new plaid` and its options. */
export function addNewPlaid(make: Command): void {
  make
    .command('plaid')
    .description('a warp sequence crossed with a weft sequence')
    .option('--warp <counts>', 'thread counts, such as "A/12 B6 C/4"')
    .option('--from <start>', `begin from ${PLAID_STARTS.map(({ key }) => key).join(', ')}`)
    .option('--seed <number>', 'with --from: tells irregular ones apart')
    .option('--weft <counts>', 'thread counts of the weft; left out, it follows the warp')
    .option('--shades <list>', 'shades, such as "A=#20304a,B=#c8a24a Signal ochre"')
    .option('--turn <threads>', 'threads by which a weft that follows begins later')
    .option('--weave <weave>', 'plain, or a twill such as 2/2Z or 3/1S; left out, 2/2Z')
    .option(
      '--print <how>',
      'printed, not woven: a blend, a strength and the stripes on top, such as "multiply 1 weft"',
    )
    .option('--pivots <convention>', 'shared or doubled', 'shared')
    .addOption(density())
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options) => run(() => newPlaidCommand(options)));
}

interface NewPlaidOptions {
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

/** `vetro new plaid`: a design document from thread counts. */
function newPlaidCommand(options: NewPlaidOptions): number {
  writeText(options.output, writeDesignText(plaidFrom(options)));
  return EXIT.fine;
}

/** From counts, or from a start point that counts and other options change. */
function plaidFrom(options: NewPlaidOptions): Design {
  if (options.from === undefined) return fromCounts(options);
  if (options.warp !== undefined) throw new CoreError('start/and-counts', { key: options.from });
  const start = designFromStart(
    'plaid',
    options.from,
    options.seed === undefined ? 0 : parseSeed(options.seed),
  );
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

function fromCounts(options: NewPlaidOptions): Design {
  const pivots = pivotsOf(options.pivots);
  const words = [options.warp, options.weft].flatMap((counts) => shadeWords(counts ?? ''));
  const shades = options.shades === undefined ? cardWith([], words) : parseShadeList(options.shades);
  const read = (text: string) => parseThreadCount(text, { card: shades, pivots });
  if (options.warp === undefined) throw new CoreError('start/nothing');
  const warp = read(options.warp);
  const weft = options.weft === undefined ? undefined : read(options.weft);
  checkPivots([pivots], [warp.mirror, weft?.mirror ?? 'none']);
  const design = readDesign(
    newPlaid({
      name: options.name ?? 'Untitled',
      number: options.number ?? '',
      shades,
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
