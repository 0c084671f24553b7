import type { Command } from 'commander';
import { cardWith } from '../../core/colour/shade-words.ts';
import { parseDensityPair } from '../../core/design/exchange/text-parts.ts';
import { newPlaid } from '../../core/design/new-design.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { CoreError } from '../../core/error.ts';
import { parseShadeList } from '../../core/formats/shade-list.ts';
import { buildWeave } from '../../core/thread/weaves/build-weave.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { parseWeave, weaveName } from '../../core/thread/weaves/weave-text.ts';
import { density } from '../density-option.ts';
import { readText } from '../read-design-file.ts';
import { EXIT, run, writeText } from '../run.ts';

/** `vetro new weave` and its options. */
export function addNewWeave(make: Command): void {
  make
    .command('weave')
    .description('a structure in one shade of warp and one of weft')
    .option('--weave <weave>', 'any weave, such as "herringbone 2/2 8"')
    .option('--twill <line>', 'overs and unders, such as 2/2 or 3/1/1/2')
    .option('--z', 'with --twill: climbing to the right (the usual)')
    .option('--s', 'with --twill: climbing to the left')
    .option('--satin <ends/step>', 'such as 8/3')
    .option('--matrix <file>', 'rows of # and . (or 1 and 0), the first pick last')
    .option('--shades <list>', 'two shades, warp and weft')
    .addOption(density())
    .option('--name <name>', 'name of the design')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options) => run(() => newWeaveCommand(options)));
}

interface NewWeaveOptions {
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
function newWeaveCommand(options: NewWeaveOptions): number {
  const weave = weaveOf(options);
  const { ends, picks } = buildWeave(weave);
  const shades = options.shades === undefined ? cardWith([], ['G', 'C']) : parseShadeList(options.shades);
  const warp = shades[0]!.key;
  const weft = (shades[1] ?? shades[0]!).key;
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
