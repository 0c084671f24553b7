import { Command, CommanderError, Option } from 'commander';
import { LOOM_PORT } from '../contracts/loom-port.ts';
import { PRINT_HOUSE_PORT } from '../contracts/print-house-port.ts';
import { USUAL_SUBSTRATE } from '../core/print/substrate.ts';
import { density } from './density-option.ts';
import { EXIT, run } from './run.ts';
import { addShelfCommands } from './shelf-program.ts';
import { addTryCommand } from './try-program.ts';

/** Options that each say how boxes are set side by side; a design takes one of them. */
const ARRANGEMENTS = ['straight', 'halfDrop', 'brick', 'mirror', 'flip', 'group', 'vectors'] as const;
const othersThan = (own: (typeof ARRANGEMENTS)[number]) => ARRANGEMENTS.filter((each) => each !== own);

/**
 * Runs the command that arguments say; what it answers goes to the outputs and the exit code of this process.
 * @param args  behind the program's name
 */
export async function vetro(args: readonly string[]): Promise<void> {
  // What a command needs is loaded when it runs: help and mistakes are answered at once.
  const program = new Command('vetro')
    .description('Repeats from exact numbers: make, check and render designs.')
    .exitOverride()
    .configureOutput({
      outputError: (text, write) => write(text.replace(/^error: /, 'vetro: ').replace(/\n(?=.)/g, ' ')),
    });

  const make = program.command('new').description('make a design document');
  if (args[0] === 'new') (await import('./new/new-program.ts')).addNewCommands(make);

  program
    .command('check')
    .description('tell whether a design repeats, and why; exit 0 Exact or Fitted, 1 Open')
    .argument('<design>', 'design document, thread-count text or CSV')
    .option('--json', 'print the report as JSON')
    .option('--dpi <dpi>', 'resolution, instead of the design’s own')
    .action((path, options) =>
      run(async () => (await import('./check-command.ts')).checkCommand(path, options)),
    );

  program
    .command('loom')
    .description('start a stand-in for a dobby loom, for trying')
    .option('--port <port>', 'where it listens, on this machine only', String(LOOM_PORT))
    .option('--shafts <number>', 'how many it has', '32')
    .option('--delay <ms>', 'milliseconds that a pick takes', '150')
    .action((options) => run(async () => (await import('./loom-command.ts')).loomCommand(options)));

  program
    .command('passphrase')
    .description('set the passphrase that Vetro asks for when HOST lets other machines reach it')
    .action(() => run(async () => (await import('./passphrase-command.ts')).passphraseCommand()));

  addShelfCommands(program);

  program
    .command('facts')
    .description('floats, soundness, and what a loom needs, of a woven design')
    .argument('<design>', 'design document, thread-count text or CSV')
    .option('--json', 'print them as JSON')
    .action((path, options) =>
      run(async () => (await import('./facts-command.ts')).factsCommand(path, options)),
    );

  program
    .command('render')
    .description('paint one repeat, or a sheet of repeats')
    .argument('<design>', 'design document, thread-count text or CSV')
    .requiredOption('-o, --output <file>', 'file to write: .png, .jpg, .tif, .webp, .svg or .pdf')
    .addOption(new Option('--per-thread <pixels>', 'whole pixels a thread').conflicts('dpi'))
    .option('--dpi <dpi>', 'pixels per inch at true size')
    .addOption(new Option('--size <size>', 'a sheet of that size, such as 12inx12in').conflicts('repeats'))
    .option('--repeats <count>', 'a sheet of so many repeats, such as 3x2')
    .option('--true-scale', 'every repeat of a sheet at its true place; else each is whole pixels')
    .option('--drawn <look>', 'flat, threads or finished; flat when left out')
    .option('--colourway <name>', 'in the colours of that colourway')
    .addOption(
      new Option('--mixing <how>', 'in a PNG, how colours that share a pixel are mixed')
        .choices(['light', 'bytes'])
        .default('light'),
    )
    .option('--underlap <length>', 'in an SVG, how far faces run under their neighbours')
    .option('--shrink <parts>', 'made larger by what warp and weft will shrink, such as 4%,2%')
    .option('--quality <number>', 'of a JPEG or WebP, from 1 to 100; 90 when left out')
    .addOption(new Option('--chroma <detail>', 'colour detail of a JPEG').choices(['full', 'half']))
    .addOption(new Option('--compression <how>', 'of a TIFF').choices(['lzw', 'deflate']))
    .option('--no-profile', 'leave out the sRGB profile of a JPEG, TIFF or WebP')
    .option('--paper <paper>', 'of a PDF: A3, "A4 landscape", 12inx18in; left out, as large as the cloth')
    .option('--bleed <length>', 'how far a PDF’s cloth goes on beyond where it is cut, such as 3mm')
    .option('--marks', 'crop marks in a PDF')
    .option(
      '--overlap <length>',
      'what pages that are put together lie over each other by; 10mm when left out',
    )
    .option('--no-ticket', 'leave out a PDF’s page with its measures and shades')
    .option('--flatten', 'an SVG whose repeat is a picture, for programs without blend modes')
    .action((path, options) =>
      run(async () => (await import('./render-command.ts')).renderCommand(path, options)),
    );

  program
    .command('print-house')
    .description('start a stand-in for a print house, for trying')
    .option('--port <port>', 'where it listens, on this machine only', String(PRINT_HOUSE_PORT))
    .option('--folder <folder>', 'where it keeps its orders', 'data/print-house')
    .option('--speed <mm>', 'millimetres of cloth that it prints in a second', '50')
    .action((options) =>
      run(async () => (await import('./print/print-house-command.ts')).printHouseCommand(options)),
    );

  program
    .command('order')
    .description('have a design printed by a print house, and follow it to its end')
    .argument('<design>', 'design document, thread-count text or CSV')
    .option('-o, --output <file>', 'where the picture of a strike-off goes; left out, a run is ordered')
    .option('--substrate <cloth>', 'cotton-lawn, cotton-canvas, linen or silk-twill', USUAL_SUBSTRATE)
    .option('--length <length>', 'of cloth that is printed', '500mm')
    .option('--dpi <dpi>', 'of the file that is sent', '150')
    .option('--mark <words>', 'tells the same order, given again on purpose, from the first', '')
    .option('--house <address>', 'of the print house', `http://127.0.0.1:${PRINT_HOUSE_PORT}`)
    .option('--patience <seconds>', 'how long to wait for a house that does not answer', '60')
    .action((path, options) =>
      run(async () => (await import('./print/order-command.ts')).orderCommand(path, options)),
    );

  program
    .command('strike-off')
    .description('a picture of the print as it would come out on a cloth, and what becomes of each shade')
    .argument('<design>', 'design document, thread-count text or CSV')
    .requiredOption('-o, --output <file>', 'PNG to write')
    .option('--substrate <cloth>', 'cotton-lawn, cotton-canvas, linen or silk-twill', USUAL_SUBSTRATE)
    .option('--size <size>', 'of the piece', '200mm')
    .option('--dpi <dpi>', 'pixels per inch', '200')
    .option('--washed', 'as it is when the cloth has shrunk')
    .action((path, options) =>
      run(async () => (await import('./print/strike-off-command.ts')).strikeOffCommand(path, options)),
    );

  program
    .command('pack')
    .description('all that a customer needs of a design: tile, sheet, ticket, shades, colourways, in a zip')
    .argument('<design>', 'design document, thread-count text or CSV')
    .requiredOption('-o, --output <file>', 'zip to write')
    .addOption(new Option('--size <size>', 'with a sheet of that size').conflicts('repeats'))
    .option('--repeats <count>', 'with a sheet of so many repeats')
    .option('--dpi <dpi>', 'pixels per inch at true size')
    .option('--words <words>', 'what the page to read says first')
    .action((path, options) =>
      run(async () => (await import('./pack-command.ts')).packCommand(path, options)),
    );

  program
    .command('collect')
    .description('designs on pages at one scale, each with its name, number, repeat and shades, as PDF')
    .argument('<designs...>', 'design documents')
    .requiredOption('-o, --output <file>', 'PDF to write')
    .option('--title <words>', 'what stands above them; the file’s name when left out')
    .option('--scale <part>', 'part of true size', '50%')
    .action((paths, options) =>
      run(async () => (await import('./collect-command.ts')).collectCommand(paths, options)),
    );

  program
    .command('lay')
    .description('lay a design another way: side by side, larger or smaller, on a slope')
    .argument('<design>', 'design document, thread-count text or CSV')
    .addOption(new Option('--straight', 'side by side as it was built'))
    .addOption(
      new Option('--half-drop <part>', 'each column higher by a part, such as 1/2').conflicts(
        othersThan('halfDrop'),
      ),
    )
    .addOption(
      new Option('--brick <part>', 'each row further right by a part, such as 1/3').conflicts(
        othersThan('brick'),
      ),
    )
    .addOption(
      new Option('--mirror <way>', 'mirrored')
        .choices(['across', 'down', 'both'])
        .conflicts(othersThan('mirror')),
    )
    .addOption(
      new Option('--flip <what>', 'every second row or column mirrored')
        .choices(['rows', 'columns'])
        .conflicts(othersThan('flip')),
    )
    .addOption(
      new Option('--group <symbol>', 'copied by a plane group, such as p4gm').conflicts(othersThan('group')),
    )
    .addOption(new Option('--way <way>', 'mirrors and rows of a group').choices(['across', 'up']))
    .addOption(
      new Option('--vectors <ways>', 'two ways, such as "3,1 0,4": steps, threads or repeats').conflicts(
        othersThan('vectors'),
      ),
    )
    .addOption(
      new Option('--pivots <how>', 'threads on a mirror stand once, or beside themselves').choices([
        'shared',
        'doubled',
      ]),
    )
    .addOption(new Option('--scale <factor>', 'such as 30% or 1/3').conflicts(['width', 'count']))
    .addOption(new Option('--width <length>', 'one repeat so wide').conflicts(['scale', 'count']))
    .addOption(
      new Option('--count <count>', 'so many repeats in a length, such as "5 in 1m"').conflicts([
        'scale',
        'width',
      ]),
    )
    .option('--no-lines', 'lines and outlines keep their width when it is scaled')
    .addOption(new Option('--slope <slope>', 'turned by a slope, such as 7/10').conflicts('turn'))
    .addOption(new Option('--turn <degrees>', 'turned by the nearest angle that repeats').conflicts('slope'))
    .option('--list', 'print every lay with its repeat, and the turns near the angle, and make nothing')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((path, options) => run(async () => (await import('./lay-command.ts')).layCommand(path, options)));

  addTryCommand(program);

  program
    .command('geometry')
    .description('the exact faces of a tiling’s repeat')
    .argument('<design>')
    .addOption(new Option('--json', 'as JSON; left out, a summary').conflicts('csv'))
    .option('--csv', 'as a table of corners')
    .action((path, options) =>
      run(async () => (await import('./geometry-command.ts')).geometryCommand(path, options)),
    );

  program
    .command('import')
    .description(
      'make a design document from thread counts (.txt, .csv) or a weave file (.wif), or bring an older one up to date (.json)',
    )
    .argument('<file>')
    .option('--name <name>', 'name of the design')
    .option('--weave <weave>', 'plain, or a twill such as 2/2Z')
    .addOption(density())
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((path, options) =>
      run(async () => (await import('./exchange-commands.ts')).importCommand(path, options)),
    );

  program
    .command('export')
    .description('write a design’s thread counts')
    .argument('<design>')
    .addOption(
      new Option('--to <kind>', 'kind of file, when no output is named').choices([
        'txt',
        'csv',
        'wif',
        'json',
      ]),
    )
    .option('-o, --output <file>', 'file to write, .txt, .csv, .wif or .json; left out, it is printed')
    .action((path, options) =>
      run(async () => (await import('./exchange-commands.ts')).exportCommand(path, options)),
    );

  try {
    await program.parseAsync(args, { from: 'user' });
  } catch (error) {
    if (!(error instanceof CommanderError)) throw error;
    process.exitCode = error.exitCode === 0 ? EXIT.fine : EXIT.badInput;
  }
}
