import { basename } from 'node:path';
import { collectionFile } from '../server/sending/collection/collection-file.ts';
import { writeStream } from '../server/sending/write-stream.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

export interface CollectOptions {
  readonly output: string;
  readonly title?: string;
  readonly scale: string;
}

/** `vetro collect`: designs on pages at one scale, as PDF. */
export async function collectCommand(paths: readonly string[], options: CollectOptions): Promise<number> {
  const { output, title = basename(output).replace(/\.pdf$/i, ''), scale } = options;
  const designs = await Promise.all(
    paths.map(async (path) => {
      const design = readDesignFile(path);
      return { design, pictures: await picturesOf(design) };
    }),
  );
  const bytes = await collectionFile({ title, designs, scale, at: new Date() });
  await writeStream(
    output,
    (async function* () {
      yield bytes;
    })(),
  );
  return EXIT.fine;
}
