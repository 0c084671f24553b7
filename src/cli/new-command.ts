import { compile } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { parseDensityPair, pivotsOf, starterShades } from '../core/design/exchange/counts-text.ts';
import { newPlaid } from '../core/design/new-design.ts';
import { readDesign, writeDesignText } from '../core/design/read-design.ts';
import { parseShadeList } from '../core/formats/shade-list.ts';
import { parseThreadCount } from '../core/formats/thread-count.ts';
import { parseTwill } from '../core/thread/weave.ts';
import { EXIT, writeText } from './run.ts';

export interface NewPlaidOptions {
  readonly name: string;
  readonly number?: string;
  readonly warp: string;
  readonly weft?: string;
  readonly shades?: string;
  readonly weave: string;
  readonly pivots: string;
  readonly density: string;
  readonly resolution: string;
  readonly output?: string;
}

/** `vetro new plaid`: a design document from thread counts. */
export function newPlaidCommand(options: NewPlaidOptions): number {
  writeText(options.output, writeDesignText(plaidFrom(options)));
  return EXIT.fine;
}

function plaidFrom(options: NewPlaidOptions): Design {
  const pivots = pivotsOf(options.pivots);
  const listed = options.shades === undefined ? undefined : parseShadeList(options.shades);
  const read = (text: string) => parseThreadCount(text, { keys: listed?.map(({ key }) => key), pivots });
  const warp = read(options.warp);
  const weft = options.weft === undefined ? undefined : read(options.weft);
  const letters = [...warp.bands, ...(weft?.bands ?? [])].map(({ shade }) => shade);
  const design = readDesign(
    newPlaid({
      name: options.name,
      number: options.number ?? '',
      shades: listed ?? starterShades(letters),
      warp,
      weft,
      weave: parseTwill(options.weave),
      lay: parseDensityPair(options.density),
      resolution: options.resolution,
    }),
  );
  compile(design);
  return design;
}
