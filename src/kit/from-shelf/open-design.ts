import { storedDesign } from '../../contracts/design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { request } from '../request.ts';

/** A design of the shelf as it is stored. */
export interface OpenedFromShelf {
  readonly design: Design;
  readonly version: number;
}

/** Reads a design from the shelf. @throws RequestError, CoreError as `readDesign` */
export async function openDesign(id: string): Promise<OpenedFromShelf> {
  const { document, version } = storedDesign.parse(await request('GET', `/api/designs/${id}`));
  return { design: readDesign(document), version };
}
