import type { Command } from 'commander';
import { compile } from '../../core/design/compile-design.ts';
import type { Motif } from '../../core/design/motif/motif-schema.ts';
import { MOTIF_STARTS } from '../../core/design/motif/motif-starts.ts';
import { parseBreaks } from '../../core/design/motif/straps/knot-panel.ts';
import { knotOrder } from '../../core/design/motif/straps/strap-starts.ts';
import { motifFromText } from '../../core/design/motif/text/motif-from-text.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { CoreError } from '../../core/error.ts';
import { readText } from '../read-design-file.ts';
import { EXIT, run, writeText } from '../run.ts';
import { parseSeed } from '../seed.ts';

interface NewMotifOptions {
  readonly from: string;
  readonly text?: string;
  readonly step?: string;
  readonly box?: string;
  readonly seed?: string;
  readonly grid?: string;
  readonly breaks?: string;
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
    .option('--grid <cells>', 'with knot-panel: columns and rows of its grid, such as 5x4')
    .option(
      '--breaks <list>',
      'with knot-panel: crossings that are walls, in half cells, such as "3,2| 4,5-"',
    )
    .option('--seed <number>', 'tells irregular ones apart')
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options: NewMotifOptions) => run(() => newMotifCommand(options)));
}

function newMotifCommand(options: NewMotifOptions): number {
  const { from, text, step, box, seed, grid, breaks, output, ...change } = options;
  const start =
    text === undefined
      ? designFromStart('motif', from, seed === undefined ? 0 : parseSeed(seed))
      : motifFromText(readText(text));
  const design = readDesign({
    ...start,
    ...change,
    construction: {
      ...start.construction,
      ...(grid === undefined ? {} : knotOf(grid, breaks ?? '')),
      ...(step === undefined ? {} : { step }),
      ...(box === undefined ? {} : { box: parseBox(box) }),
    },
  });
  compile(design);
  writeText(output, writeDesignText(design));
  return EXIT.fine;
}

/** A knot panel of another size. @throws CoreError as `parseBreaks`, `knotStrands`; "motif/box" {text} */
function knotOf(grid: string, breaks: string): Pick<Motif, 'box' | 'pieces'> {
  const { width, height } = parseBox(grid);
  const panel = { columns: Number(width), rows: Number(height), breaks: parseBreaks(breaks) };
  const { box, pieces } = knotOrder(panel);
  return { box, pieces: [...pieces] };
}

/** @throws CoreError "motif/box" {text} */
function parseBox(text: string): { readonly width: string; readonly height: string } {
  const [width = '', height = '', ...others] = text.split(/x|×/i).map((side) => side.trim());
  if (width === '' || height === '' || others.length > 0) throw new CoreError('motif/box', { text });
  return { width, height };
}
