import { compile } from '../core/design/compile-design.ts';
import { wovenOf } from '../core/design/design-facts.ts';
import type { Design } from '../core/design/design-schema.ts';
import { lossesOf } from '../core/design/exchange/losses.ts';
import { designFromFile, fileKind } from '../core/design/exchange/read-file.ts';
import { parseDensityPair } from '../core/design/exchange/text-parts.ts';
import { designToCsv, designToText, designToWif } from '../core/design/exchange/write-file.ts';
import { readDesign, writeDesignText } from '../core/design/read-design.ts';
import { CoreError } from '../core/error.ts';
import { formatWeave, parseWeave } from '../core/thread/weaves/weave-text.ts';
import { lossSentence } from '../wording/loss-words.ts';
import { readDesignFile, readText } from './read-design-file.ts';
import { EXIT, tell, writeText } from './run.ts';

export interface ImportOptions {
  readonly output?: string;
  readonly name?: string;
  readonly weave?: string;
  readonly density?: string;
}

/** `vetro import`: a design document from a thread-count text, a CSV table or another design document. */
export function importCommand(path: string, options: ImportOptions): number {
  const design = designFromFile(path, readText(path));
  const { construction, lay } = design;
  const weave = options.weave === undefined ? {} : { weave: parseWeave(options.weave) };
  if (options.weave !== undefined && !('weave' in construction)) throw new CoreError('weave/none', {});
  const density = options.density === undefined ? {} : parseDensityPair(options.density);
  const changed = readDesign({
    ...design,
    name: options.name ?? design.name,
    construction: { ...construction, ...weave },
    lay: { ...lay, ...density },
  });
  compile(changed);
  writeText(options.output, writeDesignText(changed));
  if (fileKind(path) !== 'json') tell(takenSentence(changed, options));
  return EXIT.fine;
}

/** `vetro export`: a design as thread-count text, CSV table or design document, by the file's ending or `--to`. */
export function exportCommand(path: string, options: { output?: string; to?: string }): number {
  const design = readDesignFile(path);
  const kind = fileKind(options.to === undefined ? (options.output ?? 'counts.txt') : `counts.${options.to}`);
  writeText(options.output, WRITERS[kind](design));
  tell(lossSentence(lossesOf(design, kind)));
  return EXIT.fine;
}

/** What the file said nothing of, and what was taken for it. */
function takenSentence(design: Design, { weave, density }: ImportOptions): string {
  const { lay, resolution } = design;
  const woven = wovenOf(design);
  const words = [
    ...(woven !== undefined && weave === undefined ? [`weave ${formatWeave(woven.construction.weave)}`] : []),
    ...(density === undefined ? [`density ${lay.ends} x ${lay.picks} / ${lay.per}`] : []),
    `${resolution} dpi`,
  ];
  return `Read with ${words.join(', ')}.`;
}

const WRITERS: Readonly<Record<ReturnType<typeof fileKind>, (design: Design) => string>> = {
  json: writeDesignText,
  csv: designToCsv,
  txt: designToText,
  wif: designToWif,
};
