import { type Command, Option } from 'commander';
import { START_POINTS } from '../core/design/start-points.ts';
import { STRIPE_STARTS } from '../core/design/stripe-starts.ts';
import { TILING_COLOURS } from '../core/design/tiling/tiling-schema.ts';
import { TILING_STARTS } from '../core/design/tiling-starts.ts';
import { density } from './density-option.ts';
import { newPlaidCommand, newStripeCommand, newTilingCommand, newWeaveCommand } from './new-command.ts';
import { run } from './run.ts';

/** The commands below `vetro new`: their help names every start point, so they are loaded only when they are asked for. */
export function addNewCommands(make: Command): void {
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
    .addOption(density())
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
    .addOption(density())
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options) => run(() => newPlaidCommand(options)));
}
