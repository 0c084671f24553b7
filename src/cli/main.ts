import { Command, CommanderError, Option } from 'commander';
import { LOOM_PORT } from '../contracts/loom.ts';
import { MIXINGS } from '../core/colour/mixing.ts';
import { START_POINTS } from '../core/design/start-points.ts';
import { STRIPE_STARTS } from '../core/design/stripe-starts.ts';
import { TILING_COLOURS } from '../core/design/tiling/tiling-schema.ts';
import { TILING_STARTS } from '../core/design/tiling-starts.ts';
import { checkCommand } from './check-command.ts';
import { exportCommand, importCommand } from './exchange-commands.ts';
import { factsCommand } from './facts-command.ts';
import { geometryCommand } from './geometry-command.ts';
import { loomCommand } from './loom-command.ts';
import { newPlaidCommand, newStripeCommand, newTilingCommand, newWeaveCommand } from './new-command.ts';
import { renderCommand } from './render-command.ts';
import { EXIT, run } from './run.ts';

const program = new Command('vetro')
  .description('Repeats from exact numbers: make, check and render designs.')
  .exitOverride()
  .configureOutput({
    outputError: (text, write) => write(text.replace(/^error: /, 'vetro: ').replace(/\n(?=.)/g, ' ')),
  });

const density = new Option('--density <threads>', 'threads per inch or cm, such as 24/in or 24 x 22/cm');

const make = program.command('new').description('make a design document');

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
  .addOption(new Option('--slope <slope>', 'down, across, or rise over run such as 7/10').conflicts('angle'))
  .option('--angle <degrees>', 'the slope nearest that angle whose repeat is small')
  .option('--measured <how>', 'across the lines, or along the edge', 'across')
  .option('--clear <letter>', 'a shade whose bands are left clear')
  .option('--shades <list>', 'shades, such as "A=#20304a,B=#c8a24a Signal ochre"')
  .option('--pivots <convention>', 'shared or doubled', 'shared')
  .addOption(density)
  .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
  .option('--name <name>', 'name of the design')
  .option('--number <number>', 'number on its ticket')
  .option('-o, --output <file>', 'design document; left out, it is printed')
  .action((options) => run(() => newStripeCommand(options)));

make
  .command('tiling')
  .description('polygons that cover the plane, in exact sides')
  .option(
    '--config <vertex>',
    'a tiling by regular polygons, by what is round a vertex, such as 4.8.8 or "3.4.6.4 + 4.6.12"',
  )
  .option('--rhombus <ratio>', 'rhombuses whose diagonals are so, such as 3:4')
  .option('--from <start>', `begin from ${TILING_STARTS.map(({ key }) => key).join(', ')}`)
  .option('--dual', 'middles of faces become corners')
  .addOption(new Option('--side <length>', 'length of a side of 1, such as 20mm').conflicts('repeat'))
  .option('--repeat <length>', 'width of one upright repeat')
  .option('--turn <degrees>', 'in steps of 15')
  .option('--stretch <times>', 'what heights are multiplied by, such as 3/4')
  .option('--lean <part>', 'part of its width by which each repeat lies to the right of the one below')
  .option('--level <slope>', 'repeats up/across whose diagonal is made level, such as 1/2')
  .option('--gaps <length>', 'how far every face is taken in')
  .option('--lines <length>', 'lines of that width along all sides')
  .addOption(new Option('--colours <how>', 'which faces are alike').choices(TILING_COLOURS.slice(0, 4)))
  .option('--shades <list>', 'shades, such as "A=#20304a,B=#c8a24a Signal ochre"')
  .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
  .option('--name <name>', 'name of the design')
  .option('--number <number>', 'number on its ticket')
  .option('-o, --output <file>', 'design document; left out, it is printed')
  .action((options) => run(() => newTilingCommand(options)));

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
  .addOption(density)
  .option('--name <name>', 'name of the design')
  .option('-o, --output <file>', 'design document; left out, it is printed')
  .action((options) => run(() => newWeaveCommand(options)));

