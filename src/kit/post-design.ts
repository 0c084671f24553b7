import type { Design } from '../core/design/design-schema.ts';
import { withPicturesKept } from './pictures/keep-picture.ts';
import { request } from './request.ts';

/** Adds a design to the shelf; what it carries is kept first, as it may be large. @throws RequestError */
export async function postDesign(design: Design): Promise<unknown> {
  return request('POST', '/api/designs', { document: await withPicturesKept(design) });
}
