import type { Command } from 'commander';
import { compile } from '../../core/design/compile-design.ts';
import type { ByKind } from '../../core/design/constructions.ts';
import { readDesign, writeDesignText } from '../../core/design/read-design.ts';
import { designFromStart, startsOf } from '../../core/design/starts.ts';
import { WORDS } from '../../wording/construction-words.ts';
import { EXIT, run, writeText } from '../run.ts';
import { parseSeed } from '../seed.ts';

interface NewFromStartOptions {
  readonly from?: string;
  readonly seed?: string;
  readonly name?: string;
  readonly number?: string;
  readonly resolution?: string;
  readonly output?: string;
}

/** `vetro new` of any construction: a start point under another name, number or resolution. */
export function addNewFromStart(make: Command, kind: keyof ByKind): void {
  const keys = startsOf(kind).map(({ key }) => key);
  make
    .command(kind)
    .description(WORDS[kind].begun)
    .option('--from <start>', `begin from ${keys.join(', ')}`, keys[0]!)
    .option('--seed <number>', 'tells irregular ones apart')
    .option('--resolution <dpi>', 'pixels per inch at which it is checked; left out, 300')
    .option('--name <name>', 'name of the design')
    .option('--number <number>', 'number on its ticket')
    .option('-o, --output <file>', 'design document; left out, it is printed')
    .action((options: NewFromStartOptions) => run(() => fromStart(kind, options)));
}

function fromStart(kind: keyof ByKind, options: NewFromStartOptions): number {
  const { from, seed, output, ...change } = options;
  const start = designFromStart(kind, from ?? '', seed === undefined ? 0 : parseSeed(seed));
  const design = readDesign({ ...start, ...change });
  compile(design);
  writeText(output, writeDesignText(design));
  return EXIT.fine;
}
