import type { Design } from '../../core/design/design-schema.ts';
import { readDesignText } from '../../core/design/read-design.ts';
import { sharedPools } from './shared-pools.ts';

/** Characters from which a document is read in a thread: such a one takes tens of milliseconds, and up to seconds. */
export const LONG = 100_000;

/** Reads a stored document, a long one in a thread, so that nobody waits for it. @throws CoreError as `readDesignText` */
export async function readStored(text: string): Promise<Design> {
  if (text.length <= LONG) return readDesignText(text);
  return JSON.parse(await sharedPools().read(text)) as Design;
}