make
  .command('plaid')
  .description('a warp sequence crossed with a weft sequence')
  .option('--warp <counts>', 'thread counts, such as "A/12 B6 C/4"')
  .option('--from <start>', `begin from ${START_POINTS.map(({ key }) => key).join(', ')}`)
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
  .addOption(density)
  .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
  .option('--name <name>', 'name of the design')
  .option('--number <number>', 'number on its ticket')
  .option('-o, --output <file>', 'design document; left out, it is printed')
  .action((options) => run(() => newPlaidCommand(options)));

program
  .command('check')
  .description('tell whether a design repeats, and why; exit 0 Exact or Fitted, 1 Open')
  .argument('<design>', 'design document, thread-count text or CSV')
  .option('--json', 'print the report as JSON')
  .option('--dpi <dpi>', 'resolution, instead of the design’s own')
  .action((path, options) => run(() => checkCommand(path, options)));

program
  .command('loom')
  .description('start a stand-in for a dobby loom, for trying')
  .option('--port <port>', 'where it listens, on this machine only', String(LOOM_PORT))
  .option('--shafts <number>', 'how many it has', '32')
  .option('--delay <ms>', 'milliseconds that a pick takes', '150')
  .action((options) => run(() => loomCommand(options)));

program
  .command('facts')
  .description('floats, soundness, and what a loom needs, of a woven design')
  .argument('<design>', 'design document, thread-count text or CSV')
  .option('--json', 'print them as JSON')
  .action((path, options) => run(() => factsCommand(path, options)));

program
  .command('render')
  .description('paint one repeat, or a sheet of repeats')
  .argument('<design>', 'design document, thread-count text or CSV')
  .requiredOption('-o, --output <file>', 'picture to write, .png or .svg')
  .addOption(new Option('--per-thread <pixels>', 'whole pixels a thread').conflicts('dpi'))
  .option('--dpi <dpi>', 'pixels per inch at true size')
  .addOption(new Option('--size <size>', 'a sheet of that size, such as 12inx12in').conflicts('repeats'))
  .option('--repeats <count>', 'a sheet of so many repeats, such as 3x2')
  .option('--drawn <look>', 'flat, threads or finished; flat when left out')
  .option('--colourway <name>', 'in the colours of that colourway')
  .addOption(
    new Option('--mixing <how>', 'in a PNG, how colours that share a pixel are mixed')
      .choices(MIXINGS)
      .default('light'),
  )
  .option('--underlap <length>', 'in an SVG, how far faces run under their neighbours')
  .action((path, options) => run(() => renderCommand(path, options)));

program
  .command('geometry')
  .description('the exact faces of a tiling’s repeat')
  .argument('<design>')
  .option('--json', 'as JSON; left out, a summary')
  .option('--csv', 'as a table of corners')
  .action((path, options) => run(() => geometryCommand(path, options)));

program
  .command('import')
  .description(
    'make a design document from thread counts (.txt, .csv) or a weave file (.wif), or bring an older one up to date (.json)',
  )
  .argument('<file>')
  .option('--name <name>', 'name of the design')
  .option('--weave <weave>', 'plain, or a twill such as 2/2Z')
  .addOption(new Option('--density <threads>', density.description))
  .option('-o, --output <file>', 'design document; left out, it is printed')
  .action((path, options) => run(() => importCommand(path, options)));

program
  .command('export')
  .description('write a design’s thread counts')
  .argument('<design>')
  .addOption(
    new Option('--to <kind>', 'kind of file, when no output is named').choices(['txt', 'csv', 'wif', 'json']),
  )
  .option('-o, --output <file>', 'file to write, .txt, .csv, .wif or .json; left out, it is printed')
  .action((path, options) => run(() => exportCommand(path, options)));

try {
  await program.parseAsync();
} catch (error) {
  if (!(error instanceof CommanderError)) throw error;
  process.exitCode = error.exitCode === 0 ? EXIT.fine : EXIT.badInput;
}
