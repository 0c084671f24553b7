import type { Command } from 'commander';
import { compile } from '../core/design/compile-design.ts';
import { MOTIF_STARTS } from '../core/design/motif/motif-starts.ts';
import { motifFromText } from '../core/design/motif/text/motif-from-text.ts';
import { readDesign, writeDesignText } from '../core/design/read-design.ts';
import { designFromStart } from '../core/design/starts.ts';
import { CoreError } from '../core/error.ts';
import { readText } from './read-design-file.ts';
import { EXIT, run, writeText } from './run.ts';
import { parseSeed } from './seed.ts';

interface NewMotifOptions {
  readonly from: string;
  readonly text?: string;
  readonly step?: string;
  readonly box?: string;
  readonly seed?: string;
  readonly name?: string;
  readonly number?: string;
  readonly resolution?: string;
  readonly output?: string;
}

/** `vetro new motif` and its options. */
export function addNewMotif(make: Command): void {
  const keys = MOTIF_STARTS.map(({ key }) => key);
  make
    .command('motif')
    .description('pieces on a grid, in a box that comes again and again')
    .option('--from <start>', `begin from ${keys.join(', ')}`, keys[0]!)
    .option('--text <file>', 'read the pieces from a text, one piece a line; - reads standard input')
    .option('--step <length>', 'length of a step of the grid, such as 5mm')
    .option('--box <size>', 'steps across and up, such as 8x4')
    .option('--seed <number>', 'tells irregular ones apart')
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options: NewMotifOptions) => run(() => newMotifCommand(options)));
}

function newMotifCommand({ from, text, step, box, seed, output, ...change }: NewMotifOptions): number {
  const start =
    text === undefined
      ? designFromStart('motif', from, seed === undefined ? 0 : parseSeed(seed))
      : motifFromText(readText(text));
  const design = readDesign({
    ...start,
    ...change,
    construction: {
      ...start.construction,
      ...(step === undefined ? {} : { step }),
      ...(box === undefined ? {} : { box: parseBox(box) }),
    },
  });
  compile(design);
  writeText(output, writeDesignText(design));
  return EXIT.fine;
}

/** @throws CoreError "motif/box" {text} */
function parseBox(text: string): { readonly width: string; readonly height: string } {
  const [width = '', height = '', ...others] = text.split(/x|×/i).map((side) => side.trim());
  if (width === '' || height === '' || others.length > 0) throw new CoreError('motif/box', { text });
  return { width, height };
}
