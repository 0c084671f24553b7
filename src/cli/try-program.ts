import { type Command, Option } from 'commander';
import { LETTER_FONT_KEYS } from '../core/shape/letters/letters.ts';
import { run } from './run.ts';
import type { PartWish } from './try-command.ts';

/** An option that may be given again and again. */
const again = (value: string, before: readonly string[] = []) => [...before, value];

/** What is said of parts, by the names of its options. */
const OF_PARTS = ['cloth', 'bare', 'scale', 'count', 'turn', 'shift', 'bend', 'flat', 'shading'] as const;

/** `vetro try`: cloth in use. */
export function addTryCommand(program: Command): void {
  const said: PartWish[] = [{ part: undefined }];
  const command = program.command('try');
  // Options are heard in their order: each is of the part that was named last, those before any of all parts.
  command.on('option:part', (part: string) => said.push({ part }));
  for (const option of OF_PARTS) {
    command.on(`option:${option}`, (value: string | null) => saySoOf(said.at(-1)!, option, value ?? true));
  }
  command
    .description('try a design on: a cushion, a dress, letters, a room; the design stays as it is')
    .argument('[design]', 'design document, thread-count text or CSV')
    .option('-o, --output <file>', 'picture (.png), drawing (.svg) or design document (.json) to write')
    .option('--list', 'name the scenes')
    .option('--scene <scene>', 'what it is tried on; left out, that of the document')
    .option('--set <number=value>', 'a number of the scene, such as width=900mm', again)
    .option('--letters <text>', 'letters to fill, with --scene letters')
    .addOption(new Option('--font <font>', 'of the letters').choices(LETTER_FONT_KEYS))
    .option('--path <file>', 'SVG path data to fill, with --scene path')
    .option(
      '--part <part>',
      'what follows is for that part alone, what stands before for all; may be given again',
      again,
    )
    .option('--cloth <design>', 'another design on the part')
    .option('--bare', 'no cloth on the part')
    .option('--scale <factor>', 'larger or smaller than true size')
    .option('--count <count>', 'so many repeats across the part')
    .option('--turn <degrees>', 'from the part’s grain, counterclockwise')
    .option('--shift <ways>', 'to the right and up, such as "6mm,4mm"')
    .option('--bend <bend>', 'such as "arc 30deg", "folds 7 60mm"; may be given again', again)
    .option('--flat', 'without the scene’s own bends')
    .option('--shading <part>', 'strength of light and shade, 0 to 100%')
    .option('--person <height>', 'a person of that height beside it')
    .option('--from <distance>', 'as it is seen from there, such as 3m')
    .option('--at <scale>', 'scale of the drawing, such as 1:10; true size when left out')
    .option('--dpi <dpi>', 'pixels per inch of the picture', '100')
    .option('--alone', 'the cloth alone, without lines and paper')
    .option('--colourway <name>', 'in the colours of that colourway')
    .action((path, options) =>
      run(async () => (await import('./try-command.ts')).tryCommand(path, { ...options, said })),
    );
}

/** Adds what is said of a part. */
function saySoOf(wish: PartWish, option: (typeof OF_PARTS)[number], value: string | true): void {
  if (option === 'bend') wish.bend = [...(wish.bend ?? []), value as string];
  else Object.assign(wish, { [option]: value });
}
