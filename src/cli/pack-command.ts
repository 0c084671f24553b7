import { makeFile } from '../server/sending/make-file.ts';
import { writeStream } from '../server/sending/write-stream.ts';
import { picturesOf } from './pictures-of.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

export interface PackOptions {
  readonly output: string;
  readonly size?: string;
  readonly repeats?: string;
  readonly dpi?: string;
  readonly words?: string;
}

/** `vetro pack`: all that a customer needs of a design, in a zip. */
export async function packCommand(path: string, { output, ...asked }: PackOptions): Promise<number> {
  const design = readDesignFile(path);
  const query = new URLSearchParams(Object.entries(asked));
  const { pieces } = makeFile({ design, file: 'pack.zip', query, pictures: await picturesOf(design) });
  await writeStream(output, pieces);
  return EXIT.fine;
}
